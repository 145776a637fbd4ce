import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useOutletContext, useParams } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { fm } from '../../shared/format';
import { keys } from '../../shared/keys';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import { AssignDialog } from '../assignments/AssignDialog';
import { useTexts } from '../classQueries';
import type { Place } from '../frame/Frame';
import { useTray } from '../tray/useTray';
import { Button } from '../../ui/Button';
import { PageHead } from '../../ui/Page';
import { Segments } from '../../ui/Segments';
import { Show } from '../../ui/Show';
import { MazeDraft } from './MazeDraft';
import { TextActions } from './TextActions';
import { TextHistory } from './TextHistory';
import { TextSide } from './TextSide';
import { TextUse } from './TextUse';
import { AsRead, Reasons, SideBySide } from './TextViews';

export type TextData = Api<'TextView'>;
export type Version = TextData['versions'][number];

type Shown = 'text' | 'why' | 'versions' | 'maze' | 'use' | 'history';
const ofAVersion: readonly Shown[] = ['text', 'why', 'maze'];

/** One text: how deep and how that was measured, the text itself, its quiz and its words. */
export default function TextPage() {
  const { textId = '' } = useParams();
  const text = useQuery({
    queryKey: keys.text.one(textId),
    queryFn: () => ok(api.GET('/texts/{textId}', { params: { path: { textId } } })),
  });
  return <Show query={text}>{(x) => <OneText x={x} />}</Show>;
}

function OneText({ x }: { x: TextData }) {
  const { data } = useOutletContext<Place>();
  const [at, setAt] = useState(0);
  const [shows, setShows] = useState<Shown>('text');
  const version = sure(x.versions[Math.min(at, x.versions.length - 1)]);
  return (
    <div className="min-h-0 overflow-auto pb-6 print:block print:h-auto print:overflow-visible">
      <Head x={x} version={version} classId={data.id} />
      <div className="flex min-h-10 flex-wrap items-center gap-2.5 px-4 pb-1.5 print:hidden">
        <Views several={x.versions.length > 1} shows={shows} set={setShows} />
        {x.versions.length > 1 && ofAVersion.includes(shows) && (
          <span className="inline-flex items-center gap-1.5">
            {t('Version')}
            <Segments
              label={t('Version')}
              value={version.id}
              set={(id) => setAt(x.versions.findIndex((v) => v.id === id))}
              options={x.versions.map((v) => ({ value: v.id, label: `${fm(v.depth)} fm` }))}
            />
          </span>
        )}
      </div>
      {shows === 'versions' && <SideBySide versions={x.versions} />}
      {shows === 'history' && <TextHistory x={x} />}
      {shows === 'maze' && <MazeDraft key={version.id} textId={x.id} versionId={version.id} />}
      {shows === 'use' && <TextUse textId={x.id} classId={data.id} questions={x.questions} />}
      {(shows === 'text' || shows === 'why') && (
        <div className="border-ink grid border-t max-lg:grid-cols-1 lg:grid-cols-[minmax(0,1fr)_minmax(0,480px)]">
          {shows === 'why' ? <Reasons v={version} /> : <AsRead version={version} picture={pictureOf(x)} />}
          <TextSide x={x} version={version} classId={data.id} />
        </div>
      )}
    </div>
  );
}

/** For paper: beside the text it stands in the side. */
const pictureOf = (x: TextData) =>
  x.picture === null ? null : { src: `/api/texts/${x.id}/picture`, shows: x.picture };

function Head({ x, version, classId }: { x: TextData; version: Version; classId: string }) {
  const { data } = useOutletContext<Place>();
  const tray = useTray();
  const [assigning, setAssigning] = useState(false);
  const text = useTexts(classId, assigning ? [x.id] : []).data?.[0];
  const mayAssign = data.mayAssign && x.questions.some((q) => !q.after);
  return (
    <PageHead
      title={x.title}
      beside={
        <p className="text-soft">
          {x.kind}, {x.fiction ? t('fiction') : t('non-fiction')} · {x.topic}
          {!x.ships &&
            ` · ${x.mine ? t('visible only to its author') : t('by {{name}}', { name: x.owner ?? t('a former colleague') })}`}
          {x.retired && ` · ${t('archived')}`}
        </p>
      }
    >
      <TextActions x={x} version={version} classId={classId} />
      <Button onClick={() => tray.toggleText(x.id)}>
        {tray.texts.includes(x.id) ? t('Remove from tray') : t('Add to tray')}
      </Button>
      {mayAssign && (
        <Button look="main" onClick={() => setAssigning(true)}>
          {t('Assign…')}
        </Button>
      )}
      {assigning && text && (
        <AssignDialog
          data={data}
          texts={[text]}
          readers={data.readers.filter((r) => tray.readers.includes(r.id))}
          close={() => setAssigning(false)}
        />
      )}
    </PageHead>
  );
}

function Views({ several, shows, set }: { several: boolean; shows: Shown; set: (shows: Shown) => void }) {
  const words: Record<Shown, string> = {
    text: t('The text'),
    why: t('What makes it hard'),
    versions: t('Versions side by side'),
    maze: t('Maze passage'),
    use: t('Use'),
    history: t('History'),
  };
  const views = (Object.keys(words) as Shown[]).filter((v) => several || v !== 'versions');
  return (
    <Segments
      label={t('View')}
      value={shows}
      set={set}
      options={views.map((value) => ({ value, label: words[value] }))}
    />
  );
}
