import { type Remote, wrap } from 'comlink';
import type { Calculator } from './calculator';
import { Pool } from './pool';

/** One core stays free for the screen. */
const size = Math.max(1, Math.min(4, (navigator.hardwareConcurrency ?? 2) - 1));

/** Our workers; they start when they are first needed. */
export const calculators = new Pool<Remote<Calculator>>(size, () =>
  wrap<Calculator>(new Worker(new URL('./calculator.ts', import.meta.url), { type: 'module' })),
);
