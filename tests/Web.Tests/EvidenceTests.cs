using System.Net;
using System.Text.Json.Nodes;
using DeepCurrent.Web.Readers;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace Web.Tests;

/// <summary>What a level is built from: explained, left out, overruled, and all of it taken back.</summary>
[Collection("application")]
public sealed class EvidenceTests(Harness harness)
{
    private static Task<JsonNode> Account(Person who, Room room) =>
        who.Get($"/api/readers/{room.Readers[0].Id}/evidence");

    private static Task<HttpResponseMessage> LeaveOut(Person who, Room room, JsonNode piece, string? reason) =>
        who.Put(
            $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/evidence",
            new { ids = piece["ids"]!.AsArray().Select(i => (string)i!), reason }
        );

    private static Task<HttpResponseMessage> Judge(
        Person who,
        Room room,
        string level,
        string system = "fm",
        double sd = 2,
        string reason = "Reads far harder books at home"
    ) =>
        who.Post(
            $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/levels",
            new
            {
                level,
                system,
                sd,
                reason,
            }
        );

    private static double Depth(JsonNode account) => (double)account["depth"]!;

    [Fact]
    public async Task A_level_is_explained_in_every_label_system()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var account = await Account(ana, room);
        var piece = account["pieces"]!.AsArray().Single()!;
        ((string)piece["what"]!, (int)piece["counted"]!).ShouldBe(("Level", 1));
        ((double)piece["after"]!).ShouldBe(Depth(account), 0.2);
        account["labels"]!.AsArray().Select(l => (string)l!["system"]!).ShouldBe(["fm", "grade", "school year", "age"]);
        account["surer"]!.AsArray().ShouldAllBe(s => (double)s!["sd"]! < (double)account["sd"]!);
    }

    [Fact]
    public async Task A_teacher_overrules_with_a_reason_and_takes_it_back()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var before = Depth(await Account(ana, room));
        var change = await ana.Json(await Judge(ana, room, "46"));
        var after = await Account(ana, room);
        Depth(after).ShouldBeInRange(before + 5, 46);
        after["pieces"]![0]!["note"]!.Said().ShouldContain("Reads far harder books at home");
        await ana.Posted($"/api/changes/{(string)change["changeId"]!}/undo");
        Depth(await Account(ana, room)).ShouldBe(before, 0.05);
        (await ana.Problem(await ana.Post($"/api/changes/{(string)change["changeId"]!}/undo"), 409))
            .ToJsonString()
            .ShouldContain("undone");
    }

    [Fact]
    public async Task A_piece_is_left_out_with_a_reason_and_taken_in_again_and_the_level_follows()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        await ana.Json(await Judge(ana, room, "grade 6", reason: "A bad guess"));
        var with = await Account(ana, room);
        var piece = with["pieces"]!.AsArray().Single(p => p!["note"]!.Said().Contains("bad guess"))!;
        var change = await ana.Json(await LeaveOut(ana, room, piece, "Was ill"));
        var without = await Account(ana, room);
        Depth(without).ShouldBeLessThan(Depth(with) - 3);
        var left = without["pieces"]!.AsArray().Single(p => (string?)p!["reason"] == "Was ill")!;
        ((int)left["counted"]!).ShouldBe(0);
        (await ana.Code(await LeaveOut(ana, room, piece, "Was ill"), 409)).ShouldBe("no-change");
        await ana.Json(await LeaveOut(ana, room, left, null));
        Depth(await Account(ana, room)).ShouldBe(Depth(with), 0.05);
        // Undoing the first change still leads to where it began.
        await ana.Posted($"/api/changes/{(string)change["changeId"]!}/undo");
        Depth(await Account(ana, room)).ShouldBe(Depth(with), 0.05);
    }

    [Fact]
    public async Task An_assistant_sees_what_a_level_is_built_from_and_may_not_judge()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var dina = (await ana.Get("/api/colleagues")).AsArray().Single(c => (string)c!["name"]! == "Dina")!;
        (
            await ana.Put($"/api/classes/{room.Id}/adults", new { adultId = (string)dina["id"]!, role = "Assistant" })
        ).EnsureSuccessStatusCode();
        var assistant = await harness.Teacher("dina");
        ((bool)(await Account(assistant, room))["mayJudge"]!).ShouldBeFalse();
        ((bool)(await Account(ana, room))["mayJudge"]!).ShouldBeTrue();
        (await Judge(assistant, room, "46")).StatusCode.ShouldBe(System.Net.HttpStatusCode.NotFound);
    }

    [Theory]
    [InlineData("46", "fm", 2, "", "reason")]
    [InlineData("deep", "fm", 2, "x", "level")]
    [InlineData("4000", "fm", 2, "x", "level")]
    [InlineData("46", "fm", 0.1, "x", "sd")]
    public async Task A_judgement_that_makes_no_sense_is_refused_in_words(
        string level,
        string system,
        double sd,
        string reason,
        string field
    )
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        (await ana.Problem(await Judge(ana, room, level, system, sd, reason), 422))["fields"]![field].ShouldNotBeNull();
    }

    [Fact]
    public async Task Evidence_of_a_reader_of_another_class_is_not_found()
    {
        var ana = await harness.Teacher("ana");
        var (room, other) = (await harness.Room(ana, 1), await harness.Room(ana, 1));
        var piece = (await Account(ana, room))["pieces"]![0]!;
        (
            await ana.Put(
                $"/api/classes/{other.Id}/readers/{room.Readers[0].Id}/evidence",
                new { ids = new[] { (string)piece["ids"]![0]! }, reason = "x" }
            )
        ).StatusCode.ShouldBe(System.Net.HttpStatusCode.NotFound);
        // Another reader's evidence is not touched under this reader's name.
        (await ana.Code(await LeaveOut(ana, other, piece, "x"), 409)).ShouldBe("no-change");
    }

    [Fact]
    public async Task Levels_run_on_to_today_and_are_the_same_wherever_they_are_shown()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var id = room.Readers[0].Id;
        // As if nothing had been heard of the reader for ten weeks.
        await using (var c = await harness.Services.GetRequiredService<NpgsqlDataSource>().OpenConnectionAsync())
        await using (
            var q = new NpgsqlCommand(
                """
                update reader
                set prior_at = now() - interval '70 days', depth_at = now() - interval '70 days', depth_sd = 1
                where id = $1
                """,
                c
            )
            {
                Parameters = { new() { Value = Guid.Parse(id) } },
            }
        )
            await q.ExecuteNonQueryAsync();
        while (await harness.Services.GetRequiredService<LevelsOfToday>().RunOn(default) > 0) { }
        var listed = (await ana.Get($"/api/classes/{room.Id}"))["readers"]![0]!;
        var evidence = await ana.Get($"/api/readers/{id}/evidence");
        var sheet = await ana.Get($"/api/readers/{id}");
        ((double)listed["sd"]!).ShouldBeGreaterThan(3, "what was known has grown old");
        ((double)listed["depth"]!).ShouldBe((double)evidence["depth"]!, 1e-9);
        ((double)listed["depth"]!).ShouldBe((double)sheet["depth"]!, 1e-9);
        (await harness.Services.GetRequiredService<LevelsOfToday>().RunOn(default)).ShouldBe(
            0,
            "nobody is behind any more"
        );
    }

    private static object Setting(Guid id, double level, DateOnly? until = null) =>
        new
        {
            id,
            level = $"{level}",
            system = "fm",
            until,
            reason = "Reads novels at home",
        };

    private static async Task<double> Depth(Person teacher, Room room) =>
        (double)(await teacher.Get($"/api/classes/{room.Id}"))["readers"]![0]!["depth"]!;

    [Fact]
    public async Task A_level_that_is_set_is_the_level_everywhere_and_the_estimate_goes_on_beneath()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        string reader = room.Readers[0].Id,
            path = $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/level";
        var estimate = await Depth(ana, room);
        var once = Setting(Guid.NewGuid(), 51);
        var set = await ana.Stored(path, once);
        ((string)(await ana.Stored(path, once))["changeId"]!).ShouldBe(
            (string)set["changeId"]!,
            "the same request again is the same setting"
        );
        (await Depth(ana, room)).ShouldBe(51);
        ((bool)(await ana.Get($"/api/classes/{room.Id}"))["readers"]![0]!["levelSet"]!).ShouldBeTrue(
            "lists say which levels are no estimates"
        );
        (
            await (await ana.Send(HttpMethod.Get, $"/api/classes/{room.Id}/readers.csv")).Content.ReadAsStringAsync()
        ).ShouldContain(",51,49.4,52.6,yes,");
        var account = await ana.Get($"/api/readers/{reader}/evidence");
        ((double)account["set"]!["estimate"]!).ShouldBe(estimate, 0.01);
        // A judgement moves the estimate beneath and not the level.
        await ana.Posted(
            $"/api/classes/{room.Id}/readers/{reader}/levels",
            new
            {
                level = "20",
                system = "fm",
                sd = 2,
                reason = "A hard week",
            }
        );
        (await Depth(ana, room)).ShouldBe(51);
        ((double)(await ana.Get($"/api/readers/{reader}/evidence"))["set"]!["estimate"]!).ShouldBeLessThan(estimate);
    }

    [Fact]
    public async Task A_second_setting_takes_the_place_of_the_first_and_taken_back_the_first_stands_again()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        string reader = room.Readers[0].Id,
            path = $"/api/classes/{room.Id}/readers/{reader}/level";
        var estimate = await Depth(ana, room);
        var set = await ana.Stored(path, Setting(Guid.NewGuid(), 51));
        var second = await ana.Stored(path, Setting(Guid.NewGuid(), 12, Harness.Today.AddDays(20)));
        (await Depth(ana, room)).ShouldBe(12);
        ((string)(await ana.Get($"/api/readers/{reader}/evidence"))["set"]!["until"]!).ShouldBe(
            $"{Harness.Today.AddDays(20):yyyy-MM-dd}"
        );
        (await ana.Post($"/api/changes/{set["changeId"]}/undo")).StatusCode.ShouldBe(
            HttpStatusCode.Conflict,
            "another stands on it"
        );
        await ana.Posted($"/api/changes/{second["changeId"]}/undo");
        (await Depth(ana, room)).ShouldBe(51);
        var ended = await ana.Json(await ana.Send(HttpMethod.Delete, path));
        (await Depth(ana, room)).ShouldBe(estimate, 0.001);
        await ana.Posted($"/api/changes/{ended["changeId"]}/undo");
        (await Depth(ana, room)).ShouldBe(51);
    }

    [Fact]
    public async Task A_level_set_until_a_day_that_has_passed_counts_no_more()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var path = $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/level";
        var estimate = await Depth(ana, room);
        (await ana.Put(path, Setting(Guid.NewGuid(), 51, Harness.Today.AddDays(-2)))).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        await ana.Stored(path, Setting(Guid.NewGuid(), 51, Harness.Today.AddDays(1)));
        await using (var c = await harness.Services.GetRequiredService<NpgsqlDataSource>().OpenConnectionAsync())
        {
            await using var over = new NpgsqlCommand(
                "update level_set set until_at = now() - interval '1 minute' where reader_id = $1",
                c
            )
            {
                Parameters = { new() { Value = Guid.Parse(room.Readers[0].Id) } },
            };
            await over.ExecuteNonQueryAsync();
        }
        await ana.Posted(
            $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/levels",
            new
            {
                level = $"{estimate:0.0}",
                system = "fm",
                sd = 6,
                reason = "As before",
            }
        );
        (await Depth(ana, room)).ShouldBe(estimate, 0.5);
        (await ana.Get($"/api/readers/{room.Readers[0].Id}/evidence"))["set"].ShouldBeNull();
    }

    [Fact]
    public async Task A_level_that_is_set_is_no_growth()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        await ana.Stored($"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/level", Setting(Guid.NewGuid(), 51));
        await using (var c = await harness.Services.GetRequiredService<NpgsqlDataSource>().OpenConnectionAsync())
        {
            await using var then = new NpgsqlCommand(
                "insert into depth_day (reader_id, day, mean, sd, low, high) values ($1, $2, 25, 4, 20, 30)",
                c
            )
            {
                Parameters =
                {
                    new() { Value = Guid.Parse(room.Readers[0].Id) },
                    new() { Value = Harness.Today.AddDays(-50) },
                },
            };
            await then.ExecuteNonQueryAsync();
        }
        var estimate = (double)(await ana.Get($"/api/readers/{room.Readers[0].Id}/evidence"))["set"]!["estimate"]!;
        ((double)(await ana.Get($"/api/classes/{room.Id}"))["readers"]![0]!["sixWeeks"]!).ShouldBe(
            estimate - 25,
            0.01,
            "what a teacher says of the level says nothing of how it grew"
        );
    }
}
