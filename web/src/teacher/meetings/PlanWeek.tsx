import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, fieldOf, ok, sentence, type Api } from '../../shared/api';
import { dayOf, listed } from '../../shared/format';
import { keys } from '../../shared/keys';
import { say, t } from '../../shared/words';
import { useSuggested } from '../assignments/week/useSuggested';
import { calledIn, useSaid, type ClassData } from '../classQueries';
import { useRules } from '../groups/useGroups';
import { weekdayOf } from '../groups/weekdays';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { ErrorText, FieldRow, FieldSet } from '../../ui/Field';
import { Row } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { NumberField } from '../../ui/TextField';
import { pointName } from './points';
import { textOptions } from './texts';
import { usePlanning, type Planned, type Week } from './useMeetings';

const usualMinutes = 20,
  aDay = 2;

type Proposed = Api<'ProposedMeeting'>;
const keyOf = (p: Proposed) => `${p.groupId} ${p.day}`;

/** The days of a week without meetings: which weekdays these are stays from week to week. */
function useShut(classId: string, days: readonly string[]) {
  const { query, put } = useRules(classId);
  const rules = query.data;
  return {
    known: rules !== undefined,
    shut: days.filter((d) => rules?.shut?.includes(weekdayOf(d))),
    setShut: (shut: readonly string[]) => rules && void put({ ...rules, shut: shut.map(weekdayOf) }),
  };
}

/** Plans a week: how many meetings the teacher can hold, and when not; who meets, about what, with which text, follows. */
export function PlanWeek({ w, data, close }: { w: Week; data: ClassData; close: () => void }) {
  const [wanted, setWanted] = useState(Math.max(w.meetings.length + 1, w.groups.length * aDay));
  const [most, setMost] = useState(Math.max(aDay, Math.ceil((w.groups.length * aDay) / Math.max(1, w.days.length))));
  const { shut, setShut, known } = useShut(data.id, w.days);
  const [chosen, choose] = useState<Record<string, string>>({});
  const body = { monday: w.monday, wanted, aDay: most, shut };
  const proposal = useQuery({
    queryKey: [...keys.meetings.week(data.id, w.monday), body],
    queryFn: () =>
      ok(api.POST('/classes/{classId}/meetings/proposal', { params: { path: { classId: data.id } }, body })),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const suggested = useSuggested(data.id).data;
  const { save } = usePlanning(data.id);
  const said = useSaid();
  const called = calledIn(data);
  const rows = proposal.data ?? [];
  // Each meeting of a group gets its next text, unless another is chosen.
  const textOf = (p: Proposed) => {
    const mine = rows.filter((x) => x.groupId === p.groupId);
    const texts = suggested?.find((g) => g.groupId === p.groupId)?.texts ?? [];
    return chosen[keyOf(p)] ?? texts[mine.indexOf(p)]?.textId ?? '';
  };
  const submit = () =>
    save.mutate(
      rows.map((p): Planned => ({
        id: crypto.randomUUID(),
        groupId: p.groupId,
        day: p.day,
        startsAt: null,
        minutes: usualMinutes,
        textId: textOf(p) || null,
        point: p.point?.kind ?? 'Strand',
        strand: p.point ? p.point.strand : 'Retrieve',
        words: '',
      })),
      {
        onSuccess: () => {
          said(t('Planned {{count}} meetings', { count: rows.length }), null);
          close();
        },
      },
    );
  const nameOf = (groupId: string) => w.groups.find((g) => g.groupId === groupId)?.name ?? '';
  return (
    <Dialog title={t('Plan the week of {{day}}', { day: dayOf(w.monday) })} close={close} wide>
      <FieldRow>
        <NumberField
          label={t('Meetings in all')}
          hint={w.meetings.length > 0 ? t('{{count}} are planned already', { count: w.meetings.length }) : undefined}
          min={1}
          max={60}
          error={fieldOf(proposal.error, 'wanted')}
          value={wanted}
          set={setWanted}
        />
        <NumberField
          label={t('Most on one day')}
          min={1}
          max={12}
          error={fieldOf(proposal.error, 'aDay')}
          value={most}
          set={setMost}
        />
        <FieldSet legend={t('No meetings on')}>
          <Row>
            {w.days.map((d) => (
              <Checkbox
                key={d}
                checked={shut.includes(d)}
                disabled={!known}
                set={(on) => setShut(on ? [...shut, d] : shut.filter((x) => x !== d))}
              >
                {dayOf(d)}
              </Checkbox>
            ))}
          </Row>
        </FieldSet>
      </FieldRow>
      {proposal.isSuccess && rows.length === 0 && (
        <p>{t('There is no room for more meetings. Ask for more, or open another day.')}</p>
      )}
      <ol aria-label={t('Proposed meetings')} aria-busy={proposal.isFetching}>
        {rows.map((p) => (
          <li
            key={keyOf(p)}
            className="border-line grid items-center gap-x-3 border-t py-1.5 sm:grid-cols-[8rem_minmax(0,1fr)_minmax(0,1fr)]"
          >
            <span>
              <b className="font-serif">{nameOf(p.groupId)}</b>{' '}
              <span className="text-soft text-sm">{dayOf(p.day)}</span>
              <Missing names={p.missing.map((id) => called(id, ''))} />
            </span>
            <span>
              {p.point ? pointName(p.point) : t('no point stands out')}
              {p.point && <span className="text-soft block text-sm">{say(p.point.why)}</span>}
            </span>
            <Select
              label={t('Text for {{group}}, {{day}}', { group: nameOf(p.groupId), day: dayOf(p.day) })}
              bare
              value={textOf(p)}
              set={(value) => choose({ ...chosen, [keyOf(p)]: value })}
              options={textOptions(suggested, p.groupId, null)}
            />
          </li>
        ))}
      </ol>
      {save.isError && <ErrorText>{sentence(save.error)}</ErrorText>}
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button look="main" disabled={rows.length === 0} aria-busy={save.isPending} onClick={submit}>
          {t('Save {{count}} meetings', { count: rows.length })}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}

const Missing = ({ names }: { names: string[] }) =>
  names.length > 0 && (
    <span className="block text-sm">{t('without {{names}}, who cannot come', { names: listed(names) })}</span>
  );
