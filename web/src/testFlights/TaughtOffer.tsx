import '@mantine/core/styles/Checkbox.css';
import {
  type AircraftRecord,
  type BatteryRecord,
  chargedFull,
  estimateRequestFor,
  type Fit,
  knowledgeFrom,
  minutesAndSeconds,
} from '@acorn-tally/core';
import { Button, Checkbox } from '@mantine/core';
import { useMemo } from 'react';
import { type Learning, takeFit } from '../answers/learning';
import { useBandsOf } from '../answers/useBands';

import { turnBackPercent } from '../fields/percent';
import { Note } from '../parts/Note';
import { useRecords } from '../records/records';
import { beliefAbout } from '../state/belief';
import { useConditions, useFlownBatteriesOf } from '../state/current';
import styles from './Taught.module.css';
import { changesInWords } from './taughtWords';

interface OfferProps {
  readonly aircraft: AircraftRecord;
  readonly learning: Learning;
  readonly fit: Fit;
}

/** What would change were it used, battery by battery; the pilot takes it, or lets it be taken. */
export function Offer({ aircraft, learning, fit }: OfferProps) {
  const { current, changes } = learning;
  const edit = useRecords((state) => state.edit);
  return (
    <div className={styles.offer} data-open={changes !== null || undefined}>
      {changes && (
        <>
          <p>
            {current ? `${changesInWords(changes)}. ` : ''}
            {current ? 'With that:' : `Used, that changes what is planned for ${aircraft.name}:`}{' '}
            <span className={styles.state}>flown packs as if charged again</span>
          </p>
          <WouldChange aircraft={aircraft} fit={fit} />
        </>
      )}
      <div className={styles.take}>
        {changes && (
          <Button onClick={() => takeFit(aircraft, learning, fit)}>
            Use what {learning.basis.flights.length === 1 ? 'it' : 'they'} taught
          </Button>
        )}
        <Checkbox
          label="Use new flights at once"
          checked={aircraft.takesFits ?? false}
          onChange={({ currentTarget: { checked } }) => {
            edit('aircraft', aircraft.id, { takesFits: checked }, 'whether new flights are used at once');
          }}
        />
      </div>
    </div>
  );
}

const maxShown = 4;
/** A pack with less was flown since it was charged (assumed): after its test it has no minutes to compare. */
const flownBelow = 0.9;

/** A pack as it will be once charged again; one that is charged stays as it is. */
function charged(battery: BatteryRecord): BatteryRecord {
  if (battery.pack.startCharge >= flownBelow) return battery;
  const pack = { ...battery.pack, startCharge: chargedFull, daysSinceCharge: null };
  return { ...battery, pack, keeping: { ...battery.keeping, chargedAt: null } };
}

function WouldChange({ aircraft, fit }: Pick<OfferProps, 'aircraft' | 'fit'>) {
  const conditions = useConditions();
  const flown = useFlownBatteriesOf(aircraft.id);
  const batteries = useMemo(() => flown.slice(0, maxShown), [flown]);
  const requests = useMemo(
    () =>
      conditions
        ? batteries.map((battery) => estimateRequestFor(aircraft, charged(battery), conditions))
        : [],
    [aircraft, batteries, conditions],
  );
  const would = useMemo(() => knowledgeFrom({ ...fit, id: 'offered' }), [fit]);
  const [now, then] = [useBandsOf(requests, beliefAbout(aircraft).known), useBandsOf(requests, would)];
  if (!now.value || !then.value) return <Note>calculating what would change …</Note>;
  const half = ({ p10, p90 }: { p10: number; p90: number }) => minutesAndSeconds((p90 - p10) / 2);
  const turn = (charge: number | null) => (charge === null ? 'not to be planned' : turnBackPercent(charge));
  return (
    <ul className={styles.would}>
      {batteries.map(({ id, label }, i) => {
        const [a, b] = [now.value?.[i], then.value?.[i]];
        if (!a || !b) return null;
        return (
          <li key={id}>
            <b>{label}</b>: {minutesAndSeconds(a.usableS.planned)} →{' '}
            <b>{minutesAndSeconds(b.usableS.planned)}</b> min, band ±{half(a.usableS)} → ±{half(b.usableS)},
            turn back {turn(a.turnBackCharge.planned)} → {turn(b.turnBackCharge.planned)}
          </li>
        );
      })}
    </ul>
  );
}
