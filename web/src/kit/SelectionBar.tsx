import { type AircraftRecord, type BatteryRecord, isFlown } from '@acorn-tally/core';
import { useBusy } from '../app/useBusy';
import { useRecords } from '../state/records';
import { AddBattery } from './AddBattery';
import { type QuickAction, quickActions } from './quickActions';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly selected: readonly BatteryRecord[];
  readonly onDone: () => void;
}

/** What can be done to the chosen packs at once, each as one step to undo. */
export function SelectionBar({ aircraft, selected, onDone }: Props) {
  const { editAll, remove } = useRecords();
  const { busy, run } = useBusy();
  const names = selected.length === 1 ? selected[0]?.label : `${selected.length} batteries`;
  const grounded = selected.filter(({ keeping }) => !isFlown(keeping));
  const act = (action: QuickAction) => {
    const { change, done } = quickActions[action];
    const now = new Date().toISOString();
    editAll(
      'batteries',
      selected.map((battery) => ({ id: battery.id, content: change(battery, now) })),
      `${done} of ${names}`,
    );
    onDone();
  };
  const removeAll = () =>
    run(async () => {
      for (const { id, label } of selected) await remove('batteries', id, `removing ${label}`);
      onDone();
    });
  return (
    <fieldset className="kit-actions" aria-label="With the chosen batteries">
      <AddBattery aircraft={aircraft} />
      {(Object.keys(quickActions) as QuickAction[]).map((action) => (
        <button
          key={action}
          type="button"
          className="button-quiet"
          disabled={selected.length === 0 || (action !== 'stored' && grounded.length > 0)}
          title={grounded.length > 0 ? `${grounded[0]?.label} is not flown` : undefined}
          onClick={() => act(action)}
        >
          {quickActions[action].name}
        </button>
      ))}
      <button
        type="button"
        className="button-quiet"
        disabled={selected.length === 0 || busy}
        onClick={removeAll}
      >
        Remove
      </button>
      <span className="kit-count" role="status">
        {selected.length === 0 ? 'none chosen' : `${names} chosen`}
      </span>
    </fieldset>
  );
}
