using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Signals over HTTP: found, kept, seen, put off and done by a person, and ended by the evidence.</summary>
[Collection("application")]
public sealed class SignalTests(Harness harness)
{
    private sealed record Silent(Person Ana, Room Room)
    {
        public string Path => $"/api/classes/{Room.Id}/signals";
    }

    /// <summary>A class that has been there for sixty days, and nobody has read.</summary>
    private async Task<Silent> Class(string teacher, int readers = 2)
    {
        var ana = await harness.Teacher(teacher);
        var room = await harness.Room(ana, readers);
        await Since(room, 60);
        return new(ana, room);
    }

    private Task Since(Room room, int days) =>
        harness.Ask<object>(
            "update enrolment set from_day = current_date - $2 where class_id = $1",
            Guid.Parse(room.Id),
            days
        );

    private static async Task<List<JsonNode>> Open(Silent x) =>
        [.. (await x.Ana.Get(x.Path))["open"]!.AsArray().Select(s => s!)];

    private static Task<JsonNode> Do(Silent x, string deed, IEnumerable<JsonNode> signals, string? until = null) =>
        x.Ana.Posted(
            x.Path,
            new
            {
                ids = signals.Select(s => (string)s["id"]!),
                deed,
                until,
            }
        );

    [Fact]
    public async Task A_signal_is_found_once_seen_done_and_taken_up_again()
    {
        var x = await Class("ana");
        var first = await Open(x);
        first.Count.ShouldBe(2);
        first.ShouldAllBe(s => (string)s["kind"]! == "NothingRead" && (string)s["state"]! == "New");
        ((double)first[0]["figures"]![2]!).ShouldBe(1);
        (await Open(x)).Select(s => (string)s["id"]!).ShouldBe(first.Select(s => (string)s["id"]!), ignoreOrder: true);

        await Do(x, "See", first);
        (await Open(x)).ShouldAllBe(s => (string)s["state"]! == "Seen");
        var readers = (await x.Ana.Get($"/api/classes/{x.Room.Id}"))["readers"]!.AsArray();
        readers.SelectMany(r => r!["signals"]!.AsArray()).Count().ShouldBe(2);

        await Do(x, "Done", [first[0]]);
        (await Open(x)).ShouldHaveSingleItem()["id"]!.ToString().ShouldBe(first[1]["id"]!.ToString());
        var resolved = (await x.Ana.Get(x.Path))["resolved"]!.AsArray().ShouldHaveSingleItem()!;
        ((string)resolved["how"]!).ShouldBe("Done");
        resolved["by"].ShouldNotBeNull();
        ((bool)resolved["stands"]!).ShouldBeTrue();
        await Do(x, "Reopen", [first[0]]);
        (await Open(x)).Count.ShouldBe(2);
    }

    [Fact]
    public async Task One_that_is_put_off_waits_for_its_day()
    {
        var x = await Class("ana", 1);
        var signal = (await Open(x)).ShouldHaveSingleItem();
        var today = DateOnly.FromDateTime(DateTime.UtcNow);
        foreach (var until in new[] { today.AddDays(-1), today, today.AddDays(500) })
            (
                await x.Ana.Problem(
                    await x.Ana.Post(
                        x.Path,
                        new
                        {
                            ids = new[] { (string)signal["id"]! },
                            deed = "PutOff",
                            until = $"{until:yyyy-MM-dd}",
                        }
                    ),
                    422
                )
            )["fields"]!["until"]!.Said().ShouldStartWith("Choose a day");
        await Do(x, "PutOff", [signal], $"{today.AddDays(7):yyyy-MM-dd}");
        (await Open(x)).ShouldBeEmpty();
        ((string)(await x.Ana.Get(x.Path))["putOff"]![0]!["until"]!).ShouldBe($"{today.AddDays(7):yyyy-MM-dd}");
    }

    [Fact]
    public async Task What_the_evidence_says_no_more_ends_by_itself()
    {
        var x = await Class("ana", 1);
        var signal = (await Open(x)).ShouldHaveSingleItem();
        await Do(x, "Step", [signal]);
        await Since(x.Room, 1);
        (await Open(x)).ShouldBeEmpty();
        var ended = (await x.Ana.Get(x.Path))["resolved"]![0]!;
        ((string)ended["how"]!, (bool)ended["stands"]!).ShouldBe(("Step", false));
        await Since(x.Room, 60);
        // It rests on the same as before: it is no new one.
        var back = (await Open(x)).ShouldHaveSingleItem();
        ((string)back["id"]!, (string)back["state"]!).ShouldBe(((string)signal["id"]!, "Seen"));
    }

    [Fact]
    public async Task Two_who_look_at_once_find_the_same()
    {
        var x = await Class("ana", 3);
        await Task.WhenAll(Enumerable.Range(0, 6).Select(_ => x.Ana.Get(x.Path)));
        (await Open(x)).Count.ShouldBe(3);
    }

    [Fact]
    public async Task Signals_of_another_class_are_not_there_and_nothing_is_done_about_them()
    {
        var x = await Class("ana", 1);
        var ben = await harness.Teacher("ben");
        var signal = (await Open(x)).ShouldHaveSingleItem();
        var hers = await harness.Room(ben, 1);
        (await ben.Send(HttpMethod.Get, x.Path)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var done = await ben.Posted(
            $"/api/classes/{hers.Id}/signals",
            new
            {
                ids = new[] { (string)signal["id"]! },
                deed = "Done",
                until = (string?)null,
            }
        );
        ((int)done["done"]!).ShouldBe(0);
        (await Open(x)).Count.ShouldBe(1);
        (
            await x.Ana.Post(
                x.Path,
                new
                {
                    ids = Array.Empty<string>(),
                    deed = "Done",
                    until = (string?)null,
                }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }
}
