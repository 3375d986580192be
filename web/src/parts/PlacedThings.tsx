import { nameProblem } from '@acorn-tally/core';
import { UnstyledButton } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { type ReactNode, useState } from 'react';
import { TextField } from '../fields/TextField';
import { Fields } from './Fields';
import { IconButton } from './IconButton';
import { LinkButton } from './LinkButton';
import styles from './PlacedThings.module.css';

interface Props<Thing extends { readonly name: string }> {
  readonly things: readonly Thing[];
  readonly onChange: (things: Thing[]) => void;
  /** What stands on the closed line, left and right. */
  readonly line: (thing: Thing) => readonly [string, string];
  readonly fields: (thing: Thing, change: (part: Partial<Thing>) => void) => ReactNode;
  /** What a new one begins as, by its number. */
  readonly fresh: (number: number) => Thing;
  readonly addLabel: string;
  /** Beside the button that adds one. */
  readonly children?: ReactNode;
}

/** Named things with a place: a line each, opened to be changed or removed. */
export function PlacedThings<Thing extends { readonly name: string }>(props: Props<Thing>) {
  const { things, onChange, line, fields, fresh, addLabel, children } = props;
  const [open, setOpen] = useState<number | null>(null);
  const set = (i: number, next: Thing | null) =>
    onChange(things.flatMap((one, k) => (k === i ? (next ?? []) : one)));
  return (
    <>
      <ul className={styles.things}>
        {things.map((one, i) => {
          const [left, right] = line(one);
          const change = (part: Partial<Thing>) => set(i, { ...one, ...part });
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: two things may bear the same name; the place is what they are
            <li key={i}>
              <UnstyledButton
                className={styles.thing}
                aria-expanded={open === i}
                onClick={() => setOpen(open === i ? null : i)}
              >
                <span>{left}</span>
                <b>{right}</b>
              </UnstyledButton>
              {open === i && (
                <Fields className={styles.fields} label={one.name}>
                  <TextField
                    stacked
                    label="Name"
                    value={one.name}
                    problem={(text) => nameProblem('Name', text)}
                    onChange={(name) => set(i, { ...one, name })}
                  />
                  {fields(one, change)}
                  <IconButton
                    icon={IconTrash}
                    label={`Remove ${one.name}`}
                    onClick={() => {
                      set(i, null);
                      setOpen(null);
                    }}
                  />
                </Fields>
              )}
            </li>
          );
        })}
      </ul>
      <div className={styles.add}>
        <LinkButton
          onClick={() => {
            onChange([...things, fresh(things.length + 1)]);
            setOpen(things.length);
          }}
        >
          {addLabel}
        </LinkButton>
        {children}
      </div>
    </>
  );
}
