import { ActionIcon, Tooltip } from '@mantine/core';
import type { Icon } from '@tabler/icons-react';

interface Props {
  readonly icon: Icon;
  /** What it does, for those who hear it and for those who point at it. */
  readonly label: string;
  readonly onClick: () => void;
  readonly disabled?: boolean;
  readonly expanded?: boolean;
}

/** An action that is only a picture; its words show under the pointer. */
export function IconButton({ icon: Picture, label, onClick, disabled, expanded }: Props) {
  return (
    <Tooltip label={label} events={{ hover: true, focus: true, touch: false }}>
      <ActionIcon aria-label={label} aria-expanded={expanded} disabled={disabled} onClick={onClick}>
        <Picture size={16} aria-hidden />
      </ActionIcon>
    </Tooltip>
  );
}
