import { Link } from 'react-router';
import type { Api } from '../../shared/api';
import { shortDay, signed } from '../../shared/format';
import { say, t } from '../../shared/words';
import { fallsOf } from './falls';

/** The quizzes after which the level fell most: one press leads to what was answered. */
export function Falls({ r, classId }: { r: Api<'ReaderView'>; classId: string }) {
  const falls = fallsOf(r.marks);
  if (falls.length === 0) return null;
  return (
    <p className="flex flex-wrap gap-x-3 text-sm">
      <span>{t('Fell most with:')}</span>
      {falls.map((m) => (
        <Link key={m.ticketId} to={`/class/${classId}/tickets/${m.ticketId}`} className="min-h-6">
          {t('{{title}}, {{day}}, {{moved}} fm', { title: say(m.note), day: shortDay(m.at), moved: signed(m.moved) })}
        </Link>
      ))}
    </p>
  );
}
