import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { keys } from '../../shared/keys';
import { t } from '../../shared/words';
import { Select } from '../../ui/Select';
import type { NowGroup } from './plan';

/** Who meets a group: of the class's staff, assistants too. */
export function Leader({ classId, group, may }: { classId: string; group: NowGroup; may: boolean }) {
  const changed = useChanged();
  const staff = useQuery({
    queryKey: keys.groups.leaders(classId),
    enabled: may,
    queryFn: () => ok(api.GET('/classes/{classId}/groups/leaders', { params: { path: { classId } } })),
  });
  const { leader } = group;
  if (!may) return leader && <p className="text-sm">{t('met by {{name}}', { name: leader.name })}</p>;
  const lead = (adultId: string) =>
    void ok(
      api.PUT('/classes/{classId}/groups/{groupId}/leader', {
        params: { path: { classId, groupId: group.id } },
        body: { adultId: adultId || null },
      }),
    ).then(
      () => changed('groups'),
      (e: unknown) => toast.error(sentence(e)),
    );
  return (
    <Select
      label={t('Met by')}
      inline
      value={leader?.id ?? ''}
      set={lead}
      options={[
        { value: '', label: t('no one named') },
        ...(staff.data ?? (leader ? [leader] : [])).map((a) => ({ value: a.id, label: a.name })),
      ]}
    />
  );
}
