import { cx } from 'class-variance-authority';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ok, type Api } from '../../shared/api';
import { fm, listed } from '../../shared/format';
import { keys } from '../../shared/keys';
import { Block, plain } from '../../shared/paragraphs';
import { t } from '../../shared/words';
import { Dialog } from '../../ui/Dialog';
import { Segments } from '../../ui/Segments';
import { Show } from '../../ui/Show';
import { hardPlaces, piecesOf } from '../texts/hardPlaces';
import type { Asked, Results } from './results';

type Version = Api<'TextVersionView'>;

/** A question's passage: what proves the answer, and the sentences and words that make it hard. */
export function HardPassage({ r, q, textId, close }: { r: Results; q: Asked; textId: string; close: () => void }) {
  const text = useQuery({
    queryKey: keys.text.one(textId),
    queryFn: () => ok(api.GET('/texts/{textId}', { params: { path: { textId } } })),
  });
  const [chosen, choose] = useState('');
  const readBy = (label: string) => r.readers.filter((x) => x.version === label).length;
  return (
    <Dialog title={text.data?.title ?? t('Passage')} close={close} wide>
      <Show query={text}>
        {(x) => {
          const read = x.versions.filter((v) => readBy(v.label) > 0);
          const version = read.find((v) => v.label === chosen) ?? read[0] ?? x.versions[0];
          return (
            version && (
              <div className="grid gap-3">
                {read.length > 1 && (
                  <div>
                    <Segments
                      label={t('Version')}
                      value={version.label}
                      set={choose}
                      options={read.map((v) => ({
                        value: v.label,
                        label: t('{{n}} fm, {{count}} readers', { n: fm(v.depth), count: readBy(v.label) }),
                      }))}
                    />
                  </div>
                )}
                <Legend version={version} q={q} />
                <Marked version={version} proof={q.question.proofs[version.label] ?? q.question.proofs.all ?? null} />
              </div>
            )
          );
        }}
      </Show>
    </Dialog>
  );
}

const longLook = 'bg-depth-2 box-decoration-clone';
const rareLook = 'font-semibold underline decoration-dotted decoration-2 underline-offset-4';
const proofLook = 'border-overlay border-l-4 pl-3';

function Legend({ version, q }: { version: Version; q: Asked }) {
  const { longestSentences: long, rarestWords: rare } = version.measure;
  return (
    <dl className="bg-sand grid gap-1 rounded-md px-3 py-2 text-sm">
      <div className="flex gap-2">
        <dt>
          <span className={longLook}>{t('Longest sentences')}</span>
        </dt>
        <dd>{t('{{list}} words', { list: listed(long.map((s) => String(s.words))) })}</dd>
      </div>
      {rare.length > 0 && (
        <div className="flex gap-2">
          <dt>
            <span className={rareLook}>{t('Rarest words')}</span>
          </dt>
          <dd>{listed(rare)}</dd>
        </div>
      )}
      {Object.keys(q.question.proofs).length > 0 && (
        <div className="flex gap-2">
          <dt className={proofLook}>{t('Proof')}</dt>
          <dd>{t('The paragraph that proves the answer')}</dd>
        </div>
      )}
    </dl>
  );
}

/** The version's paragraphs with what is hard in them. */
function Marked({ version, proof }: { version: Version; proof: string | null }) {
  return (
    <div className="grid max-w-170 gap-2.5 font-serif text-lg">
      {version.pages.flat().map((p, i) => {
        const places = hardPlaces(plain(p), version.measure);
        return (
          <div key={i} className={cx(proof !== null && proof !== '' && p.includes(proof) && proofLook)}>
            <Block
              text={p}
              words={(said, at) =>
                piecesOf(said, at, places).map((piece, n) => (
                  <span key={n} className={cx(piece.sentence && longLook, piece.word && rareLook) || undefined}>
                    {piece.text}
                  </span>
                ))
              }
            />
          </div>
        );
      })}
    </div>
  );
}
