import { Anchor } from '@mantine/core';
import { Link } from 'react-router';
import { Empty } from './Empty';

/** Where every aircraft is retired. */
export function NoneFlown() {
  return (
    <main>
      <Empty title="No aircraft in use">
        <p>
          All of yours are retired. Bring one back, or add another, in{' '}
          <Anchor component={Link} to="/kit">
            Kit
          </Anchor>
          .
        </p>
      </Empty>
    </main>
  );
}
