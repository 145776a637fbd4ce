import { cx } from 'class-variance-authority';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { type Api, api, ok, sentence } from '../shared/api';
import { keys } from '../shared/keys';
import { named, phrase, t } from '../shared/words';
import { OwnPart } from './home/Own';
import { useChoices } from './queries';
import { Button } from '../ui/Button';
import { bigPlate } from '../ui/Reader';

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

const shown = 3;

/** The first few texts to choose from, and the way to the others. */
export function ChooseNext() {
  const choices = useChoices();
  const take = useTake();
  const c = choices.data;
  if (!c?.open) return null;
  return (
    <OwnPart id="choose" title={t('Choose something to read')}>
      {c.left === 0 && <p>{t('You have chosen enough for now. Finish one, or put one back, to choose another.')}</p>}
      {c.left > 0 && c.offers.length === 0 && <p>{t('No more texts to choose now.')}</p>}
      {c.left > 0 && (
        <ul className="mt-2.5 grid gap-2">
          {c.offers.slice(0, shown).map((o) => (
            <li key={o.textId}>
              <button
                type="button"
                className={`${bigPlate} w-full text-left`}
                disabled={take.isPending}
                aria-label={t('Read {{title}}', { title: o.title })}
                onClick={() => take.mutate(o)}
              >
                <b className="font-serif font-semibold">{o.title}</b>
                <span className="text-soft">{factsOf(o)}</span>
                {o.because && <span>{becauseOf(o.because)}</span>}
              </button>
            </li>
          ))}
        </ul>
      )}
      {c.left > 0 && c.offers.length > shown && (
        <p>
          <Link className="inline-block py-2" to="/choose">
            {t('See all {{count}} texts', { count: c.offers.length })}
          </Link>
        </p>
      )}
      {take.error && <p role="alert">{sentence(take.error)}</p>}
    </OwnPart>
  );
}

const zones = {
  Independent: phrase('easy for you'),
  Instructional: phrase('right for you'),
  Frustration: phrase('hard for you'),
} as const;

const factsOf = (o: Offer) =>
  [named(o.kind), t('{{count}} words', { count: o.words }), t(zones[o.zone as keyof typeof zones])].join(' · ');

const becauseOf = (title: string) => t('Others who liked {{title}} liked this, too.', { title });

export function OfferCard({ offer, take, busy }: { offer: Offer; take: () => void; busy: boolean }) {
  return (
    <article
      className={cx(
        'border-soft border-l-ink bg-paper grid content-start justify-items-start',
        'gap-1.5 rounded-r-md border border-l-4 [border-left-style:double] px-4.5 py-3.5',
        '[&_h3]:text-xl',
      )}
    >
      <h3>{offer.title}</h3>
      <p>{offer.blurb}</p>
      <p className="text-soft">{factsOf(offer)}</p>
      {offer.because && <p>{becauseOf(offer.because)}</p>}
      {offer.said.map((s, i) => (
        <p key={i} className="border-depth-5 border-l-3 pl-3">
          <b>{s.name}</b>: “{s.words}”
        </p>
      ))}
      <Button size="reader" disabled={busy} onClick={take} aria-label={t('Read {{title}}', { title: offer.title })}>
        {t('Read this')}
      </Button>
    </article>
  );
}
