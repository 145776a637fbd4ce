using Dapper;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Changes;

public sealed record Change(Guid Id, Guid? ClassId, DateTimeOffset At, string By, string Kind, string Summary, DateTimeOffset? UndoneAt);

public sealed record ChangeDetail(Guid Id, Guid? ClassId, Guid AdultId, DateTimeOffset At, string Kind, string Summary, string Detail, DateTimeOffset? UndoneAt);

/// <summary>The class's history: what was changed, by whom, and what is needed to take it back.</summary>
public sealed class ChangeStore(NpgsqlDataSource db)
{
    public async Task<Guid> Add<T>(Guid schoolId, Guid? classId, Guid adultId, DateTimeOffset at, string kind, string summary, T detail)
    {
        var id = Guid.CreateVersion7();
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync("insert into change (id, school_id, class_id, adult_id, at, kind, summary, detail) values (@id, @schoolId, @classId, @adultId, @at, @kind, @summary, @detail::jsonb)",
            new { id, schoolId, classId, adultId, at, kind, summary, detail = Database.ToJson(detail) });
        return id;
    }

    public async Task<IReadOnlyList<Change>> Of(Guid classId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<Change>("""
            select h.id, h.class_id, h.at, a.name as "by", h.kind, h.summary, h.undone_at
            from change h join adult a on a.id = h.adult_id
            where h.class_id = @classId
            order by h.at desc
            limit 100
            """, new { classId })).ToList();
    }

    /// <summary>Everything that was changed in a school, its classes included.</summary>
    public async Task<IReadOnlyList<Change>> OfSchool(Guid schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<Change>("""
            select h.id, h.class_id, h.at, a.name as "by", h.kind, h.summary, h.undone_at
            from change h join adult a on a.id = h.adult_id
            where h.school_id = @schoolId
            order by h.at desc
            limit 300
            """, new { schoolId })).ToList();
    }

    public async Task<ChangeDetail?> Find(Guid id, Guid schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.QuerySingleOrDefaultAsync<ChangeDetail>("select id, class_id, adult_id, at, kind, summary, detail::text as detail, undone_at from change where id = @id and school_id = @schoolId", new { id, schoolId });
    }

    /// <summary>Marks a change as undone; false if it was undone already.</summary>
    public async Task<bool> MarkUndone(Guid id, DateTimeOffset at)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.ExecuteAsync("update change set undone_at = @at where id = @id and undone_at is null", new { id, at }) == 1;
    }
}
