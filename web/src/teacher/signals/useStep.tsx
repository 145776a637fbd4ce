import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, ok, sentence } from '../../shared/api';
import { useChanged } from '../../shared/changed';
import { sure } from '../../shared/sure';
import { t } from '../../shared/words';
import { usePlan } from '../assignments/week/useWeek';
import { calledIn, useSaid, type ClassData } from '../classQueries';
import { BeginRecord } from '../tray/dialogs';
import { useTray } from '../tray/useTray';
import type { Signal } from './signals';
import { useSignalDeeds } from './useSignals';

/** The group that can be taught what its reader misses; none where there is no group or the asker plans none. */
const groupOf = (s: Signal, data: ClassData) =>
  data.mayAssign && s.strand ? data.groups.find((g) => g.readerIds.includes(s.readerId ?? '')) : undefined;

/** What the step a signal suggests is called. */
export function stepWords(s: Signal, called: string, data: ClassData) {
  switch (s.step) {
    case 'FindTexts':
      return t('Find texts for {{name}}', { name: called });
    case 'GiveAgain':
      return t('Give it again');
    case 'AddToTray': {
      const group = groupOf(s, data);
      return group
        ? t('Plan meeting of {{group}}…', { group: group.name })
        : t('Add {{name}} to tray', { name: called });
    }
    case 'StartRecord':
      return t('Start running record');
    case 'ChangeGoal':
      return t('Change goal…');
    case 'GoThrough':
      return t('Go through it together');
    case 'GivePassages':
      return s.checkId ? t('Give the passages again') : t('See what it rests on');
    case 'OpenQuestion':
      return t('Open question');
  }
}

/** Takes the step that a signal suggests, and remembers that it was taken.
 * @returns what takes it, and a window that it may need. */
export function useStep(data: ClassData): { take: (s: Signal) => void; over: ReactNode } {
  const navigate = useNavigate();
  const tray = useTray();
  const said = useSaid();
  const changed = useChanged();
  const plan = usePlan(data.id);
  const deeds = useSignalDeeds(data.id);
  const called = calledIn(data);
  const [reading, read] = useState<string | null>(null);
  const here = `/class/${data.id}`;
  const giveAgain = (ticketId: string) =>
    plan.tickets('SendBack', [ticketId], t('Read this text once more, and take your time.')).then(
      async (done) => {
        said(done.summary, done.changeId);
        await changed('work');
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  const givePassages = (checkId: string, reader: string) =>
    ok(
      api.POST('/checks/{checkId}/again', {
        params: { path: { checkId } },
        body: { readerIds: [reader], part: 'Passages' },
      }),
    ).then(
      async (done) => {
        said(done.sentence, done.changeId);
        await changed('work');
      },
      (e: unknown) => toast.error(sentence(e)),
    );
  const go = (s: Signal) => {
    const reader = s.readerId ?? '';
    switch (s.step) {
      case 'FindTexts':
        tray.pickReaders([reader], true);
        return void navigate(`${here}/texts`);
      case 'GiveAgain':
        return void giveAgain(sure(s.ticketId));
      case 'AddToTray': {
        const group = groupOf(s, data);
        return group
          ? void navigate(`${here}/groups/meetings?plan=${group.id}&strand=${s.strand ?? ''}`)
          : tray.pickReaders([reader], true);
      }
      case 'StartRecord':
        return read(reader);
      case 'ChangeGoal':
        return void navigate(`${here}/goals?set=${reader}`);
      case 'GoThrough':
        return void navigate(`${here}/tickets/${s.ticketId ?? ''}/missed`);
      case 'GivePassages':
        return s.checkId ? void givePassages(s.checkId, reader) : void navigate(`${here}/readers/${reader}`);
      case 'OpenQuestion':
        return void navigate(`${here}/assignments/${s.assignmentId ?? ''}/results?question=${s.questionId ?? ''}`);
    }
  };
  return {
    take: (s) => {
      if (data.mayAssign) deeds.stepped([s.id]);
      go(s);
    },
    over: reading !== null && (
      <BeginRecord
        classId={data.id}
        reader={{ id: reading, givenName: called(reading, '') }}
        close={() => read(null)}
      />
    ),
  };
}
