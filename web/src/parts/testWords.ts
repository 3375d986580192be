import type { NextTest, TestFlight, TestPattern } from '@acorn-tally/core';

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

const twisted = {
  'to-zero': ', down to 0 % and motors out, low over grass',
  'cold-pack': ', with the pack as cold as the air',
} as const;

/** "fast, there and back, with Jay 2". */
export function testInWords(
  { pattern, style, twist, batteryId }: NextTest,
  labelOf: (id: string) => string,
): string {
  const how = howFlown({ test: { pattern, mode: style === 'hover' ? null : style } });
  return `${how}${twist ? twisted[twist] : ''}, with ${labelOf(batteryId)}`;
}
