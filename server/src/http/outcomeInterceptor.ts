import type { Outcome } from '@acorn-tally/core';
import { type CallHandler, type ExecutionContext, Injectable, type NestInterceptor } from '@nestjs/common';
import { map, type Observable } from 'rxjs';
import { refused } from './problem';

/** Answers with the value of an outcome; a refusal becomes a 422 with its reason and numbers. */
@Injectable()
export class OutcomeInterceptor implements NestInterceptor<Outcome<unknown>, unknown> {
  intercept(_: ExecutionContext, next: CallHandler<Outcome<unknown>>): Observable<unknown> {
    return next.handle().pipe(
      map((outcome) => {
        if (outcome.ok) return outcome.value;
        throw refused(outcome.refusal);
      }),
    );
  }
}
