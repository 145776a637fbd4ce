using System.Text.Json.Nodes;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace Web.Tests;

/// <summary>What readers do arrives late, twice, or from a device that somebody else has taken over, and is never lost
/// and never somebody else's.</summary>
[Collection("application")]
public sealed class NothingLostTests(Harness harness)
{
    private sealed record Work(Person Ana, Room Room, Person Reader, string Ticket, string Change, JsonArray Questions);

    private async Task<Work> Give(DateOnly? due = null)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var text = (string)(await ana.Get("/api/library?q=mill+that+waits"))["rows"]![0]!["id"]!;
        var made = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = text,
                attempts = 1,
                skipGiven = false,
                dueOn = due,
            }
        );
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await reader.Get("/api/my/tickets"))[0]!["id"]!;
        return new(
            ana,
            room,
            reader,
            ticket,
            (string)made["changeId"]!,
            (await reader.Get($"/api/my/tickets/{ticket}"))["questions"]!.AsArray()
        );
    }

    private static object Answer(JsonNode question, DateTimeOffset at) => Answering.To(question, at);

    private Task<T?> Ask<T>(string sql, string id) => harness.Ask<T>(sql, Guid.Parse(id));

    private static string AnswerPath(Work w) => $"/api/my/tickets/{w.Ticket}/answers/{Guid.NewGuid()}";

    [Fact]
    public async Task Who_is_no_longer_signed_in_is_told_so_before_anything_else()
    {
        var nobody = new Person(harness);
        var problem = await nobody.Problem(
            await nobody.Send(
                HttpMethod.Put,
                $"/api/my/tickets/{Guid.NewGuid()}/answers/{Guid.NewGuid()}",
                new { },
                token: false
            ),
            401
        );
        ((string)problem["code"]!).ShouldBe("signed-out");
    }

    [Fact]
    public async Task Work_of_one_child_is_not_taken_as_anothers()
    {
        var w = await Give();
        var other = await harness.Reader(w.Room, 1);
        var path = AnswerPath(w);
        var body = Answer(w.Questions[0]!, DateTimeOffset.UtcNow);
        Dictionary<string, string> whose = new() { ["X-Work-Of"] = w.Room.Readers[0].Id };
        (await other.Code(await other.Send(HttpMethod.Put, path, body, headers: whose), 401)).ShouldBe("signed-out");
        (await w.Reader.Send(HttpMethod.Put, path, body, headers: whose)).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task Answers_from_a_device_whose_clock_is_wrong_are_placed_by_how_long_ago_they_were_given()
    {
        var w = await Give();
        // The device is nine hours ahead; the answer was given twenty minutes before it is sent.
        var clock = DateTimeOffset.UtcNow.AddHours(9);
        (
            await w.Reader.FromDevice(
                HttpMethod.Put,
                AnswerPath(w),
                Answer(w.Questions[0]!, clock.AddMinutes(-20)),
                clock
            )
        ).EnsureSuccessStatusCode();
        var at = await Ask<DateTime>("select at from answer where ticket_id = $1", w.Ticket);
        (DateTime.UtcNow - at).TotalMinutes.ShouldBeInRange(19, 22);
        (
            (
                DateTime.UtcNow - await Ask<DateTime>("select received_at from answer where ticket_id = $1", w.Ticket)
            ).TotalMinutes
        ).ShouldBeLessThan(2);
    }

    [Fact]
    public async Task What_is_heard_of_later_was_not_given_before_what_was_heard_of()
    {
        var w = await Give();
        (await w.Reader.Put(AnswerPath(w), Answer(w.Questions[0]!, DateTimeOffset.UtcNow))).EnsureSuccessStatusCode();
        (
            await w.Reader.Put(AnswerPath(w), Answer(w.Questions[1]!, DateTimeOffset.UtcNow.AddDays(-3)))
        ).EnsureSuccessStatusCode();
        (
            DateTime.UtcNow - await Ask<DateTime>("select min(at) from answer where ticket_id = $1", w.Ticket)
        ).TotalMinutes.ShouldBeLessThan(2);
    }

    [Fact]
    public async Task Answers_given_in_time_and_sent_after_the_day_they_were_due_say_so_to_the_teacher()
    {
        var w = await Give(due: Harness.Today);
        // Due two days ago, as if those days had passed; the reader answered three days ago, without a network.
        await Ask<object>(
            """
            update assignment
            set due_on = current_date - 2, visible_from = current_date - 5, assigned_at = now() - interval '5 days'
            where id = (select assignment_id from ticket where id = $1)
            """,
            w.Ticket
        );
        (
            await w.Reader.Put(AnswerPath(w), Answer(w.Questions[0]!, DateTimeOffset.UtcNow.AddDays(-3)))
        ).EnsureSuccessStatusCode();
        (await w.Reader.Put(AnswerPath(w), Answer(w.Questions[1]!, DateTimeOffset.UtcNow))).EnsureSuccessStatusCode();
        ((int)(await w.Ana.Get($"/api/tickets/{w.Ticket}"))["late"]!).ShouldBe(1);
    }

    [Fact]
    public async Task A_text_handed_in_without_a_network_was_handed_in_then_and_once()
    {
        var w = await Give();
        var then = DateTimeOffset.UtcNow.AddHours(-2);
        foreach (var q in w.Questions)
            (await w.Reader.Put(AnswerPath(w), Answer(q!, then))).EnsureSuccessStatusCode();
        async Task<string?> HandIn()
        {
            (
                await w.Reader.Post(
                    $"/api/my/tickets/{w.Ticket}/hand-in?at={Uri.EscapeDataString(then.AddMinutes(1).ToString("O"))}"
                )
            ).EnsureSuccessStatusCode();
            return await Ask<string>(
                """
                select handed_in_at::text || count(e.id)
                from ticket k left join evidence e on e.ticket_id = k.id
                where k.id = $1
                group by k.id
                """,
                w.Ticket
            );
        }
        var first = await HandIn();
        (await HandIn()).ShouldBe(first);
        (
            DateTime.UtcNow - await Ask<DateTime>("select handed_in_at from ticket where id = $1", w.Ticket)
        ).TotalMinutes.ShouldBeInRange(117, 121);
    }

    [Fact]
    public async Task What_could_not_be_taken_is_kept_and_told_to_the_teacher_once_and_only_for_ones_own_work()
    {
        var w = await Give();
        (await w.Ana.Post($"/api/changes/{w.Change}/undo")).EnsureSuccessStatusCode();
        (
            await w.Reader.Problem(
                await w.Reader.Put(AnswerPath(w), Answer(w.Questions[0]!, DateTimeOffset.UtcNow)),
                404
            )
        ).ShouldNotBeNull();
        object Aside(string kind, string words) =>
            new
            {
                about = w.Ticket,
                kind,
                answers = 1,
                code = "not-found",
                body = new { words },
                at = DateTimeOffset.UtcNow,
            };
        var aside = Aside("Answer", "nothing \u0000 lost");
        var id = Guid.NewGuid();
        for (var twice = 0; twice < 2; twice++)
            (await w.Reader.Put($"/api/my/set-aside/{id}", aside)).EnsureSuccessStatusCode();
        var told = (await w.Ana.Get($"/api/tickets/{w.Ticket}"))["setAside"]!.AsArray();
        told.Select(s => (string)s!["code"]!).ShouldBe(["not-found"]);
        var other = await harness.Reader(w.Room, 1);
        await other.Problem(await other.Put($"/api/my/set-aside/{Guid.NewGuid()}", aside), 404);
        foreach (var refused in new[] { Aside("Nonsense", ""), Aside("Answer", new string('x', 50_000)) })
            await w.Reader.Problem(await w.Reader.Put($"/api/my/set-aside/{Guid.NewGuid()}", refused), 422);
    }

    [Fact]
    public async Task A_text_handed_in_without_an_answer_is_no_nought()
    {
        var w = await Give();
        (await w.Reader.Post($"/api/my/tickets/{w.Ticket}/open")).EnsureSuccessStatusCode();
        (await w.Reader.Post($"/api/my/tickets/{w.Ticket}/hand-in")).EnsureSuccessStatusCode();
        (await w.Ana.Get($"/api/tickets/{w.Ticket}"))["ticket"]!["score"].ShouldBeNull();
        (await w.Ana.Get($"/api/classes/{w.Room.Id}"))["readers"]!.AsArray().ShouldAllBe(r => r!["firstTry"] == null);
    }

    [Fact]
    public async Task A_reader_who_never_read_is_a_signal_and_each_version_has_a_forecast_of_its_own()
    {
        var w = await Give();
        await Ask<object>(
            """
            update enrolment
            set from_day = current_date - 60
            where reader_id = (select reader_id from ticket where id = $1)
            """,
            w.Ticket
        );
        var signals = (await w.Ana.Get($"/api/classes/{w.Room.Id}"))["readers"]!
            .AsArray()
            .SelectMany(r => r!["signals"]!.AsArray())
            .Select(s => (string)s!["kind"]!);
        signals.ShouldContain("NothingRead");
        var two = (await w.Ana.Get("/api/library"))["rows"]!.AsArray().First(r => r!["versions"]!.AsArray().Count > 1)!;
        var fit = (
            await w.Ana.Posted(
                $"/api/classes/{w.Room.Id}/fit",
                new { readerIds = new[] { w.Room.Readers[0].Id }, textIds = new[] { (string)two["id"]! } }
            )
        )[0]!;
        fit["versions"]!.AsArray().Select(v => (int)v!["forecast"]!).Distinct().Count().ShouldBeGreaterThan(1);
        (
            (int)
                fit["versions"]!.AsArray().Single(v => (string)v!["versionId"]! == (string)fit["versionId"]!)![
                    "forecast"
                ]!
        ).ShouldBe((int)fit["forecast"]!);
    }
}
