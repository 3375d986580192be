import type { PlanRequest, SwapPlan, WhatHelps } from '@acorn-tally/core';
import { Button, Loader, Table } from '@mantine/core';
import { useEffect, useState } from 'react';
import { Say } from '../fields/Say';
import { LinkButton } from '../parts/LinkButton';
import { Section } from '../parts/Section';
import { Warning } from '../parts/Warning';
import { helpsFor } from '../workers/usePlanner';
import styles from './Helps.module.css';
import type { Names } from './Lanes';
import { againstInWords } from './planWords';
import { useKnown } from './useShooting';

interface Props {
  /** The plan of the request; null while it is sought. */
  readonly plan: SwapPlan | null;
  readonly request: PlanRequest;
  readonly names: Names;
}

/** What would help: another start, a charger or a battery more, warm packs, another launch place; each tried when it is asked for. */
export function Helps({ plan, request, names }: Props) {
  const [asked, setAsked] = useState<PlanRequest | null>(null);
  const [helps, setHelps] = useState<WhatHelps | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const known = useKnown(request);
  useEffect(() => {
    setHelps(null);
    setTrouble(null);
    if (asked !== request || !plan) return;
    const wanted = new AbortController();
    helpsFor(request, known, plan, wanted.signal).then(setHelps, (error: Error) => setTrouble(error.message));
    return () => wanted.abort();
  }, [asked, plan, request, known]);
  const isTrying = asked === request && !helps && !trouble;
  return (
    <Section title="What would help" className={styles.helps}>
      {asked !== request && (
        <Button variant="default" onClick={() => setAsked(request)}>
          Try what would help
        </Button>
      )}
      {isTrying && (
        <p>
          <Loader size={14} aria-hidden /> trying each …{' '}
          <LinkButton onClick={() => setAsked(null)}>Stop</LinkButton>
        </p>
      )}
      {trouble && asked === request && <Warning alert>{trouble}</Warning>}
      {helps && asked === request && <Tried helps={helps} request={request} names={names} />}
    </Section>
  );
}

interface TriedProps extends Pick<Props, 'request' | 'names'> {
  readonly helps: WhatHelps;
}

function Tried({ helps, request, names }: TriedProps) {
  const { clock } = names;
  const { asIs, changes, starts } = helps;
  const most = Math.max(asIs.takeoffs, ...starts.map(({ outlook }) => outlook.takeoffs), 1);
  const rows = [...starts, { startAt: request.startAt, outlook: asIs }].sort(
    (a, b) => Date.parse(a.startAt) - Date.parse(b.startAt),
  );
  return (
    <div className={styles.tried}>
      <ul>
        {changes.map(({ change, outlook }) => (
          <li key={`${change.code} ${JSON.stringify(change.values)}`}>
            <b>
              <Say sentence={change} />
            </b>
            : {againstInWords(outlook, asIs)}.
          </li>
        ))}
      </ul>
      {starts.length > 0 && (
        <Table className={styles.starts} aria-label="Begun earlier or later">
          <Table.Thead>
            <Table.Tr>
              <Table.Th scope="col">begun</Table.Th>
              <Table.Th scope="col">take-offs</Table.Th>
              <Table.Th scope="col">done</Table.Th>
              <Table.Th scope="col">takes</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {rows.map(({ startAt, outlook }) => (
              <Table.Tr key={startAt} data-now={outlook === asIs || undefined}>
                <Table.Th scope="row">{clock.format(startAt, 'HH:mm')}</Table.Th>
                <Table.Td>
                  <i style={{ width: `${(outlook.takeoffs / most) * 60}px` }} />
                  {outlook.takeoffs}
                </Table.Td>
                <Table.Td>{outlook.takeoffs > 0 ? clock.format(outlook.endAt, 'HH:mm') : '–'}</Table.Td>
                <Table.Td>{outlook.takesPlaced}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
    </div>
  );
}
