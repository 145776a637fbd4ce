using DeepCurrent.Core.Plans;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Plans;

/// <param name="Mine">Only its owner sees it.</param>
/// <param name="InOrder">Each task in its week; else all are there from the first day.</param>
public sealed record PlanRow(
    PlanId Id,
    AdultId? OwnerId,
    string? Owner,
    string Name,
    bool Mine,
    bool InOrder,
    int Revision,
    DateTimeOffset ChangedAt,
    IReadOnlyList<PlanItem> Items
);

/// <summary>Saved lists of tasks: one's own and the school's.</summary>
public sealed class PlanStore(NpgsqlDataSource db)
{
    private const string RowSql = """
        select n.id, n.owner_id, a.name as owner, n.name, n.mine, n.in_order, n.revision, n.changed_at,
          n.items::text as items
        from plan n left join adult a on a.id = n.owner_id
        where n.school_id = @schoolId and (not n.mine or n.owner_id = @adultId)
        """;

    private sealed record Flat(
        PlanId Id,
        AdultId? OwnerId,
        string? Owner,
        string Name,
        bool Mine,
        bool InOrder,
        int Revision,
        DateTimeOffset ChangedAt,
        string Items
    )
    {
        public PlanRow Row() =>
            new(Id, OwnerId, Owner, Name, Mine, InOrder, Revision, ChangedAt, Database.FromJson<List<PlanItem>>(Items));
    }

    public async Task<IReadOnlyList<PlanRow>> All(SchoolId schoolId, AdultId adultId) =>
        [
            .. (
                await db.All<Flat>(
                    RowSql + " and n.deleted_at is null order by n.name, n.id limit 500",
                    new { schoolId, adultId }
                )
            ).Select(p => p.Row()),
        ];

    /// <summary>A plan that an adult sees; null where there is none. One that was deleted is found, to be restored.</summary>
    public async Task<PlanRow?> Find(PlanId id, SchoolId schoolId, AdultId adultId) =>
        (
            await db.One<Flat>(
                RowSql + " and n.id = @id",
                new
                {
                    id,
                    schoolId,
                    adultId,
                }
            )
        )?.Row();

    /// <summary>Keeps a plan, or changes it if its revision is still the one the change began from.</summary>
    /// <param name="plan">Its revision is that; 0 for a new one.</param>
    /// <returns>False where somebody else has changed it since.</returns>
    public async Task<bool> Keep(PlanRow plan, SchoolId schoolId) =>
        await db.Value<int?>(
            """
            insert into plan (id, school_id, owner_id, name, mine, in_order, items, changed_at)
            values (@Id, @schoolId, @OwnerId, @Name, @Mine, @InOrder, @items::jsonb, @ChangedAt)
            on conflict (id) do update
            set name = excluded.name, mine = excluded.mine, in_order = excluded.in_order, items = excluded.items,
              changed_at = excluded.changed_at, revision = plan.revision + 1
              where plan.school_id = excluded.school_id and plan.revision = @Revision and plan.deleted_at is null
            returning revision
            """,
            new
            {
                plan.Id,
                schoolId,
                plan.OwnerId,
                plan.Name,
                plan.Mine,
                plan.InOrder,
                items = Database.ToJson(plan.Items),
                plan.Revision,
                plan.ChangedAt,
            }
        )
            is not null;

    /// <summary>Deletes a plan, or restores it.</summary>
    /// <param name="at">Null to restore it.</param>
    public Task SetDeleted(PlanId id, SchoolId schoolId, DateTimeOffset? at) =>
        db.Run(
            "update plan set deleted_at = @at where id = @id and school_id = @schoolId",
            new
            {
                id,
                schoolId,
                at,
            }
        );
}
