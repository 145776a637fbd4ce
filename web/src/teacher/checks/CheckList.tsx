import { X } from '@phosphor-icons/react';
import { Link } from 'react-router';
import { type Api, api, ok } from '../../shared/api';
import { clock, dayOf, fm, halfRange, percent, signed, timeOf } from '../../shared/format';
import { setAsideSentences } from '../../shared/setAside';
import { sure } from '../../shared/sure';
import { say, t } from '../../shared/words';
import { Button } from '../../ui/Button';
import { TableBody, TableHead, TableScroll, Td, Th } from '../../ui/table/Table';
import { calledIn, type ClassData } from '../classQueries';
import { begun, partNames, type Check, type Part, type Sitting } from './checkQueries';
import { FlagMark } from './FlagMark';

type Changed = Api<'CheckChanged'>;

/** A check as a table: each reader's parts, level before and now. */
export function CheckList({
  k,
  data,
  act,
}: {
  k: Check;
  data: ClassData | undefined;
  act: (doIt: () => Promise<Changed>) => void;
}) {
  const called = calledIn(data);
  const params = { path: { checkId: k.id } };
  const parts = k.plan.parts.map((p) => p.part);
  const many = new Set(k.sittings.map((s) => s.class)).size > 1;
  return (
    <TableScroll label={t('Readers and parts')}>
      <TableHead>
        <tr>
          <Th>{t('Reader')}</Th>
          {many && <Th>{t('Class')}</Th>}
          {parts.map((p) => (
            <Th className="first-letter:uppercase" key={p}>
              {t(partNames[p])}
            </Th>
          ))}
          <Th num>{t('Before')}</Th>
          <Th num>{t('Level now')}</Th>
          <Th num>{t('Moved')}</Th>
          <Th>{t('Last seen')}</Th>
          <Th num>
            <span className="sr-only">{t('Next step')}</span>
          </Th>
        </tr>
      </TableHead>
      <TableBody>
        {k.sittings.map((s) => (
          <tr key={s.id}>
            <Th scope="row">
              {data ? (
                <Link to={`/class/${data.id}/readers/${s.readerId}`}>
                  {s.givenName} {s.familyName}
                </Link>
              ) : (
                `${s.givenName} ${s.familyName}`
              )}
            </Th>
            {many && <Td>{s.class}</Td>}
            {parts.map((p) => (
              <Td key={p}>
                <PartCell p={s.parts.find((x) => x.part === p)} />
              </Td>
            ))}
            <Td num>{fm(s.before)}</Td>
            <Td num>{s.after == null ? '–' : `${fm(s.after)} ± ${halfRange(sure(s.sd)).toFixed(1)}`}</Td>
            <Td num>{s.after == null ? '–' : signed(s.moved)}</Td>
            <Td>
              {begun(s) ? timeOrDay(s.changedAt) : ''}
              <Late s={s} setAside={k.setAside.filter((x) => x.sittingId === s.id).map((x) => x.work)} />
            </Td>
            <Td>
              <span className="flex justify-end gap-1">
                {s.again > 0 && (
                  <Button
                    size="sm"
                    onClick={() =>
                      act(() => ok(api.POST('/checks/{checkId}/again', { params, body: { readerIds: [s.readerId] } })))
                    }
                    aria-label={t('Give {{name}} these parts again', { name: called(s.readerId, s.givenName) })}
                  >
                    {t('Give again')}
                  </Button>
                )}
                <Button
                  size="sm"
                  square
                  title={t('Take back from {{name}}', { name: called(s.readerId, s.givenName) })}
                  onClick={() =>
                    act(() =>
                      ok(api.POST('/checks/{checkId}/take-back', { params, body: { readerIds: [s.readerId] } })),
                    )
                  }
                  aria-label={t('Take back from {{name}}', { name: called(s.readerId, s.givenName) })}
                >
                  <X size={16} aria-hidden />
                </Button>
              </span>
            </Td>
          </tr>
        ))}
      </TableBody>
    </TableScroll>
  );
}

/** What came after the check had ended. */
function Late({ s, setAside }: { s: Sitting; setAside: Api<'SetAsideView'>[] }) {
  const said = [
    ...(s.late > 0 ? [t('{{count}} answers sent after the end', { count: s.late })] : []),
    ...setAsideSentences(setAside.filter((x) => x.kind !== 'Reading')),
  ];
  return said.length > 0 && <small className="text-soft"> {said.join(' ')}</small>;
}

const timeOrDay = (at: string) => (new Date(at).toDateString() === new Date().toDateString() ? timeOf(at) : dayOf(at));
/** How a part stands, in a few words: what came of it, or how far it is. */
function PartCell({ p }: { p: Part | undefined }) {
  if (!p) return null;
  if (p.state === 'Skipped')
    return (
      <span className="text-soft">
        {t('skipped')}
        <small> {say(p.note)}</small>
      </span>
    );
  const again = p.rounds > 1 ? t('given again') : '·';
  if (p.state === 'Waiting')
    return <span className="text-soft">{p.flag === 'Missing' ? <FlagMark of="Missing" /> : again}</span>;
  const share = p.answered > 0 ? percent(p.correct / p.answered) : '';
  const result = p.score != null ? t('{{n}} a minute', { n: p.score.toFixed(1) }) : share;
  return (
    <span className="inline-flex items-baseline gap-1.5">
      {p.state === 'UnderWay' && p.flag !== 'Missing' ? (
        t('under way, {{count}} answered', { count: p.answered })
      ) : (
        <span title={t('{{n}} of {{of}} right', { n: p.correct, of: p.answered })}>
          {result} <small className="text-soft">{clock(p.seconds)}</small>
        </span>
      )}
      {p.flag !== 'Fine' && <FlagMark of={p.flag} />}
    </span>
  );
}
