import { useRef } from 'react';

/** Whether something was ever opened: until then what it needs is not fetched; then it stays, to close and open again. */
export function useTouched(opened: boolean): boolean {
  const touched = useRef(opened);
  touched.current ||= opened;
  return touched.current;
}
