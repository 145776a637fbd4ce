import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Problem } from '../../shared/api';
import { keys } from '../../shared/keys';
import { answersWaiting, send } from '../offline/outbox';
import { checkKey, type Stage, type View } from './checkQueries';
import { refusal } from '../refusal';

interface Answer {
  id: string;
  item: number;
  picks: number[];
  at: string;
  milliseconds: number;
}

/** One stage on the way: answers are kept on the device, sent as they come, and the stage is handed on when it is done. */
export function useStage(check: View, stage: Stage) {
  const client = useQueryClient();
  const [opened] = useState(() => performance.now());
  const began = useRef(opened - stage.seconds * 1000);
  const asked = useRef(opened);
  const fresh = useRef<Answer[]>(keptHere(check.id, stage.id));
  const [picks, setPicks] = useState<Record<number, number[]>>(() =>
    Object.fromEntries([...stage.answers, ...keptHere(check.id, stage.id)].map((a) => [a.item, a.picks])),
  );
  const [waits, setWaits] = useState(false);
  const [error, setError] = useState('');
  const [over, setOver] = useState(false);
  const gone = useRef(false);

  const post = useCallback(
    async (done: boolean) => {
      const body = { answers: fresh.current, seconds: (performance.now() - began.current) / 1000, done };
      try {
        const next = await send({
          id: stage.id,
          about: check.id,
          kind: 'stage',
          params: { path: { sittingId: check.id, stageId: stage.id } },
          body,
        });
        // An answer that is late does not bring back a stage that is done.
        if (!done) {
          if (next && !gone.current)
            client.setQueryData<View>(checkKey(check.id), (now) => (now?.stage?.id === stage.id ? next : now));
          return;
        }
        if (next) {
          setWaits(false);
          client.setQueryData(checkKey(check.id), next);
          void client.invalidateQueries({ queryKey: keys.my.checks });
        } else setWaits(true);
      } catch (e) {
        if (e instanceof Problem && e.code === 'over') setOver(true);
        setError(refusal(e));
      }
    },
    [check.id, stage.id, client],
  );

  const answer = useCallback(
    (item: number, ...mine: number[]) => {
      setPicks((p) => ({ ...p, [item]: mine }));
      const now = performance.now();
      fresh.current = [
        ...fresh.current.filter((a) => a.item !== item),
        {
          id: crypto.randomUUID(),
          item,
          picks: mine,
          at: new Date().toISOString(),
          milliseconds: Math.round(now - asked.current),
        },
      ];
      asked.current = now;
      void post(false);
    },
    [post],
  );
  const finish = useCallback(() => {
    if (!gone.current) {
      gone.current = true;
      void post(true);
    }
  }, [post]);
  /** A question is in view from now on. */
  const shown = useCallback(() => {
    asked.current = performance.now();
  }, []);
  const spent = useCallback(() => (performance.now() - began.current) / 1000, []);
  // What was sent from the outbox while the page waited has moved the check on.
  useEffect(() => {
    if (!waits) return;
    const timer = setInterval(() => void client.invalidateQueries({ queryKey: checkKey(check.id) }), 3000);
    return () => clearInterval(timer);
  }, [waits, client, check.id]);
  return { picks, answer, finish, shown, spent, waits, error, over };
}

export type StageWork = ReturnType<typeof useStage>;

/** Answers of a stage that are kept on this device and not yet sent. */
const keptHere = (checkId: string, stageId: string) =>
  answersWaiting(checkId)
    .filter((k) => k.path.endsWith(stageId))
    .flatMap((k) => (k.body as { answers: Answer[] }).answers);
