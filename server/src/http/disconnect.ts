import {
  type CallHandler,
  createParamDecorator,
  type ExecutionContext,
  Injectable,
  type NestInterceptor,
} from '@nestjs/common';
import type { Response } from 'express';
import { catchError, type Observable, of } from 'rxjs';

const responseOf = (context: ExecutionContext) => context.switchToHttp().getResponse<Response>();

/** A signal that is aborted when the client disconnects. */
export const ClientSignal = createParamDecorator((_: unknown, context: ExecutionContext): AbortSignal => {
  const disconnected = new AbortController();
  responseOf(context).once('close', () => disconnected.abort());
  return disconnected.signal;
});

/** An error after the client disconnected is that of what was aborted: nobody is there to be told. */
@Injectable()
export class DisconnectInterceptor implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    return next.handle().pipe(
      catchError((error: unknown) => {
        if (responseOf(context).closed) return of(undefined);
        throw error;
      }),
    );
  }
}
