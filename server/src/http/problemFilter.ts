import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { Response } from 'express';
import { type Problem, ProblemException } from './problem';

/** Turns every error into application/problem+json; what we did not foresee is logged and told without its insides. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(error: unknown, host: ArgumentsHost): void {
    const problem = this.toProblem(error);
    const response = host.switchToHttp().getResponse<Response>();
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  }

  private toProblem(error: unknown): Problem {
    if (error instanceof ProblemException) return error.problem;
    if (error instanceof HttpException) {
      return { type: 'about:blank', title: error.message, status: error.getStatus() };
    }
    this.logger.error(error);
    return { type: 'about:blank', title: 'Something went wrong on our side.', status: 500 };
  }
}
