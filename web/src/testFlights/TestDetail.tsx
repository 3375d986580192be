import {
  type FrozenWords,
  liftOffChecks,
  minutesAndSeconds,
  straightLine,
  type TestFlightContent,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { IconHelp } from '@tabler/icons-react';
import { percent } from '../fields/percent';
import { Say } from '../fields/Say';
import { TextField } from '../fields/TextField';
import { useClock } from '../state/clock';
import { useRecords } from '../state/records';
import { useWriter } from '../state/units';
import { checkNames } from '../wayHome/checkNames';
import { TestChart } from './TestChart';
import type { TestRow } from './useTests';
import { howFlown, signedPercent } from './words';

/** One test: its headline, the estimated curve with what was read, and three ways of reckoning it. */
export function TestDetail({ row }: { readonly row: TestRow }) {
  const { record, battery } = row;
  const { test, weather } = record;
  const { edit, remove } = useRecords();
  const { write } = useWriter();
  const clock = useClock();
  const label = battery?.label ?? 'removed battery';
  return (
    <>
      <div className="headline">
        <h1>
          {label}, {howFlown(record)}, {minutesAndSeconds(test.durationS)} to {percent(test.endCharge)}
        </h1>
        <p>
          {clock.format(record.flownAt, 'D MMM YYYY')}, {write('temperature', weather.airTemperatureC)}, wind{' '}
          {write('speed', weather.wind.speedMps, 1)}, ground {write('distance', weather.elevationM)} ·{' '}
          {percent(test.startCharge)} at lift-off
          {test.startTemperatureC != null && `, pack ${write('temperature', test.startTemperatureC)}`}
        </p>
      </div>
      <Questions row={row} />
      <div className="test-top">
        <section>
          <TestChart row={row} />
        </section>
        <section>
          <AllOfIt row={row} />
          <ThisFlight row={row} />
        </section>
      </div>
      {record.liftOff && (
        <p className="panel-note">
          Before lift-off {record.liftOff.length} of {liftOffChecks.length} were ticked
          {record.liftOff.length < liftOffChecks.length &&
            `; not ${liftOffChecks
              .filter((one) => !record.liftOff?.includes(one))
              .map((one) => checkNames[one])
              .join(', ')}`}
          .
        </p>
      )}
      <div className="test-edit">
        <TextField
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
          label="Note"
          value={record.note ?? ''}
          onChange={(text) => edit('testFlights', record.id, { note: text || null }, 'note of a test')}
        />
        <button
          type="button"
          className="link"
          onClick={() => void remove('testFlights', record.id, `removing a test of ${label}`)}
        >
          Remove this test
        </button>
      </div>
    </>
  );
}

/** What is odd about a test, asked before it counts. */
function Questions({ row: { record, questions } }: { readonly row: TestRow }) {
  const edit = useRecords((state) => state.edit);
  if (questions.length === 0) return null;
  const answer = (content: Partial<TestFlightContent>) =>
    edit('testFlights', record.id, content, 'an answer about a test');
  return (
    <ul className="test-questions" aria-label="Asked before it counts">
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
    <Button size="compact-sm" variant="default" onClick={onClick}>
      {children}
    </Button>
  );
}

function AllOfIt({ row: { record } }: { readonly row: TestRow }) {
  const { test, estimate } = record;
  const line = straightLine(test);
  const boxS = estimate.request.aircraft.advertisedFlightTimeS;
  const start = Math.round(test.startCharge * 100);
  const end = Math.round(test.endCharge * 100);
  const ways = [
    { way: `Straight line, ${start} → ${end} %`, seconds: line.fullGaugeS },
    ...(start < 100 ? [{ way: `… if you forget it began at ${start}`, seconds: line.forgottenStartS }] : []),
    { way: 'On the box', seconds: boxS },
  ];
  return (
    <>
      <h2 className="section-title">How long would all of it last?</h2>
      <table className="figures">
        <thead>
          <tr>
            <th scope="col">way of reckoning</th>
            <th scope="col">100 → 0 %</th>
            <th scope="col">of the box</th>
          </tr>
        </thead>
        <tbody>
          {ways.map(({ way, seconds }) => (
            <tr key={way}>
              <th scope="row">{way}</th>
              <td>{minutesAndSeconds(seconds)} min</td>
              <td>{percent(seconds / boxS)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function ThisFlight({ row: { record, comparison } }: { readonly row: TestRow }) {
  const { test, estimate } = record;
  const byShareS = estimate.request.aircraft.advertisedFlightTimeS * (test.startCharge - test.endCharge);
  const against = (seconds: number | null) =>
    seconds === null ? '–' : signedPercent(seconds / test.durationS - 1);
  return (
    <>
      <h2 className="section-title test-second">This flight, to {percent(test.endCharge)}</h2>
      <table className="figures">
        <tbody>
          <tr>
            <th scope="row">Flown</th>
            <td>{minutesAndSeconds(test.durationS)} min</td>
            <td />
          </tr>
          <tr>
            <th scope="row">Estimated when it was recorded</th>
            <td>
              {comparison.estimatedS === null ? '–' : `${minutesAndSeconds(comparison.estimatedS)} min`}
            </td>
            <td>{against(comparison.estimatedS)}</td>
          </tr>
          <tr>
            <th scope="row">Box minutes × share of charge</th>
            <td>{minutesAndSeconds(byShareS)} min</td>
            <td>{against(byShareS)}</td>
          </tr>
        </tbody>
      </table>
      {estimate.refusal && (
        <p className="danger">
          No estimate: <Frozen words={estimate.refusal} />
        </p>
      )}
      {estimate.answer?.cautions
        .filter(({ code }) => code === 'ground-effect')
        .map((caution) => (
          <p key={caution.code} className="test-hint">
            <Frozen words={caution} />.
          </p>
        ))}
    </>
  );
}

/** What was told when the test was kept; records of before 25 Nov 2026 have its words in SI only. */
function Frozen({ words }: { readonly words: string | FrozenWords }) {
  const { say } = useWriter();
  if (typeof words === 'string') return words;
  const { code, template, values, message } = words;
  return code && template && values ? say({ code, template, values }) : message;
}
