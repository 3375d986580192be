import { type Remote, wrap } from 'comlink';
import { Pool } from './pool';
import type { Reckoner } from './reckoner';

/** One core stays free for the screen. */
const size = Math.max(1, Math.min(4, (navigator.hardwareConcurrency ?? 2) - 1));

/** Our workers; they start when they are first needed. */
export const reckoners = new Pool<Remote<Reckoner>>(size, () =>
  wrap<Reckoner>(new Worker(new URL('./reckoner.ts', import.meta.url), { type: 'module' })),
);
