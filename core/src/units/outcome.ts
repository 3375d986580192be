/**
 * What cannot be answered, told so that a pilot understands it. Code for machines, message for people,
 * and the numbers behind it with their units in the names.
 */
export interface Refusal {
  readonly code: string;
  readonly message: string;
  readonly numbers: Readonly<Record<string, number>>;
}

/** A result a pilot's own input may make impossible: never an exception, never a NaN. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly refusal: Refusal };

export function success<T>(value: T): Outcome<T> {
  return { ok: true, value };
}

export function refuse(
  code: string,
  message: string,
  numbers: Readonly<Record<string, number>> = {},
): { readonly ok: false; readonly refusal: Refusal } {
  return { ok: false, refusal: { code, message, numbers } };
}
