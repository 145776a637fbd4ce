import { useState } from 'react';
import { fieldOf, sentence, type Api } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { say, t } from '../../shared/words';
import { useSuggested } from '../assignments/week/useSuggested';
import { useSaid, type ClassData } from '../classQueries';
import { useTray } from '../tray/useTray';
import { Button } from '../../ui/Button';
import { DateField } from '../../ui/DateField';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText, FieldRow } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { NumberField, TextField } from '../../ui/TextField';
import { pointKey, pointName, type Meeting, type Point } from './points';
import { textOptions } from './texts';
import { plannedOf, usePlanning, type Planned, type Week } from './useMeetings';

const usualMinutes = 20;

const newMeeting = (groupId: string, day: string, first: Pick<Point, 'kind' | 'strand'> | undefined): Planned => ({
  id: crypto.randomUUID(),
  groupId,
  day,
  startsAt: null,
  minutes: usualMinutes,
  textId: null,
  point: first?.kind ?? 'Strand',
  strand: first ? first.strand : 'Retrieve',
  words: '',
});

/** Plans one meeting, or changes it: when, its point, its text. */
export function EditMeeting({
  w,
  data,
  of: { groupId, day, meeting, strand },
  close,
}: {
  w: Week;
  data: ClassData;
  /** The strand, where it is already known what is to be taught. */
  of: { groupId: string; day: string; meeting: Meeting | null; strand?: Api<'Strand'> };
  close: () => void;
}) {
  const group = w.groups.find((g) => g.groupId === groupId);
  const points = group?.points ?? [];
  const first = strand ? { kind: 'Strand' as const, strand } : points[0];
  const [m, setM] = useState<Planned>(() => (meeting ? plannedOf(meeting) : newMeeting(groupId, day, first)));
  const set = (change: Partial<Planned>) => setM({ ...m, ...change });
  const suggested = useSuggested(data.id).data;
  const { save, remove } = usePlanning(data.id);
  const said = useSaid();
  const tray = useTray();
  const error = save.error;
  const named = ['day', 'startsAt', 'minutes', 'words'].some((field) => fieldOf(error, field));
  const mine = { kind: m.point, strand: m.strand ?? null };
  const chosen = points.find((p) => pointKey(p) === pointKey(mine));
  const submit = () =>
    save.mutate([m], {
      onSuccess: () => {
        said(t('Planned {{group}} for {{day}}', { group: group?.name ?? '', day: dayOf(m.day) }), null);
        close();
      },
    });
  const give = () => {
    tray.pickReaders(group?.readerIds ?? [], true);
    if (m.textId && !tray.texts.includes(m.textId)) tray.toggleText(m.textId);
  };
  return (
    <Dialog title={t('Meeting of {{group}}', { group: group?.name ?? '' })} close={close}>
      <FieldRow>
        <DateField label={t('Day')} error={fieldOf(error, 'day')} value={m.day} set={(value) => set({ day: value })} />
        <TextField
          label={t('Starts at')}
          placeholder="09:20"
          error={fieldOf(error, 'startsAt')}
          value={m.startsAt ?? ''}
          set={(value) => set({ startsAt: value.trim() === '' ? null : value.trim() })}
        />
        <NumberField
          label={t('Minutes')}
          min={5}
          max={180}
          error={fieldOf(error, 'minutes')}
          value={m.minutes}
          set={(minutes) => set({ minutes })}
        />
      </FieldRow>
      <Select
        label={t('Teaching point')}
        hint={chosen ? say(chosen.why) : undefined}
        value={pointKey(mine)}
        set={(key) => {
          const p = points.find((x) => pointKey(x) === key);
          if (p) set({ point: p.kind, strand: p.strand });
        }}
        options={[
          ...(chosen ? [] : [{ value: pointKey(mine), label: pointName(mine) }]),
          ...points.map((p) => ({
            value: pointKey(p),
            label: `${pointName(p)}: ${t('{{count}} readers need it', { count: p.readers.length })}`,
          })),
        ]}
      />
      <TextField
        label={t('In your words')}
        placeholder={t('Optional')}
        maxLength={200}
        error={fieldOf(error, 'words')}
        value={m.words}
        set={(words) => set({ words })}
      />
      <Select
        label={t('Text')}
        value={m.textId ?? ''}
        set={(value) => set({ textId: value === '' ? null : value })}
        options={textOptions(suggested, groupId, meeting)}
      />
      {save.isError && !named && <ErrorText>{sentence(error)}</ErrorText>}
      <DialogFoot>
        {meeting && (
          <Button
            look="plain"
            onClick={() => {
              remove.mutate(meeting);
              close();
            }}
          >
            {t('Remove')}
          </Button>
        )}
        {m.textId && <Button onClick={give}>{t('Add group and text to tray')}</Button>}
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button look="main" aria-busy={save.isPending} onClick={submit}>
          {t('Save')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}
