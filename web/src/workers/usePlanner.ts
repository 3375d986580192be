import type {
  Knowledge,
  Outcome,
  PlanRequest,
  PlanSoFar,
  Refusal,
  SwapPlan,
  WhatHelps,
} from '@acorn-tally/core';
import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useState } from 'react';
import type { Planning } from './planner';

interface Running {
  readonly worker: Worker;
  readonly planning: Remote<Planning>;
}

/** A worker that has nothing to do is kept for the next question: it is warm. */
let idle: Running | null = null;

function begun(): Running {
  const worker = new Worker(new URL('./planner.ts', import.meta.url), { type: 'module' });
  return { worker, planning: wrap<Planning>(worker) };
}

function planned(
  request: PlanRequest,
  known: Readonly<Record<string, Knowledge>>,
  better: (planned: PlanSoFar) => void,
  sought: (share: number) => void,
  wanted: AbortSignal,
): Promise<Outcome<SwapPlan> | null> {
  const running = idle ?? begun();
  idle = null;
  return new Promise((resolve, reject) => {
    const end = () => running.worker.terminate();
    wanted.addEventListener('abort', end);
    running.worker.onerror = () => {
      end();
      reject(new Error('The planner could not be fetched; it is asked for again by itself.'));
    };
    running.planning.plan(request, known, proxy(better), proxy(sought)).then(
      (outcome) => {
        wanted.removeEventListener('abort', end);
        if (wanted.aborted) return;
        idle = running;
        resolve(outcome);
      },
      (error: unknown) => {
        end();
        reject(error);
      },
    );
  });
}

/** What would help a plan, tried in a worker of its own, which ends with it or when it is no longer wanted. */
export function helpsFor(
  request: PlanRequest,
  known: Readonly<Record<string, Knowledge>>,
  plan: SwapPlan,
  wanted: AbortSignal,
): Promise<WhatHelps> {
  const { worker, planning } = begun();
  return new Promise((resolve, reject) => {
    const end = () => worker.terminate();
    wanted.addEventListener('abort', end);
    worker.onerror = () => reject(new Error('It could not be tried.'));
    planning.helps(request, known, plan).then(resolve, reject).finally(end);
  });
}

/** A plan as it comes about: the best so far, and whether better ones are still looked for. */
export interface PlanNow {
  readonly plan: SwapPlan | null;
  readonly refusal: Refusal | null;
  /** Whether the plan is of what is on the screen. */
  readonly fresh: boolean;
  /** Whether better ones are still looked for. */
  readonly seeking: boolean;
  /** How far that is, as a share. */
  readonly sought: number;
  /** Whether that was ended by the pilot. */
  readonly stopped: boolean;
  /** Whether what would be left of it is told already. */
  readonly whole: boolean;
  readonly trouble: string | null;
  stop(): void;
  again(): void;
}

interface State extends Omit<PlanNow, 'fresh' | 'stop' | 'again'> {
  readonly request: PlanRequest | null;
}

const retryMs = 5000;

const nothing: State = {
  request: null,
  plan: null,
  refusal: null,
  seeking: false,
  sought: 0,
  whole: false,
  trouble: null,
  stopped: false,
};

/** Plans a request in a worker whenever it is another; the last plan stays meanwhile. Null for none. */
export function usePlanner(request: PlanRequest | null, known: Readonly<Record<string, Knowledge>>): PlanNow {
  const [state, setState] = useState(nothing);
  const [attempt, setAttempt] = useState(0);
  const [ending, setEnding] = useState<AbortController | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is known belongs to the request, and an attempt asks again
  useEffect(() => {
    if (!request) return setState(nothing);
    const wanted = new AbortController();
    // A plan on the way comes by a way of its own, and may come after the last.
    let isAnswered = false;
    setEnding(wanted);
    setState((before) => ({
      ...before,
      seeking: true,
      sought: 0,
      trouble: null,
      refusal: null,
      stopped: false,
    }));
    const better = ({ plan, stage }: PlanSoFar) => {
      if (isAnswered || wanted.signal.aborted) return;
      setState(({ sought }) => ({ ...nothing, request, plan, seeking: stage === 'better', sought }));
    };
    const sought = (share: number) => {
      if (!isAnswered && !wanted.signal.aborted) setState((now) => ({ ...now, sought: share }));
    };
    planned(request, known, better, sought, wanted.signal).then(
      (outcome) => {
        isAnswered = true;
        const plan = outcome?.ok ? outcome.value : null;
        const refusal = outcome && !outcome.ok ? outcome.refusal : null;
        setState({ ...nothing, request, plan, refusal, whole: plan !== null });
      },
      (error: Error) => setState({ ...nothing, request, trouble: error.message }),
    );
    return () => wanted.abort();
  }, [request, attempt]);
  // What could not be fetched may be there again: a planner's file, once the server is.
  const { trouble } = state;
  useEffect(() => {
    if (trouble === null) return;
    const timer = setTimeout(() => setAttempt((count) => count + 1), retryMs);
    return () => clearTimeout(timer);
  }, [trouble]);
  const stop = useCallback(() => {
    ending?.abort();
    setState((now) => ({ ...now, seeking: false, stopped: true }));
  }, [ending]);
  const again = useCallback(() => setAttempt((count) => count + 1), []);
  const { request: asked, ...now } = state;
  return { ...now, fresh: asked === request, stop, again };
}
