import { type Fit, minutesAndSeconds } from '@acorn-tally/core';
import { useMemo } from 'react';
import { lazyChart } from '../charts/lazyCharts';
import { countInWords, percent } from '../fields/percent';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { howFlown } from '../parts/testWords';
import styles from './Taught.module.css';
import type { TestRow } from './useTests';

const TaughtPlot = lazyChart(() => import('./TaughtPlot').then((module) => module.TaughtPlot));

interface FitProps {
  readonly fit: Fit;
  readonly rows: readonly TestRow[];
}

/** The accuracy that is stated is that of flights which the fit did not know. */
export function HowWell({ fit, rows }: FitProps) {
  const { leaveOneOut: out, between } = fit;
  const named = useMemo(() => {
    const byId = new Map(rows.map((row) => [row.record.id, row]));
    return (id: string) => {
      const row = byId.get(id);
      return row ? `${row.battery?.label ?? 'removed battery'}, ${howFlown(row.record)}` : '';
    };
  }, [rows]);
  const [only] = fit.flights.filter(({ counts }) => counts);
  const boxMissS =
    out?.fromTheBox.medianMissS ?? Math.abs(only?.before?.missFraction ?? 0) * (only?.flownS ?? 0);
  return (
    <Section title="Estimated against flown">
      <div className={styles.well}>
        <TaughtPlot flights={fit.flights} nameOf={named} />
        <dl className={styles.sum}>
          {out && (
            <>
              <dt>inside the band</dt>
              <dd>
                {Math.round(out.insideBandFraction * out.flights)} of {out.flights}
              </dd>
              <dt>typical miss</dt>
              <dd>
                {minutesAndSeconds(out.medianMissS)} <small>({percent(out.medianMissFraction)})</small>
              </dd>
            </>
          )}
          <dt>from the box alone</dt>
          <dd>{minutesAndSeconds(boxMissS)}</dd>
        </dl>
      </div>
      <Note>
        {out
          ? `Full dots and bands: each of ${countInWords(out.flights)} flights predicted from the others. Rings: from the box alone. `
          : 'Rings: from the box alone. '}
        Flights themselves differ by about {percent(between.flightSpread)}; no test takes that away.
      </Note>
    </Section>
  );
}
