import type { SpanOfLane, SwapPlan } from './answer';

/** What charges in a plan, in order of time. */
export function chargingOf({
  lanes,
}: Pick<SwapPlan, 'lanes'>): (SpanOfLane & { readonly batteryId: string })[] {
  return lanes
    .flatMap(({ batteryId, spans }) => spans.map((span) => ({ ...span, batteryId })))
    .filter(({ kind }) => kind === 'charging')
    .sort((a, b) => Date.parse(a.fromAt) - Date.parse(b.fromAt));
}
