import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { FileRead, LogReader, LogReading } from './logReader';

interface Reader {
  readonly files: readonly FileRead[] | null;
  /** 0–1 while files are read, else null. */
  readonly progress: number | null;
  readonly trouble: string | null;
  read(files: readonly File[], reading: LogReading): void;
  cancel(): void;
  /** The samples of a flight that was read. */
  samples(hash: string, flightNumber: number): Promise<Blob>;
}

/** Reads files in a worker of their own, which ends when it is cancelled, left, or reads others: what it had read goes with it. */
export function useLogReader(): Reader {
  const [files, setFiles] = useState<readonly FileRead[] | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const worker = useRef<Worker | null>(null);
  const reader = useRef<Remote<LogReader> | null>(null);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    reader.current = null;
    setProgress(null);
  }, []);
  useEffect(() => stop, [stop]);
  const read = useCallback(
    (from: readonly File[], reading: LogReading) => {
      stop();
      const own = new Worker(new URL('./logReader.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      const isCurrent = () => worker.current === own;
      const remote: Remote<LogReader> = wrap<LogReader>(own);
      reader.current = remote;
      setProgress(0);
      setTrouble(null);
      own.onerror = () => {
        if (!isCurrent()) return;
        setTrouble('The files could not be read.');
        stop();
      };
      let toldAt = 0;
      // How far it is comes by a way of its own, and may come after the answer.
      let isAnswered = false;
      const tell = (share: number) => {
        // A few times a second is enough for the eye.
        if (!isCurrent() || isAnswered || performance.now() - toldAt < 150) return;
        toldAt = performance.now();
        setProgress(share);
      };
      remote.read([...from], reading, proxy(tell)).then(
        (found) => {
          if (!isCurrent()) return;
          isAnswered = true;
          // It lives on with the samples, until they are asked for or it is left.
          setFiles(found);
          setProgress(null);
        },
        (error: Error) => {
          if (!isCurrent()) return;
          setTrouble(error.message);
          stop();
        },
      );
    },
    [stop],
  );
  const samples = useCallback(async (hash: string, flightNumber: number) => {
    if (!reader.current) throw new Error('The files were read before.');
    return reader.current.samples(hash, flightNumber);
  }, []);
  return { files, progress, trouble, read, cancel: stop, samples };
}

/** Kept samples as a track, made in a worker; null where they do not say where it was. */
export async function trackOf(samples: Blob, as: 'gpx' | 'geojson', groundM: number): Promise<string | null> {
  const worker = new Worker(new URL('./logReader.ts', import.meta.url), { type: 'module' });
  try {
    return await wrap<LogReader>(worker).track(samples, as, groundM);
  } finally {
    worker.terminate();
  }
}
