import { isLowLanding, kindsFlown, lineThrough, minutesAndSeconds } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { useMemo } from 'react';
import { flownIn, leftToNames, shownByStyle } from '../answers/shownLeft';
import { percent } from '../fields/percent';
import { Headings } from '../parts/Headings';
import { Note } from '../parts/Note';
import { ScrollTable } from '../parts/ScrollTable';
import { Section } from '../parts/Section';
import { howFlown } from '../parts/testWords';
import { useRecords } from '../records/records';
import type { TestRow } from './useTests';

interface ByKindProps {
  readonly rows: readonly TestRow[];
  readonly aircraftId: string;
}

/** Tests of one aircraft by how they were flown and set, each kind with its mean and scatter. */
export function ByKind({ rows, aircraftId }: ByKindProps) {
  const name = useRecords((state) => state.aircraft.find(({ id }) => id === aircraftId)?.name ?? 'It');
  const batteries = useRecords((state) => state.batteries);
  const shown = useMemo(
    () =>
      shownByStyle(
        rows.map(({ record }) => record),
        batteries,
      ),
    [rows, batteries],
  );
  const kinds = useMemo(
    () => kindsFlown(rows.filter(({ counts }) => counts).map(({ record }) => record.test)),
    [rows],
  );
  if (kinds.length === 0) return null;
  return (
    <Section title={`${name} by how it was flown, a whole charge`}>
      <ScrollTable label={`${name} by how it was flown`}>
        <Table>
          <Headings words={['how', 'recording']} figures={['flights', 'mean', 'scatter']} />
          <Table.Tbody>
            {kinds.map(({ flights, meanS, scatterS, ...kind }) => (
              <Table.Tr key={JSON.stringify(kind)}>
                <Table.Th scope="row">{howFlown({ test: kind })}</Table.Th>
                <Table.Td>{kind.recording ?? 'off'}</Table.Td>
                <Table.Td data-figure>{flights}</Table.Td>
                <Table.Td data-figure>{minutesAndSeconds(meanS)} min</Table.Td>
                <Table.Td data-figure>{scatterS === null ? '–' : `±${minutesAndSeconds(scatterS)}`}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </ScrollTable>
      {shown.length > 0 && (
        <Note>
          Minutes it shows as left, of what came:{' '}
          {shown
            .map(
              ({ style, leftTo, ratio, flights }) =>
                `${percent(ratio)} in ${flownIn(style)}, to ${leftToNames[leftTo]} (${flights === 1 ? 'one test' : `${flights} tests`})`,
            )
            .join(', ')}
          .
        </Note>
      )}
    </Section>
  );
}

/** Fewer tests of a pack make no trend. */
const minForTrend = 3;
const monthMs = 30 * 86_400_000;

interface PackLine {
  readonly label: string;
  readonly tests: number;
  /** Mean of flown over estimated, less one. */
  readonly against: number | null;
  /** Change of that a month; null for too few. */
  readonly aMonth: number | null;
  readonly low: number;
}

/** Each battery's tests in time: against their estimates, the trend, and how often it was landed low. */
export function ByBattery({ rows }: { readonly rows: readonly TestRow[] }) {
  const packs = useMemo(() => packLines(rows), [rows]);
  return (
    <Section title="By battery">
      <ScrollTable label="Tests by battery">
        <Table>
          <Headings
            words={['battery']}
            figures={['tests', 'flown against estimated', 'a month', 'low landings']}
          />
          <Table.Tbody>
            {packs.map(({ label, tests, against, aMonth, low }) => (
              <Table.Tr key={label}>
                <Table.Th scope="row">{label}</Table.Th>
                <Table.Td data-figure>{tests}</Table.Td>
                <Table.Td data-figure>{against === null ? '–' : longer(against)}</Table.Td>
                <Table.Td data-figure>{aMonth === null ? '–' : longer(aMonth)}</Table.Td>
                <Table.Td data-figure>{low}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </ScrollTable>
      <Note>
        A trend is told from three tests on. Landing below 15 % wears a pack (common practice names 10 to 20
        %).
      </Note>
    </Section>
  );
}

export function packLines(rows: readonly TestRow[]): PackLine[] {
  const ids = [...new Set(rows.map(({ record }) => record.batteryId))];
  return ids.map((id) => {
    const own = rows.filter(({ record }) => record.batteryId === id);
    const points = own.flatMap(({ counts, comparison, record }) =>
      counts && comparison.missFraction !== null
        ? [[Date.parse(record.flownAt) / monthMs, 1 / (1 + comparison.missFraction) - 1] as const]
        : [],
    );
    const mean = points.reduce((sum, [, ratio]) => sum + ratio, 0) / points.length;
    return {
      label: own[0]?.battery?.label ?? 'removed battery',
      tests: own.length,
      against: points.length > 0 ? mean : null,
      aMonth: points.length >= minForTrend ? (lineThrough(points)?.slope ?? null) : null,
      low: own.filter(({ record }) => isLowLanding(record.test)).length,
    };
  });
}

/** "3 % longer", "2 % shorter". */
function longer(fraction: number): string {
  const rounded = Math.round(fraction * 100);
  if (rounded === 0) return 'the same';
  return `${percent(Math.abs(fraction))} ${rounded > 0 ? 'longer' : 'shorter'}`;
}
