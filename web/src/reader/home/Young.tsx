import { Door } from '@phosphor-icons/react';
import { Link } from 'react-router';
import type { Session } from '../../shared/session';
import { TextDrawing } from '../../shared/TextDrawing';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { ReaderPage } from '../../ui/Reader';
import { useTitle } from '../../ui/useTitle';
import { useChoices, toTicket, type Home, type MyTicket } from '../queries';
import { RefusedNote } from '../RefusedNote';
import { KeptNote } from '../KeptNote';
import { useTake } from '../ChooseNext';
import { Checks } from './Checks';
import { Drawing } from './Drawing';
import { Said } from './Said';
import { YoungPools } from './TidePools';

const beside = 2;

/** The home of the youngest: a picture and a voice for every line, three things at most, no figures and no days. */
export default function Young({
  session,
  home,
  open,
  signOut,
}: {
  session: Session;
  home: Home | null;
  open: MyTicket[];
  signOut: () => void;
}) {
  const hello = t('Hello, {{name}}', { name: session.name });
  useTitle(hello);
  const [next, ...rest] = open;
  return (
    <ReaderPage className="font-first text-[26px] leading-8.5">
      <header className="border-ink bg-paper relative z-4 flex min-h-21 flex-wrap items-center gap-3.5 border-b-[1.5px] px-5 py-3 md:px-11">
        <Said text={hello}>
          {(words) => (
            <h1 tabIndex={-1} className="font-first text-[28px] leading-9 font-bold outline-none">
              {words}
            </h1>
          )}
        </Said>
        <KeptNote />
        <span className="grow" />
        <Said text={t('Bye')}>
          {(words) => (
            <Button size="reader" className="font-first h-15! border-2! text-[26px]! font-bold!" onClick={signOut}>
              <Door size={34} aria-hidden />
              <span>{words}</span>
            </Button>
          )}
        </Said>
      </header>
      <main id="title" className="mx-auto max-w-201 px-5 pt-10 pb-14">
        <RefusedNote />
        <Checks />
        {next ? <First ticket={next} /> : <AllDone />}
        {rest.length > 0 && (
          <ul className="mt-12 grid gap-6 sm:grid-cols-2" aria-label={t('After that')}>
            {rest.slice(0, beside).map((k) => (
              <li key={k.id}>
                <Small ticket={k} />
              </li>
            ))}
          </ul>
        )}
        {rest.length < beside && <Choose most={beside - rest.length} />}
        {home?.pool && (
          <section aria-labelledby="pools" className="mt-12">
            <Said text={t('Tide pools')} className="mb-4">
              {(words) => (
                <h2 id="pools" className="font-first text-[28px] leading-9 font-bold">
                  {words}
                </h2>
              )}
            </Said>
            <YoungPools pool={home.pool} />
          </section>
        )}
      </main>
    </ReaderPage>
  );
}

function First({ ticket: k }: { ticket: MyTicket }) {
  const go = k.kind === 'Text' || k.kind === 'Recording' ? t('Read') : t('Start');
  return (
    <article
      aria-labelledby="next"
      className="border-ink bg-paper shadow-island relative overflow-clip rounded-[22px] border-2"
    >
      <Drawing of={k} className="border-ink block aspect-[2/1] w-full border-b-2 object-[50%_70%]" />
      <div className="border-ink bg-paper absolute -top-0.5 -left-0.5 rounded-br-[22px] border-2 py-2 pr-6 pl-4">
        <Said text={t('Next')} className="text-[30px] leading-9 font-bold" />
      </div>
      <div className="grid gap-3.5 px-7 pt-4 pb-6 pl-5">
        <Said ofText text={k.title}>
          {(words) => (
            <h2 id="next" className="font-first text-[42px] leading-13 font-bold">
              {words}
            </h2>
          )}
        </Said>
        {k.blurb && <Said ofText text={k.directions || k.blurb} className="text-[30px] leading-9.5" />}
        <Said text={go}>
          {(words) => (
            <Button
              asChild
              look="main"
              size="reader"
              className="font-first h-20! grow border-2! text-[34px]! font-bold!"
            >
              <Link to={toTicket(k)} aria-label={`${go}: ${k.title}`}>
                <span>{words}</span>
              </Link>
            </Button>
          )}
        </Said>
      </div>
    </article>
  );
}

const smallLook =
  'border-ink bg-paper relative grid min-h-34 grid-cols-[140px_minmax(0,1fr)] overflow-clip rounded-r-[10px] ' +
  'border-2 border-l-7 [border-left-style:double]';

function Small({ ticket: k }: { ticket: MyTicket }) {
  return (
    <article className={smallLook}>
      <Drawing of={k} className="border-ink h-full w-35 border-r-2" />
      <Said ofText text={k.title} className="px-3">
        {(words) => (
          <h3 className="font-first text-[26px] leading-8 font-bold">
            <Link to={toTicket(k)} className="no-underline after:absolute after:inset-0">
              {words}
            </Link>
          </h3>
        )}
      </Said>
    </article>
  );
}

/** Where little is asked, something to choose. */
function Choose({ most }: { most: number }) {
  const choices = useChoices().data;
  const take = useTake();
  if (!choices?.open || choices.left === 0 || choices.offers.length === 0) return null;
  return (
    <section aria-labelledby="choose" className="mt-12">
      <Said text={t('Choose something to read')}>
        {(words) => (
          <h2 id="choose" className="font-first text-[28px] leading-9 font-bold">
            {words}
          </h2>
        )}
      </Said>
      <ul className="mt-4 grid gap-6 sm:grid-cols-2">
        {choices.offers.slice(0, most).map((o) => (
          <li key={o.textId}>
            <article className={smallLook}>
              {o.picture ? (
                <TextDrawing
                  textId={o.textId}
                  shows={o.picture}
                  className="border-ink h-full w-35 border-r-2 object-cover"
                  instead={<span className="bg-depth-1 border-ink border-r-2" />}
                />
              ) : (
                <span className="bg-depth-1 border-ink border-r-2" />
              )}
              <Said ofText text={o.title} className="px-3">
                {(words) => (
                  <h3 className="font-first text-[26px] leading-8 font-bold">
                    <button
                      type="button"
                      className="text-left after:absolute after:inset-0"
                      disabled={take.isPending}
                      onClick={() => take.mutate(o)}
                    >
                      {words}
                    </button>
                  </h3>
                )}
              </Said>
            </article>
          </li>
        ))}
      </ul>
    </section>
  );
}

const AllDone = () => (
  <article className="border-ink bg-paper shadow-island rounded-[22px] border-2 p-7">
    <Said text={t('All done')}>
      {(words) => <h2 className="font-first text-[42px] leading-13 font-bold">{words}</h2>}
    </Said>
  </article>
);
