import { type AircraftRecord, type BatteryRecord, isFlown } from '@acorn-tally/core';
import { useState } from 'react';
import { Desk } from '../parts/Desk';
import { Headline } from '../parts/Headline';
import { SpecSheetDrawer } from '../parts/SpecSheetDrawer';
import { useRecords } from '../records/records';
import { clockAt } from '../state/clock';
import { useConditions } from '../state/current';
import { usePreferences } from '../state/preferences';
import { AircraftList } from './AircraftList';
import { BatteryTable } from './BatteryTable';
import { ChargerTable } from './ChargerTable';
import { KitFile } from './KitFile';

/** The aircraft with their spec sheets, every pack as it will be at the ribbon’s hour, and the chargers. */
export function KitView() {
  const { aircraft, batteries } = useRecords();
  const conditions = useConditions();
  const { aircraftId } = usePreferences();
  const [sheetOpen, setSheetOpen] = useState(false);
  if (!conditions) return null;
  const chosen = aircraft.find(({ id }) => id === aircraftId) ?? aircraft[0];
  if (!chosen) return null;
  return (
    <Desk
      wide
      label="Aircraft"
      aside={<AircraftList chosen={chosen} onOpenSheet={() => setSheetOpen(true)} />}
    >
      <Headline
        title={headline(aircraft, batteries)}
        end={<KitFile aircraft={aircraft} batteries={batteries} usual={chosen} />}
      >
        packs as they will be on {clockAt(conditions).format(conditions.at, 'ddd D MMM, HH:mm')}
      </Headline>
      <BatteryTable aircraft={aircraft} batteries={batteries} chosen={chosen} conditions={conditions} />
      <ChargerTable chosen={chosen} conditions={conditions} />
      <SpecSheetDrawer aircraft={chosen} opened={sheetOpen} onClose={() => setSheetOpen(false)} />
    </Desk>
  );
}

/** "Three aircraft, eleven of twelve batteries fit to fly". */
function headline(aircraft: readonly AircraftRecord[], batteries: readonly BatteryRecord[]): string {
  const flown = aircraft.filter(({ retiredOn }) => !retiredOn).length;
  const fit = batteries.filter(({ keeping }) => isFlown(keeping)).length;
  const packs = batteries.length === 1 ? 'battery' : 'batteries';
  const share =
    fit === batteries.length ? `${fit} ${packs}` : `${fit} of ${batteries.length} ${packs} fit to fly`;
  return `${flown} aircraft, ${share}`;
}
