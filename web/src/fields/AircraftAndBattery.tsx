import type { AircraftRecord, BatteryRecord } from '@acorn-tally/core';
import { useFleet } from '../state/current';
import { usePreferences } from '../state/preferences';
import { ChoiceField } from './ChoiceField';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
  readonly battery: BatteryRecord;
}

/** Which aircraft, and which of its batteries: the same choice in every view. */
export function AircraftAndBattery({ aircraft, batteries, battery }: Props) {
  const fleet = useFleet();
  const choose = usePreferences((state) => state.choose);
  return (
    <>
      <ChoiceField
        label="Aircraft"
        value={aircraft.id}
        options={fleet.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(aircraftId) => choose({ aircraftId, batteryId: null })}
      />
      <ChoiceField
        label="Battery"
        value={battery.id}
        options={batteries.map(({ id, label }) => ({ value: id, label }))}
        onChange={(batteryId) => choose({ batteryId })}
      />
    </>
  );
}
