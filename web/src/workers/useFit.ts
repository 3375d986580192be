import type { Fit, FitPosterior, FitRequest, NextTest, Outcome } from '@acorn-tally/core';
import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useState } from 'react';
import type { Calibrator } from './calibrator';

/** A piece of work in a worker of its own, which ends with it or when it is no longer wanted. */
function inOwnWorker<Answer>(
  work: (calibrator: Remote<Calibrator>) => Promise<unknown>,
  wanted: AbortSignal,
): Promise<Answer> {
  const worker = new Worker(new URL('./calibrator.ts', import.meta.url), { type: 'module' });
  return new Promise<Answer>((resolve, reject) => {
    const end = () => worker.terminate();
    wanted.addEventListener('abort', end);
    worker.onerror = () => reject(new Error('The flights could not be learnt from.'));
    work(wrap<Calibrator>(worker))
      .then((answer) => resolve(answer as Answer), reject)
      .finally(end);
  });
}

/** A fit of some flights. */
export function fitted(
  request: FitRequest,
  progress: (share: number) => void,
  wanted: AbortSignal,
): Promise<Outcome<Fit>> {
  return inOwnWorker((calibrator) => calibrator.fit(request, proxy(progress)), wanted);
}

export function testsToFlyNext(
  request: FitRequest,
  posterior: FitPosterior,
  wanted: AbortSignal,
): Promise<readonly NextTest[]> {
  return inOwnWorker((calibrator) => calibrator.nextTests(request, posterior), wanted);
}

/** The fit of some flights as it comes about. */
export interface Fitting {
  readonly outcome: Outcome<Fit> | null;
  /** 0–1 while it is computed, else null. */
  readonly progress: number | null;
  readonly trouble: string | null;
  /** Whether it was ended before its time. */
  readonly cancelled: boolean;
  cancel(): void;
  again(): void;
}

/** The last fits by what they were made of: the same flights give the same one. */
const known = new Map<string, Outcome<Fit>>();
const maxKnown = 8;

interface State {
  readonly key: string;
  readonly outcome: Outcome<Fit> | null;
  readonly progress: number | null;
  readonly trouble: string | null;
  readonly cancelled: boolean;
}

const nothing = { outcome: null, progress: null, trouble: null, cancelled: false } as const;

/** Fits flights in a worker whenever `key`, which says what they are, is another; null for none. */
export function useFit(request: FitRequest | null, key: string): Fitting {
  const [state, setState] = useState<State>({ key, ...nothing });
  const [attempt, setAttempt] = useState(0);
  const [ending, setEnding] = useState<AbortController | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key says what the request is, and an attempt asks again
  useEffect(() => {
    if (!request) return setState({ key, ...nothing });
    const before = known.get(key);
    if (before) return setState({ key, ...nothing, outcome: before });
    const wanted = new AbortController();
    // How far it is comes by a way of its own, and may come after the answer.
    let isAnswered = false;
    const show = (now: Partial<State>) => {
      if (wanted.signal.aborted || isAnswered) return;
      isAnswered = now.progress === undefined;
      setState({ key, ...nothing, ...now });
    };
    setEnding(wanted);
    show({ progress: 0 });
    fitted(request, (progress) => show({ progress }), wanted.signal).then(
      (outcome) => {
        known.set(key, outcome);
        const [oldest] = known.keys();
        if (known.size > maxKnown && oldest !== undefined) known.delete(oldest);
        show({ outcome });
      },
      (error: Error) => show({ trouble: error.message }),
    );
    return () => wanted.abort();
  }, [key, attempt]);
  const cancel = useCallback(() => {
    ending?.abort();
    setState((now) => ({ ...now, progress: null, cancelled: true }));
  }, [ending]);
  const again = useCallback(() => setAttempt((count) => count + 1), []);
  const { outcome, progress, trouble, cancelled } = state.key === key ? state : { ...nothing };
  return { outcome, progress, trouble, cancelled, cancel, again };
}
