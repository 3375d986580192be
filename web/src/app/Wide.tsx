import type { ReactNode } from 'react';

interface Props {
  readonly label: string;
  readonly children: ReactNode;
}

/** What may be wider than the screen scrolls by itself, by keyboard too, and never widens the page. */
export function Wide({ label, children }: Props) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls is reachable by keyboard (WCAG 2.1.1)
    <section className="wide" tabIndex={0} aria-label={label}>
      {children}
    </section>
  );
}
