import { Skeleton } from '@mantine/core';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { Switch } from '../fields/Switch';
import { ClockFace } from '../flightClock/ClockFace';
import { type FlightClock, maxClocks, type Plan } from '../flightClock/clocks';
import { followClocks, useClocks } from '../flightClock/useClocks';
import { Empty } from '../parts/Empty';
import { Headline } from '../parts/Headline';
import { LinkButton } from '../parts/LinkButton';
import { Warning } from '../parts/Warning';
import { useRecords } from '../records/records';
import { useAircraft, useBattery, useConditions, useFlownBatteriesOf } from '../state/current';
import { useWriter } from '../state/units';
import { ChargeSetUpForm } from './ChargeSetUpForm';
import { ClockFinish } from './ClockFinish';
import styles from './ClockView.module.css';
import { FlightSetUpForm } from './FlightSetUpForm';
import { cautionsOf, fairnessOf } from './fairness';

/** A flight or a charge by the clock: set up, timed, kept. A clock that runs goes on whatever happens to the page. */
export function ClockView() {
  const clocks = useClocks((state) => state.clocks);
  const begin = useClocks((state) => state.begin);
  const [adds, setAdds] = useState(false);
  useEffect(followClocks, []);
  if (clocks === null) return <Skeleton height={300} radius="sm" className={styles.page} />;
  const isFree = clocks.length < maxClocks;
  if (clocks.length === 0 || (adds && isFree)) {
    const ready = (plan: Plan) => {
      begin(plan);
      setAdds(false);
    };
    return (
      <main className={styles.page}>
        <SetUp onReady={ready} />
        {clocks.length > 0 && (
          <LinkButton onClick={() => setAdds(false)}>Back to the clock of {clocks[0]?.plan.label}</LinkButton>
        )}
      </main>
    );
  }
  return (
    <main className={styles.inTheAir} aria-label="The clock">
      <h1 data-unseen>{clocks.map(({ plan }) => `${plan.label}, ${plan.what}`).join('; ')}</h1>
      <ClockFace
        clocks={clocks}
        finish={(clock, running) => <ClockFinish key={clock.id} clock={clock} running={running} />}
        before={(clock) => <Before clock={clock} onAnother={isFree ? () => setAdds(true) : null} />}
      />
    </main>
  );
}

const kinds = [
  { value: 'flight', label: 'A test flight' },
  { value: 'charge', label: 'A charge' },
] as const;

function SetUp({ onReady }: { readonly onReady: (plan: Plan) => void }) {
  const [kind, setKind] = useState<(typeof kinds)[number]['value']>('flight');
  const loading = useRecords((state) => state.loadingRest);
  const aircraft = useAircraft();
  const batteries = useFlownBatteriesOf(aircraft?.id);
  const battery = useBattery(batteries);
  const conditions = useConditions();
  if (loading !== 'ready') return <Skeleton height={300} radius="sm" />;
  if (!aircraft || !battery || !conditions) {
    return (
      <Empty title="Nothing to time yet">
        <p>An aircraft and a battery come first: begin in Minutes.</p>
      </Empty>
    );
  }
  return (
    <>
      <Headline
        title="Time it by the clock"
        end={<Switch label="What is timed" value={kind} options={kinds} onChange={setKind} />}
      />
      {kind === 'flight' ? (
        <FlightSetUpForm
          key={aircraft.id}
          aircraft={aircraft}
          batteries={batteries}
          battery={battery}
          conditions={conditions}
          onReady={onReady}
        />
      ) : (
        <ChargeSetUpForm
          key={aircraft.id}
          aircraft={aircraft}
          batteries={batteries}
          battery={battery}
          onReady={onReady}
        />
      )}
    </>
  );
}

/** Between the set-up and lift-off: what to mind once more, another clock beside it, or back. */
function Before({
  clock,
  onAnother,
}: {
  readonly clock: FlightClock;
  readonly onAnother: (() => void) | null;
}) {
  const remove = useClocks((state) => state.remove);
  const navigate = useNavigate();
  const { write } = useWriter();
  const { plan } = clock;
  const cancel = () => {
    remove(clock.id);
    void navigate('/clock', { replace: true });
  };
  return (
    <>
      {plan.kind === 'flight' && (
        <>
          <ul className={styles.fair}>
            {fairnessOf(plan.test.pattern, write).map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
          {cautionsOf(plan.test.pattern, plan.toForcedLanding).map((caution) => (
            <Warning key={caution}>{caution}</Warning>
          ))}
        </>
      )}
      <p className={styles.ways}>
        {onAnother && <LinkButton onClick={onAnother}>Time another beside it</LinkButton>}
        <LinkButton onClick={cancel}>Cancel this clock</LinkButton>
      </p>
    </>
  );
}
