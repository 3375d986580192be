import { nameProblem } from '@acorn-tally/core';
import { IconTrash } from '@tabler/icons-react';
import { type ReactNode, useState } from 'react';
import { TextField } from '../fields/TextField';

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
      <ul className="way-things">
        {things.map((one, i) => {
          const [left, right] = line(one);
          const change = (part: Partial<Thing>) => set(i, { ...one, ...part });
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: two things may bear the same name; the place is what they are
            <li key={i}>
              <button
                type="button"
                className="way-thing"
                aria-expanded={open === i}
                onClick={() => setOpen(open === i ? null : i)}
              >
                <span>{left}</span>
                <b>{right}</b>
              </button>
              {open === i && (
                <fieldset className="way-thing-fields" aria-label={one.name}>
                  <TextField
                    stacked
                    label="Name"
                    value={one.name}
                    problem={(text) => nameProblem('Name', text)}
                    onChange={(name) => set(i, { ...one, name })}
                  />
                  {fields(one, change)}
                  <button
                    type="button"
                    className="icon-button"
                    aria-label={`Remove ${one.name}`}
                    onClick={() => {
                      set(i, null);
                      setOpen(null);
                    }}
                  >
                    <IconTrash size={16} aria-hidden />
                  </button>
                </fieldset>
              )}
            </li>
          );
        })}
      </ul>
      <div className="way-add">
        <button
          type="button"
          className="link"
          onClick={() => {
            onChange([...things, fresh(things.length + 1)]);
            setOpen(things.length);
          }}
        >
          {addLabel}
        </button>
        {children}
      </div>
    </>
  );
}
