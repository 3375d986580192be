import { ConditionsDrawer } from '../conditions/ConditionsDrawer';
import { TestDrawer } from '../testFlights/TestDrawer';
import { KeysHelp } from './KeysHelp';
import { UnitsPanel } from './UnitsPanel';
import type { Panel } from './useOpened';
import { VersionsPanel } from './VersionsPanel';

interface Props {
  readonly opened: Panel | null;
  readonly onClose: () => void;
}

/** What opens over any view. */
export function Panels({ opened, onClose }: Props) {
  return (
    <>
      <ConditionsDrawer opened={opened === 'conditions'} onClose={onClose} />
      <TestDrawer opened={opened === 'record'} onClose={onClose} />
      <VersionsPanel opened={opened === 'versions'} onClose={onClose} />
      <UnitsPanel opened={opened === 'units'} onClose={onClose} />
      <KeysHelp opened={opened === 'keys'} onClose={onClose} />
    </>
  );
}
