import {
  type AirAtHeight,
  atmosphereOver,
  type Belief,
  type Conditions,
  type Outcome,
} from '@acorn-tally/core';

/** The air at one height over the place, or why it cannot be known. */
export function airAt(
  weather: Conditions,
  heightM: number,
  { middle }: Pick<Belief, 'middle'>,
): Outcome<AirAtHeight> {
  const atmosphere = atmosphereOver(weather, middle.coefficients);
  return atmosphere.ok ? { ok: true, value: atmosphere.value(heightM) } : atmosphere;
}

const bearing = (degrees: number) => `${String(Math.round(degrees) % 360).padStart(3, '0')}°`;

export { bearing };
