import {
  type AircraftContent,
  type AircraftRecord,
  type BatteryContent,
  type BatteryRecord,
  usualReserveCharge,
} from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useState } from 'react';
import { useChosen } from '../state/chosen';
import { useRecords } from '../state/records';

/** A small camera drone with typical figures, to be changed to what the box says. */
function typicalAircraft(count: number): AircraftContent {
  const name = count === 0 ? 'My aircraft' : `Aircraft ${count + 1}`;
  return {
    name,
    spec: {
      name,
      kind: 'camera',
      takeoffMassKg: 0.249,
      rotorCount: 4,
      advertisedFlightTimeS: 1800,
      advertisedSpeedMps: 5.5,
      advertisedCapacityMah: typicalPack.ratedCapacityMah,
    },
    flight: {
      heightM: 60,
      farthestM: 150,
      bearingDeg: 0,
      mix: [
        { style: 'hover', share: 0.5 },
        { style: 'slow', share: 0.3 },
        { style: 'normal', share: 0.2 },
      ],
    },
    policy: { kind: 'touch-down-charge', reserveCharge: usualReserveCharge },
  };
}

const typicalPack: BatteryContent['pack'] = {
  ratedCapacityMah: 2300,
  nominalVoltageV: 7.7,
  cellCount: 2,
  fullCellVoltageV: 4.4,
  cycles: 0,
  startCharge: 0.99,
  startTemperatureC: 20,
};

/** Adds an aircraft with one battery, so that a first strip shows at once. */
export function AddAircraftButton({ quiet = false }: { readonly quiet?: boolean }) {
  const { aircraft, add } = useRecords();
  const choose = useChosen((state) => state.choose);
  const { busy, run } = useBusy();
  const addIt = () =>
    run(async () => {
      const made = await add('aircraft', typicalAircraft(aircraft.length), 'adding an aircraft');
      await add(
        'batteries',
        { aircraftId: made.id, label: `${made.name} 1`, pack: typicalPack },
        'adding its first battery',
      );
      choose({ aircraftId: made.id, batteryId: null });
    });
  if (quiet) {
    return (
      <button type="button" className="link" onClick={addIt} disabled={busy}>
        Add an aircraft
      </button>
    );
  }
  return (
    <Button onClick={addIt} loading={busy}>
      Add an aircraft
    </Button>
  );
}

interface BatteryProps {
  readonly aircraft: AircraftRecord;
  readonly batteries: readonly BatteryRecord[];
}

/** Adds a battery like the last one: full, and with the next number. */
export function AddBatteryButton({ aircraft, batteries }: BatteryProps) {
  const add = useRecords((state) => state.add);
  const choose = useChosen((state) => state.choose);
  const { busy, run } = useBusy();
  const last = batteries[batteries.length - 1];
  const addIt = () =>
    run(async () => {
      const pack = {
        ...(last?.pack ?? typicalPack),
        cycles: 0,
        health: null,
        startCharge: typicalPack.startCharge,
      };
      const label = `${aircraft.name} ${batteries.length + 1}`;
      const made = await add('batteries', { aircraftId: aircraft.id, label, pack }, `adding ${label}`);
      choose({ batteryId: made.id });
    });
  return (
    <button type="button" className="link add-battery" onClick={addIt} disabled={busy}>
      Add a battery
    </button>
  );
}

/** Runs one thing at a time; what goes wrong shows in the foot. */
function useBusy() {
  const [busy, setBusy] = useState(false);
  const run = async (work: () => Promise<void>) => {
    setBusy(true);
    try {
      await work();
    } catch (error) {
      useRecords.setState({ trouble: (error as Error).message });
    } finally {
      setBusy(false);
    }
  };
  return { busy, run };
}
