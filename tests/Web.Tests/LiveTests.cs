using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Many at once: answers that come together, pages that hear of them, several instances.</summary>
[Collection("application")]
public sealed class LiveTests(Harness harness)
{
    private sealed record Work(string Ticket, IReadOnlyList<string> Questions);

    /// <summary>The same text given to everybody in a room, with its questions of one choice.</summary>
    private static async Task<IReadOnlyDictionary<string, Work>> Given(Person teacher, Room room, int attempts = 1)
    {
        var rows = (await teacher.Get("/api/library"))["rows"]!.AsArray();
        var text = await teacher.Get($"/api/texts/{rows.First(r => (int)r!["questions"]! >= 6)!["id"]}");
        var made = await teacher.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = (string)text["id"]!,
                attempts,
                skipGiven = false,
            }
        );
        var questions = text["questions"]!
            .AsArray()
            .Where(q => (string)q!["kind"]! == "Single")
            .Select(q => (string)q!["id"]!)
            .ToList();
        return (await teacher.Get($"/api/assignments/{(string)made["assignmentId"]!}"))["tickets"]!
            .AsArray()
            .ToDictionary(t => (string)t!["readerId"]!, t => new Work((string)t!["id"]!, questions));
    }

    /// <summary>A class in which everybody is signed in and has the same text.</summary>
    private async Task<(Person Teacher, Room Room, IReadOnlyDictionary<string, Work> Given, Person[] Readers)> Busy(
        int readers
    )
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, readers);
        return (
            ana,
            room,
            await Given(ana, room),
            await Task.WhenAll(room.Readers.Select((_, i) => harness.Reader(room, i)))
        );
    }

    private static object Answer(string question) =>
        new
        {
            questionId = question,
            picks = new[] { 0 },
            at = DateTimeOffset.UtcNow,
            milliseconds = 9000,
        };

    private static object Answer(Guid id, string question, int[]? picks = null) =>
        new
        {
            id,
            answer = new
            {
                questionId = question,
                picks = picks ?? [0],
                at = DateTimeOffset.UtcNow,
                milliseconds = 9000,
            },
        };

    [Fact]
    public async Task Answers_that_come_at_the_same_moment_are_all_kept_and_each_once()
    {
        var (_, room, given, readers) = await Busy(12);
        // Every answer is sent twice at once, as a device does that has not heard whether it arrived.
        var sent = await Task.WhenAll(
            room.Readers.SelectMany(
                (r, i) =>
                    given[r.Id]
                        .Questions.Take(4)
                        .SelectMany(q =>
                        {
                            var path = $"/api/my/tickets/{given[r.Id].Ticket}/answers/{Guid.NewGuid()}";
                            return new[] { readers[i].Put(path, Answer(q)), readers[i].Copy().Put(path, Answer(q)) };
                        })
            )
        );
        sent.ShouldAllBe(s => s.StatusCode == HttpStatusCode.OK);
        foreach (var (r, i) in room.Readers.Select((r, i) => (r, i)))
        {
            var work = await readers[i].Get($"/api/my/tickets/{given[r.Id].Ticket}");
            ((string)work["state"]!).ShouldBe("UnderWay");
            work["questions"]!
                .AsArray()
                .Sum(q => q!["attempts"]!.AsArray().Count)
                .ShouldBe(Math.Min(4, given[r.Id].Questions.Count));
        }
    }

    [Fact]
    public async Task One_answer_that_cannot_be_kept_costs_nobody_else_theirs()
    {
        var (_, room, given, readers) = await Busy(6);
        string Path(int i, Guid id) => $"/api/my/tickets/{given[room.Readers[i].Id].Ticket}/answers/{id}";
        var taken = Guid.NewGuid();
        (
            await readers[0].Put(Path(0, taken), Answer(given[room.Readers[0].Id].Questions[0]))
        ).EnsureSuccessStatusCode();
        // An id that another reader's answer has already, among answers that are all right.
        var all = await Task.WhenAll(
            Enumerable
                .Range(1, 5)
                .SelectMany(i =>
                    Enumerable
                        .Range(0, 3)
                        .Select(q =>
                            readers[i]
                                .Put(
                                    Path(i, i == 1 && q == 0 ? taken : Guid.NewGuid()),
                                    Answer(given[room.Readers[i].Id].Questions[q])
                                )
                        )
                )
        );
        all.Count(a => a.StatusCode == HttpStatusCode.OK).ShouldBe(14);
        all[0].StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Answers_of_one_text_travel_together_and_each_is_told_what_became_of_it()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var work = (await Given(ana, room, attempts: 1))[room.Readers[0].Id];
        var reader = await harness.Reader(room, 0);
        var first = Guid.NewGuid();
        object body = new
        {
            answers = new[]
            {
                Answer(first, work.Questions[0]),
                Answer(Guid.NewGuid(), work.Questions[1]),
                Answer(Guid.NewGuid(), work.Questions[1]),
                Answer(Guid.NewGuid(), Guid.NewGuid().ToString()),
                Answer(Guid.NewGuid(), work.Questions[2], [99]),
                Answer(first, work.Questions[0]),
            },
        };
        var path = $"/api/my/tickets/{work.Ticket}/answers";
        string?[] expected = [null, null, "no-attempt-left", "not-found", "invalid", null];
        (await reader.Posted(path, body)).AsArray().Select(a => (string?)a!["code"]).ShouldBe(expected);
        (await reader.Posted(path, body))
            .AsArray()
            .Select(a => (string?)a!["code"])
            .ShouldBe(expected, "the same again is the same");
        (await reader.Post(path, new { answers = Array.Empty<object>() })).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        (await reader.Get($"/api/my/tickets/{work.Ticket}"))["questions"]!
            .AsArray()
            .Sum(q => q!["attempts"]!.AsArray().Count)
            .ShouldBe(2);
    }

    [Fact]
    public async Task Pages_hear_of_work_whichever_instance_a_balancer_sends_them_to()
    {
        using var balancer = harness.Balancer();
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var work = (await Given(ana, room))[room.Readers[0].Id];
        var page = new Person(harness, balancer);
        (
            await page.Post("/api/session/adult", new { userName = "ana", password = Harness.Password })
        ).EnsureSuccessStatusCode();
        var lines = new List<LiveLine>();
        for (var i = 0; i < 4; i++)
            lines.Add(await page.Watch(room.Id));
        var reader = new Person(harness, balancer);
        (
            await reader.Post(
                "/api/session/reader",
                new
                {
                    code = room.Code,
                    readerId = room.Readers[0].Id,
                    secret = room.Readers[0].Secret,
                }
            )
        ).EnsureSuccessStatusCode();
        foreach (var question in work.Questions.Take(3))
        {
            (
                await reader.Put($"/api/my/tickets/{work.Ticket}/answers/{Guid.NewGuid()}", Answer(question))
            ).EnsureSuccessStatusCode();
            foreach (var line in lines)
                await line.Hear();
        }
        lines.ForEach(l => l.Dispose());
    }

    [Fact]
    public async Task A_class_that_answers_in_a_burst_is_told_of_in_a_few_words()
    {
        var (ana, room, given, readers) = await Busy(12);
        using var line = await ana.Watch(room.Id);
        await Task.WhenAll(
            room.Readers.SelectMany(
                (r, i) =>
                    given[r.Id]
                        .Questions.Take(4)
                        .Select(q =>
                            readers[i].Put($"/api/my/tickets/{given[r.Id].Ticket}/answers/{Guid.NewGuid()}", Answer(q))
                        )
            )
        );
        await line.Hear();
        line.Times.ShouldBeLessThan(24, "48 answers are not 48 messages");
    }

    [Fact]
    public async Task A_session_that_is_ended_is_cut_off_from_what_is_live()
    {
        var ana = await harness.Teacher("ana");
        var (lead, _, userName) = await harness.OwnSchool();
        var room = await harness.Room(lead, 0);
        var other = new Person(harness);
        (
            await other.Post("/api/session/adult", new { userName, password = Harness.Password })
        ).EnsureSuccessStatusCode();
        using LiveLine stays = await ana.Watch((await harness.Room(ana, 0)).Id),
            goes = await lead.Watch(room.Id);
        (await other.Post("/api/me/sign-out")).EnsureSuccessStatusCode();
        await goes.Over.WaitAsync(TimeSpan.FromSeconds(20));
        stays.Over.IsCompleted.ShouldBeFalse("somebody else's line stays open");
        await Should.ThrowAsync<Exception>(() => lead.Watch(room.Id));
    }
}
