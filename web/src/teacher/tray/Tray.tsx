import { ArrowCounterClockwise } from '@phosphor-icons/react';
import { cx } from 'class-variance-authority';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { fm } from '../../shared/format';
import { t } from '../../shared/words';
import { useTexts, type ClassData, type ReaderRow } from '../classQueries';
import { AssignDialog, BeginRecord, LayPlan, TaskDialog } from './dialogs';
import { FitSpread } from './FitSpread';
import { useFits } from './useFits';
import { forgotten } from './picks';
import { useTray } from './useTray';
import { Button } from '../../ui/Button';
import { Menu, MenuItem } from '../../ui/Menu';
import { Flag, Plate } from '../../ui/Shapes';

const head = 'mb-1.5 flex items-baseline gap-1.5 font-ui text-sm font-semibold';

/** The strip that collects who and what, and acts on them. */
export function Tray({ data }: { data: ClassData }) {
  const tray = useTray();
  const navigate = useNavigate();
  const [assigning, setAssigning] = useState(false);
  const [recording, setRecording] = useState(false);
  const [tasking, setTasking] = useState(false);
  const [planning, setPlanning] = useState(false);
  const readers = data.readers.filter((r) => tray.readers.includes(r.id));
  // In the order in which they were picked up.
  const texts = (useTexts(data.id, tray.texts).data ?? [])
    .filter((x) => tray.texts.includes(x.id))
    .sort((one, other) => tray.texts.indexOf(one.id) - tray.texts.indexOf(other.id));
  const fits = useFits(
    data.id,
    readers.map((r) => r.id),
    texts.map((x) => x.id),
  );
  if (readers.length + texts.length === 0) return null;
  const first = texts[0];
  const fitOf = (id: string) => fits.data?.find((f) => f.readerId === id && f.textId === first?.id);
  return (
    <section
      className={cx(
        'border-ink bg-sand flex max-h-[150px] min-h-21 items-stretch border-t max-lg:sticky print:hidden',
        'max-lg:bottom-0 max-lg:max-h-none max-lg:flex-wrap',
      )}
      aria-label={t('Tray')}
    >
      <div className="grid w-29 flex-none content-between px-3.5 py-2">
        <h2 className="text-base">{t('Tray')}</h2>
        <Button look="plain" size="sm" className="-ml-2.5" onClick={tray.empty}>
          <ArrowCounterClockwise size={16} aria-hidden />
          {t('Clear tray')}
        </Button>
      </div>
      <Who readers={readers} fitOf={fitOf} />
      <What texts={texts} />
      {first && readers.length > 0 && fits.data && (
        <FitSpread
          fits={fits.data.filter((f) => f.textId === first.id)}
          cuts={data}
          name={(id) => readers.find((r) => r.id === id)?.called ?? ''}
        />
      )}
      <div
        className={cx(
          'border-line ml-auto flex flex-col items-stretch justify-center gap-1.5 border-l px-3.5 py-2',
          'max-lg:ml-0',
        )}
      >
        <Button look="main" disabled={readers.length === 0 || texts.length === 0} onClick={() => setAssigning(true)}>
          {readers.length === 0 && t('Add readers to assign')}
          {readers.length > 0 && texts.length === 0 && t('Add a text to assign')}
          {readers.length > 0 && texts.length > 0 && t('Assign to {{count}} readers…', { count: readers.length })}
        </Button>
        <div className="flex gap-1">
          <Button size="sm" disabled={readers.length === 0} onClick={() => void navigate(`/class/${data.id}/goals`)}>
            {t('Set goals…')}
          </Button>
          <Button
            size="sm"
            disabled={readers.length === 0}
            onClick={() => void navigate(`/class/${data.id}/groups?form=picked`)}
          >
            {t('Create group…')}
          </Button>
          {readers.length > 0 && (
            <Menu size="sm" label={t('Other…')}>
              <MenuItem onSelect={() => setTasking(true)}>{t('Task without text…')}</MenuItem>
              <MenuItem onSelect={() => setPlanning(true)}>{t('Plan…')}</MenuItem>
              <MenuItem onSelect={() => void navigate(`/class/${data.id}/assignments/checks/new?readers=picked`)}>
                {t('Give a level check…')}
              </MenuItem>
              {readers.length === 1 && first && (
                <MenuItem onSelect={() => setRecording(true)}>{t('Take a running record…')}</MenuItem>
              )}
            </Menu>
          )}
        </div>
      </div>
      {recording && readers[0] && first && (
        <BeginRecord classId={data.id} reader={readers[0]} text={first} close={() => setRecording(false)} />
      )}
      {tasking && <TaskDialog data={data} readers={readers} close={() => setTasking(false)} done={tray.empty} />}
      {planning && <LayPlan plan={null} data={data} readers={readers} close={() => setPlanning(false)} />}
      {assigning && (
        <AssignDialog
          data={data}
          texts={texts}
          readers={readers}
          said={forgottenSaid(tray, readers, texts)}
          close={() => setAssigning(false)}
          done={tray.empty}
        />
      )}
    </section>
  );
}

/** What is easily given unawares: picks of long ago, and of another page. */
function forgottenSaid(tray: ReturnType<typeof useTray>, readers: ReaderRow[], texts: Picked): string[] {
  const names = new Map([
    ...readers.map((r) => [r.id, r.called] as const),
    ...texts.map((x) => [x.id, x.title] as const),
  ]);
  const said = (ids: string[]) => ids.map((id) => names.get(id)).join(', ');
  const now = Date.now();
  // Readers and texts are picked up on pages of their own.
  const those = [readers, texts].map((list) =>
    forgotten(
      list.map((x) => x.id),
      tray.picks,
      now,
    ),
  );
  const of = { old: those.flatMap((x) => x.old), elsewhere: those.flatMap((x) => x.elsewhere) };
  return [
    ...(of.old.length > 0 ? [t('In the tray for a long time: {{names}}.', { names: said(of.old) })] : []),
    ...(of.elsewhere.length > 0 ? [t('Added on another page: {{names}}.', { names: said(of.elsewhere) })] : []),
  ];
}

type Fit = NonNullable<ReturnType<typeof useFits>['data']>[number];

/** Who is picked up, each with the fit of the first text. */
function Who({ readers, fitOf }: { readers: ReaderRow[]; fitOf: (id: string) => Fit | undefined }) {
  const tray = useTray();
  const groups = [...new Set(readers.map((r) => r.group).filter(Boolean))];
  return (
    <div className="border-line min-w-0 flex-[0_1_460px] overflow-auto border-l px-3.5 py-2">
      <h3 className={head}>
        {t('{{count}} readers', { count: readers.length })}{' '}
        {groups.length > 0 && (
          <span className="text-soft font-normal">
            {t('from')} {groups.join(', ')}
          </span>
        )}
      </h3>
      <ul className="flex flex-wrap gap-1">
        {readers.map((r) => {
          const fit = fitOf(r.id);
          return (
            <li key={r.id}>
              <Flag
                deep={fit?.zone === 'Frustration'}
                remove={() => tray.toggleReader(r.id)}
                removeLabel={t('Remove {{name}} from tray', { name: r.called })}
              >
                {r.called}{' '}
                {fit && (
                  <i
                    className={cx('not-italic', fit.zone === 'Frustration' ? 'font-semibold' : 'text-soft font-normal')}
                  >
                    {t('{{n}}%', { n: fit.forecast })}
                    {fit.zone === 'Frustration' && `, ${t('too deep')}`}
                    {fit.zone === 'Independent' && `, ${t('easy')}`}
                  </i>
                )}
              </Flag>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

type Picked = NonNullable<ReturnType<typeof useTexts>['data']>;

/** Which texts are picked up. */
function What({ texts }: { texts: Picked }) {
  const tray = useTray();
  const first = texts[0];
  return (
    <div className="border-line min-w-0 flex-[0_1_240px] overflow-auto border-l px-3.5 py-2">
      <h3 className={head}>
        {t('{{count}} texts', { count: texts.length })}{' '}
        {first && texts.length === 1 && (
          <span className="text-soft font-normal">{first.versions.map((v) => fm(v.depth)).join(' / ')} fm</span>
        )}
      </h3>
      <ul className="grid justify-items-start gap-1">
        {texts.map((x) => (
          <li key={x.id}>
            <Plate remove={() => tray.toggleText(x.id)} removeLabel={t('Remove {{name}} from tray', { name: x.title })}>
              {x.title}
            </Plate>
          </li>
        ))}
      </ul>
    </div>
  );
}
