import { Table } from '@mantine/core';
import styles from './Bar.module.css';

interface Props {
  /** 0–1 of the longest. */
  readonly share: number;
  /** Who takes or gives it: colour, and outline for what is not sure or is gained. */
  readonly as: 'loss' | 'gain' | 'doubt' | 'spend';
  /** What it says, where no figure beside it does. */
  readonly label?: string;
}

/** A length in a table, for those who would rather look than read. */
export function Bar({ share, as, label }: Props) {
  return (
    <Table.Td className={styles.bar}>
      <i data-as={as} style={{ width: `${share * 100}%` }} />
      {label && <span data-unseen>{label}</span>}
    </Table.Td>
  );
}
