import { numbersOf, type Refusal, toldInSi } from '@acorn-tally/core';
import { HttpException } from '@nestjs/common';

export interface FieldError {
  readonly path: string;
  readonly message: string;
  readonly received?: unknown;
}

/** An answer that says what is wrong, as RFC 9457 problem details. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail?: string;
  readonly errors?: readonly FieldError[];
  readonly [extension: string]: unknown;
}

export class ProblemException extends HttpException {
  constructor(readonly problem: Problem) {
    super(problem, problem.status);
  }
}

function problem(slug: string, title: string, status: number, more: object = {}): ProblemException {
  return new ProblemException({ type: `urn:acorn-tally:problem:${slug}`, title, status, ...more });
}

export const invalid = (errors: readonly FieldError[]) =>
  problem('invalid', 'Some values cannot be used.', 400, {
    errors,
    detail: errors.map((e) => e.message).join(' '),
  });

export const missing = (noun: string, id: string) =>
  problem('missing', `There is no such ${noun}.`, 404, { detail: `No ${noun} has the id ${id}.` });

export const stale = (noun: string, current: unknown) =>
  problem('stale', `This ${noun} was changed meanwhile.`, 409, {
    detail: `Someone changed this ${noun} after you read it. Its current state is in "current".`,
    current,
  });

export const inUse = (noun: string, users: readonly string[]) =>
  problem('in-use', `This ${noun} is used elsewhere.`, 409, {
    detail: `Used by: ${users.join(', ')}.`,
    users,
  });

/** What the model cannot answer, with its reason and the numbers behind it, in SI. */
export const refused = (refusal: Refusal) =>
  problem('refused', toldInSi(refusal), 422, {
    code: refusal.code,
    detail: toldInSi(refusal),
    numbers: numbersOf(refusal),
  });
