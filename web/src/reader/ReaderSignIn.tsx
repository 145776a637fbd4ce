import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { type Api, api, ok, sentence } from '../shared/api';
import { Face, Picture, pictureName } from '../shared/Picture';
import { keys } from '../shared/keys';
import { useSession, useSignInBy } from '../shared/session';
import { rememberCode } from '../shared/SignedOut';
import { t } from '../shared/words';
import './reader.css';
import './readerviews.css';

/** Class code, then the own name tile, then the secret. */
export default function ReaderSignIn() {
  const { code } = useParams();
  return <main className="readerdoor">{code ? <Tiles code={code} /> : <Code />}</main>;
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
    <form className="island" onSubmit={(e) => void submit(e)}>
      <h1>{t('Class code')}</h1>
      <label className="hide" htmlFor="code">
        {t('Class code')}
      </label>
      <input
        id="code"
        type="text"
        className="bigcode"
        autoFocus
        autoCapitalize="characters"
        autoComplete="off"
        maxLength={12}
        value={code}
        onChange={(e) => setCode(e.target.value.toUpperCase())}
      />
      {error && (
        <p className="say" role="alert">
          {error}
        </p>
      )}
      <button className="rbtn main">{t('Go on')}</button>
      <Link className="rbtn plain" to="/staff">
        {t('I am a teacher')}
      </Link>
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
  const chosen = who ?? room.data?.tiles.find((tile) => tile.id === asked) ?? null;
  const back = () => {
    setWho(null);
    setSearch({});
  };
  if (room.error)
    return (
      <div className="island">
        <h1>{t('Class code')}</h1>
        <p className="say" role="alert">
          {sentence(room.error)}
        </p>
        <Link className="rbtn main" to="/read">
          {t('Try another code')}
        </Link>
      </div>
    );
  if (!room.data)
    return (
      <div className="island" role="status">
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
    <div className="island wide">
      <h1>{t('{{name}}: who are you?', { name: room.data.className })}</h1>
      {room.data.tiles.length === 0 && <p>{t('There is nobody in this class yet.')}</p>}
      <ul className="tiles">
        {room.data.tiles.map((tile) => (
          <li key={tile.id}>
            <button onClick={() => setWho(tile)}>
              <Face id={tile.id} name={tile.givenName} />
              {tile.givenName}
            </button>
          </li>
        ))}
      </ul>
      <p className="row">
        <button className="rbtn plain" onClick={() => setJoining(true)}>
          {t('I am not here yet')}
        </button>
        {!handed && (
          <Link className="rbtn plain" to="/read">
            {t('This is not my class')}
          </Link>
        )}
      </p>
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
      <button className="rbtn plain" onClick={() => setOpen(true)}>
        {t('Back to the teacher’s side')}
      </button>
    );
  return (
    <form className="row" onSubmit={(e) => void submit(e)}>
      <label htmlFor="back">{t('Password of {{name}}', { name })}</label>
      <input
        id="back"
        type="password"
        autoFocus
        autoComplete="current-password"
        value={password}
        onChange={(e) => setPassword(e.target.value)}
      />
      <button className="rbtn main">{t('Go back')}</button>
      {error && (
        <p className="say" role="alert">
          {error}
        </p>
      )}
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
      <div className="island">
        <h1>{t('Thank you')}</h1>
        <p role="status">{t('Your teacher will let you in.')}</p>
        <button className="rbtn main" onClick={back}>
          {t('Back to the names')}
        </button>
      </div>
    );
  return (
    <form className="island" onSubmit={(e) => void submit(e)}>
      <h1>{t('What is your name?')}</h1>
      <label htmlFor="jg">{t('Given name')}</label>
      <input
        id="jg"
        type="text"
        className="bigname"
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
        className="bigname"
        autoComplete="off"
        maxLength={60}
        value={family}
        onChange={(e) => setFamily(e.target.value)}
      />
      {said && (
        <p className="say" role="alert">
          {said}
        </p>
      )}
      <p className="row">
        <button className="rbtn main" disabled={!given.trim()}>
          {t('Ask to join')}
        </button>
        <button type="button" className="rbtn plain" onClick={back}>
          {t('Back to the names')}
        </button>
      </p>
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
    <form className="island" onSubmit={(e) => void submit(e)}>
      <h1>
        {isCode
          ? t('{{name}}, type your code', { name: who.givenName })
          : t('{{name}}, type your password', { name: who.givenName })}
      </h1>
      <label className="hide" htmlFor="secret">
        {isCode ? t('Your code') : t('Your password')}
      </label>
      <input
        id="secret"
        type={isCode ? 'text' : 'password'}
        className={isCode ? 'bigcode lower' : 'bigname'}
        autoFocus
        autoCapitalize="none"
        autoComplete="off"
        value={secret}
        onChange={(e) => setSecret(e.target.value)}
      />
      {error && (
        <p className="say" role="alert">
          {error}
        </p>
      )}
      <p className="row">
        <button className="rbtn main" disabled={!secret.trim()}>
          {t('Go on')}
        </button>
        <button type="button" className="rbtn plain" onClick={back}>
          {t('That is not me')}
        </button>
      </p>
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
    <div className="island wide">
      <h1>{t('{{name}}, tap your three pictures', { name: who.givenName })}</h1>
      <ol className="slots" aria-label={t('Chosen so far')}>
        {Array.from({ length: needed }, (_, i) => (
          <li key={i}>
            {chosen[i] ? (
              <>
                <Picture name={chosen[i]} />
                <span className="hide">{pictureName(chosen[i])}</span>
              </>
            ) : (
              <span className="hide">{t('empty')}</span>
            )}
          </li>
        ))}
      </ol>
      <p className="say" role="alert">
        {error}
      </p>
      <ul className="pictures">
        {pictures.map((p) => (
          <li key={p}>
            <button disabled={chosen.length >= needed} onClick={() => void choose(p)}>
              <Picture name={p} />
              {pictureName(p)}
            </button>
          </li>
        ))}
      </ul>
      <p className="row">
        <button className="rbtn" onClick={() => setChosen([])} disabled={chosen.length === 0}>
          {t('Start again')}
        </button>
        <button className="rbtn plain" onClick={back}>
          {t('That is not me')}
        </button>
      </p>
    </div>
  );
}
