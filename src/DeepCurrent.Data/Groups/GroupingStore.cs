using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Groups;

/// <summary>A way to group readers beside guided reading.</summary>
/// <param name="ClassId">The class it belongs to.</param>
/// <param name="Others">Other classes whose readers it takes in.</param>
public sealed record GroupingRow(GroupingId Id, ClassId ClassId, string Name, IReadOnlyList<ClassId> Others)
{
    public IEnumerable<ClassId> Classes => Others.Prepend(ClassId);
}

/// <summary>The groupings of classes, beside guided reading, which each class has without one.</summary>
public sealed class GroupingStore(NpgsqlDataSource db)
{
    private const string Sql = """
        select g.id, g.class_id, g.name,
          array(select o.class_id from grouping_class o where o.grouping_id = g.id order by o.class_id) as others
        from grouping g
        where g.ended_at is null
        """;

    private sealed record Flat
    {
        public required GroupingId Id { get; init; }

        public required ClassId ClassId { get; init; }

        public required string Name { get; init; }

        public required Guid[] Others { get; init; }

        public GroupingRow Row() => new(Id, ClassId, Name, [.. Others.Select(ClassId.From)]);
    }

    /// <summary>The groupings of a class, in the order they were made.</summary>
    public async Task<IReadOnlyList<GroupingRow>> Of(ClassId classId) =>
        [
            .. (
                await db.All<Flat>(
                    Sql + " and g.class_id = @classId order by g.made_at, g.id limit 50",
                    new { classId }
                )
            ).Select(f => f.Row()),
        ];

    /// <summary>A grouping of a class; null where there is none such, or it has ended.</summary>
    public async Task<GroupingRow?> Find(ClassId classId, GroupingId id) =>
        (await db.One<Flat>(Sql + " and g.class_id = @classId and g.id = @id", new { classId, id }))?.Row();

    /// <summary>Makes a grouping, or gives it another name and other classes. Sent twice it is one.</summary>
    /// <returns>False where another class has it.</returns>
    public async Task<bool> Put(GroupingRow grouping, DateTimeOffset now) =>
        await db.Value<GroupingId?>(
            """
            with put as (
              insert into grouping (id, class_id, name, made_at)
              values (@Id, @ClassId, @Name, @now)
              on conflict (id) do update set name = excluded.name
              where grouping.class_id = excluded.class_id and grouping.ended_at is null
              returning id),
            gone as (
              delete from grouping_class
              where grouping_id in (select id from put) and class_id <> all(@others)),
            others as (
              insert into grouping_class (grouping_id, class_id)
              select put.id, other
              from put cross join unnest(@others) other
              on conflict do nothing)
            select id from put
            """,
            new
            {
                grouping.Id,
                grouping.ClassId,
                grouping.Name,
                others = grouping.Others.ToArray(),
                now,
            }
        )
            is not null;

    /// <summary>What its groups keep to, as it is kept; null where nobody has said.</summary>
    public Task<string?> Rules(GroupingId id) =>
        db.Value<string?>("select rules::text from grouping where id = @id", new { id });

    /// <summary>What the groups of a class keep to, of guided reading and of every grouping, as it is kept.</summary>
    public Task<IReadOnlyList<string>> AllRules(ClassId classId) =>
        db.All<string>(
            """
            select group_rules::text from class where id = @classId and group_rules is not null
            union all
            select rules::text from grouping where class_id = @classId and ended_at is null and rules is not null
            limit 50
            """,
            new { classId }
        );

    public Task KeepRules(GroupingId id, string rules) =>
        db.Run("update grouping set rules = @rules::jsonb where id = @id", new { id, rules });

    /// <summary>Ends a grouping, or takes that back.</summary>
    internal static Task SetEnd(NpgsqlConnection c, NpgsqlTransaction t, GroupingId id, DateTimeOffset? at) =>
        Dapper.SqlMapper.ExecuteAsync(
            c,
            "update grouping set ended_at = @at where id = @id",
            new { id, at = at?.UtcDateTime },
            t
        );
}
