using System.Text.Json.Nodes;
using DeepCurrent.Web.Assignments;
using Microsoft.Extensions.DependencyInjection;

namespace Web.Tests;

/// <summary>What is extra, what closes, who gets longer, and who is reminded.</summary>
[Collection("application")]
public sealed class TermsTests(Harness harness)
{
    private static DateOnly Today => Harness.Today;

    private static async Task<string> Given(Person ana, Room room, string words, object? terms = null)
    {
        var text = (string)(await ana.Get($"/api/library?q={words}"))["rows"]![0]!["id"]!;
        var request = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(terms ?? new { }))!.AsObject();
        request["readerIds"] = new JsonArray([.. room.Readers.Select(r => (JsonNode)r.Id)]);
        request["textId"] = text;
        request["attempts"] = 2;
        request["skipGiven"] = true;
        return (string)(await ana.Posted($"/api/classes/{room.Id}/assignments", request))["assignmentId"]!;
    }

    private static async Task<JsonArray> Mine(Person reader) => (await reader.Get("/api/my/tickets")).AsArray();

    private static async Task<JsonNode> Ticket(Person ana, string assignment, string reader) =>
        (await ana.Get($"/api/assignments/{assignment}"))["tickets"]!
            .AsArray()
            .Single(k => (string)k!["readerId"]! == reader)!;

    private static async Task<JsonNode> Place(Person ana, Room room, string assignment, string reader) =>
        (await ana.Get($"/api/classes/{room.Id}/places?from={Today.AddDays(-20):yyyy-MM-dd}&to={Today:yyyy-MM-dd}"))[
            "places"
        ]!
            .AsArray()
            .Single(k => (string)k!["assignmentId"]! == assignment && (string)k["readerId"]! == reader)!;

    [Fact]
    public async Task Extra_work_opens_when_everything_required_is_handed_in()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        await Given(ana, room, "mill+that+waits");
        var extra = await Given(ana, room, "fork", new { need = "Extra" });
        var reader = await harness.Reader(room, 0);
        var required = (await Mine(reader)).ShouldHaveSingleItem()!;
        ((string)(await Ticket(ana, extra, room.Readers[0].Id))["state"]!).ShouldBe("Planned");

        await Answering.HandIn(reader, (string)required["id"]!);
        (await Mine(reader)).Single(k => (string)k!["need"]! == "Extra")!["state"]!.ToString().ShouldBe("Waiting");
        ((string)(await Ticket(ana, extra, room.Readers[1].Id))["state"]!).ShouldBe("Planned", "the other has not");
    }

    [Fact]
    public async Task Extra_work_of_readers_who_have_nothing_else_opens_at_once()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        await Given(ana, room, "fork", new { need = "Extra" });
        (await Mine(await harness.Reader(room, 0))).ShouldHaveSingleItem()!["state"]!.ToString().ShouldBe("Waiting");
    }

    [Fact]
    public async Task What_closes_hands_in_what_is_there_and_nothing_answered_is_no_score()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var assignment = await Given(ana, room, "mill+that+waits", new { dueOn = Today, closesOn = Today });
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await Mine(reader))[0]!["id"]!;
        var work = await reader.Get($"/api/my/tickets/{ticket}");
        var first = work["questions"]!.AsArray().First(q => (string)q!["kind"]! is not ("Short" or "Long"))!;
        (
            await reader.Put(
                $"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}",
                Answering.To(first, DateTimeOffset.UtcNow)
            )
        ).EnsureSuccessStatusCode();

        await Close(assignment);
        var begun = await Ticket(ana, assignment, room.Readers[0].Id);
        ((string)begun["state"]!).ShouldBe("Released");
        ((double)begun["score"]!).ShouldBeOneOf([0.0, 1.0], "of the one that was answered");
        var untouched = await Ticket(ana, assignment, room.Readers[1].Id);
        ((string)untouched["state"]!).ShouldBe("Closed");
        untouched["score"].ShouldBeNull();
        (await Mine(await harness.Reader(room, 1))).ShouldBeEmpty();
        await Close(assignment);
        ((string)(await Ticket(ana, assignment, room.Readers[1].Id))["state"]!).ShouldBe("Closed", "once is enough");
    }

    /// <summary>Its last day passes.</summary>
    private async Task Close(string assignment)
    {
        await harness.Ask<object>(
            """
            update assignment
            set visible_from = current_date - 9, due_on = current_date - 9, closes_on = current_date - 2
            where id = $1
            """,
            Guid.Parse(assignment)
        );
        await harness.Services.GetRequiredService<Closing>().Do(CancellationToken.None);
    }

    [Fact]
    public async Task Who_needs_longer_gets_it_and_what_had_closed_opens_until_then()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var assignment = await Given(ana, room, "mill+that+waits", new { dueOn = Today, closesOn = Today });
        await Close(assignment);
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await Ticket(ana, assignment, room.Readers[0].Id))["id"]!;

        var longer = await Day(ana, room, ticket, Today.AddDays(3));
        var mine = (await Mine(reader)).ShouldHaveSingleItem()!;
        ((string)mine["dueOn"]!).ShouldBe($"{Today.AddDays(3):yyyy-MM-dd}");
        ((string)mine["closesOn"]!).ShouldBe($"{Today.AddDays(3):yyyy-MM-dd}");
        await harness.Services.GetRequiredService<Closing>().Do(CancellationToken.None);
        (await Mine(reader)).Count.ShouldBe(1, "not before their own day");

        await ana.Posted($"/api/changes/{longer["changeId"]}/undo");
        await harness.Services.GetRequiredService<Closing>().Do(CancellationToken.None);
        (await Mine(reader)).ShouldBeEmpty();
    }

    private static Task<JsonNode> Day(Person ana, Room room, string ticket, DateOnly? dueOn) =>
        ana.Posted($"/api/classes/{room.Id}/tickets/day", new { ticketIds = new[] { ticket }, dueOn });

    [Fact]
    public async Task A_day_of_ones_own_says_who_is_late()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var assignment = await Given(ana, room, "mill+that+waits", new { dueOn = Today });
        await harness.Ask<object>(
            "update assignment set visible_from = current_date - 9, due_on = current_date - 2 where id = $1",
            Guid.Parse(assignment)
        );
        async Task<int> Late() =>
            (int)
                (
                    await ana.Get(
                        $"/api/classes/{room.Id}/week?from={Today.AddDays(-12):yyyy-MM-dd}&to={Today:yyyy-MM-dd}"
                    )
                )["plates"]![0]!["late"]!;
        (await Late()).ShouldBe(1);
        var ticket = (string)(await Ticket(ana, assignment, room.Readers[0].Id))["id"]!;
        await Day(ana, room, ticket, Today.AddDays(1));
        (await Late()).ShouldBe(0);
        ((string)(await Place(ana, room, assignment, room.Readers[0].Id))["dueOn"]!).ShouldBe(
            $"{Today.AddDays(1):yyyy-MM-dd}"
        );
        var refused = await ana.Problem(
            await ana.Post(
                $"/api/classes/{room.Id}/tickets/day",
                new { ticketIds = new[] { ticket }, dueOn = Today.AddDays(-3) }
            ),
            422
        );
        refused["fields"]!["dueOn"].ShouldNotBeNull();
        ((int)(await Day(ana, room, ticket, Today.AddDays(1)))["done"]!).ShouldBe(0, "it is so already");
        await Day(ana, room, ticket, null);
        (await Late()).ShouldBe(1);
    }

    [Fact]
    public async Task A_reminder_is_seen_until_the_work_is_opened()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var assignment = await Given(ana, room, "mill+that+waits");
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await Mine(reader))[0]!["id"]!;
        Task<JsonNode> Remind() =>
            ana.Posted($"/api/classes/{room.Id}/tickets/remind", new { ticketIds = new[] { ticket } });
        async Task<bool> Seen() => (bool)(await Mine(reader))[0]!["reminded"]!;

        var done = await Remind();
        (await Seen()).ShouldBeTrue();
        ((bool)(await Place(ana, room, assignment, room.Readers[0].Id))["reminded"]!).ShouldBeTrue();
        await ana.Posted($"/api/changes/{done["changeId"]}/undo");
        (await Seen()).ShouldBeFalse();
        await Remind();
        (
            await ana.Code(
                await ana.Post($"/api/classes/{room.Id}/tickets/remind", new { ticketIds = new[] { ticket } }),
                409
            )
        ).ShouldBe("reminded");
        await reader.Post($"/api/my/tickets/{ticket}/open", new { at = DateTimeOffset.UtcNow });
        (await Seen()).ShouldBeFalse();
        await Answering.HandIn(reader, ticket);
        (
            await ana.Code(
                await ana.Post($"/api/classes/{room.Id}/tickets/remind", new { ticketIds = new[] { ticket } }),
                409
            )
        ).ShouldBe("reminded", "it is handed in");
    }

    [Fact]
    public async Task Tickets_of_another_class_are_left_alone()
    {
        var ana = await harness.Teacher("ana");
        var (here, there) = (await harness.Room(ana, 1), await harness.Room(ana, 1));
        var assignment = await Given(ana, there, "mill+that+waits", new { dueOn = Today });
        var ticket = (string)(await Ticket(ana, assignment, there.Readers[0].Id))["id"]!;
        ((int)(await Day(ana, here, ticket, Today.AddDays(3)))["done"]!).ShouldBe(0);
        (
            await ana.Code(
                await ana.Post($"/api/classes/{here.Id}/tickets/remind", new { ticketIds = new[] { ticket } }),
                409
            )
        ).ShouldBe("reminded");
    }

    [Fact]
    public async Task Terms_that_cannot_be_are_refused_by_field()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var text = (string)(await ana.Get("/api/library?q=mill+that+waits"))["rows"]![0]!["id"]!;
        async Task<JsonNode> Fields(DateOnly? dueOn, DateOnly? closesOn, string need) =>
            (
                await ana.Problem(
                    await ana.Post(
                        $"/api/classes/{room.Id}/assignments",
                        new
                        {
                            readerIds = room.Readers.Select(r => r.Id),
                            textId = text,
                            attempts = 2,
                            skipGiven = true,
                            dueOn,
                            closesOn,
                            need,
                        }
                    ),
                    422
                )
            )["fields"]!;
        (await Fields(Today.AddDays(4), null, "Recommended"))["dueOn"].ShouldNotBeNull();
        (await Fields(Today.AddDays(4), Today.AddDays(2), "Required"))["closesOn"].ShouldNotBeNull();
        (await Fields(null, Today.AddDays(-1), "Required"))["closesOn"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_version_chosen_for_a_draft_is_given_and_copied_and_goes_with_an_undo()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var text = (await ana.Get("/api/library?q=mill+that+waits"))["rows"]![0]!;
        var one = await ana.Get($"/api/texts/{text["id"]}");
        var fit = (
            await ana.Posted(
                $"/api/classes/{room.Id}/fit",
                new { readerIds = room.Readers.Select(r => r.Id), textIds = new[] { (string)text["id"]! } }
            )
        )[0]!;
        var other = one["versions"]!.AsArray().First(v => (string)v!["id"]! != (string)fit["versionId"]!)!;
        var chosen = new
        {
            id = Guid.NewGuid(),
            textId = (string)text["id"]!,
            versions = new Dictionary<string, string> { [room.Readers[0].Id] = (string)other["id"]! },
        };
        var made = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                texts = new[] { chosen },
                attempts = 2,
                skipGiven = true,
                draft = true,
            }
        );
        var draft = (string)made["assignmentId"]!;
        var discarded = await ana.Posted(
            $"/api/classes/{room.Id}/drafts/discard",
            new { assignmentIds = new[] { draft } }
        );
        await ana.Posted($"/api/changes/{discarded["changeId"]}/undo");
        await ana.Posted($"/api/classes/{room.Id}/drafts/give", new { assignmentIds = new[] { draft } });
        ((string)(await Ticket(ana, draft, room.Readers[0].Id))["version"]!).ShouldBe((string)other["label"]!);
    }

    [Fact]
    public async Task What_stands_out_is_said_before_it_is_given_and_nothing_is_given_by_asking()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var text = (string)(await ana.Get("/api/library?q=mill+that+waits"))["rows"]![0]!["id"]!;
        object Wanted(string[] readers, string directions, bool draft) =>
            new
            {
                readerIds = readers,
                textId = text,
                attempts = 2,
                skipGiven = true,
                directions,
                draft,
            };
        string[] all = [.. room.Readers.Select(r => r.Id)];
        var path = $"/api/classes/{room.Id}/assignments";
        (await ana.Posted($"{path}/notes", Wanted(all, "", false))).AsArray().ShouldBeEmpty();
        (await ana.Posted($"{path}/notes", Wanted(all, "Level 3", false))).AsArray().Count.ShouldBe(1);
        await ana.Posted(path, Wanted(all, "", true));
        var planned = (await ana.Posted($"{path}/notes", Wanted(all[..1], "", false))).AsArray();
        ((string)planned.ShouldHaveSingleItem()!["key"]!).ShouldContain("is planned for");
        (await ana.Posted($"{path}/notes", Wanted(all, "", false))).AsArray().ShouldBeEmpty("it is for these readers");
        ((int)(await ana.Get(path))["all"]!).ShouldBe(1, "the draft alone");
    }

    [Fact]
    public async Task All_is_found_by_words_and_state_a_page_at_a_time()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        await Given(ana, room, "mill+that+waits", new { heading = "Warm-up" });
        await Given(ana, room, "fork", new { draft = true });
        async Task<int> Found(string query) =>
            (int)(await ana.Get($"/api/classes/{room.Id}/assignments?{query}"))["all"]!;
        (await Found("")).ShouldBe(2);
        (await Found("q=MILL")).ShouldBe(1);
        (await Found("q=warm")).ShouldBe(1);
        (await Found("q=%25")).ShouldBe(0, "a sign is a sign");
        (await Found("shown=Drafts")).ShouldBe(1);
        (await Found("shown=Open")).ShouldBe(1);
        (await Found("shown=ToMark")).ShouldBe(0);
        (await Found("shown=Chosen")).ShouldBe(0);
        var rest = await ana.Get($"/api/classes/{room.Id}/assignments?order=Title&from=1");
        rest["rows"]!.AsArray().ShouldHaveSingleItem();
        (await ana.Get($"/api/classes/{room.Id}/assignments?from=7"))["rows"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_teacher_looks_at_a_readers_home_and_task_without_a_trace()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var assignment = await Given(ana, room, "mill+that+waits");
        var reader = await harness.Reader(room, 0);
        var home = (await ana.Get($"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/home")).AsArray();
        home.ToJsonString().ShouldBe((await Mine(reader)).ToJsonString());
        var ticket = (string)home[0]!["id"]!;
        var work = await ana.Get($"/api/tickets/{ticket}/work");
        work.ToJsonString().ShouldBe((await reader.Get($"/api/my/tickets/{ticket}")).ToJsonString());
        work.ToJsonString().ShouldNotContain("\"correct\":true");
        ((string)(await Ticket(ana, assignment, room.Readers[0].Id))["state"]!).ShouldBe("Waiting");
    }

    [Fact]
    public async Task The_same_is_given_in_several_classes_at_once_and_taken_back_from_all_of_them()
    {
        var ana = await harness.Teacher("ana");
        var (here, there) = (await harness.Room(ana, 2), await harness.Room(ana, 3));
        var text = (string)(await ana.Get("/api/library?q=mill+that+waits"))["rows"]![0]!["id"]!;
        var request = new
        {
            readerIds = here.Readers.Select(r => r.Id),
            texts = new[] { new { id = Guid.NewGuid(), textId = text } },
            attempts = 2,
            skipGiven = true,
            alsoIn = new[] { new { classId = there.Id, texts = new[] { new { id = Guid.NewGuid(), textId = text } } } },
        };
        var made = await ana.Posted($"/api/classes/{here.Id}/assignments", request);
        ((int)made["tickets"]!).ShouldBe(5);
        ((int)made["texts"]!).ShouldBe(1);
        var again = await ana.Posted($"/api/classes/{here.Id}/assignments", request);
        ((string)again["changeId"]!).ShouldBe((string)made["changeId"]!, "the same request again is what it was");
        ((int)again["tickets"]!).ShouldBe(5);
        var reader = await harness.Reader(there, 2);
        (await Mine(reader)).Count.ShouldBe(1);
        (await ana.Get($"/api/classes/{there.Id}/changes"))
            .AsArray()
            .Select(h => (string)h!["id"]!)
            .ShouldContain((string)made["changeId"]!, "each of the classes lists it");

        await ana.Posted($"/api/changes/{made["changeId"]}/undo");
        (await Mine(reader)).ShouldBeEmpty();
        (await Mine(await harness.Reader(here, 0))).ShouldBeEmpty();
    }

    [Fact]
    public async Task In_a_class_of_others_nothing_is_given_and_then_nowhere()
    {
        var (ana, ben) = (await harness.Teacher("ana"), await harness.Teacher("ben"));
        var (here, there) = (await harness.Room(ana, 1), await harness.Room(ben, 1));
        var text = (string)(await ana.Get("/api/library?q=mill+that+waits"))["rows"]![0]!["id"]!;
        object Request(string other) =>
            new
            {
                readerIds = here.Readers.Select(r => r.Id),
                texts = new[] { new { id = Guid.NewGuid(), textId = text } },
                attempts = 2,
                skipGiven = true,
                alsoIn = new[]
                {
                    new { classId = other, texts = new[] { new { id = Guid.NewGuid(), textId = text } } },
                },
            };
        var path = $"/api/classes/{here.Id}/assignments";
        ((int)(await ana.Post(path, Request(there.Id))).StatusCode).ShouldBe(404);
        ((int)(await ana.Post(path, Request(here.Id))).StatusCode).ShouldBe(422);
        (await Mine(await harness.Reader(here, 0))).ShouldBeEmpty("all or nothing");
    }
}
