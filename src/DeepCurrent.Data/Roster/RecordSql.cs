using DeepCurrent.Core.Access;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Readers;

namespace DeepCurrent.Data.Roster;

/// <summary>Everything that is kept of one reader, read at once and deleted at once.</summary>
internal static class RecordSql
{
    internal const string WholeSql = """
        select json_build_object(
          'reader', (select to_jsonb(x) - 'secret' from reader x where x.id = r.id),
          'enrolments',
          (
            select json_agg(
              json_build_object('class', k.name, 'year', y.name, 'from', e.from_day, 'to', e.to_day)
              order by e.from_day)
            from enrolment e join class k on k.id = e.class_id join school_year y on y.id = k.school_year_id
            where e.reader_id = r.id),
          'evidence',
          (select json_agg(to_jsonb(e) - 'reader_id' order by e.at) from evidence e where e.reader_id = r.id),
          'depthByDay',
          (select json_agg(to_jsonb(d) - 'reader_id' order by d.day) from depth_day d where d.reader_id = r.id),
          'readings',
          (select json_agg(json_build_object(
              'text', coalesce(t.title, y.content ->> 'title'), 'kind', y.kind, 'version', v.label, 'depth', v.depth,
              'assignedAt', a.assigned_at,
              'dueOn', coalesce(k.due_on, a.due_on), 'state', k.state, 'openedAt', k.opened_at, 'handedInAt', k.handed_in_at,
              'score', k.score, 'forecast', k.forecast,
              'fromElsewhere',
              (
                select json_build_object('points', z.points, 'of', z.of_points)
                from typed_result z
                where z.ticket_id = k.id),
              'answers',
              (
                select json_agg(
                  json_build_object(
                    'question', q.stem, 'response', n.response, 'mark', n.mark, 'comment', n.comment, 'correct',
                    n.correct, 'round', n.round, 'attempt', n.attempt, 'at', n.at, 'tooFast', n.too_fast)
                  order by n.at)
                from answer n join question q on q.id = n.question_id
                where n.ticket_id = k.id),
              'rounds',
              (
                select json_agg(
                  json_build_object(
                    'round', d.number, 'begun', d.begun, 'begunAt', d.begun_at, 'comment', d.comment, 'handedInAt',
                    d.handed_in_at, 'score', d.score)
                  order by d.number)
                from round d
                where d.ticket_id = k.id),
              'replies',
              (
                select json_agg(
                  json_build_object(
                    'round', p.round, 'words', p.words, 'practised', p.practised, 'at', p.at, 'mark', p.mark, 'comment',
                    p.comment)
                  order by p.round)
                from reply p
                where p.ticket_id = k.id),
              'papers',
              (
                select json_agg(
                  json_build_object('paper', p.name, 'round', m.round, 'strokes', m.strokes, 'at', m.at)
                  order by m.at)
                from paper_copy m join paper p on p.id = m.paper_id
                where m.ticket_id = k.id),
              'repliesToComments',
              (
                select json_agg(json_build_object('words', c.words, 'at', c.at) order by c.at)
                from comment_reply c
                where c.ticket_id = k.id),
              'resultLookedAt',
              (
                select json_agg(json_build_object('seconds', f.seconds, 'startedAt', f.started_at) order by f.started_at)
                from feedback_spell f
                where f.ticket_id = k.id),
              'talkedOver',
              (
                select json_agg(json_build_object('question', tq.stem, 'at', o.at) order by o.at)
                from talked_over o join question tq on tq.id = o.question_id
                where o.ticket_id = k.id),
              'spells',
              (
                select json_agg(
                  json_build_object('page', s.page, 'seconds', s.seconds, 'startedAt', s.started_at)
                  order by s.started_at)
                from spell s
                where s.ticket_id = k.id)) order by a.assigned_at)
            from ticket k
              join assignment a on a.id = k.assignment_id
              join task y on y.id = k.task_id
              left join version v on v.id = k.version_id
              left join text t on t.id = v.text_id
            where k.reader_id = r.id),
          'notes',
          (
            select json_agg(
              json_build_object(
                'page', o.page, 'passage', o.quote, 'words', o.words, 'at', o.at, 'removedAt', o.removed_at, 'answer',
                o.answer, 'answeredAt', o.answered_at,
                'reply', o.reply, 'repliedAt', o.replied_at)
              order by o.at)
            from note o
            where o.reader_id = r.id),
          'keptWords',
          (select json_agg(to_jsonb(w) - 'reader_id' order by w.kept_at) from kept_word w where w.reader_id = r.id),
          'readElsewhere',
          (select json_agg(to_jsonb(o) - 'reader_id' order by o.day) from own_reading o where o.reader_id = r.id),
          'ratings',
          (select json_agg(to_jsonb(g) - 'reader_id' order by g.at) from rating g where g.reader_id = r.id),
          'meetings',
          (
            select json_agg(
              json_build_object(
                'day', m.day, 'point', m.point, 'strand', m.strand, 'words', m.words, 'here', s.here, 'mark', s.mark,
                'observed', s.observed, 'note', s.note, 'at', s.at)
              order by s.at)
            from meeting_seen s join meeting m on m.id = s.meeting_id
            where s.reader_id = r.id),
          'absences',
          (select json_agg(to_jsonb(b) - 'reader_id' order by b.from_day) from absence b where b.reader_id = r.id),
          'homeMessages',
          (
            select json_agg(to_jsonb(h) - 'reader_id' order by h.written_at) from home_message h where h.reader_id = r.id),
          'homeAnswers',
          (
            select json_agg(to_jsonb(h) - 'reader_id' order by h.answered_at) from home_answer h where h.reader_id = r.id),
          'forConferences',
          (
            select json_agg(
              json_build_object('class', c.name, 'words', w.words, 'writtenAt', w.written_at)
              order by w.written_at)
            from conference_words w join class c on c.id = w.class_id
            where w.reader_id = r.id),
          'signals',
          (
            select json_agg(
              json_build_object(
                'kind', g.kind, 'evidence', g.found, 'foundAt', g.found_at, 'state', g.state, 'until', g.until,
                'endedAt', g.ended_at, 'ended', g.ended)
              order by g.found_at)
            from signal g
            where g.reader_id = r.id),
          'oralReadings',
          (
            select json_agg(
              to_jsonb(k) - 'reader_id' - 'sound' || jsonb_build_object('sound', encode(k.sound, 'base64'))
              order by k.read_at)
            from running_record k
            where k.reader_id = r.id),
          'levelChecks',
          (select json_agg(json_build_object(
              'title', k.name, 'season', k.season, 'givenAt', s.made_at, 'takenBackAt', s.taken_back_at,
              'before', s.before_mean, 'after', s.after_mean,
              'parts',
              (
                select json_agg(
                  to_jsonb(p) - 'sitting_id' || jsonb_build_object(
                    'stages',
                    (
                      select json_agg(
                        json_build_object(
                          'title', g.title, 'seconds', g.seconds, 'items', g.items,
                          'answers',
                          (
                            select json_agg(to_jsonb(n) - 'stage_id' order by n.at)
                            from check_answer n
                            where n.stage_id = g.id))
                        order by g.position)
                      from stage g
                      where g.part_id = p.id))
                  order by p.round, p.position)
                from sitting_part p
                where p.sitting_id = s.id)) order by s.made_at)
            from sitting s join level_check k on k.id = s.check_id
            where s.reader_id = r.id),
          'levelsSet',
          (
            select json_agg(
              json_build_object(
                'level', v.value, 'setAt', v.at, 'until', v.until_at, 'reason', v.reason, 'endedAt', v.ended_at)
              order by v.at)
            from level_set v
            where v.reader_id = r.id),
          'setAside',
          (
            select json_agg(
              json_build_object(
                'kind', z.kind, 'why', z.code, 'answers', z.answers, 'work', z.body, 'givenAt', z.given_at)
              order by z.given_at)
            from set_aside z
            where z.reader_id = r.id),
          'loans',
          (
            select json_agg(
              json_build_object(
                'title', y.title, 'copy', y.code, 'lentAt', l.lent_at, 'dueOn', l.due_on, 'returnedAt',
                l.returned_at)
              order by l.lent_at)
            from loan l join copy y on y.id = l.copy_id
            where l.reader_id = r.id),
          'goals',
          (
            select json_agg(
              json_build_object(
                'term', m.name, 'kind', g.kind, 'target', g.target, 'reason', g.reason, 'setAt', g.set_at,
                'replacedAt', g.replaced_at)
              order by g.set_at)
            from goal g join term m on m.id = g.term_id
            where g.reader_id = r.id),
          'groups',
          (
            select json_agg(json_build_object('group', g.name, 'from', m.joined_at, 'to', m.to_at) order by m.joined_at)
            from (
              select n.group_id, n.joined_at, h.closed_at as to_at
              from group_member n join guided_group h on h.id = n.group_id
              where n.reader_id = r.id
              union all
              select group_id, from_at, to_at from group_stay where reader_id = r.id) m
              join guided_group g on g.id = m.group_id),
          'pictures',
          (
            select json_agg(json_build_object('class', c.name, 'picture', p.picture) order by c.name)
            from class_picture p join class c on c.id = p.class_id
            where p.reader_id = r.id),
          'guardians',
          (
            select json_agg(
              json_build_object('name', a.name, 'mail', a.mail, 'since', w.since, 'endedAt', w.ended_at))
            from guardianship w join adult a on a.id = w.adult_id
            where w.reader_id = r.id),
          'changes',
          (
            select json_agg(
              json_build_object(
                'at', h.at, 'by', a.name, 'what',
                case
                  when (select count(*) from change_reader z where z.change_id = h.id) = 1 then h.summary
                  else jsonb_build_object('key', 'A change to several readers')
                  end)
              order by h.at)
            from change_reader x join change h on h.id = x.change_id join adult a on a.id = h.adult_id
            where x.reader_id = r.id),
          'lookedAt',
          (
            select json_agg(json_build_object('at', l.at, 'by', a.name, 'what', l.what) order by l.at)
            from looked l left join adult a on a.id = l.adult_id
            where l.reader_id = r.id))::text
        from reader r where r.id = @readerId and r.school_id = @schoolId
        """;

    internal const string DeleteSql = $"""
        -- The names as they are written within a JSON text: the whole one anywhere, the given one where it stands alone.
        with named as (
          select substr(w.whole, 2, length(w.whole) - 2) as whole, w.given
          from (select to_jsonb(@FullName::text)::text as whole, to_jsonb(@GivenName::text)::text as given) w)
        update change h
        set summary = replace(
          replace(h.summary::text, named.whole, 'a reader'), '"text": ' || named.given, '"text": "a reader"')::jsonb
        from named
        where h.school_id = @schoolId
          and (strpos(h.summary::text, named.whole) > 0 or strpos(h.summary::text, named.given) > 0)
          and (
            h.detail::text ~ @anyId
            or exists (select 1 from change_reader x where x.change_id = h.id and x.reader_id = any(@ids)));
        update list_draft d
        set rows = coalesce(
          (
            select jsonb_agg(r)
            from jsonb_array_elements(d.rows) r
            where r ->> 'sameAs' is null or r ->> 'sameAs' <> all(@texts)),
          '[]')
        from class k
        where k.id = d.class_id
          and k.school_id = @schoolId
          and exists (select 1 from jsonb_array_elements(d.rows) r where r ->> 'sameAs' = any(@texts));
        delete from mail m using guardianship g, adult a
        where g.reader_id = any(@ids)
          and a.id = g.adult_id
          and m.school_id = @schoolId
          and m.to_address = a.mail
          and not exists (select 1 from guardianship o where o.adult_id = a.id and o.reader_id <> all(@ids));
        delete from adult a using guardianship g
        where g.adult_id = a.id
          and g.reader_id = any(@ids)
          and a.kind = '{nameof(AdultKind.Guardian)}'
          and not exists (select 1 from guardianship o where o.adult_id = a.id and o.reader_id <> all(@ids));
        delete from check_aim where kind = '{nameof(AimKind.Reader)}' and key = any(@texts);
        delete from known_device where key = any(@doors);
        delete from sign_in_try where key like any(@tries)
        """;
}
