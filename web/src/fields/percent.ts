/** A fraction as a person reads it: 0.58 → "58 %", −0.02 → "−2 %". */
export function percent(fraction: number): string {
  return `${Math.round(fraction * 100)} %`.replace('-', '−');
}
