import { Body, Controller, Delete, Get, HttpCode, Inject, Module, Param, Post, Req, Res } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsString, Length, Matches } from 'class-validator';
import type { Request, Response } from 'express';
import { Answers, listOf, object, orNull } from '../problems/answers.js';
import { edge } from '../problems/schema.validator.js';
import { COOKIE } from './gate.js';
import { cookieFor } from './desk.js';
import { ShopService } from './shop.service.js';

const PHONE = object({ id: { type: 'string' }, name: { type: 'string' }, pairedAt: { type: 'string' }, usedAt: { type: 'string' } });
const CODE = object({ code: { type: 'string' }, until: { type: 'integer', description: 'ms since 1970' } });
const WRONG = object({ address: { type: 'string' }, count: { type: 'integer' }, at: { type: 'integer', description: 'ms since 1970' } });
const SHOP = object({
  on: { type: 'boolean' },
  code: orNull(CODE),
  wrong: listOf(WRONG),
  addresses: listOf({ type: 'string' }),
  phones: listOf(PHONE),
});

/** A phone keeps its cookie for so long, ms; how long it is let in is told by when it came last. */
const YEAR = 365 * 24 * 3600 * 1000;

class PairDto {
  @ApiProperty({ example: '402913', description: 'The six figures on the page of the desk' })
  @Matches(/^\d{6}$/, { message: 'the code has six figures' })
  code!: string;

  @ApiProperty({ example: 'Phone in the shop' })
  @IsString()
  @Length(1, 60)
  name!: string;
}

@ApiTags('shop')
@Controller('shop')
class ShopController {
  constructor(@Inject(ShopService) private readonly shop: ShopService) {}

  @Get()
  @Answers('Whether phones can be paired, by which code and address, and which are', SHOP)
  async state(@Req() req: Request) {
    const { isOpen: on, code, wrong } = this.shop;
    return { on, code, wrong, addresses: on ? this.shop.addresses(req) : [], phones: await this.shop.all() };
  }

  @Post('code')
  @Answers('Make a code that lets one phone in, within ten minutes; the one before is good no more', CODE, 201)
  makeCode() {
    return this.shop.makeCode();
  }

  @Post('pair')
  @Answers('Let a phone in by the code; it is known by a cookie from then on', PHONE, 201)
  async pair(@Body(edge(PairDto)) { code, name }: PairDto, @Req() req: Request, @Res({ passthrough: true }) res: Response) {
    const { token, phone } = await this.shop.pair(code, name, req.ip ?? '');
    res.cookie(COOKIE, token, cookieFor(req, YEAR));
    return phone;
  }

  @Delete('phones/:id')
  @HttpCode(204)
  @Answers('Let a phone go: it is refused from then on', object({}), 204)
  letGo(@Param('id') id: string) {
    return this.shop.letGo(id);
  }
}

@Module({ controllers: [ShopController], providers: [ShopService], exports: [ShopService] })
export class ShopModule {}
