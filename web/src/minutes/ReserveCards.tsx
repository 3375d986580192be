import { defaultConfidence, defaultReserveCharge, isTestOnly, type Policy, ranges } from '@acorn-tally/core';
import { Radio } from '@mantine/core';
import { memo } from 'react';
import { QuantityField } from '../fields/QuantityField';
import styles from './ReserveCards.module.css';

interface Props {
  readonly policy: Policy;
  readonly onChange: (part: Partial<Policy>) => void;
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
  { name: 'Down to forced landing', when: 'tests only', policy: { kind: 'forced-landing' }, line: true },
  { name: 'To empty', when: 'tests only', policy: { kind: 'empty' }, line: true },
];

/** The schools of what to hold back, as cards; any other charge at touch-down goes into the field. */
export const ReserveCards = memo(function ReserveCards({ policy, onChange, planOnly = false }: Props) {
  const reserve = policy.reserveCharge ?? defaultReserveCharge;
  const offered = schools.filter((school) => !planOnly || !isTestOnly(school.policy));
  const pick = (school: School) =>
    onChange({ ...school.policy, reserveCharge: school.policy.reserveCharge ?? reserve });
  return (
    <>
      <Radio.Group
        aria-label="Held back: charge at touch-down"
        value={offered.find((school) => isPicked(policy, school))?.name ?? null}
        onChange={(name) => {
          const school = offered.find((one) => one.name === name);
          if (school) pick(school);
        }}
      >
        <div className={styles.cards}>
          {offered.map(({ name, when, line }) => (
            <Radio.Card key={name} value={name} data-choosable className={line ? styles.line : styles.card}>
              <b>{name}</b> <small>{when}</small>
            </Radio.Card>
          ))}
        </div>
      </Radio.Group>
      <div className={styles.fields}>
        <QuantityField
          stacked
          label="Touch down with"
          quantity={ranges.policy.reserveCharge}
          value={reserve}
          onChange={(reserveCharge) => onChange({ reserveCharge })}
        />
        <QuantityField
          stacked
          quantity={ranges.policy.confidence}
          label="Confidence"
          value={policy.confidence ?? defaultConfidence}
          onChange={(confidence) => onChange({ confidence })}
        />
      </div>
    </>
  );
});

function isPicked(policy: Policy, school: School): boolean {
  if (policy.kind !== school.policy.kind) return false;
  return (
    school.policy.reserveCharge == null ||
    school.policy.reserveCharge === (policy.reserveCharge ?? defaultReserveCharge)
  );
}
