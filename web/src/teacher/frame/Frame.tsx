import { DropdownMenu } from 'radix-ui';
import { Suspense, useState } from 'react';
import { NavLink, Outlet, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Session } from '../../shared/session';
import { part } from '../../shared/part';
import { Loading, Show } from '../../shared/Whole';
import { t } from '../../shared/words';
import { useClass, type ClassData } from '../classQueries';
import { useMarking, useRecordings } from '../marking/Marking';
import { TrayProvider } from '../tray/useTray';
import { Tray } from '../tray/Tray';
import { Jump } from './Jump';
import { Mark } from './Mark';
import { NewClassDialog } from './NewClass';
import { Menu } from './Menu';
import { PersonMenu } from './PersonMenu';
import { useLive } from './useLive';

const ReaderSheet = part(() => import('../readers/ReaderSheet'));

export type Place = { data: ClassData };

/** The teacher's frame: masthead, places, the work area with the reader sheet beside it, and the tray. */
export function Frame({ session }: { session: Session }) {
  const { classId = '' } = useParams();
  const data = useClass(classId);
  useLive(classId);
  return (
    <TrayProvider key={classId} classId={classId}>
      <div className="teacher">
        <Masthead session={session} classId={classId} data={data.data} />
        <Places classId={classId} />
        <div className="neatline" aria-hidden />
        <Show query={data}>{(d) => <Work place={{ data: d }} />}</Show>
        {data.data && <Tray data={data.data} />}
      </div>
    </TrayProvider>
  );
}

function Work({ place }: { place: Place }) {
  const [search, setSearch] = useSearchParams();
  const sheet = search.get('reader');
  const close = () =>
    setSearch((s) => {
      s.delete('reader');
      return s;
    });
  return (
    <main className={sheet ? 'work withsheet' : 'work'}>
      <div className="workarea">
        <Suspense fallback={<Loading />}>
          <Outlet context={place} />
        </Suspense>
      </div>
      {sheet && (
        <Suspense fallback={<Loading />}>
          <ReaderSheet key={sheet} classId={place.data.id} readerId={sheet} close={close} />
        </Suspense>
      )}
    </main>
  );
}

function Masthead({ session, classId, data }: { session: Session; classId: string; data: ClassData | undefined }) {
  const navigate = useNavigate();
  const [making, setMaking] = useState(false);
  const term = data?.term;
  return (
    <header className="masthead">
      <NavLink className="mark" to={`/class/${classId}`}>
        <Mark />
        Deep Current
      </NavLink>
      <Menu plain label={data?.name ?? '…'} hidden={t('Class: ')} className="class">
        {session.classes
          .filter((c) => !c.closed || c.id === classId)
          .map((c) => (
            <DropdownMenu.Item key={c.id} className="item" onSelect={() => void navigate(`/class/${c.id}`)}>
              {c.name} <span className="soft">{t('{{count}} readers', { count: c.readers })}</span>
            </DropdownMenu.Item>
          ))}
        {!session.assistant && (
          <DropdownMenu.Item className="item" onSelect={() => setMaking(true)}>
            {t('New class…')}
          </DropdownMenu.Item>
        )}
      </Menu>
      {term && (
        <p className="term">
          {t('{{term}}, week {{week}} of {{weeks}}', { term: term.name, week: term.week, weeks: term.weeks })}
        </p>
      )}
      {data && <Jump data={data} />}
      <PersonMenu session={session}>
        {data && (
          <DropdownMenu.Label className="item soft">{t('Class code {{code}}', { code: data.code })}</DropdownMenu.Label>
        )}
        <DropdownMenu.Item className="item" onSelect={() => void navigate(`/class/${classId}/history`)}>
          {t('What was changed')}
        </DropdownMenu.Item>
      </PersonMenu>
      {making && <NewClassDialog close={() => setMaking(false)} />}
    </header>
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
] as const;

function Places({ classId }: { classId: string }) {
  // A number stands only where somebody waits.
  const waiting = (useMarking(classId).data?.length ?? 0) + (useRecordings(classId).data?.length ?? 0);
  return (
    <nav className="places" aria-label={t('Places')}>
      <ul>
        {places.map(([path, name]) => (
          <li key={path}>
            <NavLink to={`/class/${classId}${path && `/${path}`}`} end={path === ''}>
              {t(name)}
              {path === 'marking' && waiting > 0 && (
                <>
                  {' '}
                  <b className="waiting">
                    {waiting}
                    <span className="hide"> {t('to mark')}</span>
                  </b>
                </>
              )}
            </NavLink>
          </li>
        ))}
      </ul>
    </nav>
  );
}
