import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { type Api, api, ok, sentence } from '../../shared/api';
import { Face } from '../../shared/Picture';
import { keys } from '../../shared/keys';
import { fetchWhenIdle } from '../../shared/part';
import { useSession } from '../../shared/session';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { PageTitle } from '../../ui/PageTitle';
import { Say, tile } from '../../ui/Reader';
import { doorPage, islandLook } from '../../ui/looks';
import { OwnColumns } from '../home/own';
import { Older, Young } from '../home/parts';
import { Reading } from '../parts';
import { ReaderSide } from '../side';
import { BackToDesk } from './BackToDesk';
import { Code } from './Code';
import { Join } from './Join';
import { PictureSecret } from './PictureSecret';
import { TypedSecret } from './TypedSecret';

const first = [ReaderSide, Older, OwnColumns, Young, Reading];

/** Class code, then the own name tile, then the secret. */
export default function ReaderSignIn() {
  const { code } = useParams();
  // While a code is typed and pictures are tapped, the home comes.
  useEffect(() => fetchWhenIdle(first), []);
  return <main className={doorPage}>{code ? <Tiles code={code} /> : <Code />}</main>;
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
      <PictureSecret code={code} who={chosen} pictures={room.data.pictures} back={back} />
    ) : (
      <TypedSecret code={code} who={chosen} back={back} />
    );
  return (
    <div className={islandLook({ kind: 'wide' })}>
      <PageTitle>{t('{{name}}: who are you?', { name: room.data.className })}</PageTitle>
      {room.data.tiles.length === 0 && <p>{t('No one is in this class yet.')}</p>}
      <ul className="grid w-full grid-cols-[repeat(auto-fill,minmax(136px,1fr))] gap-2.5">
        {room.data.tiles.map((one) => (
          <li key={one.id}>
            <button className={tile} onClick={() => setWho(one)}>
              <Face picture={one.picture} name={one.name} />
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
