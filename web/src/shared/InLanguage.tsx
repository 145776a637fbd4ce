import { Fragment, useEffect, useState, type ReactNode } from 'react';
import { languageOf, locale, speak, type Language } from './language';
import type { Session } from './session';
import { Loading } from '../ui/Show';

/** Pages in the language of whoever is signed in. In another language all of it is drawn anew. */
export function InLanguage({ session, children }: { session: Session; children: ReactNode }) {
  const wanted = languageOf(session);
  const [spoken, setSpoken] = useState<Language>();
  useEffect(() => {
    let current = true;
    void speak(wanted).then(() => {
      if (!current) return;
      document.documentElement.lang = locale();
      setSpoken(wanted);
    });
    return () => {
      current = false;
    };
  }, [wanted]);
  return spoken === wanted ? <Fragment key={spoken}>{children}</Fragment> : <Loading />;
}
