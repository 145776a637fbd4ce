import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, api, ok } from '../../../shared/api';
import { addDays } from '../../../shared/days';
import { today } from '../../../shared/format';
import { keys } from '../../../shared/keys';
import { useOnce } from '../../../shared/once';
import { sure } from '../../../shared/sure';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { PageHead, ScrollPage } from '../../../ui/Page';
import { Segments } from '../../../ui/Segments';
import { Show } from '../../../ui/Show';
import { RollOver } from './RollOver';
import { YearForm } from './YearForm';
import type { YearFields } from './yearFields';

type Head = Api<'YearHead'>;

const yearOn = (iso: string) => `${Number(iso.slice(0, 4)) + 1}${iso.slice(4)}`;

/** School years with their terms and days off, and the step from one to the next. */
export default function Years() {
  const years = useQuery({ queryKey: keys.school.years, queryFn: () => ok(api.GET('/school/years')) });
  const [chosen, setChosen] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const [rolling, setRolling] = useState<Head | null>(null);
  return (
    <Show query={years}>
      {(all) => {
        const id = chosen ?? all[0]?.id ?? '';
        const head = all.find((y) => y.id === id);
        const next = head && all.find((y) => y.firstDay > head.lastDay);
        return (
          <ScrollPage>
            <PageHead
              title={t('School years')}
              beside={
                <>
                  <Segments
                    label={t('Year')}
                    value={adding ? undefined : id}
                    set={(year) => {
                      setChosen(year);
                      setAdding(false);
                    }}
                    options={[...all].reverse().map((y) => ({ value: y.id, label: y.name }))}
                  />
                  <Button onClick={() => setAdding(true)}>{t('Add next year')}</Button>
                </>
              }
            >
              {head && !adding && head.openClasses > 0 && (
                <Button look="main" disabled={!next} onClick={() => setRolling(head)}>
                  {next ? t('Roll over to {{year}}…', { year: next.name }) : t('Add a year first')}
                </Button>
              )}
            </PageHead>
            {adding ? (
              <NewYear
                last={all[0]}
                done={(made) => {
                  setAdding(false);
                  setChosen(made);
                }}
              />
            ) : (
              id && <Existing key={id} yearId={id} />
            )}
            {rolling && next && <RollOver from={rolling} to={next} close={() => setRolling(null)} />}
          </ScrollPage>
        );
      }}
    </Show>
  );
}

function NewYear({ last, done }: { last: Head | undefined; done: (id: string) => void }) {
  const lastId = last?.id;
  const before = useQuery({
    queryKey: keys.school.year(lastId),
    enabled: !!lastId,
    queryFn: () => ok(api.GET('/school/years/{yearId}', { params: { path: { yearId: sure(lastId) } } })),
  });
  const once = useOnce();
  if (last && !before.data) return null;
  const b = before.data;
  const form: YearFields = b
    ? {
        name: b.name.replace(/\d{4}/g, (y) => String(Number(y) + 1)),
        firstDay: yearOn(b.firstDay),
        lastDay: yearOn(b.lastDay),
        terms: b.terms.map((x) => ({
          id: null,
          name: x.name,
          firstDay: yearOn(x.firstDay),
          lastDay: yearOn(x.lastDay),
        })),
        daysOff: [],
      }
    : {
        name: '',
        firstDay: today(),
        lastDay: addDays(today(), 300),
        terms: [{ id: null, name: t('Term 1'), firstDay: today(), lastDay: addDays(today(), 300) }],
        daysOff: [],
      };
  return (
    <YearForm
      start={form}
      save={async (f) => {
        const made = await ok(api.POST('/school/years', { body: { ...f, id: once.idOf(f) } }));
        once.done();
        done(made.id);
      }}
      button={t('Add year')}
    />
  );
}

function Existing({ yearId }: { yearId: string }) {
  const year = useQuery({
    queryKey: keys.school.year(yearId),
    queryFn: () => ok(api.GET('/school/years/{yearId}', { params: { path: { yearId } } })),
  });
  return (
    <Show query={year}>
      {(y) => (
        <YearForm
          start={{
            name: y.name,
            firstDay: y.firstDay,
            lastDay: y.lastDay,
            terms: y.terms.map((x) => ({ id: x.id, name: x.name, firstDay: x.firstDay, lastDay: x.lastDay })),
            daysOff: y.daysOff,
          }}
          days={y.schoolDays}
          save={async (f) => {
            await ok(api.PUT('/school/years/{yearId}', { params: { path: { yearId } }, body: f }));
          }}
          button={t('Save year')}
        />
      )}
    </Show>
  );
}
