import { asPlanned, bandsOf, estimate, plannedIn } from '@acorn-tally/core';
import { answered } from '../../../core/fixtures/answered';
import { boxDrawn } from '../../../core/fixtures/beliefs';
import { jayRequest } from '../../../core/fixtures/records';
import type { ShownFlight } from '../charts/flightLines';

const belief = boxDrawn(64);
const middle = answered(estimate(jayRequest, belief));
const [band] = bandsOf([jayRequest], belief);
const planned = band ? plannedIn(band) : null;

/** Its flight before and after it is known what to plan. */
export const flightUnplanned: ShownFlight = {
  estimate: middle,
  events: middle.events,
  planned: null,
  fresh: false,
};
export const flightAsPlanned: ShownFlight = {
  estimate: middle,
  events: planned ? answered(asPlanned(jayRequest, belief, planned)).events : [],
  planned,
  fresh: true,
};
