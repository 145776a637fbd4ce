using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Goals that start from a check or the school's aims, near misses, and days away.</summary>
[Collection("application")]
public sealed class GoalTests(Harness harness)
{
    private static JsonNode Line(JsonNode goals, string readerId) =>
        goals["lines"]!.AsArray().Single(l => (string)l!["readerId"]! == readerId)!;

    private static JsonNode Kind(JsonNode line, string kind) =>
        line["kinds"]!.AsArray().Single(k => (string)k!["kind"]! == kind)!;

    /// <summary>A school whose first term ended some days ago, with a class of one reader.</summary>
    private async Task<(Person Lead, Room Room, string PastTerm)> AfterATerm(int daysAgo)
    {
        var (lead, schoolId, _) = await harness.OwnSchool();
        await harness.Ask<object>(
            """
            with y as (select id from school_year where school_id = $1),
              moved as (
                update term t
                set last_day = case when rank = 1 then $2::date else t.last_day end,
                  first_day = case when rank = 2 then $2::date + 1 else t.first_day end
                from (select id, row_number() over (order by first_day) as rank from term
                  where school_year_id in (select id from y)) r
                where r.id = t.id
                returning 1)
            select count(*) from moved
            """,
            schoolId.Value,
            Harness.Today.AddDays(-daysAgo)
        );
        var room = await harness.Room(lead, 1);
        var goals = await lead.Get($"/api/classes/{room.Id}/goals");
        return (lead, room, (string)goals["terms"]![0]!["id"]!);
    }

    /// <summary>A level goal of a term that is over, which nobody could set any more.</summary>
    private Task SetLevelGoal(Room room, string reader, string term, double target) =>
        harness.Ask<object>(
            """
            insert into goal (id, reader_id, term_id, kind, target, reason, set_by, set_at)
            select gen_random_uuid(), $1, $2, 'Depth', $3, '', adult_id, now() from class_adult where class_id = $4
            returning 1
            """,
            Guid.Parse(reader),
            Guid.Parse(term),
            target,
            Guid.Parse(room.Id)
        );

    [Fact]
    public async Task A_near_miss_is_called_met_with_a_reason_and_undone_and_anything_else_is_not()
    {
        var (lead, room, term) = await AfterATerm(3);
        var reader = room.Readers[0].Id;
        var level = (double)
            Kind(Line(await lead.Get($"/api/classes/{room.Id}/goals?termId={term}"), reader), "Depth")["soFar"]!;
        async Task<JsonNode> Goal() =>
            Kind(Line(await lead.Get($"/api/classes/{room.Id}/goals?termId={term}"), reader), "Depth")["goal"]!;
        await SetLevelGoal(room, reader, term, level + 0.5);
        var asked = new
        {
            termId = term,
            readerId = reader,
            kind = "Depth",
            reason = "Ill in the last week.",
        };
        ((bool)(await Goal())["mayCallMet"]!).ShouldBeTrue();
        await lead.Problem(await lead.Post($"/api/classes/{room.Id}/goals/met", asked with { reason = " " }), 422);
        (await lead.Post($"/api/classes/{room.Id}/goals/met", asked with { kind = "Words" })).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        var made = await lead.Posted($"/api/classes/{room.Id}/goals/met", asked);
        var met = await Goal();
        ((string)met["course"]!, (string)met["metReason"]!, (bool)met["mayCallMet"]!).ShouldBe(
            ("Reached", "Ill in the last week.", false)
        );
        await lead.Posted($"/api/changes/{(string)made["changeId"]!}/undo");
        (await Goal())["metReason"].ShouldBeNull();
        await harness.Ask<object>(
            "update goal set target = $2 where reader_id = $1 returning 1",
            Guid.Parse(reader),
            level + 4
        );
        (await lead.Code(await lead.Post($"/api/classes/{room.Id}/goals/met", asked), 409)).ShouldBe("not-near");
    }

    [Fact]
    public async Task A_level_of_a_past_term_stays_what_it_was_on_its_last_day()
    {
        var (lead, room, term) = await AfterATerm(3);
        var reader = room.Readers[0].Id;
        await harness.Ask<object>(
            """
            insert into depth_day (reader_id, day, mean, sd, low, high) values ($1, $2::date, 11.5, 2, 8, 15) returning 1
            """,
            Guid.Parse(reader),
            Harness.Today.AddDays(-4)
        );
        var past = Line(await lead.Get($"/api/classes/{room.Id}/goals?termId={term}"), reader);
        ((double)Kind(past, "Depth")["soFar"]!).ShouldBe(11.5);
        ((double)Kind(Line(await lead.Get($"/api/classes/{room.Id}/goals"), reader), "Depth")["soFar"]!).ShouldNotBe(
            11.5
        );
    }

    [Fact]
    public async Task A_school_aims_by_grade_and_its_teachers_see_it_beside_the_goals()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 1);
        var school = (await lead.Get("/api/school"))!;
        school["aims"] = JsonNode.Parse("""[{"grade":4,"percent":80},{"grade":6,"percent":75}]""");
        await lead.Stored("/api/school", school);
        ((int)Line(await lead.Get($"/api/classes/{room.Id}/goals"), room.Readers[0].Id)["aim"]!).ShouldBe(80);
        school = await lead.Get("/api/school");
        school["aims"]!.AsArray().Count.ShouldBe(2);
        school["aims"] = JsonNode.Parse("""[{"grade":4,"percent":80},{"grade":4,"percent":101}]""");
        await lead.Problem(await lead.Put("/api/school", school), 422);
    }

    [Fact]
    public async Task Days_away_leave_fewer_school_days_for_that_reader_alone_and_can_be_removed_and_put_back()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 2);
        var (ill, well) = (room.Readers[0].Id, room.Readers[1].Id);
        async Task<(int Ill, int Well)> Left()
        {
            var goals = await lead.Get($"/api/classes/{room.Id}/goals");
            return ((int)Line(goals, ill)["schoolDaysLeft"]!, (int)Line(goals, well)["schoolDaysLeft"]!);
        }
        var before = await Left();
        before.Ill.ShouldBe(before.Well);
        var monday = Harness.Today.AddDays(8 - (int)Harness.Today.DayOfWeek);
        var address = $"/api/readers/{ill}/absences/{Guid.NewGuid()}";
        var week = new
        {
            from = $"{monday:yyyy-MM-dd}",
            to = $"{monday.AddDays(4):yyyy-MM-dd}",
            reason = "Family",
        };
        await lead.Stored(address, week);
        // Sent twice it is there once.
        (await lead.Stored(address, week)).AsArray().ShouldHaveSingleItem();
        (await Left()).ShouldBe((before.Ill - 5, before.Well));
        await lead.Problem(await lead.Put(address, new { from = week.to, to = week.from }), 422);
        (await lead.Send(HttpMethod.Delete, address)).EnsureSuccessStatusCode();
        (await Left()).ShouldBe(before);
        await lead.Stored(address, week);
        (await Left()).Ill.ShouldBe(before.Ill - 5);
        (await lead.Put($"/api/readers/{well}/absences/{address[^36..]}", week)).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
    }

    [Theory]
    [InlineData("None", false, false)]
    [InlineData("Confirmed", false, true)]
    [InlineData("All", true, true)]
    public async Task Reading_elsewhere_counts_as_the_class_chose(string outside, bool told, bool confirmed)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var path = $"/api/classes/{room.Id}/goals";
        (await ana.Put($"/api/classes/{room.Id}/outside", new { outside })).EnsureSuccessStatusCode();
        ((string)(await ana.Get(path))["outside"]!).ShouldBe(outside);
        async Task<bool> Counts() =>
            Kind((await ana.Get(path))["lines"]![0]!, "Words")["soFar"] is { } words && (double)words > 0;
        (await Counts()).ShouldBeFalse();
        var reader = await harness.Reader(room, 0);
        var id = Guid.NewGuid();
        (
            await reader.Put(
                $"/api/my/readings/{id}",
                new
                {
                    title = "A paper book",
                    author = "",
                    day = $"{Harness.Today:yyyy-MM-dd}",
                    minutes = 25,
                    finished = false,
                    said = "",
                    at = DateTimeOffset.UtcNow,
                }
            )
        ).EnsureSuccessStatusCode();
        (await Counts()).ShouldBe(told);
        await harness.Ask<object>("update own_reading set confirmed_at = now() where id = $1 returning 1", id);
        (await Counts()).ShouldBe(confirmed);
        var line = (await ana.Get(path))["lines"]![0]!;
        Kind(line, "Comprehension")["soFar"].ShouldBeNull();
    }
}
