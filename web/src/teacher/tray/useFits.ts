import { useQuery } from '@tanstack/react-query';
import { type Api, api, ok } from '../../shared/api';
import { keys } from '../../shared/keys';

export type Fit = Api<'FitView'>;

/** Forecasts of some readers on some texts. */
export const useFits = (classId: string, readers: string[], texts: string[]) =>
  useQuery({
    queryKey: keys.fit(classId, readers, texts),
    enabled: readers.length > 0 && texts.length > 0,
    queryFn: () =>
      ok(
        api.POST('/classes/{classId}/fit', {
          params: { path: { classId } },
          body: { readerIds: readers, textIds: texts },
        }),
      ),
  });
