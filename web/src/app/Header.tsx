import { ActionIcon, Button, NavLink, Tooltip } from '@mantine/core';
import { IconSearch } from '@tabler/icons-react';
import { Suspense } from 'react';
import { NavLink as RouterLink, useLocation } from 'react-router';
import { usePhone } from '../parts/usePhone';
import { lazyPart } from '../state/lazyPart';
import { usePreferences } from '../state/preferences';
import styles from './Header.module.css';
import type { Panel } from './useOpened';
import { sideViews, views } from './views';

const LookMenu = lazyPart(async () => (await import('./menus')).LookMenu);
const MoreMenu = lazyPart(async () => (await import('./menus')).MoreMenu);

interface Props {
  readonly onOpen: (panel: Panel) => void;
  readonly onSearch: () => void;
}

/** Folder tabs in working order; what is needed seldom stands beside them, or on a phone behind one button. */
export function Header({ onOpen, onSearch }: Props) {
  const isPhone = usePhone();
  const look = usePreferences((state) => state.look);
  return (
    <header className={styles.header}>
      <span className={styles.brand}>Acorn Tally</span>
      <nav aria-label="Views" className={styles.views}>
        {views.map(({ path, name, key }) => (
          <Tab key={path} path={path} name={name} hotkey={key} />
        ))}
      </nav>
      <div className={styles.side}>
        <Tooltip label="Search views, batteries, shots and actions: / or Ctrl-K">
          <ActionIcon className={styles.button} aria-label="Search" onClick={onSearch}>
            <IconSearch size={17} aria-hidden />
          </ActionIcon>
        </Tooltip>
        {isPhone ? (
          <Suspense fallback={<ActionIcon className={styles.button} aria-label="More" />}>
            <MoreMenu onOpen={onOpen} className={styles.button} />
          </Suspense>
        ) : (
          <>
            <Suspense fallback={<Button className={styles.button}>{look}</Button>}>
              <LookMenu className={styles.button} />
            </Suspense>
            <HeaderButton name="Units" hotkey="U" onClick={() => onOpen('units')} />
            {sideViews.map(({ path, name, key }) => (
              <Tab key={path} path={path} name={name} hotkey={key} />
            ))}
            <HeaderButton name="Keys" hotkey="?" onClick={() => onOpen('keys')} />
          </>
        )}
      </div>
    </header>
  );
}

interface TabProps {
  readonly path: string;
  readonly name: string;
  readonly hotkey: string | null;
}

function Tab({ path, name, hotkey }: TabProps) {
  const { pathname } = useLocation();
  return (
    <NavLink
      component={RouterLink}
      to={path}
      active={pathname === path}
      label={
        <>
          {name} {hotkey && <kbd>{hotkey}</kbd>}
        </>
      }
      classNames={{ root: styles.tab, label: styles.tabLabel }}
    />
  );
}

function HeaderButton({
  name,
  hotkey,
  onClick,
}: {
  readonly name: string;
  readonly hotkey: string;
  readonly onClick: () => void;
}) {
  return (
    <Button className={styles.button} onClick={onClick}>
      {name} <kbd>{hotkey}</kbd>
    </Button>
  );
}
