import {
  defaultWhatIfs,
  type Estimate,
  type EstimateRequest,
  estimate as estimateOf,
  hoverOrMove,
  type KeptPlace,
  type Knowledge,
  middleBelief,
  minutesAndSeconds,
  type Refusal,
  type WhatIf,
  type WhatIfKind,
  whatIfKinds,
  whatIfRanges,
  withWhatIf,
} from '@acorn-tally/core';
import { Table } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import { useMemo } from 'react';
import { useBandsOf } from '../answers/useBands';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../fields/Say';
import { Bar } from '../parts/Bar';
import { Fields } from '../parts/Fields';
import { IconButton } from '../parts/IconButton';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { Warning } from '../parts/Warning';
import { usePreferences } from '../state/preferences';
import { useWriter } from '../state/units';
import styles from './WhatIfs.module.css';

interface Props {
  readonly request: EstimateRequest;
  /** Where the pack waits, which a colder day changes with the air. */
  readonly keptAt: KeptPlace;
  readonly estimate: Estimate;
  readonly known: Knowledge;
  /** What is planned as it is; null until that is known. */
  readonly plannedS: number | null;
}

const kindNames: Record<WhatIfKind, string> = {
  colder: 'Colder',
  windier: 'Windier',
  faster: 'Faster',
  farther: 'Farther',
  higher: 'Higher',
};
const maxPinned = 8;

/** What there would be to plan on if one thing were otherwise, each pinned with its difference; and standing against moving. */
export function WhatIfs({ request, keptAt, estimate, known, plannedS }: Props) {
  const { whatIfs, choose } = usePreferences();
  const asked = useMemo(
    () => whatIfs.map((whatIf) => withWhatIf(request, whatIf, keptAt)),
    [request, keptAt, whatIfs],
  );
  const bands = useBandsOf(asked, known);
  const refusals = useMemo(() => asked.map((one) => refusalOf(one, known)), [asked, known]);
  const answers = whatIfs.map((whatIf, i) => ({
    whatIf,
    refusal: refusals[i] ?? null,
    thenS: bands.value?.[i]?.usableS.planned ?? null,
  }));
  const longestS = Math.max(plannedS ?? 0, 1, ...answers.map(({ thenS }) => thenS ?? 0));
  const set = (index: number, next: WhatIf | null) =>
    choose({ whatIfs: whatIfs.flatMap((one, i) => (i === index ? (next ?? []) : one)) });
  const pin = (kind: WhatIfKind) => {
    const usual = defaultWhatIfs.find((one) => one.kind === kind);
    if (usual) choose({ whatIfs: [...whatIfs, usual] });
  };
  return (
    <>
      <Table className={styles.table} verticalSpacing={0} data-old={!bands.fresh || undefined}>
        <Table.Tbody>
          <Table.Tr>
            <Table.Th scope="row">As it is</Table.Th>
            <Bar share={(plannedS ?? 0) / longestS} as="spend" />
            <Table.Td data-figure>{plannedS === null ? '…' : minutesAndSeconds(plannedS)}</Table.Td>
            <Table.Td />
            <Table.Td />
          </Table.Tr>
          {answers.map(({ whatIf, refusal, thenS }, i) => {
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: two of a kind may be pinned; their place is what they are
              <Table.Tr key={i}>
                <Table.Th scope="row">
                  <QuantityField
                    quantity={whatIfRanges[whatIf.kind]}
                    value={whatIf.amount}
                    onChange={(amount) => set(i, { ...whatIf, amount })}
                  />
                </Table.Th>
                {!refusal ? (
                  <>
                    <Bar share={(thenS ?? 0) / longestS} as="spend" />
                    <Table.Td data-figure>
                      {thenS === null ? '…' : thenS > 0 ? minutesAndSeconds(thenS) : 'none'}
                    </Table.Td>
                    <Table.Td className={styles.difference}>
                      {thenS === 0 ? (
                        <span className={styles.none}>no safe flight</span>
                      ) : (
                        thenS !== null && plannedS !== null && difference(thenS - plannedS)
                      )}
                    </Table.Td>
                  </>
                ) : (
                  <Table.Td colSpan={3}>
                    <Warning small>
                      <Say sentence={refusal} />
                    </Warning>
                  </Table.Td>
                )}
                <Table.Td>
                  <IconButton
                    icon={IconX}
                    label={`Unpin ${whatIfRanges[whatIf.kind].label}`}
                    onClick={() => set(i, null)}
                  />
                </Table.Td>
              </Table.Tr>
            );
          })}
        </Table.Tbody>
      </Table>
      <Fields className={styles.kinds} label="Pin another">
        <span>Pin</span>
        {whatIfKinds.map((kind) => (
          <LinkButton key={kind} disabled={whatIfs.length >= maxPinned} onClick={() => pin(kind)}>
            {kindNames[kind]}
          </LinkButton>
        ))}
      </Fields>
      <HoverOrSlow request={request} estimate={estimate} known={known} />
    </>
  );
}

/** "+0:40", "−1:20". */
function difference(seconds: number): string {
  const words = minutesAndSeconds(seconds);
  return Math.round(seconds) > 0 ? `+${words}` : words;
}

/** When moving is cheaper than standing, in today’s wind. */
function HoverOrSlow({ request, estimate, known }: Pick<Props, 'request' | 'estimate' | 'known'>) {
  const { write } = useWriter();
  const asked = useMemo(() => {
    const { hover, slow } = hoverOrMove(request);
    return [hover, slow];
  }, [request]);
  const bands = useBandsOf(asked, known);
  const [hoverS, slowS] = asked.map((_, i) => bands.value?.[i]?.usableS.planned);
  const [hoverW, slowW] = useMemo(() => asked.map((one) => powerOf(one, known)), [asked, known]);
  if (hoverS === undefined || slowS === undefined || hoverW == null || slowW == null) return null;
  const gainS = Math.round(slowS - hoverS);
  const verdict =
    gainS === 0
      ? 'they cost the same'
      : gainS > 0
        ? `moving lasts ${minutesAndSeconds(gainS)} longer`
        : `standing lasts ${minutesAndSeconds(-gainS)} longer`;
  return (
    <Note>
      To plan on in the wind of {write('speed', estimate.air.windAtHeightMps, 1)} up there, all hover:{' '}
      <b>{minutesAndSeconds(hoverS)}</b> at {Math.round(hoverW)} W; all slow:{' '}
      <b>{minutesAndSeconds(slowS)}</b> at {Math.round(slowW)} W. So {verdict}.
    </Note>
  );
}

/** Why a flight cannot be flown at all; null where it can. */
function refusalOf(request: EstimateRequest, known: Knowledge): Refusal | null {
  const outcome = estimateOf(request, middleBelief(known));
  return outcome.ok ? null : outcome.refusal;
}

/** Mean power in W; null where it cannot be flown. */
function powerOf(request: EstimateRequest, known: Knowledge): number | null {
  const outcome = estimateOf(request, middleBelief(known));
  return outcome.ok ? outcome.value.power.meanW : null;
}
