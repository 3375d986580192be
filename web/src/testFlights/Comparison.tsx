import {
  type Difference,
  type DifferenceCause,
  explainDifference,
  maxRecordings,
  milestones,
  minutesAndSeconds,
  passed,
  type Recording,
  ranges,
  type SignKind,
} from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { useMemo } from 'react';
import { lazyChart } from '../charts/lazyCharts';
import { percent } from '../fields/percent';
import { Say } from '../fields/Say';
import { Headings } from '../parts/Headings';
import { Headline } from '../parts/Headline';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { ScrollTable } from '../parts/ScrollTable';
import { Section } from '../parts/Section';
import { howFlown } from '../parts/testWords';
import { useRecords } from '../records/records';
import { beliefAbout } from '../state/belief';
import { signWords } from './signWords';
import styles from './TestDetail.module.css';
import { useFrozen } from './useFrozen';
import type { TestRow } from './useTests';
import { nameOf } from './words';

const CompareChart = lazyChart(() => import('./CompareChart').then((module) => module.CompareChart));

interface Props {
  readonly rows: readonly TestRow[];
  readonly onEnd: () => void;
}

/** Flights side by side: when each passed what, all curves in one plot, and why the first two differ. */
export function Comparison({ rows, onEnd }: Props) {
  const [first, second] = rows as [TestRow, TestRow];
  return (
    <>
      <Headline
        title={rows.map(nameOf).join(' against ')}
        end={<LinkButton onClick={onEnd}>End the comparison</LinkButton>}
      />
      <div className={styles.top}>
        <CompareChart rows={rows} />
        <Explained first={first} second={second} />
      </div>
      <Section title="When each passed what, minutes">
        <ScrollTable label="Flights side by side">
          <Table>
            <Headings words={['flight']} figures={[...milestones.map(milestoneWords), 'down']} />
            <Table.Tbody>
              {rows.map((row) => (
                <Milestones key={row.record.id} row={row} />
              ))}
            </Table.Tbody>
          </Table>
        </ScrollTable>
      </Section>
    </>
  );
}

function milestoneWords(one: (typeof milestones)[number]): string {
  return 'kind' in one ? signWords[one.kind as SignKind] : percent(one.charge);
}

function Milestones({ row }: { readonly row: TestRow }) {
  const { test, outcome } = row.record;
  const share = (timeS: number) => `${percent(timeS / outcome.advertisedFlightTimeS)} of the box`;
  return (
    <Table.Tr>
      <Table.Th scope="row">{nameOf(row)}</Table.Th>
      {milestones.map((one) => {
        const moment = passed(test, one);
        return (
          <Table.Td key={milestoneWords(one)} data-figure>
            {moment === null ? (
              '–'
            ) : (
              <>
                {minutesAndSeconds(moment.timeS)}
                <small className={styles.under}>
                  {share(moment.timeS)}
                  {moment.cellVoltageV !== null && `, ${moment.cellVoltageV.toFixed(2)} V`}
                </small>
              </>
            )}
          </Table.Td>
        );
      })}
      <Table.Td data-figure>
        {minutesAndSeconds(test.durationS)}
        <small className={styles.under}>at {percent(test.endCharge)}</small>
      </Table.Td>
    </Table.Tr>
  );
}

interface PairProps {
  readonly first: TestRow;
  readonly second: TestRow;
}

/** Both brought to the same start, air, wind and pack by the model; what then is left is style, setting or aircraft. */
function Explained({ first, second }: PairProps) {
  const [a, b] = [useFrozen(first.record), useFrozen(second.record)];
  const explained = useMemo(() => {
    if (!a.estimate || !b.estimate) return null;
    const flown = ({ record }: TestRow, { request }: NonNullable<typeof a.estimate>) => ({
      test: record.test,
      request: { ...request, batteryId: record.batteryId },
    });
    return explainDifference(
      flown(first, a.estimate),
      flown(second, b.estimate),
      beliefAbout({ id: first.record.aircraftId }).middle,
    );
  }, [first, second, a.estimate, b.estimate]);
  const title = 'Why they differ';
  if (!explained) {
    return (
      <Section title={title}>
        <Note>{a.trouble ?? b.trouble ?? 'Reading what they were estimated with …'}</Note>
      </Section>
    );
  }
  if (!explained.ok) {
    return (
      <Section title={title}>
        <Note>
          <Say sentence={explained.refusal} />
        </Note>
      </Section>
    );
  }
  return (
    <Section title={title}>
      <Causes difference={explained.value} first={first} second={second} />
    </Section>
  );
}

const causeNames: Readonly<Record<DifferenceCause, string>> = {
  start: 'charge and warmth at lift-off',
  air: 'air: temperature, height, pressure',
  wind: 'wind',
  pack: 'the pack: its label and its age',
};

function Causes({ difference, first, second }: PairProps & { readonly difference: Difference }) {
  const { downToCharge, firstS, secondS, causes, restS } = difference;
  return (
    <>
      <Table>
        <Table.Tbody>
          <Table.Tr>
            <Table.Th scope="row">
              {nameOf(first)}, to {percent(downToCharge)}
            </Table.Th>
            <Table.Td data-figure>{minutesAndSeconds(firstS)} min</Table.Td>
          </Table.Tr>
          {causes.map(({ cause, seconds }) => (
            <Table.Tr key={cause}>
              <Table.Th scope="row">{causeNames[cause]}</Table.Th>
              <Table.Td data-figure>{signed(seconds)}</Table.Td>
            </Table.Tr>
          ))}
          <Table.Tr>
            <Table.Th scope="row">what is left</Table.Th>
            <Table.Td data-figure>{signed(restS)}</Table.Td>
          </Table.Tr>
          <Table.Tr>
            <Table.Th scope="row">{nameOf(second)}</Table.Th>
            <Table.Td data-figure>{minutesAndSeconds(secondS)} min</Table.Td>
          </Table.Tr>
        </Table.Tbody>
      </Table>
      <p className={styles.verdict}>{verdict(difference, first, second)}</p>
      <KeepRecording difference={difference} first={first} second={second} />
    </>
  );
}

/** What a recording setting draws, kept with the aircraft by one tap where a comparison shows it. */
function KeepRecording({ difference, first, second }: PairProps & { readonly difference: Difference }) {
  const aircraft = useRecords(({ aircraft: all }) => all.find(({ id }) => id === first.record.aircraftId));
  const edit = useRecords((state) => state.edit);
  const known = aircraft?.recordings ?? [];
  const learnt = recordingLearnt(difference, first, second, known);
  if (!aircraft || !learnt) return null;
  const watts = learnt.loadW.toFixed(1);
  if (known.some(({ name, loadW }) => name === learnt.name && loadW === learnt.loadW))
    return (
      <Note>
        {learnt.name} is kept at {watts} W; it is chosen where the flight is.
      </Note>
    );
  return (
    <LinkButton
      onClick={() =>
        edit(
          'aircraft',
          aircraft.id,
          (now) => ({
            recordings: [...(now.recordings ?? []).filter(({ name }) => name !== learnt.name), learnt].slice(
              -maxRecordings,
            ),
          }),
          `what recording ${learnt.name} draws`,
        )
      }
    >
      Keep {watts} W for recording {learnt.name}
    </LinkButton>
  );
}

/** The setting that took more in two flights otherwise alike, and its watts; null where they show none, or none can be told from another. */
export function recordingLearnt(
  { restS, scatterS, extraPowerW }: Pick<Difference, 'restS' | 'scatterS' | 'extraPowerW'>,
  { record: { test: first } }: TestRow,
  { record: { test: second } }: TestRow,
  known: readonly Recording[],
): Recording | null {
  if (extraPowerW === null || Math.abs(restS) <= scatterS) return null;
  if (first.recordingLoadW != null || second.recordingLoadW != null) return null;
  const [more, less] = extraPowerW > 0 ? [second, first] : [first, second];
  const [name, from] = [more.recording?.trim() ?? '', less.recording?.trim() ?? ''];
  const baseW = from === '' ? 0 : known.find((one) => one.name === from)?.loadW;
  if (name === '' || name === from || baseW === undefined) return null;
  const loadW = Math.round((baseW + Math.abs(extraPowerW)) * 10) / 10;
  return loadW > 0 && loadW <= ranges.flight.recordingLoadW.max ? { name, loadW } : null;
}

/** "−1:20", "+0:05"; the minus as it is printed. */
function signed(seconds: number): string {
  const rounded = Math.round(seconds);
  if (rounded === 0) return '0:00';
  return `${rounded < 0 ? '−' : '+'}${minutesAndSeconds(Math.abs(rounded))}`;
}

/** What the rest means: beyond what two like flights differ by, or not. */
export function verdict(
  { restS, scatterS, extraPowerW }: Difference,
  { record: first }: TestRow,
  { record: second }: TestRow,
): string {
  const scatter = minutesAndSeconds(Math.round(scatterS));
  if (Math.abs(restS) <= scatterS) {
    return `What is left, ${signed(restS)}, lies within the ${scatter} by which two like flights differ: no difference shown.`;
  }
  const isAlike = howFlown(first) === howFlown(second);
  const [from, to] = [first.test.recording?.trim() || 'off', second.test.recording?.trim() || 'off'];
  const cause = !isAlike
    ? `${howFlown(second)} instead of ${howFlown(first)}`
    : from !== to
      ? `recording ${to} instead of ${from}`
      : first.aircraftId !== second.aircraftId
        ? 'another aircraft'
        : 'something nobody noted: another setting, rotors, or flying';
  const watts =
    isAlike && extraPowerW !== null && Math.abs(extraPowerW) >= 0.05
      ? `, as if it took ${Math.abs(extraPowerW).toFixed(1)} W ${extraPowerW > 0 ? 'more' : 'less'}`
      : '';
  return `${signed(restS)} is left for ${cause}${watts}: beyond the ${scatter} by which two like flights differ in 8 cases of 10.`;
}
