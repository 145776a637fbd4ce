import { Funnel } from '@phosphor-icons/react';
import { t } from '../../shared/words';
import { Menu, MenuCheck, MenuLabel, MenuLine } from '../../ui/Menu';
import { Token } from '../../ui/Shapes';
import type { ClassData } from '../classQueries';
import type { Asked } from './span';

/** Narrows a report to one group, to stories or to facts. What narrows it is said and taken off where it stands. */
export function ReportFilter({
  asked,
  set,
  groups,
}: {
  asked: Asked;
  set: (next: Asked) => void;
  groups: ClassData['groups'];
}) {
  const group = groups.find((g) => g.id === asked.groupId);
  const texts = [
    { fiction: true, name: t('Stories') },
    { fiction: false, name: t('Facts') },
  ];
  return (
    <>
      {group && (
        <Token
          remove={() => set({ ...asked, groupId: undefined })}
          removeLabel={t('Remove filter {{name}}', { name: group.name })}
        >
          {group.name}
        </Token>
      )}
      {texts
        .filter((x) => x.fiction === asked.fiction)
        .map((x) => (
          <Token
            key={x.name}
            remove={() => set({ ...asked, fiction: undefined })}
            removeLabel={t('Remove filter {{name}}', { name: x.name })}
          >
            {x.name}
          </Token>
        ))}
      <Menu label={t('Filter')} icon={<Funnel size={18} aria-hidden />}>
        <MenuLabel>{t('Group')}</MenuLabel>
        {groups.map((g) => (
          <MenuCheck
            key={g.id}
            checked={g.id === asked.groupId}
            set={(on) => set({ ...asked, groupId: on ? g.id : undefined })}
          >
            {g.name}
          </MenuCheck>
        ))}
        <MenuLine />
        <MenuLabel>{t('Texts')}</MenuLabel>
        {texts.map((x) => (
          <MenuCheck
            key={x.name}
            checked={x.fiction === asked.fiction}
            set={(on) => set({ ...asked, fiction: on ? x.fiction : undefined })}
          >
            {x.name}
          </MenuCheck>
        ))}
      </Menu>
    </>
  );
}
