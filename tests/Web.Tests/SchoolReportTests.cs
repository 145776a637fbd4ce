using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>A whole school's report, and what teachers write for conferences.</summary>
[Collection("application")]
public sealed class SchoolReportTests(Harness harness)
{
    private static JsonNode Measure(JsonNode figures, string measure) =>
        figures["measures"]!.AsArray().Single(m => (string)m!["measure"]! == measure)!;

    /// <summary>Everybody of a class has read a text, and got half of its questions right.</summary>
    private async Task AllRead(Person lead, Room room)
    {
        await lead.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = (string)(await lead.Get($"/api/library?classId={room.Id}"))["rows"]![0]!["id"]!,
                attempts = 1,
                skipGiven = false,
            }
        );
        await harness.Ask<object>(
            """
            update ticket
            set full_reading = true, active_seconds = 300, opened_at = now(), handed_in_at = now(), score = 0.5
            where class_id = $1
            returning 1
            """,
            Guid.Parse(room.Id)
        );
    }

    [Fact]
    public async Task A_lead_sees_grades_and_classes_and_no_group_of_fewer_than_five()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 6);
        var small = await harness.Room(lead, 3);
        await AllRead(lead, room);
        var words = await harness.Ask<long>(
            "select sum(v.words) from ticket k join version v on v.id = k.version_id where k.class_id = $1",
            Guid.Parse(room.Id)
        );
        var report = await lead.Get("/api/school/reports?by=Class");
        var weeks = (double)report["schoolWeeks"]!;
        var groups = report["groups"]!.AsArray();
        groups.Count.ShouldBe(2);
        // The three of the small class would be told by the six beside them.
        groups.ShouldAllBe(g => (bool)g!["figures"]!["withheld"]!);
        ((int)report["all"]!["readers"]!).ShouldBe(9);
        ((double)Measure(report["all"]!, "Words")["now"]!["mean"]!).ShouldBe(words / weeks / 9, 1e-6);
        ((double)Measure(report["all"]!, "FirstTry")["now"]!["mean"]!).ShouldBe(50, 1e-6);
        report["library"]!.AsArray().Sum(b => (int)b!["readings"]!).ShouldBe(6);
        await harness.Room(lead, 5);
        groups = (await lead.Get("/api/school/reports?by=Class"))["groups"]!.AsArray();
        groups.Count(g => !(bool)g!["figures"]!["withheld"]!).ShouldBe(1);
        var grade = (await lead.Get("/api/school/reports"))["groups"]!.AsArray().ShouldHaveSingleItem()!;
        ((int)grade["grade"]!, (int)grade["figures"]!["readers"]!).ShouldBe((4, 14));
        small.Readers.Count.ShouldBe(3);
        await lead.Problem(await lead.Send(HttpMethod.Get, "/api/school/reports?kind=Any"), 422);
        (await (await harness.Teacher("ben")).Send(HttpMethod.Get, "/api/school/reports")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task What_a_teacher_writes_stands_on_the_conference_page_until_it_is_taken_away()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var address = $"/api/classes/{room.Id}/conference";
        var one = $"{address}/{room.Readers[0].Id}";
        async Task<int> Size() =>
            (
                await (
                    await ana.Send(HttpMethod.Get, $"{address}.pdf?readers={room.Readers[0].Id}")
                ).Content.ReadAsByteArrayAsync()
            ).Length;
        var before = await Size();
        await ana.Put(one, new { words = " Reads with a friend, and asks good questions. " });
        var kept = (await ana.Get(address)).AsArray().ShouldHaveSingleItem()!;
        ((string)kept["words"]!, (string)kept["by"]!).ShouldBe(
            ("Reads with a friend, and asks good questions.", "Ana")
        );
        (await Size()).ShouldNotBe(before);
        await ana.Problem(await ana.Put(one, new { words = new string('x', 1201) }), 422);
        (await ana.Put($"{address}/{Guid.NewGuid()}", new { words = "x" })).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        await ana.Put(one, new { words = "  " });
        (await ana.Get(address)).AsArray().ShouldBeEmpty();
    }
}
