import { type PipeTransform, type Type, ValidationPipe } from '@nestjs/common';
import type { ValidationError } from 'class-validator';
import { type FieldError, invalid } from './problem';

/** Parses a body into a DTO class: all fields checked, unknown ones refused, every error told at once. */
export function validated(dto: Type<object>): PipeTransform {
  return new ValidationPipe({
    expectedType: dto,
    transform: true,
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
    exceptionFactory: (errors) => invalid(errors.flatMap((error) => fieldErrors(error, ''))),
  });
}

function fieldErrors(error: ValidationError, parent: string): FieldError[] {
  const path = parent === '' ? error.property : `${parent}.${error.property}`;
  const own = Object.entries(error.constraints ?? {}).map(([name, message]) => ({
    path,
    message: name === 'whitelistValidation' ? `Unknown field “${error.property}”.` : message,
    received: error.value,
  }));
  return [...own, ...(error.children ?? []).flatMap((child) => fieldErrors(child, path))];
}
