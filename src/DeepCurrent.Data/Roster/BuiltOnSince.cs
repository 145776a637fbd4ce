using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>What stands in the way of taking a roster change back, in words.</summary>
internal static class BuiltOnSince
{
    private const int MostNamed = 3;

    /// <summary>Readers and classes that have been worked with cannot be taken away again.</summary>
    internal static async Task Removable(NpgsqlConnection c, NpgsqlTransaction t, ChangeSet s)
    {
        var enrolments = s.Enrolments.Select(e => e.Thing.Id).ToArray();
        await ReadersRemovable(c, t, s, enrolments);
        var classes = s.Classes.Where(r => r.After is null).Select(r => r.Thing.Id).ToArray();
        var used = (
            await c.QueryAsync<string>(
                """
                with gone as (select unnest(@classes) as id), used as (
                  select k.class_id as id from assignment k join gone g on g.id = k.class_id
                  union all select k.class_id
                  from enrolment k join gone g on g.id = k.class_id left join unnest(@enrolments) x (id) on x.id = k.id
                  where x.id is null)
                select c.name from class c where c.id in (select id from used) order by c.name, c.id limit 3
                """,
                new { classes, enrolments },
                t
            )
        ).ToList();
        if (used.Count > 0)
            throw new BuiltOn($"{string.Join(", ", used)} has been used since. Undo that first.");
    }

    private static async Task ReadersRemovable(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeSet s,
        EnrolmentId[] enrolments
    )
    {
        var readers = s.Readers.Where(r => r.After is null).Select(r => r.Thing.Id).ToArray();
        var levels = s.Levels.Select(l => l.Thing.Id).ToArray();
        // Joined and not looked up one by one: a district's undo has a hundred thousand readers and more enrolments.
        var work = ReaderThings
            .All.Where(x => x.Work)
            .Select(x =>
                $"select k.{x.Column} as id from {x.Table} k join gone g on g.id = k.{x.Column}"
                + x.Table switch
                {
                    // What the change itself brought goes with it.
                    "evidence" => " left join unnest(@levels) x (id) on x.id = k.id where x.id is null",
                    "enrolment" => " left join unnest(@enrolments) x (id) on x.id = k.id where x.id is null",
                    _ => "",
                }
            );
        var busy = (
            await c.QueryAsync<string>(
                $"""
                with gone as (select unnest(@readers) as id), busy as ({string.Join(" union all ", work)})
                select r.given_name
                from reader r
                where r.id in (select id from busy)
                order by r.given_name, r.id
                limit 4
                """,
                new
                {
                    readers,
                    levels,
                    enrolments,
                },
                t
            )
        ).ToList();
        if (busy.Count > 0)
            throw new BuiltOn(
                busy.Count > MostNamed
                    ? $"Work or changes since exist for {busy.Take(MostNamed)} and others. Undo that first."
                    : (Message)$"Work or changes since exist for {busy}. Undo that first."
            );
    }

    internal static async Task<Message> Who(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeId changeId,
        IReadOnlyList<IRosterThing> moved
    )
    {
        var readers = moved
            .Select(m =>
                m switch
                {
                    RosterReader r => r.Id,
                    Enrolment e => e.ReaderId,
                    StatedLevel l => l.ReaderId,
                    _ => (ReaderId?)null,
                }
            )
            .OfType<ReaderId>()
            .Take(1000)
            .ToArray();
        var later = await c.QueryFirstOrDefaultAsync<(string By, DateTimeOffset At, Message Summary)>(
            """
            select a.name, h.at, h.summary
            from change_reader x join change h on h.id = x.change_id join adult a on a.id = h.adult_id
            where x.reader_id = any(@readers)
              and h.undone_at is null
              and h.id <> @changeId
              and h.at >= (select at from change where id = @changeId)
            order by h.at desc limit 1
            """,
            new { readers, changeId },
            t
        );
        return later.By is null
            ? (Message)$"Part of this was changed again since. Undo that first."
            : $"{later.By} changed this again ({later.Summary}, {later.At}). Undo that first.";
    }
}
