import { File, TextB, TextH, TextItalic } from '@phosphor-icons/react';
import { useRef } from 'react';
import type { Fields } from '../../../shared/forms';
import { sure } from '../../../shared/sure';
import { t } from '../../../shared/words';
import { Button } from '../../../ui/Button';
import { Row } from '../../../ui/Page';
import { Segments } from '../../../ui/Segments';
import { TextArea, TextField } from '../../../ui/TextField';
import type { TextForm } from '../textForm';
import { marked, type Mark } from './marked';

const most = 6;

/** The text itself, in its versions, with what marks headings, pages and words. */
export function VersionFields({
  form,
  at,
  setAt,
}: {
  form: Fields<TextForm>;
  at: number;
  setAt: (at: number) => void;
}) {
  const { versions } = form.values;
  const version = sure(versions[at]);
  const add = () => {
    form.set('versions', [
      ...versions,
      { id: null, label: String.fromCharCode(97 + versions.length), body: version.body },
    ]);
    setAt(versions.length);
  };
  const remove = () => {
    setAt(0);
    form.set(
      'versions',
      versions.filter((_, i) => i !== at),
    );
  };
  return (
    <>
      <Row className="items-end">
        <Segments
          label={t('Version')}
          value={String(at)}
          set={(i) => setAt(Number(i))}
          options={versions.map((v, i) => ({
            value: String(i),
            label: t('Version {{name}}', { name: v.label || i + 1 }),
          }))}
        />
        {versions.length < most && (
          <Button size="sm" onClick={add}>
            {t('Add version')}
          </Button>
        )}
        {versions.length > 1 && (
          <Button size="sm" onClick={remove}>
            {t('Remove version {{name}}', { name: version.label })}
          </Button>
        )}
        <span className="grow" />
        <TextField label={t('Version is called')} inline {...form.field(`versions.${at}.label`)} />
      </Row>
      <Body form={form} at={at} />
    </>
  );
}

function Body({ form, at }: { form: Fields<TextForm>; at: number }) {
  const box = useRef<HTMLTextAreaElement>(null);
  const body = form.field(`versions.${at}.body`);
  const put = (mark: Mark) => {
    const area = box.current;
    if (!area) return;
    const next = marked(body.value, area.selectionStart, area.selectionEnd, mark);
    body.set(next.text);
    // What was selected stays so, once the text stands there.
    requestAnimationFrame(() => {
      area.focus();
      area.setSelectionRange(next.from, next.to);
    });
  };
  return (
    <div className="grid gap-1">
      <div role="toolbar" aria-label={t('Format')} className="flex flex-wrap gap-1.5">
        <Button size="sm" onClick={() => put('heading')}>
          <TextH size={16} aria-hidden /> {t('Heading')}
        </Button>
        <Button size="sm" onClick={() => put('bold')}>
          <TextB size={16} aria-hidden /> {t('Bold')}
        </Button>
        <Button size="sm" onClick={() => put('italic')}>
          <TextItalic size={16} aria-hidden /> {t('Italic')}
        </Button>
        <Button size="sm" onClick={() => put('page')}>
          <File size={16} aria-hidden /> {t('New page')}
        </Button>
      </div>
      <TextArea
        label={t('The text')}
        hint={t('An empty line starts a paragraph. Without page breaks, pages are set for you.')}
        rows={16}
        spellCheck
        ref={box}
        {...body}
        error={body.error ?? form.faultIn('versions')}
      />
    </div>
  );
}
