import '@mantine/core/styles/Progress.css';
import '@mantine/core/styles/Checkbox.css';
import {
  type AircraftRecord,
  type BatteryRecord,
  type Fit,
  knowledgeFrom,
  type ListedFit,
  minutesAndSeconds,
} from '@acorn-tally/core';
import { Anchor, Button, Checkbox, Progress, Table } from '@mantine/core';
import { useEffect, useMemo } from 'react';
import { Link, useLocation } from 'react-router';
import { goBackTo, type Learning, takeFit, useLearning, useNextTests } from '../answers/learning';
import { flightsInWords } from '../answers/trust';
import { useBandsOf } from '../answers/useBands';
import { requestFor } from '../answers/useEstimates';
import { lazyChart } from '../charts/lazyCharts';
import { countInWords, percent, turnBackPercent } from '../fields/percent';
import { Say } from '../fields/Say';
import { Bar } from '../parts/Bar';
import { capital, uncapital } from '../parts/capital';
import { Headings } from '../parts/Headings';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { howFlown, testInWords } from '../parts/testWords';
import { Warning } from '../parts/Warning';
import { Wide } from '../parts/Wide';
import { Wrong } from '../parts/Wrong';
import { useRecords } from '../records/records';
import { beliefAbout } from '../state/belief';
import { useChosen } from '../state/chosen';
import { useClock } from '../state/clock';
import { useBattery, useConditions, useFlownBatteriesOf } from '../state/current';
import { useWriter } from '../state/units';
import styles from './Taught.module.css';
import { changesInWords, stillUnknown, taughtLines } from './taughtWords';
import type { TestRow } from './useTests';

const TaughtPlot = lazyChart(() => import('./TaughtPlot').then((module) => module.TaughtPlot));

interface Props {
  readonly aircraft: AircraftRecord;
  readonly rows: readonly TestRow[];
}

/** What the flights of an aircraft taught: each thing with how sure it is, how well flights are foretold, and what to fly next. */
export function Taught({ aircraft, rows }: Props) {
  const learning = useLearning(aircraft);
  const { fitting, basis } = learning;
  const { outcome } = fitting;
  const count = basis.flights.length;
  const these = count === 1 ? 'this one flight' : `these ${flightsInWords(count)}`;
  const title =
    count === 0 ? `What flights of ${aircraft.name} teach` : `What ${these} of ${aircraft.name} taught`;
  const { hash } = useLocation();
  const isReady = outcome !== null;
  useEffect(() => {
    // Who comes for it is brought there; the browser looks for it before it stands.
    if (hash === '#taught' && isReady) document.getElementById('taught')?.scrollIntoView();
  }, [hash, isReady]);
  return (
    <>
      <div className={styles.both}>
        <Section id="taught" title={title} end={outcome?.ok && <UsedNow learning={learning} />}>
          <Underway learning={learning} />
          {count === 0 && (
            <Note>None counts yet. From the first on, what it teaches of {aircraft.name} is told here.</Note>
          )}
          {outcome && !outcome.ok && (
            <Warning>
              <Say sentence={outcome.refusal} />
            </Warning>
          )}
          {outcome?.ok && (
            <>
              <Offer aircraft={aircraft} learning={learning} fit={outcome.value} />
              <Lines aircraft={aircraft} fit={outcome.value} rows={rows} />
            </>
          )}
        </Section>
        {outcome?.ok && <HowWell fit={outcome.value} rows={rows} />}
      </div>
      {outcome?.ok && (
        <div className={styles.both}>
          <NextToFly aircraft={aircraft} learning={learning} fit={outcome.value} rows={rows} />
          <KeptFits aircraft={aircraft} current={learning.current} />
        </div>
      )}
    </>
  );
}

/** "in use" or what it is not yet. */
function UsedNow({ learning: { current, changes } }: { readonly learning: Learning }) {
  if (!current) return <small className={styles.state}>not used yet: minutes are from the box only</small>;
  return <small className={styles.state}>{changes ? 'an earlier fit is in use' : 'in use'}</small>;
}

function Underway({ learning: { fitting } }: { readonly learning: Learning }) {
  const { progress, trouble, cancelled, cancel, again } = fitting;
  if (trouble) return <Wrong>{trouble}</Wrong>;
  if (cancelled) {
    return (
      <Note>
        Not learnt from: it was ended. <LinkButton onClick={again}>Learn from them now</LinkButton>
      </Note>
    );
  }
  if (progress === null) return null;
  return (
    <div className={styles.underway} role="status">
      <span>learning from them …</span>
      <Progress value={progress * 100} aria-label="Learnt so far" />
      <LinkButton onClick={cancel}>Stop</LinkButton>
    </div>
  );
}

const labelsOf = (batteries: readonly BatteryRecord[]) => (id: string) =>
  batteries.find((battery) => battery.id === id)?.label ?? 'a removed battery';

interface OfferProps {
  readonly aircraft: AircraftRecord;
  readonly learning: Learning;
  readonly fit: Fit;
}

/** What would change were it used, battery by battery; the pilot takes it, or lets it be taken. */
function Offer({ aircraft, learning, fit }: OfferProps) {
  const { current, changes } = learning;
  const edit = useRecords((state) => state.edit);
  return (
    <div className={styles.offer} data-open={changes !== null || undefined}>
      {changes && (
        <>
          <p>
            {current ? `${changesInWords(changes)}. ` : ''}
            {current ? 'With that:' : `Used, that changes what is planned for ${aircraft.name}:`}
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

const mostShown = 4;

function WouldChange({ aircraft, fit }: Pick<OfferProps, 'aircraft' | 'fit'>) {
  const conditions = useConditions();
  const flown = useFlownBatteriesOf(aircraft.id);
  const batteries = useMemo(() => flown.slice(0, mostShown), [flown]);
  const requests = useMemo(
    () => (conditions ? batteries.map((battery) => requestFor(aircraft, battery, conditions)) : []),
    [aircraft, batteries, conditions],
  );
  const would = useMemo(() => knowledgeFrom({ ...fit, id: 'offered' }), [fit]);
  const [now, then] = [useBandsOf(requests, beliefAbout(aircraft).known), useBandsOf(requests, would)];
  if (!now.value || !then.value) return <Note>reckoning what would change …</Note>;
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

interface FitProps {
  readonly fit: Fit;
  readonly rows: readonly TestRow[];
}

function Lines({ aircraft, fit, rows }: FitProps & { readonly aircraft: AircraftRecord }) {
  const batteries = useRecords((state) => state.batteries);
  const { say } = useWriter();
  const lines = taughtLines(fit, aircraft.name, aircraft.spec, labelsOf(batteries), say);
  const unknown = stillUnknown(fit, aircraft.spec);
  return (
    <>
      {fit.findings.map((finding) => (
        <Note key={finding.code}>
          <Say sentence={finding} />
        </Note>
      ))}
      <Wide label="What was learnt">
        <Table className={styles.lines}>
          <Headings words={['learnt']} figures={['now', 'before', 'known']} />
          <Table.Tbody>
            {lines.map(({ name, now, before, learned }) => (
              <Table.Tr key={name}>
                <Table.Th scope="row">{name}</Table.Th>
                <Table.Td data-figure>{now}</Table.Td>
                <Table.Td data-figure className={styles.before}>
                  {before}
                </Table.Td>
                <Bar share={learned} as="spend" label={`${percent(learned)} of the doubt is gone`} />
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Wide>
      {unknown.length > 0 && (
        <div className={styles.unknown}>
          Still not known, and what would teach it:
          <ul>
            {unknown.map(({ name, way }) => (
              <li key={name}>
                {name}: {uncapital(way)}
              </li>
            ))}
          </ul>
        </div>
      )}
      <Note>
        Hardly ever learnt from flights: the capacity of a pack by itself, what a stop costs, the electronics.
        And never for another aircraft of the same type.
      </Note>
      <Marked fit={fit} rows={rows} />
    </>
  );
}

/** The one flight that lies farthest from what the others foretell, with what to check; it counts until the pilot says otherwise. */
function Marked({ fit, rows }: FitProps) {
  const choose = useChosen((state) => state.choose);
  const edit = useRecords((state) => state.edit);
  const clock = useClock();
  const marked = fit.flights.filter(({ flagged, counts }) => flagged && counts);
  const worst = marked.sort(
    (a, b) => Math.abs(b.flagged?.deviations ?? 0) - Math.abs(a.flagged?.deviations ?? 0),
  )[0];
  const row = worst && rows.find(({ record }) => record.id === worst.id);
  if (!worst?.flagged || !row) return null;
  const { record, battery } = row;
  return (
    <Warning className={styles.marked}>
      Look at {battery?.label ?? 'the flight'}, {howFlown(record)}, {clock.format(record.flownAt, 'D MMM')}.{' '}
      <Say sentence={worst.flagged} /> It counts, for less.{' '}
      <LinkButton onClick={() => choose({ testFlightId: record.id })}>Show it</LinkButton>{' '}
      <LinkButton
        onClick={() =>
          edit('testFlights', record.id, { excludedReason: 'unlike the other flights' }, 'why it is left out')
        }
      >
        Leave it out
      </LinkButton>
    </Warning>
  );
}

/** The accuracy that is stated is that of flights which the fit did not know. */
function HowWell({ fit, rows }: FitProps) {
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
          ? `Full dots and bands: each of ${countInWords(out.flights)} flights foretold by the others. Rings: from the box alone. `
          : 'Rings: from the box alone. '}
        Flights themselves differ by about {percent(between.flightSpread)}; no test takes that away.
      </Note>
    </Section>
  );
}

function NextToFly({ aircraft, learning, fit }: OfferProps & { readonly rows: readonly TestRow[] }) {
  const batteries = useFlownBatteriesOf(aircraft.id);
  const battery = useBattery(batteries);
  const conditions = useConditions();
  const tests = useNextTests(learning, fit.posterior, aircraft, battery, conditions);
  const labelOf = labelsOf(batteries);
  const [best] = tests ?? [];
  return (
    <Section title={`Next test, for the flight planned with ${battery?.label ?? 'it'}`}>
      {!tests ? (
        <Note>{battery ? 'reckoning …' : 'No battery is flown.'}</Note>
      ) : !best ? (
        <Note>No test would gain a minute worth telling.</Note>
      ) : (
        <Table>
          <Headings words={['test']} figures={['gains about']} />
          <Table.Tbody>
            {tests.map((test) => (
              <Table.Tr
                key={`${test.pattern} ${test.style} ${test.twist} ${test.batteryId}`}
                data-tied={test.tied || undefined}
              >
                <Table.Th scope="row">
                  {capital(testInWords(test, labelOf))}
                  {test.tied && test !== best && <small className={styles.tied}> as good</small>}
                </Table.Th>
                <Table.Td data-figure>{minutesAndSeconds(test.gainsS)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      <Note>
        Minutes less kept for doubt. Note the airspeed or the distance of a fast test: else drag and speed
        cannot be told apart.{' '}
        <Anchor component={Link} to="/clock">
          Fly a test by the clock
        </Anchor>
      </Note>
    </Section>
  );
}

const mostListed = 8;

/** Every fit is kept; one is used, or the box. */
function KeptFits({
  aircraft,
  current,
}: {
  readonly aircraft: AircraftRecord;
  readonly current: ListedFit | null;
}) {
  const fits = useRecords((state) => state.fits);
  const clock = useClock();
  const own = fits.filter(({ aircraftId }) => aircraftId === aircraft.id).reverse();
  if (own.length === 0) return null;
  return (
    <Section title="Fits that were used">
      <Table>
        <Table.Tbody>
          {own.slice(0, mostListed).map((record) => (
            <Table.Tr key={record.id}>
              <Table.Th scope="row">
                {clock.format(record.madeAt, 'D MMM YYYY, HH:mm')}, {flightsInWords(record.fit.flown)}
              </Table.Th>
              <Table.Td data-figure>
                {record.fit.leaveOneOut &&
                  `typical miss ${minutesAndSeconds(record.fit.leaveOneOut.medianMissS)}`}
              </Table.Td>
              <Table.Td data-figure>
                {record.id === current?.id ? (
                  <b>in use</b>
                ) : (
                  <LinkButton
                    label={`Go back to the fit of ${clock.format(record.madeAt, 'D MMM YYYY, HH:mm')}`}
                    onClick={() => goBackTo(aircraft, record.id)}
                  >
                    Go back to it
                  </LinkButton>
                )}
              </Table.Td>
            </Table.Tr>
          ))}
          <Table.Tr>
            <Table.Th scope="row">The box only</Table.Th>
            <Table.Td />
            <Table.Td data-figure>
              {current ? (
                <LinkButton onClick={() => goBackTo(aircraft, null)}>Go back to the box</LinkButton>
              ) : (
                <b>in use</b>
              )}
            </Table.Td>
          </Table.Tr>
        </Table.Tbody>
      </Table>
    </Section>
  );
}
