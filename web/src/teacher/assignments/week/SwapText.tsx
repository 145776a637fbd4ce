import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { sentence, type Api } from '../../../shared/api';
import { fm } from '../../../shared/format';
import { t } from '../../../shared/words';
import { libraryFor } from '../../classQueries';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../../ui/Dialog';
import { ErrorText } from '../../../ui/Field';
import { SearchField } from '../../../ui/TextField';
import type { Plan } from './useWeek';

const most = 8;

/** Another text in the place of one that was wrong, for those who have not begun it, or for all who have not handed in. */
export function SwapText({
  a,
  plan,
  classId,
  close,
}: {
  a: Api<'AssignmentRow'>;
  plan: Plan;
  classId: string;
  close: () => void;
}) {
  const [word, setWord] = useState('');
  const [begunToo, setBegunToo] = useState(false);
  const [error, setError] = useState<unknown>();
  const texts = useQuery({
    ...libraryFor(classId, word),
    placeholderData: keepPreviousData,
  });
  const found = (texts.data?.rows ?? []).filter((x) => x.id !== a.textId && x.questions > 0).slice(0, most);
  const begun = a.underWay + a.sentBack;
  const swap = async (textId: string) => {
    try {
      await plan.tell(plan.swap(a, textId, begunToo));
      close();
    } catch (e) {
      setError(e);
    }
  };
  return (
    <Dialog title={t('Swap “{{title}}”', { title: a.title })} close={close}>
      <div className="grid gap-3">
        <p>
          {a.draft
            ? t('The draft gets the text you choose.')
            : t('Whoever has not opened it gets the text you choose. What was done is kept.')}
        </p>
        {begun > 0 && (
          <Checkbox checked={begunToo} set={setBegunToo}>
            {t('Also for {{count}} readers who have begun', { count: begun })}
          </Checkbox>
        )}
        <SearchField label={t('Find a text')} placeholder={t('Find a text')} autoFocus value={word} set={setWord} />
        <ul className="border-line divide-line divide-y border-y">
          {found.map((x) => (
            <li key={x.id} className="flex min-h-9 items-center gap-3 py-1">
              <span className="grow">
                <b className="font-semibold">{x.title}</b>{' '}
                <span className="text-soft text-sm">{x.versions.map((v) => fm(v.depth)).join(' / ')} fm</span>
              </span>
              <Button size="sm" onClick={() => void swap(x.id)} aria-label={t('Use “{{title}}”', { title: x.title })}>
                {t('Use')}
              </Button>
            </li>
          ))}
          {texts.data && found.length === 0 && <li className="text-soft py-2">{t('No texts match')}</li>}
        </ul>
        {error ? <ErrorText>{sentence(error)}</ErrorText> : null}
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
        </DialogFoot>
      </div>
    </Dialog>
  );
}
