/** What a pilot is told to do is told for whole minutes of the clock: take-offs, plugging in and out. */
export function wholeMinuteFrom(seconds: number): number {
  // The start is 0, never −0.
  return Math.ceil(seconds / 60 - 1e-9) * 60 + 0;
}

export function wholeMinuteUntil(seconds: number): number {
  return Math.floor(seconds / 60 + 1e-9) * 60;
}
