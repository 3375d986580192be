import {
  type CallHandler,
  type ExecutionContext,
  Injectable,
  type NestInterceptor,
  type Type,
} from '@nestjs/common';
import { plainToInstance } from 'class-transformer';
import { validate } from 'class-validator';
import { mergeMap, type Observable } from 'rxjs';
import { brokenRules } from '../http/validated';

/** Holds every answer of a test server to the DTO that its endpoint names, unknown fields included: what does not fit it is a 500. */
@Injectable()
export class AnswersFit implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const dto = answerDtoOf(context);
    return next.handle().pipe(
      mergeMap(async (answer: unknown) => {
        const misfits = dto && answer ? await misfitsOf(dto, answer) : [];
        if (misfits.length > 0)
          throw new Error(`${dto?.name} does not describe the answer: ${misfits.join(' ')}`);
        return answer;
      }),
    );
  }
}

interface DescribedAnswer {
  readonly type?: Type<object>;
}

/** As the decorators of the API document have it. */
function answerDtoOf(context: ExecutionContext): Type<object> | null {
  const answers: Readonly<Record<string, DescribedAnswer>> =
    Reflect.getMetadata('swagger/apiResponse', context.getHandler()) ?? {};
  const fine = Object.entries(answers).find(([status]) => status.startsWith('2'));
  return fine?.[1].type ?? null;
}

async function misfitsOf(dto: Type<object>, answer: unknown): Promise<string[]> {
  const sent = plainToInstance(dto, JSON.parse(JSON.stringify(answer)));
  const errors = await validate(sent, { whitelist: true, forbidNonWhitelisted: true });
  return brokenRules(errors).map(({ path, message }) => `${path}: ${message}`);
}
