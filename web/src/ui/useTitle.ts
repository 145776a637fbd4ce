import { useEffect } from 'react';
import { t } from '../shared/words';

/** The window is called what the page is called. */
export function useTitle(title: string | undefined) {
  useEffect(() => {
    if (title) document.title = t('{{page}} – Deep Current', { page: title });
  }, [title]);
}
