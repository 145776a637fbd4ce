import { useState } from 'react';
import { Navigate, Route, Routes, useNavigate } from 'react-router';
import type { Session } from '../../shared/session';
import { part } from '../../shared/part';
import { t } from '../../shared/words';
import { NewClassDialog } from '../frame/NewClass';
import { PersonMenu } from '../frame/PersonMenu';
import { Button } from '../../ui/Button';
import { Brand, Frame, Masthead, Neatline, Places, Work } from '../../ui/Frame';

const SchoolReaders = part(() => import('./SchoolReaders'));
const Classes = part(() => import('./Classes'));
const Staff = part(() => import('./Staff'));
const Imports = part(() => import('./Imports'));
const ImportPage = part(() => import('./ImportPage'));
const Reports = part(() => import('./Reports'));
const Windows = part(() => import('./Windows'));
const SchoolChecks = part(async () => ({ default: (await import('./Windows')).SchoolChecks }));
const CheckEditor = part(() => import('../checks/CheckEditor'));
const CheckPage = part(() => import('../checks/CheckPage'));
const Years = part(() => import('./years/Years'));
const Chart = part(() => import('./Chart'));
const Choices = part(() => import('./Choices'));
const Log = part(() => import('./Log'));

const places = [
  ['', 'Readers'],
  ['classes', 'Classes'],
  ['staff', 'Staff'],
  ['imports', 'Roster files'],
  ['reports', 'Reports'],
  ['windows', 'Windows'],
  ['years', 'Years'],
  ['chart', 'Level chart'],
  ['choices', 'Choices'],
  ['log', 'Log'],
] as const;

/** The school lead's side: the whole school, in the same frame. */
export default function School({ session }: { session: Session }) {
  const navigate = useNavigate();
  const [making, setMaking] = useState(false);
  const first = session.classes.find((c) => !c.closed);
  return (
    <Frame>
      <Masthead>
        <Brand to={first ? `/class/${first.id}` : '/school'} className="mr-5" />
        <b className="px-2.5 text-lg">{t('School')}</b>
        <span className="grow" />
        {first && (
          <Button look="plain" onClick={() => void navigate(`/class/${first.id}`)}>
            {t('Back to my classes')}
          </Button>
        )}
        <Button look="plain" onClick={() => setMaking(true)}>
          {t('New class…')}
        </Button>
        <PersonMenu session={session} />
      </Masthead>
      <Places
        label={t('Places')}
        places={places.map(([path, name]) => ({
          to: path ? `/school/${path}` : '/school',
          name: t(name),
          end: path === '',
        }))}
      />
      <Neatline />
      <Work>
        <Routes>
          <Route index element={<SchoolReaders />} />
          <Route path="classes" element={<Classes />} />
          <Route path="staff" element={<Staff />} />
          <Route path="imports" element={<Imports />} />
          <Route path="imports/:importId" element={<ImportPage />} />
          <Route path="reports/:view?" element={<Reports />} />
          <Route path="windows" element={<Windows />} />
          <Route path="windows/checks" element={<SchoolChecks />} />
          <Route path="windows/checks/new" element={<CheckEditor />} />
          <Route path="windows/checks/:checkId" element={<CheckPage />} />
          <Route path="windows/checks/:checkId/change" element={<CheckEditor />} />
          <Route path="years" element={<Years />} />
          <Route path="chart" element={<Chart />} />
          <Route path="choices" element={<Choices />} />
          <Route path="log" element={<Log />} />
          <Route path="*" element={<Navigate to="/school" replace />} />
        </Routes>
      </Work>
      {making && <NewClassDialog close={() => setMaking(false)} />}
    </Frame>
  );
}
