import { isTestOnly, type Policy, ranges, usualConfidence, usualReserveCharge } from '@acorn-tally/core';
import { useId } from 'react';
import { QuantityField } from '../fields/QuantityField';

interface Props {
  readonly policy: Policy;
  readonly onChange: (policy: Policy) => void;
  /** A plan offers no school that flies below the reserve. */
  readonly planOnly?: boolean;
}

interface School {
  readonly name: string;
  readonly when: string;
  readonly policy: Policy;
  /** One slim line over the whole width. */
  readonly line?: boolean;
}

const schools: readonly School[] = [
  { name: '20 %', when: 'mild, close by', policy: { kind: 'touch-down-charge', reserveCharge: 0.2 } },
  { name: '25 %', when: 'wind, or new site', policy: { kind: 'touch-down-charge', reserveCharge: 0.25 } },
  { name: '30 %', when: 'frost, or water', policy: { kind: 'touch-down-charge', reserveCharge: 0.3 } },
  {
    name: 'Half out, half home',
    when: 'sea, canyon',
    policy: { kind: 'half-out-half-home' },
    line: true,
  },
  { name: 'To its own landing', when: 'tests only', policy: { kind: 'forced-landing' }, line: true },
  { name: 'To empty', when: 'tests only', policy: { kind: 'empty' }, line: true },
];

/** The schools of what to hold back, as cards; any other charge at touch-down goes into the field. */
export function ReserveCards({ policy, onChange, planOnly = false }: Props) {
  const name = useId();
  const reserve = policy.reserveCharge ?? usualReserveCharge;
  const offered = schools.filter((school) => !planOnly || !isTestOnly(school.policy));
  const pick = (school: School) =>
    onChange({ ...policy, ...school.policy, reserveCharge: school.policy.reserveCharge ?? reserve });
  return (
    <div className="reserve" role="radiogroup" aria-label="Held back: charge at touch-down">
      {offered.map((school) => (
        <label key={school.name} className={`reserve-card${school.line ? ' reserve-line' : ''}`}>
          <input type="radio" name={name} checked={isPicked(policy, school)} onChange={() => pick(school)} />
          <b>{school.name}</b>
          <small>{school.when}</small>
        </label>
      ))}
      <div className="reserve-fields">
        <QuantityField
          stacked
          label="Touch down with"
          quantity={ranges.policy.reserveCharge}
          value={reserve}
          onChange={(reserveCharge) => onChange({ ...policy, reserveCharge })}
        />
        <QuantityField
          stacked
          quantity={ranges.policy.confidence}
          label="Confidence"
          value={policy.confidence ?? usualConfidence}
          onChange={(confidence) => onChange({ ...policy, confidence })}
        />
      </div>
    </div>
  );
}

function isPicked(policy: Policy, school: School): boolean {
  if (policy.kind !== school.policy.kind) return false;
  return (
    school.policy.reserveCharge == null ||
    school.policy.reserveCharge === (policy.reserveCharge ?? usualReserveCharge)
  );
}
