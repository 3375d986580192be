import '@mantine/core/styles/Modal.css';
import '@mantine/spotlight/styles.css';
import { Spotlight, type SpotlightActionGroupData, spotlight } from '@mantine/spotlight';
import { IconSearch } from '@tabler/icons-react';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { useRecords } from '../records/records';
import { looks, usePreferences } from '../state/preferences';
import styles from './Search.module.css';
import type { Panel } from './useOpened';
import { sideViews, views } from './views';

interface Props {
  /** How often it was asked for; each time opens it. */
  readonly asked: number;
  readonly onOpen: (panel: Panel) => void;
}

/** Goes to any view, battery, shot or action by a few letters of its name. */
export function Search({ asked, onOpen }: Props) {
  const navigate = useNavigate();
  const choose = usePreferences((state) => state.choose);
  const { batteries, aircraft, shoots, undo, undoSteps, redo, redoSteps } = useRecords();
  const [query, setQuery] = useState('');
  useEffect(() => {
    if (asked === 0) return;
    // Where it is still closing it has the letters of before.
    setQuery('');
    spotlight.open();
  }, [asked]);
  const nameOf = (id: string) => aircraft.find((one) => one.id === id)?.name ?? '';
  const last = undoSteps.at(-1);
  const next = redoSteps.at(-1);
  const groups: SpotlightActionGroupData[] = [
    {
      group: 'Views',
      actions: [...views, ...sideViews].map(({ path, name, key }) => ({
        id: path,
        label: name,
        rightSection: key,
        onClick: () => void navigate(path),
      })),
    },
    {
      group: 'Batteries',
      actions: batteries.map(({ id, label, aircraftId }) => ({
        id,
        label,
        description: nameOf(aircraftId),
        onClick: () => {
          choose({ aircraftId, batteryId: id });
          void navigate('/minutes');
        },
      })),
    },
    {
      group: 'Shots',
      actions: shoots.flatMap((shoot) =>
        shoot.shots.map((shot, i) => ({
          id: `${shoot.id} ${shot.id}`,
          label: `${i + 1} ${shot.name}`,
          description: shoot.name,
          onClick: () => {
            choose({ aircraftId: shoot.aircraftId, shootId: shoot.id, shotId: shot.id });
            void navigate('/swap-plan');
          },
        })),
      ),
    },
    {
      group: 'Actions',
      actions: [
        {
          id: 'conditions',
          label: 'Change conditions',
          rightSection: 'C',
          onClick: () => onOpen('conditions'),
        },
        {
          id: 'clock',
          label: 'Fly a test, or time a charge, by the clock',
          onClick: () => void navigate('/clock'),
        },
        { id: 'record', label: 'Record a test', rightSection: 'T', onClick: () => onOpen('record') },
        { id: 'units', label: 'Units', rightSection: 'U', onClick: () => onOpen('units') },
        { id: 'keys', label: 'Keys', rightSection: '?', onClick: () => onOpen('keys') },
        ...looks.map((look) => ({ id: look, label: `Look: ${look}`, onClick: () => choose({ look }) })),
        ...(last ? [{ id: 'undo', label: `Undo: ${last.label}`, onClick: undo }] : []),
        ...(next ? [{ id: 'redo', label: `Redo: ${next.label}`, onClick: redo }] : []),
      ],
    },
  ];
  return (
    <Spotlight
      actions={groups}
      query={query}
      onQueryChange={setQuery}
      shortcut={null}
      nothingFound="Nothing of that name"
      highlightQuery
      scrollable
      maxHeight="60dvh"
      classNames={{ action: styles.action }}
      attributes={{ content: { 'aria-label': 'Search' } }}
      scrollAreaProps={{ viewportProps: { tabIndex: 0 } }}
      searchProps={{
        leftSection: <IconSearch size={18} aria-hidden />,
        placeholder: 'View, battery, shot or action',
        'aria-label': 'Search',
      }}
    />
  );
}
