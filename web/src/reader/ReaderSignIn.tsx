import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { type Api, api, ok, sentence } from '../shared/api';
import { Face, Picture, pictureName } from '../shared/Picture';
import { keys } from '../shared/keys';
import { useSession, useSignInBy } from '../shared/session';
import { rememberCode } from '../shared/comingBack';
import { t } from '../shared/words';
import { Button } from '../ui/Button';
import { Row } from '../ui/Page';
import { Say, bigField, islandLook, tile } from '../ui/Reader';
import { PasswordField } from '../ui/TextField';
import { PageTitle } from '../ui/PageTitle';

/** Class code, then the own name tile, then the secret. */
export default function ReaderSignIn() {
  const { code } = useParams();
  return (
    <main className="bg-depth-2 text-reader grid min-h-screen place-items-center px-6 py-12">
      {code ? <Tiles code={code} /> : <Code />}
    </main>
  );
}

function Code() {
  const [code, setCode] = useState('');
  const [error, setError] = useState('');
  const navigate = useNavigate();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await ok(api.GET('/session/class/{code}', { params: { path: { code: code.trim() || '-' } } }));
      await navigate(`/read/${encodeURIComponent(code.trim())}`);
    } catch (problem) {
      setError(sentence(problem));
    }
  };
  return (
    <form className={islandLook()} onSubmit={(e) => void submit(e)}>
      <PageTitle>{t('Class code')}</PageTitle>
      <label className="sr-only" htmlFor="code">
        {t('Class code')}
      </label>
      <input
        id="code"
        type="text"
        className={cx(bigField({ kind: 'code' }), 'uppercase')}
        autoFocus
        autoCapitalize="characters"
        autoComplete="off"
        maxLength={12}
        value={code}
        onChange={(e) => setCode(e.target.value.toUpperCase())}
      />
      {error && <Say role="alert">{error}</Say>}
      <Button look="main" size="reader" type="submit">
        {t('Continue')}
      </Button>
      <Button asChild look="plain" size="reader">
        <Link to="/staff">{t('I am a teacher')}</Link>
      </Button>
    </form>
  );
}

function Tiles({ code }: { code: string }) {
  const room = useQuery({
    queryKey: keys.code(code),
    retry: false,
    queryFn: () => ok(api.GET('/session/class/{code}', { params: { path: { code } } })),
  });
  const [search, setSearch] = useSearchParams();
  const [joining, setJoining] = useState(false);
  const handed = useSession().data?.handedOver;
  // A card's QR leads straight to its tile.
  const asked = search.get('tile');
  const [who, setWho] = useState<Api<'Tile'> | null>(null);
  const chosen = who ?? room.data?.tiles.find((one) => one.id === asked) ?? null;
  const back = () => {
    setWho(null);
    setSearch({});
  };
  if (room.error)
    return (
      <div className={islandLook()}>
        <PageTitle>{t('Class code')}</PageTitle>
        <Say role="alert">{sentence(room.error)}</Say>
        <Button asChild look="main" size="reader">
          <Link to="/read">{t('Try another code')}</Link>
        </Button>
      </div>
    );
  if (!room.data)
    return (
      <div className={islandLook()} role="status">
        …
      </div>
    );
  if (joining) return <Join code={code} back={() => setJoining(false)} />;
  if (chosen)
    return chosen.secretKind === 'Pictures' ? (
      <Pictures code={code} who={chosen} pictures={room.data.pictures} back={back} />
    ) : (
      <Typed code={code} who={chosen} back={back} />
    );
  return (
    <div className={islandLook({ kind: 'wide' })}>
      <PageTitle>{t('{{name}}: who are you?', { name: room.data.className })}</PageTitle>
      {room.data.tiles.length === 0 && <p>{t('No one is in this class yet.')}</p>}
      <ul className="grid w-full grid-cols-[repeat(auto-fill,minmax(136px,1fr))] gap-2.5">
        {room.data.tiles.map((one) => (
          <li key={one.id}>
            <button className={tile} onClick={() => setWho(one)}>
              <Face id={one.id} name={one.name} />
              {one.name}
            </button>
          </li>
        ))}
      </ul>
      <Row>
        <Button look="plain" size="reader" onClick={() => setJoining(true)}>
          {t('My name is not here')}
        </Button>
        {!handed && (
          <Button asChild look="plain" size="reader">
            <Link to="/read">{t('This is not my class')}</Link>
          </Button>
        )}
      </Row>
      {handed && <BackToDesk name={handed.teacherName} />}
    </div>
  );
}

/** The way back to the teacher's side of a device that was handed over: by password only. */
function BackToDesk({ name }: { name: string }) {
  const [open, setOpen] = useState(false);
  const [password, setPassword] = useState('');
  const [error, setError] = useState('');
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await signInBy(() => ok(api.POST('/session/return', { body: { password } })));
      await navigate('/');
    } catch (problem) {
      setError(sentence(problem));
      setPassword('');
    }
  };
  if (!open)
    return (
      <Button look="plain" size="reader" onClick={() => setOpen(true)}>
        {t('Back to teacher pages')}
      </Button>
    );
  return (
    <form className="flex flex-wrap items-center gap-2" onSubmit={(e) => void submit(e)}>
      <PasswordField
        label={t('Password of {{name}}', { name })}
        inline
        size="reader"
        autoFocus
        autoComplete="current-password"
        value={password}
        set={setPassword}
      />
      <Button look="main" size="reader" type="submit">
        {t('Back')}
      </Button>
      {error && <Say role="alert">{error}</Say>}
    </form>
  );
}

function Join({ code, back }: { code: string; back: () => void }) {
  const [id] = useState(() => crypto.randomUUID());
  const [given, setGiven] = useState('');
  const [family, setFamily] = useState('');
  const [said, setSaid] = useState('');
  const [done, setDone] = useState(false);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await ok(api.POST('/session/join', { body: { id, code, givenName: given, familyName: family } }));
      setDone(true);
    } catch (problem) {
      setSaid(sentence(problem));
    }
  };
  if (done)
    return (
      <div className={islandLook()}>
        <PageTitle>{t('Thank you')}</PageTitle>
        <p role="status">{t('Your teacher will let you in.')}</p>
        <Button look="main" size="reader" onClick={back}>
          {t('Back to the names')}
        </Button>
      </div>
    );
  return (
    <form className={islandLook()} onSubmit={(e) => void submit(e)}>
      <PageTitle>{t('What is your name?')}</PageTitle>
      <label htmlFor="jg">{t('Given name')}</label>
      <input
        id="jg"
        type="text"
        className={bigField({ kind: 'name' })}
        autoFocus
        autoComplete="off"
        maxLength={60}
        value={given}
        onChange={(e) => setGiven(e.target.value)}
      />
      <label htmlFor="jf">{t('Family name')}</label>
      <input
        id="jf"
        type="text"
        className={bigField({ kind: 'name' })}
        autoComplete="off"
        maxLength={60}
        value={family}
        onChange={(e) => setFamily(e.target.value)}
      />
      {said && <Say role="alert">{said}</Say>}
      <Row>
        <Button look="main" size="reader" type="submit" disabled={!given.trim()}>
          {t('Ask to join')}
        </Button>
        <Button look="plain" size="reader" onClick={back}>
          {t('Back to the names')}
        </Button>
      </Row>
    </form>
  );
}

function useTry(code: string, who: Api<'Tile'>) {
  const [error, setError] = useState('');
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const attempt = async (secret: string) => {
    setError('');
    try {
      await signInBy(() => ok(api.POST('/session/reader', { body: { code, readerId: who.id, secret } })));
      rememberCode(code);
      await navigate('/');
      return true;
    } catch (problem) {
      setError(sentence(problem));
      return false;
    }
  };
  return { error, attempt };
}

/** A short code or a password. */
function Typed({ code, who, back }: { code: string; who: Api<'Tile'>; back: () => void }) {
  const [secret, setSecret] = useState('');
  const { error, attempt } = useTry(code, who);
  const isCode = who.secretKind === 'Code';
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    if (!(await attempt(secret))) setSecret('');
  };
  return (
    <form className={islandLook()} onSubmit={(e) => void submit(e)}>
      <PageTitle>
        {isCode
          ? t('{{name}}, type your code', { name: who.name })
          : t('{{name}}, type your password', { name: who.name })}
      </PageTitle>
      <label className="sr-only" htmlFor="secret">
        {isCode ? t('Your code') : t('Your password')}
      </label>
      <input
        id="secret"
        type={isCode ? 'text' : 'password'}
        className={bigField({ kind: isCode ? 'code' : 'name' })}
        autoFocus
        autoCapitalize="none"
        autoComplete="off"
        value={secret}
        onChange={(e) => setSecret(e.target.value)}
      />
      {error && <Say role="alert">{error}</Say>}
      <Row>
        <Button look="main" size="reader" type="submit" disabled={!secret.trim()}>
          {t('Continue')}
        </Button>
        <Button look="plain" size="reader" onClick={back}>
          {t('That is not me')}
        </Button>
      </Row>
    </form>
  );
}

function Pictures({
  code,
  who,
  pictures,
  back,
}: {
  code: string;
  who: Api<'Tile'>;
  pictures: string[];
  back: () => void;
}) {
  const [chosen, setChosen] = useState<string[]>([]);
  const { error, attempt } = useTry(code, who);
  const needed = 3;
  const choose = async (picture: string) => {
    const next = [...chosen, picture];
    setChosen(next);
    if (next.length === needed && !(await attempt(next.join(' ')))) setChosen([]);
  };
  return (
    <div className={islandLook({ kind: 'wide' })}>
      <PageTitle>{t('{{name}}, tap your three pictures', { name: who.name })}</PageTitle>
      <ol
        className={cx(
          '*:border-soft flex gap-3 *:grid *:size-16 *:place-content-center *:rounded-lg *:border-2',
          '*:border-dashed',
        )}
        aria-label={t('Chosen so far')}
      >
        {Array.from({ length: needed }, (_, i) => (
          <li key={i}>
            {chosen[i] ? (
              <>
                <Picture name={chosen[i]} />
                <span className="sr-only">{pictureName(chosen[i])}</span>
              </>
            ) : (
              <span className="sr-only">{t('empty')}</span>
            )}
          </li>
        ))}
      </ol>
      <Say role="alert">{error}</Say>
      <ul className="grid w-full grid-cols-3 gap-2.5 sm:grid-cols-4 md:grid-cols-6">
        {pictures.map((p) => (
          <li key={p}>
            <button className={tile} disabled={chosen.length >= needed} onClick={() => void choose(p)}>
              <Picture name={p} />
              {pictureName(p)}
            </button>
          </li>
        ))}
      </ul>
      <Row>
        <Button size="reader" onClick={() => setChosen([])} disabled={chosen.length === 0}>
          {t('Start again')}
        </Button>
        <Button look="plain" size="reader" onClick={back}>
          {t('That is not me')}
        </Button>
      </Row>
    </div>
  );
}
