import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok, Problem, sentence, type Api } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { percent, signed } from '../../shared/format';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText } from '../../ui/Field';
import { Segments } from '../../ui/Segments';
import { useSaid } from '../classQueries';
import { hasKey, keyOf, takenOut, type Way } from './corrected';
import { KeyForm } from './KeyForm';
import type { Asked } from './results';

type Preview = Api<'CorrectionPreview'>;

/** A faulty question after it was answered: taken out, or with another key; what changes for whom is shown first. */
export function CorrectQuestion({
  assignmentId,
  textId,
  q,
  name,
  close,
}: {
  assignmentId: string;
  textId: string | null;
  q: Asked;
  name: (id: string) => string;
  close: () => void;
}) {
  const said = useSaid();
  const changed = useChanged();
  const [id] = useState(() => crypto.randomUUID());
  const [way, choose] = useState<Way>('out');
  const [key, setKey] = useState(() => keyOf(q.question));
  const [alsoIn, setAlsoIn] = useState<string[]>([]);
  const asWritten = way === 'key' && JSON.stringify(key) === JSON.stringify(keyOf(q.question));
  const wanted = way === 'key' ? key : takenOut;
  const questionId = q.question.id;
  const preview = useQuery({
    queryKey: keys.correction(assignmentId, questionId, id, wanted),
    queryFn: () =>
      ok(
        api.POST('/assignments/{assignmentId}/questions/{questionId}/correction/preview', {
          params: { path: { assignmentId, questionId } },
          body: { id, ...wanted },
        }),
      ),
    enabled: !asWritten,
    placeholderData: keepPreviousData,
    retry: (n, e) => !(e instanceof Problem) && n < 2,
    gcTime: 0,
  });
  const make = useMutation({
    mutationFn: () =>
      ok(
        api.POST('/assignments/{assignmentId}/questions/{questionId}/correction', {
          params: { path: { assignmentId, questionId } },
          body: { id, ...wanted, alsoIn },
        }),
      ),
    onSuccess: async (done) => {
      await changed('work');
      said(done.summary, done.changeIds);
      close();
    },
  });
  return (
    <Dialog wide title={t('Correct question {{n}}', { n: q.number })} close={close}>
      <div className="grid gap-3">
        <p className="font-semibold">{q.question.stem}</p>
        {hasKey(q.question) && (
          <div>
            <Segments
              label={t('Correction')}
              value={way}
              set={choose}
              options={[
                { value: 'out', label: t('Take question out') },
                { value: 'key', label: t('Change right answer') },
              ]}
            />
          </div>
        )}
        {way === 'key' && <KeyForm q={q.question} value={key} set={setKey} textId={textId} />}
        <p className="text-soft text-sm">
          {t('For this class, in every assignment with this text. Answers are kept. You can undo this.')}
        </p>
        {asWritten && <p role="status">{t('Change what is right to see whose scores change.')}</p>}
        {preview.isError ? <ErrorText>{sentence(preview.error)}</ErrorText> : null}
        {preview.data && !preview.isError && !asWritten && (
          <>
            <WhatChanges p={preview.data} name={name} waits={preview.isFetching} />
            <Elsewhere of={preview.data.elsewhere} chosen={alsoIn} set={setAlsoIn} />
          </>
        )}
        {make.isError && <ErrorText>{sentence(make.error)}</ErrorText>}
      </div>
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button
          look="main"
          aria-busy={make.isPending}
          disabled={asWritten || !preview.data || preview.isError || preview.isFetching}
          onClick={() => make.mutate()}
        >
          {way === 'out' ? t('Take question out') : t('Change right answer')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}

/** Other classes that answered the same question, to correct it there as well. */
function Elsewhere({ of, chosen, set }: { of: Preview['elsewhere']; chosen: string[]; set: (ids: string[]) => void }) {
  if (of.length === 0) return null;
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 font-semibold">{t('Also correct it in')}</legend>
      {of.map((c) => (
        <Checkbox
          key={c.classId}
          checked={chosen.includes(c.classId)}
          set={(on) => set(on ? [...chosen, c.classId] : chosen.filter((x) => x !== c.classId))}
        >
          {t('{{name}}: answered by {{count}} readers, changes for {{n}}', {
            name: c.name,
            count: c.readers,
            n: c.changes,
          })}
        </Checkbox>
      ))}
    </fieldset>
  );
}

const shareOf = (share: number | null) => (share === null ? t('to mark') : percent(share));

/** Whose scores and levels are other ones afterwards. */
function WhatChanges({ p, name, waits }: { p: Preview; name: (id: string) => string; waits: boolean }) {
  if (p.changes.length === 0)
    return <p role="status">{t('No score or level changes for {{count}} readers.', { count: p.readers })}</p>;
  return (
    <div className="max-h-72 overflow-auto" role="region" aria-label={t('What changes')} aria-busy={waits} tabIndex={0}>
      <table className="w-full">
        <caption className="text-left font-semibold">
          {t('Changes for {{n}} of {{count}} readers', { n: p.changes.length, count: p.readers })}
        </caption>
        <thead>
          <tr className="text-soft text-sm">
            <th scope="col" className="py-1 text-left font-normal">
              {t('Reader')}
            </th>
            <th scope="col" className="px-3 text-right font-normal">
              {t('Right on the first try')}
            </th>
            <th scope="col" className="text-right font-normal">
              {t('Level, fm')}
            </th>
          </tr>
        </thead>
        <tbody>
          {p.changes.map((r, i) => (
            <tr key={i} className="border-line border-t">
              <th scope="row" className="py-1 text-left font-normal">
                {name(r.readerId)}
              </th>
              <td className="px-3 text-right whitespace-nowrap">
                {shareOf(r.scoreBefore)} → <b>{shareOf(r.score)}</b>
              </td>
              <td className="text-right whitespace-nowrap">
                {r.depthBefore.toFixed(1)} → <b>{r.depth.toFixed(1)}</b>{' '}
                <span className="text-soft">({signed(r.depth - r.depthBefore)})</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
