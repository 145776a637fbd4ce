import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { useOnce } from '../../shared/once';
import { t } from '../../shared/words';
import { ExportText } from './ExportText';
import { SoundWindow } from './SoundWindow';
import { StateDepth } from './StateDepth';
import type { TextData, Version } from './TextPage';
import { Menu, MenuItem, MenuLine } from '../../ui/Menu';

/** What can be done with a text besides giving it. */
export function TextActions({ x, version, classId }: { x: TextData; version: Version; classId: string }) {
  const go = useNavigate();
  const changed = useChanged();
  const [stating, setStating] = useState(false);
  const [reading, setReading] = useState(false);
  const [exporting, setExporting] = useState(false);
  const once = useOnce();
  const fail = (e: unknown) => toast.error(sentence(e));
  const copy = () =>
    void ok(
      api.POST('/texts/{textId}/copy', { params: { path: { textId: x.id } }, body: { id: once.idOf(x.id) } }),
    ).then((made) => {
      once.done();
      toast.success(t('Duplicated “{{title}}”. The copy is yours to edit.', { title: x.title }));
      void changed('texts');
      void go(`/class/${classId}/texts/${made.id}/change`);
    }, fail);
  const retire = (retired: boolean) =>
    void ok(api.POST('/texts/{textId}/retire', { params: { path: { textId: x.id } }, body: { retired } })).then(() => {
      toast.success(
        retired ? t('Archived and hidden from search. Assignments continue.') : t('Restored to the library'),
        { action: { label: t('Undo'), onClick: () => retire(!retired) } },
      );
      void changed('texts');
    }, fail);
  return (
    <>
      <Menu label={t('More')}>
        {x.mayChange && (
          <MenuItem onSelect={() => void go(`/class/${classId}/texts/${x.id}/change`)}>{t('Edit text…')}</MenuItem>
        )}
        {x.mayChange && (
          <MenuItem onSelect={() => void go(`/class/${classId}/texts/${x.id}/quiz`)}>{t('Edit quiz…')}</MenuItem>
        )}
        <MenuItem onSelect={() => setReading(true)}>{version.sound ? t('Recording…') : t('Add recording…')}</MenuItem>
        <MenuItem onSelect={copy}>{t('Duplicate')}</MenuItem>
        <MenuItem onSelect={() => setExporting(true)}>{t('Export…')}</MenuItem>
        <MenuLine />
        {x.mayChange && <MenuItem onSelect={() => setStating(true)}>{t('Overrule depth…')}</MenuItem>}
        {x.mayChange && (
          <MenuItem onSelect={() => retire(!x.retired)}>{x.retired ? t('Restore text') : t('Archive text')}</MenuItem>
        )}
      </Menu>
      {exporting && <ExportText x={x} version={version} close={() => setExporting(false)} />}
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
