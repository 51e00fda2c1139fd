import { useEffect, useState } from 'react';

/** Keeps the screen on while it is shown, where the browser can. @returns whether it is kept on */
export function useAwake(): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (gone) return void lock.release();
        setAwake(true);
        lock.addEventListener('release', () => setAwake(false));
      } catch {
        setAwake(false);
      }
    };
    const onSeen = () => void ask();
    void ask();
    document.addEventListener('visibilitychange', onSeen);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', onSeen);
      void lock?.release();
    };
  }, []);
  return awake;
}
