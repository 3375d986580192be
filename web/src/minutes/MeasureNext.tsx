import { type Band, minutesAndSeconds, waysToKnow } from '@acorn-tally/core';
import { Anchor, Table } from '@mantine/core';
import { Link } from 'react-router';
import { Bar } from '../parts/Bar';
import { Note } from '../parts/Note';

interface Props {
  readonly label: string;
  readonly band: Band | null;
}

/** What a pilot could find out, and by how much each would narrow the band. */
export function MeasureNext({ label, band }: Props) {
  if (!band) return <Note>reckoning …</Note>;
  const { sensitivity, usableS } = band;
  const most = Math.max(...sensitivity.map(({ seconds }) => seconds));
  const doubtS = usableS.p50 - usableS.planned;
  return (
    <>
      <Note>
        Of {label}, {minutesAndSeconds(doubtS)} min are kept for doubt: eight in ten flights lie between{' '}
        {minutesAndSeconds(usableS.p10)} and {minutesAndSeconds(usableS.p90)}. To plan on, you would gain
        about
      </Note>
      {sensitivity.length === 0 ? (
        <Note>little, whatever you found out.</Note>
      ) : (
        <Table>
          <Table.Tbody>
            {sensitivity.map(({ input, seconds }) => (
              <Table.Tr key={input}>
                <Table.Th scope="row">{waysToKnow[input]}</Table.Th>
                <Bar share={seconds / most} as="spend" />
                <Table.Td data-figure>{minutesAndSeconds(seconds)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      <Note>Two flights of one aircraft differ by some 4 % whatever you know; that much stays in doubt.</Note>
      <Anchor component={Link} to="?record" data-alone>
        Record a test
      </Anchor>
    </>
  );
}
