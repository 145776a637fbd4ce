import { useEffect, useState } from 'react';

/** A value as it is once it has been at rest for a moment: what is typed is not asked about letter by letter. */
export function useLater<T>(value: T, wait: number): T {
  const [rested, rest] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => rest(value), wait);
    return () => clearTimeout(timer);
  }, [value, wait]);
  return rested;
}
