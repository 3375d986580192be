import {
  type AircraftRecord,
  type BatteryRecord,
  boxTemperatureC,
  confidenceOf,
  type DayAtPlace,
  type Estimate,
  type Explanation,
  minutesAndSeconds,
  type PlannedFigures,
  roughnessClasses,
  type Sentence,
  sentence,
} from '@acorn-tally/core';
import { shareInWords, turnBackPercent } from '../fields/percent';

/** One step from the box to the minutes: what it says of this battery, its rule in words, and who says so. */
export interface MethodStep {
  readonly name: string;
  readonly says: Sentence;
  readonly rule: string;
  readonly source: string;
}

export interface Told {
  readonly aircraft: AircraftRecord;
  readonly battery: BatteryRecord;
  readonly conditions: DayAtPlace;
  readonly estimate: Estimate;
  readonly explained: Explanation;
  /** What is planned; null while it is being computed. */
  readonly planned: PlannedFigures | null;
}

const whole = (fraction: number) => `${Math.round(fraction * 100)} %`;

export function stepsOf(told: Told): MethodStep[] {
  return [
    air(told),
    wind(told),
    box(told),
    flown(told),
    pack(told),
    gauge(told),
    wayHome(told),
    heldBack(told),
    ...doubt(told),
  ];
}

function air({ conditions, estimate, aircraft }: Told): MethodStep {
  const { airTemperatureC, elevationM } = conditions.weather;
  const { densityKgm3, densityAltitudeM } = estimate.air;
  return {
    name: 'Air',
    says: sentence(
      'air',
      'At {elevationM} of ground, {heightM} up and {airTemperatureC:1} the air weighs {densityKgm3:2}: as at {densityAltitudeM} on a standard day. Thin air makes rotors work harder; cold air is thick.',
      {
        elevationM,
        heightM: aircraft.flight.heightM,
        airTemperatureC,
        densityKgm3,
        densityAltitudeM: Math.round(densityAltitudeM / 10) * 10,
      },
    ),
    rule: 'density = pressure ÷ (gas constant × temperature), less a little for water vapour',
    source: 'ISO 2533; Alduchov & Eskridge 1996',
  };
}

function wind({ conditions, estimate, explained, aircraft }: Told): MethodStep {
  const { wind: read } = conditions.weather;
  const ground = roughnessClasses.find(({ roughnessM }) => roughnessM === explained.roughnessM);
  return {
    name: 'Wind',
    says: sentence(
      'wind',
      '{readMps:1} read at {readingHeightM} over {ground} is {growthCount:1} times as much at {heightM}: {windMps:1}, gusts {gustMps:1}. Gusts cost, since power grows faster than speed.',
      {
        readMps: read.speedMps,
        readingHeightM: read.readingHeightM,
        ground:
          ground?.name ??
          sentence('roughness', 'ground of roughness {roughnessM:2}', { roughnessM: explained.roughnessM }),
        growthCount: explained.windGrowthRatio,
        heightM: aircraft.flight.heightM,
        windMps: estimate.air.windAtHeightMps,
        gustMps: estimate.air.gustAtHeightMps,
      },
    ),
    rule: 'wind = reading × ln(height ÷ roughness) ÷ ln(reading height ÷ roughness)',
    source: 'Wieringa 1992',
  };
}

function box({ aircraft: { spec }, explained }: Told): MethodStep {
  const values = {
    flightS: spec.advertisedFlightTimeS,
    speedMps: spec.advertisedSpeedMps,
    boxC: boxTemperatureC,
    boxW: explained.boxPowerW,
    electronicsW: explained.electronicsW,
    lossCount: explained.lossRatio,
  };
  return {
    name: 'The box',
    says:
      spec.advertisedHoverTimeS == null
        ? sentence(
            'box',
            '{flightS} min at {speedMps:1} from a full pack in still air at {boxC} takes {boxW:1}, {electronicsW:1} of it for electronics. Its motors and blades so take {lossCount:2} times what ideal rotors would: that factor is solved, not guessed.',
            values,
          )
        : sentence(
            'box-pair',
            'A full pack in still air at {boxC} hovers for {hoverS} min and flies {flightS} min at {speedMps:1}. Both times are rounded, so they are weighed against what such aircraft have: that flight takes about {boxW:1}, {electronicsW:1} of it for electronics. Motors and blades take {lossCount:2} times what ideal rotors would: that factor is solved from the hover.',
            { ...values, hoverS: spec.advertisedHoverTimeS },
          ),
    rule: 'power = electronics + factor × (lift + blade drag + body drag + climb)',
    source: 'Glauert; Leishman, Principles of Helicopter Aerodynamics, ch. 2 and 5',
  };
}

function flown({ estimate, aircraft }: Told): MethodStep {
  const mix = aircraft.flight.mix
    .filter(({ share }) => share > 0)
    .map(({ style, share }) => `${style} ${whole(share)}`)
    .join(', ');
  return {
    name: 'Your flying',
    says: sentence(
      'flying',
      'A hover in this wind takes {hoverW:1}; {mix} {meanW:1} on average. Each stop throws away the energy of motion, each circle needs more lift.',
      {
        hoverW: estimate.power.hoverW,
        mix: mix ? `${mix} takes` : 'your legs take',
        meanW: estimate.power.meanW,
      },
    ),
    rule: 'mean over airspeeds upwind, downwind, across, and over the gusts; ½ m V² a stop',
    source: 'Abramowitz & Stegun 25.10 (mean over gusts); flight mechanics',
  };
}

function pack({ explained, battery }: Told): MethodStep {
  const { startC, endC, startOhm, warmOhm } = explained;
  return {
    name: 'The pack',
    says: sentence(
      'pack',
      '{label}: {labelWh:1} on the label, {chemistry}, {healthFraction} healthy, {takeoffCharge} at take-off. It starts at {startC} and would end at {endC}. Its cells resist with {startOhm}, at {boxC} with {warmOhm}: cold cells sag sooner, and the aircraft falls at 3.0 V a cell.',
      {
        label: battery.label,
        labelWh: explained.labelWh,
        chemistry: explained.chemistry,
        healthFraction: explained.health,
        takeoffCharge: explained.takeoffCharge,
        startC,
        endC,
        startOhm,
        boxC: boxTemperatureC,
        warmOhm,
      },
    ),
    rule: 'volts under load = rest volts − current × resistance; current = power ÷ volts',
    source: 'Plett, Battery Management Systems vol. 1, ch. 2',
  };
}

function gauge({ explained }: Told): MethodStep {
  return {
    name: 'The gauge',
    says: sentence(
      'gauge',
      'The gauge keeps {hiddenCharge} below its 0 %. That is margin for an emergency: never planned, so it counts as gone.',
      { hiddenCharge: explained.hiddenCharge },
    ),
    rule: 'gauge = (charge − hidden) ÷ (1 − hidden)',
    source: 'common practice: 9 s to 3 min were flown after 0 %',
  };
}

function wayHome({ explained, aircraft }: Told): MethodStep {
  const legs = explained.wayHome
    .map(({ kind, durationS }) => `${kind} ${minutesAndSeconds(durationS)}`)
    .join(', ');
  return {
    name: 'Way home',
    says: sentence(
      'way-home',
      'From {farthestM} out, {groundMps:1} are left over ground: {legs}, in all {wayHomeS} min.',
      {
        farthestM: aircraft.flight.farthestM,
        groundMps: explained.wayHomeGroundMps,
        legs,
        wayHomeS: explained.wayHomeS,
      },
    ),
    rule: 'over ground = √(airspeed² − crosswind²) − headwind',
    source: 'FAA-H-8083-25, ch. 16',
  };
}

function heldBack({ estimate }: Told): MethodStep {
  return {
    name: 'Held back',
    says: sentence(
      'held-back',
      'To touch down at {downCharge} the middle flight would have to turn back at {turnCharge}, after {usableS} min. Half of all flights are shorter.',
      {
        downCharge: estimate.touchdownCharge.p50,
        turnCharge: estimate.turnBackCharge.p50,
        usableS: estimate.usableS.p50,
      },
    ),
    rule: 'turn back = the last moment from which the way home ends with the reserve',
    source: 'common practice: 20, 25 or 30 % by weather and site',
  };
}

function doubt({ aircraft, estimate, planned }: Told): MethodStep[] {
  if (!planned || planned.turnBackCharge === null) return [];
  return [
    {
      name: 'Kept for doubt',
      says: sentence(
        'doubt',
        '{share} flights last at least {plannedS} min: that is to plan on, and {doubtS} min less than the middle. In the air turn back by {turn} on the gauge: {share} flights then land with what is held back. The two are not one moment: most flights come to that charge later.',
        {
          share: shareInWords(confidenceOf(aircraft.policy)),
          plannedS: planned.usableS,
          doubtS: estimate.usableS.p50 - planned.usableS,
          turn: turnBackPercent(planned.turnBackCharge),
        },
      ),
      rule: 'planned = the time that so many of 512 drawn flights reach',
      source: 'Sobol 1967; Joe & Kuo 2008; quantiles by Hyndman & Fan 1996',
    },
  ];
}
