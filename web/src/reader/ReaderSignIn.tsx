import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { get, post, sentence, type Api } from '../shared/api';
import { Face, Picture, pictureName } from '../shared/Picture';
import { useSignInBy } from '../shared/session';
import { t } from '../shared/words';
import './reader.css';
import './readerviews.css';

/** Class code, then the own name tile, then the pictures. */
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
      await get(`/session/class/${encodeURIComponent(code.trim() || '-')}`);
      await navigate(`/read/${encodeURIComponent(code.trim())}`);
    } catch (problem) { setError(sentence(problem)); }
  };
  return (
    <form className="island" onSubmit={(e) => void submit(e)}>
      <h1>{t('Class code')}</h1>
      <label className="hide" htmlFor="code">{t('Class code')}</label>
      <input id="code" type="text" className="bigcode" autoFocus autoCapitalize="characters" autoComplete="off" maxLength={12} value={code} onChange={(e) => setCode(e.target.value.toUpperCase())} />
      {error && <p className="say" role="alert">{error}</p>}
      <button className="rbtn main">{t('Go on')}</button>
      <Link className="rbtn plain" to="/">{t('I am a teacher')}</Link>
    </form>
  );
}

function Tiles({ code }: { code: string }) {
  const room = useQuery({ queryKey: ['code', code], retry: false, queryFn: () => get<Api<'CodeView'>>(`/session/class/${encodeURIComponent(code)}`) });
  const [who, setWho] = useState<Api<'Tile'> | null>(null);
  if (room.error) return <div className="island"><h1>{t('Class code')}</h1><p className="say" role="alert">{sentence(room.error)}</p><Link className="rbtn main" to="/read">{t('Try another code')}</Link></div>;
  if (!room.data) return <div className="island" role="status">…</div>;
  if (who) return <Pictures code={code} who={who} pictures={room.data.pictures} back={() => setWho(null)} />;
  return (
    <div className="island wide">
      <h1>{t('{{name}}: who are you?', { name: room.data.className })}</h1>
      {room.data.tiles.length === 0 && <p>{t('There is nobody in this class yet.')}</p>}
      <ul className="tiles">{room.data.tiles.map((tile) => <li key={tile.id}><button onClick={() => setWho(tile)}><Face id={tile.id} name={tile.givenName} />{tile.givenName}</button></li>)}</ul>
      <Link className="rbtn plain" to="/read">{t('This is not my class')}</Link>
    </div>
  );
}

function Pictures({ code, who, pictures, back }: { code: string; who: Api<'Tile'>; pictures: string[]; back: () => void }) {
  const [chosen, setChosen] = useState<string[]>([]);
  const [error, setError] = useState('');
  const signInBy = useSignInBy();
  const navigate = useNavigate();
  const needed = 3;
  const choose = async (picture: string) => {
    const next = [...chosen, picture];
    setChosen(next);
    setError('');
    if (next.length < needed) return;
    try {
      await signInBy(() => post('/session/reader', { code, readerId: who.id, pictures: next }));
      await navigate('/');
    } catch (problem) { setError(sentence(problem)); setChosen([]); }
  };
  return (
    <div className="island wide">
      <h1>{t('{{name}}, tap your three pictures', { name: who.givenName })}</h1>
      <ol className="slots" aria-label={t('Chosen so far')}>{Array.from({ length: needed }, (_, i) => <li key={i}>{chosen[i] ? <><Picture name={chosen[i]} /><span className="hide">{pictureName(chosen[i])}</span></> : <span className="hide">{t('empty')}</span>}</li>)}</ol>
      <p className="say" role="alert">{error}</p>
      <ul className="pictures">{pictures.map((p) => <li key={p}><button disabled={chosen.length >= needed} onClick={() => void choose(p)}><Picture name={p} />{pictureName(p)}</button></li>)}</ul>
      <p className="row"><button className="rbtn" onClick={() => setChosen([])} disabled={chosen.length === 0}>{t('Start again')}</button><button className="rbtn plain" onClick={back}>{t('That is not me')}</button></p>
    </div>
  );
}
