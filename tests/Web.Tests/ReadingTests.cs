using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>What a school adds to a version: a reading of it as sound, and a maze passage it has accepted.</summary>
[Collection("application")]
public sealed class ReadingTests(Harness harness)
{
    private static readonly byte[] Wave =
    [
        .. "RIFF"u8,
        36,
        0,
        0,
        0,
        .. "WAVEfmt "u8,
        16,
        0,
        0,
        0,
        1,
        0,
        1,
        0,
        64,
        31,
        0,
        0,
        64,
        31,
        0,
        0,
        1,
        0,
        8,
        0,
        .. "data"u8,
        0,
        0,
        0,
        0,
    ];

    private static async Task<(string Text, string Version)> Some(Person who, int at)
    {
        var text = (string)(await who.Get("/api/library"))["rows"]![at]!["id"]!;
        return (text, (string)(await who.Get($"/api/texts/{text}"))["versions"]![0]!["id"]!);
    }

    [Fact]
    public async Task What_is_no_sound_is_refused()
    {
        var ana = await harness.Teacher("ana");
        var (text, version) = await Some(ana, 3);
        var path = $"/api/texts/{text}/versions/{version}/sound";
        (await ana.Problem(await ana.Post(path, "This is no sound."u8.ToArray()), 422))
            .ToJsonString()
            .ShouldContain("cannot play this sound");
    }

    [Fact]
    public async Task A_reading_is_kept_for_the_school_found_in_the_library_and_heard_by_readers()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var (text, version) = await Some(ana, 3);
        var path = $"/api/texts/{text}/versions/{version}/sound";
        (await ana.Post(path, Wave)).EnsureSuccessStatusCode();
        var played = await ana.Send(HttpMethod.Get, path);
        played.Content.Headers.ContentType!.MediaType.ShouldBe("audio/wav");
        (await played.Content.ReadAsByteArrayAsync()).ShouldBe(Wave);
        ((bool)(await ana.Get($"/api/texts/{text}"))["versions"]![0]!["sound"]!).ShouldBeTrue();
        await Shows(ana, text, true);
        await Shows(await harness.Teacher("cleo"), text, false);

        var made = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = text,
                attempts = 1,
                skipGiven = false,
                dueOn = (DateOnly?)null,
                directions = "",
                versions = new Dictionary<string, string> { [room.Readers[0].Id] = version },
            }
        );
        var reader = await harness.Reader(room, 0);
        var ticket = (string)
            (await ana.Get($"/api/assignments/{(string)made["assignmentId"]!}"))["tickets"]![0]!["id"]!;
        ((bool)(await reader.Get($"/api/my/tickets/{ticket}"))["sound"]!).ShouldBeTrue();
        (
            await (await reader.Send(HttpMethod.Get, $"/api/my/tickets/{ticket}/sound")).Content.ReadAsByteArrayAsync()
        ).ShouldBe(Wave);

        (await ana.Send(HttpMethod.Delete, path)).EnsureSuccessStatusCode();
        (await ana.Send(HttpMethod.Get, path)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await reader.Send(HttpMethod.Get, $"/api/my/tickets/{ticket}/sound")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
    }

    // The library hears of it by a notice, a moment later.
    private static async Task Shows(Person who, string text, bool wanted)
    {
        JsonNode found = await who.Get("/api/library?audio=true");
        for (var i = 0; i < 50 && wanted != found["rows"]!.AsArray().Any(r => (string)r!["id"]! == text); i++)
        {
            await Task.Yield();
            found = await who.Get("/api/library?audio=true");
        }
        found["rows"]!.AsArray().Any(r => (string)r!["id"]! == text).ShouldBe(wanted);
    }

    [Fact]
    public async Task A_maze_passage_is_accepted_and_stays_the_schools()
    {
        var ana = await harness.Teacher("ana");
        var (text, version) = await Some(ana, 4);
        var path = $"/api/texts/{text}/versions/{version}/maze";
        var second = await ana.Get($"{path}?draft=2");
        ((bool)second["kept"]!).ShouldBeFalse();
        await ana.Stored(path, new { draft = 2 });
        var kept = await ana.Get(path);
        ((bool)kept["kept"]!, (string)kept["by"]!, kept["pieces"]!.ToJsonString()).ShouldBe(
            (true, "Ana", second["pieces"]!.ToJsonString())
        );
        ((bool)(await (await harness.Teacher("ben")).Get(path))["kept"]!).ShouldBeTrue("it is the school's");
        ((bool)(await (await harness.Teacher("cleo")).Get(path))["kept"]!).ShouldBeFalse("and not another school's");
        (await ana.Put(path, new { draft = -1 })).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await ana.Send(HttpMethod.Delete, path)).EnsureSuccessStatusCode();
        ((bool)(await ana.Get(path))["kept"]!).ShouldBeFalse();
    }
}
