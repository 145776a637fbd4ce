import { useState } from 'react';
import { useSession } from '../../shared/session';
import { phrase, t, type Phrase } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Dialog, DialogFoot } from '../../ui/Dialog';
import { Menu, MenuItem, MenuLabel, MenuLine } from '../../ui/Menu';
import { Select } from '../../ui/Select';
import { useDays } from './reportQueries';
import type { Asked } from './span';
import { spanWords } from './SpanPicker';

const forms: readonly (readonly [Phrase, 'Xlsx' | 'Csv' | 'Xapi' | 'OneRoster'])[] = [
  [phrase('Spreadsheet (XLSX)'), 'Xlsx'],
  [phrase('CSV'), 'Csv'],
  [phrase('Learning records (xAPI)'), 'Xapi'],
  [phrase('District gradebook (OneRoster 1.2)'), 'OneRoster'],
];

/** The address of conference pages: of all readers, or of one. */
export const conferenceAddress = (classId: string, language: string, readerId?: string) => {
  const query = new URLSearchParams();
  if (readerId) query.set('readers', readerId);
  if (language !== 'home') query.set('language', language);
  return `/api/classes/${classId}/conference.pdf?${query.toString()}`;
};

/** What leaves the page as a file: the gradebook of the span, and pages for conferences. */
export function ReportExports({ classId, asked }: { classId: string; asked: Asked }) {
  const span = useDays(classId, asked).data?.span;
  const others = (useSession().data?.classes ?? []).filter((c) => !c.closed && c.id !== classId);
  const [meeting, meet] = useState(false);
  const address = (form: string, also = '') => {
    const query = new URLSearchParams(span);
    if (also) query.set('also', also);
    return `/api/classes/${classId}/gradebook/${form}?${query.toString()}`;
  };
  return (
    <>
      <Menu label={t('Export')}>
        <MenuLabel>{span ? t('Gradebook, {{days}}', { days: spanWords(span) }) : t('Gradebook')}</MenuLabel>
        {forms.map(([name, form]) => (
          <MenuItem asChild key={form}>
            <a href={address(form)} download>
              {t(name)}
            </a>
          </MenuItem>
        ))}
        {others.length > 0 && (
          <>
            <MenuItem asChild>
              <a href={address('Xlsx', others.map((c) => c.id).join(','))} download>
                {t('All my classes, a sheet each (XLSX)')}
              </a>
            </MenuItem>
            <MenuItem asChild>
              <a href={address('Zip', others.map((c) => c.id).join(','))} download>
                {t('All my classes, a CSV each (ZIP)')}
              </a>
            </MenuItem>
          </>
        )}
        <MenuLine />
        <MenuLabel>{t('Conference pages')}</MenuLabel>
        <MenuItem asChild>
          <a href={conferenceAddress(classId, 'home')} download>
            {t('All readers, in each home’s language (PDF)')}
          </a>
        </MenuItem>
        <MenuItem onSelect={() => meet(true)}>{t('All readers, in one language…')}</MenuItem>
        <MenuLine />
        <MenuItem onSelect={() => print()}>{t('Print this page')}</MenuItem>
      </Menu>
      {meeting && <ConferencePages classId={classId} close={() => meet(false)} />}
    </>
  );
}

function ConferencePages({ classId, close }: { classId: string; close: () => void }) {
  const [language, choose] = useState('en');
  return (
    <Dialog title={t('Conference pages')} close={close}>
      <div className="grid gap-3">
        <p>
          {t('One page for each reader: the level in words, goals, recent reading, and room to write.')}{' '}
          {t('Nothing in it needs explaining.')}
        </p>
        <Select
          label={t('Language')}
          value={language}
          set={choose}
          options={[
            { value: 'en', label: t('English') },
            { value: 'es', label: t('Spanish') },
          ]}
        />
        <DialogFoot>
          <Button onClick={close}>{t('Cancel')}</Button>
          <Button asChild look="main">
            <a href={conferenceAddress(classId, language)} download onClick={close}>
              {t('Download PDF')}
            </a>
          </Button>
        </DialogFoot>
      </div>
    </Dialog>
  );
}
