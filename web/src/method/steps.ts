import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  type Estimate,
  type Explanation,
  minutesAndSeconds,
  roughnessClasses,
} from '@acorn-tally/core';

/** One step from the box to the minutes: what it says of this battery, its rule in words, and who says so. */
export interface Step {
  readonly name: string;
  readonly says: string;
  readonly rule: string;
  readonly source: string;
}

export interface Told {
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: ConditionsRecord;
  readonly estimate: Estimate;
  readonly explained: Explanation;
}

const whole = (fraction: number) => `${Math.round(fraction * 100)} %`;
const clock = (seconds: number) => `${minutesAndSeconds(seconds)} min`;

export function stepsOf(told: Told): Step[] {
  return [
    air(told),
    wind(told),
    box(told),
    flown(told),
    pack(told),
    gauge(told),
    wayHome(told),
    heldBack(told),
  ];
}

function air({ conditions, estimate, aircraft }: Told): Step {
  const { airTemperatureC, elevationM } = conditions.weather;
  const { densityKgm3, densityAltitudeM } = estimate.air;
  return {
    name: 'Air',
    says: `At ${elevationM} m of ground, ${aircraft.flight.heightM} m up and ${airTemperatureC} °C a cubic metre weighs ${densityKgm3.toFixed(2)} kg: as at ${Math.round(densityAltitudeM / 10) * 10} m on a standard day. Thin air makes rotors work harder; cold air is thick.`,
    rule: 'density = pressure ÷ (gas constant × temperature), less a little for water vapour',
    source: 'ISO 2533; Alduchov & Eskridge 1996',
  };
}

function wind({ conditions, estimate, explained, aircraft }: Told): Step {
  const { wind: read } = conditions.weather;
  const ground = roughnessClasses.find(({ roughnessM }) => roughnessM === explained.roughnessM);
  return {
    name: 'Wind',
    says: `${read.speedMps} m/s read at ${read.readingHeightM} m over ${ground?.name ?? `ground of roughness ${explained.roughnessM} m`} is ${explained.windGrowthRatio.toFixed(1)} times as much at ${aircraft.flight.heightM} m: ${estimate.air.windAtHeightMps.toFixed(1)} m/s, gusts ${estimate.air.gustAtHeightMps.toFixed(1)} m/s. Gusts cost, since power grows faster than speed.`,
    rule: 'wind = reading × ln(height ÷ roughness) ÷ ln(reading height ÷ roughness)',
    source: 'Wieringa 1992',
  };
}

function box({ aircraft: { spec }, explained }: Told): Step {
  return {
    name: 'The box',
    says: `${clock(spec.advertisedFlightTimeS)} at ${spec.advertisedSpeedMps} m/s from a full pack in still air at 25 °C takes ${explained.boxPowerW.toFixed(1)} W, ${explained.electronicsW.toFixed(1)} W of it for electronics. Its motors and blades so take ${explained.lossRatio.toFixed(2)} times what ideal rotors would: that factor is solved, not guessed.`,
    rule: 'power = electronics + factor × (lift + blade drag + body drag + climb)',
    source: 'Glauert; Leishman, Principles of Helicopter Aerodynamics, ch. 2 and 5',
  };
}

function flown({ estimate, aircraft }: Told): Step {
  const mix = aircraft.flight.mix
    .filter(({ share }) => share > 0)
    .map(({ style, share }) => `${style} ${whole(share)}`)
    .join(', ');
  return {
    name: 'Your flying',
    says: `A hover in this wind takes ${estimate.power.hoverW.toFixed(1)} W; ${mix ? `${mix} takes` : 'your legs take'} ${estimate.power.meanW.toFixed(1)} W on average. Each stop throws away the energy of motion, each circle needs more lift.`,
    rule: 'mean over airspeeds upwind, downwind, across, and over the gusts; ½ m V² a stop',
    source: 'Abramowitz & Stegun 25.10 (mean over gusts); flight mechanics',
  };
}

function pack({ explained, battery }: Told): Step {
  const { startC, endC, startOhm, warmOhm } = explained;
  return {
    name: 'The pack',
    says: `${battery.label}: ${explained.labelWh.toFixed(1)} Wh on the label, ${explained.chemistry}, ${whole(explained.health)} healthy, ${whole(explained.takeoffCharge)} at take-off. It starts at ${Math.round(startC)} °C and would end at ${Math.round(endC)} °C. Its cells resist with ${(startOhm * 1000).toFixed(0)} mΩ, at 25 °C with ${(warmOhm * 1000).toFixed(0)} mΩ: cold cells sag sooner, and the aircraft falls at 3.0 V a cell.`,
    rule: 'volts under load = rest volts − current × resistance; current = power ÷ volts',
    source: 'Plett, Battery Management Systems vol. 1, ch. 2',
  };
}

function gauge({ explained }: Told): Step {
  return {
    name: 'The gauge',
    says: `The gauge keeps ${whole(explained.hiddenCharge)} below its 0 %. That is margin for an emergency: never planned, so it counts as gone.`,
    rule: 'gauge = (charge − hidden) ÷ (1 − hidden)',
    source: 'common practice: 9 s to 3 min were flown after 0 %',
  };
}

function wayHome({ explained, aircraft }: Told): Step {
  const legs = explained.wayHome
    .map(({ kind, durationS }) => `${kind} ${minutesAndSeconds(durationS)}`)
    .join(', ');
  return {
    name: 'Way home',
    says: `From ${aircraft.flight.farthestM} m out, ${explained.wayHomeGroundMps.toFixed(1)} m/s are left over ground: ${legs}, in all ${clock(explained.wayHomeS)}.`,
    rule: 'over ground = √(airspeed² − crosswind²) − headwind',
    source: 'FAA-H-8083-25, ch. 16',
  };
}

function heldBack({ estimate }: Told): Step {
  const turn = estimate.events.find(({ kind }) => kind === 'turn-back');
  const down = estimate.events.find(({ kind }) => kind === 'touch-down');
  return {
    name: 'Held back',
    says: `To touch down at ${whole(down?.charge ?? 0)} it must turn back at ${whole(turn?.charge ?? 0)}, after ${clock(estimate.usableS.p50)}. These are middle values: half of all flights are shorter, so plan with the smaller figure.`,
    rule: 'turn back = the last moment from which the way home ends with the reserve',
    source: 'common practice: 20, 25 or 30 % by weather and site',
  };
}
