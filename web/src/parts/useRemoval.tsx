import type { Kind } from '@acorn-tally/core';
import { Button } from '@mantine/core';
import { useRecords } from '../records/records';
import { fetchPart } from '../state/lazyPart';
import styles from './useRemoval.module.css';

/** What may be done instead with a record that others need. */
interface Instead {
  readonly label: string;
  readonly run: () => void;
}

/** Removes records that nothing needs; of others it is told that they were not removed, by whom they are needed, and what may be done instead. */
export function useRemoval() {
  const removeAll = useRecords((state) => state.removeAll);
  return (kind: Kind, ids: readonly string[], name: string, instead?: Instead): boolean => {
    const removal = removeAll(kind, ids, `removing ${name}`);
    if (!removal.ok) void tell(name, removal.users, instead);
    return removal.ok;
  };
}

const id = 'not-removed';
const maxNamed = 4;

async function tell(name: string, users: readonly string[], instead: Instead | undefined): Promise<void> {
  const notices = await fetchPart(() => import('@mantine/notifications'));
  if (!notices) return;
  const { notifications } = notices;
  const act = () => {
    notifications.hide(id);
    instead?.run();
  };
  notifications.hide(id);
  notifications.show({
    id,
    role: 'alert',
    autoClose: false,
    closeButtonProps: { 'aria-label': 'Dismiss' },
    message: (
      <span className={styles.told}>
        <span>
          {name} was not removed: {listed(users)} {users.length === 1 ? 'needs' : 'need'} it.
        </span>
        {instead && (
          <Button variant="default" onClick={act}>
            {instead.label}
          </Button>
        )}
      </span>
    ),
  });
}

function listed(users: readonly string[]): string {
  const named = users.slice(0, maxNamed);
  const rest = users.length - named.length;
  const all = rest > 0 ? [...named, `${rest} more`] : named;
  return all.length === 1 ? (all[0] ?? '') : `${all.slice(0, -1).join(', ')} and ${all.at(-1)}`;
}
