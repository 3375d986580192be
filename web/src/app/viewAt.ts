import type { ComponentType } from 'react';
import { lazyPart } from '../state/lazyPart';
import { Unfetched } from './Unfetched';

/** Each view is a chunk of its own, fetched when it is opened, or before, when the page has nothing else to do. */
const chunks = {
  '/minutes': () => import('../minutes/MinutesView').then(({ MinutesView }) => MinutesView),
  '/way-home': () => import('../wayHome/WayHomeView').then(({ WayHomeView }) => WayHomeView),
  '/kit': () => import('../kit/KitView').then(({ KitView }) => KitView),
  '/test-flights': () =>
    import('../testFlights/TestFlightsView').then(({ TestFlightsView }) => TestFlightsView),
  '/clock': () => import('../testFlights/ClockView').then(({ ClockView }) => ClockView),
  '/swap-plan': () => import('../swapPlan/SwapPlanView').then(({ SwapPlanView }) => SwapPlanView),
  '/card': () => import('../swapPlan/PlanCard').then(({ PlanCard }) => PlanCard),
  '/method': () => import('../method/MethodView').then(({ MethodView }) => MethodView),
} as const satisfies Record<string, () => Promise<ComponentType>>;
export type Path = keyof typeof chunks;

const fetched = (path: Path) => lazyPart<ComponentType>(chunks[path], Unfetched);

/** The view of each address. */
export const viewAt: Readonly<Record<Path, ComponentType>> = {
  '/minutes': fetched('/minutes'),
  '/way-home': fetched('/way-home'),
  '/kit': fetched('/kit'),
  '/test-flights': fetched('/test-flights'),
  '/clock': fetched('/clock'),
  '/swap-plan': fetched('/swap-plan'),
  '/card': fetched('/card'),
  '/method': fetched('/method'),
};

/** The view of an address, beside the data it will show. */
export function fetchViewAt(path: string): void {
  const fetchChunk = chunks[path === '/' ? '/minutes' : (path as Path)];
  void fetchChunk?.().catch(() => undefined);
}

/** So that a field without a network has every view. */
export function fetchAllViews(): void {
  for (const fetchChunk of Object.values(chunks)) void fetchChunk().catch(() => undefined);
}
