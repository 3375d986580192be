export const zeroCelsiusK = 273.15;

export function kelvin(celsius: number): number {
  return celsius + zeroCelsiusK;
}
