import { useState } from 'react';
import { Outlet, useNavigate, useParams, useSearchParams } from 'react-router';
import { part } from '../../shared/part';
import type { Session } from '../../shared/session';
import { t } from '../../shared/words';
import * as ui from '../../ui/Frame';
import { useClass, type ClassData } from '../classQueries';
import { useMarking, useRecordings } from '../marking/markingQueries';
import { Bell } from '../signals/Bell';
import { Tray } from '../tray/Tray';
import { TrayProvider } from '../tray/useTray';
import { Jump } from './Jump';
import { PersonMenu } from './PersonMenu';
import { useLive } from './useLive';
import { Menu, MenuItem, MenuLabel } from '../../ui/Menu';
import { Waiting } from '../../ui/Shapes';
import { Show } from '../../ui/Show';

const NewClassDialog = part<{ close: () => void }>(() =>
  import('./NewClass').then((m) => ({ default: m.NewClassDialog })),
);
const ReaderSheet = part(() => import('../readers/ReaderSheet'));

export type Place = { data: ClassData };

/** The teacher's frame: masthead, places, the work area with the reader sheet beside it, and the tray. */
export function Frame({ session }: { session: Session }) {
  const { classId = '' } = useParams();
  const data = useClass(classId);
  useLive(classId);
  return (
    <TrayProvider key={classId} classId={classId}>
      <ui.Frame>
        <Masthead session={session} classId={classId} data={data.data} />
        <Places classId={classId} />
        <ui.Neatline />
        <Show query={data}>{(d) => <Work place={{ data: d }} />}</Show>
        {data.data && <Tray data={data.data} />}
      </ui.Frame>
    </TrayProvider>
  );
}

function Work({ place }: { place: Place }) {
  const [search, setSearch] = useSearchParams();
  const reader = search.get('reader');
  const close = () =>
    setSearch((s) => {
      s.delete('reader');
      return s;
    });
  const sheet = reader && <ReaderSheet key={reader} classId={place.data.id} readerId={reader} close={close} />;
  return (
    <ui.Work sheet={sheet}>
      <Outlet context={place} />
    </ui.Work>
  );
}

function Masthead({ session, classId, data }: { session: Session; classId: string; data: ClassData | undefined }) {
  const navigate = useNavigate();
  const [making, setMaking] = useState(false);
  const term = data?.term;
  return (
    <ui.Masthead>
      <ui.Brand to={`/class/${classId}`} className="mr-5" />
      <Menu
        look="plain"
        align="start"
        label={<span className="text-lg font-bold">{data?.name ?? '…'}</span>}
        hidden={t('Class: ')}
      >
        {session.classes
          .filter((c) => !c.closed || c.id === classId)
          .map((c) => (
            <MenuItem key={c.id} onSelect={() => void navigate(`/class/${c.id}`)}>
              {c.name} <span className="text-soft">{t('{{count}} readers', { count: c.readers })}</span>
            </MenuItem>
          ))}
        {!session.assistant && <MenuItem onSelect={() => setMaking(true)}>{t('New class…')}</MenuItem>}
      </Menu>
      {term && (
        <p className="px-2.5 whitespace-nowrap">
          {t('{{term}}, week {{week}} of {{weeks}}', { term: term.name, week: term.week, weeks: term.weeks })}
        </p>
      )}
      {data && <Jump data={data} />}
      {data && <Bell data={data} />}
      <PersonMenu session={session}>
        {data && <MenuLabel>{t('Class code {{code}}', { code: data.code })}</MenuLabel>}
        <MenuItem onSelect={() => void navigate(`/class/${classId}/history`)}>{t('Class history')}</MenuItem>
      </PersonMenu>
      {making && <NewClassDialog close={() => setMaking(false)} />}
    </ui.Masthead>
  );
}

const places = [
  ['', 'Chart'],
  ['readers', 'Readers'],
  ['texts', 'Texts'],
  ['assignments', 'Assignments'],
  ['marking', 'Marking'],
  ['goals', 'Goals'],
  ['groups', 'Groups'],
  ['reports', 'Reports'],
] as const;

function Places({ classId }: { classId: string }) {
  // A number stands only where somebody waits.
  const written = (useMarking(classId).data ?? []).reduce((sum, k) => sum + k.written - k.marked, 0);
  const waiting = written + (useRecordings(classId).data?.length ?? 0);
  return (
    <ui.Places
      label={t('Places')}
      places={places.map(([path, name]) => ({
        to: `/class/${classId}${path && `/${path}`}`,
        name: t(name),
        end: path === '',
        beside: path === 'marking' && waiting > 0 && <Waiting n={waiting} what={t('to mark')} />,
      }))}
    />
  );
}
