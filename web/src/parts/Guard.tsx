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
  /** It guards a whole view, whose headline goes down with it. */
  readonly view?: boolean;
  readonly children: ReactNode;
}

/** Whatever goes wrong in drawing a part takes only that part down: it says what happened, and offers to go on. */
export function Guard({ what, resetKeys, view = false, children }: Props) {
  return (
    <ErrorBoundary
      resetKeys={resetKeys ? [...resetKeys] : undefined}
      fallbackRender={(props) => <Broken what={what} view={view} {...props} />}
    >
      {children}
    </ErrorBoundary>
  );
}

interface BrokenProps extends FallbackProps {
  readonly what: string;
  readonly view: boolean;
}

function Broken({ what, view, error, resetErrorBoundary }: BrokenProps) {
  const { undoSteps, undo } = useRecords();
  const undoIt = () => {
    undo();
    resetErrorBoundary();
  };
  const Heading = view ? 'h1' : 'h2';
  const last = undoSteps[undoSteps.length - 1];
  return (
    <section className={styles.broken} role="alert">
      <Heading>
        <IconAlertTriangle size={18} aria-hidden /> {what} could not be shown
      </Heading>
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
          Reload the page
        </Button>
      </p>
    </section>
  );
}
