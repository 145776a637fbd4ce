import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { listed } from '../../shared/format';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ErrorText } from '../../ui/Field';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';
import type { Results } from './results';

/** A word list word by word, and a list of what many missed. */
export function WordRows({ r, classId, name }: { r: Results; classId: string; name: (id: string) => string }) {
  const often = r.words.filter((w) => w.often).map((w) => w.word);
  return (
    <>
      <TableScroll label={t('Words')} className="max-h-[50%] flex-none">
        <TableHead>
          <tr>
            <Th>{t('Word')}</Th>
            <Th num>{t('right at once')}</Th>
            <Th num>{t('later')}</Th>
            <Th num>{t('not yet')}</Th>
            <Th>{t('Missed by')}</Th>
          </tr>
        </TableHead>
        <TableBody>
          {r.words.map((w) => (
            <tr key={w.word.text}>
              <Th scope="row">
                {w.word.text} <span className="text-soft font-normal">{w.word.meaning}</span>
              </Th>
              <Td num>{w.atOnce}</Td>
              <Td num>{w.later || '–'}</Td>
              <Td num>{w.notYet || '–'}</Td>
              <Td wrap>{w.missedBy.length === 0 ? '–' : listed(w.missedBy.map(name))}</Td>
            </tr>
          ))}
        </TableBody>
      </TableScroll>
      <MakeList title={r.assignment.title} words={often} classId={classId} />
    </>
  );
}

function MakeList({
  title,
  words,
  classId,
}: {
  title: string;
  words: Results['words'][number]['word'][];
  classId: string;
}) {
  const changed = useChanged();
  const make = useMutation({
    mutationFn: () =>
      ok(
        api.PUT('/word-lists/{wordListId}', {
          params: { path: { wordListId: crypto.randomUUID() } },
          body: { revision: 0, name: t('{{title}}: missed words', { title }).slice(0, 80), mine: true, words },
        }),
      ),
    onSuccess: () => changed('texts'),
  });
  return (
    <p className="border-line flex flex-wrap items-center gap-3 border-b px-4 py-2">
      {words.length === 0 && <span className="text-soft">{t('No word was missed by many.')}</span>}
      {words.length > 0 && !make.isSuccess && (
        <Button aria-busy={make.isPending} onClick={() => make.mutate()}>
          {t('Make a word list of {{count}} missed words', { count: words.length })}
        </Button>
      )}
      {make.isSuccess && (
        <span role="status">
          {t('Saved.')} <Link to={`/class/${classId}/texts/word-lists`}>{t('Word lists')}</Link>
        </span>
      )}
      {make.isError && <ErrorText>{sentence(make.error)}</ErrorText>}
    </p>
  );
}
