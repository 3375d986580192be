import { type FieldProblem, numbersOf, type Refusal, writeInSi } from '@acorn-tally/core';
import { HttpException } from '@nestjs/common';

/** An answer that says what is wrong, as RFC 9457 problem details. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail?: string;
  readonly errors?: readonly FieldProblem[];
  readonly [extension: string]: unknown;
}

export class ProblemException extends HttpException {
  constructor(readonly problem: Problem) {
    super(problem, problem.status);
  }
}

export function problem(slug: string, title: string, status: number, more: object = {}): ProblemException {
  return new ProblemException({ type: `urn:acorn-tally:problem:${slug}`, title, status, ...more });
}

/** More are counted, not told: an answer is not larger than the question. */
const maxErrors = 20;

export function invalid(errors: readonly FieldProblem[]): ProblemException {
  const told = errors.slice(0, maxErrors).map(shortened);
  const untold = errors.length - told.length;
  const words = told.map(({ message }) => message);
  return problem('invalid', 'Some values cannot be used.', 400, {
    errors: told,
    ...(untold > 0 && { moreErrors: untold }),
    detail: [...words, ...(untold > 0 ? [`And ${untold} more.`] : [])].join(' '),
  });
}

const longestShown = 80;

/** A wrong field may be of any size; of what was received so much is told that it can be found. */
function shortened({ path, message, received }: FieldProblem): FieldProblem {
  const short = { path: cut(path), message: cut(message, 400) };
  return received === undefined ? short : { ...short, received: shown(received) };
}

function shown(received: unknown): unknown {
  if (typeof received === 'string') return cut(received);
  if (Array.isArray(received)) return `a list of ${received.length}`;
  return typeof received === 'object' && received !== null ? 'an object' : received;
}

function cut(text: string, longest = longestShown): string {
  return text.length > longest ? `${text.slice(0, longest)}…` : text;
}

/** What the model cannot answer, with its reason and the numbers behind it, in SI. */
export const refused = (refusal: Refusal) =>
  problem('refused', writeInSi(refusal), 422, {
    code: refusal.code,
    detail: writeInSi(refusal),
    numbers: numbersOf(refusal),
  });

/** It can be asked again later, and when. */
export const busy = (detail: string, retryAfterS: number) =>
  problem('busy', 'Too much is being calculated just now.', 503, { detail, retryAfterS });
