import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Api, api, ok, sentence } from '../../shared/api';
import { keys } from '../../shared/keys';
import { phrase, t, type Phrase } from '../../shared/words';
import { depths, formats, sorts } from './choiceWords';
import { ErrorText, FieldRow } from '../../ui/Field';
import { Select } from '../../ui/Select';

type Own = Api<'OwnChoice'>;

const asInClass = '' as const;
/** Options of a closed set, with the class's own way first. */
const options = <K extends string>(words: Record<K, Phrase>): { value: K | ''; label: string }[] => [
  { value: asInClass, label: t('As in the class') },
  ...(Object.keys(words) as K[]).map((value) => ({ value, label: t(words[value]) })),
];
const pools: Record<NonNullable<Own['pool']>, Phrase> = {
  None: phrase('no pool'),
  Own: phrase('own pool'),
  Shared: phrase('class pool'),
  Both: phrase('both pools'),
};
const homes: Record<NonNullable<Own['home']>, Phrase> = {
  Pictures: phrase('pictures and voice'),
  Words: phrase('words and figures'),
};
const most = 9;

/** What one reader may choose, and which tide pool they see, where that differs from the class. */
export function OwnChoice({ readerId, mayChange }: { readerId: string; mayChange: boolean }) {
  const client = useQueryClient();
  const key = keys.reader.ownChoice(readerId);
  const own = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET('/readers/{readerId}/own-choice', { params: { path: { readerId } } })),
  });
  const [error, setError] = useState('');
  if (!own.data) return null;
  const now = own.data;
  const put = (change: Partial<Own>) => {
    const next = { ...now, ...change };
    client.setQueryData(key, next);
    void ok(api.PUT('/readers/{readerId}/own-choice', { params: { path: { readerId } }, body: next })).then(
      () => setError(''),
      (problem: unknown) => {
        setError(sentence(problem));
        void own.refetch();
      },
    );
  };
  const chosen = <K extends string>(value: K | '') => (value === asInClass ? null : value);
  const off = !mayChange;
  return (
    <section className="px-4 pt-3.5" aria-labelledby="own-choice">
      <h2 id="own-choice">{t('Choosing for themselves')}</h2>
      <FieldRow>
        <Select
          label={t('Can choose')}
          disabled={off}
          value={now.open == null ? asInClass : String(now.open)}
          set={(value) => put({ open: value === asInClass ? null : value === 'true' })}
          options={[
            { value: asInClass, label: t('As in the class') },
            { value: 'true', label: t('Yes') },
            { value: 'false', label: t('No') },
          ]}
        />
        <Select
          label={t('Depth')}
          disabled={off}
          value={now.depth ?? asInClass}
          set={(value) => put({ depth: chosen(value) })}
          options={options(depths)}
        />
        <Select
          label={t('Which texts')}
          disabled={off}
          value={now.sort ?? asInClass}
          set={(value) => put({ sort: chosen(value) })}
          options={options(sorts)}
        />
        <Select
          label={t('Format')}
          disabled={off}
          value={now.format ?? asInClass}
          set={(value) => put({ format: chosen(value) })}
          options={options(formats)}
        />
        <Select
          label={t('Most open at once')}
          disabled={off}
          value={now.mostOpen == null ? asInClass : String(now.mostOpen)}
          set={(value) => put({ mostOpen: value === asInClass ? null : Number(value) })}
          options={[
            { value: asInClass, label: t('As in the class') },
            ...Array.from({ length: most }, (_, i) => ({ value: String(i + 1), label: String(i + 1) })),
          ]}
        />
        <Select
          label={t('Tide pool')}
          disabled={off}
          value={now.pool ?? asInClass}
          set={(value) => put({ pool: chosen(value) })}
          options={options(pools)}
        />
        <Select
          label={t('Home page')}
          disabled={off}
          value={now.home ?? asInClass}
          set={(value) => put({ home: chosen(value) })}
          options={[{ value: asInClass, label: t('By grade') }, ...options(homes).slice(1)]}
        />
      </FieldRow>
      {error && <ErrorText>{error}</ErrorText>}
    </section>
  );
}
