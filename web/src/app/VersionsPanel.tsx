import '@mantine/core/styles/Radio.css';
import { Button, Radio, Table } from '@mantine/core';
import { useState } from 'react';
import { Note } from '../parts/Note';
import { PanelPart, type PanelProps, SidePanel } from '../parts/SidePanel';
import { type Difference, differences, taking } from '../records/conflict';
import { contentOf } from '../records/kinds';
import { useRecords } from '../records/records';
import { conflictsIn } from '../records/saving';
import { useClock } from '../state/clock';
import { useWriter } from '../state/units';
import { fieldInWords, valueInWords } from './fieldWords';
import { titleOf } from './titleOf';
import styles from './VersionsPanel.module.css';

type Conflict = ReturnType<typeof conflictsIn>[number];

/** Records that were changed here and elsewhere: both versions, field by field, until the pilot has chosen. */
export function VersionsPanel({ opened, onClose }: PanelProps) {
  const waiting = useRecords((state) => state.waiting);
  const conflicts = conflictsIn(waiting);
  return (
    <SidePanel title="Two versions" opened={opened} onClose={onClose} size={640}>
      {conflicts.length === 0 ? (
        <p>Nothing to choose: what is shown is saved.</p>
      ) : (
        <Note>
          Until you choose, yours is shown here, the other one is on the server, and neither is lost.
        </Note>
      )}
      {conflicts.map((conflict) => (
        <Choice key={`${conflict.kind} ${conflict.id}`} conflict={conflict} />
      ))}
    </SidePanel>
  );
}

function Choice({ conflict }: { readonly conflict: Conflict }) {
  const { kind, id, mine, halt, base } = conflict;
  const settle = useRecords((state) => state.settle);
  const { theirs } = halt;
  const title = titleOf(conflict);
  if (mine !== null && theirs !== null) {
    const before = typeof base === 'string' ? null : contentOf(base);
    return (
      <PanelPart title={title}>
        <FieldByField
          conflict={conflict}
          differing={differences(mine, contentOf(theirs), before)}
          mine={mine}
        />
      </PanelPart>
    );
  }
  return (
    <PanelPart title={title}>
      <p>
        {theirs === null
          ? 'It was removed elsewhere, after you changed it here.'
          : 'You removed it here, and it was changed elsewhere.'}
      </p>
      <div className={styles.ways}>
        <Button onClick={() => settle(kind, id, mine ?? (theirs && contentOf(theirs)))}>Keep it</Button>
        <Button variant="default" onClick={() => settle(kind, id, null)}>
          {theirs === null ? 'Let it go' : 'Remove it all the same'}
        </Button>
      </div>
    </PanelPart>
  );
}

interface FieldsProps {
  readonly conflict: Conflict;
  readonly differing: readonly Difference[];
  readonly mine: object;
}

const nameOfPath = ({ path }: Difference) => path.join('.');

/** What only one side changed is that side's, until the pilot says otherwise. */
function FieldByField({ conflict: { kind, id }, differing, mine }: FieldsProps) {
  const { settle, batteries, aircraft, places } = useRecords();
  const [chosen, choose] = useState<Readonly<Record<string, 'mine' | 'theirs'>>>({});
  const { units } = useWriter();
  const clock = useClock();
  const nameOf = (one: string) => {
    const named = [...aircraft, ...places].find((record) => record.id === one)?.name;
    return named ?? batteries.find((record) => record.id === one)?.label ?? null;
  };
  const reader = { units, clock, nameOf };
  const sideOf = (one: Difference) => chosen[nameOfPath(one)] ?? (one.by === 'them' ? 'theirs' : 'mine');
  const keep = (side: (one: Difference) => 'mine' | 'theirs') =>
    settle(
      kind,
      id,
      taking(
        mine,
        differing.filter((one) => side(one) === 'theirs'),
      ),
    );
  return (
    <>
      <Table>
        <Table.Thead>
          <Table.Tr>
            <Table.Th scope="col">Field</Table.Th>
            <Table.Th scope="col">Yours</Table.Th>
            <Table.Th scope="col">The other</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {differing.map((one) => {
            const name = one.path.at(-1) ?? '';
            const field = fieldInWords(kind, one.path);
            const option = (side: 'mine' | 'theirs') => (
              <Radio
                name={`${id} ${nameOfPath(one)}`}
                checked={sideOf(one) === side}
                onChange={() => choose({ ...chosen, [nameOfPath(one)]: side })}
                classNames={{ body: styles.option }}
                label={valueInWords(kind, name, one[side], reader)}
                aria-label={`${field}: ${side === 'mine' ? 'yours' : 'the other'}, ${valueInWords(kind, name, one[side], reader)}`}
              />
            );
            return (
              <Table.Tr key={nameOfPath(one)}>
                <Table.Th scope="row">{field}</Table.Th>
                <Table.Td>{option('mine')}</Table.Td>
                <Table.Td>{option('theirs')}</Table.Td>
              </Table.Tr>
            );
          })}
        </Table.Tbody>
      </Table>
      <div className={styles.ways}>
        <Button onClick={() => keep(sideOf)}>Keep what is chosen</Button>
        <Button variant="default" onClick={() => keep(() => 'mine')}>
          All of yours
        </Button>
        <Button variant="default" onClick={() => keep(() => 'theirs')}>
          All of the other
        </Button>
      </div>
    </>
  );
}
