import { conditionsRanges, windRanges } from '../air/conditions';
import { batteryRanges } from '../battery/battery';
import { type KeptPlace, keptTemperatureC } from '../battery/keeping';
import { type StyleShare, styleShareRanges } from '../flight/styles';
import type { Quantity } from '../units/quantity';
import { type EstimateRequest, flightRanges } from './request';

export const whatIfKinds = ['colder', 'windier', 'faster', 'farther', 'higher'] as const;
export type WhatIfKind = (typeof whatIfKinds)[number];

/** One thing otherwise: by how much, in SI. */
export interface WhatIf {
  readonly kind: WhatIfKind;
  readonly amount: number;
}

/** By how much each may differ. */
export const whatIfRanges = {
  colder: { label: 'Colder by', unit: '°C', siPerUnit: 1, difference: true, min: 1, max: 40, step: 1 },
  windier: { label: 'Wind stronger by', unit: 'm/s', siPerUnit: 1, min: 0.5, max: 15, step: 0.5 },
  faster: { label: 'More of it fast', unit: '%', siPerUnit: 0.01, min: 0.05, max: 1, step: 5 },
  farther: { label: 'Farther by', unit: 'm', siPerUnit: 1, min: 10, max: 5000, step: 50 },
  higher: { label: 'Higher by', unit: 'm', siPerUnit: 1, min: 5, max: 400, step: 5 },
} as const satisfies Record<WhatIfKind, Quantity>;

export const defaultWhatIfs: readonly WhatIf[] = [
  { kind: 'colder', amount: 10 },
  { kind: 'windier', amount: 2 },
  { kind: 'faster', amount: 0.25 },
  { kind: 'farther', amount: 200 },
  { kind: 'higher', amount: 40 },
];

/**
 * The request with one thing otherwise. Colder: the air, and the pack that waits in it (see `keptTemperatureC`; a pack that was
 * measured is colder by as much, since nobody says what keeps it warm).
 * Windier: the reading, and its gust by as much. Faster: that share of the flight more in the fast mode, taken from the
 * rest in proportion. Each is held inside its range.
 */
export function withWhatIf(
  request: EstimateRequest,
  { kind, amount }: WhatIf,
  keptAt: KeptPlace | null = null,
): EstimateRequest {
  const { conditions, flight, battery } = request;
  const { wind } = conditions;
  switch (kind) {
    case 'colder': {
      const airTemperatureC = held(conditions.airTemperatureC - amount, conditionsRanges.airTemperatureC);
      const byC = conditions.airTemperatureC - airTemperatureC;
      const startTemperatureC = colderPackC(battery.startTemperatureC ?? null, keptAt, airTemperatureC, byC);
      return {
        ...request,
        battery: { ...battery, startTemperatureC },
        conditions: { ...conditions, airTemperatureC },
      };
    }
    case 'windier': {
      const speedMps = held(wind.speedMps + amount, windRanges.speedMps);
      const gustMps = wind.gustMps == null ? null : held(wind.gustMps + amount, windRanges.gustMps);
      return { ...request, conditions: { ...conditions, wind: { ...wind, speedMps, gustMps } } };
    }
    case 'faster':
      return { ...request, flight: { ...flight, mix: fasterMix(flight.mix, amount) } };
    case 'farther': {
      const farthestM = held(flight.farthestM + amount, flightRanges.farthestM);
      return { ...request, flight: { ...flight, farthestM } };
    }
    case 'higher': {
      const heightM = held(flight.heightM + amount, flightRanges.heightM);
      return { ...request, flight: { ...flight, heightM } };
    }
  }
}

/** Null, the air's, for a pack of which nothing is known. */
function colderPackC(
  packC: number | null,
  keptAt: KeptPlace | null,
  airC: number,
  byC: number,
): number | null {
  const keptC = keptAt && keptTemperatureC(keptAt, airC);
  if (keptC !== null) return keptC;
  return packC === null ? null : held(packC - byC, batteryRanges.startTemperatureC);
}

function fasterMix(mix: readonly StyleShare[], more: number): StyleShare[] {
  const fast = mix.filter(({ style }) => style === 'fast').reduce((sum, { share }) => sum + share, 0);
  const nowFast = held(fast + more, styleShareRanges.share);
  const kept = fast < 1 ? (1 - nowFast) / (1 - fast) : 0;
  const others = mix
    .filter(({ style }) => style !== 'fast')
    .map((part) => ({ ...part, share: part.share * kept }));
  const own = mix.find(({ style }) => style === 'fast');
  return [...others.filter(({ share }) => share > 0), { ...own, style: 'fast', share: nowFast }];
}

function held(value: number, { min, max }: Quantity): number {
  return Math.min(max, Math.max(min, value));
}
