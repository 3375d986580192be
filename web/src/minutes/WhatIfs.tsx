import {
  type Estimate,
  type EstimateRequest,
  estimate as estimateOf,
  hoverOrMove,
  type KeptPlace,
  minutesAndSeconds,
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

interface Props {
  readonly request: EstimateRequest;
  /** Where the pack waits, which a colder day changes with the air. */
  readonly keptAt: KeptPlace;
  readonly estimate: Estimate;
}

const kindNames: Record<WhatIfKind, string> = {
  colder: 'Colder',
  windier: 'Windier',
  faster: 'Faster',
  farther: 'Farther',
  higher: 'Higher',
};
const mostPinned = 8;

/** What the minutes would be if one thing were otherwise, each pinned with its difference; and standing against moving. */
export function WhatIfs({ request, keptAt, estimate }: Props) {
  const { whatIfs, choose } = useChosen();
  const nowS = estimate.usableS.p50;
  const answers = useMemo(
    () => whatIfs.map((whatIf) => ({ whatIf, outcome: estimateOf(withWhatIf(request, whatIf, keptAt)) })),
    [request, keptAt, whatIfs],
  );
  const longestS = Math.max(
    nowS,
    ...answers.map(({ outcome }) => (outcome.ok ? outcome.value.usableS.p50 : 0)),
  );
  const set = (index: number, next: WhatIf | null) =>
    choose({ whatIfs: whatIfs.flatMap((one, i) => (i === index ? (next ?? []) : one)) });
  const pin = (kind: WhatIfKind) => {
    const usual = usualWhatIfs.find((one) => one.kind === kind);
    if (usual) choose({ whatIfs: [...whatIfs, usual] });
  };
  return (
    <>
      <table className="ledger what-ifs">
        <tbody>
          <tr>
            <th scope="row">As it is</th>
            <td className="ledger-bar">
              <i className="what-if-bar" style={{ width: `${(nowS / longestS) * 100}%` }} />
            </td>
            <td>
              <b>{minutesAndSeconds(nowS)}</b>
            </td>
            <td />
            <td />
          </tr>
          {answers.map(({ whatIf, outcome }, i) => {
            const thenS = outcome.ok ? outcome.value.usableS.p50 : 0;
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
                {outcome.ok ? (
                  <>
                    <td className="ledger-bar">
                      <i className="what-if-bar" style={{ width: `${(thenS / longestS) * 100}%` }} />
                    </td>
                    <td>
                      <b>{minutesAndSeconds(thenS)}</b>
                    </td>
                    <td className="what-if-difference">{difference(thenS - nowS)}</td>
                  </>
                ) : (
                  <td colSpan={3} className="what-if-refused danger">
                    <Say sentence={outcome.refusal} />
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
      <HoverOrSlow request={request} estimate={estimate} />
    </>
  );
}

/** "+0:40", "−1:20". */
function difference(seconds: number): string {
  const words = minutesAndSeconds(seconds);
  return Math.round(seconds) > 0 ? `+${words}` : words;
}

/** When moving is cheaper than standing, in today’s wind. */
function HoverOrSlow({ request, estimate }: Omit<Props, 'keptAt'>) {
  const { write } = useWriter();
  const answer = useMemo(() => hoverOrMove(request), [request]);
  if (!answer.ok) return null;
  const { hoverS, slowS, hoverW, slowW } = answer.value;
  const gainS = Math.round(slowS - hoverS);
  const verdict =
    gainS === 0
      ? 'they cost the same'
      : gainS > 0
        ? `moving lasts ${minutesAndSeconds(gainS)} longer`
        : `standing lasts ${minutesAndSeconds(-gainS)} longer`;
  return (
    <p className="panel-note what-if-hover">
      In the wind of {write('speed', estimate.air.windAtHeightMps, 1)} up there, all hover:{' '}
      <b>{minutesAndSeconds(hoverS)}</b> at {Math.round(hoverW)} W; all slow:{' '}
      <b>{minutesAndSeconds(slowS)}</b> at {Math.round(slowW)} W. So {verdict}.
    </p>
  );
}
