import { ActionIcon, Popover, TextInput } from '@mantine/core';
import { IconCalendar } from '@tabler/icons-react';
import { Suspense, useState } from 'react';
import { lazyPart } from '../state/lazyPart';
import styles from './field.module.css';
import { dayComesFirst, readMoment, writeMoment } from './moments';
import { type FieldLayout, fieldProps } from './shape';
import { useTyped } from './useTyped';

/** Loaded when it is first opened. */
const Calendar = lazyPart(async () => (await import('./Calendar')).Calendar);

const dayFirst = dayComesFirst(navigator.language);

interface Props extends FieldLayout {
  readonly label: string;
  /** "2026-11-26", with a time "2026-11-26T08:40"; empty where there is none. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly withTime?: boolean;
  /** It may be empty. */
  readonly optional?: boolean;
  readonly hint?: string;
}

/** A day, or a day and its hour, typed as the pilot writes it or picked from a calendar. */
export function MomentField(props: Props) {
  const { label, value, onChange, withTime = false, optional = false, hint } = props;
  const { text: draft, type: take, drop, leave } = useTyped(value, onChange);
  const [opened, setOpened] = useState(false);
  const read = (text: string): { readonly value: string } | { readonly message: string } => {
    if (text.trim() === '') return optional ? { value: '' } : { message: `${label} is empty.` };
    const kept = readMoment(text, value, dayFirst, withTime);
    const example = writeMoment(withTime ? '2026-11-26T08:40' : '2026-11-26', dayFirst, withTime);
    return kept === null
      ? { message: `${label}: a ${withTime ? 'day and an hour are' : 'day is'} needed, as in ${example}.` }
      : { value: kept };
  };
  const said = draft === null ? null : read(draft);
  const message = said && 'message' in said ? said.message : null;
  const pick = (day: string) => {
    drop();
    onChange(withTime ? `${day}T${value.slice(11) || '12:00'}` : day);
    setOpened(false);
  };
  return (
    <TextInput
      {...fieldProps(props, 'text')}
      label={label}
      description={hint}
      value={draft ?? writeMoment(value, dayFirst, withTime)}
      placeholder={optional ? '–' : undefined}
      autoComplete="off"
      error={message}
      onChange={(event) => take(event.currentTarget.value, read(event.currentTarget.value))}
      onBlur={message === null ? drop : leave}
      onKeyDown={(event) => event.key === 'Escape' && drop()}
      rightSectionWidth="var(--control)"
      rightSection={
        <Popover opened={opened} onChange={setOpened} position="bottom-end" trapFocus keepMounted={false}>
          <Popover.Target>
            <ActionIcon aria-label={`${label}: pick the day`} onClick={() => setOpened(!opened)}>
              <IconCalendar size={16} aria-hidden />
            </ActionIcon>
          </Popover.Target>
          <Popover.Dropdown className={styles.calendar}>
            <Suspense fallback={null}>
              <Calendar day={value.slice(0, 10)} onPick={pick} />
            </Suspense>
          </Popover.Dropdown>
        </Popover>
      }
    />
  );
}
