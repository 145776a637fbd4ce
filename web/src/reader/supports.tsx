import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { noSupports, type Supports } from '../shared/supports';

const Here = createContext<{ supports: Supports; put: (own: Supports | null) => void }>({
  supports: noSupports,
  put: () => undefined,
});

/** What is done for the reader: everywhere, but for what was said otherwise for the task that is open. */
export function SupportsScope({ everywhere, children }: { everywhere: Supports | null; children: ReactNode }) {
  const [own, put] = useState<Supports | null>(null);
  const supports = own ?? everywhere ?? noSupports;
  const here = useMemo(() => ({ supports, put }), [supports]);
  return (
    <Here.Provider value={here}>
      <div className="group/size contents" data-size={supports.textSize}>
        {children}
      </div>
    </Here.Provider>
  );
}

export const useSupports = () => useContext(Here).supports;

/** While a task is open, what holds for it goes before what holds everywhere. */
export function useSupportsOf(task: Supports | undefined) {
  const { put } = useContext(Here);
  useEffect(() => {
    if (!task) return;
    put(task);
    return () => put(null);
  }, [put, task]);
}
