import { Text } from '@mantine/core';
import type { ReactNode } from 'react';

/** What is wrong with what was typed or chosen, told at once. */
export function FieldError({ id, children }: { readonly id?: string; readonly children: ReactNode }) {
  return (
    <Text component="div" id={id} size="sm" c="var(--danger)" lh={1.35} my={4} role="alert">
      {children}
    </Text>
  );
}
