import { Body, Controller, Delete, Get, HttpCode, Inject, Module, Param, Post, Req, Res } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsString, Length, Matches } from 'class-validator';
import type { Request, Response } from 'express';
import { Answers, listOf, object } from '../problems/answers.js';
import { edge } from '../problems/schema.validator.js';
import { COOKIE } from './gate.js';
import { ShopService, addressesHere } from './shop.service.js';

const PHONE = object({ id: { type: 'string' }, name: { type: 'string' }, pairedAt: { type: 'string' } });
const SHOP = object({
  on: { type: 'boolean' },
  code: { type: 'string', nullable: true },
  addresses: listOf({ type: 'string' }),
  phones: listOf(PHONE),
});

/** A phone stays paired for a year unless it is let go. */
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
    const on = this.shop.isOpen;
    const port = req.socket.localPort;
    const addresses = on ? addressesHere().map((a) => `http://${a}:${port}`) : [];
    return { on, code: on ? this.shop.code : null, addresses, phones: await this.shop.all() };
  }

  @Post('pair')
  @Answers('Let a phone in by the code; it is known by a cookie from then on', PHONE, 201)
  async pair(@Body(edge(PairDto)) { code, name }: PairDto, @Res({ passthrough: true }) res: Response) {
    const { token, phone } = await this.shop.pair(code, name);
    res.cookie(COOKIE, token, { httpOnly: true, sameSite: 'strict', maxAge: YEAR, path: '/' });
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
