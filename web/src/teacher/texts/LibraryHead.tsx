import { ArrowsDownUp } from '@phosphor-icons/react';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { t } from '../../shared/words';
import { Searches } from './Searches';
import { type Ask, type LibraryRow } from './useLibrary';
import { Button } from '../../ui/Button';
import { IconButton } from '../../ui/IconButton';
import { Menu, MenuItem } from '../../ui/Menu';
import { PageHead } from '../../ui/Page';
import { Select } from '../../ui/Select';
import { SearchField } from '../../ui/TextField';
import { ColumnsMenu } from '../../ui/table/DataTableView';
import { type DataTable } from '../../ui/table/useDataTable';

const sorts = [
  ['', 'best first'],
  ['Fit', 'fit'],
  ['Depth', 'depth'],
  ['Title', 'title'],
  ['Newest', 'newest'],
  ['Use', 'use'],
] as const;

export function LibraryHead({ classId, ask, of }: { classId: string; ask: Ask; of: DataTable<LibraryRow> }) {
  const go = useNavigate();
  const [typed, setTyped] = useState(ask.of('q'));
  const asked = ask.of('q');
  const [followed, setFollowed] = useState(asked);
  if (followed !== asked) {
    setFollowed(asked);
    setTyped(asked);
  }
  // The address follows a moment after the last key, so that going back is not a letter at a time.
  const { put } = ask;
  useEffect(() => {
    if (typed === asked) return;
    const wait = setTimeout(() => put({ q: typed }), 150);
    return () => clearTimeout(wait);
  }, [typed]); // eslint-disable-line react-hooks/exhaustive-deps
  const down = ask.of('down') === 'true';
  const to = (path: string) => void go(`/class/${classId}/texts/${path}`);
  return (
    <PageHead
      title={t('Texts')}
      beside={
        <>
          <SearchField
            label={t('Search texts')}
            placeholder={t('Any word, or "words together"')}
            className="w-62"
            value={typed}
            set={setTyped}
          />
          <Select
            label={t('Sort by')}
            inline
            value={ask.of('sort')}
            set={(sort) => ask.put({ sort, down: '' })}
            options={sorts.map(([key, name]) => ({ value: key, label: t(name) }))}
          />
          <IconButton
            label={t('Reverse order')}
            aria-pressed={down}
            onClick={() => ask.put({ down: down ? '' : 'true' })}
          >
            <ArrowsDownUp size={20} aria-hidden />
          </IconButton>
        </>
      }
    >
      <Searches ask={ask} />
      <ColumnsMenu of={of} />
      <Menu label={t('Other…')}>
        <MenuItem onSelect={() => to('word-lists')}>{t('Word lists')}</MenuItem>
        <MenuItem onSelect={() => to('copies')}>{t('Paper copies')}</MenuItem>
        <MenuItem onSelect={() => to('bring')}>{t('Import texts')}</MenuItem>
      </Menu>
      <Button asChild look="main">
        <Link to={`/class/${classId}/texts/new`}>{t('New text')}</Link>
      </Button>
    </PageHead>
  );
}
