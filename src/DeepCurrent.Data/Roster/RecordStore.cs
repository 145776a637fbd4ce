using System.Text.Json;
using System.Text.Json.Nodes;
using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>Everything kept about one reader: to give out whole, and to delete whole.</summary>
public sealed class RecordStore(NpgsqlDataSource db)
{
    /// <summary>The whole record as one document.</summary>
    public async Task<JsonNode> Whole(ReaderId readerId, SchoolId schoolId)
    {
        var whole = JsonNode.Parse(await db.Single<string>(RecordSql.WholeSql, new { readerId, schoolId }))!;
        foreach (var (many, said) in new[] { ("changes", "what"), ("evidence", "note"), ("levelChecks", "title") })
        foreach (var one in whole[many]?.AsArray() ?? [])
            one![said] = one[said].Deserialize<Message>(Database.Json)!.ToString();
        return whole;
    }

    /// <summary>What deleting a reader takes along, counted.</summary>
    public async Task<IReadOnlyList<Message>> Counted(ReaderId readerId)
    {
        const string answers = """
              (
                (select count(*) from answer a join ticket k on k.id = a.ticket_id where k.reader_id = @readerId) + (
                  select count(*)
                  from check_answer a
                    join stage g on g.id = a.stage_id
                    join sitting_part p on p.id = g.part_id
                    join sitting s on s.id = p.sitting_id
                  where s.reader_id = @readerId))::int
            """;
        var asked = ReaderThings
            .All.Where(x => x.Delete is not OnDelete.Forgets)
            .Select(x => (x.What, Sql: $"(select count(*)::int from {x.Table} where {x.Column} = @readerId)"))
            .Prepend((What: n => $"{n:count} answers", Sql: answers))
            .ToList();
        var found = await db.Single<int[]>(
            $"select array[{string.Join(", ", asked.Select(a => a.Sql))}]",
            new { readerId }
        );
        return asked.Zip(found).Where(x => x.Second > 0).Select(x => x.First.What(x.Second)).ToList();
    }

    /// <summary>Roster files of a school that are kept and may hold a reader.</summary>
    public async Task<IReadOnlyList<(ImportId Id, byte[] Body)>> RosterFiles(SchoolId schoolId)
    {
        return await db.All<(ImportId, byte[])>(
            "select id, body from import where school_id = @schoolId and body is not null limit 200",
            new { schoolId }
        );
    }

    /// <summary>Deletes a reader and everything about them, by id and nothing else: also out of the kept steps of
    /// changes, of lists somebody is typing, and of roster files; guardians of nobody else go too. False if there is no
    /// such reader.</summary>
    /// <param name="files">Roster files without the reader's rows, by import.</param>
    public async Task<bool> Delete(
        RosterReader reader,
        SchoolId schoolId,
        AdultId adultId,
        IReadOnlyDictionary<ImportId, byte[]> files,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var twins = (
            await c.QueryAsync<ReaderId>("select id from reader where merged_into = @Id", new { reader.Id }, t)
        ).ToList();
        ReaderId[] ids = [reader.Id, .. twins];
        await Forget(c, t, reader, ids, schoolId, files);
        await c.ExecuteAsync("delete from reader where id = any(@twins)", new { twins = twins.ToArray() }, t);
        if (
            await c.ExecuteAsync(
                "delete from reader where id = @Id and school_id = @schoolId",
                new { reader.Id, schoolId },
                t
            ) == 0
        )
            return false;
        await c.ExecuteAsync(
            $"""
            insert into looked (school_id, adult_id, at, what, note)
            values (
              @schoolId, @adultId, @now, '{nameof(LookKind.ReaderDeleted)}',
              @note::jsonb)
            """,
            new
            {
                schoolId,
                adultId,
                now,
                note = (Message)$"A reader and everything stored about them",
            },
            t
        );
        await t.CommitAsync();
        return true;
    }

    /// <summary>Everything that is kept about a reader, and where else their name or id stands.</summary>
    private static async Task Forget(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        RosterReader reader,
        ReaderId[] ids,
        SchoolId schoolId,
        IReadOnlyDictionary<ImportId, byte[]> files
    )
    {
        await OutOfSteps(c, t, ids);
        foreach (var (id, body) in files)
            await c.ExecuteAsync(
                "update import set body = @body where id = @id and school_id = @schoolId",
                new
                {
                    id,
                    body,
                    schoolId,
                },
                t
            );
        await c.ExecuteAsync(
            RecordSql.DeleteSql,
            new
            {
                reader.FullName,
                reader.GivenName,
                schoolId,
                ids,
                texts = ids.Select(i => i.ToString()).ToArray(),
                anyId = string.Join('|', ids),
                doors = ids.Select(i => $"reader {i}").ToArray(),
                tries = ids.Select(i => $"reader {i} %").ToArray(),
            },
            t
        );
        foreach (var x in ReaderThings.All.Where(x => x.Table != "reader" && x.Delete is not OnDelete.Cascades))
            await c.ExecuteAsync(
                x.Delete is OnDelete.Forgets
                    ? $"update {x.Table} set {x.Column} = null where {x.Column} = any(@ids)"
                    : $"delete from {x.Table} where {x.Column} = any(@ids)",
                new { ids },
                t
            );
    }

    private static async Task OutOfSteps(NpgsqlConnection c, NpgsqlTransaction t, ReaderId[] ids)
    {
        var gone = ids.ToHashSet();
        foreach (
            var change in (
                await c.QueryAsync<ChangeId>(
                    "select distinct change_id from change_reader where reader_id = any(@ids)",
                    new { ids },
                    t
                )
            ).ToList()
        )
        foreach (
            var (part, body) in (
                await c.QueryAsync<(int, byte[])>(
                    "select part, body from change_part where change_id = @change",
                    new { change },
                    t
                )
            ).ToList()
        )
        {
            var steps = ChangeParts.Unpack(body);
            var left = Consent.Without(steps, gone);
            if (left.Steps < steps.Steps)
                await c.ExecuteAsync(
                    "update change_part set body = @body where change_id = @change and part = @part",
                    new
                    {
                        change,
                        part,
                        body = ChangeParts.Pack(left),
                    },
                    t
                );
        }
    }
}
