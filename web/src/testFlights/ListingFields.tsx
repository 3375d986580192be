import { testPatterns } from '@acorn-tally/core';
import { useMemo } from 'react';
import { ChoiceField } from '../fields/ChoiceField';
import { Fields } from '../parts/Fields';
import { patternNames } from '../parts/testWords';
import { useRecords } from '../records/records';
import { type Listing, orders, whichTests } from './filter';
import type { TestRow } from './useTests';

interface Props {
  readonly rows: readonly TestRow[];
  readonly listing: Listing;
  readonly onChange: (listing: Listing) => void;
}

/** Which tests are listed, and in what order. */
export function ListingFields({ rows, listing, onChange }: Props) {
  const aircraft = useRecords((state) => state.aircraft);
  const flown = useMemo(() => new Set(rows.map(({ record }) => record.aircraftId)), [rows]);
  const batteries = useMemo(() => {
    const own = rows.filter(
      ({ record }) => listing.aircraftId === '' || record.aircraftId === listing.aircraftId,
    );
    return new Map(own.map(({ record, battery }) => [record.batteryId, battery?.label ?? 'removed battery']));
  }, [rows, listing.aircraftId]);
  const set = (change: Partial<Listing>) => onChange({ ...listing, ...change });
  const all = { value: '', label: 'all' };
  return (
    <Fields label="Which tests are listed">
      <ChoiceField
        label="Aircraft"
        value={listing.aircraftId}
        options={[
          all,
          ...aircraft.filter(({ id }) => flown.has(id)).map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(aircraftId) => set({ aircraftId, batteryId: '' })}
      />
      <ChoiceField
        label="Battery"
        value={listing.batteryId}
        options={[all, ...[...batteries].map(([value, label]) => ({ value, label }))]}
        onChange={(batteryId) => set({ batteryId })}
      />
      <ChoiceField
        label="Pattern"
        value={listing.pattern}
        options={[all, ...testPatterns.map((value) => ({ value, label: patternNames[value] }))]}
        onChange={(pattern) => set({ pattern: pattern as Listing['pattern'] })}
      />
      <ChoiceField
        label="Which"
        value={listing.which}
        options={whichTests.map((value) => ({ value, label: value }))}
        onChange={(which) => set({ which })}
      />
      <ChoiceField
        label="Order"
        value={listing.order}
        options={orders.map((value) => ({ value, label: value }))}
        onChange={(order) => set({ order })}
      />
    </Fields>
  );
}
