import { Printer } from '@phosphor-icons/react';
import { t } from '../../../shared/words';
import { Menu, MenuItem, MenuLabel } from '../../../ui/Menu';

/** Cards, list and letters: of the readers picked up, or of everybody. */
export function PrintMenu({ classId, picked, letters }: { classId: string; picked: string[]; letters: boolean }) {
  const of = (form: string, paper: string) =>
    `/api/classes/${classId}/print/${form}.pdf?paper=${paper}${picked.length > 0 ? `&readers=${picked.join(',')}` : ''}`;
  const item = (form: string, paper: string, label: string) => (
    <MenuItem asChild key={label}>
      <a href={of(form, paper)} target="_blank" rel="noreferrer">
        {label}
      </a>
    </MenuItem>
  );
  return (
    <Menu label={t('Print')} icon={<Printer size={20} aria-hidden />}>
      <MenuLabel>
        {picked.length > 0 ? t('For {{count}} in tray', { count: picked.length }) : t('For the whole class')}
      </MenuLabel>
      {item('Cards', 'a4', t('Sign-in cards, 8 to an A4 page'))}
      {item('Cards', 'letter', t('Sign-in cards, 8 to a Letter page'))}
      {item('List', 'a4', t('List of sign-ins'))}
      {letters && item('Letters', 'a4', t('Letters to guardians'))}
    </Menu>
  );
}
