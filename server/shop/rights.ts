import { Injectable, SetMetadata, applyDecorators, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { ApiExtension } from '@nestjs/swagger';
import type { Request } from 'express';
import { onlyTheDesk } from '../problems/problem.js';

const FOR_PHONES = 'for phones';

/** What a phone that was paired may ask, beside the desk; on the page of the API it says so. All else is the desk's alone. */
export const ForPhones = () => applyDecorators(SetMetadata(FOR_PHONES, true), ApiExtension('x-for-phones', true));

const fromPhones = new WeakSet<object>();

/** Says of a request that it comes from a phone. */
export function fromPhone(req: Request): void {
  fromPhones.add(req);
}

/** Refuses a phone what is not said to be for phones: by what answers, however it was asked for. */
@Injectable()
export class PhoneGuard implements CanActivate {
  constructor(private readonly reflector: Reflector) {}

  canActivate(context: ExecutionContext): boolean {
    if (!fromPhones.has(context.switchToHttp().getRequest<Request>())) return true;
    if (this.reflector.getAllAndOverride<boolean | undefined>(FOR_PHONES, [context.getHandler(), context.getClass()])) return true;
    throw onlyTheDesk();
  }
}
