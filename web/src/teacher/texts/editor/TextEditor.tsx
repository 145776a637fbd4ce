import { skipToken, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useOutletContext, useParams } from 'react-router';
import { toast } from 'sonner';
import { api, ok } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { useFields } from '../../../shared/forms';
import { keys } from '../../../shared/keys';
import { sure } from '../../../shared/sure';
import { useKept } from '../../../shared/useKept';
import { say, t } from '../../../shared/words';
import type { Place } from '../../frame/Frame';
import { Button } from '../../../ui/Button';
import { FormFault, Submit } from '../../../ui/Form';
import { Notice, PageHead } from '../../../ui/Page';
import { Show } from '../../../ui/Show';
import { NotYours } from '../NotYours';
import { TextField } from '../../../ui/TextField';
import { bodyOf, emptyText, textSchema, type TextForm } from '../textForm';
import { WordRows } from '../WordRows';
import { AboutFields } from './AboutFields';
import { MeasureSide } from './MeasureSide';
import { VersionFields } from './VersionFields';

/** A new text, or one that is changed: what it says on the left, how deep that is on the right while it is written. */
export default function TextEditor() {
  const { data } = useOutletContext<Place>();
  const { textId } = useParams();
  const text = useQuery({
    queryKey: keys.text.one(textId),
    queryFn: textId ? () => ok(api.GET('/texts/{textId}', { params: { path: { textId } } })) : skipToken,
  });
  if (!textId) return <Editor start={emptyText} revision={0} />;
  return (
    <Show query={text}>
      {(x) =>
        x.mayChange ? (
          <Editor
            key={x.revision}
            textId={x.id}
            revision={x.revision}
            start={{
              ...x,
              note: '',
              versions: x.versions.map((v) => ({ id: v.id, label: v.label, body: bodyOf(v.pages) })),
              words: x.words,
            }}
          />
        ) : (
          <NotYours to={`/class/${data.id}/texts/${x.id}`} title={t('This text cannot be edited')} />
        )
      }
    </Show>
  );
}

function Editor({ textId, start, revision }: { textId?: string; start: TextForm; revision: number }) {
  const { data } = useOutletContext<Place>();
  const go = useNavigate();
  const changed = useChanged();
  const [fresh] = useState<TextForm>(() => (textId ? start : { ...start, id: crypto.randomUUID() }));
  const kept = useKept(`dc-text-${textId ?? 'new'}-${revision}`, fresh);
  const [chosen, setAt] = useState(0);
  const form = useFields<TextForm>({
    schema: textSchema,
    start: kept.value,
    kept: kept.set,
    send: async (typed) => {
      const body = { ...typed, revision, note: typed.note || null };
      const done = await (textId
        ? ok(api.PUT('/texts/{textId}', { params: { path: { textId } }, body }))
        : ok(api.POST('/texts', { body })));
      kept.letGo();
      await changed('texts');
      toast.success(t('Saved “{{title}}”', { title: typed.title }), {
        description: done.warnings.map(say).join(' ') || undefined,
      });
      void go(`/class/${data.id}/texts/${done.id}`);
    },
  });
  const { versions, words } = form.values;
  const at = Math.min(chosen, versions.length - 1);
  return (
    <form
      className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]"
      onSubmit={form.submit}
      noValidate
      aria-labelledby="title"
    >
      <PageHead title={textId ? t('Edit “{{title}}”', { title: start.title }) : t('New text')}>
        <FormFault of={form} />
        <Button onClick={() => void go(-1)}>{t('Cancel')}</Button>
        <Submit of={form}>{textId ? t('Save changes') : t('Save text')}</Submit>
      </PageHead>
      <div className="border-ink grid min-h-0 border-t max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1fr)_380px]">
        <div className="grid content-start gap-2 overflow-auto px-4 pt-2.5 pb-6">
          {kept.found && (
            <Notice kind="action" role="status">
              {t('Restored your unsaved text from this device.')}{' '}
              <Button
                size="sm"
                onClick={() => {
                  kept.again();
                  form.restart(fresh);
                }}
              >
                {t('Discard and start again')}
              </Button>
            </Notice>
          )}
          <AboutFields form={form} />
          <VersionFields form={form} at={at} setAt={setAt} />
          <WordRows words={words} set={(to) => form.set('words', to)} error={form.faultIn('words')} />
          {textId && <TextField label={t('What changed (for the history)')} {...form.field('note')} />}
        </div>
        <MeasureSide text={sure(versions[at]).body} />
      </div>
    </form>
  );
}
