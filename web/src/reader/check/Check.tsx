import { sure } from '../../shared/sure';
import { cx } from 'class-variance-authority';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ok, sentence } from '../../shared/api';
import { keys } from '../../shared/keys';
import type { Session } from '../../shared/session';
import { phrase, t } from '../../shared/words';
import { KeptNote } from '../KeptNote';
import { answersWaiting, useOutbox } from '../offline/outbox';
import { RefusedNote } from '../RefusedNote';
import { checkKey, partDirections, partTitles, practice, useMyCheck, type Stage, type View } from './checkQueries';
import { MazeStage } from './MazeStage';
import { PassageStage } from './PassageStage';
import { Pick } from './Pick';
import { WordsStage } from './WordsStage';
import { Timer } from './Timer';
import { useStage } from './useStage';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { Directions, ReaderBar, ReaderSide, Say, Water, pageLook } from '../../ui/Reader';
import { Show } from '../../ui/Show';
import { ToMyReading } from '../ToMyReading';
import { PageTitle } from '../../ui/PageTitle';

/** A level check: what it is, a question to try first in each part, and the parts one after the other. */
export default function Check({ session }: { session: Session }) {
  const { sittingId = '' } = useParams();
  const check = useMyCheck(sittingId);
  return (
    <Show query={check}>
      {(c) =>
        c.stage ? (
          <Taking key={c.stage.id} check={c} stage={c.stage} name={session.name} />
        ) : (
          <Between check={c} name={session.name} />
        )
      }
    </Show>
  );
}

function Frame({
  check,
  name,
  timer,
  peeking,
  children,
}: {
  check: View;
  name: string;
  timer?: React.ReactNode;
  peeking?: boolean;
  children: React.ReactNode;
}) {
  return (
    <ReaderSide footless>
      <ReaderBar>
        <ToMyReading unfinished />
        <PageTitle>{check.title}</PageTitle>
        <KeptNote />
        <span className="grow" />
        {timer}
        <b>{name}</b>
      </ReaderBar>
      <Water peeking={peeking}>{children}</Water>
    </ReaderSide>
  );
}

/** What the check is, how far it is, and the way into the next part. */
function Between({ check, name }: { check: View; name: string }) {
  const client = useQueryClient();
  const begin = useMutation({
    mutationFn: () => ok(api.POST('/my/checks/{sittingId}/begin', { params: { path: { sittingId: check.id } } })),
    onSuccess: (next) => {
      client.setQueryData(checkKey(check.id), next);
      void client.invalidateQueries({ queryKey: keys.my.checks });
    },
  });
  const [tries, setTries] = useState(false);
  useOutbox();
  const waits = answersWaiting(check.id).length > 0;
  const parts = check.parts.filter((p) => p.state !== 'Skipped');
  const done = parts.filter((p) => p.state === 'Done').length;
  if (!check.now || check.tomorrow)
    return (
      <Frame check={check} name={name}>
        <div className={pageLook({ kind: 'door', letters: 'ui' })}>
          <h2>{check.now ? t('Done for today') : t('You are done')}</h2>
          <p>
            {waits && t('Your answers are safe here. They are sent when the internet is back.')}
            {!waits && check.now && t('The next part opens tomorrow. Your answers are safe.')}
            {!waits && !check.now && t('Thank you. Your teacher can see it now.')}
          </p>
          {check.refused > 0 && (
            <p role="status">
              {t('{{count}} answers came after the check ended and do not count.', { count: check.refused })}
            </p>
          )}
          <RefusedNote />
          <Row>
            <Button asChild look="main" size="reader">
              <Link to="/">{t('To my reading')}</Link>
            </Button>
          </Row>
        </div>
      </Frame>
    );
  const title = t(partTitles[check.now]);
  const first = done === 0;
  return (
    <Frame check={check} name={name}>
      {tries ? (
        <Practice
          part={check.now}
          busy={begin.isPending}
          error={begin.error ? sentence(begin.error) : ''}
          go={() => begin.mutate()}
        />
      ) : (
        <div className={pageLook({ kind: 'door', letters: 'ui' })}>
          {first && check.directions && <Directions>{check.directions}</Directions>}
          {first && (
            <p>
              {t(
                phrase(
                  'This shows what you can read now. Some of it is easy and some is hard, for everyone. Take ' +
                    'your time.',
                ),
              )}
            </p>
          )}
          <ol
            className={cx(
              '[&>li]:text-soft [&>li[aria-current]]:text-ink flex flex-wrap gap-y-2 [&>li]:pr-4.5',
              '[&>li[aria-current]]:font-semibold',
            )}
          >
            {parts.map((p, i) => (
              <li
                key={i}
                aria-current={i === done ? 'step' : undefined}
                className={p.state === 'Done' ? '' : undefined}
              >
                {t(partTitles[p.part])}
                {p.state === 'Done' && ` ${t('✓ done')}`}
              </li>
            ))}
          </ol>
          <h2>{title}</h2>
          <p>{t(partDirections[check.now])}</p>
          <Row>
            <Button look="main" size="reader" onClick={() => setTries(true)}>
              {t('Try one first')}
            </Button>
          </Row>
        </div>
      )}
    </Frame>
  );
}

/** A question that counts for nothing, to see how it is done. */
function Practice({
  part,
  busy,
  error,
  go,
}: {
  part: NonNullable<View['now']>;
  busy: boolean;
  error: string;
  go: () => void;
}) {
  const one = practice[part];
  const [mine, setMine] = useState<number>();
  const right = mine === one.right;
  return (
    <div className={pageLook({ kind: 'question' })}>
      <p className="text-soft">{t('This one is for practice.')}</p>
      <h2 id="practice">
        {part === 'WordReading' && t('Which one is a real word?')}
        {part === 'WordMeaning' && t('What does “{{word}}” mean?', { word: one.stem })}
        {part !== 'WordReading' && part !== 'WordMeaning' && one.stem}
      </h2>
      <Pick name="practice" heading="practice" choices={one.choices} mine={mine} oneAtATime={false} pick={setMine} />
      <p className="font-ui text-reader mt-3 min-h-2" role="status">
        {mine !== undefined && (right ? t('✓ Right. Now you can start.') : t('✗ Not this one. Try another.'))}
      </p>
      {error && <Say role="alert">{error}</Say>}
      <Row end>
        <Button look="main" size="reader" disabled={!right || busy} onClick={go}>
          {t('Start')}
        </Button>
      </Row>
    </div>
  );
}

const stages = { WordReading: WordsStage, WordMeaning: WordsStage, Maze: MazeStage, Passages: PassageStage };

function Taking({ check, stage, name }: { check: View; stage: Stage; name: string }) {
  const work = useStage(check, stage);
  const [peek, setPeek] = useState(false);
  const Part = stages[sure(check.now)];
  return (
    <Frame
      check={check}
      name={name}
      peeking={peek}
      timer={<Timer left={check.left} spent={work.spent} shown={check.timerShown} up={work.finish} />}
    >
      {work.over ? (
        <div className={pageLook({ kind: 'door', letters: 'ui' })}>
          <h2>{t('This check has ended')}</h2>
          <p>{work.error}</p>
          <Row>
            <Button asChild look="main" size="reader">
              <Link to="/">{t('To my reading')}</Link>
            </Button>
          </Row>
        </div>
      ) : (
        <Part check={check} stage={stage} work={work} peek={peek} setPeek={setPeek} />
      )}
      {work.waits && (
        <Say className="text-center" role="status">
          {t('Your answers are safe here. You can continue when the internet is back.')}
        </Say>
      )}
      {work.error && !work.over && <Say role="alert">{work.error}</Say>}
    </Frame>
  );
}
