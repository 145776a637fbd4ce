using Dapper;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Changes;

public sealed record Change(
    ChangeId Id,
    ClassId? ClassId,
    DateTimeOffset At,
    string By,
    ChangeKind Kind,
    Message Summary,
    DateTimeOffset? UndoneAt
);

public sealed record ChangeDetail(
    ChangeId Id,
    ClassId? ClassId,
    AdultId AdultId,
    DateTimeOffset At,
    ChangeKind Kind,
    Message Summary,
    string Detail,
    DateTimeOffset? UndoneAt
);

/// <summary>Whose change it is, and where it is listed.</summary>
/// <param name="ClassId">The class whose history lists it; null for a change to the school.</param>
public sealed record ChangeBy(SchoolId SchoolId, ClassId? ClassId, AdultId AdultId, DateTimeOffset At);

/// <summary>What a command did, as it is listed.</summary>
/// <param name="Detail">What is needed to take it back.</param>
public sealed record Listed(object Detail, Message Summary);

/// <summary>A change that was made and listed.</summary>
/// <param name="Id">What it is taken back by.</param>
public sealed record Made(ChangeId Id, Message Summary);

/// <summary>The class's history: what was changed, by whom, and what is needed to take it back.</summary>
public sealed class ChangeStore(NpgsqlDataSource db)
{
    /// <summary>The change whose detail holds something, such as the id a client made for what it asked for.</summary>
    /// <returns>Null where it was not made, or was taken back.</returns>
    public async Task<Made?> Made(ClassId classId, ChangeKind kind, object part)
    {
        return await db.First<Made>(
            """
            select id, summary
            from change
            where class_id = @classId and kind = @kind and detail @> @part::jsonb and undone_at is null
            limit 1
            """,
            new
            {
                classId,
                kind = kind.ToString(),
                part = Database.ToJson(part),
            }
        );
    }

    /// <summary>Does something and lists it, both or neither.</summary>
    /// <param name="command">Does it inside the transaction, and says what is needed to take it back; null where there
    /// is nothing to list.</param>
    /// <returns>Null where nothing is listed.</returns>
    public async Task<Made?> Do(
        ChangeBy by,
        ChangeKind kind,
        Func<NpgsqlConnection, NpgsqlTransaction, Task<Listed?>> command
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var made = await command(c, t) is { } done
            ? new Made(await Add(c, t, by, kind, done.Summary, done.Detail), done.Summary)
            : null;
        await t.CommitAsync();
        return made;
    }

    /// <summary>Lists a change inside the transaction that makes it.</summary>
    public static async Task<ChangeId> Add<T>(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeBy by,
        ChangeKind kind,
        Message summary,
        T detail
    )
    {
        var id = ChangeId.New();
        await c.ExecuteAsync(
            """
            insert into change (id, school_id, class_id, adult_id, at, kind, summary, detail)
            values (@id, @SchoolId, @ClassId, @AdultId, @At, @kind, @summary::jsonb, @detail::jsonb)
            """,
            new
            {
                id,
                by.SchoolId,
                by.ClassId,
                by.AdultId,
                by.At,
                kind = kind.ToString(),
                summary,
                detail = Database.ToJson(detail),
            },
            t
        );
        return id;
    }

    /// <summary>Takes a change back and says so, both or neither; the same change cannot be taken back twice.</summary>
    /// <param name="undo">Takes back what the change did and nothing else, and says what is so now.</param>
    /// <returns>The sentence; null if it was taken back meanwhile.</returns>
    public async Task<Message?> Undo(
        ChangeId id,
        DateTimeOffset now,
        Func<NpgsqlConnection, NpgsqlTransaction, Task<Message>> undo
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (
            await c.ExecuteAsync(
                "update change set undone_at = @now where id = @id and undone_at is null",
                new { id, now },
                t
            ) == 0
        )
            return null;
        var sentence = await undo(c, t);
        await t.CommitAsync();
        return sentence;
    }

    public async Task<IReadOnlyList<Change>> Of(ClassId classId)
    {
        return await db.All<Change>(
            """
            select h.id, h.class_id, h.at, a.name as "by", h.kind, h.summary, h.undone_at
            from change h join adult a on a.id = h.adult_id
            where h.class_id = @classId
              or (
                h.class_id is null
                and h.school_id = (select school_id from class where id = @classId)
                and h.kind = @inClasses
                and h.detail -> 'classIds' ? @classId::text)
            order by h.at desc
            limit 100
            """,
            new { classId, inClasses = nameof(ChangeKind.AssignedInClasses) }
        );
    }

    /// <summary>Everything that was changed in a school, its classes included.</summary>
    public async Task<IReadOnlyList<Change>> OfSchool(SchoolId schoolId)
    {
        return await db.All<Change>(
            """
            select h.id, h.class_id, h.at, a.name as "by", h.kind, h.summary, h.undone_at
            from change h join adult a on a.id = h.adult_id
            where h.school_id = @schoolId
            order by h.at desc
            limit 300
            """,
            new { schoolId }
        );
    }

    public async Task<ChangeDetail?> Find(ChangeId id, SchoolId schoolId)
    {
        return await db.One<ChangeDetail>(
            """
            select id, class_id, adult_id, at, kind, summary, detail::text as detail, undone_at
            from change
            where id = @id and school_id = @schoolId
            """,
            new { id, schoolId }
        );
    }
}
