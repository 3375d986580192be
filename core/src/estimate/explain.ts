import { stillAir } from '../air/conditions';
import { defaultRoughnessM } from '../air/roughness';
import { gaugeOf } from '../battery/gauge';
import { chemistryOf } from '../battery/openCircuit';
import { resistanceOhm } from '../battery/resistance';
import type { Belief } from '../belief/belief';
import { boxDensityKgm3, boxTemperatureC } from '../flight/box';
import { endOf } from '../flight/drain';
import { gustyPowerW } from '../flight/powertrain';
import { type Outcome, success } from '../units/outcome';
import type { EstimateRequest } from './request';
import { simulate } from './simulate';

/** The numbers between the box and the minutes, for the page that explains them. */
export interface Explanation {
  readonly roughnessM: number;
  /** How much stronger the wind is at the working height than where it was read. */
  readonly windGrowthRatio: number;
  readonly boxPowerW: number;
  /** What motors and blades take over ideal rotors, solved from the box. */
  readonly lossRatio: number;
  readonly electronicsW: number;
  readonly labelWh: number;
  readonly chemistry: string;
  readonly health: number;
  readonly takeoffCharge: number;
  readonly hiddenCharge: number;
  readonly startC: number;
  readonly endC: number;
  /** Resistance of one cell at take-off, and as it would be at 25 °C. */
  readonly startOhm: number;
  readonly warmOhm: number;
  readonly wayHome: readonly { readonly kind: string; readonly durationS: number; readonly powerW: number }[];
  readonly wayHomeS: number;
  readonly wayHomeGroundMps: number;
}

export function explain(request: EstimateRequest, { middle }: Pick<Belief, 'middle'>): Outcome<Explanation> {
  const simulated = simulate(request, middle);
  if (!simulated.ok) return simulated;
  const { aircraft, battery, conditions, flight } = request;
  const { boxPowertrain, cells, atmosphere, curve, wayHome, health, takeoff } = simulated.value;
  const startC = battery.startTemperatureC ?? conditions.airTemperatureC;
  const boxAir = stillAir(boxTemperatureC, boxDensityKgm3)(0);
  const { speedMps } = conditions.wind;
  return success({
    roughnessM: conditions.roughnessM ?? defaultRoughnessM,
    windGrowthRatio: speedMps > 0 ? atmosphere(flight.heightM).windMps / speedMps : 1,
    boxPowerW: gustyPowerW(boxPowertrain, boxAir, { airspeedMps: aircraft.advertisedSpeedMps }),
    lossRatio: boxPowertrain.scale,
    electronicsW: boxPowertrain.airframe.auxiliaryPowerW,
    labelWh: (battery.ratedCapacityMah / 1000) * battery.nominalVoltageV,
    chemistry: chemistryOf(battery),
    health,
    takeoffCharge: gaugeOf(takeoff.charge, cells.hidden),
    hiddenCharge: cells.hidden,
    startC,
    endC: endOf(curve)?.temperatureC ?? startC,
    startOhm: resistanceOhm(cells.resistance, 0.9, startC),
    warmOhm: cells.resistance.warmOhm,
    wayHome: wayHome.map(({ kind, durationS, powerW }) => ({ kind, durationS, powerW })),
    wayHomeS: wayHome.reduce((sum, leg) => sum + leg.durationS, 0),
    wayHomeGroundMps: wayHome.find(({ kind }) => kind === 'cruise')?.groundMps ?? 0,
  });
}
