import { type AircraftRecord, chargedFull, defaultKeeping, defaultPack } from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useRecords } from '../records/records';
import { useBatteriesOf } from '../state/current';
import { usePreferences } from '../state/preferences';
import { keptPlaceOf } from './kitWords';
import { LinkButton } from './LinkButton';

interface Props {
  readonly aircraft: AircraftRecord;
  /** As a link under a list. */
  readonly quiet?: boolean;
}

/** Adds a battery like the last one of the aircraft: new and full, with the next number. */
export function AddBattery({ aircraft, quiet = false }: Props) {
  const add = useRecords((state) => state.add);
  const choose = usePreferences((state) => state.choose);
  const own = useBatteriesOf(aircraft.id);
  const last = own[own.length - 1];
  const like = last?.pack ?? defaultPack;
  const addIt = () => {
    const pack = {
      ...like,
      cycles: 0,
      health: null,
      startCharge: chargedFull,
      daysSinceCharge: null,
      startTemperatureC: null,
    };
    // It waits where the others do; nobody has measured it yet.
    const keptAt = last && keptPlaceOf(last) !== 'own' ? keptPlaceOf(last) : defaultKeeping.keptAt;
    const label = nextLabel(aircraft.name, own);
    const made = add(
      'batteries',
      { aircraftId: aircraft.id, label, pack, keeping: { keptAt } },
      `adding ${label}`,
    );
    choose({ batteryId: made.id });
  };
  if (quiet) {
    return <LinkButton onClick={addIt}>Add a battery</LinkButton>;
  }
  return (
    <Button variant="default" onClick={addIt}>
      Add a battery
    </Button>
  );
}

/** The name of the aircraft with the first number from the count on that no battery of it bears. */
function nextLabel(name: string, own: readonly { readonly label: string }[]): string {
  const taken = new Set(own.map(({ label }) => label));
  let number = own.length + 1;
  while (taken.has(`${name} ${number}`)) number++;
  return `${name} ${number}`;
}
