using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Assignments in the class stream of the school's platform, with the simulated one that ships.</summary>
[Collection("application")]
public sealed class StreamTests(Harness harness)
{
    private async Task<JsonArray> Posts(string course, string? reader = null)
    {
        using var http = new HttpClient();
        var who = reader is null ? "" : $"?reader={reader}";
        return JsonNode
            .Parse(await http.GetStringAsync($"{harness.District}/streams/{course}/posts.json{who}"))!
            .AsArray();
    }

    private static async Task<(string Id, string Change)> Given(
        Person ana,
        Room room,
        int readers,
        bool share,
        string? heading = null
    )
    {
        var text = (string)(await ana.Get("/api/library?q=mill+that+waits"))["rows"]![0]!["id"]!;
        var given = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Take(readers).Select(r => r.Id),
                textId = text,
                attempts = 2,
                skipGiven = true,
                dueOn = Harness.Today.AddDays(3),
                heading,
                directions = "Read it twice.",
                share,
            }
        );
        return ((string)given["assignmentId"]!, (string)given["changeId"]!);
    }

    [Fact]
    public async Task What_is_shared_is_shown_to_exactly_its_readers_follows_changes_and_is_taken_back()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 3);
        var course = $"course {Guid.NewGuid():N}"[..20];
        await ana.Code(await ana.Put($"/api/assignments/{(await Given(ana, room, 1, share: true)).Id}/stream"), 409);
        await ana.Problem(await ana.Put($"/api/classes/{room.Id}/stream", new { course = " " }), 422);
        await ana.Stored($"/api/classes/{room.Id}/stream", new { course });
        await ana.Code(await ana.Put($"/api/classes/{room.Id}/stream", new { course = "another" }), 409);
        ((string)(await ana.Get($"/api/stream-class?course={Uri.EscapeDataString(course)}"))["classId"]!).ShouldBe(
            room.Id
        );

        var (assignment, _) = await Given(ana, room, 3, share: true, heading: "At home");
        await Shows(course, posts => posts.Count == 1);
        var post = (await Posts(course)).Single()!;
        ((string)post["heading"]!, (string)post["title"]!).ShouldBe(("At home", "The Mill That Waits"));
        ((string)post["due"]!).ShouldBe(Harness.Today.AddDays(3).ToString("O"));
        ((string)post["link"]!).ShouldEndWith($"/task/{assignment}");
        post.ToJsonString().ShouldNotContain("twice", Case.Insensitive, "directions stay with the task");
        // Two of the three: one had the text before.
        post["readers"]!.AsArray().Count.ShouldBe(2);
        (await Posts(course, "nobody")).ShouldBeEmpty();
        var shared = (await ana.Get($"/api/classes/{room.Id}/stream"))["shared"]!.AsArray().Single()!;
        shared["sentAt"].ShouldNotBeNull();

        await WayTests.Redate(ana, assignment, Harness.Today.AddDays(8));
        await Touched(assignment);
        await Shows(course, posts => (string)posts.Single()!["due"]! == Harness.Today.AddDays(8).ToString("O"));

        (await ana.Send(HttpMethod.Delete, $"/api/assignments/{assignment}/stream")).EnsureSuccessStatusCode();
        await Shows(course, posts => posts.Count == 0);
        (await ana.Put($"/api/assignments/{assignment}/stream")).EnsureSuccessStatusCode();
        await Shows(course, posts => posts.Count == 1);
        (await ana.Send(HttpMethod.Delete, $"/api/classes/{room.Id}/stream")).EnsureSuccessStatusCode();
        await Shows(course, posts => posts.Count == 0);
        (await ana.Get($"/api/classes/{room.Id}/stream"))["course"].ShouldBeNull();
    }

    private Task Shows(string course, Func<JsonArray, bool> so) =>
        Eventually.Is<JsonArray>(async () => await Posts(course), so, "the stream as it should be");

    /// <summary>The next round of the work comes at once.</summary>
    private Task Touched(string assignment) =>
        harness.Ask<object>(
            """
            with due as (update stream_post set next_at = now() where assignment_id = $1::uuid returning assignment_id)
            select pg_notify('class_stream', assignment_id::text) from due
            """,
            assignment
        );

    [Fact]
    public async Task What_is_undone_leaves_the_stream_and_a_stranger_finds_no_class_by_its_course()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var course = $"course {Guid.NewGuid():N}"[..20];
        await ana.Stored($"/api/classes/{room.Id}/stream", new { course });
        var (assignment, change) = await Given(ana, room, 1, share: true);
        await Shows(course, posts => posts.Count == 1);
        await ana.Posted($"/api/changes/{change}/undo");
        await Touched(assignment);
        await Shows(course, posts => posts.Count == 0);

        var (stranger, _, _) = await harness.OwnSchool();
        await stranger.Code(
            await stranger.Send(HttpMethod.Get, $"/api/stream-class?course={Uri.EscapeDataString(course)}"),
            404
        );
        await stranger.Code(await stranger.Put($"/api/classes/{room.Id}/stream", new { course }), 404);
    }
}
