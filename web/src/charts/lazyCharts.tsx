import { Skeleton } from '@mantine/core';
import { type ComponentProps, type ComponentType, Suspense } from 'react';
import { lazyPart } from '../state/lazyPart';
import styles from './chart.module.css';

/** Charts measure their words once, so the figures' font comes first; but they do not wait for it for ever. */
const fonts = () =>
  Promise.race([
    document.fonts.load('12px "Atkinson Hyperlegible Next Variable"'),
    new Promise((resolve) => setTimeout(resolve, 800)),
  ]);

/** In place of a chart that could not be fetched: what stands beside it goes on, a running clock first of all. */
function Unfetched() {
  return (
    <p className={styles.unfetched}>
      The plot could not be fetched. Nothing else is wrong; it comes when the page is reloaded.
    </p>
  );
}

/** A chart that is fetched, with what draws it, when it is first to be seen. */
// biome-ignore lint/suspicious/noExplicitAny: the props of whichever chart it is
export function lazyChart<Chart extends ComponentType<any>>(fetchChart: () => Promise<Chart>) {
  const Fetched = lazyPart(async () => {
    const [chart] = await Promise.all([fetchChart(), fonts()]);
    return chart;
  }, Unfetched);
  return function LazyChart(props: ComponentProps<Chart>) {
    return (
      <Suspense fallback={<Skeleton className={styles.chart} radius="sm" />}>
        <Fetched {...props} />
      </Suspense>
    );
  };
}

export const LazyFlightChart = lazyChart(() => import('./FlightChart').then((module) => module.FlightChart));
