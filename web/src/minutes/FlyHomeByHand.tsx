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
  const remedy = remedies.find(({ comesHome }) => comesHome);
  if (!remedy?.comesHome) return null;
  const { comesHome, mix } = remedy;
  return (
    <LinkButton
      onClick={() =>
        edit(
          'aircraft',
          aircraft.id,
          (now) => ({
            policy: { ...now.policy, comesHome },
            ...(mix && { flight: { ...now.flight, mix } }),
          }),
          mix ? 'how it is flown and comes home' : 'how it comes home',
        )
      }
    >
      {mix ? 'Fly it so, home' : 'Fly it home'} by hand{comesHome === 'by-hand-fast' && ' in fast mode'}: in
      sight, link held, stick forward
    </LinkButton>
  );
}
