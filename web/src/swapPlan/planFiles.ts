/** What writes files is fetched when one is wanted. */
export { writePlanCalendar, writePlanCsv, writePointsGpx } from '@acorn-tally/core';
