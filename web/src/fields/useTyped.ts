import { useRef, useState } from 'react';
import { useRecords } from '../records/records';

/** A text as it is typed into a field. */
export interface TypedText<Value> {
  /** What stands in the field while it is typed; null when it shows its value. */
  readonly text: string | null;
  /** Takes a text with what it says: a value, or nothing that can be used. */
  readonly type: (text: string, said: { readonly value: Value } | { readonly message: string }) => void;
  readonly drop: () => void;
  /** The field is left with this text in it: what is typed later is another typing. */
  readonly leave: () => void;
}

interface Begun<Value> {
  readonly before: Value;
  told: Value;
  /** The last step to undo when the typing began, by its ordinal. */
  readonly stepBefore: number;
  /** Whether what was typed became steps to undo; in a form that is not sent yet it does not. */
  isKept: boolean;
}

/**
 * A text acts as a whole: it takes effect as soon as it says a value, and while it does not, what stood before the typing
 * began stands again, with all that the beginning of the text had changed.
 */
export function useTyped<Value>(value: Value, onChange: (value: Value) => void): TypedText<Value> {
  const [text, setText] = useState<string | null>(null);
  const begun = useRef<Begun<Value> | null>(null);
  const takeBack = (typing: Begun<Value>) => {
    const undone = typing.isKept && useRecords.getState().undoSince(typing.stepBefore);
    if (!undone && typing.told !== typing.before) onChange(typing.before);
    typing.told = typing.before;
  };
  const end = () => {
    if (begun.current) useRecords.getState().endTyping();
    begun.current = null;
  };
  return {
    text,
    type: (next, said) => {
      begun.current ??= {
        before: value,
        told: value,
        stepBefore: useRecords.getState().beginTyping(),
        isKept: false,
      };
      setText(next);
      if ('message' in said) return takeBack(begun.current);
      begun.current.told = said.value;
      onChange(said.value);
      const last = useRecords.getState().undoSteps.at(-1);
      begun.current.isKept ||= last !== undefined && last.ordinal > begun.current.stepBefore;
    },
    drop: () => {
      setText(null);
      end();
    },
    leave: end,
  };
}
