import { Button } from '@mantine/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useRecords } from '../records/records';
import styles from './Guard.module.css';

interface Props {
  /** What could not be shown, as in "This view". */
  readonly what: string;
  /** When one of these changes it is tried again. */
  readonly resetKeys?: readonly unknown[];
  readonly children: ReactNode;
}

/** Whatever goes wrong in drawing a part takes only that part down: it says what happened, and offers to go on. */
export function Guard({ what, resetKeys, children }: Props) {
  return (
    <ErrorBoundary
      resetKeys={resetKeys ? [...resetKeys] : undefined}
      fallbackRender={(props) => <Broken what={what} {...props} />}
    >
      {children}
    </ErrorBoundary>
  );
}

function Broken({ what, error, resetErrorBoundary }: FallbackProps & { readonly what: string }) {
  const { undoSteps, undo } = useRecords();
  const undoIt = () => {
    undo();
    resetErrorBoundary();
  };
  const last = undoSteps[undoSteps.length - 1];
  return (
    <section className={styles.broken} role="alert">
      <h2>
        <IconAlertTriangle size={18} aria-hidden /> {what} could not be shown
      </h2>
      <p>
        A fault of ours: <code>{error instanceof Error ? error.message : String(error)}</code>. What you
        entered is kept.
      </p>
      <p className={styles.ways}>
        <Button onClick={resetErrorBoundary}>Try again</Button>
        {last && (
          <Button variant="default" onClick={undoIt}>
            Undo: {last.label}
          </Button>
        )}
        <Button variant="default" onClick={() => window.location.reload()}>
          Load the page anew
        </Button>
      </p>
    </section>
  );
}
