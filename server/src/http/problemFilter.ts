import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { Response } from 'express';
import { CalculatorBusy } from '../calculations/errors';
import { StoreError } from '../database/errors';
import { busy, type Problem, ProblemException } from './problem';
import { problemOfStore } from './storeProblems';

/** Turns every error into application/problem+json; what we did not foresee is logged and told without its insides. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    // Who hung up in the middle of a body hears nothing, and it is no fault of ours.
    if (isHangUp(error)) return;
    if (!response.headersSent) sendProblem(response, this.toProblem(error));
  }

  private toProblem(error: unknown): Problem {
    if (error instanceof ProblemException) return error.problem;
    const ofStore = error instanceof StoreError ? problemOfStore(error) : null;
    if (ofStore) return ofStore;
    if (error instanceof CalculatorBusy) return busy(error.message, error.retryAfterS).problem;
    if (error instanceof HttpException) {
      return { type: 'about:blank', title: error.message, status: error.getStatus() };
    }
    this.logger.error(error);
    return { type: 'about:blank', title: 'Something went wrong on our side.', status: 500 };
  }
}

/** As Node's streams and the body parser tell that a connection ended in the middle of a request. */
function isHangUp(error: unknown): boolean {
  const { code, type } = (error ?? {}) as { readonly code?: unknown; readonly type?: unknown };
  return code === 'ECONNRESET' || type === 'request.aborted';
}

export function sendProblem(response: Response, problem: Problem): void {
  const { retryAfterS } = problem;
  if (typeof retryAfterS === 'number') response.setHeader('Retry-After', String(retryAfterS));
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}
