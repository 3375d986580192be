/** A fraction as a person reads it: 0.58 → "58 %", −0.02 → "−2 %". */
export function percent(fraction: number): string {
  return `${Math.round(fraction * 100)} %`.replace('-', '−');
}

/** The charge to turn back at, never rounded towards danger: 0.402 → "41 %". */
export function turnBackPercent(charge: number): string {
  return `${Math.ceil(charge * 100 - 1e-9)} %`;
}

/** "36 in 100", of flights. */
export function inHundred(chance: number): string {
  return `${Math.round(chance * 100)} in 100`;
}

/** A share of flights as a pilot says it: 0.9 → "9 in 10", 0.95 → "95 in 100". */
export function shareInWords(share: number): string {
  const tenths = Math.round(share * 10);
  if (Math.abs(share * 10 - tenths) > 1e-6) return `${Math.round(share * 100)} in 100`;
  return `${tenths} in 10`;
}

const small = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ');

/** "nine", "24". */
export function countInWords(count: number): string {
  return small[count] ?? String(count);
}
