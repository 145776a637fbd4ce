import { Printer } from '@phosphor-icons/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useOutletContext } from 'react-router';
import { toast } from 'sonner';
import { type Api, api, ok, sentence } from '../../../shared/api';
import { useChanged } from '../../../shared/changed';
import { dayOf } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { phrase, say, t } from '../../../shared/words';
import { calledIn } from '../../classQueries';
import type { Place } from '../../frame/Frame';
import { RosterTabs } from '../RosterTabs';
import { Button } from '../../../ui/Button';
import { ListPage, PageHead, Row } from '../../../ui/Page';
import { Empty, Show } from '../../../ui/Show';
import { SearchField } from '../../../ui/TextField';
import { ColumnsMenu, DataTableView, TableFoot } from '../../../ui/table/DataTableView';
import { type Column, useDataTable, usePicks } from '../../../ui/table/useDataTable';

type Row = Api<'GuardianRow'>;

const none: Row[] = [];

const guardiansOf = (r: Row) =>
  r.guardians.map((g) => (g.confirmed ? g.name : t('{{name}} (not confirmed)', { name: g.name }))).join(', ');

function codeWords(r: Row) {
  if (r.codeTakenBack) return t('taken back');
  if (r.codeUntil == null) return t('no letter yet');
  if (new Date(r.codeUntil) < new Date()) return t('expired');
  const day = dayOf(r.codeUntil);
  return r.codeUsed ? t('used, until {{day}}', { day }) : t('valid until {{day}}', { day });
}

const known: Column<Row>[] = [
  {
    key: 'name',
    name: phrase('Reader'),
    by: (r) => `${r.givenName} ${r.familyName}`.toLowerCase(),
    show: (r) => `${r.givenName} ${r.familyName}`,
  },
  { key: 'guardians', name: phrase('Guardians'), by: guardiansOf, show: (r) => guardiansOf(r) || '–' },
  {
    key: 'mail',
    name: phrase('Email on roster'),
    by: (r) => r.guardianMail ?? '',
    show: (r) => r.guardianMail ?? '–',
  },
  { key: 'code', name: phrase('Code in the letter'), by: codeWords, show: codeWords },
];

/** Who follows which reader, and the codes in the letters. */
export default function Guardians() {
  const { data } = useOutletContext<Place>();
  const called = calledIn(data);
  const rows = useQuery({
    queryKey: keys.guardians(data.id),
    queryFn: () => ok(api.GET('/classes/{classId}/guardians', { params: { path: { classId: data.id } } })),
    enabled: data.mayChangeRoster,
  });
  const [asked, setAsked] = useState('');
  const { takeBack, invite } = useLetters(data.id);
  const letters = (ids: string[]) =>
    `/api/classes/${data.id}/print/Letters.pdf${ids.length > 0 ? `?readers=${ids.join(',')}` : ''}`;
  const columns: Column<Row>[] = [
    ...known,
    {
      key: 'do',
      name: phrase('Letter and code'),
      show: (r) => (
        <Actions
          r={r}
          name={called(r.readerId, r.givenName)}
          letter={letters([r.readerId])}
          inviting={invite.isPending}
          invite={() => invite.mutate([r.readerId])}
          takeBack={(guardians) => takeBack.mutate({ id: r.readerId, guardians })}
        />
      ),
    },
  ];
  const picks = usePicks();
  const list = useDataTable<Row>({
    list: 'guardians',
    columns,
    rows: rows.data ?? none,
    id: (r) => r.readerId,
    name: (r) => called(r.readerId, r.givenName),
    open: (r) => window.open(letters([r.readerId]), '_blank', 'noreferrer'),
    asked,
    matches: (r, words) =>
      `${r.givenName} ${r.familyName} ${guardiansOf(r)}`.toLowerCase().includes(words.trim().toLowerCase()),
    picking: picks.picking,
  });
  const reached = (rows.data ?? [])
    .filter((r) => r.guardianMail && picks.picked.includes(r.readerId))
    .map((r) => r.readerId);
  return (
    <ListPage>
      <PageHead
        title={t('Readers')}
        beside={
          <>
            <RosterTabs classId={data.id} />
            <SearchField label={t('Filter by name')} placeholder={t('Name')} value={asked} set={setAsked} />
          </>
        }
      >
        <ColumnsMenu of={list} />
        {reached.length > 0 && (
          <Button disabled={invite.isPending} onClick={() => invite.mutate(reached)}>
            {t('Invite {{count}} by email', { count: reached.length })}
          </Button>
        )}
        <Button asChild>
          <a href={letters(picks.picked)} target="_blank" rel="noreferrer">
            <Printer size={20} aria-hidden />
            {picks.picked.length > 0
              ? t('{{count}} letters', { count: picks.picked.length })
              : t('Print letters for class')}
          </a>
        </Button>
      </PageHead>
      {!data.mayChangeRoster ? (
        <Empty title={t('Only teachers see guardians')}>
          <p>{t('Assistants see readers but not their guardians.')}</p>
        </Empty>
      ) : (
        <Show query={rows}>
          {() => (
            <>
              <DataTableView of={list} label={t('Guardians')} />
              <TableFoot of={list} counted={(n, count) => t('{{n}} of {{count}} readers', { n, count })}>
                <span className="text-soft">
                  {t('Guardians see only their own child: level in words, reading and goals')}
                </span>
              </TableFoot>
            </>
          )}
        </Show>
      )}
    </ListPage>
  );
}

/** Letters sent by email, and codes and guardians that end. */
function useLetters(classId: string) {
  const changed = useChanged();
  const takeBack = useMutation({
    mutationFn: ({ id, guardians }: { id: string; guardians: boolean }) =>
      ok(
        api.POST('/readers/{readerId}/guardian-code/take-back', {
          params: { path: { readerId: id } },
          body: { guardians },
        }),
      ),
    onSuccess: (done) => {
      toast.success(say(done.sentence));
      void changed('guardians');
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const invite = useMutation({
    mutationFn: (readerIds: string[]) =>
      ok(
        api.POST('/classes/{classId}/guardians/invite', {
          params: { path: { classId: classId } },
          body: { readerIds },
        }),
      ),
    onSuccess: (done) => {
      toast.success(t('Sent {{count}} letters by email', { count: done.sent }));
      void changed('guardians');
    },
    onError: (e) => toast.error(sentence(e)),
  });
  return { takeBack, invite };
}

function Actions({
  r,
  name,
  letter,
  inviting,
  invite,
  takeBack,
}: {
  r: Row;
  name: string;
  letter: string;
  inviting: boolean;
  invite: () => void;
  takeBack: (guardians: boolean) => void;
}) {
  return (
    <span className="flex flex-wrap items-center gap-2">
      <Button asChild size="sm">
        <a href={letter} target="_blank" rel="noreferrer" aria-label={t('Letter for {{name}}', { name: name })}>
          {t('Letter')}
        </a>
      </Button>
      {r.guardianMail && (
        <Button
          size="sm"
          disabled={inviting}
          aria-label={t('Invite guardians of {{name}} by email', { name: name })}
          onClick={invite}
        >
          {t('Invite by email')}
        </Button>
      )}
      {r.codeUntil && !r.codeTakenBack && (
        <Button size="sm" aria-label={t('Take back code of {{name}}', { name: name })} onClick={() => takeBack(false)}>
          {t('Take back code')}
        </Button>
      )}
      {r.guardians.length > 0 && (
        <Button
          size="sm"
          aria-label={t('End guardian access to {{name}}', { name: name })}
          onClick={() => takeBack(true)}
        >
          {t('End access')}
        </Button>
      )}
    </span>
  );
}
