using Dapper;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Groups;

public sealed record GroupRow(
    GroupId Id,
    string Name,
    int Position,
    DateTimeOffset FormedAt,
    IReadOnlyList<ReaderId> ReaderIds
);

public sealed record NewGroup(string Name, IReadOnlyList<ReaderId> ReaderIds);

/// <summary>Tickets that followed a regrouping.</summary>
public sealed record Followed(
    IReadOnlyList<TicketId> Given,
    IReadOnlyList<TicketMoved> Restored,
    IReadOnlyList<TicketMoved> TakenBack
)
{
    public bool Any => Given.Count + Restored.Count + TakenBack.Count > 0;
}

/// <summary>Which groups a regrouping closed and which it opened.</summary>
/// <param name="Followed">What went with it; null where it was kept before anything did.</param>
public sealed record Regrouping(
    IReadOnlyList<GroupId> Closed,
    IReadOnlyList<GroupId> Opened,
    Followed? Followed = null
);

/// <summary>Guided reading groups of a class. Regrouping closes the groups there are and opens new ones, so that
/// history stays.</summary>
public sealed class GroupStore(NpgsqlDataSource db)
{
    public async Task<IReadOnlyList<GroupRow>> Of(ClassId classId)
    {
        var rows = await db.All<(GroupId Id, string Name, int Position, DateTimeOffset FormedAt, ReaderId? Reader)>(
            """
            select g.id, g.name, g.position, g.formed_at, m.reader_id
            from guided_group g left join group_member m on m.group_id = g.id
            where g.class_id = @classId and g.closed_at is null
            order by g.position
            limit 2000
            """,
            new { classId }
        );
        return
        [
            .. rows.GroupBy(r => r.Id)
                .Select(g => new GroupRow(
                    g.Key,
                    g.First().Name,
                    g.First().Position,
                    g.First().FormedAt,
                    [.. g.Where(r => r.Reader is not null).Select(r => r.Reader!.Value)]
                )),
        ];
    }

    public static async Task<Regrouping> Replace(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ClassId classId,
        IReadOnlyList<NewGroup> groups,
        DateTimeOffset now
    )
    {
        await c.ExecuteAsync("select 1 from class where id = @classId for update", new { classId }, t);
        var closed = (
            await c.QueryAsync<GroupId>(
                "update guided_group set closed_at = @now where class_id = @classId and closed_at is null returning id",
                new { classId, now },
                t
            )
        ).ToList();
        var opened = new List<GroupId>();
        foreach (var (g, i) in groups.Select((g, i) => (g, i)))
        {
            var id = GroupId.New();
            await c.ExecuteAsync(
                """
                insert into guided_group (id, class_id, name, position, formed_at)
                values (@id, @classId, @Name, @i, @now)
                """,
                new
                {
                    id,
                    classId,
                    g.Name,
                    i,
                    now,
                },
                t
            );
            await c.ExecuteAsync(
                "insert into group_member (group_id, reader_id) select @id, unnest(@readers)",
                new { id, readers = g.ReaderIds.ToArray() },
                t
            );
            opened.Add(id);
        }
        await MoveAims(c, t, closed, opened);
        return new(closed, opened);
    }

    /// <summary>What is meant for a group is meant for the group that has its name now.</summary>
    private static Task MoveAims(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<GroupId> from,
        IReadOnlyList<GroupId> to
    ) =>
        c.ExecuteAsync(
            """
            update aim m
            set group_id = n.id
            from guided_group o join guided_group n on n.name = o.name
            where m.group_id = o.id and o.id = any(@from) and n.id = any(@to)
            """,
            new { from = from.ToArray(), to = to.ToArray() },
            t
        );

    /// <summary>Takes a regrouping back; false if the groups have been changed again since.</summary>
    public static async Task<bool> Undo(NpgsqlConnection c, NpgsqlTransaction t, ClassId classId, Regrouping regrouping)
    {
        await c.ExecuteAsync("select 1 from class where id = @classId for update", new { classId }, t);
        var open = (
            await c.QueryAsync<GroupId>(
                "select id from guided_group where class_id = @classId and closed_at is null limit 100",
                new { classId },
                t
            )
        ).ToHashSet();
        if (!open.SetEquals(regrouping.Opened))
            return false;
        await MoveAims(c, t, regrouping.Opened, regrouping.Closed);
        await c.ExecuteAsync(
            """
            delete from guided_group
            where id = any(@opened); update guided_group
            set closed_at = null
            where id = any(@closed)
            """,
            new { opened = regrouping.Opened.ToArray(), closed = regrouping.Closed.ToArray() },
            t
        );
        return true;
    }
}
