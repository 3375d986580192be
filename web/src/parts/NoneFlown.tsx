import { Anchor } from '@mantine/core';
import { Link } from 'react-router';
import { Empty } from './Empty';

/** Where every aircraft is retired. */
export function NoneFlown() {
  return (
    <main>
      <Empty title="No aircraft is flown">
        <p>
          Each of yours is retired. Fly one again, or add another, in{' '}
          <Anchor component={Link} to="/kit">
            Kit
          </Anchor>
          .
        </p>
      </Empty>
    </main>
  );
}
