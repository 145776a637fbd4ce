import { useMutation } from '@tanstack/react-query';
import { useChanged } from '../../shared/changed';
import { useSaid, type Done } from '../classQueries';

/** A reader, in the class where they are looked at. */
export interface InClass {
  path: { classId: string; readerId: string };
}

/** Changes evidence; says what was done, with an undo, and shows everything anew. */
export function useChange(done?: () => void) {
  const changed = useChanged();
  const said = useSaid();
  return useMutation({
    mutationFn: (doIt: () => Promise<Done>) => doIt(),
    onSuccess: (x) => {
      said(x.sentence, x.changeId);
      done?.();
      void changed('level');
    },
  });
}
