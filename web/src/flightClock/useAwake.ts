import { useEffect, useState } from 'react';

/** Keeps the screen on while wanted, where the browser can; asks again when the page is looked at again. Says whether it does. */
export function useAwake(wanted: boolean): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible') return;
      const given = await navigator.wakeLock.request('screen').catch(() => null);
      if (isOver) return void given?.release();
      lock = given;
      setAwake(given !== null);
      given?.addEventListener('release', () => setAwake(false));
    };
    void ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
      setAwake(false);
    };
  }, [wanted]);
  return awake;
}
