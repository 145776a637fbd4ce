using Dapper;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Groups;

/// <summary>Regroups a class and takes it back; a group keeps its identity when readers move.</summary>
public static class GroupWriter
{
    /// <summary>Makes the groups of a class what is wanted: those that are named again go on, others begin or
    /// end.</summary>
    public static async Task<Regrouping> Replace(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ClassId classId,
        IReadOnlyList<NewGroup> groups,
        DateTimeOffset now,
        GroupingId? grouping = null
    )
    {
        await Lock(c, t, classId);
        var before = await State(c, t, classId, grouping);
        var wanted = groups.Select((g, i) => (Group: g, Id: GoesOn(g, before), Position: i)).ToList();
        var kept = wanted.Select(w => w.Id).OfType<GroupId>().ToHashSet();
        var closed = before.Select(g => g.Id).Where(id => !kept.Contains(id)).ToList();
        await c.ExecuteAsync(
            "update guided_group set closed_at = @now where id = any(@closed)",
            new { now, closed = closed.ToArray() },
            t
        );
        var opened = new List<GroupId>();
        foreach (var (group, goesOn, position) in wanted)
        {
            var id = goesOn ?? GroupId.New();
            if (goesOn is null)
                opened.Add(id);
            await Put(c, t, classId, (id, group.Name, position, grouping), now);
            await Fill(c, t, id, group.ReaderIds, now);
        }
        return new(closed, opened, null, before, await State(c, t, classId, grouping)) { Grouping = grouping };
    }

    /// <summary>Ends a grouping with its groups.</summary>
    public static async Task<Regrouping> End(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ClassId classId,
        GroupingId grouping,
        DateTimeOffset now
    )
    {
        var regrouping = await Replace(c, t, classId, [], now, grouping);
        await GroupingStore.SetEnd(c, t, grouping, now);
        return regrouping with { Ended = true };
    }

    private static GroupId? GoesOn(NewGroup group, IReadOnlyList<GroupState> before) =>
        before.FirstOrDefault(b => b.Id == group.Id)?.Id ?? before.FirstOrDefault(b => b.Name == group.Name)?.Id;

    private static Task Lock(NpgsqlConnection c, NpgsqlTransaction t, ClassId classId) =>
        c.ExecuteAsync("select 1 from class where id = @classId for update", new { classId }, t);

    private static Task Put(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ClassId classId,
        (GroupId Id, string Name, int Position, GroupingId? Grouping) group,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            insert into guided_group (id, class_id, grouping_id, name, position, formed_at)
            values (@Id, @classId, @Grouping, @Name, @Position, @now)
            on conflict (id) do update
            set name = excluded.name, position = excluded.position
            """,
            new
            {
                classId,
                group.Id,
                group.Name,
                group.Position,
                group.Grouping,
                now,
            },
            t
        );

    private static Task Fill(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        GroupId id,
        IReadOnlyList<ReaderId> readers,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            with gone as (
              delete from group_member where group_id = @id and reader_id <> all(@readers) returning reader_id, joined_at)
            insert into group_stay (id, group_id, reader_id, from_at, to_at)
            select gen_random_uuid(), @id, reader_id, joined_at, @now from gone;
            insert into group_member (group_id, reader_id, joined_at)
            select @id, reader, @now
            from unnest(@readers) reader
            on conflict do nothing
            """,
            new
            {
                id,
                readers = readers.ToArray(),
                now,
            },
            t
        );

    private static async Task<IReadOnlyList<GroupState>> State(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ClassId classId,
        GroupingId? grouping
    )
    {
        var rows = await c.QueryAsync<(
            GroupId Id,
            string Name,
            int Position,
            ReaderId? Reader,
            DateTimeOffset? JoinedAt
        )>(
            """
            select g.id, g.name, g.position, m.reader_id, m.joined_at
            from guided_group g left join group_member m on m.group_id = g.id
            where g.class_id = @classId and g.grouping_id is not distinct from @grouping and g.closed_at is null
            order by g.position, g.id, m.joined_at, m.reader_id
            limit 2000
            """,
            new { classId, grouping },
            t
        );
        return
        [
            .. rows.GroupBy(r => (r.Id, r.Name, r.Position))
                .Select(g => new GroupState(
                    g.Key.Id,
                    g.Key.Name,
                    g.Key.Position,
                    [
                        .. g.Where(r => r.Reader is not null)
                            .Select(r => new GroupMember(r.Reader!.Value, r.JoinedAt!.Value)),
                    ]
                )),
        ];
    }

    /// <summary>Takes a regrouping back; false if the groups have been changed again, or been given something,
    /// since.</summary>
    public static async Task<bool> Undo(NpgsqlConnection c, NpgsqlTransaction t, ClassId classId, Regrouping regrouping)
    {
        await Lock(c, t, classId);
        var now = await State(c, t, classId, regrouping.Grouping);
        if (!Stands(regrouping, now) || await Meant(c, t, regrouping.Opened))
            return false;
        await c.ExecuteAsync(
            """
            delete from guided_group where id = any(@opened);
            update guided_group set closed_at = null where id = any(@closed)
            """,
            new { opened = regrouping.Opened.ToArray(), closed = regrouping.Closed.ToArray() },
            t
        );
        foreach (var group in regrouping.Before ?? [])
            await Restore(c, t, group);
        if (regrouping is { Ended: true, Grouping: { } grouping })
            await GroupingStore.SetEnd(c, t, grouping, null);
        return true;
    }

    private static bool Stands(Regrouping regrouping, IReadOnlyList<GroupState> now) =>
        regrouping.After is null
            ? now.Select(g => g.Id).ToHashSet().SetEquals(regrouping.Opened)
            : now.Count == regrouping.After.Count
                && now.Zip(regrouping.After)
                    .All(x =>
                        x.First.Id == x.Second.Id
                        && x.First.Name == x.Second.Name
                        && x.First.Members.Select(m => m.ReaderId)
                            .ToHashSet()
                            .SetEquals(x.Second.Members.Select(m => m.ReaderId))
                    );

    /// <summary>Whether something was given to one of some groups.</summary>
    private static Task<bool> Meant(NpgsqlConnection c, NpgsqlTransaction t, IReadOnlyList<GroupId> groups) =>
        c.ExecuteScalarAsync<bool>(
            "select exists (select 1 from aim where group_id = any(@groups))",
            new { groups = groups.ToArray() },
            t
        );

    private static Task Restore(NpgsqlConnection c, NpgsqlTransaction t, GroupState group) =>
        c.ExecuteAsync(
            """
            update guided_group set name = @Name, position = @Position where id = @Id;
            delete from group_member where group_id = @Id;
            insert into group_member (group_id, reader_id, joined_at)
            select @Id, x.reader, x.joined_at
            from unnest(@readers, @joined) x (reader, joined_at) join reader r on r.id = x.reader;
            delete from group_stay s
            using unnest(@readers, @joined) x (reader, joined_at)
            where s.group_id = @Id and s.reader_id = x.reader and s.from_at = x.joined_at
            """,
            new
            {
                group.Id,
                group.Name,
                group.Position,
                readers = group.Members.Select(m => m.ReaderId).ToArray(),
                joined = group.Members.Select(m => m.JoinedAt.UtcDateTime).ToArray(),
            },
            t
        );
}
