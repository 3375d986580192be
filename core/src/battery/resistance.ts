import { type Assumed, because } from '../units/assumed';
import { molarGasConstant } from '../units/physics';
import { kelvin } from '../units/temperature';
import type { Chemistry } from './battery';

/**
 * Resistance times capacity of a cell at 25 °C under a flight's current, Ω·Ah: packs of camera drones are made for energy, plain ones
 * for racing for current (assumed, from memory of what they sag by).
 */
const ohmAh: Readonly<Record<Chemistry, number>> = {
  'high-voltage lithium-polymer': 0.09,
  'lithium-polymer': 0.02,
  'lithium-ion': 0.045,
};

export const resistancePriors = {
  resistanceRatio: {
    value: 1,
    spread: 0.3,
    kind: 'relative',
    scope: 'aircraft',
    because: because(
      'assumed, from memory of what packs sag by in flight: a cell of 1 Ah has {cameraOhm} in a high-voltage pack, {racingOhm} in a plain one made for racing and {ionOhm} in a lithium-ion one at {warmC}, falling with capacity as 1/Ah; and how it grows when worn or nearly empty',
      {
        cameraOhm: ohmAh['high-voltage lithium-polymer'],
        racingOhm: ohmAh['lithium-polymer'],
        ionOhm: ohmAh['lithium-ion'],
        warmC: 25,
      },
    ),
    betterBy: 'cold-test',
  },
  activationEnergyJpmol: {
    value: 25_000,
    spread: 0.25,
    kind: 'relative',
    scope: 'aircraft',
    because: because(
      'assumed: the electrolyte’s part of a cell’s resistance grows with 17 kJ/mol, the charge transfer’s with 44 to 53 (Ecker et al., J. Electrochem. Soc. 2015), and the more current, the less the second counts; from {warmC} to {coldC} it grows two and a half times',
      { warmC: 25, coldC: 0 },
    ),
    betterBy: 'cold-test',
  },
} as const satisfies Record<string, Assumed>;

const referenceK = 298.15;

/** A cell's resistance at 25 °C and well charged, and how it grows in the cold, Ea/R in kelvin. */
export interface CellResistance {
  readonly warmOhm: number;
  readonly activationK: number;
}

/** A worn cell has more, about 60 % more at 80 % health (assumed). */
export function cellResistance(
  cell: { readonly chemistry: Chemistry; readonly capacityAh: number; readonly health: number },
  coefficients: { readonly resistanceRatio: number; readonly activationEnergyJpmol: number },
): CellResistance {
  const freshOhm = (ohmAh[cell.chemistry] * coefficients.resistanceRatio) / cell.capacityAh;
  return {
    warmOhm: freshOhm * (1 + 3 * Math.max(0, 1 - cell.health)),
    activationK: coefficients.activationEnergyJpmol / molarGasConstant,
  };
}

/**
 * Resistance of one cell in Ω: R = R25 · exp(Ea/R · (1/T − 1/298.15 K)), from −30 to 60 °C (Arrhenius; Plett, Battery
 * Management Systems vol. 1, ch. 2). Below 15 % charge it rises, to double at 0 % (assumed).
 */
export function resistanceOhm(cell: CellResistance, charge: number, temperatureC: number): number {
  const cold = Math.exp(cell.activationK * (1 / kelvin(temperatureC) - 1 / referenceK));
  const below = Math.max(0, 0.15 - Math.max(0, charge)) / 0.15;
  return cell.warmOhm * cold * (1 + below * below);
}
