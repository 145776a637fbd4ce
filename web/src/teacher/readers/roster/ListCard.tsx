import { DotsThree } from '@phosphor-icons/react';
import type { Api } from '../../../shared/api';
import { t } from '../../../shared/words';
import type { ReaderRow } from '../../classQueries';
import { useTray } from '../../tray/useTray';
import { Button } from '../../../ui/Button';
import { Menu, MenuItem, MenuLine } from '../../../ui/Menu';
import { Card } from '../../../ui/Page';
import { Flag } from '../../../ui/Shapes';
import { ListMark } from './ListMark';

/** A list of readers: who is in it, and what can be done with it. */
export function ListCard({
  list,
  members,
  called,
  may,
  first,
  last,
  edit,
  move,
  drop,
}: {
  list: Api<'ReaderListView'>;
  members: ReaderRow[];
  called: (id: string, name: string) => string;
  may: boolean;
  first: boolean;
  last: boolean;
  edit: () => void;
  move: (by: -1 | 1) => void;
  drop: () => void;
}) {
  const tray = useTray();
  return (
    <Card aria-labelledby={`list-${list.id}`}>
      <div className="flex items-start gap-2">
        <h2 id={`list-${list.id}`} className="flex flex-wrap items-center gap-2">
          <ListMark name={list.mark} /> {list.name}{' '}
          <span className="font-ui text-soft text-sm font-normal">
            {t('{{count}} readers', { count: members.length })}
            {list.filter && `, ${t('updates itself: {{asked}}', { asked: list.filter.asked || t('all') })}`}
          </span>
        </h2>
        <span className="grow" />
        <Button
          size="sm"
          disabled={members.length === 0}
          onClick={() =>
            tray.pickReaders(
              members.map((r) => r.id),
              true,
            )
          }
        >
          {t('Add to tray')}
        </Button>
        {may && (
          <Menu
            label={t('Actions for {{name}}', { name: list.name })}
            iconOnly
            size="sm"
            icon={<DotsThree size={20} aria-hidden />}
          >
            <MenuItem onSelect={edit}>{t('Edit…')}</MenuItem>
            <MenuItem disabled={first} onSelect={() => move(-1)}>
              {t('Move up')}
            </MenuItem>
            <MenuItem disabled={last} onSelect={() => move(1)}>
              {t('Move down')}
            </MenuItem>
            <MenuLine />
            <MenuItem onSelect={drop}>{t('Delete')}</MenuItem>
          </Menu>
        )}
      </div>
      {list.note && <p>{list.note}</p>}
      <ul className="flex flex-wrap gap-1.5">
        {members.map((r) => (
          <li key={r.id}>
            <Flag>{called(r.id, r.givenName)}</Flag>
          </li>
        ))}
      </ul>
    </Card>
  );
}
