import { type Sentence, sentence, type TemplateValues } from './sentence';

/**
 * A constant that is a guess: its value, how far off it may be (one standard deviation), and why we believe it.
 * It stands beside its law; the spread is the prior of the uncertainty, so there is no second list.
 */
export interface Assumed {
  readonly value: number;
  /** Of what it is true: of an aircraft in all its flights, of one battery, or of one flight. */
  readonly scope: Scope;
  readonly spread: number;
  /** "relative": spread is a fraction of the value (log-normal). "absolute": same unit as the value. */
  readonly kind: 'relative' | 'absolute';
  readonly min?: number;
  readonly max?: number;
  readonly because: string | Sentence<'because'>;
  /** What a pilot can do to know it better, one of the ways in estimate/sensitivity; null where nothing would. */
  readonly betterBy: string | null;
}

export const scopes = ['aircraft', 'battery', 'flight'] as const;
export type Scope = (typeof scopes)[number];

/** A reason with quantities in it. */
export function because<const Template extends string>(
  template: Template,
  ...values: TemplateValues<Template>
): Sentence<'because'> {
  return sentence('because', template, ...values);
}

/** The coefficient values that belong to a set of assumed constants. */
export type ValuesOf<Priors extends Readonly<Record<string, Assumed>>> = {
  readonly [Name in keyof Priors]: number;
};

export function nominal<Priors extends Readonly<Record<string, Assumed>>>(priors: Priors): ValuesOf<Priors> {
  return Object.fromEntries(
    Object.entries(priors).map(([name, prior]) => [name, prior.value]),
  ) as ValuesOf<Priors>;
}

/**
 * The value of an assumed constant a number of standard deviations from its middle: log-normal for a relative spread,
 * normal for an absolute one, held within its bounds.
 */
export function drawn(prior: Assumed, deviations: number): number {
  const { value, spread, kind, min = Number.NEGATIVE_INFINITY, max = Number.POSITIVE_INFINITY } = prior;
  if (deviations === 0) return value;
  const free = kind === 'relative' ? value * Math.exp(spread * deviations) : value + spread * deviations;
  return Math.min(max, Math.max(min, free));
}
