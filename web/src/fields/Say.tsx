import { useWriter } from '../state/units';

/** A sentence with metric numbers, each followed by its unit, written in the units the pilot chose. */
export function Say({ children }: { readonly children: string | readonly (string | number)[] }) {
  return useWriter().say(typeof children === 'string' ? children : children.join(''));
}
