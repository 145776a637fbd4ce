import { useState } from 'react';
import { phrase, t, type Phrase } from '../../shared/words';
import type { ClassData } from '../classQueries';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { Checkbox } from '../../ui/Checkbox';
import { ErrorText, FieldSet } from '../../ui/Field';
import { Row } from '../../ui/Page';
import { Select } from '../../ui/Select';
import type { Rules } from './plan';
import { weekdayName, schoolWeekdays, type Weekday } from './weekdays';

export type RuleKind = 'together' | 'apart' | 'stays' | 'notIn' | 'leftOut' | 'cannot';

const titles: Record<RuleKind, Phrase> = {
  together: phrase('Two readers together'),
  apart: phrase('Two readers apart'),
  stays: phrase('A reader stays in a group'),
  notIn: phrase('A reader cannot be in a group'),
  leftOut: phrase('A reader in no group'),
  cannot: phrase('Days a reader cannot come'),
};

/** One more rule: whom it is about, and which group. */
export function RuleDialog({
  kind,
  data,
  rules,
  put,
  close,
}: {
  kind: RuleKind;
  data: ClassData;
  rules: Rules;
  put: (rules: Rules) => void;
  close: () => void;
}) {
  const names = [...data.readers]
    .sort((a, b) => a.called.localeCompare(b.called))
    .map((r) => ({ value: r.id, label: r.called }));
  const [one, setOne] = useState('');
  const [other, setOther] = useState('');
  const [group, setGroup] = useState(data.groups[0]?.id ?? '');
  const [days, setDays] = useState<Weekday[]>([]);
  const [tried, tryIt] = useState(false);
  const pair = kind === 'together' || kind === 'apart';
  const whole = one !== '' && (!pair || (other !== '' && other !== one)) && (kind !== 'cannot' || days.length > 0);
  const add = () => {
    if (!whole) return tryIt(true);
    if (kind === 'leftOut') put({ ...rules, leftOut: [...new Set([...(rules.leftOut ?? []), one])] });
    else if (kind === 'cannot')
      put({
        ...rules,
        cannot: [...(rules.cannot ?? []).filter((c) => c.readerId !== one), { readerId: one, days }],
      });
    else if (pair)
      put({ ...rules, [kind]: [...(rules[kind] ?? []).filter((p) => !same(p, one, other)), { one, other }] });
    else
      put({
        ...rules,
        [kind]: [...(rules[kind] ?? []).filter((p) => p.readerId !== one), { readerId: one, groupId: group }],
      });
    close();
  };
  const none = { value: '', label: t('Choose a reader') };
  return (
    <Dialog title={t(titles[kind])} close={close}>
      <div className="grid gap-3">
        <Select label={t('Reader')} value={one} set={setOne} options={[none, ...names]} />
        {pair && (
          <Select
            label={t('Other reader')}
            value={other}
            set={setOther}
            options={[none, ...names.filter((n) => n.value !== one)]}
          />
        )}
        {(kind === 'stays' || kind === 'notIn') && (
          <Select
            label={t('Group')}
            value={group}
            set={setGroup}
            options={data.groups.map((g) => ({ value: g.id, label: g.name }))}
          />
        )}
        {kind === 'cannot' && <Weekdays days={days} set={setDays} />}
        {tried && !whole && <ErrorText>{t(missing(kind, pair))}</ErrorText>}
      </div>
      <DialogFoot>
        <Button onClick={close}>{t('Cancel')}</Button>
        <Button look="main" onClick={add}>
          {t('Add rule')}
        </Button>
      </DialogFoot>
    </Dialog>
  );
}

function missing(kind: RuleKind, pair: boolean): Phrase {
  if (kind === 'cannot') return phrase('Choose a reader and one or more days.');
  return pair ? phrase('Choose two readers.') : phrase('Choose a reader.');
}

const Weekdays = ({ days, set }: { days: Weekday[]; set: (days: Weekday[]) => void }) => (
  <FieldSet legend={t('Cannot come on')}>
    <Row>
      {schoolWeekdays.map((day) => (
        <Checkbox
          key={day}
          checked={days.includes(day)}
          set={() => set(schoolWeekdays.filter((d) => (d === day ? !days.includes(d) : days.includes(d))))}
        >
          {weekdayName(day)}
        </Checkbox>
      ))}
    </Row>
  </FieldSet>
);

const same = (p: { one: string; other: string }, one: string, other: string) =>
  (p.one === one && p.other === other) || (p.one === other && p.other === one);
