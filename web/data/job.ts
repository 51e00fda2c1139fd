import { useCallback, useEffect, useRef, useState } from 'react';
import { api, type JobProgress } from './api.js';

/** What is asked of the server and takes a while. */
export interface Job {
  /** How far it is, of 0 while that is not known; null while nothing is waited for, or for less than a moment. */
  readonly progress: JobProgress | null;
  readonly isRunning: boolean;
  /** Waits for it. @returns null where it was stopped */
  readonly run: <T>(work: (name: string, signal: AbortSignal) => Promise<T>) => Promise<T | null>;
  /** Waits no longer: what was begun is ended, and nothing is changed. */
  readonly stop: () => void;
}

/** It is asked so often how far it is, ms. */
const ASKED = 300;

/** One job at a time, with how far it is and a way to stop it; it stops too when its screen is left. */
export function useJob(): Job {
  const [progress, setProgress] = useState<JobProgress | null>(null);
  const [isRunning, setRunning] = useState(false);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const stop = useCallback(() => running.current?.abort(), []);
  const run = useCallback(async <T>(work: (name: string, signal: AbortSignal) => Promise<T>): Promise<T | null> => {
    const name = `job-${crypto.getRandomValues(new Uint32Array(2)).join('-')}`;
    const own = new AbortController();
    running.current = own;
    setRunning(true);
    const look = async () => {
      // It may not have begun, or be over by now; either is no fault.
      const found = await api.progress(name).catch(() => null);
      if (!own.signal.aborted && running.current === own) setProgress((before) => found ?? before ?? { done: 0, of: 0 });
    };
    const timer = setInterval(() => void look(), ASKED);
    try {
      return await work(name, own.signal);
    } catch (error) {
      if (own.signal.aborted) return null;
      throw error;
    } finally {
      clearInterval(timer);
      running.current = null;
      setProgress(null);
      setRunning(false);
    }
  }, []);
  return { progress, isRunning, run, stop };
}
