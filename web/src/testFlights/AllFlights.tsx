import { minutesAndSeconds } from '@acorn-tally/core';
import { Table, Tooltip } from '@mantine/core';
import { percent } from '../fields/percent';
import { Headings } from '../parts/Headings';
import { Note } from '../parts/Note';
import { ScrollTable } from '../parts/ScrollTable';
import { Section } from '../parts/Section';
import { howFlown } from '../parts/testWords';
import styles from './AllFlights.module.css';
import { medianMiss, type TestRow } from './useTests';
import { missInWords } from './words';

/** Every test in one table: flown against what was estimated beforehand, and against the box. */
export function AllFlights({ rows }: { readonly rows: readonly TestRow[] }) {
  const miss = medianMiss(rows);
  const counted = rows.filter(({ counts }) => counts).length;
  return (
    <Section title="Flown against what was estimated beforehand, and the box">
      <ScrollTable label="All test flights">
        <Table>
          <Headings words={['test']} figures={['flown', 'estimated', 'estimate was', 'of the box']} />
          <Table.Tbody>
            {rows.map((row) => (
              <FlightRow key={row.record.id} row={row} />
            ))}
          </Table.Tbody>
        </Table>
      </ScrollTable>
      <Note>
        {counted} of {rows.length} flights count
        {miss !== null && `; estimated beforehand, median error ${(miss * 100).toFixed(1)} %`}.
      </Note>
    </Section>
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
