import { Printer } from '@phosphor-icons/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { dayOf } from '../../../shared/format';
import { Empty, Show } from '../../../shared/Whole';
import { keys } from '../../../shared/keys';
import { t } from '../../../shared/words';
import { useTable, type ListColumn } from '../../frame/columns';
import type { Place } from '../../frame/Frame';
import { RosterTabs } from '../RosterTabs';

type Row = Api<'GuardianRow'>;

const codeWords = (r: Row) =>
  r.codeWithdrawn
    ? t('withdrawn')
    : r.codeUntil == null
      ? t('no letter yet')
      : new Date(r.codeUntil) < new Date()
        ? t('expired')
        : r.codeUsed
          ? t('used, until {{day}}', { day: dayOf(r.codeUntil) })
          : t('open until {{day}}', { day: dayOf(r.codeUntil) });

/** Who follows which reader, and the codes in the letters. */
export default function Guardians() {
  const { data } = useOutletContext<Place>();
  const rows = useQuery({
    queryKey: keys.guardians(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/guardians', { params: { path: { classId: data.id } } })),
    enabled: data.mayChangeRoster,
  });
  const [asked, setAsked] = useState('');
  const changed = useChanged();
  const withdraw = useMutation({
    mutationFn: ({ id, guardians }: { id: string; guardians: boolean }) =>
      ok(
        api.POST('/readers/{readerId}/guardian-code/withdraw', {
          params: { path: { readerId: id } },
          body: { guardians },
        }),
      ),
    onSuccess: (done) => {
      toast.success(done.sentence);
      void changed('guardians');
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const invite = useMutation({
    mutationFn: (readerIds: string[]) =>
      ok(
        api.POST('/classes/{classId}/guardians/invite', {
          params: { path: { classId: data.id } },
          body: { readerIds },
        }),
      ),
    onSuccess: (done) => {
      toast.success(t('Sent {{count}} letters by e-mail', { count: done.sent }));
      void changed('guardians');
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const letters = (ids: string[]) =>
    `/api/classes/${data.id}/print/Letters.pdf${ids.length > 0 ? `?readers=${ids.join(',')}` : ''}`;
  const columns: ListColumn<Row>[] = [
    {
      key: 'name',
      name: 'Reader',
      by: (r) => `${r.givenName} ${r.familyName}`.toLowerCase(),
      show: (r) => `${r.givenName} ${r.familyName}`,
    },
    { key: 'guardians', name: 'Guardians', by: (r) => r.guardians, show: (r) => r.guardians || '–' },
    { key: 'mail', name: 'E-mail on the roster', by: (r) => r.guardianMail ?? '', show: (r) => r.guardianMail ?? '–' },
    { key: 'code', name: 'Code in the letter', by: codeWords, show: codeWords },
    {
      key: 'do',
      name: 'Letter and code',
      show: (r) => (
        <span className="row">
          <a
            className="btn small"
            href={letters([r.readerId])}
            target="_blank"
            rel="noreferrer"
            aria-label={t('Letter for {{name}}', { name: r.givenName })}
          >
            {t('Letter')}
          </a>
          {r.guardianMail && (
            <button
              className="btn small"
              disabled={invite.isPending}
              aria-label={t('Invite the guardians of {{name}} by e-mail', { name: r.givenName })}
              onClick={() => invite.mutate([r.readerId])}
            >
              {t('Invite by e-mail')}
            </button>
          )}
          {r.codeUntil && !r.codeWithdrawn && (
            <button
              className="btn small"
              aria-label={t('Withdraw the code of {{name}}', { name: r.givenName })}
              onClick={() => withdraw.mutate({ id: r.readerId, guardians: false })}
            >
              {t('Withdraw the code')}
            </button>
          )}
          {r.guardians && (
            <button
              className="btn small"
              aria-label={t('End the guardians of {{name}}', { name: r.givenName })}
              onClick={() => withdraw.mutate({ id: r.readerId, guardians: true })}
            >
              {t('End access')}
            </button>
          )}
        </span>
      ),
    },
  ];
  const list = useTable<Row>({
    list: 'guardians',
    columns,
    id: (r) => r.readerId,
    name: (r) => r.givenName,
    open: (r) => window.open(letters([r.readerId]), '_blank', 'noreferrer'),
  });
  const reached = (rows.data ?? [])
    .filter((r) => r.guardianMail && list.picked.includes(r.readerId))
    .map((r) => r.readerId);
  return (
    <section className="roster" aria-labelledby="title">
      <div className="head">
        <h1 id="title">{t('Readers')}</h1>
        <RosterTabs classId={data.id} />
        <input
          type="search"
          className="narrow"
          aria-label={t('Filter by name')}
          placeholder={t('Name')}
          value={asked}
          onChange={(e) => setAsked(e.target.value)}
        />
        <span className="grow" />
        {list.menu}
        {reached.length > 0 && (
          <button className="btn" disabled={invite.isPending} onClick={() => invite.mutate(reached)}>
            {t('Invite {{count}} by e-mail', { count: reached.length })}
          </button>
        )}
        <a className="btn" href={letters(list.picked)} target="_blank" rel="noreferrer">
          <Printer size={20} aria-hidden />
          {list.picked.length > 0
            ? t('{{count}} letters', { count: list.picked.length })
            : t('Letters for the whole class')}
        </a>
      </div>
      {!data.mayChangeRoster ? (
        <Empty title={t('Only teachers see guardians')}>
          <p>{t('Assistants see the readers, but not who follows them at home.')}</p>
        </Empty>
      ) : (
        <Show query={rows}>
          {(all) => {
            const shown = all.filter((r) =>
              `${r.givenName} ${r.familyName} ${r.guardians}`.toLowerCase().includes(asked.trim().toLowerCase()),
            );
            return (
              <>
                {list.table(shown)}
                {list.foot(
                  shown.length,
                  all.length,
                  t('readers. Guardians see their own child only: level in words, readings, goals'),
                )}
              </>
            );
          }}
        </Show>
      )}
    </section>
  );
}
