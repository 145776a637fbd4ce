using System.IO.Compression;
using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>A roster change as it is kept, in parts, so that it can be taken back.</summary>
internal static class ChangeParts
{
    private const int StepsPerPart = 5_000;

    /// <summary>Lists the change, and keeps its steps and whom they are about.</summary>
    internal static async Task Keep(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeId id,
        RosterChange change,
        ChangeSet steps
    )
    {
        await c.ExecuteAsync(
            """
            insert into change (id, school_id, class_id, adult_id, at, kind, summary, detail)
            values (@id, @SchoolId, @ClassId, @AdultId, @At, @kind, @Summary::jsonb, '{}')
            """,
            new
            {
                id,
                change.SchoolId,
                change.ClassId,
                change.AdultId,
                change.At,
                kind = nameof(ChangeKind.Roster),
                change.Summary,
            },
            t
        );
        var part = 0;
        foreach (var piece in Pieces(steps))
        {
            await using var q = new NpgsqlCommand(
                "insert into change_part (change_id, part, body) values ($1, $2, $3)",
                c
            )
            {
                Parameters =
                {
                    new() { Value = id.Value },
                    new() { Value = part++ },
                    new() { Value = Pack(piece) },
                },
            };
            await q.ExecuteNonQueryAsync();
        }
        await StepTable<RosterReader>.Copy(
            c,
            "copy change_reader (change_id, reader_id) from stdin (format binary)",
            steps.TouchedReaders(),
            async (reader, w) => await w.WriteRowAsync(default, id.Value, reader.Value)
        );
    }

    // In the order they were done, so that taken back from the end nothing is missing what it leans on.
    private static IEnumerable<ChangeSet> Pieces(ChangeSet s) =>
        s.Steps <= StepsPerPart
            ? [s]
            :
            [
                .. s.Adults.Chunk(StepsPerPart).Select(x => ChangeSet.Nothing with { Adults = x }),
                .. s.Classes.Chunk(StepsPerPart).Select(x => ChangeSet.Nothing with { Classes = x }),
                .. s.Readers.Chunk(StepsPerPart).Select(x => ChangeSet.Nothing with { Readers = x }),
                .. s.Teachings.Chunk(StepsPerPart).Select(x => ChangeSet.Nothing with { Teachings = x }),
                .. s.Enrolments.Chunk(StepsPerPart).Select(x => ChangeSet.Nothing with { Enrolments = x }),
                .. s.Levels.Chunk(StepsPerPart).Select(x => ChangeSet.Nothing with { Levels = x }),
            ];

    internal static byte[] Pack(ChangeSet steps)
    {
        using var body = new MemoryStream();
        using (var zip = new GZipStream(body, CompressionLevel.Fastest))
            System.Text.Json.JsonSerializer.Serialize(zip, steps, Database.Json);
        return body.ToArray();
    }

    internal static ChangeSet Unpack(byte[] body)
    {
        using var zip = new GZipStream(new MemoryStream(body), CompressionMode.Decompress);
        return System.Text.Json.JsonSerializer.Deserialize<ChangeSet>(zip, Database.Json)!;
    }
}
