import { useState } from 'react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useNavigate, useOutletContext, useParams, useSearchParams } from 'react-router';
import { z } from 'zod';
import { api, ok } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { useFields } from '../../shared/forms';
import { keys } from '../../shared/keys';
import { say, t } from '../../shared/words';
import { useSaid, type ClassData } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useOptionalTray } from '../tray/useTray';
import { CheckDays } from './CheckDays';
import { CheckHow } from './CheckHow';
import { CheckLine } from './CheckLine';
import { seasonWords, seasons, useCheck, useChoices, type Check, type Choices } from './checkQueries';
import { asDraft, CheckSide } from './CheckSide';
import { aboutDepth, emptyPlan, noAims, type CheckForm } from './plan';
import { WhoTakesIt } from './WhoTakesIt';
import { ErrorText } from '../../ui/Field';
import { PageHead } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Show } from '../../ui/Show';
import { TextField } from '../../ui/TextField';

/** A level check before it is given, or its titles and days afterwards; within a class, or by a lead for the whole school. */
export default function CheckEditor() {
  const data = useOutletContext<Place | undefined>()?.data;
  const { checkId } = useParams();
  const choices = useChoices();
  const check = useCheck(checkId);
  const ready = choices.data && (!checkId || check.data) ? { choices: choices.data, check: check.data } : undefined;
  return (
    <Show
      query={{
        data: ready,
        error: choices.error ?? check.error,
        refetch: () => {
          void choices.refetch();
          void check.refetch();
        },
      }}
    >
      {(r) => <Editor key={r.check?.revision ?? 0} data={data} choices={r.choices} check={r.check} />}
    </Show>
  );
}

/** Where checks are listed: in a class, or in the school's windows. */
const checksOf = (data: ClassData | undefined) =>
  data ? `/class/${data.id}/assignments/checks` : '/school/windows/checks';

const schema = z.object({
  revision: z.number(),
  readerTitle: z.string(),
  directions: z.string(),
  season: z.custom<CheckForm['season']>(),
  plan: z.custom<CheckForm['plan']>(),
  for: z.custom<CheckForm['for']>(),
  opensOn: z.string().nullable(),
  closesOn: z.string().nullable(),
  colleagues: z.array(z.string()),
});

const formOf = (k: Check): CheckForm => ({
  revision: k.revision,
  readerTitle: k.readerTitle,
  directions: k.directions,
  season: k.season,
  plan: k.plan,
  for: k.for,
  opensOn: k.opensOn,
  closesOn: k.closesOn,
  colleagues: k.colleagues.map((c) => c.id),
});

/** What the check would be called and how many would take it, as it stands in the form. */
const usePreview = (form: CheckForm) => {
  const asked = {
    season: form.season,
    opensOn: form.opensOn,
    for: form.for,
    parts: form.plan.parts.map((p) => p.part),
  };
  return useQuery({
    queryKey: keys.checkPreview(asked),
    placeholderData: keepPreviousData,
    queryFn: () => ok(api.POST('/checks/preview', { body: asked })),
  }).data;
};

function Editor({ data, choices, check }: { data: ClassData | undefined; choices: Choices; check: Check | undefined }) {
  const [search] = useSearchParams();
  const tray = useOptionalTray();
  const picked = search.get('readers') === 'picked' ? (tray?.readers ?? []) : [];
  const [id] = useState(() => check?.id ?? crypto.randomUUID());
  const [start] = useState<CheckForm>(() =>
    check
      ? formOf(check)
      : {
          revision: 0,
          readerTitle: t('Reading check'),
          directions: '',
          season: null,
          plan: emptyPlan(choices),
          for: picked.length > 0 ? { ...noAims, readerIds: picked } : { ...noAims, classIds: data ? [data.id] : [] },
          opensOn: null,
          closesOn: null,
          colleagues: [],
        },
  );
  const navigate = useNavigate();
  const changed = useChanged();
  const said = useSaid();
  const fields = useFields({
    schema,
    start,
    send: async (typed, act) => {
      const draft = act === asDraft;
      const done = await ok(
        api.PUT('/checks/{checkId}', { params: { path: { checkId: id } }, body: { ...typed, draft } }),
      );
      said(done.sentence, done.changeId);
      await changed('checks');
      await navigate(draft ? checksOf(data) : `${checksOf(data)}/${id}`);
    },
  });
  const form = fields.values;
  const locked = check?.begun ?? false;
  const preview = usePreview(form);
  const depth = aboutDepth(
    form.plan,
    (data?.readers ?? []).map((r) => r.depth),
  );
  const name = say(preview?.name ?? check?.name);
  const plan = { plan: form.plan, choices, locked, change: (plan: CheckForm['plan']) => fields.set('plan', plan) };
  return (
    <form
      className="grid min-h-0 max-lg:overflow-auto lg:grid-cols-[minmax(0,1fr)_300px]"
      aria-labelledby="title"
      noValidate
      onSubmit={fields.submit}
    >
      <div className="min-h-0 min-w-0 lg:overflow-auto">
        <PageHead
          title={name || t('New level check')}
          beside={<span className="text-soft text-sm">{t('named by window, year, grade and parts')}</span>}
        />
        <div className="border-line flex flex-wrap items-start gap-3 border-t px-4 py-2">
          <TextField label={t('Readers see')} maxLength={80} {...fields.field('readerTitle')} />
          <Select
            label={t('Benchmark window')}
            {...fields.field('season')}
            value={form.season ?? ''}
            set={(value) => fields.set('season', seasons.find((s) => s === value) ?? null)}
            options={[
              { value: '', label: t('none, between windows') },
              ...seasons.map((s) => ({ value: s, label: t(seasonWords[s]) })),
            ]}
          />
          <TextField
            label={t('Directions for readers')}
            className="min-w-60 flex-1"
            maxLength={500}
            placeholder={t('Optional')}
            {...fields.field('directions')}
          />
        </div>
        {locked && (
          <p className="text-soft px-4 pb-2 text-sm">{t('Someone has started, so the parts cannot change.')}</p>
        )}
        {fields.faultIn('plan') && <ErrorText>{fields.faultIn('plan')}</ErrorText>}
        <div className="border-ink border-t">
          <CheckLine {...plan} depth={depth}>
            <CheckHow {...plan} />
          </CheckLine>
        </div>
        <div className="border-ink bg-sand grid gap-5 border-t px-4 py-3 lg:grid-cols-2">
          <section aria-labelledby="who" className="grid content-start gap-2">
            <h2 id="who" className="text-base">
              {t('Who takes it')}
            </h2>
            <WhoTakesIt data={data} aims={form.for} change={(aims) => fields.set('for', aims)} />
            {fields.faultIn('for') && <ErrorText>{fields.faultIn('for')}</ErrorText>}
          </section>
          <CheckDays form={fields} choices={choices} />
        </div>
      </div>
      <CheckSide
        data={data}
        form={fields}
        choices={choices}
        depth={depth}
        readers={preview?.readers}
        given={!!check && !check.draft}
      />
    </form>
  );
}
