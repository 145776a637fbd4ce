import { useQuery } from '@tanstack/react-query';
import { api, ok } from '../../../shared/api';
import type { Fields } from '../../../shared/forms';
import { keys } from '../../../shared/keys';
import { named, t } from '../../../shared/words';
import { Checkbox } from '../../../ui/Checkbox';
import { FieldRow } from '../../../ui/Field';
import { Row } from '../../../ui/Page';
import { Select } from '../../../ui/Select';
import { TextArea, TextField } from '../../../ui/TextField';
import type { TextForm } from '../textForm';

const spellings = ['British', 'American', 'Other'];

/** What a text is: its title, kind and topic, a sentence about it, and who sees it. */
export function AboutFields({ form }: { form: Fields<TextForm> }) {
  const shared = form.field('mine');
  return (
    <>
      <FieldRow>
        <TextField label={t('Title')} {...form.field('title')} />
        <TextField label={t('Kind')} list="kinds" {...form.field('kind')} />
        <TextField label={t('Topic')} list="topics" {...form.field('topic')} />
      </FieldRow>
      <Known />
      <TextArea label={t('Summary in one sentence')} rows={2} {...form.field('blurb')} />
      <FieldRow>
        <TextField label={t('Season or unit')} hint={t('Optional')} {...form.field('season')} />
        <Select
          label={t('Spelling')}
          {...form.field('spelling')}
          options={spellings.map((value) => ({ value, label: named(value) }))}
        />
      </FieldRow>
      <Row className="gap-x-6">
        <Checkbox {...form.tick('fiction')}>{t('Fiction')}</Checkbox>
        <Checkbox checked={!shared.value} set={(on) => shared.set(!on)}>
          {t('Share with my school')}
        </Checkbox>
      </Row>
    </>
  );
}

const kinds = [
  'story',
  'report',
  'explanation',
  'letter',
  'diary',
  'play',
  'poem',
  'interview',
  'argument',
  'biography',
  'how-to',
  'data',
];

/** Kinds and topics the library has. */
function Known() {
  const library = useQuery({
    queryKey: keys.library.facets,
    queryFn: () => ok(api.GET('/library')),
    staleTime: 60_000,
  });
  const values = (name: string) => library.data?.facets.find((f) => f.name === name)?.values.map((v) => v.value) ?? [];
  return (
    <>
      <datalist id="kinds">
        {[...new Set([...values('kind'), ...kinds])].map((k) => (
          <option key={k} value={k} />
        ))}
      </datalist>
      <datalist id="topics">
        {values('topic').map((k) => (
          <option key={k} value={k} />
        ))}
      </datalist>
    </>
  );
}
