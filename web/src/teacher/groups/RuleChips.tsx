import { ArrowsSplit, CalendarX, LinkSimple, Minus, PushPin, X } from '@phosphor-icons/react';
import { useState, type ReactNode } from 'react';
import { listed } from '../../shared/format';
import { t } from '../../shared/words';
import type { ClassData } from '../classQueries';
import { Button } from '../../ui/Button';
import { IconButton } from '../../ui/IconButton';
import { Menu, MenuItem } from '../../ui/Menu';
import type { Rules } from './plan';
import { RuleDialog, type RuleKind } from './RuleDialog';
import { SizesDialog } from './SizesDialog';
import { weekdayName } from './weekdays';

/** What the groups keep to, a chip a rule; each can be changed or taken away. */
export function RuleChips({ data, rules, put }: { data: ClassData; rules: Rules; put: (rules: Rules) => void }) {
  const [over, show] = useState<'sizes' | RuleKind | null>(null);
  const called = new Map(data.readers.map((r) => [r.id, r.called]));
  const group = new Map(data.groups.map((g) => [g.id, g.name]));
  const chips = chipsOf(rules, called, group);
  return (
    <div role="group" aria-label={t('Rules')} className="flex flex-wrap items-center gap-2 px-4 pb-2">
      <h2 className="font-ui text-base">{t('Rules')}</h2>
      <Button size="sm" onClick={() => show('sizes')}>
        {t('{{count}} groups', { count: rules.groups })},{' '}
        {t('{{a}}–{{b}} readers', { a: rules.smallest, b: rules.largest })}
      </Button>
      {chips.map((c) => (
        <span key={c.key} className="border-soft bg-paper inline-flex h-7 items-center gap-1.5 rounded-md border pl-2">
          {icons[c.kind]}
          <span className="text-sm">{c.words}</span>
          <IconButton look="plain" label={t('Remove “{{words}}”', { words: c.words })} onClick={() => put(c.without)}>
            <X size={14} aria-hidden />
          </IconButton>
        </span>
      ))}
      <Menu label={t('Add rule')} size="sm" align="start">
        <MenuItem onSelect={() => show('together')}>{t('Two readers together')}</MenuItem>
        <MenuItem onSelect={() => show('apart')}>{t('Two readers apart')}</MenuItem>
        <MenuItem onSelect={() => show('stays')} disabled={data.groups.length === 0}>
          {t('A reader stays in a group')}
        </MenuItem>
        <MenuItem onSelect={() => show('notIn')} disabled={data.groups.length === 0}>
          {t('A reader cannot be in a group')}
        </MenuItem>
        <MenuItem onSelect={() => show('leftOut')}>{t('A reader in no group')}</MenuItem>
        <MenuItem onSelect={() => show('cannot')}>{t('Days a reader cannot come')}</MenuItem>
      </Menu>
      {over === 'sizes' && <SizesDialog rules={rules} put={put} close={() => show(null)} />}
      {over && over !== 'sizes' && (
        <RuleDialog kind={over} data={data} rules={rules} put={put} close={() => show(null)} />
      )}
    </div>
  );
}

const icons: Record<RuleKind, ReactNode> = {
  together: <LinkSimple size={16} aria-hidden />,
  apart: <ArrowsSplit size={16} aria-hidden />,
  stays: <PushPin size={16} aria-hidden />,
  notIn: <Minus size={16} aria-hidden />,
  leftOut: <Minus size={16} aria-hidden />,
  cannot: <CalendarX size={16} aria-hidden />,
};

interface Chip {
  key: string;
  kind: RuleKind;
  words: string;
  without: Rules;
}

/** Rules about readers and groups that are here; the others rest and are not shown. */
function chipsOf(rules: Rules, called: ReadonlyMap<string, string>, group: ReadonlyMap<string, string>): Chip[] {
  const pairs = (kind: 'together' | 'apart') =>
    (rules[kind] ?? []).flatMap((p): Chip[] => {
      const [one, other] = [called.get(p.one), called.get(p.other)];
      if (!one || !other) return [];
      return [
        {
          key: `${kind} ${p.one} ${p.other}`,
          kind,
          words: t(kind === 'together' ? 'Together: {{one}}, {{other}}' : 'Apart: {{one}}, {{other}}', { one, other }),
          without: { ...rules, [kind]: (rules[kind] ?? []).filter((x) => x !== p) },
        },
      ];
    });
  const places = (kind: 'stays' | 'notIn') =>
    (rules[kind] ?? []).flatMap((p): Chip[] => {
      const [name, where] = [called.get(p.readerId), group.get(p.groupId)];
      if (!name || !where) return [];
      return [
        {
          key: `${kind} ${p.readerId} ${p.groupId}`,
          kind,
          words: t(kind === 'stays' ? '{{name}} stays in {{group}}' : '{{name}} not in {{group}}', {
            name,
            group: where,
          }),
          without: { ...rules, [kind]: (rules[kind] ?? []).filter((x) => x !== p) },
        },
      ];
    });
  const out = (rules.leftOut ?? []).flatMap((id): Chip[] => {
    const name = called.get(id);
    return name
      ? [
          {
            key: `out ${id}`,
            kind: 'leftOut',
            words: t('{{name}} in no group', { name }),
            without: { ...rules, leftOut: (rules.leftOut ?? []).filter((x) => x !== id) },
          },
        ]
      : [];
  });
  const cannot = (rules.cannot ?? []).flatMap((c): Chip[] => {
    const name = called.get(c.readerId);
    if (!name) return [];
    return [
      {
        key: `cannot ${c.readerId}`,
        kind: 'cannot',
        words: t('{{name}} cannot come on {{days}}', { name, days: listed(c.days.map(weekdayName)) }),
        without: { ...rules, cannot: (rules.cannot ?? []).filter((x) => x !== c) },
      },
    ];
  });
  return [...pairs('together'), ...pairs('apart'), ...places('stays'), ...places('notIn'), ...out, ...cannot];
}
