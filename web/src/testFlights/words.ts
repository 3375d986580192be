import { howFlown } from '../parts/testWords';
import type { TestRow } from './useTests';

/** "Jay 1, low hover, 4K": which flight, among others. */
export function nameOf({ record, battery }: TestRow): string {
  const { recording } = record.test;
  return `${battery?.label ?? 'removed battery'}, ${howFlown(record)}${recording ? `, ${recording}` : ''}`;
}

/** By how much an estimate missed, and which way: 0.04 → "4 % too long", −0.02 → "2 % too short". */
export function missInWords(missFraction: number): string {
  const percent = Math.round(missFraction * 100);
  if (percent === 0) return 'right';
  return percent > 0 ? `${percent} % too high` : `${-percent} % too low`;
}
