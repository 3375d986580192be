import { type AirAtHeight, atmosphereOver, type Belief, type Conditions } from '@acorn-tally/core';

/** The likeliest air at one height over the place. */
export function airAt(weather: Conditions, heightM: number, { middle }: Pick<Belief, 'middle'>): AirAtHeight {
  return atmosphereOver(weather, middle.coefficients)(heightM);
}

const bearing = (degrees: number) => `${String(Math.round(degrees) % 360).padStart(3, '0')}°`;

export { bearing };
