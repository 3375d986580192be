import { Button } from '@mantine/core';
import { type ReactNode, useRef } from 'react';
import styles from './ClockView.module.css';

interface Props {
  /** Whether what must be known is known; else the gauge is asked for. */
  readonly isWhole: boolean;
  readonly onReady: () => void;
  readonly onMissing?: () => void;
  readonly inputs: ReactNode;
  /** Beside the inputs: what follows from them. */
  readonly children: ReactNode;
}

/** What is set up before a clock; the field of the gauge stands in `data-gauge`. */
export function SetUpForm({ isWhole, onReady, onMissing, inputs, children }: Props) {
  const form = useRef<HTMLFormElement>(null);
  const focus = (what: string) => form.current?.querySelector<HTMLElement>(what)?.focus();
  const wrong = '[aria-invalid="true"]';
  const submit = () => {
    if (isWhole) return form.current?.querySelector(wrong) ? focus(wrong) : onReady();
    onMissing?.();
    focus('[data-gauge] input');
  };
  return (
    <form
      ref={form}
      noValidate
      className={styles.setUp}
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <div>{inputs}</div>
      <div>
        {children}
        <Button type="submit" fullWidth className={styles.ready}>
          To the clock
        </Button>
      </div>
    </form>
  );
}
