import { Button } from '@mantine/core';
import { loadAnew, useMissing } from '../state/lazyPart';
import styles from './WaitingForKit.module.css';

/** In place of a view that could not be fetched. */
export function Unfetched() {
  const isServed = useMissing((missing) => missing === 'parts');
  return (
    <main className={styles.failed} role="alert">
      <h1>This view could not be fetched</h1>
      <p>
        {isServed ? 'The server answers again.' : 'The server does not answer.'} What you entered is kept.
      </p>
      {isServed && <Button onClick={() => void loadAnew()}>Reload the page</Button>}
    </main>
  );
}
