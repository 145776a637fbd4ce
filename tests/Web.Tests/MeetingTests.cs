using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Meetings of groups over HTTP: planned by need, held, and what was seen.</summary>
[Collection("application")]
public sealed class MeetingTests(Harness harness)
{
    private sealed record Grouped(Person Ana, Room Room, IReadOnlyList<string> Groups)
    {
        public string Path => $"/api/classes/{Room.Id}/meetings";
    }

    private async Task<Grouped> Class()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 4);
        await ana.Stored(
            $"/api/classes/{room.Id}/groups",
            new
            {
                groups = new[]
                {
                    new { name = "Kelp", readerIds = room.Readers.Take(2).Select(r => r.Id) },
                    new { name = "Mill", readerIds = room.Readers.Skip(2).Select(r => r.Id) },
                },
            }
        );
        var groups = (await ana.Get($"/api/classes/{room.Id}"))["groups"]!.AsArray();
        return new(ana, room, [.. groups.Select(g => (string)g!["id"]!)]);
    }

    /// <summary>School days to come: the harness's school is open every weekday.</summary>
    internal static DateOnly SchoolDay(int ahead)
    {
        var day = DateOnly.FromDateTime(DateTime.UtcNow).AddDays(1);
        while (ahead > 0 || day.DayOfWeek is DayOfWeek.Saturday or DayOfWeek.Sunday)
        {
            if (day.DayOfWeek is not (DayOfWeek.Saturday or DayOfWeek.Sunday))
                ahead--;
            day = day.AddDays(1);
        }
        return day;
    }

    internal static object Planned(
        string id,
        string group,
        DateOnly day,
        string? startsAt = "09:20",
        int minutes = 20,
        string? textId = null
    ) =>
        new
        {
            id,
            groupId = group,
            day = $"{day:yyyy-MM-dd}",
            startsAt,
            minutes,
            textId,
            point = "Strand",
            strand = "Infer",
            words = "Because, from the text",
        };

    private static async Task<string> Plan(Grouped x, int ahead = 0, string? textId = null)
    {
        var id = Guid.NewGuid().ToString();
        await x.Ana.Stored(
            x.Path,
            new { meetings = new[] { Planned(id, x.Groups[0], SchoolDay(ahead), textId: textId) } }
        );
        return id;
    }

    private static Task<HttpResponseMessage> See(
        Grouped x,
        string meeting,
        int reader,
        string? mark,
        bool here = true
    ) =>
        x.Ana.Put(
            $"/api/meetings/{meeting}/readers/{x.Room.Readers[reader].Id}",
            new
            {
                here,
                mark,
                observed = mark is null ? [] : new[] { "SaidWhy", "SaidWhy" },
                note = " a bit too lucky ",
            }
        );

    [Fact]
    public async Task A_meeting_is_planned_held_and_says_what_follows()
    {
        var x = await Class();
        var text = (string)(await x.Ana.Get("/api/library"))["rows"]![0]!["id"]!;
        var meeting = await Plan(x, 0, text);
        var next = await Plan(x, 1);
        (await x.Ana.Post($"/api/meetings/{meeting}/begin")).EnsureSuccessStatusCode();
        var page = await x.Ana.Get($"/api/meetings/{meeting}");
        page["readers"]!.AsArray().Count.ShouldBe(2);
        page["pages"]!.AsArray().ShouldNotBeEmpty();
        page["next"].ShouldBeNull();
        (await See(x, meeting, 0, "Alone")).EnsureSuccessStatusCode();
        (await See(x, meeting, 1, "Alone")).EnsureSuccessStatusCode();
        page = await x.Ana.Get($"/api/meetings/{meeting}");
        ((string)page["next"]!["move"]!).ShouldBe("Another");
        ((string)page["next"]!["meetingId"]!).ShouldBe(next);
        var seen = page["seen"]!.AsArray().First()!;
        seen["observed"]!.AsArray().Count.ShouldBe(1);
        ((string)seen["note"]!).ShouldBe("a bit too lucky");
        (await x.Ana.Post($"/api/meetings/{meeting}/end")).EnsureSuccessStatusCode();
        ((string)(await x.Ana.Get($"/api/meetings/{next}"))["before"]!["id"]!).ShouldBe(meeting);
        // Who was away is not counted.
        (await See(x, meeting, 1, null, here: false)).EnsureSuccessStatusCode();
        (await x.Ana.Get($"/api/meetings/{meeting}"))["next"].ShouldBeNull();
    }

    [Fact]
    public async Task A_proposal_gives_every_group_a_meeting_and_keeps_what_is_planned()
    {
        var x = await Class();
        var day = SchoolDay(0);
        var monday = day.AddDays(-(((int)day.DayOfWeek + 6) % 7));
        await Plan(x);
        var proposed = (
            await x.Ana.Posted(
                $"{x.Path}/proposal",
                new
                {
                    monday = $"{monday:yyyy-MM-dd}",
                    wanted = 2,
                    aDay = 2,
                    shut = Array.Empty<string>(),
                }
            )
        ).AsArray();
        ((string)proposed.ShouldHaveSingleItem()!["groupId"]!).ShouldBe(x.Groups[1]);
        (
            await x.Ana.Post(
                $"{x.Path}/proposal",
                new
                {
                    monday = $"{monday:yyyy-MM-dd}",
                    wanted = 0,
                    aDay = 2,
                    shut = Array.Empty<string>(),
                }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task One_that_is_removed_is_there_again_when_it_is_planned_again()
    {
        var x = await Class();
        var meeting = await Plan(x);
        (await x.Ana.Send(HttpMethod.Delete, $"/api/meetings/{meeting}")).EnsureSuccessStatusCode();
        (await x.Ana.Send(HttpMethod.Get, $"/api/meetings/{meeting}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        await x.Ana.Stored(x.Path, new { meetings = new[] { Planned(meeting, x.Groups[0], SchoolDay(0)) } });
        ((string)(await x.Ana.Get($"/api/meetings/{meeting}"))["meeting"]!["group"]!).ShouldBe("Kelp");
    }

    [Fact]
    public async Task What_cannot_be_is_refused_in_a_sentence()
    {
        var x = await Class();
        async Task<JsonNode> Fields(object planned) =>
            (await x.Ana.Problem(await x.Ana.Put(x.Path, new { meetings = new[] { planned } }), 422))["fields"]!;
        var id = Guid.NewGuid().ToString();
        var sunday = SchoolDay(0);
        while (sunday.DayOfWeek is not DayOfWeek.Sunday)
            sunday = sunday.AddDays(1);
        (await Fields(Planned(id, x.Groups[0], sunday)))["day"]!.Said().ShouldBe("Choose a school day.");
        (await Fields(Planned(id, x.Groups[0], SchoolDay(0), "25:00")))["startsAt"]!
            .Said()
            .ShouldStartWith("Enter a time");
        (await Fields(Planned(id, x.Groups[0], SchoolDay(0), minutes: 2)))["minutes"]!
            .Said()
            .ShouldStartWith("Enter 5");
        (
            await x.Ana.Put(x.Path, new { meetings = new[] { Planned(id, Guid.NewGuid().ToString(), SchoolDay(0)) } })
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var meeting = await Plan(x);
        (
            await x.Ana.Put(
                $"/api/meetings/{meeting}/readers/{Guid.NewGuid()}",
                new
                {
                    here = true,
                    mark = "Alone",
                    observed = Array.Empty<string>(),
                    note = "",
                }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Meetings_of_another_school_are_not_there()
    {
        var x = await Class();
        var meeting = await Plan(x);
        var ben = await harness.Teacher("ben");
        foreach (var path in new[] { x.Path, $"/api/meetings/{meeting}" })
            (await ben.Send(HttpMethod.Get, path)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await ben.Post($"/api/meetings/{meeting}/begin")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var hers = await harness.Room(ben, 1);
        (
            await ben.Put(
                $"/api/classes/{hers.Id}/meetings",
                new { meetings = new[] { Planned(meeting, x.Groups[0], SchoolDay(0)) } }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
