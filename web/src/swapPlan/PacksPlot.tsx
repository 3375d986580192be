import type { PacksBrought } from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { countInWords } from '../fields/percent';
import { capitalize } from '../parts/capitalize';
import styles from './PacksPlot.module.css';

interface Props {
  readonly packs: readonly PacksBrought[];
  readonly shotCount: number;
}

/** Shots done against packs brought, without charging and with it; and the sentence that follows from it. */
export function PacksPlot({ packs, shotCount }: Props) {
  const ways = [false, true]
    .map((charging) => ({ charging, row: packs.filter((one) => one.charging === charging) }))
    .filter(({ row }) => row.length > 0);
  return (
    <>
      <p>{packsInWords(packs, shotCount)}</p>
      <Table className={styles.plot} aria-label="Shots done against packs brought">
        <Table.Thead>
          <Table.Tr>
            <Table.Th scope="col">packs</Table.Th>
            {ways[0]?.row.map((one) => (
              <Table.Th key={one.packs} scope="col">
                {one.packs}
              </Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {ways.map(({ charging, row }) => (
            <Table.Tr key={String(charging)} data-charging={charging || undefined}>
              <Table.Th scope="row">{charging ? 'charging' : 'shots'}</Table.Th>
              {row.map((one) => (
                <Table.Td key={one.packs}>
                  <i style={{ height: `${(one.shotsPlaced / Math.max(1, shotCount)) * 34}px` }} />
                  {one.shotsPlaced}
                </Table.Td>
              ))}
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </>
  );
}

/** "Three without charging: seven shots. Three with the charger: all." */
export function packsInWords(packs: readonly PacksBrought[], shotCount: number): string {
  const sentences = [false, true].flatMap((charging) => {
    const row = packs.filter((one) => one.charging === charging);
    const most = Math.max(...row.map(({ shotsPlaced }) => shotsPlaced));
    const fewest = row.find(({ shotsPlaced }) => shotsPlaced === most);
    if (!fewest) return [];
    const what =
      most === shotCount ? 'all shots' : `${countInWords(most)} of ${countInWords(shotCount)} shots`;
    return [
      `${capitalize(countInWords(fewest.packs))} ${charging ? 'with charging' : 'without charging'}: ${what}.`,
    ];
  });
  const last = packs.filter(({ charging }) => !charging).at(-1);
  const enough = packs.find(({ charging, shotsPlaced }) => !charging && shotsPlaced === last?.shotsPlaced);
  if (enough && last && enough.packs < last.packs) sentences.push('More gain nothing.');
  if (packs.some(({ atLeast }) => atLeast)) sentences.push('At least: the search stopped at its limit.');
  return sentences.join(' ');
}
