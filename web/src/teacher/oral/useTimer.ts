import { useCallback, useEffect, useRef, useState } from 'react';

/** A clock that runs, stops and goes on. */
export function useTimer(from: number, stopped: (seconds: number) => void) {
  const [seconds, setSeconds] = useState(from);
  const [on, setOn] = useState(false);
  const began = useRef(0);
  const now = useRef(from);
  useEffect(() => {
    if (!on) return;
    const timer = setInterval(() => {
      now.current = (performance.now() - began.current) / 1000;
      setSeconds(now.current);
    }, 200);
    return () => clearInterval(timer);
  }, [on]);
  const start = useCallback(() => {
    began.current = performance.now() - now.current * 1000;
    setOn(true);
  }, []);
  const stop = useCallback(() => {
    now.current = (performance.now() - began.current) / 1000;
    setSeconds(now.current);
    setOn(false);
    stopped(now.current);
  }, [stopped]);
  const set = useCallback((to: number) => {
    now.current = to;
    setSeconds(to);
    setOn(false);
  }, []);
  return { seconds, on, start, stop, set, toggle: on ? stop : start };
}
