import { useEffect } from 'react';
import { takeFit, toLearn } from '../answers/learning';
import { useRecords } from '../records/records';
import { fitted } from '../workers/useFit';

/** Flights come in lots, and typed figures a digit at a time. */
const settledMs = 2000;
/** What was taken in this session: taken back by hand, it is not taken again. */
const taken = new Set<string>();

/** Learns from new flights at once, for the aircraft whose pilot wants that; nothing is seen of it but that it can be undone. */
export function TakesFits() {
  const aircraft = useRecords((state) => state.aircraft);
  const batteries = useRecords((state) => state.batteries);
  const testFlights = useRecords((state) => state.testFlights);
  const fits = useRecords((state) => state.fits);
  useEffect(() => {
    const wanted = new AbortController();
    const due = aircraft
      .filter(({ takesFits }) => takesFits)
      .map((one) => ({ one, learn: toLearn(one, { batteries, testFlights, fits }) }))
      .filter(({ learn }) => learn.changes && learn.basis.flights.length > 0 && !taken.has(learn.key));
    const later = setTimeout(() => {
      for (const { one, learn } of due) {
        fitted(learn.request, () => {}, wanted.signal).then(
          (outcome) => {
            if (wanted.signal.aborted || !outcome.ok) return;
            taken.add(learn.key);
            takeFit(one, learn, outcome.value);
          },
          () => {},
        );
      }
    }, settledMs);
    return () => {
      clearTimeout(later);
      wanted.abort();
    };
  }, [aircraft, batteries, testFlights, fits]);
  return null;
}
