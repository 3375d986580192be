import type { ApiResponseSchemaHost } from '@nestjs/swagger';

/** What calculations answer, for the OpenAPI document. Programs get more fields as the model learns to say more. */
type Schema = Exclude<NonNullable<ApiResponseSchemaHost['schema']>, { $ref: string }>;

const number: Schema = { type: 'number' };
const text: Schema = { type: 'string' };
const yes: Schema = { type: 'boolean' };
const maybe = (schema: Schema): Schema => ({ ...schema, nullable: true });
const list = (items: Schema): Schema => ({ type: 'array', items });
const object = (properties: Record<string, Schema>): Schema => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
});
const numbers = (...names: string[]) => object(Object.fromEntries(names.map((name) => [name, number])));

const moment = { timeS: number, charge: number, cellVoltageV: number };

export const estimateSchema = object({
  usableS: numbers('p10', 'p50', 'p90', 'planned'),
  touchdownS: numbers('p10', 'p50', 'p90'),
  turnBackCharge: object({ p50: number, planned: maybe(number) }),
  touchdownCharge: numbers('p50'),
  chanceBelowReserve: number,
  chanceImpossible: number,
  ledger: list(object({ cause: text, seconds: number })),
  events: list(object({ kind: text, ...moment })),
  curve: list(object({ ...moment, packTemperatureC: number, powerW: number })),
  curveBand: list(numbers('charge', 'p10S', 'p90S')),
  power: numbers('hoverW', 'meanW'),
  air: numbers('densityKgm3', 'windAtHeightMps', 'gustAtHeightMps', 'densityAltitudeM'),
  health: number,
  takeoffCharge: number,
  sensitivity: list(object({ input: text, seconds: number })),
  cautions: list(object({ code: text, message: text })),
  basis: object({ source: text, flights: number }),
});

const forcedLanding = maybe(
  object({ charge: number, timeS: number, during: text, shortM: number, heightM: number }),
);

export const returnSchema = object({
  feasible: yes,
  timeS: number,
  energyWh: number,
  touchdownCharge: object({ p10: maybe(number), p50: maybe(number), p90: maybe(number) }),
  turnBackCharge: object({ p50: maybe(number), planned: maybe(number) }),
  stillAirTurnBackCharge: maybe(number),
  turnBackS: maybe(number),
  lateByS: maybe(number),
  chanceOwnLate: maybe(number),
  chanceNotHome: number,
  home: object({
    legs: list(
      object({
        kind: text,
        durationS: number,
        powerW: number,
        fromHeightM: number,
        heightM: number,
        chargeAfter: number,
      }),
    ),
    timeS: number,
    energyWh: number,
    touchdownCharge: maybe(number),
    forcedLanding,
    notHome: maybe({ type: 'object' }),
  }),
  own: maybe(
    object({
      charge: number,
      isMarginKnown: yes,
      timeS: number,
      touchdownCharge: maybe(number),
      forcedLanding,
    }),
  ),
  returnHeight: { type: 'object', nullable: true },
  waysOut: list(
    object({
      kind: text,
      action: text,
      timeS: number,
      touchdownCharge: maybe(number),
      forcedLanding,
      caution: text,
    }),
  ),
  timetable: list(
    object({ kind: text, timeS: maybe(number), charge: maybe(number), says: text, caution: maybe(text) }),
  ),
  mind: list(object({ code: text, message: text })),
  tooLow: maybe(text),
});

const reach = object({
  bearingsDeg: list(number),
  fromChargeM: list(number),
  outAndBackM: list(number),
});

export const reachesSchema = object({ inWind: reach, inStillAir: reach });

export const projectionsSchema = object({
  schools: list(object({ kind: text, toZeroS: number, ofBoxFraction: number, missFraction: maybe(number) })),
});

export const swapPlanSchema = object({
  flights: list(
    object({
      number,
      aircraftId: text,
      batteryId: text,
      launchPlaceId: maybe(text),
      takeoffAt: text,
      turnBackAt: text,
      touchdownAt: text,
      startCharge: number,
      startTemperatureC: number,
      turnBackCharge: maybe(number),
      touchdownCharge: numbers('p10', 'p50'),
      spareS: number,
      chanceEarly: number,
      shots: list(object({ shotId: text, take: number, startAt: text, endAt: text, chargeAfter: number })),
      wait: maybe(object({ fromAt: text, reason: text, shotId: maybe(text) })),
    }),
  ),
  lanes: list(
    object({
      batteryId: text,
      spans: list(
        object({
          kind: text,
          fromAt: text,
          untilAt: text,
          chargeFrom: number,
          chargeTo: number,
          chargerId: maybe(text),
        }),
      ),
    }),
  ),
  unplaced: list(object({ shotId: text, take: number, code: text, reason: text, remedy: maybe(text) })),
  figures: object({
    takeoffs: number,
    takeoffsBound: number,
    boundBy: text,
    proved: yes,
    batteriesFlown: number,
    endAt: text,
    mustsPlaced: number,
    nicesPlaced: number,
  }),
  robustness: list(
    object({
      change: text,
      batteryId: maybe(text),
      takeoffs: number,
      endAt: text,
      droppedShotIds: list(text),
      atLeast: yes,
    }),
  ),
  packs: list(
    object({
      packs: number,
      charging: yes,
      shotsPlaced: number,
      takeoffs: number,
      endAt: text,
      atLeast: yes,
    }),
  ),
  withoutPins: maybe(object({ takesPlaced: number, takeoffs: number, endAt: text })),
  laterStart: maybe(object({ startAt: text, lessWaitingS: number })),
  cautions: list(object({ code: text, message: text })),
  complete: yes,
});
