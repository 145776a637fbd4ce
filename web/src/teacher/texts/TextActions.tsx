import { DropdownMenu } from 'radix-ui';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, fieldOf, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { fm } from '../../shared/format';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { Menu } from '../frame/Menu';
import { Field, Window } from '../frame/Window';
import { SoundWindow } from './SoundWindow';
import type { TextData, Version } from './TextPage';

const files = [
  ['epub', 'EPUB'],
  ['docx', 'DOCX'],
  ['html', 'HTML'],
  ['md', 'Markdown'],
  ['txt', 'Plain text'],
  ['zip', 'Content folder (ZIP)'],
  ['qti', 'QTI 3.0'],
] as const;

/** What can be done with a text besides giving it. */
export function TextActions({ x, version, classId }: { x: TextData; version: Version; classId: string }) {
  const go = useNavigate();
  const changed = useChanged();
  const [stating, setStating] = useState(false);
  const [reading, setReading] = useState(false);
  const once = useOnce();
  const fail = (e: unknown) => toast.error(sentence(e));
  const copy = () =>
    void ok(
      api.POST('/texts/{textId}/copy', { params: { path: { textId: x.id } }, body: { id: once.idOf(x.id) } }),
    ).then((made) => {
      once.done();
      toast.success(t('A copy of “{{title}}” is yours to change', { title: x.title }));
      void changed('texts');
      void go(`/class/${classId}/texts/${made.id}/change`);
    }, fail);
  const retire = (retired: boolean) =>
    void ok(api.POST('/texts/{textId}/retire', { params: { path: { textId: x.id } }, body: { retired } })).then(() => {
      toast.success(
        retired ? t('Retired: nobody finds it any more. What was given goes on.') : t('Back in the library'),
        { action: { label: t('Undo'), onClick: () => retire(!retired) } },
      );
      void changed('texts');
    }, fail);
  return (
    <>
      <Menu label={t('More')}>
        {x.mayChange && (
          <DropdownMenu.Item className="item" onSelect={() => void go(`/class/${classId}/texts/${x.id}/change`)}>
            {t('Change it…')}
          </DropdownMenu.Item>
        )}
        {x.mayChange && (
          <DropdownMenu.Item className="item" onSelect={() => void go(`/class/${classId}/texts/${x.id}/quiz`)}>
            {t('Change its quiz…')}
          </DropdownMenu.Item>
        )}
        <DropdownMenu.Item className="item" onSelect={() => setReading(true)}>
          {version.sound ? t('Its reading aloud…') : t('Add a reading aloud…')}
        </DropdownMenu.Item>
        <DropdownMenu.Item className="item" onSelect={copy}>
          {t('Copy to change')}
        </DropdownMenu.Item>
        <DropdownMenu.Label className="item soft">{t('Save as a file')}</DropdownMenu.Label>
        {files.map(([format, name]) => (
          <DropdownMenu.Item key={format} className="item" asChild>
            <a href={`/api/texts/${x.id}/file?format=${format}&version=${encodeURIComponent(version.label)}`} download>
              {t(name)}
            </a>
          </DropdownMenu.Item>
        ))}
        <DropdownMenu.Separator className="rule" />
        {x.mayChange && (
          <DropdownMenu.Item className="item" onSelect={() => setStating(true)}>
            {t('State its depth…')}
          </DropdownMenu.Item>
        )}
        {x.mayChange && (
          <DropdownMenu.Item className="item" onSelect={() => retire(!x.retired)}>
            {x.retired ? t('Bring it back') : t('Retire it')}
          </DropdownMenu.Item>
        )}
      </Menu>
      {reading && (
        <SoundWindow
          x={x}
          version={version}
          close={() => {
            setReading(false);
            void changed('texts');
          }}
        />
      )}
      {stating && (
        <StateDepth
          x={x}
          version={version}
          close={() => {
            setStating(false);
            void changed('texts');
          }}
        />
      )}
    </>
  );
}

function StateDepth({ x, version, close }: { x: TextData; version: Version; close: () => void }) {
  const [depth, setDepth] = useState(String(version.stated?.depth ?? version.depth.toFixed(1)));
  const [reason, setReason] = useState(version.stated?.reason ?? '');
  const [error, setError] = useState<unknown>();
  const send = (value: number | null) =>
    void ok(
      api.PUT('/texts/{textId}/versions/{versionId}/depth', {
        params: { path: { textId: x.id, versionId: version.id } },
        body: {
          depth: value,
          reason: value === null ? null : reason,
        },
      }),
    ).then(() => {
      toast.success(value === null ? t('The formulas’ depth counts again') : t('Stated'));
      close();
    }, setError);
  const save = (e: FormEvent) => {
    e.preventDefault();
    send(Number(depth));
  };
  return (
    <Window title={t('State the depth of version {{name}}', { name: version.label })} close={close}>
      <form onSubmit={save} noValidate>
        <p>
          {t('The formulas say {{depth}} fm ± {{error}}. What you state counts instead; both stay visible.', {
            depth: fm(version.formulaDepth),
            error: version.formulaError.toFixed(1),
          })}
        </p>
        <Field id="s-depth" label={t('Depth in fathoms')} error={fieldOf(error, 'depth')}>
          <input id="s-depth" type="number" step="0.5" value={depth} onChange={(e) => setDepth(e.target.value)} />
        </Field>
        <Field id="s-reason" label={t('Why')} error={fieldOf(error, 'reason')}>
          <input id="s-reason" type="text" value={reason} onChange={(e) => setReason(e.target.value)} />
        </Field>
        {error && !fieldOf(error, 'depth') && !fieldOf(error, 'reason') ? (
          <p className="error" role="alert">
            {sentence(error)}
          </p>
        ) : null}
        <p className="row end">
          {version.stated && (
            <button type="button" className="btn" onClick={() => send(null)}>
              {t('Take the statement back')}
            </button>
          )}
          <button type="button" className="btn" onClick={close}>
            {t('Cancel')}
          </button>
          <button className="btn main">{t('State it')}</button>
        </p>
      </form>
    </Window>
  );
}
