import { type FieldProblem, maxTextLength } from '@acorn-tally/core';
import { type ArgumentMetadata, type PipeTransform, type Type, ValidationPipe } from '@nestjs/common';
import { plainToInstance } from 'class-transformer';
import { type ValidationError, validateSync } from 'class-validator';
import { invalid } from './problem';

/** Parses a body into a DTO class: unknown fields refused, every error told at once; then what holds between its fields. */
export function validated<Value extends object>(
  dto: Type<Value>,
  problemsOf: (value: Value) => readonly FieldProblem[] = () => [],
): PipeTransform {
  return new ValidatedPipe(dto, problemsOf, true);
}

/** The same of a query, in which parameters that are not known are no matter. */
export function validatedQuery<Value extends object>(dto: Type<Value>): PipeTransform {
  return new ValidatedPipe(dto, () => [], false);
}

class ValidatedPipe<Value extends object> extends ValidationPipe {
  constructor(
    dto: Type<Value>,
    private readonly problemsOf: (value: Value) => readonly FieldProblem[],
    refusesUnknown: boolean,
  ) {
    super({
      expectedType: dto,
      transform: true,
      whitelist: true,
      forbidNonWhitelisted: refusesUnknown,
      forbidUnknownValues: true,
      exceptionFactory: (errors) => invalid(brokenRules(errors).map(({ rule: _, ...field }) => field)),
    });
  }

  override async transform(sent: unknown, metadata: ArgumentMetadata): Promise<Value> {
    const value = await super.transform(sent, metadata);
    const problems = this.problemsOf(value);
    if (problems.length > 0) throw invalid(problems);
    return value;
  }
}

/**
 * What is wrong with something that was kept, by the same rules as at the entrance; what an earlier version kept besides is no harm,
 * nor are characters in a text that are refused only since: they are mended when it is next written.
 */
export function complaintsAbout(dto: Type<object>, kept: object): readonly string[] {
  const errors = validateSync(plainToInstance(dto, kept), { forbidUnknownValues: true });
  return brokenRules(errors)
    .filter(({ received, rule }) => !(rule === 'name' || rule === 'text') || !isText(received))
    .map(({ path, message }) => `${path}: ${message}`);
}

function isText(value: unknown): boolean {
  return typeof value === 'string' && value !== '' && value.length <= maxTextLength;
}

/** All that is wrong in a value and its parts, by its path. */
export function brokenRules(errors: readonly ValidationError[]): BrokenRule[] {
  return errors.flatMap((error) => fieldErrors(error, ''));
}

type BrokenRule = FieldProblem & { readonly rule: string };

function fieldErrors(error: ValidationError, parent: string): BrokenRule[] {
  const path = parent === '' ? error.property : `${parent}.${error.property}`;
  const own = Object.entries(error.constraints ?? {}).map(([name, message]) => ({
    path,
    rule: name,
    message: name === 'whitelistValidation' ? `Unknown field “${error.property}”.` : message,
    received: error.value,
  }));
  return [...own, ...(error.children ?? []).flatMap((child) => fieldErrors(child, path))];
}
