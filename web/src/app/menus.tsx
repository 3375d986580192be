import '@mantine/core/styles/Menu.css';
import { ActionIcon, Button, Menu } from '@mantine/core';
import { IconChevronDown, IconDotsVertical } from '@tabler/icons-react';
import { Link } from 'react-router';
import { type Look, looks, usePreferences } from '../state/preferences';
import type { Panel } from './useOpened';
import { sideViews } from './views';

interface MoreProps {
  readonly onOpen: (panel: Panel) => void;
  readonly className: string | undefined;
}

/** On a phone: what is needed seldom, behind one button. */
export function MoreMenu({ onOpen, className }: MoreProps) {
  return (
    <Menu position="bottom-end">
      <Menu.Target>
        <ActionIcon className={className} aria-label="More">
          <IconDotsVertical size={18} aria-hidden />
        </ActionIcon>
      </Menu.Target>
      <Menu.Dropdown>
        {sideViews.map(({ path, name }) => (
          <Menu.Item key={path} component={Link} to={path}>
            {name}
          </Menu.Item>
        ))}
        <Menu.Item onClick={() => onOpen('units')}>Units</Menu.Item>
        <Menu.Item onClick={() => onOpen('keys')}>Keys</Menu.Item>
        <Menu.Divider />
        <Looks />
      </Menu.Dropdown>
    </Menu>
  );
}

export function LookMenu({ className }: Pick<MoreProps, 'className'>) {
  const look = usePreferences((state) => state.look);
  return (
    <Menu position="bottom-end">
      <Menu.Target>
        <Button
          className={className}
          rightSection={<IconChevronDown size={14} aria-hidden />}
          aria-label={`Look: ${look}`}
        >
          {look}
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Looks />
      </Menu.Dropdown>
    </Menu>
  );
}

const lookWords: Record<Look, string> = {
  paper: 'Paper, by day at the desk',
  dusk: 'Dusk, dark for the evening',
  sunlight: 'Sunlight, black on white in the field',
};

/** The colours themselves are in tokens.css. */
function Looks() {
  const { look, choose } = usePreferences();
  return (
    <Menu.RadioGroup value={look} onChange={(next) => choose({ look: next as Look })}>
      <Menu.Label>Look</Menu.Label>
      {looks.map((name) => (
        <Menu.RadioItem key={name} value={name} closeMenuOnClick>
          {lookWords[name]}
        </Menu.RadioItem>
      ))}
    </Menu.RadioGroup>
  );
}
