import type { Refusal } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import { sentence } from '../units/sentence';
import type { ComesHome } from './homing';

export const policyKinds = ['touch-down-charge', 'half-out-half-home', 'forced-landing', 'empty'] as const;
export type PolicyKind = (typeof policyKinds)[number];

/** How much is held back: the schools pilots follow. Charges are gauge fractions 0–1. */
export interface Policy {
  readonly kind: PolicyKind;
  /** Charge to touch down with, for the first two kinds. */
  readonly reserveCharge?: number | null;
  /** Share of flights that must land with the reserve intact. */
  readonly confidence?: number | null;
  /** How the way home is flown, which the charge to turn back at rests on; by itself where absent. */
  readonly comesHome?: ComesHome | null;
}

export const policyRanges = {
  reserveCharge: { label: 'Charge at touch-down', unit: '%', siPerUnit: 0.01, min: 0.15, max: 0.7, step: 5 },
  confidence: { label: 'Confidence', unit: '%', siPerUnit: 0.01, min: 0.5, max: 0.99, step: 5 },
} as const satisfies Record<string, Quantity>;

/** 25 %: wind, or a site new to you. The middle school, and the safer guess where nothing is known. */
export const defaultReserveCharge = 0.25;
export const defaultConfidence = 0.9;

/** The share of flights that must land with the reserve intact: the pilot's choice, else nine of ten. */
export function confidenceOf({ confidence }: Policy): number {
  return confidence ?? defaultConfidence;
}

/** Flying on until the aircraft lands itself, or falls, may define the end of a test; a plan refuses it. */
export function isTestOnly(policy: Policy): boolean {
  return policy.kind === 'forced-landing' || policy.kind === 'empty';
}

/** Why a plan refuses a policy; null where it plans by it. */
export function plannedPolicyProblem(policy: Policy): Refusal | null {
  if (!isTestOnly(policy)) return null;
  return sentence(
    'policy-for-tests-only',
    'A plan never flies down to the forced landing or to empty: choose a reserve.',
  );
}

/**
 * The gauge a flight under this policy must still show when it touches down. Never less than the aircraft's own forced
 * landing, where it would come down before: a test alone may end there, or go on to empty.
 */
export function minAtTouchdown(policy: Policy, forcedLandingCharge: number): number {
  if (policy.kind === 'empty') return 0;
  if (policy.kind === 'forced-landing') return forcedLandingCharge;
  return Math.max(policy.reserveCharge ?? defaultReserveCharge, forcedLandingCharge);
}

/** The same for a way home, which is flown to be down at home whatever the test is for. */
export function minAtHome(policy: Policy, forcedLandingCharge: number): number {
  return Math.max(minAtTouchdown(policy, forcedLandingCharge), forcedLandingCharge);
}
