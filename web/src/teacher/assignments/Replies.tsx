import { dayOf, timeOf } from '../../shared/format';
import type { Api } from '../../shared/api';
import { t } from '../../shared/words';
import { Written } from '../../ui/Reader';

type Of = Pick<Api<'TicketView'>, 'content' | 'replies'>;
type Round = Of['replies'][number];

/** What a reader did for a task without a text, the latest round first. */
export function Replies({ of: { content, replies } }: { of: Of }) {
  if (replies.length === 0) return <p className="text-soft">{t('Nothing yet.')}</p>;
  return replies.map((r) => (
    <div key={r.round} className="grid gap-1.5">
      {replies.length > 1 && (
        <h4 className="text-sm font-semibold">
          {t('Round {{n}}, {{day}} {{time}}', { n: r.round, day: dayOf(r.at), time: timeOf(r.at) })}
        </h4>
      )}
      {r.reply.words && <Written>{r.reply.words}</Written>}
      {content?.words && <Practice words={content.words} of={r} />}
    </div>
  ));
}

/** Each word with how often it was tried until it was right. */
function Practice({ words, of }: { words: { text: string }[]; of: Round }) {
  const done = of.reply.practised;
  const known = done.filter((d) => d.known).length;
  return (
    <>
      <p>{t('{{n}} of {{of}} words known', { n: known, of: words.length })}</p>
      <ul className="grid gap-x-6 text-sm sm:grid-cols-2">
        {words.map((w, i) => {
          const d = done.find((x) => x.word === i);
          return (
            <li key={i} className="border-line flex justify-between gap-3 border-b py-1">
              <b className="font-semibold">{w.text}</b>
              <span className={d ? undefined : 'text-soft'}>{saidOf(d)}</span>
            </li>
          );
        })}
      </ul>
    </>
  );
}

function saidOf(d: Round['reply']['practised'][number] | undefined) {
  if (!d) return t('not yet tried');
  if (!d.known) return t('not yet right, {{count}} tries', { count: d.tries });
  return d.tries === 1 ? t('right at once') : t('right after {{count}} tries', { count: d.tries });
}
