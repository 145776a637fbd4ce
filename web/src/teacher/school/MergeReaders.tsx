import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { gradeName } from '../../shared/format';
import { sure } from '../../shared/sure';
import { phrase, t } from '../../shared/words';
import { useSaid } from '../classQueries';
import { Button } from '../../ui/Button';
import { Radios } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { FieldSet } from '../../ui/Field';
import { whole, type SchoolReader } from './schoolReader';

/** Two readers who are one child become one. */
export function MergeReaders({ readers, done }: { readers: SchoolReader[]; done: () => void }) {
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
                  t('grade {{grade}}', { grade: gradeName(r.grade) }),
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
