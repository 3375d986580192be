import { defaultLeftTo, minutesAndSeconds, type ShownLeft as Shown, shownOverCame } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { useMemo } from 'react';
import { leftToNames, shownIn } from '../answers/shownLeft';
import { percent } from '../fields/percent';
import { Headings } from '../parts/Headings';
import { Note } from '../parts/Note';
import { Section } from '../parts/Section';
import styles from './TestDetail.module.css';
import type { TestRow } from './useTests';
import { missInWords } from './words';

/** More readings than this are not told one by one. */
const maxTold = 6;

/** The minutes the aircraft showed as left in a test, each against what came. */
export function ShownLeft({ row: { record, battery } }: { readonly row: TestRow }) {
  const shown = useMemo(() => shownIn(record, battery), [record, battery]);
  const ratio = shownOverCame(shown);
  if (ratio === null) return null;
  const { leftTo } = record.test;
  return (
    <Section title={`Shown as left, to ${leftToNames[leftTo ?? defaultLeftTo]}`} className={styles.readings}>
      <Table>
        <Headings words={['minute']} figures={['shown', 'came', 'off by']} />
        <Table.Tbody>
          {evenly(shown).map(({ timeS, shownS, cameS }) => (
            <Table.Tr key={timeS}>
              <Table.Th scope="row">{minutesAndSeconds(timeS)}</Table.Th>
              <Table.Td data-figure>{minutesAndSeconds(shownS)} min</Table.Td>
              <Table.Td data-figure>{minutesAndSeconds(cameS)} min</Table.Td>
              <Table.Td data-figure>{missInWords(shownS / cameS - 1)}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      <Note>
        It shows {percent(ratio)} of what comes
        {shown.length > maxTold && `, typical of ${shown.length} readings`}. Where its end was not noted, it
        is estimated from the drain of this flight.
      </Note>
    </Section>
  );
}

function evenly(shown: readonly Shown[]): readonly Shown[] {
  const every = Math.ceil(shown.length / maxTold);
  return shown.filter((_, i) => i % every === 0);
}
