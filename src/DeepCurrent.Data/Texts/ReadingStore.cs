using Dapper;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <summary>A sound as it is kept.</summary>
public sealed record Sound(string Type, byte[] Bytes);

/// <summary>A maze passage that a school has accepted.</summary>
public sealed record KeptMaze(int Draft, IReadOnlyList<MazePiece> Pieces, string? By, DateTimeOffset At);

/// <summary>What a school adds to the versions of texts: readings of them, and maze passages.</summary>
public sealed class ReadingStore(NpgsqlDataSource db)
{
    private const string TellSql = "select pg_notify('text', text_id::text) from version where id = @versionId";

    public async Task<Sound?> SoundOf(VersionId versionId, SchoolId schoolId)
    {
        return await db.One<Sound>(
            "select type, bytes from version_sound where version_id = @versionId and school_id = @schoolId",
            new { versionId, schoolId }
        );
    }

    /// <summary>The versions of a text that a school has a reading of.</summary>
    public async Task<IReadOnlySet<VersionId>> Heard(TextId textId, SchoolId schoolId)
    {
        return (
            await db.All<VersionId>(
                """
                select s.version_id
                from version_sound s join version v on v.id = s.version_id
                where v.text_id = @textId and s.school_id = @schoolId
                limit 100
                """,
                new { textId, schoolId }
            )
        ).ToHashSet();
    }

    public async Task KeepSound(
        VersionId versionId,
        SchoolId schoolId,
        AdultId adultId,
        Sound sound,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync(
            """
            insert into version_sound (version_id, school_id, adult_id, type, bytes, at)
            values (@versionId, @schoolId, @adultId, @Type, @Bytes, @now)
            on conflict (version_id, school_id) do update
            set adult_id = @adultId, type = @Type, bytes = @Bytes, at = @now
            """,
            new
            {
                versionId,
                schoolId,
                adultId,
                sound.Type,
                sound.Bytes,
                now,
            }
        );
        await c.ExecuteAsync(TellSql, new { versionId });
    }

    public async Task<bool> DropSound(VersionId versionId, SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        var dropped = await c.ExecuteAsync(
            "delete from version_sound where version_id = @versionId and school_id = @schoolId",
            new { versionId, schoolId }
        );
        await c.ExecuteAsync(TellSql, new { versionId });
        return dropped > 0;
    }

    public async Task<KeptMaze?> MazeOf(VersionId versionId, SchoolId schoolId)
    {
        var kept = await db.One<(int Draft, string Pieces, string? By, DateTimeOffset At)?>(
            """
            select m.draft, m.pieces, a.name, m.at
            from maze m left join adult a on a.id = m.adult_id
            where m.version_id = @versionId and m.school_id = @schoolId
            """,
            new { versionId, schoolId }
        );
        return kept is { } k ? new(k.Draft, Database.FromJson<List<MazePiece>>(k.Pieces), k.By, k.At) : null;
    }

    public async Task KeepMaze(
        VersionId versionId,
        SchoolId schoolId,
        AdultId adultId,
        int draft,
        IReadOnlyList<MazePiece> pieces,
        DateTimeOffset now
    )
    {
        await db.Run(
            """
            insert into maze (version_id, school_id, adult_id, draft, pieces, at)
            values (@versionId, @schoolId, @adultId, @draft, @pieces::jsonb, @now)
            on conflict (version_id, school_id) do update
            set adult_id = @adultId, draft = @draft, pieces = excluded.pieces, at = @now
            """,
            new
            {
                versionId,
                schoolId,
                adultId,
                draft,
                pieces = Database.ToJson(pieces),
                now,
            }
        );
    }

    public async Task<bool> DropMaze(VersionId versionId, SchoolId schoolId)
    {
        return await db.Run(
                "delete from maze where version_id = @versionId and school_id = @schoolId",
                new { versionId, schoolId }
            ) > 0;
    }
}
