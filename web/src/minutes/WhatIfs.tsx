import {
  beliefFrom,
  type Estimate,
  type EstimateRequest,
  estimate as estimateOf,
  hoverOrMove,
  type KeptPlace,
  type Knowledge,
  minutesAndSeconds,
  noDraws,
  type Refusal,
  usualWhatIfs,
  type WhatIf,
  type WhatIfKind,
  whatIfKinds,
  whatIfRanges,
  withWhatIf,
} from '@acorn-tally/core';
import { IconX } from '@tabler/icons-react';
import { useMemo } from 'react';
import { QuantityField } from '../fields/QuantityField';
import { Say } from '../fields/Say';
import { useChosen } from '../state/chosen';
import { useWriter } from '../state/units';
import { useBandsOf } from './useBands';

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
const mostPinned = 8;

/** What there would be to plan on if one thing were otherwise, each pinned with its difference; and standing against moving. */
export function WhatIfs({ request, keptAt, estimate, known, plannedS }: Props) {
  const { whatIfs, choose } = useChosen();
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
    const usual = usualWhatIfs.find((one) => one.kind === kind);
    if (usual) choose({ whatIfs: [...whatIfs, usual] });
  };
  return (
    <>
      <table className={`ledger what-ifs${bands.fresh ? '' : ' ledger-old'}`}>
        <tbody>
          <tr>
            <th scope="row">As it is</th>
            <td className="ledger-bar">
              <i className="what-if-bar" style={{ width: `${((plannedS ?? 0) / longestS) * 100}%` }} />
            </td>
            <td>
              <b>{plannedS === null ? '…' : minutesAndSeconds(plannedS)}</b>
            </td>
            <td />
            <td />
          </tr>
          {answers.map(({ whatIf, refusal, thenS }, i) => {
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: two of a kind may be pinned; their place is what they are
              <tr key={i}>
                <th scope="row">
                  <QuantityField
                    quantity={whatIfRanges[whatIf.kind]}
                    value={whatIf.amount}
                    onChange={(amount) => set(i, { ...whatIf, amount })}
                  />
                </th>
                {!refusal ? (
                  <>
                    <td className="ledger-bar">
                      <i className="what-if-bar" style={{ width: `${((thenS ?? 0) / longestS) * 100}%` }} />
                    </td>
                    <td>
                      <b>{thenS === null ? '…' : thenS > 0 ? minutesAndSeconds(thenS) : 'none'}</b>
                    </td>
                    <td className="what-if-difference">
                      {thenS === 0 ? (
                        <span className="danger">do not plan it</span>
                      ) : (
                        thenS !== null && plannedS !== null && difference(thenS - plannedS)
                      )}
                    </td>
                  </>
                ) : (
                  <td colSpan={3} className="what-if-refused danger">
                    <Say sentence={refusal} />
                  </td>
                )}
                <td>
                  <button
                    type="button"
                    className="icon-button"
                    onClick={() => set(i, null)}
                    aria-label={`Unpin ${whatIfRanges[whatIf.kind].label}`}
                  >
                    <IconX size={14} aria-hidden />
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <fieldset className="what-if-kinds" aria-label="Pin another">
        <span>Pin</span>
        {whatIfKinds.map((kind) => (
          <button
            key={kind}
            type="button"
            className="link"
            disabled={whatIfs.length >= mostPinned}
            onClick={() => pin(kind)}
          >
            {kindNames[kind]}
          </button>
        ))}
      </fieldset>
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
    <p className="panel-note what-if-hover">
      To plan on in the wind of {write('speed', estimate.air.windAtHeightMps, 1)} up there, all hover:{' '}
      <b>{minutesAndSeconds(hoverS)}</b> at {Math.round(hoverW)} W; all slow:{' '}
      <b>{minutesAndSeconds(slowS)}</b> at {Math.round(slowW)} W. So {verdict}.
    </p>
  );
}

/** Why a flight cannot be flown at all; null where it can. */
function refusalOf(request: EstimateRequest, known: Knowledge): Refusal | null {
  const outcome = estimateOf(request, beliefFrom(known, noDraws));
  return outcome.ok ? null : outcome.refusal;
}

/** Mean power in W; null where it cannot be flown. */
function powerOf(request: EstimateRequest, known: Knowledge): number | null {
  const outcome = estimateOf(request, beliefFrom(known, noDraws));
  return outcome.ok ? outcome.value.power.meanW : null;
}
