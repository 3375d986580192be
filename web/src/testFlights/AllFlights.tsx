import { minutesAndSeconds } from '@acorn-tally/core';
import { Table, Tooltip } from '@mantine/core';
import { lazyChart } from '../charts/lazyCharts';
import { percent } from '../fields/percent';
import { Headings } from '../parts/Headings';
import { Section } from '../parts/Section';
import { Wide } from '../parts/Wide';
import styles from './AllFlights.module.css';
import { medianMiss, type TestRow } from './useTests';
import { howFlown, missInWords } from './words';

const AgainstFlown = lazyChart(() => import('./AgainstFlown').then((module) => module.AgainstFlown));

/** Every test in one table and one plot: flown against estimated and against the box. */
export function AllFlights({ rows }: { readonly rows: readonly TestRow[] }) {
  const miss = medianMiss(rows);
  const counted = rows.filter(({ counts }) => counts).length;
  return (
    <div className={styles.both}>
      <Section title="Flown against estimated and the box, minutes">
        <Wide label="All test flights">
          <Table>
            <Headings words={['test']} figures={['flown', 'estimated', 'which was', 'of the box']} />
            <Table.Tbody>
              {rows.map((row) => (
                <FlightRow key={row.record.id} row={row} />
              ))}
            </Table.Tbody>
          </Table>
        </Wide>
      </Section>
      <Section title="Estimated against flown">
        <div className={styles.scatter}>
          <AgainstFlown rows={rows} />
          <dl className={styles.sum}>
            <dt>flights that count</dt>
            <dd>
              {counted} of {rows.length}
            </dd>
            <dt>typical miss, from the box only</dt>
            <dd>{miss === null ? '–' : `±${(miss * 100).toFixed(1)} %`}</dd>
          </dl>
        </div>
      </Section>
    </div>
  );
}

function FlightRow({ row: { record, battery, comparison, counts, questions } }: { readonly row: TestRow }) {
  const { estimatedS, missFraction, boxFraction } = comparison;
  return (
    <Table.Tr className={counts ? undefined : styles.leftOut}>
      <Table.Th scope="row">
        {battery?.label ?? 'removed battery'}, {howFlown(record)}
        {questions.length > 0 ? (
          <small> asked, not counted yet</small>
        ) : (
          !counts && (
            <Tooltip label={record.excludedReason}>
              <small> left out: {record.excludedReason}</small>
            </Tooltip>
          )
        )}
      </Table.Th>
      <Table.Td data-figure>{minutesAndSeconds(record.test.durationS)}</Table.Td>
      <Table.Td data-figure>{estimatedS === null ? '–' : minutesAndSeconds(estimatedS)}</Table.Td>
      <Table.Td data-figure>{missFraction === null ? '–' : missInWords(missFraction)}</Table.Td>
      <Table.Td data-figure>{percent(boxFraction)}</Table.Td>
    </Table.Tr>
  );
}
