using Dapper;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <summary>A copy on paper, and who has it.</summary>
/// <param name="TextId">The text in the library, where it has one.</param>
/// <param name="DueOn">When it is to be back, while it is out.</param>
public sealed record CopyRow(
    CopyId Id,
    string Code,
    string Title,
    TextId? TextId,
    ReaderId? ReaderId,
    string? GivenName,
    string? FamilyName,
    DateTimeOffset? LentAt,
    DateOnly? DueOn
);

/// <summary>A reader of the school, by user name.</summary>
public sealed record Borrower(ReaderId Id, string GivenName, string FamilyName);

/// <summary>Copies on paper and their loans.</summary>
public sealed class CopyStore(NpgsqlDataSource db)
{
    // Who has a copy is said to those who may see the reader; others hear that it is out.
    private const string RowSql = """
        select c.id, c.code, c.title, c.text_id, l.reader_id, case when m.may then r.given_name end as given_name,
          case when m.may then r.family_name end as family_name, l.lent_at, l.due_on
        from copy c
          left join loan l on l.copy_id = c.id and l.returned_at is null
          left join reader r on r.id = l.reader_id
          cross join lateral (
            select @lead
              or exists (
                select 1
                from enrolment e join class_adult a on a.class_id = e.class_id
                where e.reader_id = l.reader_id and a.adult_id = @adultId) as may) m
        """;

    public async Task<IReadOnlyList<CopyRow>> All(SchoolId schoolId, AdultId adultId, bool lead)
    {
        return await db.All<CopyRow>(
            RowSql
                + " where c.school_id = @schoolId and c.gone_at is null order by l.due_on nulls last, "
                + "c.title, c.code limit 5000",
            new
            {
                schoolId,
                adultId,
                lead,
            }
        );
    }

    public async Task<CopyRow?> Find(string code, SchoolId schoolId, AdultId adultId, bool lead)
    {
        return await db.One<CopyRow>(
            RowSql + " where c.school_id = @schoolId and upper(c.code) = upper(@code) and c.gone_at is null",
            new
            {
                code,
                schoolId,
                adultId,
                lead,
            }
        );
    }

    public async Task<Borrower?> Reader(string userName, SchoolId schoolId)
    {
        return await db.One<Borrower>(
            """
            select id, given_name, family_name
            from reader
            where school_id = @schoolId and lower(user_name) = lower(@userName)
            """,
            new { userName, schoolId }
        );
    }

    /// <returns>False if another copy has that code.</returns>
    public async Task<bool> Add(
        CopyId id,
        SchoolId schoolId,
        TextId? textId,
        string title,
        string code,
        DateTimeOffset now
    )
    {
        return await db.Run(
                """
                insert into copy (id, school_id, text_id, title, code, created_at)
                values (@id, @schoolId, @textId, @title, @code, @now)
                on conflict do nothing
                """,
                new
                {
                    id,
                    schoolId,
                    textId,
                    title,
                    code,
                    now,
                }
            ) == 1;
    }

    /// <summary>Gives a copy to a reader; one that is out already comes back first.</summary>
    public async Task Lend(CopyId copyId, ReaderId readerId, AdultId adultId, DateOnly dueOn, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await c.ExecuteAsync(
            """
            select 1
            from copy
            where id = @copyId
            for update; update loan
            set returned_at = @now
            where copy_id = @copyId and returned_at is null
            """,
            new { copyId, now },
            t
        );
        await c.ExecuteAsync(
            """
            insert into loan (id, copy_id, reader_id, lent_by, lent_at, due_on)
            values (@id, @copyId, @readerId, @adultId, @now, @dueOn)
            """,
            new
            {
                id = Guid.CreateVersion7(),
                copyId,
                readerId,
                adultId,
                now,
                dueOn,
            },
            t
        );
        await t.CommitAsync();
    }

    public async Task Return(CopyId copyId, DateTimeOffset now)
    {
        await db.Run(
            "update loan set returned_at = @now where copy_id = @copyId and returned_at is null",
            new { copyId, now }
        );
    }

    /// <summary>Takes a copy off the list: lost or worn out.</summary>
    public async Task<bool> Remove(CopyId copyId, SchoolId schoolId, DateTimeOffset now)
    {
        return await db.Run(
                "update copy set gone_at = @now where id = @copyId and school_id = @schoolId and gone_at is null",
                new
                {
                    copyId,
                    schoolId,
                    now,
                }
            ) == 1;
    }
}
