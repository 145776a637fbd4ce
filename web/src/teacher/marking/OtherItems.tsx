import { ChatCircle, House, Note, UserPlus } from '@phosphor-icons/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Api } from '../../shared/api';
import { dayOf } from '../../shared/format';
import { phrase, t, type Phrase } from '../../shared/words';
import { OtherItem } from './OtherItem';

type Row = Api<'WaitingRow'>;

const icons: Record<Row['kind'], ReactNode> = {
  Note: <Note size={20} aria-hidden />,
  CommentReply: <ChatCircle size={20} aria-hidden />,
  HomeAnswer: <House size={20} aria-hidden />,
  Joining: <UserPlus size={20} aria-hidden />,
};
const said: Record<Row['kind'], Phrase> = {
  Note: phrase('Note by {{name}}'),
  CommentReply: phrase('{{name}} answers your comment'),
  HomeAnswer: phrase('The family of {{name}} answers'),
  Joining: phrase('{{name}} asks to join'),
};

function placeOf(r: Row) {
  if (r.ticketId) return `tickets/${r.ticketId}`;
  return r.kind === 'HomeAnswer' ? `readers/${r.readerId}` : 'readers/class';
}

/** What waits and is no mark: notes to answer, answers to comments, people who ask to join. */
export const OtherItems = ({
  rows,
  classId,
  called,
}: {
  rows: Row[];
  classId: string;
  called: (id: string, given: string) => string;
}) =>
  rows.map((r) => (
    <OtherItem key={`${r.kind} ${r.id}`} icon={icons[r.kind]}>
      <Link to={`/class/${classId}/${placeOf(r)}`} className="font-semibold">
        {t(said[r.kind], { name: r.readerId ? called(r.readerId, r.name) : r.name })}
      </Link>
      {r.words && (
        <span className="line-clamp-2 text-sm">
          {r.title && `${r.title}: `}
          {r.words}
        </span>
      )}
      <span className="text-soft text-sm">{t('since {{day}}', { day: dayOf(r.at) })}</span>
    </OtherItem>
  ));
