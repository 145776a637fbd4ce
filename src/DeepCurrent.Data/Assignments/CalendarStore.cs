using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Assignments;

/// <summary>A calendar link of a class, or of one of its readers.</summary>
/// <param name="ReaderId">Null for the whole class.</param>
public sealed record CalendarFeed(ClassId ClassId, ReaderId? ReaderId, DateTimeOffset MadeAt, string? MadeBy);

/// <summary>A class as its calendar names it.</summary>
public sealed record CalendarOf(ClassId ClassId, ReaderId? ReaderId, string ClassName, string TimeZone);

/// <summary>What is due when. No reader is named.</summary>
public sealed record CalendarDue(AssignmentId Id, string Title, DateOnly DueOn, int Revision);

/// <summary>Calendar links, and what they show.</summary>
public sealed class CalendarStore(NpgsqlDataSource db)
{
    public Task<CalendarFeed?> Find(ClassId classId, ReaderId? readerId) =>
        db.One<CalendarFeed>(
            """
            select f.class_id, f.reader_id, f.made_at, p.name as made_by
            from calendar_feed f left join adult p on p.id = f.made_by
            where f.class_id = @classId and f.reader_id is not distinct from @readerId
            """,
            new { classId, readerId }
        );

    /// <summary>Makes a link; one that was there stops working.</summary>
    /// <param name="secret">The hash of what stands in it.</param>
    public Task Make(ClassId classId, ReaderId? readerId, string secret, AdultId by, DateTimeOffset at) =>
        db.Run(
            """
            insert into calendar_feed (id, class_id, reader_id, secret, made_by, made_at)
            values (gen_random_uuid(), @classId, @readerId, @secret, @by, @at)
            on conflict (class_id, reader_id) do update
            set secret = excluded.secret, made_by = excluded.made_by, made_at = excluded.made_at
            """,
            new
            {
                classId,
                readerId,
                secret,
                by,
                at,
            }
        );

    public Task Stop(ClassId classId, ReaderId? readerId) =>
        db.Run(
            "delete from calendar_feed where class_id = @classId and reader_id is not distinct from @readerId",
            new { classId, readerId }
        );

    /// <summary>Whose calendar a link is of; null where it is none, or its reader has left the class.</summary>
    /// <param name="secret">The hash of what stands in it.</param>
    public Task<CalendarOf?> Opened(string secret) =>
        db.One<CalendarOf>(
            """
            select f.class_id, f.reader_id, c.name as class_name, s.time_zone
            from calendar_feed f
              join class c on c.id = f.class_id
              join school s on s.id = c.school_id
            where f.secret = @secret
              and (
                f.reader_id is null
                or exists (
                  select 1
                  from enrolment e
                  where e.class_id = f.class_id and e.reader_id = f.reader_id and e.to_day is null))
            """,
            new { secret }
        );

    /// <summary>What is due in a class, or for one of its readers, that they see.</summary>
    /// <param name="today">The school's.</param>
    public Task<IReadOnlyList<CalendarDue>> Due(CalendarOf of, DateOnly today) =>
        db.All<CalendarDue>(
            $"""
            select a.id, {TaskSql.Title} as title,
              min(coalesce(case when @ReaderId::uuid is not null then k.due_on end, a.due_on)) as due_on, a.revision
            from assignment a
              join ticket k on k.assignment_id = a.id
              join task y on y.id = k.task_id
              left join text t on t.id = y.text_id
            where a.class_id = @ClassId
              and not a.draft
              and not a.chosen
              and a.due_on is not null
              and a.visible_from <= @today
              and a.due_on >= @since
              and k.state in ({TicketStates.Seen})
              and (@ReaderId::uuid is null or k.reader_id = @ReaderId)
            group by a.id, {TaskSql.Title}
            order by 3, a.id
            limit 2000
            """,
            new
            {
                of.ClassId,
                of.ReaderId,
                today,
                since = today.AddDays(-Back),
            }
        );

    /// <summary>Days back that a calendar still shows.</summary>
    private const int Back = 90;
}
