using DeepCurrent.Core.Grouping;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Groups;

/// <summary>Guided reading groups of a class. A group goes on when readers come and go; what was stays known.</summary>
public sealed class GroupStore(NpgsqlDataSource db)
{
    private const string Rows = """
        select g.id, g.name, g.position, g.formed_at, m.reader_id as reader, m.joined_at, a.id as leader_id,
          a.name as leader_name, g.grouping_id as grouping
        from guided_group g
          left join group_member m on m.group_id = g.id
          left join class_adult p on p.class_id = g.class_id and p.adult_id = g.leader
          left join adult a on a.id = p.adult_id
        where g.closed_at is null
        """;

    /// <summary>The groups of one grouping of a class.</summary>
    /// <param name="grouping">Null for guided reading.</param>
    public async Task<IReadOnlyList<GroupRow>> Of(ClassId classId, GroupingId? grouping = null) =>
        Grouped(
            await db.All<Flat>(
                Rows
                    + """
                     and g.class_id = @classId and g.grouping_id is not distinct from @grouping
                    order by g.position
                    limit 2000
                    """,
                new { classId, grouping }
            )
        );

    /// <summary>A group <c>g</c> is of a class, or of a grouping that takes the class in.</summary>
    internal static string OfClass(string classId) =>
        $"(g.class_id = {classId} or g.grouping_id in (select grouping_id from grouping_class where class_id = {classId}))";

    /// <summary>All groups that readers of a class can be in, guided reading first, with everybody who is in them.</summary>
    public async Task<IReadOnlyList<GroupRow>> Whole(ClassId classId) =>
        Grouped(
            await db.All<Flat>(
                $"{Rows} and {OfClass("@classId")} order by g.grouping_id is not null, g.grouping_id, g.position limit 4000",
                new { classId }
            )
        );

    /// <summary>All groups that readers of a class are in, guided reading first. Of those that take in other classes, the
    /// readers who are in this one.</summary>
    public async Task<IReadOnlyList<GroupRow>> Every(ClassId classId) =>
        Grouped(
            await db.All<Flat>(
                Rows
                    + $" and {OfClass("@classId")}"
                    + """
                     and (
                        g.grouping_id is null
                        or m.reader_id is null
                        or exists (
                          select 1
                          from enrolment e
                          where e.reader_id = m.reader_id and e.class_id = @classId and e.to_day is null))
                    order by g.grouping_id is not null, g.grouping_id, g.position
                    limit 4000
                    """,
                new { classId }
            )
        );

    private static IReadOnlyList<GroupRow> Grouped(IReadOnlyList<Flat> rows)
    {
        return
        [
            .. rows.GroupBy(r => r.Id)
                .Select(g => new GroupRow(
                    g.Key,
                    g.First().Name,
                    g.First().Position,
                    g.First().FormedAt,
                    [.. g.Where(r => r.Reader is not null).Select(r => r.Reader!.Value)],
                    g.First() is { LeaderId: { } leader, LeaderName: { } name } ? new(leader, name) : null,
                    g.Max(r => r.JoinedAt) ?? g.First().FormedAt,
                    g.First().Grouping
                )),
        ];
    }

    private sealed record Flat(
        GroupId Id,
        string Name,
        int Position,
        DateTimeOffset FormedAt,
        ReaderId? Reader,
        DateTimeOffset? JoinedAt,
        AdultId? LeaderId,
        string? LeaderName,
        GroupingId? Grouping
    );

    /// <summary>Who can meet a group of a class: all of its staff, by name.</summary>
    public Task<IReadOnlyList<GroupLeader>> Leaders(ClassId classId) =>
        db.All<GroupLeader>(
            """
            select a.id, a.name
            from class_adult p join adult a on a.id = p.adult_id
            where p.class_id = @classId
            order by a.name, a.id
            limit 100
            """,
            new { classId }
        );

    /// <summary>Names who meets a group, or nobody.</summary>
    /// <returns>False where there is no such group, or they are not of the class's staff.</returns>
    public async Task<bool> Lead(ClassId classId, GroupId groupId, AdultId? leader) =>
        await db.Run(
            """
            update guided_group
            set leader = @leader
            where id = @groupId
              and class_id = @classId
              and closed_at is null
              and (
                @leader::uuid is null
                or exists (select 1 from class_adult where class_id = @classId and adult_id = @leader))
            """,
            new
            {
                classId,
                groupId,
                leader,
            }
        ) > 0;

    /// <summary>Who is and was in which group of a class, latest first; how levels changed is not known here.</summary>
    public Task<IReadOnlyList<GroupStay>> Stays(ClassId classId) =>
        db.All<GroupStay>(
            """
            select x.reader_id, x.group_id, x."group", x."from", x."to", null::double precision as change,
              (
                select count(*)::int
                from meeting m
                where m.group_id = x.group_id and m.begun_at is not null and m.removed_at is null
                  and m.begun_at >= x."from" and (x."to" is null or m.begun_at < x."to")) as held,
              (
                select count(*)::int
                from meeting m join meeting_seen n on n.meeting_id = m.id
                where m.group_id = x.group_id and m.begun_at is not null and m.removed_at is null
                  and m.begun_at >= x."from" and (x."to" is null or m.begun_at < x."to")
                  and n.reader_id = x.reader_id and n.here) as here
            from (
              select s.reader_id, g.id as group_id, g.name as "group", s.from_at as "from", s.to_at as "to"
              from group_stay s join guided_group g on g.id = s.group_id
              where g.class_id = @classId
              union all
              select m.reader_id, g.id, g.name, m.joined_at, g.closed_at
              from group_member m join guided_group g on g.id = m.group_id
              where g.class_id = @classId) x
            order by x."to" desc nulls first, x."group", x.reader_id
            limit 1000
            """,
            new { classId }
        );

    /// <summary>Meetings of a class's groups that were held, by group.</summary>
    public async Task<IReadOnlyDictionary<GroupId, int>> Held(ClassId classId) =>
        (
            await db.All<(GroupId Id, int Held)>(
                """
                select group_id, count(*)::int
                from meeting
                where class_id = @classId and begun_at is not null and removed_at is null
                group by group_id
                """,
                new { classId }
            )
        ).ToDictionary(g => g.Id, g => g.Held);

    /// <summary>What groups of a class keep to, as it is kept; null where nobody has said.</summary>
    public Task<string?> Rules(ClassId classId) =>
        db.Value<string?>("select group_rules::text from class where id = @classId", new { classId });

    public Task KeepRules(ClassId classId, string rules) =>
        db.Run("update class set group_rules = @rules::jsonb where id = @classId", new { classId, rules });
}
