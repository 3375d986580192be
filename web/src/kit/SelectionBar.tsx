import { type AircraftRecord, type BatteryRecord, isFlown } from '@acorn-tally/core';
import { Button, Tooltip } from '@mantine/core';
import { AddBattery } from '../parts/AddBattery';
import { Fields } from '../parts/Fields';
import { useRemoval } from '../parts/useRemoval';
import { useRecords } from '../records/records';
import { type QuickAction, quickActions } from './quickActions';
import styles from './SelectionBar.module.css';

interface Props {
  readonly aircraft: AircraftRecord;
  readonly selected: readonly BatteryRecord[];
  readonly onDone: () => void;
}

/** What can be done to the chosen packs at once, each as one step to undo. */
export function SelectionBar({ aircraft, selected, onDone }: Props) {
  const editAll = useRecords((state) => state.editAll);
  const remove = useRemoval();
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
  const retire = () => {
    editAll(
      'batteries',
      selected.map(({ id, keeping }) => ({ id, content: { keeping: { ...keeping, state: 'retired' } } })),
      `retiring ${names}`,
    );
    onDone();
  };
  const removeAll = () => {
    const ids = selected.map(({ id }) => id);
    const name = selected.length === 1 ? (selected[0]?.label ?? '') : `${selected.length} batteries`;
    if (remove('batteries', ids, name, { label: `Retire ${name}`, run: retire })) onDone();
  };
  return (
    <Fields className={styles.actions} label="With the chosen batteries">
      <AddBattery aircraft={aircraft} />
      {(Object.keys(quickActions) as QuickAction[]).map((action) => (
        <Tooltip
          key={action}
          label={`${grounded[0]?.label} is not flown`}
          disabled={grounded.length === 0 || action === 'stored'}
        >
          <Button
            variant="default"
            disabled={selected.length === 0 || (action !== 'stored' && grounded.length > 0)}
            onClick={() => act(action)}
          >
            {quickActions[action].name}
          </Button>
        </Tooltip>
      ))}
      <Button variant="default" disabled={selected.length === 0} onClick={removeAll}>
        Remove
      </Button>
      <span className={styles.count} role="status">
        {selected.length === 0 ? 'none chosen' : `${names} chosen`}
      </span>
    </Fields>
  );
}
