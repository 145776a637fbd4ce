import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { dayOf } from '../../shared/format';
import { keys } from '../../shared/keys';
import { phrase, say, t } from '../../shared/words';
import { useSaid } from '../classQueries';
import type { SchoolReader } from './SchoolReaders';
import { sure } from '../../shared/sure';
import { Button } from '../../ui/Button';
import { Radios } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { FieldSet } from '../../ui/Field';
import { Row } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { Show } from '../../ui/Show';
import { TextField } from '../../ui/TextField';

const whole = (r: SchoolReader) => `${r.givenName} ${r.familyName}`.trim();

/** What a school lead does for one reader: take the record out, hand the reader to another school, bring back, delete. */
export function ReaderActions({ reader, close }: { reader: SchoolReader; close: () => void }) {
  const stays = useQuery({
    queryKey: keys.stays(reader.id),
    queryFn: () => ok(api.GET('/readers/{readerId}/stays', { params: { path: { readerId: reader.id } } })),
  });
  return (
    <Dialog title={whole(reader)} close={close} wide>
      <div className="grid gap-6 *:grid *:content-start *:gap-3 sm:grid-cols-[1fr_1.1fr]">
        <div>
          <h3>{t('Classes')}</h3>
          <Show query={stays}>
            {(rows) =>
              rows.length === 0 ? (
                <p className="text-soft text-sm">{t('Not in a class yet.')}</p>
              ) : (
                <ul className="[&>li]:py-0.75">
                  {rows.map((s, i) => (
                    <li key={i}>
                      <b>{s.className}</b>{' '}
                      <span className="text-soft">
                        {s.yearName}, {s.schoolName},{' '}
                        {s.to
                          ? t('{{from}} to {{to}}', { from: dayOf(s.from), to: dayOf(s.to) })
                          : t('since {{day}}', { day: dayOf(s.from) })}
                      </span>
                    </li>
                  ))}
                </ul>
              )
            }
          </Show>
          <h3>{t('Full record')}</h3>
          <p className="text-soft text-sm">
            {t('Everything stored about {{name}}: roster, levels, answers, goals and who viewed it.', {
              name: reader.givenName,
            })}
          </p>
          <Row>
            <Button asChild>
              <a href={`/api/readers/${reader.id}/record.pdf`} target="_blank" rel="noreferrer">
                {t('Download PDF')}
              </a>
            </Button>
            <Button asChild>
              <a href={`/api/readers/${reader.id}/record.json`} download>
                {t('Download JSON')}
              </a>
            </Button>
          </Row>
        </div>
        <div>
          <IntoClass reader={reader} close={close} />
          <ToSchool reader={reader} close={close} />
          <Delete reader={reader} close={close} />
        </div>
      </div>
    </Dialog>
  );
}

function IntoClass({ reader, close }: { reader: SchoolReader; close: () => void }) {
  const classes = useQuery({
    queryKey: keys.school.classes,
    queryFn: () => ok(api.GET('/school/classes')),
  });
  const [to, setTo] = useState('');
  const changed = useChanged();
  const said = useSaid();
  const enrol = useMutation({
    mutationFn: () =>
      ok(api.POST('/classes/{classId}/enrol', { params: { path: { classId: to } }, body: { readerIds: [reader.id] } })),
    onSuccess: (d) => {
      said(d.sentence, d.changeId);
      void changed('roster');
      close();
    },
    onError: (e) => toast.error(sentence(e)),
  });
  return (
    <section>
      <h3>{reader.leftSchool ? t('Restore') : t('Add to class')}</h3>
      <Row>
        <Select
          label={t('Class')}
          bare
          value={to}
          set={setTo}
          options={[
            { value: '', label: t('Choose class') },
            ...(classes.data ?? []).filter((c) => !c.closed).map((c) => ({ value: c.id, label: c.name })),
          ]}
        />
        <Button disabled={!to} onClick={() => enrol.mutate()}>
          {t('Add')}
        </Button>
      </Row>
    </section>
  );
}

function ToSchool({ reader, close }: { reader: SchoolReader; close: () => void }) {
  const transfers = useQuery({
    queryKey: keys.school.transfers,
    queryFn: () => ok(api.GET('/school/transfers')),
  });
  const [to, setTo] = useState('');
  const changed = useChanged();
  const ask = useMutation({
    mutationFn: () => ok(api.POST('/school/transfers', { body: { readerId: reader.id, toSchoolId: to } })),
    onSuccess: () => {
      toast.success(t('Offered. {{name}} stays here until the other school takes them.', { name: reader.givenName }));
      void changed('roster');
      close();
    },
    onError: (e) => toast.error(sentence(e)),
  });
  const schools = transfers.data?.schools ?? [];
  if (schools.length === 0) return null;
  return (
    <section>
      <h3>{t('Move to another school')}</h3>
      <Row>
        <Select
          label={t('School')}
          bare
          value={to}
          set={setTo}
          options={[{ value: '', label: t('Choose school') }, ...schools.map((s) => ({ value: s.id, label: s.name }))]}
        />
        <Button disabled={!to} onClick={() => ask.mutate()}>
          {t('Offer')}
        </Button>
      </Row>
    </section>
  );
}

function Delete({ reader, close }: { reader: SchoolReader; close: () => void }) {
  const goes = useQuery({
    queryKey: keys.goesAlong(reader.id),
    queryFn: () => ok(api.GET('/readers/{readerId}/delete', { params: { path: { readerId: reader.id } } })),
  });
  const [name, setName] = useState('');
  const [error, setError] = useState<unknown>();
  const changed = useChanged();
  const gone = useMutation({
    mutationFn: () =>
      ok(api.POST('/readers/{readerId}/delete', { params: { path: { readerId: reader.id } }, body: { name } })),
    onSuccess: () => {
      toast.success(t('Deleted permanently, with all records.'));
      void changed('roster');
      close();
    },
    onError: setError,
  });
  return (
    <details>
      <summary>{t('Delete permanently')}</summary>
      <p className="text-soft text-sm">
        {t(
          phrase(
            'Deletes {{name}} with all answers, levels, goals and guardians who follow no one else. This ' +
              'cannot be undone. The log notes only that it happened.',
          ),
          { name: whole(reader) },
        )}
      </p>
      {goes.data && goes.data.length > 0 && (
        <p className="text-soft text-sm">
          {t(
            phrase(
              'This also deletes {{what}}, and the reader’s rows in roster files. Texts, classes and other ' +
                'readers stay.',
            ),
            { what: goes.data.map(say).join(', ') },
          )}
        </p>
      )}
      <TextField
        label={t('Type the full name to confirm')}
        error={error ? (fieldOf(error, 'name') ?? sentence(error)) : undefined}
        autoComplete="off"
        value={name}
        set={setName}
      />
      <Button disabled={!name.trim() || gone.isPending} onClick={() => gone.mutate()}>
        {t('Delete {{name}} permanently', { name: reader.givenName })}
      </Button>
    </details>
  );
}

/** Two readers who are one child become one. */
function Merge({ readers, done }: { readers: SchoolReader[]; done: () => void }) {
  const [open, setOpen] = useState(false);
  const [keep, setKeep] = useState(0);
  const changed = useChanged();
  const said = useSaid();
  const merge = useMutation({
    mutationFn: () =>
      ok(
        api.POST('/readers/{readerId}/merge', {
          params: { path: { readerId: sure(readers[keep]).id } },
          body: { otherId: sure(readers[1 - keep]).id },
        }),
      ),
    onSuccess: (d) => {
      said(d.sentence, d.changeId);
      void changed('roster');
      setOpen(false);
      done();
    },
    onError: (e) => toast.error(sentence(e)),
  });
  return (
    <>
      <Button size="sm" onClick={() => setOpen(true)}>
        {t('Merge…')}
      </Button>
      {open && (
        <Dialog title={t('Merge readers')} close={() => setOpen(false)}>
          <p>
            {t(
              phrase(
                'One reader stays and takes over the other’s reading, answers and assignments. The level is ' +
                  'calculated again from all of it.',
              ),
            )}
          </p>
          <FieldSet legend={t('Reader to keep')} framed>
            <Radios
              label={t('Reader to keep')}
              className="flex-col"
              value={String(keep)}
              set={(i) => setKeep(Number(i))}
              options={readers.map((r, i) => ({
                value: String(i),
                label: [
                  whole(r),
                  r.userName,
                  t('grade {{grade}}', { grade: r.grade }),
                  r.classes || t('in no class'),
                ].join(', '),
              }))}
            />
          </FieldSet>
          <DialogFoot>
            <Button onClick={() => setOpen(false)}>{t('Cancel')}</Button>
            <Button look="main" disabled={merge.isPending} onClick={() => merge.mutate()}>
              {t('Merge readers')}
            </Button>
          </DialogFoot>
        </Dialog>
      )}
    </>
  );
}
ReaderActions.Merge = Merge;
