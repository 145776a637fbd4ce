import { cx } from 'class-variance-authority';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { type Api, api, ok, sentence } from '../shared/api';
import { keys } from '../shared/keys';
import { named, phrase, t } from '../shared/words';
import { useChoices } from './queries';
import { Button } from '../ui/Button';

export type Offer = Api<'OfferView'>;

/** Takes a text; afterwards it is among what is next. */
export function useTake() {
  const client = useQueryClient();
  const go = useNavigate();
  return useMutation({
    mutationFn: (offer: Offer) => ok(api.PUT('/my/choices/{textId}', { params: { path: { textId: offer.textId } } })),
    onSuccess: async (chosen) => {
      await client.invalidateQueries({ queryKey: keys.my.all });
      await go(`/text/${chosen.ticketId}`);
    },
    onError: () => void client.invalidateQueries({ queryKey: keys.my.all }),
  });
}

/** The first few texts to choose from, and the way to the others. */
export function ChooseNext() {
  const choices = useChoices();
  const take = useTake();
  const c = choices.data;
  if (!c?.open) return null;
  return (
    <section aria-labelledby="choose">
      <h2 id="choose">{t('Choose something to read')}</h2>
      {c.left === 0 && <p>{t('You have chosen enough for now. Finish one, or put one back, to choose another.')}</p>}
      {c.left > 0 && c.offers.length === 0 && <p>{t('No more texts to choose now.')}</p>}
      {c.left > 0 && c.offers.length > 0 && (
        <>
          <ul className="grid gap-2">
            {c.offers.slice(0, 3).map((o) => (
              <li key={o.textId}>
                <OfferCard offer={o} take={() => take.mutate(o)} busy={take.isPending} />
              </li>
            ))}
          </ul>
          {take.error && <p role="alert">{sentence(take.error)}</p>}
          {c.offers.length > 3 && (
            <p>
              <Button asChild size="reader">
                <Link to="/choose">{t('See all {{count}} texts', { count: c.offers.length })}</Link>
              </Button>
            </p>
          )}
        </>
      )}
    </section>
  );
}

const zones = {
  Independent: phrase('easy for you'),
  Instructional: phrase('right for you'),
  Frustration: phrase('hard for you'),
} as const;

export function OfferCard({ offer, take, busy }: { offer: Offer; take: () => void; busy: boolean }) {
  return (
    <article
      className={cx(
        'border-soft border-l-ink bg-paper grid grid-rows-[auto_1fr_auto_auto] justify-items-start',
        'gap-1.5 rounded-r-md border border-l-4 [border-left-style:double] px-4.5 py-3.5',
        '[&_h3]:text-xl',
      )}
    >
      <h3>{offer.title}</h3>
      <p>{offer.blurb}</p>
      <p className="text-soft">
        {[
          named(offer.kind),
          t('{{count}} words', { count: offer.words }),
          t(zones[offer.zone as keyof typeof zones]),
        ].join(' · ')}
      </p>
      <Button size="reader" disabled={busy} onClick={take} aria-label={t('Read {{title}}', { title: offer.title })}>
        {t('Read this')}
      </Button>
    </article>
  );
}

/** Puts a chosen text back; what was done on it is kept. */
export function PutBack({ ticketId, title }: { ticketId: string; title: string }) {
  const client = useQueryClient();
  const back = useMutation({
    mutationFn: () => ok(api.DELETE('/my/choices/{ticketId}', { params: { path: { ticketId } } })),
    onSettled: () => client.invalidateQueries({ queryKey: keys.my.all }),
  });
  return (
    <p className="flex flex-wrap items-center gap-1.5">
      {t('You chose this.')}{' '}
      <Button
        look="plain"
        size="reader"
        disabled={back.isPending}
        onClick={() => back.mutate()}
        aria-label={t('Put {{title}} back', { title })}
      >
        {t('Put it back')}
      </Button>
      {back.error && <span role="alert"> {sentence(back.error)}</span>}
    </p>
  );
}
