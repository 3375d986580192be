import type { AircraftRecord, FlightRemedy } from '@acorn-tally/core';
import { LinkButton } from '../parts/LinkButton';
import { useRecords } from '../records/records';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly remedies: readonly FlightRemedy[];
}

/** Where a way home by hand would do, it is one tap. */
export function FlyHomeByHand({ aircraft, remedies }: Props) {
  const edit = useRecords((state) => state.edit);
  const comesHome = remedies.find((remedy) => remedy.comesHome)?.comesHome;
  if (!comesHome) return null;
  return (
    <LinkButton
      onClick={() =>
        edit(
          'aircraft',
          aircraft.id,
          (now) => ({ policy: { ...now.policy, comesHome } }),
          'how it comes home',
        )
      }
    >
      {comesHome === 'by-hand' ? 'Fly it home by hand' : 'Fly it home by hand in fast mode'}: in sight, link
      held, stick forward
    </LinkButton>
  );
}
