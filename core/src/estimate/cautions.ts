import type { AirAtHeight } from '../air/conditions';
import { densityAltitudeM } from '../air/densityAltitude';
import { clearanceM, suggestedReturnHeight } from '../air/obstacle';
import { defaultCeilingM, tallestThingM } from '../air/site';
import { type Aircraft, maxAirspeedMps, spec } from '../aircraft/aircraft';
import { rotorDiameterM } from '../aircraft/airframe';
import { groundEffectPowerRatio, isInGroundEffect } from '../aircraft/groundEffect';
import { frozenBelowC } from '../battery/fitToFly';
import { gaugeOf } from '../battery/gauge';
import { voltRuleOf } from '../battery/voltRule';
import { momentAtVolts } from '../flight/drain';
import { byItself, defaultReturnHeightM, type HomeRule } from '../reserve/homing';
import { defaultReserveCharge, isTestOnly } from '../reserve/policy';
import { countdownS, returnLegs } from '../reserve/returnHome';
import { type Sentence, sentence, type TemplateValues } from '../units/sentence';
import type { FlightEvent } from './events';
import { type EstimateRequest, homeRule } from './request';
import type { Simulation } from './simulate';

export const batteryCautionCodes = [
  'frozen-pack',
  'cold-pack',
  'hot-pack',
  'low-volts',
  'not-full',
  'worn',
] as const;
export const flightCautionCodes = [
  'gust-below-wind',
  'gust-over-return-speed',
  'over-wind-limit',
  'over-height-limit',
  'thin-air',
  'style-may-drift',
  'hover-needs-fast',
  'home-by-hand',
  'lost-link-drifts',
  'slow-way-home',
  'own-return-late',
  'reserve-below-forced-landing',
  'ground-effect',
  'above-ceiling',
  'low-return-height',
  'frost',
  'hover-time-odd',
  'test-only',
] as const;
export type BatteryCautionCode = (typeof batteryCautionCodes)[number];
export type CautionCode = BatteryCautionCode | (typeof flightCautionCodes)[number];

export interface Caution extends Sentence<CautionCode> {
  /** What it is about: this battery, or the flight whatever the battery. */
  readonly about: 'battery' | 'flight';
}

/** Cells give less and sag more below about 15 °C (common practice: makers ask for 20 °C, pilots hover until 15). */
export const coldPackC = 15;
/** From here on cells age fast, and makers forbid to charge them (common practice: 55 to 60 °C). */
const hotPackC = 55;
const notFullCharge = 0.9;
/** Charge lost standing that is worth a word. */
const worthSaying = 0.02;
const wornHealth = 0.85;
export const frostReserveCharge = 0.3;
/** Half of the last digit that is shown: what looks the same is not told as more. */
const asShownMps = 0.05;
/** An own call that comes later than this is told. */
const worthACallS = 30;
/** Below this the aircraft’s still-air assumption is near enough. */
const stillMps = 2;

/** What a pilot should be told beside the figure, most pressing first. Thresholds are common practice. */
export function cautions(request: EstimateRequest, simulation: Simulation): Caution[] {
  const found = [
    ...packTemperature(request, simulation),
    ...volts(request, simulation),
    ...standing(request, simulation),
    ...wear(request, simulation.health),
    ...wind(request, simulation),
    ...reserve(request),
    ...thinAir(request, simulation),
    ...place(request, simulation),
    ...box(simulation),
  ];
  return found.filter((item) => item !== false);
}

type Found = (Caution | false)[];

function packTemperature({ battery, conditions }: EstimateRequest, { end }: Simulation): Found {
  const endC = end.touchdown.temperatureC;
  const packC = battery.startTemperatureC ?? conditions.airTemperatureC;
  return [
    packC < frozenBelowC && ofBattery('frozen-pack', 'Frozen pack: do not fly it, warm it slowly'),
    packC >= frozenBelowC && packC < coldPackC && ofBattery('cold-pack', 'Cold pack: warm it first'),
    endC >= hotPackC &&
      ofBattery(
        'hot-pack',
        'The pack lands at about {endC}: let it cool before it is charged or flown again',
        {
          endC,
        },
      ),
  ];
}

/** A cell that is down to its landing volts before the flight turns back, by the gauge there is still much to spend. */
function volts({ policy }: EstimateRequest, { curve, cells, battery, end }: Simulation): Found {
  const { landCellVoltageV } = voltRuleOf(battery);
  const low = momentAtVolts(cells, curve, landCellVoltageV);
  if (!low || low.timeS >= end.turnBack.timeS || isTestOnly(policy)) return [];
  return [
    ofBattery(
      'low-volts',
      'Under load a cell is down to {landCellV:2} after {lowS}, with {leftCharge} on the gauge: land by then if you or your aircraft go by volts',
      { landCellV: landCellVoltageV, lowS: low.timeS, leftCharge: gaugeOf(low.charge, cells.hidden) },
    ),
  ];
}

function standing({ battery }: EstimateRequest, { takeoff, cells }: Simulation): Found {
  const leftCharge = gaugeOf(takeoff.charge, cells.hidden);
  if (leftCharge >= notFullCharge) return [];
  const stoodDays = battery.daysSinceCharge ?? 0;
  return [
    battery.startCharge - leftCharge > worthSaying
      ? ofBattery('not-full', 'Stood {stoodDays}, about {leftCharge} left', { stoodDays, leftCharge })
      : ofBattery('not-full', 'Only {leftCharge} charged', { leftCharge }),
  ];
}

function wear({ battery }: EstimateRequest, healthFraction: number): Found {
  if (healthFraction >= wornHealth) return [];
  return [
    battery.health == null
      ? ofBattery('worn', 'Weak: about {healthFraction} of its label, by its cycles and age', {
          healthFraction,
        })
      : ofBattery('worn', 'Weak: {healthFraction} of its label', { healthFraction }),
  ];
}

function wind(request: EstimateRequest, simulation: Simulation): Found {
  const { aircraft, conditions, flight } = request;
  const rule = homeRule(request);
  const { speedMps, gustMps } = conditions.wind;
  const air = simulation.atmosphere(flight.heightM);
  const cruise = simulation.wayHome.find((leg) => leg.kind === 'cruise');
  const returnMps = spec(aircraft, 'returnSpeedMps');
  return [
    gustMps != null &&
      gustMps < speedMps &&
      ofFlight(
        'gust-below-wind',
        'Gusts of {gustMps:1} are weaker than the wind of {speedMps:1}: one of them is wrong, so the gust is left out until you set it right',
        { gustMps, speedMps },
      ),
    aircraft.maxWindMps != null &&
      air.gustMps > aircraft.maxWindMps &&
      ofFlight(
        'over-wind-limit',
        'Gusts of {gustMps:1} at {heightM} exceed the maker’s limit of {limitMps:1}',
        { gustMps: air.gustMps, heightM: flight.heightM, limitMps: aircraft.maxWindMps },
      ),
    ...driftingStyles(flight, aircraft, air),
    byHand(simulation, flight, rule),
    rule.comesHome === 'by-itself' &&
      air.gustMps > returnMps &&
      ofFlight('gust-over-return-speed', 'Gusts of {gustMps} exceed the return speed', {
        gustMps: air.gustMps,
      }),
    cruise !== undefined &&
      cruise.groundMps < returnMps / 2 &&
      ofFlight('slow-way-home', 'Slow way home: {farthestM} takes {durationS} against the wind', {
        farthestM: flight.farthestM,
        durationS: cruise.durationS,
      }),
  ];
}

/** Parts of a mix that gusts may carry off, each with what holds instead. */
function driftingStyles(
  { mix }: EstimateRequest['flight'],
  aircraft: Aircraft,
  { windMps, gustMps }: AirAtHeight,
): Found {
  const flown = mix.filter(({ share }) => share > 0).map(({ style }) => style);
  const drifting = (['slow', 'normal'] as const).filter(
    (mode) => flown.includes(mode) && gustMps > maxAirspeedMps(aircraft, mode) + asShownMps,
  );
  return [
    flown.includes('hover') &&
      windMps > maxAirspeedMps(aircraft, 'normal') &&
      ofFlight('hover-needs-fast', 'In {windMps:1} of wind a hover drifts in normal mode; fast holds it', {
        windMps,
      }),
    ...drifting.map((mode) =>
      ofFlight(
        'style-may-drift',
        'Gusts of {gustMps:1} exceed the {topMps:1} of {mode} mode: have a faster mode ready',
        { mode, topMps: maxAirspeedMps(aircraft, mode), gustMps },
      ),
    ),
  ];
}

/** What a way home by hand rests on, and what a lost link would leave. */
function byHand(
  simulation: Simulation,
  { farthestM: distanceM, bearingDeg, heightM }: EstimateRequest['flight'],
  rule: HomeRule,
): Caution | false {
  if (rule.comesHome === 'by-itself') return false;
  const own = returnLegs(simulation, { distanceM, bearingDeg, heightM }, byItself(rule));
  if (own.ok) return ofFlight('home-by-hand', 'Flown home by hand: in sight, link held, stick forward');
  return ofFlight(
    'lost-link-drifts',
    'Flown home by hand: in sight, link held, stick forward. Lose the link and it does not come home: by itself it drifts back at {driftMps:1}',
    { driftMps: Number(own.refusal.values.driftMps) },
  );
}

/** Told where the planned turn back is known: how much later the aircraft's own call to return would come. */
export function ownReturnCaution(
  { policy, flight }: EstimateRequest,
  { atmosphere }: Simulation,
  events: readonly FlightEvent[],
): Caution[] {
  const prompt = events.find(({ kind }) => kind === 'own-return');
  const turnBack = events.find(({ kind }) => kind === 'turn-back');
  if (!prompt || !turnBack || isTestOnly(policy)) return [];
  const lateS = prompt.timeS + countdownS - turnBack.timeS;
  if (!(lateS > worthACallS && atmosphere(flight.heightM).windMps > stillMps)) return [];
  return [
    ofFlight(
      'own-return-late',
      'The aircraft’s automatic return assumes still air: it sets off about {lateS} too late',
      { lateS },
    ),
  ];
}

function reserve({ aircraft, policy, conditions }: EstimateRequest): Found {
  const reserveCharge = policy.reserveCharge ?? defaultReserveCharge;
  const forcedCharge = spec(aircraft, 'forcedLandingCharge');
  return [
    !isTestOnly(policy) &&
      reserveCharge < forcedCharge &&
      ofFlight(
        'reserve-below-forced-landing',
        'Its forced landing begins at {forcedCharge}, above your {reserveCharge}: {forcedCharge} is held back',
        { forcedCharge, reserveCharge },
      ),
    conditions.airTemperatureC < 0 &&
      policy.kind === 'touch-down-charge' &&
      reserveCharge < frostReserveCharge &&
      ofFlight('frost', 'Below freezing, pilots hold back 30 %'),
    isTestOnly(policy) && ofFlight('test-only', 'For test flights only, never a plan'),
  ];
}

/** Where the maker says nothing, this much of density altitude is where aircraft are short of thrust (common practice: 4,000 to 5,000 m). */
const defaultCeilingOfAirM = 4000;

/** Thin air leaves rotors less thrust to spare, and motors less cooling: the maker's limit, or the usual one in density altitude. */
function thinAir({ aircraft, conditions, flight }: EstimateRequest, { atmosphere }: Simulation): Found {
  const aboveSeaM = conditions.elevationM + flight.heightM;
  const densityM = densityAltitudeM(atmosphere(flight.heightM).densityKgm3);
  const limitM = aircraft.maxElevationM;
  if (limitM != null)
    return [
      aboveSeaM > limitM &&
        ofFlight('over-height-limit', '{aboveSeaM} above the sea: the maker’s limit is {limitM}', {
          aboveSeaM,
          limitM,
        }),
    ];
  return [
    densityM > defaultCeilingOfAirM &&
      ofFlight(
        'thin-air',
        'Air as thin as at {densityM}: little thrust to spare for a climb or a gust. Look up the maker’s height limit',
        { densityM },
      ),
  ];
}

function place({ aircraft, flight, site }: EstimateRequest, { powertrain }: Simulation): Found {
  const diameterM = rotorDiameterM(aircraft, powertrain.airframe);
  const returnHeightM = flight.returnHeightM ?? defaultReturnHeightM;
  return [
    isInGroundEffect(flight.heightM, diameterM) &&
      ofFlight(
        'ground-effect',
        'Under {cushionM:1} ground effect helps: flown so low, it lasts up to {longerFraction} longer',
        {
          cushionM: 2 * diameterM,
          longerFraction: 1 / groundEffectPowerRatio(flight.heightM, diameterM) - 1,
        },
      ),
    aboveCeiling(flight.heightM, site?.ceilingM ?? null),
    lowReturn(returnHeightM, tallestThingM(site ?? {}), site?.ceilingM ?? null),
  ];
}

function aboveCeiling(heightM: number, ceilingM: number | null): Caution | false {
  if (ceilingM !== null) {
    return (
      heightM > ceilingM && ofFlight('above-ceiling', 'Above your local ceiling of {ceilingM}', { ceilingM })
    );
  }
  return (
    heightM > defaultCeilingM &&
    ofFlight('above-ceiling', 'Above {ceilingM}: check your local rule', { ceilingM: defaultCeilingM })
  );
}

/** A return height that is less than clear of the tallest thing known of. */
export function lowReturn(
  returnHeightM: number,
  tallestM: number | null,
  ceilingM: number | null,
): Caution | false {
  if (tallestM === null || returnHeightM >= tallestM + clearanceM) return false;
  const { heightM: wantedM } = suggestedReturnHeight(tallestM, ceilingM ?? defaultCeilingM);
  return ofFlight(
    'low-return-height',
    'It returns at {returnHeightM}, but the tallest obstacle is {tallestM} high: set the return height to {wantedM}',
    { returnHeightM, tallestM, wantedM },
  );
}

function box({ hoverTimeFinding }: Simulation): Found {
  return [
    hoverTimeFinding !== null &&
      ofFlight('hover-time-odd', 'Look at {finding}', { finding: hoverTimeFinding }),
  ];
}

function ofBattery<const Template extends string>(
  code: BatteryCautionCode,
  template: Template,
  ...values: TemplateValues<Template>
): Caution {
  return { ...sentence<CautionCode, Template>(code, template, ...values), about: 'battery' };
}

function ofFlight<const Template extends string>(
  code: CautionCode,
  template: Template,
  ...values: TemplateValues<Template>
): Caution {
  return { ...sentence<CautionCode, Template>(code, template, ...values), about: 'flight' };
}
