import { type AircraftRecord, defaultReserveCharge, frostReserveCharge } from '@acorn-tally/core';
import { percent } from '../fields/percent';
import { useRecords } from '../records/records';
import { LinkButton } from './LinkButton';

/** Where frost or water asks for more to be held back: done there. Nothing where as much is held back already. */
export function HoldBackMore({ aircraft: { id, policy } }: { readonly aircraft: AircraftRecord }) {
  const edit = useRecords((state) => state.edit);
  const isEnough =
    policy.kind === 'touch-down-charge' &&
    (policy.reserveCharge ?? defaultReserveCharge) >= frostReserveCharge;
  if (isEnough) return null;
  const more = { kind: 'touch-down-charge', reserveCharge: frostReserveCharge } as const;
  return (
    <LinkButton
      onClick={() =>
        edit('aircraft', id, (now) => ({ policy: { ...now.policy, ...more } }), 'what is held back')
      }
    >
      Hold back {percent(frostReserveCharge)}
    </LinkButton>
  );
}
