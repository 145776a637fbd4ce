using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>What an assignment came to, over HTTP: who counts, every question, what next, and reports over days.</summary>
[Collection("application")]
public sealed class ResultTests(Harness harness)
{
    private sealed record Given(Person Ana, Room Room, string Assignment, IReadOnlyList<Person> Readers);

    /// <summary>Some readers have a text; each reads it for so many seconds a page and hands it in; a negative number has
    /// not begun.</summary>
    private async Task<Given> Done(params double[] seconds)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, seconds.Length);
        var made = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = await Answering.TextWith(ana, "Short"),
                attempts = 1,
                skipGiven = false,
            }
        );
        var readers = new List<Person>();
        foreach (var (each, i) in seconds.Select((s, i) => (s, i)))
        {
            var reader = await harness.Reader(room, i);
            readers.Add(reader);
            if (each < 0)
                continue;
            var ticket = (string)(await reader.Get("/api/my/tickets"))[0]!["id"]!;
            (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
            await Answering.ReadPages(reader, ticket, each);
            await Answering.HandIn(reader, ticket);
        }
        return new(ana, room, (string)made["assignmentId"]!, readers);
    }

    private static async Task<JsonNode> Results(Given x) => await x.Ana.Get($"/api/assignments/{x.Assignment}/results");

    [Fact]
    public async Task Who_read_and_tried_counts_who_only_opened_it_does_not_and_who_has_not_begun_is_named()
    {
        var x = await Done(60, 60, 1, -1);
        var results = await Results(x);
        var f = results["figures"]!;
        ((int)f["given"]!, (int)f["handedIn"]!, (int)f["counted"]!).ShouldBe((4, 3, 2));
        ((string)f["reliability"]!).ShouldBe("NotClaimed");
        ((double)f["times"]!["middle"]!).ShouldBeGreaterThanOrEqualTo(60);
        var rows = results["rows"]!.AsArray();
        rows.Count(r => (bool)r!["counts"]!).ShouldBe(2);
        rows.ShouldAllBe(r => r!["cells"]!.AsArray().Count == results["questions"]!.AsArray().Count);
        results["readers"]!.AsArray().Count(r => (string)r!["state"]! == "Waiting").ShouldBe(1);
        var again = results["next"]!.AsArray().Single(s => (string)s!["step"]!["kind"]! == "ReadAgain")!;
        again["step"]!["readers"]!.AsArray().ShouldHaveSingleItem();
        ((string)again["text"]!["id"]!).ShouldBe((string)results["assignment"]!["textId"]!);
    }

    [Fact]
    public async Task A_written_answer_is_to_mark_and_then_has_its_mark_and_the_figures_agree_with_the_tickets_score()
    {
        var x = await Done(60);
        var row = (await Results(x))["rows"]![0]!;
        var waiting = row["cells"]!.AsArray().Count(c => (bool)c!["toMark"]!);
        waiting.ShouldBeGreaterThan(0);
        var ticket = (await Results(x))["readers"]![0]!;
        var ticketId = (string)ticket["ticketId"]!;
        foreach (var answer in (await x.Ana.Get($"/api/tickets/{ticketId}"))["answers"]!.AsArray())
        foreach (var tried in answer!["tries"]!.AsArray().Where(t => t!["correct"] is null))
            await x.Ana.Stored(
                $"/api/tickets/{ticketId}/marks/{(string)tried!["id"]!}",
                new { points = new[] { 3 }, comment = "" }
            );
        row = (await Results(x))["rows"]![0]!;
        row["cells"]!.AsArray().Count(c => (int?)c!["written"]?["points"]![0] == 3).ShouldBe(waiting);
        var score = (double)(await x.Ana.Get($"/api/assignments/{x.Assignment}"))["tickets"]![0]!["score"]!;
        ((double)row["share"]!).ShouldBe(score, 1e-9);
        ((int)row["asked"]!).ShouldBe(row["cells"]!.AsArray().Count);
    }

    [Fact]
    public async Task Nobody_of_another_class_or_school_sees_results_and_no_reader_does()
    {
        var x = await Done(60);
        var address = $"/api/assignments/{x.Assignment}/results";
        foreach (var who in new[] { await harness.Teacher("ben"), await harness.Teacher("cleo"), x.Readers[0] })
            (await who.Send(HttpMethod.Get, address)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_report_sums_what_was_read_and_leaves_openings_out_of_every_other_figure()
    {
        var x = await Done(60, 1);
        (
            await x.Readers[1]
                .Put(
                    $"/api/my/readings/{Guid.NewGuid()}",
                    new
                    {
                        title = "A paper book",
                        author = "",
                        day = $"{DateTime.UtcNow:yyyy-MM-dd}",
                        minutes = 25,
                        finished = false,
                        said = "",
                        at = DateTimeOffset.UtcNow,
                    }
                )
        ).EnsureSuccessStatusCode();
        var report = await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/readers?Kind=Week");
        var sum = report["sum"]!;
        ((int)sum["readings"]!, (int)sum["openings"]!, (int)sum["outsideMinutes"]!).ShouldBe((1, 1, 25));
        var rows = report["rows"]!.AsArray();
        rows.Count.ShouldBe(2);
        rows.Sum(r => (int)r!["sums"]!["words"]!).ShouldBe((int)sum["words"]!);
        rows.Sum(r => r!["depths"]!.AsArray().Count).ShouldBe(1);
        ((int)report["before"]!["readings"]!).ShouldBe(0);
        var log = (await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/log?Kind=Day"))["lines"]!.AsArray();
        log.Count.ShouldBe(3);
        log.Count(l => (bool)l!["row"]!["full"]!).ShouldBe(1);
        log.Single(l => l!["row"]!["ticketId"] is null)!["row"]!["title"]!.GetValue<string>().ShouldBe("A paper book");
        log.ShouldAllBe(l => l!["row"]!["ticketId"] == null || l["marks"]!.AsArray().Count > 0);
        var one = await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/log?Kind=Day&ReaderId={x.Room.Readers[0].Id}");
        one["lines"]!.AsArray().ShouldHaveSingleItem();
        (await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/texts"))["rows"]!.AsArray().ShouldHaveSingleItem();
    }

    [Fact]
    public async Task Days_first_tries_and_questions_add_up_to_the_report()
    {
        var x = await Done(60, 1);
        var report = await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/readers?Kind=Week");
        var days = (await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/over-time"))["days"]!.AsArray();
        days.Sum(d => (int)d!["words"]!).ShouldBe((int)report["sum"]!["words"]!);
        days.Sum(d => (int)d!["atOnce"]!).ShouldBe((int)report["sum"]!["atOnce"]!);
        var tries = (await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/answers"))["rows"]!.AsArray();
        tries.Count(t => (string)t!["mark"]! == "RightAtOnce").ShouldBe((int)report["sum"]!["atOnce"]!);
        foreach (var strand in report["sum"]!["strands"]!.AsArray())
        {
            var those = (
                await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/answers?Strand={(string)strand!["strand"]!}")
            )["rows"]!.AsArray();
            those.Count.ShouldBe((int)strand["atOnce"]! + (int)strand["later"]! + (int)strand["notYet"]!);
            those.ShouldAllBe(t => (string)t!["strand"]! == (string)strand["strand"]!);
        }
        var questions = (await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/questions"))["rows"]!.AsArray();
        foreach (var q in questions)
            (await x.Ana.Get($"/api/classes/{x.Room.Id}/reports/answers?QuestionId={(string)q!["questionId"]!}"))[
                "rows"
            ]!
                .AsArray()
                .Count.ShouldBe((int)q["asked"]!);
        questions.ShouldNotBeEmpty();
        questions.ShouldAllBe(q => (int)q!["asked"]! - (int)q["atOnce"]! == q["missedBy"]!.AsArray().Count);
    }

    [Fact]
    public async Task A_report_of_days_that_are_none_says_so_and_of_a_group_elsewhere_is_not_found()
    {
        var x = await Done(60);
        var address = $"/api/classes/{x.Room.Id}/reports/readers";
        async Task Refused(string query, HttpStatusCode code) =>
            (await x.Ana.Send(HttpMethod.Get, $"{address}?{query}")).StatusCode.ShouldBe(code, query);
        await Refused("Kind=Any", HttpStatusCode.UnprocessableEntity);
        await Refused("Kind=Any&From=2026-12-01&To=2026-11-01", HttpStatusCode.UnprocessableEntity);
        await Refused("Kind=Any&From=1990-01-01", HttpStatusCode.UnprocessableEntity);
        await Refused($"GroupId={Guid.NewGuid()}", HttpStatusCode.NotFound);
        await Refused($"ReaderId={Guid.NewGuid()}", HttpStatusCode.NotFound);
        (await (await harness.Teacher("ben")).Send(HttpMethod.Get, address)).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        var empty = await x.Ana.Get($"{address}?Kind=Any&From=2020-01-01&To=2020-01-02");
        ((int)empty["sum"]!["readings"]!).ShouldBe(0);
        empty["sum"]!["firstTry"].ShouldBeNull();
    }

    [Fact]
    public async Task A_gradebook_has_first_best_and_latest_of_each_reader_in_every_form()
    {
        var x = await Done(60, -1);
        var address = $"/api/classes/{x.Room.Id}/gradebook";
        var csv = await (await x.Ana.Send(HttpMethod.Get, $"{address}/Csv")).Content.ReadAsStringAsync();
        csv.Split("\r\n").Count(line => line.Length > 0).ShouldBe(3);
        csv.ShouldContain("Latest score, %");
        foreach (var form in new[] { "Xlsx", "Zip" })
            (await (await x.Ana.Send(HttpMethod.Get, $"{address}/{form}")).Content.ReadAsByteArrayAsync())
                .AsSpan()
                .StartsWith("PK"u8)
                .ShouldBeTrue(form);
        var statements = (await x.Ana.Get($"{address}/Xapi")).AsArray();
        statements.Count(s => ((string)s!["verb"]!["id"]!).EndsWith("completed", StringComparison.Ordinal)).ShouldBe(1);
        statements.ToJsonString().ShouldNotContain("givenName");
        (await x.Ana.Send(HttpMethod.Get, $"{address}/Csv?also={Guid.NewGuid()}")).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        (await x.Ana.Send(HttpMethod.Get, $"{address}/Zip?also={Guid.NewGuid()}")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task Conference_pages_are_a_page_a_reader_and_of_strangers_there_are_none()
    {
        var x = await Done(60, 60, -1);
        var address = $"/api/classes/{x.Room.Id}/conference.pdf";
        var all = await (await x.Ana.Send(HttpMethod.Get, $"{address}?language=es")).Content.ReadAsByteArrayAsync();
        all.AsSpan().StartsWith("%PDF"u8).ShouldBeTrue();
        var one = await x.Ana.Send(HttpMethod.Get, $"{address}?readers={x.Room.Readers[0].Id}&paper=letter");
        (await one.Content.ReadAsByteArrayAsync()).Length.ShouldBeLessThan(all.Length);
        (await x.Ana.Send(HttpMethod.Get, $"{address}?readers={Guid.NewGuid()}")).StatusCode.ShouldBe(
            HttpStatusCode.Conflict
        );
    }
}
