import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { useSaid } from '../classQueries';
import { DeleteReader } from './DeleteReader';
import { whole, type SchoolReader } from './schoolReader';
import { Stays } from '../readers/Stays';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Row } from '../../ui/Page';
import { Select } from '../../ui/Select';

/** What a school lead does for one reader: take the record out, hand the reader to another school, bring back, delete. */
export function ReaderActions({ reader, close }: { reader: SchoolReader; close: () => void }) {
  return (
    <Dialog title={whole(reader)} close={close} wide>
      <div className="grid gap-6 *:grid *:content-start *:gap-3 sm:grid-cols-[1fr_1.1fr]">
        <div>
          <Stays readerId={reader.id} />
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
          <DeleteReader reader={reader} close={close} />
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
