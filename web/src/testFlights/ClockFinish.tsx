import {
  defaultLeftTo,
  emptyToFullFrom,
  labelEnergyWh,
  minutesAndSeconds,
  type PackUse,
  provisionalOutcome,
  testFlightRanges,
  testRequestFor,
  withOffset,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ChoiceField } from '../fields/ChoiceField';
import { percent } from '../fields/percent';
import { QuantityField } from '../fields/QuantityField';
import { TextField } from '../fields/TextField';
import type { FlightClock, TimedCharge, TimedFlight } from '../flightClock/clocks';
import type { Running } from '../flightClock/events';
import { useClocks } from '../flightClock/useClocks';
import { FieldError } from '../parts/FieldError';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { making, removing } from '../records/changes';
import { useRecords } from '../records/records';
import { comesOrGoes } from '../records/undoHistory';
import { beliefAbout } from '../state/belief';
import { useClock } from '../state/clock';
import { cardOf } from '../state/liftOff';
import { usePreferences } from '../state/preferences';
import styles from './ClockView.module.css';
import { chargeTimed, type Ending, endChargeOf, endings, type FlightEnd, testFlown } from './clockPlans';
import { CellFields, LeftToField } from './EndFields';
import { PacksAfter, usePacksAfter } from './PacksAfter';

interface Props {
  readonly clock: FlightClock;
  readonly running: Running;
}

/** What is asked when a clock has ended, and how it is kept or thrown away. */
export function ClockFinish({ clock, running }: Props) {
  const { plan } = clock;
  return plan.kind === 'flight' ? (
    <FlightFinish clock={clock} plan={plan} running={running} />
  ) : (
    <ChargeFinish clock={{ ...clock, plan }} running={running} />
  );
}

const endingNames: Record<Ending, string> = {
  landed: 'I landed it',
  'forced-landing': 'it landed itself',
  'motors-out': 'the motors stopped',
};

function FlightFinish({ clock, plan, running }: Props & { readonly plan: TimedFlight }) {
  const { aircraft, batteries, liftOffs, fresh, doAll, loadingRest } = useRecords();
  const removeClock = useClocks((state) => state.remove);
  const { choose } = usePreferences();
  const place = useClock();
  const navigate = useNavigate();
  const [end, setEnd] = useState<FlightEnd>({
    endCharge: endChargeOf(running),
    endTemperatureC: null,
    ending: 'landed',
    lowestCellVoltageV: null,
    cellSpreadV: null,
    leftTo: defaultLeftTo,
  });
  const [note, setNote] = useState('');
  const [asked, setAsked] = useState(false);
  const flown = aircraft.find(({ id }) => id === plan.aircraftId);
  const battery = batteries.find(({ id }) => id === plan.batteryId);
  const test = testFlown(plan, running, end);
  const packs = usePacksAfter(
    usesOf('flight', plan.batteryId, typeof test === 'string' ? null : test.endCharge, running),
  );
  const keep = () => {
    if (typeof test === 'string' || !flown || !battery) return setAsked(true);
    const card = cardOf(liftOffs, battery.id);
    const content = {
      aircraftId: flown.id,
      batteryId: battery.id,
      flownAt: withOffset(new Date(running.beganMs ?? Date.now()).toISOString(), place.timeZone),
      purpose: 'test' as const,
      test,
      weather: plan.weather,
      note: note.trim() || null,
      liftOff: card?.ticked ?? null,
    };
    const request = testRequestFor(content, flown, battery);
    const outcome = provisionalOutcome(content, request, beliefAbout(flown).middle, Date.now());
    const saved = fresh('testFlights', content, { outcome });
    doAll(
      [making('testFlights', saved), ...packs.changes(), ...(card ? [removing('liftOffs', card)] : [])],
      'recording a test',
      comesOrGoes,
    );
    choose({ testFlightId: saved.id });
    removeClock(clock.id);
    void navigate('/test-flights');
  };
  return (
    <>
      <h2>
        Down after {minutesAndSeconds(Math.round(running.endedS ?? 0))} min, {running.marks.length} noted
      </h2>
      <QuantityField
        first
        quantity={testFlightRanges.endCharge}
        value={end.endCharge}
        onChange={(endCharge) => setEnd({ ...end, endCharge })}
      />
      <QuantityField
        quantity={testFlightRanges.endTemperatureC}
        value={end.endTemperatureC}
        assumed={null}
        onChange={(endTemperatureC) => setEnd({ ...end, endTemperatureC })}
      />
      <ChoiceField<Ending>
        label="How it ended"
        value={end.ending}
        options={endings.map((value) => ({ value, label: endingNames[value] }))}
        onChange={(ending) => setEnd({ ...end, ending })}
      />
      <CellFields cells={end} onChange={(cells) => setEnd({ ...end, ...cells })} />
      {running.marks.some(({ leftS }) => leftS !== null) && (
        <LeftToField leftTo={end.leftTo} onChange={(leftTo) => setEnd({ ...end, leftTo })} />
      )}
      <TextField label="Note" value={note} onChange={setNote} />
      <PacksAfter after={packs} />
      {asked && typeof test === 'string' && <FieldError>{test}</FieldError>}
      {loadingRest === 'ready' && (!flown || !battery) && (
        <FieldError>
          The aircraft or the battery of this test was removed meanwhile: bring it back in Kit.
        </FieldError>
      )}
      <Button fullWidth className={styles.ready} disabled={loadingRest !== 'ready'} onClick={keep}>
        Keep this test
      </Button>
      <Ways clock={clock} what="Touched down" />
    </>
  );
}

function ChargeFinish({
  clock,
  running,
}: {
  readonly clock: FlightClock & { readonly plan: TimedCharge };
  readonly running: Running;
}) {
  const { chargers, batteries, fresh, doAll, editEach, loadingRest } = useRecords();
  const removeClock = useClocks((state) => state.remove);
  const navigate = useNavigate();
  const [endCharge, setEndCharge] = useState(endChargeOf(running));
  const [asked, setAsked] = useState(false);
  const timed = chargeTimed(clock, running, endCharge);
  const charger = chargers.find(({ id }) => id === clock.plan.chargerId);
  const battery = batteries.find(({ id }) => id === clock.plan.batteryId) ?? null;
  const packs = usePacksAfter(
    usesOf('charge', clock.plan.batteryId, typeof timed === 'string' ? null : endCharge, running),
  );
  const tells = typeof timed === 'string' ? null : emptyToFullFrom(timed.marks);
  const keep = (takesOver: boolean) => {
    if (typeof timed === 'string' || !charger) return setAsked(true);
    doAll(
      [making('timedCharges', fresh('timedCharges', timed)), ...packs.changes()],
      'timing a charge',
      comesOrGoes,
    );
    if (takesOver && tells !== null) {
      const emptyToFullS = Math.round(tells / 60) * 60;
      editEach(
        [
          {
            kind: 'chargers',
            id: charger.id,
            content: {
              charger: {
                ...charger.charger,
                emptyToFullS,
                timedWh: battery && Math.round(labelEnergyWh(battery.pack)),
              },
            },
          },
        ],
        `minutes of ${charger.name}`,
      );
    }
    removeClock(clock.id);
    void navigate('/kit');
  };
  return (
    <>
      <h2>Charged for {minutesAndSeconds(Math.round(running.endedS ?? 0))} min</h2>
      <QuantityField first quantity={testFlightRanges.endCharge} value={endCharge} onChange={setEndCharge} />
      {tells !== null && charger && (
        <p className={styles.expected}>
          By this charge {charger.name} takes <b>{Math.round(tells / 60)} min</b> from empty to full; so far{' '}
          {Math.round(charger.charger.emptyToFullS / 60)} min stand.
        </p>
      )}
      <PacksAfter after={packs} />
      {asked && typeof timed === 'string' && <FieldError>{timed}</FieldError>}
      {tells !== null && (
        <Button
          fullWidth
          className={styles.ready}
          disabled={loadingRest !== 'ready'}
          onClick={() => keep(true)}
        >
          Keep it, and take {Math.round(tells / 60)} min over
        </Button>
      )}
      <Button
        fullWidth
        variant="default"
        className={styles.ready}
        disabled={loadingRest !== 'ready'}
        onClick={() => keep(false)}
      >
        Keep this charge, change nothing
      </Button>
      <Note>from {percent(clock.plan.startCharge)}</Note>
      <Ways clock={clock} what="Charge ends" />
    </>
  );
}

/** What the pack was put through until the clock ended, once it is known how much it has. */
function usesOf(
  kind: PackUse['kind'],
  batteryId: string,
  endCharge: number | null,
  { beganMs, endedS }: Running,
) {
  if (endCharge === null || beganMs === null || endedS === null) return [];
  return [{ kind, batteryId, endCharge, endedAt: new Date(beganMs + endedS * 1000).toISOString() }];
}

/** Back into the flight, or away with it. Thrown away it is gone, so it is asked once more. */
function Ways({ clock, what }: { readonly clock: FlightClock; readonly what: string }) {
  const { note, remove } = useClocks();
  const [sure, setSure] = useState(false);
  return (
    <p className={styles.ways}>
      <LinkButton onClick={() => note([clock.id], { what: 'undone', atMs: Date.now() })}>
        Undo: {what}, the clock goes on
      </LinkButton>
      {sure ? (
        <LinkButton onClick={() => remove(clock.id)}>Discard it for good</LinkButton>
      ) : (
        <LinkButton onClick={() => setSure(true)}>Discard it</LinkButton>
      )}
    </p>
  );
}
