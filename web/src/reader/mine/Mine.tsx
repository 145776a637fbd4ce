import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ok, type Api } from '../../shared/api';
import { dayOf, minutes } from '../../shared/format';
import { keys } from '../../shared/keys';
import { useSession } from '../../shared/session';
import { t } from '../../shared/words';
import { PageTitle } from '../../ui/PageTitle';
import { ReaderBar, ReaderPage } from '../../ui/Reader';
import { Show } from '../../ui/Show';
import { KeptNote } from '../KeptNote';
import { getKept } from '../offline/kept';
import { keptReadings, useOutbox } from '../offline/outbox';
import { finished, toResult, useMine } from '../queries';
import { ToMyReading } from '../ToMyReading';
import { OwnReadingForm } from './OwnReadingForm';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { PencilSimple } from '@phosphor-icons/react';

export type OwnReading = Api<'OwnReading'>;

/** What a reader has read, here and elsewhere, newest first; a book on paper is added by hand. */
export default function Mine() {
  const mine = useMine();
  const name = useSession().data?.name ?? '';
  useOutbox();
  const own = useQuery({
    queryKey: keys.my.readings,
    queryFn: () => getKept('/my/readings', () => ok(api.GET('/my/readings'))),
  });
  const [changing, change] = useState<OwnReading | null>(null);
  const waiting = keptReadings();
  const told = [
    ...(own.data ?? []).filter((o) => !waiting.has(o.id)),
    ...[...waiting]
      .filter(([, o]) => !o.removed)
      .map(([id, o]) => ({ ...o, id, confirmedAt: null, confirmedBy: null }) as OwnReading),
  ];
  return (
    <ReaderPage>
      <ReaderBar>
        <ToMyReading />
        <PageTitle>{t('My readings')}</PageTitle>
        <KeptNote />
        <span className="grow" />
        <b>{name}</b>
      </ReaderBar>
      <main className="mx-auto grid max-w-280 gap-10 px-6 pt-8 pb-12 md:grid-cols-[minmax(0,1fr)_minmax(0,360px)]">
        <section aria-labelledby="all" className="border-ink bg-paper rounded-xl border-[1.5px] px-7 py-5">
          <h2 id="all" className="mb-2 text-[22px] leading-8">
            {t('What I read')}
          </h2>
          <Show query={mine}>
            {(all) => {
              const rows = [
                ...all
                  .filter((k) => finished(k) && k.pages > 0)
                  .map((k) => ({ at: k.handedInAt?.slice(0, 10) ?? '9999', k, o: null })),
                ...told.map((o) => ({ at: o.day, k: null, o })),
              ].sort((one, other) => (one.at < other.at ? 1 : -1));
              if (rows.length === 0) return <p>{t('Nothing yet.')}</p>;
              return (
                <ul>
                  {rows.map(({ k, o }) =>
                    k ? (
                      <li key={k.id} className="border-line [&+li]:border-t">
                        <Link
                          to={toResult(k)}
                          className="hover:bg-depth-1 flex min-h-13 flex-wrap items-center justify-between gap-x-4 py-2 no-underline"
                        >
                          <b className="font-serif">{k.title}</b>
                          <span className="text-soft">
                            {k.handedInAt ? dayOf(k.handedInAt) : t('not sent yet')} ·{' '}
                            {t('{{count}} words', { count: k.words })}
                            {k.activeSeconds > 0 && ` · ${minutes(k.activeSeconds)}`}
                          </span>
                        </Link>
                      </li>
                    ) : (
                      <Told key={o.id} o={o} sent={!waiting.has(o.id)} change={() => change(o)} />
                    ),
                  )}
                </ul>
              );
            }}
          </Show>
        </section>
        <section aria-labelledby="add">
          <OwnReadingForm key={changing?.id ?? 'new'} of={changing} done={() => change(null)} />
        </section>
      </main>
    </ReaderPage>
  );
}

/** Something read elsewhere. */
function Told({ o, sent, change }: { o: OwnReading; sent: boolean; change: () => void }) {
  return (
    <li className="border-line flex min-h-13 flex-wrap items-center justify-between gap-x-4 py-2 [&+li]:border-t">
      <span>
        <b className="font-serif">{o.title}</b> {o.author && <span className="text-soft">{o.author}</span>}
        {o.said && <span className="block">“{o.said}”</span>}
      </span>
      <span className="text-soft flex items-center gap-2">
        {[
          dayOf(o.day),
          t('on paper'),
          o.pages && t('{{count}} pages', { count: o.pages }),
          o.minutes && minutes(o.minutes * 60),
          !o.finished && t('not finished'),
          o.confirmedBy && t('{{name}} knows', { name: o.confirmedBy }),
          !sent && t('not sent yet'),
        ]
          .filter(Boolean)
          .join(' · ')}
        {o.confirmedAt === null && (
          <Button look="plain" size="reader" aria-label={t('Change {{title}}', { title: o.title })} onClick={change}>
            <PencilSimple size={24} aria-hidden />
          </Button>
        )}
      </span>
    </li>
  );
}
