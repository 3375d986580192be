import type { Assumed } from '../units/assumed';
import { molarGasConstant } from '../units/physics';
import { kelvin } from '../units/temperature';

export const resistancePriors = {
  resistanceRatio: {
    value: 1,
    spread: 0.3,
    kind: 'relative',
    because: 'assumed: 30 mΩ a cell at 2.25 Ah and 25 °C, falling with capacity as 1/Ah',
  },
  activationEnergyJpmol: {
    value: 20_000,
    spread: 0.25,
    kind: 'relative',
    because:
      'assumed: lithium cells lie between 15 and 30 kJ/mol; doubles the resistance from 25 °C to about 0 °C',
  },
} as const satisfies Record<string, Assumed>;

const reference = { resistanceOhm: 0.03, capacityAh: 2.25, temperatureK: 298.15 } as const;

/**
 * Resistance of one cell in Ω: R = R25 · exp(Ea/R · (1/T − 1/298.15 K)), from −30 to 60 °C (Arrhenius; Plett, Battery
 * Management Systems vol. 1, ch. 2). Below 15 % charge it rises, to double at 0 % (assumed); a worn cell has more,
 * about 60 % more at 80 % health (assumed).
 */
export function cellResistance(
  cell: { readonly capacityAh: number; readonly health: number },
  coefficients: { readonly resistanceRatio: number; readonly activationEnergyJpmol: number },
): (charge: number, temperatureC: number) => number {
  const freshOhm =
    (reference.resistanceOhm * reference.capacityAh * coefficients.resistanceRatio) / cell.capacityAh;
  const warmOhm = freshOhm * (1 + 3 * Math.max(0, 1 - cell.health));
  const activationK = coefficients.activationEnergyJpmol / molarGasConstant;
  return (charge, temperatureC) =>
    warmOhm *
    Math.exp(activationK * (1 / kelvin(temperatureC) - 1 / reference.temperatureK)) *
    nearlyEmptyFactor(charge);
}

function nearlyEmptyFactor(charge: number): number {
  const below = Math.max(0, 0.15 - Math.max(0, charge)) / 0.15;
  return 1 + below ** 2;
}
