import { ArrowLeft } from '@phosphor-icons/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { sentence } from '../shared/api';
import { Show } from '../shared/Whole';
import { t } from '../shared/words';
import { OfferCard, useTake } from './ChooseNext';
import { useChoices } from './queries';

/** Everything a reader may choose, by what it is about. */
export default function Choose() {
  const choices = useChoices();
  const take = useTake();
  const [about, setAbout] = useState('');
  return (
    <div className="readerhome">
      <header className="bar">
        <Link className="rbtn plain" to="/">
          <ArrowLeft size={24} aria-hidden />
          {t('My reading')}
        </Link>
        <h1>{t('Choose something to read')}</h1>
      </header>
      <Show query={choices}>
        {(c) => {
          const topics = [...new Set(c.offers.map((o) => o.topic))];
          return (
            <main className="choosing">
              {!c.open || c.offers.length === 0 ? (
                <p>{t('There is no more to choose from just now.')}</p>
              ) : (
                <>
                  {c.left === 0 && (
                    <p role="status">
                      {t('You have chosen enough for now. Finish one, or put one back, and you can take another.')}
                    </p>
                  )}
                  {take.error && <p role="alert">{sentence(take.error)}</p>}
                  <div className="topics" role="group" aria-label={t('What it is about')}>
                    <button className="rbtn" aria-pressed={about === ''} onClick={() => setAbout('')}>
                      {t('All')}
                    </button>
                    {topics.map((topic) => (
                      <button
                        key={topic}
                        className="rbtn"
                        aria-pressed={about === topic}
                        onClick={() => setAbout(topic)}
                      >
                        {t(topic)}
                      </button>
                    ))}
                  </div>
                  <ul className="offers">
                    {c.offers
                      .filter((o) => !about || o.topic === about)
                      .map((o) => (
                        <li key={o.textId}>
                          <OfferCard offer={o} take={() => take.mutate(o)} busy={take.isPending || c.left === 0} />
                        </li>
                      ))}
                  </ul>
                </>
              )}
            </main>
          );
        }}
      </Show>
    </div>
  );
}
