import { type Sentence, sentence, type TemplateValues } from './sentence';

/** Everything that may be answered with a reason instead of a result. */
export const refusalCodes = [
  'box-hover-time-impossible',
  'box-time-impossible',
  'box-too-good',
  'box-too-poor',
  'beyond-mode-airspeed',
  'wind-beyond-mode',
  'leg-unflyable',
  'flight-not-whole',
  'pack-cannot-deliver',
  'wind-beyond-pack',
  'charge-too-low',
  'home-unreachable',
  'lands-itself',
  'pack-gives-out',
  'test-unlike-model',
  'point-unreachable',
  'shot-too-long',
  'policy-for-tests-only',
  'coordinates',
  'file-too-long',
  'columns-missing',
  'too-many-rows',
  'no-hours',
  'not-geojson',
  'not-a-log',
  'nothing-to-learn',
  'not-a-fit',
  'not-a-track',
  'too-many-features',
  'metar-empty',
  'metar-too-long',
  'metar-heading',
  'metar-group',
  'metar-value',
] as const;
export type RefusalCode = (typeof refusalCodes)[number];

/** What cannot be answered, told so that a pilot understands it, with the quantities behind it. */
export type Refusal = Sentence<RefusalCode>;

/** A result a pilot's own input may make impossible: never an exception, never a NaN. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly refusal: Refusal };

export function success<T>(value: T): Outcome<T> {
  return { ok: true, value };
}

/** A refusal in its sentence: `refuse('home-unreachable', 'It drifts back at {driftMps:1}.', { driftMps })`. */
export function refuse<const Template extends string>(
  code: RefusalCode,
  template: Template,
  ...values: TemplateValues<Template>
): { readonly ok: false; readonly refusal: Refusal } {
  return { ok: false, refusal: sentence(code, template, ...values) };
}
