import { useMediaQuery } from '@mantine/hooks';

/** Whether there is room for one column only: a phone, or a narrow window. */
export function usePhone(): boolean {
  return useMediaQuery('(max-width: 860px)', false, { getInitialValueInEffect: false });
}
