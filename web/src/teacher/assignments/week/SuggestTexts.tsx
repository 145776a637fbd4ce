import { useState } from 'react';
import { sentence, type Api } from '../../../shared/api';
import { dayOf, fm } from '../../../shared/format';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { ErrorText } from '../../../ui/Field';
import { Segments } from '../../../ui/Segments';
import { Empty, Show } from '../../../ui/Show';
import { spread } from './spread';
import { useSuggested } from './useSuggested';
import type { Plan, WeekData } from './useWeek';

type ForGroup = Api<'SuggestedForGroup'>;
type Text = Api<'SuggestedText'>;

/** Texts that fit each group, drafted over the week in one step. */
export function SuggestTexts({
  d,
  monday,
  classId,
  plan,
  close,
}: {
  d: WeekData;
  monday: string;
  classId: string;
  plan: Plan;
  close: () => void;
}) {
  const found = useSuggested(classId);
  return (
    <Dialog title={t('Texts for each group')} close={close} wide>
      <Show query={found}>
        {(groups) =>
          groups.length === 0 ? (
            <Empty title={t('No groups yet')}>
              <p>{t('Form groups first; then texts are suggested for each.')}</p>
            </Empty>
          ) : (
            <Choose groups={groups} d={d} monday={monday} plan={plan} close={close} />
          )
        }
      </Show>
    </Dialog>
  );
}

function Choose({
  groups,
  d,
  monday,
  plan,
  close,
}: {
  groups: ForGroup[];
  d: WeekData;
  monday: string;
  plan: Plan;
  close: () => void;
}) {
  const [each, setEach] = useState(2);
  const [passed, pass] = useState<string[]>([]);
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const days = d.days.filter((x) => !x.off && x.day >= monday && x.day >= d.today && x.day < weekAfter(d, monday));
  const open = days.map((x) => x.day);
  const chosen = groups.map((group) => {
    const texts = group.texts.filter((x) => !passed.includes(x.textId)).slice(0, each);
    return { group, texts, stretches: spread(open, texts.length) };
  });
  const count = chosen.reduce((n, c) => n + c.texts.length, 0);
  const draft = async () => {
    setBusy(true);
    try {
      await plan.tell(
        plan.draftWeek(
          chosen.flatMap(({ group, texts, stretches }) =>
            texts.map((x, i) => ({
              textId: x.textId,
              readerIds: group.readerIds,
              visibleFrom: stretches[i]?.from ?? '',
              dueOn: stretches[i]?.to ?? null,
            })),
          ),
        ),
      );
      close();
    } catch (e) {
      setError(e);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="grid gap-3">
      <p>
        {t(
          'Most of a group has each within reach, few have had it, and no text goes to two groups. Take one out and the next best comes.',
        )}
      </p>
      <div>
        <Segments
          label={t('Texts for each group')}
          value={String(each)}
          set={(n) => setEach(Number(n))}
          options={[1, 2, 3].map((n) => ({ value: String(n), label: t('{{count}} texts', { count: n }) }))}
        />
      </div>
      {days.length === 0 && <p role="status">{t('This week has no school day left. Go to a later week.')}</p>}
      {chosen.map(({ group, texts, stretches }) => (
        <section key={group.groupId} aria-label={group.name} className="border-line grid gap-1 border-t pt-2">
          <h3>
            {group.name} <small>{t('{{count}} readers', { count: group.readerIds.length })}</small>
          </h3>
          {texts.map((x, i) => (
            <Line
              key={x.textId}
              text={x}
              of={group.readerIds.length}
              stretch={stretches[i]}
              out={() => pass([...passed, x.textId])}
            />
          ))}
          {texts.length < each && (
            <p className="text-sm">{t('No more texts fit most of this group and are new to it.')}</p>
          )}
        </section>
      ))}
      {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button
          look="main"
          aria-busy={busy}
          disabled={busy || count === 0 || days.length === 0}
          onClick={() => void draft()}
        >
          {t('Save {{count}} drafts', { count })}
        </Button>
      </DialogFoot>
    </div>
  );
}

/** The Monday after, of those that are shown. */
const weekAfter = (d: WeekData, monday: string) =>
  d.days.find((x) => x.day > monday && new Date(`${x.day}T12:00:00`).getDay() === 1)?.day ?? '9999';

function Line({
  text: x,
  of,
  stretch,
  out,
}: {
  text: Text;
  of: number;
  stretch: { from: string; to: string } | undefined;
  out: () => void;
}) {
  return (
    <p className="flex flex-wrap items-baseline gap-x-3">
      <Checkbox checked set={out}>
        <b className="font-semibold">{x.title}</b>
      </Checkbox>
      <span className="text-sm">{x.depths.map(fm).join(' / ')} fm</span>
      <span className="text-sm">
        {[
          t('{{n}} of {{of}} within reach', { n: x.within, of }),
          x.tooDeep > 0 && t('{{n}} too deep', { n: x.tooDeep }),
          x.had > 0 && t('{{count}} readers have had it', { count: x.had }),
          x.topic,
        ]
          .filter(Boolean)
          .join(' · ')}
      </span>
      {stretch?.from && (
        <span className="text-soft ml-auto text-sm">
          {stretch.from === stretch.to ? dayOf(stretch.from) : `${dayOf(stretch.from)} – ${dayOf(stretch.to)}`}
        </span>
      )}
    </p>
  );
}
