import { useState } from 'react';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Segments } from '../../ui/Segments';
import { useSaid, type ClassData } from '../classQueries';
import { EditGrouping } from './EditGrouping';
import type { Grouping, useGrouping } from './useGrouping';

const guided = 'guided';

/** What readers are grouped for: guided reading, and whatever else beside it. */
export function GroupingBar({ of, data, may }: { of: ReturnType<typeof useGrouping>; data: ClassData; may: boolean }) {
  const [editing, edit] = useState<Grouping | 'new' | null>(null);
  const said = useSaid();
  const changed = useChanged();
  const { chosen } = of;
  if (!may && of.all.length === 0) return null;
  const end = (grouping: Grouping) =>
    void ok(
      api.POST('/classes/{classId}/groupings/{groupingId}/end', {
        params: { path: { classId: data.id, groupingId: grouping.id } },
      }),
    ).then(
      async (done) => {
        said(done.summary, done.changeId);
        of.choose(null);
        await changed('groups');
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <div className="flex flex-wrap items-center gap-2 px-4 pb-2 text-sm">
      {of.all.length > 0 && (
        <Segments
          label={t('Grouped for')}
          size="sm"
          value={chosen?.id ?? guided}
          set={(id) => of.choose(id === guided ? null : id)}
          options={[
            { value: guided, label: t('Guided reading') },
            ...of.all.map((g) => ({ value: g.id, label: g.name })),
          ]}
        />
      )}
      {may && chosen && (
        <>
          <Button size="sm" onClick={() => edit(chosen)}>
            {t('Edit grouping…')}
          </Button>
          <Button size="sm" onClick={() => end(chosen)}>
            {t('End grouping')}
          </Button>
        </>
      )}
      {may && (
        <Button size="sm" look="plain" onClick={() => edit('new')}>
          {t('New grouping…')}
        </Button>
      )}
      {editing && (
        <EditGrouping
          of={editing === 'new' ? null : editing}
          data={data}
          close={() => edit(null)}
          done={async (id) => {
            edit(null);
            await changed('groups');
            of.choose(id);
          }}
        />
      )}
    </div>
  );
}
