import {
  isDay,
  isInstant,
  isTimeZone,
  maxTextLength,
  nameLength,
  nameProblem,
  type Quantity,
  textProblem,
  violation,
} from '@acorn-tally/core';
import { applyDecorators, type Type as Class } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { Transform, Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsBoolean,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  ValidateBy,
  ValidateNested,
} from 'class-validator';

/** The decorators of DTO fields. Ranges and messages are the core's; each says the same in the OpenAPI document. */

/** A number within a range of the core, in SI. */
export function InRange(quantity: Quantity, { optional = false } = {}) {
  const check = ValidateBy({
    name: 'inRange',
    validator: {
      validate: (value) => violation(quantity, value) === null,
      defaultMessage: (given) => violation(quantity, given?.value) ?? '',
    },
  });
  return applyDecorators(
    check,
    maybe(optional),
    ApiProperty({
      type: Number,
      minimum: quantity.min,
      maximum: quantity.max,
      description: `${quantity.label}, in SI`,
      required: !optional,
      nullable: optional,
    }),
  );
}

/** A number of any size, of what is answered. */
export function Real({ optional = false } = {}) {
  return applyDecorators(
    IsNumber({}, { message: (given) => `${given.property} needs a number.` }),
    maybe(optional),
    ApiProperty({ type: Number, required: !optional, nullable: optional }),
  );
}

export function OneOf(values: readonly string[], { optional = false } = {}) {
  return applyDecorators(
    IsIn(values, { message: (given) => `${given.property} must be one of: ${values.join(', ')}.` }),
    maybe(optional),
    ApiProperty({ enum: values, required: !optional, nullable: optional }),
  );
}

/** A list of some of these. */
export function SomeOf(values: readonly string[], { optional = false } = {}) {
  return applyDecorators(
    IsIn(values, {
      each: true,
      message: (given) => `${given.property} may hold: ${values.join(', ')}.`,
    }),
    ArrayMaxSize(values.length),
    maybe(optional),
    ApiProperty({ enum: values, isArray: true, required: !optional, nullable: optional }),
  );
}

export function Name(label: string, { optional = false } = {}) {
  return applyDecorators(
    ValidateBy({
      name: 'name',
      validator: {
        validate: (value) => typeof value === 'string' && nameProblem(label, value) === null,
        defaultMessage: (given) =>
          typeof given?.value === 'string'
            ? (nameProblem(label, given.value) ?? '')
            : `${label} needs a text.`,
      },
    }),
    maybe(optional),
    ApiProperty({
      type: String,
      minLength: nameLength.min,
      maxLength: nameLength.max,
      required: !optional,
      nullable: optional,
    }),
  );
}

export function Text({ optional = false } = {}) {
  return applyDecorators(
    ValidateBy({
      name: 'text',
      validator: {
        validate: (value) => problemOfText('', value) === null,
        defaultMessage: (given) => problemOfText(given?.property ?? '', given?.value) ?? '',
      },
    }),
    maybe(optional),
    ApiProperty({ type: String, maxLength: maxTextLength, required: !optional, nullable: optional }),
  );
}

function problemOfText(label: string, value: unknown): string | null {
  return typeof value === 'string' ? textProblem(label, value) : `${label} needs a text.`;
}

/** Date, time and offset: an instant that every clock reads alike. */
export function Instant({ optional = false } = {}) {
  return applyDecorators(
    checked('instant', isInstant, 'a date and time with its offset, as in 2026-11-26T08:40:00+00:00'),
    maybe(optional),
    ApiProperty({ type: String, format: 'date-time', required: !optional, nullable: optional }),
  );
}

export function Day({ optional = false } = {}) {
  return applyDecorators(
    checked('day', isDay, 'a day, as in 2026-11-26'),
    maybe(optional),
    ApiProperty({ type: String, format: 'date', required: !optional, nullable: optional }),
  );
}

export function TimeZone({ optional = false } = {}) {
  return applyDecorators(
    checked('timeZone', isTimeZone, 'the name of a time zone, as in Europe/London'),
    maybe(optional),
    ApiProperty({ type: String, required: !optional, nullable: optional }),
  );
}

function checked(name: string, validate: (value: unknown) => boolean, wanted: string): PropertyDecorator {
  return ValidateBy({
    name,
    validator: { validate, defaultMessage: (given) => `${given?.property} needs ${wanted}.` },
  });
}

/** A list of what is answered, which has its bounds from what was asked. */
export const many = { most: Number.POSITIVE_INFINITY } as const;

/** Another DTO inside this one, or a list of at most so many. */
export function Part(
  dto: () => Class<object>,
  { optional = false, most = null }: { readonly optional?: boolean; readonly most?: number | null } = {},
) {
  const isList = most !== null;
  return applyDecorators(
    ValidateBy({
      name: 'part',
      validator: {
        // Lists within the list would be searched for objects, and pass.
        validate: (value) => (isList ? Array.isArray(value) && !value.some(Array.isArray) : isObject(value)),
        defaultMessage: (given) =>
          given?.value === undefined
            ? `${given?.property} is missing.`
            : `${given?.property} needs ${isList ? 'a list of objects' : 'an object'}.`,
      },
    }),
    ...(isList ? [AtMost(most)] : []),
    ValidateNested({ each: isList, message: (given) => `${given.property} needs an object.` }),
    Type(dto),
    maybe(optional),
    ApiProperty({
      type: () => dto(),
      required: !optional,
      nullable: optional,
      ...(isList && items(most)),
    }),
  );
}

/** A list that may be null, which is none. */
export function NullAsEmpty(): PropertyDecorator {
  return Transform(({ value }) => value ?? []);
}

function isObject(value: unknown): boolean {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** As the API document says it; a list without end is not bounded there. */
function items(most: number) {
  return { isArray: true as const, ...(Number.isFinite(most) && { maxItems: most }) };
}

function AtMost(most: number): PropertyDecorator {
  return ArrayMaxSize(most, { message: (given) => `${given.property} holds at most ${most}.` });
}

/** A list of at most so many numbers. */
export function Numbers(most: number) {
  return applyDecorators(
    checked('numbers', (value) => areNumbers(value), 'a list of numbers'),
    AtMost(most),
    ApiProperty({ type: Number, ...items(most) }),
  );
}

/** A table of numbers, by row. */
export function NumberRows(most: number) {
  return applyDecorators(
    checked(
      'numberRows',
      (value) => Array.isArray(value) && value.every((row) => areNumbers(row) && row.length <= most),
      'rows of numbers',
    ),
    AtMost(most),
    ApiProperty({ type: 'array', items: { type: 'array', items: { type: 'number' } }, maxItems: most }),
  );
}

function areNumbers(value: unknown): value is number[] {
  return Array.isArray(value) && value.every(Number.isFinite);
}

/** A list of at most so many texts. */
export function Texts(most: number, { optional = false } = {}) {
  return applyDecorators(
    ValidateBy({
      name: 'texts',
      validator: {
        validate: (value) => Array.isArray(value) && value.every((one) => problemOfText('', one) === null),
        defaultMessage: (given) => `${given?.property} needs a list of texts.`,
      },
    }),
    AtMost(most),
    maybe(optional),
    ApiProperty({ type: String, ...items(most), required: !optional, nullable: optional }),
  );
}

/** Values by name, as a sentence is filled with them; what is in them is not looked at. */
export function Values({ optional = false } = {}) {
  return applyDecorators(
    IsObject({ message: (given) => `${given.property} needs an object.` }),
    maybe(optional),
    ApiProperty({
      type: 'object',
      additionalProperties: true,
      selfRequired: !optional,
      nullable: optional,
    }),
  );
}

/** The id of a record: letters, digits, hyphens. */
const idPattern = /^[\w-]{1,64}$/;

export function Id({ optional = false } = {}) {
  return applyDecorators(
    checked(
      'id',
      (value) => typeof value === 'string' && idPattern.test(value),
      'an id: at most 64 letters, digits and hyphens',
    ),
    maybe(optional),
    ApiProperty({ type: String, pattern: idPattern.source, required: !optional, nullable: optional }),
  );
}

export function Ids(most: number, { optional = false } = {}) {
  return applyDecorators(
    ValidateBy({
      name: 'ids',
      validator: {
        validate: (value) =>
          Array.isArray(value) && value.every((id) => typeof id === 'string' && idPattern.test(id)),
        defaultMessage: (given) => `${given?.property} needs a list of ids.`,
      },
    }),
    AtMost(most),
    maybe(optional),
    ApiProperty({ type: String, ...items(most), required: !optional, nullable: optional }),
  );
}

export function YesNo({ optional = false } = {}) {
  return applyDecorators(
    IsBoolean({ message: (given) => `${given.property} needs true or false.` }),
    maybe(optional),
    ApiProperty({ type: Boolean, required: !optional, nullable: optional }),
  );
}

function maybe(optional: boolean): PropertyDecorator {
  return optional ? IsOptional() : () => undefined;
}
