using System.Text.Json.Nodes;
using Ical.Net;

namespace Web.Tests;

/// <summary>Due days in calendar programs: who has the link sees titles and days, and nobody's name.</summary>
[Collection("application")]
public sealed class CalendarTests(Harness harness)
{
    private static DateOnly Today => Harness.Today;

    private static async Task Give(Person ana, Room room, IEnumerable<string> readers, string words, object more)
    {
        var text = (string)(await ana.Get($"/api/library?q={words}"))["rows"]![0]!["id"]!;
        var request = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(more))!.AsObject();
        request["readerIds"] = new JsonArray([.. readers.Select(r => (JsonNode)r)]);
        request["textId"] = text;
        request["attempts"] = 2;
        request["skipGiven"] = true;
        await ana.Posted($"/api/classes/{room.Id}/assignments", request);
    }

    private static async Task<string> Link(Person ana, Room room, string? reader = null)
    {
        var made = await ana.Posted($"/api/classes/{room.Id}/calendar{(reader is null ? "" : $"?readerId={reader}")}");
        return new Uri((string)made["link"]!).AbsolutePath;
    }

    private async Task<string> Raw(string link)
    {
        var answer = await new Person(harness).Send(HttpMethod.Get, link);
        answer.EnsureSuccessStatusCode();
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("text/calendar");
        return await answer.Content.ReadAsStringAsync();
    }

    private async Task<Calendar> Read(string link) => Calendar.Load(await Raw(link))!;

    [Fact]
    public async Task A_class_and_a_reader_have_calendars_of_what_is_due_and_seen()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        string[] all = [.. room.Readers.Select(r => r.Id)];
        var due = Today.AddDays(4);
        await Give(ana, room, all, "mill+that+waits", new { dueOn = due, directions = "Sam, read it twice." });
        await Give(ana, room, all[1..], "fork", new { dueOn = due.AddDays(1) });
        await Give(ana, room, all, "heron", new { dueOn = due, draft = true });
        await Give(ana, room, all, "otter", new { dueOn = due.AddDays(3), visibleFrom = Today.AddDays(1) });

        var of = await Read(await Link(ana, room));
        of.Events.Select(e => e.Summary).ShouldBe(["The Mill That Waits", "Fork, Knife, Spoon"]);
        var first = of.Events.First(e => e.Summary == "The Mill That Waits");
        first.IsAllDay.ShouldBeTrue();
        DateOnly.FromDateTime(first.Start!.Value).ShouldBe(due);
        DateOnly.FromDateTime(first.End!.Value).ShouldBe(due.AddDays(1));
        first.Url!.AbsolutePath.ShouldStartWith("/task/");
        (await Read(await Link(ana, room, all[0]))).Events.ShouldHaveSingleItem();
    }

    [Fact]
    public async Task A_calendar_names_nobody_and_keeps_to_its_lines()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        await Give(
            ana,
            room,
            room.Readers.Select(r => r.Id),
            "mill+that+waits",
            new
            {
                dueOn = Today.AddDays(2),
                directions = "Only for you",
                note = "weak",
            }
        );
        var raw = await Raw(await Link(ana, room, room.Readers[0].Id));
        raw.ShouldNotContain("Only for you");
        raw.ShouldNotContain("weak");
        raw.ShouldNotContain(room.Readers[0].Id);
        raw.ShouldEndWith("END:VCALENDAR\r\n");
        raw.Split("\r\n").Max(l => System.Text.Encoding.UTF8.GetByteCount(l)).ShouldBeLessThanOrEqualTo(75);
    }

    [Fact]
    public async Task A_readers_own_day_stands_in_their_calendar_and_not_in_the_classs()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        await Give(ana, room, room.Readers.Select(r => r.Id), "mill+that+waits", new { dueOn = Today.AddDays(2) });
        var ticket = (string)(await (await harness.Reader(room, 0)).Get("/api/my/tickets"))[0]!["id"]!;
        await ana.Posted(
            $"/api/classes/{room.Id}/tickets/day",
            new { ticketIds = new[] { ticket }, dueOn = Today.AddDays(9) }
        );
        async Task<DateOnly> Day(string? reader) =>
            DateOnly.FromDateTime((await Read(await Link(ana, room, reader))).Events.Single().Start!.Value);
        (await Day(room.Readers[0].Id)).ShouldBe(Today.AddDays(9));
        (await Day(null)).ShouldBe(Today.AddDays(2));
    }

    [Fact]
    public async Task A_new_link_takes_the_place_of_the_old_one_and_a_link_is_stopped()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var old = await Link(ana, room);
        var now = await Link(ana, room);
        async Task<int> Status(string link) => (int)(await new Person(harness).Send(HttpMethod.Get, link)).StatusCode;
        (await Status(old)).ShouldBe(404);
        (await Status(now)).ShouldBe(200);
        ((string)(await ana.Get($"/api/classes/{room.Id}/calendar"))["madeBy"]!).ShouldNotBeEmpty();
        (await ana.Send(HttpMethod.Delete, $"/api/classes/{room.Id}/calendar")).EnsureSuccessStatusCode();
        (await Status(now)).ShouldBe(404);
        (await ana.Get($"/api/classes/{room.Id}/calendar"))["madeAt"].ShouldBeNull();
    }

    [Fact]
    public async Task A_reader_of_another_class_has_no_calendar_here()
    {
        var ana = await harness.Teacher("ana");
        var (here, there) = (await harness.Room(ana, 1), await harness.Room(ana, 1));
        var answer = await ana.Post($"/api/classes/{here.Id}/calendar?readerId={there.Readers[0].Id}");
        ((int)answer.StatusCode).ShouldBe(404);
    }
}
