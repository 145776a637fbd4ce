using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Plans: saved from weeks, shared, changed, and laid on other weeks.</summary>
[Collection("application")]
public sealed class SavedPlanTests(Harness harness)
{
    private static DateOnly Monday
    {
        get
        {
            var today = Harness.Today;
            return today.AddDays(7 - ((int)today.DayOfWeek + 6) % 7);
        }
    }

    private static string Day(DateOnly day) => $"{day:yyyy-MM-dd}";

    private static async Task<string> Draft(Person ana, Room room, object what, DateOnly from, DateOnly due)
    {
        var request = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(what))!.AsObject();
        request["readerIds"] = new JsonArray([.. room.Readers.Select(r => (JsonNode)r.Id)]);
        request["attempts"] = 2;
        request["skipGiven"] = false;
        request["draft"] = true;
        request["visibleFrom"] = Day(from);
        request["dueOn"] = Day(due);
        return (string)(await ana.Posted($"/api/classes/{room.Id}/assignments", request))["assignmentId"]!;
    }

    private static async Task<string> Text(Person ana, string words) =>
        (string)(await ana.Get($"/api/library?q={words}"))["rows"]![0]!["id"]!;

    /// <summary>A plan of a text in its first week and something to write in its second.</summary>
    private static async Task<JsonNode> Saved(Person ana, Room room, bool mine = true, bool inOrder = true)
    {
        var text = await Text(ana, "mill+that+waits");
        var first = await Draft(ana, room, new { textId = text }, Monday, Monday.AddDays(2));
        var task = new
        {
            id = Guid.NewGuid(),
            kind = "Written",
            title = "After the storm",
            prompt = "What would you have taken along?",
        };
        var second = await Draft(ana, room, new { tasks = new[] { task } }, Monday.AddDays(8), Monday.AddDays(11));
        var plan = await ana.Posted(
            $"/api/classes/{room.Id}/plans",
            new
            {
                id = Guid.NewGuid(),
                name = $"Autumn {Guid.NewGuid():N}",
                mine,
                inOrder,
                monday = Day(Monday),
                assignmentIds = new[] { first, second },
            }
        );
        await ana.Posted($"/api/classes/{room.Id}/drafts/discard", new { assignmentIds = new[] { first, second } });
        return plan;
    }

    private static Task<HttpResponseMessage> Lay(
        Person ana,
        Room room,
        JsonNode plan,
        DateOnly from,
        bool draft,
        Guid[] ids
    ) =>
        ana.Post(
            $"/api/classes/{room.Id}/plans/{plan["id"]}/lay",
            new
            {
                readerIds = room.Readers.Select(r => r.Id).ToArray(),
                from = Day(from),
                revision = (int)plan["revision"]!,
                ids,
                draft,
            }
        );

    private static async Task<JsonNode[]> Plates(Person ana, Room room, DateOnly from) =>
        [
            .. (await ana.Get($"/api/classes/{room.Id}/week?from={Day(from)}&to={Day(from.AddDays(13))}"))["plates"]!
                .AsArray()
                .Select(p => p!["assignment"]!),
        ];

    [Fact]
    public async Task A_plan_saved_from_two_weeks_is_laid_on_two_others_as_drafts_once_and_undone()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var plan = await Saved(ana, room);
        ((int)plan["weeks"]!, (string)plan["items"]![1]!["kind"]!).ShouldBe((2, "Written"));
        var later = Monday.AddDays(14);
        var look = (
            await ana.Posted(
                $"/api/classes/{room.Id}/plans/{plan["id"]}/look",
                new { readerIds = new[] { room.Readers[0].Id }, from = Day(later) }
            )
        ).AsArray();
        look.Select(l => (bool)l!["gone"]!).ShouldAllBe(gone => !gone);
        Guid[] ids = [Guid.NewGuid(), Guid.NewGuid()];
        var done = await ana.Json(await Lay(ana, room, plan, later, draft: true, ids));
        await ana.Json(await Lay(ana, room, plan, later, draft: true, ids));
        var plates = await Plates(ana, room, later);
        plates.Select(a => (string)a["title"]!).ShouldBe(["The Mill That Waits", "After the storm"]);
        plates.ShouldAllBe(a => (bool)a["draft"]!);
        plates.Select(a => (string)a["visibleFrom"]!).ShouldBe(look.Select(l => (string)l!["visibleFrom"]!));

        await ana.Posted($"/api/changes/{done["changeId"]}/undo");
        (await Plates(ana, room, later)).ShouldBeEmpty();
    }

    [Fact]
    public async Task What_a_reader_has_had_is_skipped_and_the_rest_comes_on_its_day()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var plan = await Saved(ana, room, inOrder: false);
        await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = new[] { room.Readers[0].Id },
                textId = await Text(ana, "mill+that+waits"),
                attempts = 2,
                skipGiven = false,
            }
        );
        var done = await ana.Json(await Lay(ana, room, plan, Monday, draft: false, [Guid.NewGuid(), Guid.NewGuid()]));
        ((int)done["done"]!, (int)done["left"]!).ShouldBe((1, 1));
        var planned = (await Plates(ana, room, Monday)).Single(a => (string)a["title"]! == "After the storm");
        ((bool)planned["draft"]!, (int)planned["planned"]!).ShouldBe((false, 1));
        var nothing = await Lay(ana, room, plan, Monday.AddDays(-30), draft: false, [Guid.NewGuid(), Guid.NewGuid()]);
        await ana.Problem(nothing, 422);
    }

    [Fact]
    public async Task A_plan_is_its_owners_until_it_is_shared_and_is_changed_by_one_at_a_time()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var plan = await Saved(ana, room);
        var path = $"/api/plans/{plan["id"]}";
        object Request(int revision, bool mine, string name = "Autumn", int at = 1) =>
            new
            {
                revision,
                name,
                mine,
                inOrder = true,
                items = new[]
                {
                    new
                    {
                        at,
                        week = 0,
                        day = 3,
                        days = (int?)null,
                    },
                },
            };
        var ben = await harness.Teacher("ben");
        async Task<bool> Sees(Person who) =>
            (await who.Get("/api/plans")).AsArray().Any(p => (string)p!["id"]! == (string)plan["id"]!);
        (await Sees(ben)).ShouldBeFalse();
        await ben.Problem(await ben.Put(path, Request(1, true)), 404);
        var shared = await ana.Stored(path, Request(1, false));
        shared["items"]!.AsArray().ShouldHaveSingleItem()!["title"]!.ToString().ShouldBe("After the storm");
        (await Sees(ben)).ShouldBeTrue();
        (await ben.Send(HttpMethod.Delete, path)).StatusCode.ShouldBe(HttpStatusCode.NotFound, "it is ana's");
        (await ana.Code(await ana.Put(path, Request(1, false)), 409)).ShouldBe("stale");
        await ana.Problem(await ana.Put(path, Request(2, false, " ", 0)), 422);
        var (stranger, _, _) = await harness.OwnSchool();
        (await Sees(stranger)).ShouldBeFalse();

        (await ana.Send(HttpMethod.Delete, path)).EnsureSuccessStatusCode();
        (await Sees(ana)).ShouldBeFalse();
        await ana.Posted($"{path}/restore");
        (await Sees(ana)).ShouldBeTrue();
    }

    [Fact]
    public async Task A_plan_holds_level_checks_which_are_drafted_given_together_and_undone()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var plan = await WithCheck(ana, room);
        var item = plan["items"]![0]!;
        ((string)item["kind"]!, (string)item["title"]!, (int)item["day"]!).ShouldBe(
            ("LevelCheck", "Reading morning", 1)
        );
        var (later, other) = (Monday.AddDays(14), await harness.Room(ana, 2));
        await ana.Json(await Lay(ana, other, plan, later, draft: true, [Guid.NewGuid()]));
        var draft = (await Checks(ana, other)).Single(k => (string)k["opensOn"]! == Day(later.AddDays(1)));
        ((bool)draft["draft"]!, (string)draft["closesOn"]!).ShouldBe((true, Day(later.AddDays(3))));
        (await Checks(ana, room)).ShouldAllBe(k => (string)k["id"]! != (string)draft["id"]!, "it is for others");

        var request = new { assignmentIds = Array.Empty<string>(), checkIds = new[] { (string)draft["id"]! } };
        var given = await ana.Posted($"/api/classes/{other.Id}/drafts/give", request);
        async Task<(bool Draft, int Readers)> Now()
        {
            var now = (await Checks(ana, other)).Single(k => (string)k["id"]! == (string)draft["id"]!);
            return ((bool)now["draft"]!, (int)now["readers"]!);
        }
        (await Now()).ShouldBe((false, 2));
        await ana.Posted($"/api/changes/{given["changeId"]}/undo");
        (await Now()).ShouldBe((true, 0));

        // Given at once, it is taken back by undoing.
        var done = await ana.Json(await Lay(ana, other, plan, later.AddDays(14), draft: false, [Guid.NewGuid()]));
        (await Checks(ana, other)).Count(k => !(bool)k["draft"]!).ShouldBe(1);
        await ana.Posted($"/api/changes/{done["changeId"]}/undo");
        (await Checks(ana, other)).Count(k => !(bool)k["draft"]!).ShouldBe(0);
        var ben = await harness.Teacher("ben");
        var bens = await harness.Room(ben, 1);
        (await ben.Post($"/api/classes/{bens.Id}/drafts/give", request)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Who_is_in_two_classes_takes_a_plans_check_in_the_one_it_is_given_in()
    {
        var ana = await harness.Teacher("ana");
        var (first, second) = (await harness.Room(ana, 2), await harness.Room(ana, 1));
        var both = first.Readers[0];
        await ana.Posted($"/api/classes/{second.Id}/enrol", new { readerIds = new[] { both.Id } });
        second = second with { Readers = [.. second.Readers, both] };
        var plan = await WithCheck(ana, first);

        await ana.Json(await Lay(ana, second, plan, Monday.AddDays(14), draft: false, [Guid.NewGuid()]));
        (await Given(second)).ShouldBe([2]);
        (await Given(first)).ShouldBeEmpty();

        // The same of a draft that is given later, whose readers were chosen one by one.
        await ana.Json(await Lay(ana, second, plan, Monday.AddDays(28), draft: true, [Guid.NewGuid()]));
        var draft = (await Checks(ana, second)).Single(k => (bool)k["draft"]!);
        await ana.Posted(
            $"/api/classes/{second.Id}/drafts/give",
            new { assignmentIds = Array.Empty<string>(), checkIds = new[] { (string)draft["id"]! } }
        );
        (await Given(second)).ShouldBe([2, 2]);
        (await Given(first)).ShouldBeEmpty();

        async Task<int[]> Given(Room room) =>
            [.. (await Checks(ana, room)).Where(k => !(bool)k["draft"]!).Select(k => (int)k["readers"]!)];
    }

    private static async Task<JsonNode[]> Checks(Person ana, Room room) =>
        [.. (await ana.Get($"/api/classes/{room.Id}/checks")).AsArray().OfType<JsonNode>()];

    /// <summary>A plan of a level check from a Tuesday to a Thursday.</summary>
    private static async Task<JsonNode> WithCheck(Person ana, Room room)
    {
        var check = Guid.NewGuid();
        var made = JsonNode.Parse(
            System.Text.Json.JsonSerializer.Serialize(LevelCheckTests.Check([room.Id], draft: true))
        )!;
        made["opensOn"] = Day(Monday.AddDays(1));
        made["closesOn"] = Day(Monday.AddDays(3));
        await ana.Stored($"/api/checks/{check}", made);
        return await ana.Posted(
            $"/api/classes/{room.Id}/plans",
            new
            {
                id = Guid.NewGuid(),
                name = "Check week",
                mine = true,
                inOrder = true,
                monday = Day(Monday),
                assignmentIds = Array.Empty<string>(),
                checkIds = new[] { check },
            }
        );
    }
}
