using System.Net;
using System.Text.Json.Nodes;
using DeepCurrent.Data.Readers;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace Web.Tests;

/// <summary>What teachers do is taken back exactly, by one registry of what readers have, and a command is whole or not
/// at all.</summary>
[Collection("application")]
public sealed class UndoTests(Harness harness)
{
    private async Task<List<T>> Rows<T>(string sql, params object[] values)
    {
        await using var c = await harness.Services.GetRequiredService<NpgsqlDataSource>().OpenConnectionAsync();
        await using var q = new NpgsqlCommand(sql, c);
        foreach (var v in values)
            q.Parameters.Add(new() { Value = v });
        await using var r = await q.ExecuteReaderAsync();
        var rows = new List<T>();
        while (await r.ReadAsync())
            rows.Add(r.GetFieldValue<T>(0));
        return rows;
    }

    [Fact]
    public async Task Every_table_that_holds_something_of_a_readers_is_in_the_registry()
    {
        var found = await Rows<string>(
            """
            select c.conrelid::regclass::text || '.' || a.attname
            from pg_constraint c
              join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
            where c.contype = 'f' and c.confrelid = 'reader'::regclass
            union
            select table_name || '.' || column_name
            from information_schema.columns
            where table_schema = 'public' and column_name in ('reader_id', 'person_id')
            """
        );
        ReaderThings
            .All.Select(x => $"{x.Table}.{x.Column}")
            .ShouldBe(
                found,
                ignoreOrder: true,
                "say in ReaderThings what merging, giving out and deleting do to a new table"
            );
    }

    [Fact]
    public async Task What_the_database_takes_along_by_itself_is_what_a_key_says_so_of()
    {
        var cascades = await Rows<string>(
            """
            select c.conrelid::regclass::text
            from pg_constraint c
            where c.contype = 'f' and c.confrelid = 'reader'::regclass and c.confdeltype = 'c'
            """
        );
        ReaderThings
            .All.Where(x => x.Delete is OnDelete.Cascades)
            .Select(x => x.Table)
            .ShouldBe(cascades, ignoreOrder: true);
    }

    [Fact]
    public async Task Where_two_readers_cannot_both_have_the_like_a_merge_knows_the_twin()
    {
        var unique = await Rows<string>(
            """
            select distinct i.indrelid::regclass::text
            from pg_index i join pg_attribute a on a.attrelid = i.indrelid and a.attnum = any(i.indkey)
            where i.indisunique and a.attname = 'reader_id' and array_length(i.indkey, 1) > 1
            """
        );
        ReaderThings
            .All.Where(x => x.Merge is OnMerge.Moves && unique.Contains(x.Table) && x.Table != "enrolment")
            .ShouldAllBe(x => x.Twin != null);
    }

    [Fact]
    public async Task The_record_that_is_given_out_has_all_of_the_registry()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var record = (await ana.Get($"/api/readers/{room.Readers[0].Id}/record.json")).AsObject();
        ReaderThings.All.Where(x => x.Record is not null).ShouldAllBe(x => record.ContainsKey(x.Record!));
    }

    private async Task<string> Added(Person ana, string classId) =>
        (string)
            (await ana.Get($"/api/classes/{classId}/changes"))
                .AsArray()
                .First(c => c!["summary"]!.Said().StartsWith("Added", StringComparison.Ordinal))!["id"]!;

    public static TheoryData<string> Works => ["record", "check", "loan", "assignment", "judgement"];

    [Theory, MemberData(nameof(Works))]
    public async Task Adding_a_reader_is_not_taken_back_once_anything_has_been_done_with_them(string what)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var reader = room.Readers[0].Id;
        var change = await Added(ana, room.Id);
        var text = (string)(await ana.Get("/api/library"))["rows"]![0]!["id"]!;
        await (
            what switch
            {
                "record" => BeginRecord(ana, room, text),
                "check" => BeginCheck(ana, room, text),
                "loan" => BeginLoan(ana, room, text),
                "assignment" => BeginAssignment(ana, room, text),
                _ => BeginLevel(ana, room, text),
            }
        );
        var refused = await ana.Problem(await ana.Post($"/api/changes/{change}/undo"), 409);
        ((string)refused["title"]!).ShouldContain("Reader0");
        await ana.Get($"/api/readers/{reader}");
    }

    private static async Task BeginRecord(Person ana, Room room, string text)
    {
        var reader = room.Readers[0].Id;
        await ana.Stored(
            $"/api/readers/{reader}/records/{Guid.NewGuid()}",
            new { textId = text, versionId = (string)(await ana.Get($"/api/texts/{text}"))["versions"]![0]!["id"]! }
        );
    }

    private static async Task BeginCheck(Person ana, Room room, string text)
    {
        var reader = room.Readers[0].Id;
        await ana.Stored($"/api/checks/{Guid.NewGuid()}", LevelCheckTests.Check([room.Id]));
    }

    private static async Task BeginLoan(Person ana, Room room, string text)
    {
        var reader = room.Readers[0].Id;
        var code = $"C{Guid.NewGuid():N}"[..8].ToUpperInvariant();
        await ana.Posted("/api/copies", new { title = "A paper book", codes = new[] { code } });
        await ana.Posted(
            "/api/copies/desk",
            new
            {
                typed = code,
                readerId = reader,
                days = 7,
            }
        );
    }

    private static async Task BeginAssignment(Person ana, Room room, string text)
    {
        var reader = room.Readers[0].Id;
        await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = new[] { reader },
                textId = text,
                attempts = 1,
                skipGiven = false,
            }
        );
    }

    private static async Task BeginLevel(Person ana, Room room, string text)
    {
        var reader = room.Readers[0].Id;
        await ana.Posted(
            $"/api/classes/{room.Id}/readers/{reader}/levels",
            new
            {
                level = "30",
                system = "fm",
                sd = 4,
                reason = "read well",
            }
        );
    }

    [Fact]
    public async Task Giving_a_check_to_one_more_is_taken_back_from_that_one_alone()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 4);
        var path = $"/api/checks/{Guid.NewGuid()}";
        await ana.Stored(path, LevelCheckTests.Check([], readers: [.. room.Readers.Take(3).Select(r => r.Id)]));
        var more = await ana.Stored(
            path,
            LevelCheckTests.Check([], readers: [.. room.Readers.Select(r => r.Id)], revision: 1)
        );
        await ana.Posted($"/api/changes/{more["changeId"]}/undo");
        var left = (await ana.Get(path))["sittings"]!.AsArray().Select(s => (string)s!["readerId"]!).ToList();
        left.ShouldBe(room.Readers.Take(3).Select(r => r.Id), ignoreOrder: true);
        ((bool)(await ana.Get(path))["gone"]!).ShouldBeFalse();
    }

    [Fact]
    public async Task Several_texts_are_given_whole_once_and_taken_back_together()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var texts = (await ana.Get("/api/library"))["rows"]!
            .AsArray()
            .Take(3)
            .Select(r => new { id = Guid.NewGuid(), textId = (string)r!["id"]! })
            .ToArray();
        object request = new
        {
            readerIds = room.Readers.Select(r => r.Id),
            attempts = 2,
            skipGiven = false,
            texts,
        };
        var first = await ana.Posted($"/api/classes/{room.Id}/assignments", request);
        var again = await ana.Posted($"/api/classes/{room.Id}/assignments", request);
        ((string)again["changeId"]!).ShouldBe((string)first["changeId"]!);
        (await ana.Get($"/api/classes/{room.Id}/assignments"))["rows"]!.AsArray().Count.ShouldBe(3);
        // One text that nobody can be given stops all of it.
        var bad = await ana.Post(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                attempts = 2,
                skipGiven = false,
                texts = new[]
                {
                    new { id = Guid.NewGuid(), textId = texts[0].textId },
                    new { id = Guid.NewGuid(), textId = Guid.NewGuid().ToString() },
                },
            }
        );
        bad.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await ana.Get($"/api/classes/{room.Id}/assignments"))["rows"]!.AsArray().Count.ShouldBe(3);
        await ana.Posted($"/api/changes/{first["changeId"]}/undo");
        (await ana.Get($"/api/classes/{room.Id}/assignments"))["rows"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Several_texts_sent_again_are_the_same_request_though_the_first_was_skipped()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var textIds = (await ana.Get("/api/library"))["rows"]!
            .AsArray()
            .Take(2)
            .Select(r => (string)r!["id"]!)
            .ToArray();
        object Request(Guid[] ids, params string[] texts) =>
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                attempts = 2,
                skipGiven = true,
                texts = texts.Select((t, i) => new { id = ids[i], textId = t }),
            };
        await ana.Posted($"/api/classes/{room.Id}/assignments", Request([Guid.NewGuid()], textIds[0]));
        Guid[] ids = [Guid.NewGuid(), Guid.NewGuid()];
        var first = await ana.Posted($"/api/classes/{room.Id}/assignments", Request(ids, textIds));
        var again = await ana.Posted($"/api/classes/{room.Id}/assignments", Request(ids, textIds));
        ((string)again["changeId"]!).ShouldBe((string)first["changeId"]!);
        (await ana.Get($"/api/classes/{room.Id}/assignments"))["rows"]!.AsArray().Count.ShouldBe(2);
    }

    [Fact]
    public async Task Everything_goes_along_when_twins_are_merged_and_comes_back_when_they_are_parted()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        string kept = room.Readers[0].Id,
            other = room.Readers[1].Id;
        var code = $"C{Guid.NewGuid():N}"[..8].ToUpperInvariant();
        await ana.Posted("/api/copies", new { title = "A paper book", codes = new[] { code } });
        await ana.Posted(
            "/api/copies/desk",
            new
            {
                typed = code,
                readerId = other,
                days = 7,
            }
        );
        async Task<Dictionary<string, long>> Of(string reader)
        {
            var counts = new Dictionary<string, long>();
            foreach (var x in ReaderThings.All.Where(x => x.Merge is OnMerge.Moves))
                counts[x.Table] = (
                    await Rows<long>($"select count(*) from {x.Table} where reader_id = $1", Guid.Parse(reader))
                )[0];
            return counts;
        }
        var (keptBefore, otherBefore) = (await Of(kept), await Of(other));
        otherBefore["loan"].ShouldBe(1);
        var merged = await ana.Posted($"/api/readers/{kept}/merge", new { otherId = other });
        (await Of(other)).Values.ShouldAllBe(n => n == 0);
        (await Of(kept))["loan"].ShouldBe(1);
        (await ana.Post($"/api/changes/{merged["changeId"]}/undo")).EnsureSuccessStatusCode();
        (await Of(kept)).ShouldBe(keptBefore);
        (await Of(other)).ShouldBe(otherBefore);
    }

    [Fact]
    public async Task Deleting_a_reader_takes_them_out_by_id_and_leaves_everybody_else_alone()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var (gone, stays) = (room.Readers[0].Id, room.Readers[1].Id);
        // Another class's unfinished list holds the given name as part of words.
        var other = await harness.Room(ana, 0);
        var rows = new[]
        {
            new { givenName = "Reader0", familyName = "Elsewhere" },
            new { givenName = "Zoe", familyName = "Reader01" },
        };
        (
            await ana.Put($"/api/classes/{other.Id}/list/draft", new { rows, levelSystem = "fm" })
        ).EnsureSuccessStatusCode();
        var import = ImportId.New();
        var adult = (await harness.Services.GetRequiredService<DeepCurrent.Data.Adults.AdultStore>().Find("ana"))!;
        await harness
            .Services.GetRequiredService<DeepCurrent.Data.Imports.ImportStore>()
            .Add(import, adult.SchoolId, adult.Id, "Another file", [1, 2, 3], DateTimeOffset.UtcNow);
        (await ana.Get($"/api/readers/{gone}/delete"))
            .AsArray()
            .Select(g => g!.Said())
            .ShouldContain(g => g.Contains("time in a class") || g.Contains("times in a class"));
        (await ana.Post($"/api/readers/{gone}/delete", new { name = "Reader0 Test" })).EnsureSuccessStatusCode();
        foreach (var x in ReaderThings.All)
            (await Rows<long>($"select count(*) from {x.Table} where {x.Column} = $1", Guid.Parse(gone)))[0]
                .ShouldBe(0, x.Table);
        (await ana.Get($"/api/classes/{other.Id}/list/draft"))["rows"]!.AsArray().Count.ShouldBe(2);
        (await Rows<long>("select count(*) from import where id = $1", import.Value))[0].ShouldBe(1);
        await ana.Get($"/api/readers/{stays}");
    }

    [Fact]
    public async Task A_command_whose_change_cannot_be_listed_is_not_done()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        await Rows<object>("alter table change add constraint nothing_more check (kind <> 'Goals') not valid");
        try
        {
            (
                await ana.Put(
                    $"/api/classes/{room.Id}/goals",
                    new
                    {
                        targets = new[]
                        {
                            new
                            {
                                readerId = room.Readers[0].Id,
                                kind = "Words",
                                target = 1234,
                            },
                        },
                        reason = "",
                    }
                )
            ).StatusCode.ShouldBe(HttpStatusCode.InternalServerError);
            (await Rows<long>("select count(*) from goal where reader_id = $1", Guid.Parse(room.Readers[0].Id)))[0]
                .ShouldBe(0);
        }
        finally
        {
            await Rows<object>("alter table change drop constraint nothing_more");
        }
    }
}
