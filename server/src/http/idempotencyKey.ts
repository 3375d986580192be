import { createHash } from 'node:crypto';
import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import type { IdempotentRequest } from '../database/idempotentWrites';
import { invalid } from './problem';

/** Printable ASCII, as a header may carry it. */
const keyPattern = /^[\x21-\x7e]{8,128}$/;

/** The request’s Idempotency-Key with what is asked: a client that saw no answer may send it again, and it is written once. */
export const IdempotencyKey = createParamDecorator(
  (_: unknown, context: ExecutionContext): IdempotentRequest | null => {
    const { headers, method, path, body } = context.switchToHttp().getRequest<Request>();
    const key = headers['idempotency-key'];
    if (key === undefined) return null;
    if (typeof key !== 'string' || !keyPattern.test(key))
      throw invalid([
        { path: 'Idempotency-Key', message: 'A key has from 8 to 128 letters, digits and marks.' },
      ]);
    const asked = createHash('sha256')
      .update(`${method} ${path}\n${JSON.stringify(body)}`)
      .digest('hex');
    return { key, asked };
  },
);
