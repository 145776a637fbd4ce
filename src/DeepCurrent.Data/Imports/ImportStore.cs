using Dapper;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Imports;

/// <summary>A roster file, or a roster source's answer, on its way in.</summary>
public sealed record ImportHead
{
    public required ImportId Id { get; init; }

    public required SchoolId SchoolId { get; init; }

    public required AdultId AdultId { get; init; }

    public required string Name { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    /// <summary>Only what belongs to this org of the file; null where nobody has chosen; <see
    /// cref="ImportStore.AllOrgs"/> for everything.</summary>
    public required string? Org { get; init; }

    /// <summary>The system the file comes from, once it has been read.</summary>
    public required string Source { get; init; }

    public required string Mends { get; init; }

    public required ImportTask Wanted { get; init; }

    /// <summary>waiting, working, ready, applied or failed.</summary>
    public required ImportState State { get; init; }

    /// <summary>0 to 1.</summary>
    public required double Progress { get; init; }

    public required ImportStage? Stage { get; init; }

    public required string? Preview { get; init; }

    public required Message? Error { get; init; }

    public required ChangeId? ChangeId { get; init; }
}

/// <summary>A cell that was put right, or a row left out (the column is null).</summary>
public sealed record MendRow(string File, int Line, string? Column, string? Value);

/// <summary>Imports, kept with their file until they are done, so that nothing depends on one process living through
/// them.</summary>
public sealed class ImportStore(NpgsqlDataSource db)
{
    /// <summary>The channel that says an import waits.</summary>
    public const string Channel = "import";

    private const string Columns = $"""
        id, school_id, adult_id, name, made_at, org, source, mends::text as mends, wanted,
        case
          when state = {Applied}
            and exists (select 1 from change h where h.id = import.change_id and h.undone_at is not null)
            then '{nameof(ImportState.Undone)}'
          else state
        end as state,
        progress, nullif(stage, '') as stage, preview::text as preview, error, change_id
        """;

    private const string Waiting = $"'{nameof(ImportState.Waiting)}'",
        Working = $"'{nameof(ImportState.Working)}'",
        Applied = $"'{nameof(ImportState.Applied)}'";

    /// <summary>Those a worker has or is about to have.</summary>
    private static readonly string Busy = Members.Where<ImportState>(ImportStates.Busy);

    /// <summary>What stands for every org of a file.</summary>
    public const string AllOrgs = "*";

    /// <summary>The org that the school's last import from a source was done for.</summary>
    public async Task<string?> LastOrg(SchoolId schoolId, string source)
    {
        return await db.First<string>(
            $"""
            select org
            from import
            where school_id = @schoolId and source = @source and state = {Applied} and org is not null
            order by made_at desc
            limit 1
            """,
            new { schoolId, source }
        );
    }

    /// <summary>Notes what a file comes from, and what of it is taken.</summary>
    public async Task Read(ImportId id, string source, string? org)
    {
        await db.Run(
            "update import set source = @source, org = @org where id = @id",
            new
            {
                id,
                source,
                org,
            }
        );
    }

    /// <summary>Keeps a file that waits to be looked at; the same file under the same ID is kept once.</summary>
    /// <returns>Whether the ID is this school's: false where something else has it.</returns>
    public async Task<bool> Add(
        ImportId id,
        SchoolId schoolId,
        AdultId adultId,
        string name,
        byte[] body,
        DateTimeOffset at
    )
    {
        return await db.Single<bool>(
            $"""
            with kept as (
                insert into import (id, school_id, adult_id, name, made_at, body, wanted, state)
                values (@id, @schoolId, @adultId, @name, @at, @body, @task, {Waiting})
                on conflict (id) do nothing
                returning id, pg_notify('import', '')
            )
            select exists (select from kept)
                or exists (select from import where id = @id and school_id = @schoolId and name = @name)
            """,
            new
            {
                id,
                schoolId,
                adultId,
                name,
                at,
                body,
                task = nameof(ImportTask.Preview),
            }
        );
    }

    public async Task<ImportHead?> Find(ImportId id, SchoolId schoolId)
    {
        return await db.One<ImportHead>(
            $"select {Columns} from import where id = @id and school_id = @schoolId",
            new { id, schoolId }
        );
    }

    public async Task<IReadOnlyList<ImportHead>> Of(SchoolId schoolId)
    {
        return await db.All<ImportHead>(
            $"select {Columns} from import where school_id = @schoolId order by made_at desc limit 50",
            new { schoolId }
        );
    }

    /// <summary>Asks for a preview or for the import itself; false if it is being worked on.</summary>
    public async Task<bool> Want(
        ImportId id,
        SchoolId schoolId,
        ImportTask wanted,
        string? org,
        IReadOnlyList<MendRow>? mends
    )
    {
        return await db.Run(
                $"""
                update import
                set wanted = @wanted, state = {Waiting}, progress = 0, stage = '', error = null, org = @org,
                  mends = coalesce(@mends::jsonb, mends)
                where id = @id and school_id = @schoolId and state not in ({Busy});
                select pg_notify('import', '')
                """,
                new
                {
                    id,
                    schoolId,
                    wanted = wanted.ToString(),
                    org,
                    mends = mends is null ? null : Database.ToJson(mends),
                }
            ) > 0;
    }

    /// <summary>Takes the next import that waits, or that a process which is gone was working on, and holds it until
    /// the returned hold is let go.</summary>
    public async Task<Hold?> Next(CancellationToken stop)
    {
        var c = await db.OpenConnectionAsync(stop);
        foreach (
            var id in await c.QueryAsync<ImportId>(
                $"select id from import where state in ({Busy}) order by made_at limit 20"
            )
        )
        {
            // Held by the session, so that it falls free with the process that held it.
            if (
                !await c.ExecuteScalarAsync<bool>(
                    "select pg_try_advisory_lock(hashtextextended(@key, 1))",
                    new { key = $"import {id}" }
                )
            )
                continue;
            var head = await c.QuerySingleOrDefaultAsync<ImportHead>(
                $"""
                update import
                set state = {Working}
                where id = @id and state in ({Busy})
                returning {Columns}
                """,
                new { id }
            );
            if (head is not null)
                return new(c, head);
            await c.ExecuteAsync("select pg_advisory_unlock_all()");
        }
        await c.DisposeAsync();
        return null;
    }

    public async Task<byte[]> Body(ImportId id)
    {
        return await db.Single<byte[]>("select body from import where id = @id", new { id });
    }

    public async Task Progress(ImportId id, double progress, ImportStage stage)
    {
        await db.Run(
            "update import set progress = @progress, stage = @stage where id = @id",
            new
            {
                id,
                progress,
                stage = stage.ToString(),
            }
        );
    }

    public async Task Ready(ImportId id, string preview)
    {
        await db.Run(
            "update import set state = @ready, progress = 1, stage = '', preview = @preview::jsonb where id = @id",
            new
            {
                id,
                preview,
                ready = nameof(ImportState.Ready),
            }
        );
    }

    /// <summary>Marks an import as done inside the transaction that did it.</summary>
    public static Task Apply(NpgsqlConnection c, NpgsqlTransaction t, ImportId id, ChangeId changeId) =>
        c.ExecuteAsync(
            $"update import set state = {Applied}, progress = 1, stage = '', change_id = @changeId where id = @id",
            new { id, changeId },
            t
        );

    public async Task Failed(ImportId id, Message error)
    {
        await db.Run(
            "update import set state = @failed, stage = '', error = @error::jsonb where id = @id",
            new
            {
                id,
                error,
                failed = nameof(ImportState.Failed),
            }
        );
    }

    /// <summary>Throws an import away; false if there is none such, or it is being worked on.</summary>
    public async Task<bool> Discard(ImportId id, SchoolId schoolId)
    {
        return await db.Run(
                $"delete from import where id = @id and school_id = @schoolId and state <> {Working}",
                new { id, schoolId }
            ) == 1;
    }

    /// <summary>An import in hand.</summary>
    public sealed class Hold(NpgsqlConnection connection, ImportHead head) : IAsyncDisposable
    {
        public ImportHead Head { get; } = head;

        public async ValueTask DisposeAsync()
        {
            try
            {
                await connection.ExecuteAsync("select pg_advisory_unlock_all()");
            }
            finally
            {
                await connection.DisposeAsync();
            }
        }
    }
}
