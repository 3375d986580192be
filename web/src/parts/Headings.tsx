import { Table } from '@mantine/core';

interface Props {
  /** From the left, over words. */
  readonly words: readonly string[];
  /** After them, over figures, at the right of their columns. */
  readonly figures?: readonly string[];
}

/** The headings of a table: words, then figures. */
export function Headings({ words, figures = [] }: Props) {
  return (
    <Table.Thead>
      <Table.Tr>
        {words.map((name) => (
          <Table.Th key={name} scope="col">
            {name}
          </Table.Th>
        ))}
        {figures.map((name) => (
          <Table.Th key={name} scope="col" data-figure>
            {name}
          </Table.Th>
        ))}
      </Table.Tr>
    </Table.Thead>
  );
}
