import { Text } from '@mantine/core';
import type { ReactNode } from 'react';

/** A small remark under what it is about. */
export function Note({ status, children }: { readonly status?: boolean; readonly children: ReactNode }) {
  return (
    <Text component="div" size="xs" c="dimmed" lh={1.4} mb={6} role={status ? 'status' : undefined}>
      {children}
    </Text>
  );
}
