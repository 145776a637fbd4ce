import { useState, type FormEvent } from 'react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useNavigate, useOutletContext, useParams, useSearchParams } from 'react-router';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { say, t } from '../../shared/words';
import { useSaid, type ClassData } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useOptionalTray } from '../tray/useTray';
import { CheckDays } from './CheckDays';
import { CheckHow } from './CheckHow';
import { CheckLine } from './CheckLine';
import { seasonWords, seasons, useCheck, useChoices, type Check, type Choices } from './checkQueries';
import { CheckSide } from './CheckSide';
import { aboutDepth, emptyPlan, noAims, type Form } from './plan';
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

const formOf = (k: Check): Form => ({
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
const usePreview = (form: Form) => {
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
  const [form, setForm] = useState<Form>(() =>
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
  const [error, setError] = useState<unknown>();
  const [busy, setBusy] = useState(false);
  const navigate = useNavigate();
  const changed = useChanged();
  const said = useSaid();
  const put = (to: Partial<Form>) => setForm((f) => ({ ...f, ...to }));
  const locked = check?.begun ?? false;
  const preview = usePreview(form);
  const depth = aboutDepth(
    form.plan,
    (data?.readers ?? []).map((r) => r.depth),
  );
  const save = async (draft: boolean) => {
    setBusy(true);
    setError(undefined);
    try {
      const done = await ok(
        api.PUT('/checks/{checkId}', { params: { path: { checkId: id } }, body: { ...form, draft } }),
      );
      said(done.sentence, done.changeId);
      await changed('checks');
      await navigate(draft ? checksOf(data) : `${checksOf(data)}/${id}`);
    } catch (e) {
      setError(e);
    } finally {
      setBusy(false);
    }
  };
  const name = say(preview?.name ?? check?.name);
  const plan = { plan: form.plan, choices, locked, change: (plan: Form['plan']) => put({ plan }) };
  return (
    <form
      className="grid min-h-0 max-lg:overflow-auto lg:grid-cols-[minmax(0,1fr)_300px]"
      aria-labelledby="title"
      noValidate
      onSubmit={(e: FormEvent) => {
        e.preventDefault();
        void save(false);
      }}
    >
      <div className="min-h-0 min-w-0 lg:overflow-auto">
        <PageHead
          title={name || t('New level check')}
          beside={<span className="text-soft text-sm">{t('named by window, year, grade and parts')}</span>}
        />
        <div className="border-line flex flex-wrap items-start gap-3 border-t px-4 py-2">
          <TextField
            label={t('Readers see')}
            error={fieldOf(error, 'readerTitle')}
            maxLength={80}
            value={form.readerTitle}
            set={(value) => put({ readerTitle: value })}
          />
          <Select
            label={t('Benchmark window')}
            error={fieldOf(error, 'season')}
            value={form.season ?? ''}
            set={(value) => put({ season: seasons.find((s) => s === value) ?? null })}
            options={[
              { value: '', label: t('none, between windows') },
              ...seasons.map((s) => ({ value: s, label: t(seasonWords[s]) })),
            ]}
          />
          <TextField
            label={t('Directions for readers')}
            className="min-w-60 flex-1"
            error={fieldOf(error, 'directions')}
            maxLength={500}
            placeholder={t('Optional')}
            value={form.directions}
            set={(value) => put({ directions: value })}
          />
        </div>
        {locked && (
          <p className="text-soft px-4 pb-2 text-sm">{t('Someone has started, so the parts cannot change.')}</p>
        )}
        {fieldOf(error, 'plan') && <ErrorText>{fieldOf(error, 'plan')}</ErrorText>}
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
            <WhoTakesIt data={data} aims={form.for} change={(aims) => put({ for: aims })} />
            {fieldOf(error, 'for') && <ErrorText>{fieldOf(error, 'for')}</ErrorText>}
          </section>
          <CheckDays form={form} choices={choices} error={error} put={put} />
        </div>
      </div>
      <CheckSide
        data={data}
        form={form}
        choices={choices}
        depth={depth}
        readers={preview?.readers}
        given={!!check && !check.draft}
        busy={busy}
        fault={error ? sentence(error) : ''}
        save={() => void save(true)}
      />
    </form>
  );
}
