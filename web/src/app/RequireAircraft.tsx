import { Outlet } from 'react-router';
import { useRecords } from '../records/records';
import { useConditions } from '../state/current';
import { lazyPart } from '../state/lazyPart';

const FirstSteps = lazyPart(async () => (await import('../firstSteps/FirstSteps')).FirstSteps);

/** The view, or where there is no aircraft yet, the steps to the first one. */
export function RequireAircraft() {
  const isEmpty = useRecords((state) => state.aircraft.length === 0);
  const conditions = useConditions();
  if (!conditions) return null;
  return isEmpty ? <FirstSteps conditions={conditions} /> : <Outlet />;
}
