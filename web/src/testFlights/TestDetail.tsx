import {
  type FrozenEstimate,
  type FrozenWords,
  liftOffChecks,
  minutesAndSeconds,
  projectionsOf,
  type TestFlightContent,
  writeTestCsv,
} from '@acorn-tally/core';
import { Button, Skeleton, Table } from '@mantine/core';
import { IconHelp } from '@tabler/icons-react';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { basisInWords } from '../answers/trust';
import { lazyChart } from '../charts/lazyCharts';
import { percent } from '../fields/percent';
import { Say } from '../fields/Say';
import { TextField } from '../fields/TextField';
import { FieldError } from '../parts/FieldError';
import { Headings } from '../parts/Headings';
import { Headline } from '../parts/Headline';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import { saveFile } from '../parts/saveFile';
import { howFlown } from '../parts/testWords';
import { useRemoval } from '../parts/useRemoval';
import { Warning } from '../parts/Warning';
import { useRecords } from '../records/records';
import { beliefAbout } from '../state/belief';
import { useClock } from '../state/clock';
import { useWriter } from '../state/units';
import { checkNames } from './checkNames';
import { Samples } from './Samples';
import { ShownLeft } from './ShownLeft';
import { schoolInWords } from './signWords';
import styles from './TestDetail.module.css';
import { useFrozen } from './useFrozen';
import type { TestRow } from './useTests';
import { WhatWasRead } from './WhatWasRead';
import { missInWords } from './words';

const TestChart = lazyChart(() => import('./TestChart').then((module) => module.TestChart));

/** One test: its headline, the estimated curve with what was read, and three ways of projecting it. */
export function TestDetail({ row }: { readonly row: TestRow }) {
  const { record, battery } = row;
  const { test, weather } = record;
  const edit = useRecords((state) => state.edit);
  const remove = useRemoval();
  const [, setSearch] = useSearchParams();
  const { write } = useWriter();
  const clock = useClock();
  const label = battery?.label ?? 'removed battery';
  const { estimate, trouble } = useFrozen(record);
  return (
    <>
      <Headline
        title={
          <>
            {label}, {howFlown(record)}, {minutesAndSeconds(test.durationS)} min, down to{' '}
            {percent(test.endCharge)}
          </>
        }
      >
        {clock.format(record.flownAt, 'D MMM YYYY')}, {write('temperature', weather.airTemperatureC)}, wind{' '}
        {write('speed', weather.wind.speedMps, 1)}, ground {write('distance', weather.elevationM)} ·{' '}
        {percent(test.startCharge)} at lift-off
        {test.startTemperatureC != null && `, pack ${write('temperature', test.startTemperatureC)}`}
      </Headline>
      <Questions row={row} />
      <div className={styles.top}>
        <section aria-label="The flight against its estimate">
          {trouble && <FieldError>{trouble}</FieldError>}
          {record.version === 0 && <Note>Its estimate is made when the flight has come to the server.</Note>}
          {estimate ? (
            <TestChart test={test} estimate={estimate} />
          ) : (
            !trouble && <Skeleton height={246} radius="sm" />
          )}
        </section>
        <div>
          <AllOfIt row={row} estimate={estimate} />
          <ThisFlight row={row} estimate={estimate} />
        </div>
      </div>
      <WhatWasRead row={row} />
      <ShownLeft row={row} />
      {record.source && (
        <Note>
          Read from {record.source.name}, flight {record.source.flightNumber}. Its samples:{' '}
          <Samples
            record={record}
            name={`test ${label} ${clock.format(record.flownAt, 'YYYY-MM-DD HHmm')}`}
          />
        </Note>
      )}
      {estimate?.answer?.basis && (
        <Note>
          Its estimate was made from {basisInWords(estimate.answer.basis)}
          {estimate.answer.basis.source === 'fit' && <FitNamed fitId={estimate.answer.basis.fitId} />}.
        </Note>
      )}
      {record.estimatedAt && (
        <Note>
          Its estimate was made anew on {clock.format(record.estimatedAt, 'D MMM YYYY, HH:mm')}, after it was
          flown.
        </Note>
      )}
      {record.liftOff && (
        <Note>
          Before lift-off {record.liftOff.length} of {liftOffChecks.length} were ticked
          {record.liftOff.length < liftOffChecks.length &&
            `; not ${liftOffChecks
              .filter((one) => !record.liftOff?.includes(one))
              .map((one) => checkNames[one])
              .join(', ')}`}
          .
        </Note>
      )}
      <div className={styles.edit}>
        <TextField
          stacked
          label="Left out of the figures because"
          value={record.excludedReason ?? ''}
          placeholder="it counts; write why, if it should not"
          onChange={(text) =>
            edit(
              'testFlights',
              record.id,
              { excludedReason: text.trim() === '' ? null : text },
              'why it is left out',
            )
          }
        />
        <TextField
          stacked
          label="Note"
          value={record.note ?? ''}
          onChange={(text) => edit('testFlights', record.id, { note: text || null }, 'note of a test')}
        />
        <LinkButton
          onClick={() =>
            saveFile(
              `test ${label} ${clock.format(record.flownAt, 'YYYY-MM-DD HHmm')}.csv`,
              'text/csv',
              writeTestCsv(test),
            )
          }
        >
          Export CSV
        </LinkButton>
        <LinkButton onClick={() => setSearch({ record: record.id })}>Change its figures</LinkButton>
        <LinkButton onClick={() => remove('testFlights', [record.id], `a test of ${label}`)}>
          Remove this test
        </LinkButton>
      </div>
    </>
  );
}

/** Of which day the fit was; it may have been removed since. */
function FitNamed({ fitId }: { readonly fitId: string }) {
  const fit = useRecords((state) => state.fits.find(({ id }) => id === fitId));
  const clock = useClock();
  return fit
    ? `, by the fit of ${clock.format(fit.madeAt, 'D MMM YYYY, HH:mm')}`
    : ', by a fit that was removed';
}

/** What is odd about a test, asked before it counts. */
function Questions({ row: { record, questions } }: { readonly row: TestRow }) {
  const edit = useRecords((state) => state.edit);
  if (questions.length === 0) return null;
  const answer = (content: Partial<TestFlightContent>) =>
    edit('testFlights', record.id, content, 'an answer about a test');
  return (
    <ul className={styles.questions} aria-label="Asked before it counts">
      {questions.map((question) => (
        <li key={question.code}>
          <IconHelp size={16} aria-hidden />
          <span>
            <Say sentence={question} />
          </span>
          <Answer onClick={() => answer({ confirmed: [...(record.confirmed ?? []), question.code] })}>
            It is right: count it
          </Answer>
          <Answer onClick={() => answer({ excludedReason: 'its figures are wrong' })}>
            It is wrong: leave it out
          </Answer>
        </li>
      ))}
    </ul>
  );
}

function Answer({ onClick, children }: { readonly onClick: () => void; readonly children: string }) {
  return (
    <Button variant="default" onClick={onClick}>
      {children}
    </Button>
  );
}

/** How long a whole charge would last by each school, and by how much each is off the full curve. */
function AllOfIt({ row: { record }, estimate }: ThisFlightProps) {
  const { test } = record;
  const boxS = record.outcome.advertisedFlightTimeS;
  const schools = useMemo(
    () =>
      estimate ? projectionsOf(test, estimate.request, beliefAbout({ id: record.aircraftId }).middle) : [],
    [test, estimate, record.aircraftId],
  );
  const ways = [
    ...schools
      .filter(({ kind }) => kind !== 'forgotten-start' || test.startCharge < 0.995)
      .map(({ kind, toZeroS, missFraction }) => ({
        way: schoolInWords(kind, test),
        seconds: toZeroS,
        off: missFraction === null ? 'the measure' : missInWords(missFraction),
      })),
    { way: 'On the box', seconds: boxS, off: '' },
  ];
  return (
    <Section title="How long would a whole charge last?">
      <Table>
        <Headings words={['method']} figures={['100 → 0 %', 'of the box', 'off by']} />
        <Table.Tbody>
          {ways.map(({ way, seconds, off }) => (
            <Table.Tr key={way}>
              <Table.Th scope="row">{way}</Table.Th>
              <Table.Td data-figure>{minutesAndSeconds(seconds)} min</Table.Td>
              <Table.Td data-figure>{percent(seconds / boxS)}</Table.Td>
              <Table.Td data-figure>{off}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Section>
  );
}

interface ThisFlightProps {
  readonly row: TestRow;
  /** Null while it is being read. */
  readonly estimate: FrozenEstimate | null;
}

function ThisFlight({ row: { record, comparison }, estimate }: ThisFlightProps) {
  const { test, outcome } = record;
  const byShareS = outcome.advertisedFlightTimeS * (test.startCharge - test.endCharge);
  const ways = [
    { way: 'Flown', seconds: test.durationS, against: '' },
    {
      way: 'Estimated when it was recorded',
      seconds: comparison.estimatedS,
      against: comparison.missFraction === null ? '–' : missInWords(comparison.missFraction),
    },
    {
      way: 'Box minutes × share of charge',
      seconds: byShareS,
      against: missInWords(byShareS / test.durationS - 1),
    },
  ];
  return (
    <Section title={`This flight, down to ${percent(test.endCharge)}`} className={styles.second}>
      <Table>
        <Table.Tbody>
          {ways.map(({ way, seconds, against }) => (
            <Table.Tr key={way}>
              <Table.Th scope="row">{way}</Table.Th>
              <Table.Td data-figure>{seconds === null ? '–' : `${minutesAndSeconds(seconds)} min`}</Table.Td>
              <Table.Td data-figure>{against}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {estimate?.refusal && (
        <Warning>
          No estimate: <Frozen words={estimate.refusal} />
        </Warning>
      )}
      {estimate?.answer?.cautions
        .filter(({ code }) => code === 'ground-effect')
        .map((caution) => (
          <Note key={caution.code}>
            <Frozen words={caution} />.
          </Note>
        ))}
    </Section>
  );
}

/** What was told when the test was kept; records of before 25 Nov 2026 have its words in SI only. */
function Frozen({ words }: { readonly words: string | FrozenWords }) {
  const { say } = useWriter();
  if (typeof words === 'string') return words;
  const { code, template, values, message } = words;
  return code && template && values ? say({ code, template, values }) : message;
}
