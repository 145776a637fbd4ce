import { Fragment, useEffect, useState, type ReactNode } from 'react';
import { languageOf, locale, speak, type Language } from './language';
import type { Session } from './session';
import { Loading } from '../ui/Show';

/** Pages in the language of whoever is signed in. In another language all of it is drawn anew. */
export function InLanguage({ session, children }: { session: Session; children: ReactNode }) {
  const wanted = languageOf(session);
  /** What was asked for when the pages could last be drawn. */
  const [ready, setReady] = useState<Language>();
  useEffect(() => {
    let current = true;
    const spoke = () => {
      if (!current) return;
      document.documentElement.lang = locale();
      setReady(wanted);
    };
    // Without a network a language may not be there yet: English always is.
    speak(wanted).then(spoke, () => speak('en').then(spoke));
    return () => {
      current = false;
    };
  }, [wanted]);
  return ready === wanted ? <Fragment key={ready}>{children}</Fragment> : <Loading />;
}
