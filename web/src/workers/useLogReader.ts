import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { FileRead, LogReader, Reading } from './logReader';

interface Reader {
  readonly files: readonly FileRead[] | null;
  /** 0–1 while files are read, else null. */
  readonly progress: number | null;
  readonly trouble: string | null;
  read(files: readonly File[], reading: Reading): void;
  cancel(): void;
}

/** Reads files in a worker of their own, which ends when it is cancelled or left: what it had read is forgotten with it. */
export function useLogReader(): Reader {
  const [files, setFiles] = useState<readonly FileRead[] | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const worker = useRef<Worker | null>(null);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setProgress(null);
  }, []);
  useEffect(() => stop, [stop]);
  const read = useCallback(
    (from: readonly File[], reading: Reading) => {
      stop();
      const own = new Worker(new URL('./logReader.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      const isCurrent = () => worker.current === own;
      const remote: Remote<LogReader> = wrap<LogReader>(own);
      setProgress(0);
      setTrouble(null);
      own.onerror = () => {
        if (!isCurrent()) return;
        setTrouble('The files could not be read.');
        stop();
      };
      let toldAt = 0;
      const tell = (share: number) => {
        // A few times a second is enough for the eye.
        if (!isCurrent() || performance.now() - toldAt < 150) return;
        toldAt = performance.now();
        setProgress(share);
      };
      remote.read([...from], reading, proxy(tell)).then(
        (found) => {
          if (!isCurrent()) return;
          setFiles(found);
          stop();
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
  return { files, progress, trouble, read, cancel: stop };
}
