import { cx } from 'class-variance-authority';
import { useState } from 'react';
import type { Api } from '../../shared/api';
import { Picture, pictureName } from '../../shared/Picture';
import { t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { Row } from '../../ui/Page';
import { PageTitle } from '../../ui/PageTitle';
import { Say, tile } from '../../ui/Reader';
import { islandLook } from '../../ui/looks';
import { useTry } from './useTry';

/** Three pictures, tapped in their order. */
export function PictureSecret({
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
