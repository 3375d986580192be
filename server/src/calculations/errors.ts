/** No thread is free, or one took too long: it can be asked again later. */
export class CalculatorBusy extends Error {
  constructor(
    message: string,
    readonly retryAfterS: number,
  ) {
    super(message);
  }
}
