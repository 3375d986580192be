import type { LaunchPlace } from '../air/site';
import type { Belief } from '../belief/belief';
import { type Sentence, sentence } from '../units/sentence';
import type { SwapPlan } from './answer';
import { fromPlace, hangsOnTheHour, warmC, withBatteryMore, withChargerMore, withWarmPacks } from './changes';
import { placedTakes, plannedOtherwise } from './further';
import { problemOf } from './problem';
import type { PlanRequest } from './request';
import { Planner } from './seek';
import { instantAt } from './tell';

/** What a plan comes to, with what is flown already: takes placed, take-offs, and when all are down. */
export interface Outlook {
  readonly takesPlaced: number;
  readonly takeoffs: number;
  readonly endAt: string;
}

export const helpCodes = ['charger-more', 'battery-more', 'packs-warm', 'all-from-place'] as const;
export type HelpCode = (typeof helpCodes)[number];

export interface WhatHelps {
  readonly asIs: Outlook;
  /** Each change tried by itself. */
  readonly changes: readonly { readonly change: Sentence<HelpCode>; readonly outlook: Outlook }[];
  /** Begun earlier or later, where that can make a difference. */
  readonly starts: readonly { readonly startAt: string; readonly outlook: Outlook }[];
}

const shiftsMin = [-90, -60, -30, 30, 60, 90];

/** What would help a plan of a request: each thing tried, beginning with the plan as it is told; no more than its work allows. */
export function whatHelps(
  request: PlanRequest,
  beliefs: Readonly<Record<string, Belief>>,
  plan: SwapPlan,
): WhatHelps {
  const planner = new Planner(problemOf(request, beliefs));
  const asTold = planner.asTold(plan);
  const tried = (other: PlanRequest): Outlook => {
    const { problem, found } = plannedOtherwise(planner, asTold, other, beliefs);
    return {
      takesPlaced: placedTakes(problem, found).size,
      takeoffs: problem.flown.length + found.draft.length,
      endAt: instantAt(problem, found.schedule.endS),
    };
  };
  const isSpent = () => planner.problem.work.isSpent();
  const { mustsPlaced, nicesPlaced, takeoffs, endAt } = plan.figures;
  const asIs = { takesPlaced: mustsPlaced + nicesPlaced, takeoffs, endAt };
  const startMs = Date.parse(request.startAt);
  return {
    asIs,
    changes: changesOf(request).flatMap(({ change, other }) => {
      if (isSpent()) return [];
      const outlook = tried(other);
      return [{ change, outlook: isBroughtMore(change) && isLess(outlook, asIs) ? asIs : outlook }];
    }),
    starts: hangsOnTheHour(request)
      ? shiftsMin.flatMap((minutes) => {
          if (isSpent()) return [];
          const startAt = new Date(startMs + minutes * 60_000).toISOString();
          return [{ startAt, outlook: tried({ ...request, startAt }) }];
        })
      : [],
  };
}

/** What is brought more may stay in the bag. */
function isBroughtMore({ code }: Sentence<HelpCode>): boolean {
  return code === 'charger-more' || code === 'battery-more';
}

function isLess(one: Outlook, other: Outlook): boolean {
  if (one.takesPlaced !== other.takesPlaced) return one.takesPlaced < other.takesPlaced;
  return one.takeoffs > other.takeoffs;
}

interface Change {
  readonly change: Sentence<HelpCode>;
  readonly other: PlanRequest;
}

function changesOf(request: PlanRequest): Change[] {
  const [charger, battery, warm] = [
    withChargerMore(request),
    withBatteryMore(request),
    withWarmPacks(request),
  ];
  const changes: (Change | null)[] = [
    charger && {
      change: sentence('charger-more', 'One more charger like {name}', { name: charger.like.name }),
      other: charger.request,
    },
    battery && {
      change: sentence('battery-more', 'One more battery like {label}, full', { label: battery.like.label }),
      other: battery.request,
    },
    warm && { change: sentence('packs-warm', 'All batteries kept at {warmC}', { warmC }), other: warm },
  ];
  return [...changes.filter((one) => one !== null), ...allFromOnePlace(request)];
}

/** From each launch place that is not already the only one, by where it is. */
function allFromOnePlace(request: PlanRequest): Change[] {
  const places = request.launchPlaces ?? [];
  const usedIds = new Set(request.shots.map(({ launchPlaceId }) => launchPlaceId ?? places[0]?.id));
  const used = places.filter(({ id }) => usedIds.has(id));
  const isUsed = (place: LaunchPlace) =>
    used.every(({ eastM, northM }) => Math.hypot(eastM - place.eastM, northM - place.northM) < 1);
  return places
    .filter((place) => !isUsed(place))
    .map((place) => ({
      change: sentence('all-from-place', 'Everything flown from {name}', { name: place.name }),
      other: { ...request, shots: request.shots.map((shot) => fromPlace(shot, place, places)) },
    }));
}
