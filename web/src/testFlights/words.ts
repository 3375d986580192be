import type { TestFlight, TestPattern } from '@acorn-tally/core';
import type { TestRow } from './useTests';

export const patternNames: Record<TestPattern, string> = {
  'low-hover': 'low hover',
  'high-hover': 'high hover',
  'there-and-back': 'there and back',
  circle: 'circle round a subject',
  'figure-of-eight': 'figure of eight',
  'free-flying': 'free flying',
};

export function isHover(pattern: TestPattern): boolean {
  return pattern === 'low-hover' || pattern === 'high-hover';
}

/** "low hover", "fast, there and back". */
export function howFlown({ test }: { readonly test: Pick<TestFlight, 'pattern' | 'mode'> }): string {
  const pattern = patternNames[test.pattern];
  return isHover(test.pattern) ? pattern : `${test.mode ?? 'normal'}, ${pattern}`;
}

/** "Jay 1, low hover, 4K": which flight, among others. */
export function nameOf({ record, battery }: TestRow): string {
  const { recording } = record.test;
  return `${battery?.label ?? 'removed battery'}, ${howFlown(record)}${recording ? `, ${recording}` : ''}`;
}

/** By how much an estimate missed, and which way: 0.04 → "4 % too long", −0.02 → "2 % too short". */
export function missInWords(missFraction: number): string {
  const percent = Math.round(missFraction * 100);
  if (percent === 0) return 'right';
  return percent > 0 ? `${percent} % too long` : `${-percent} % too short`;
}
