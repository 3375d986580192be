import type { ListedTest, TestQuestion } from '@acorn-tally/core';

/** The questions about a test that were not answered; none about one that is left out anyway. */
export function openQuestions({
  excludedReason,
  confirmed,
  outcome,
}: Pick<ListedTest, 'excludedReason' | 'confirmed' | 'outcome'>): TestQuestion[] {
  if (excludedReason) return [];
  return outcome.questions.filter(({ code }) => !confirmed?.includes(code));
}

/** Whether a test counts: not left out, and nothing odd about it unanswered. */
export function countsNow(test: ListedTest): boolean {
  return !test.excludedReason && openQuestions(test).length === 0;
}
