import { maxTextLength } from '@acorn-tally/core';
import { type PipeTransform, type Type, ValidationPipe } from '@nestjs/common';
import { plainToInstance } from 'class-transformer';
import { type ValidationError, validateSync } from 'class-validator';
import { type FieldError, invalid } from './problem';

/** Parses a body into a DTO class: all fields checked, unknown ones refused, every error told at once. */
export function validated(dto: Type<object>): PipeTransform {
  return new ValidationPipe({
    expectedType: dto,
    transform: true,
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    exceptionFactory: (errors) =>
      invalid(errors.flatMap((error) => fieldErrors(error, '')).map(({ rule: _, ...field }) => field)),
  });
}

/**
 * What is wrong with something that was kept, by the same rules as at the entrance; what an earlier version kept besides is no harm,
 * nor are characters in a text that are refused only since: they are mended when it is next written.
 */
export function complaintsAbout(dto: Type<object>, kept: object): readonly string[] {
  const errors = validateSync(plainToInstance(dto, kept), { forbidUnknownValues: true });
  return errors
    .flatMap((error) => fieldErrors(error, ''))
    .filter(({ received, rule }) => !(rule === 'name' || rule === 'text') || !isText(received))
    .map(({ path, message }) => `${path}: ${message}`);
}

function isText(value: unknown): boolean {
  return typeof value === 'string' && value !== '' && value.length <= maxTextLength;
}

type BrokenRule = FieldError & { readonly rule: string };

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
