import { useState } from 'react';
import { sentence } from '../shared/api';
import { named, t } from '../shared/words';
import { OfferCard, useTake } from './ChooseNext';
import { useChoices } from './queries';
import { Button } from '../ui/Button';
import { ReaderBar, ReaderPage } from '../ui/Reader';
import { Show } from '../ui/Show';
import { ToMyReading } from './ToMyReading';
import { PageTitle } from '../ui/PageTitle';

/** Everything a reader may choose, by what it is about. */
export default function Choose() {
  const choices = useChoices();
  const take = useTake();
  const [about, setAbout] = useState('');
  return (
    <ReaderPage>
      <ReaderBar>
        <ToMyReading />
        <PageTitle>{t('Choose something to read')}</PageTitle>
      </ReaderBar>
      <Show query={choices}>
        {(c) => {
          const topics = [...new Set(c.offers.map((o) => o.topic))];
          return (
            <main className="mx-auto grid max-w-280 gap-5 p-6">
              {!c.open || c.offers.length === 0 ? (
                <p>{t('No more texts to choose now.')}</p>
              ) : (
                <>
                  {c.left === 0 && (
                    <p role="status">
                      {t('You have chosen enough for now. Finish one, or put one back, to choose another.')}
                    </p>
                  )}
                  {take.error && <p role="alert">{sentence(take.error)}</p>}
                  <div className="flex flex-wrap gap-2" role="group" aria-label={t('Topic')}>
                    <Button size="reader" aria-pressed={about === ''} onClick={() => setAbout('')}>
                      {t('All')}
                    </Button>
                    {topics.map((topic) => (
                      <Button size="reader" key={topic} aria-pressed={about === topic} onClick={() => setAbout(topic)}>
                        {named(topic)}
                      </Button>
                    ))}
                  </div>
                  <ul>
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
    </ReaderPage>
  );
}
