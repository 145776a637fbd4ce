using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using DeepCurrent.Core.Access;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace Web.Tests;

/// <summary>Readers in, moved, changed, out; each taken back again.</summary>
[Collection("application")]
public sealed class RosterTests(Harness harness)
{
    private static object Rows(params object[] rows) => new { rows, levelSystem = "fm" };

    private static async Task<JsonNode> Roster(Person teacher, string classId) =>
        await teacher.Get($"/api/classes/{classId}/roster");

    private static async Task<string[]> Names(Person teacher, string classId) =>
        [
            .. (await Roster(teacher, classId))["members"]!
                .AsArray()
                .Select(m => $"{m!["givenName"]} {m["familyName"]}".Trim()),
        ];

    [Fact]
    public async Task A_class_a_reader_and_a_colleague_asked_for_twice_are_made_once()
    {
        var (lead, _, _) = await harness.OwnSchool();
        Guid classId = Guid.NewGuid(),
            readerId = Guid.NewGuid(),
            adultId = Guid.NewGuid();
        var (room, same) = await Twice(lead, "/api/classes", new { name = "4 Tern", id = classId });
        ((string)room["id"]!, (string)same["id"]!).ShouldBe(($"{classId}", $"{classId}"));
        (await lead.Get("/api/school/classes")).AsArray().Count.ShouldBe(1);
        var (reader, again) = await Twice(lead, $"/api/classes/{classId}/readers", New(readerId, "Ana", "Cruz"));
        ((string)again["secret"]!).ShouldBe((string)reader["secret"]!);
        (await lead.Get($"/api/classes/{classId}"))["readers"]!.AsArray().Count.ShouldBe(1);
        await Twice(
            lead,
            "/api/school/adults",
            new
            {
                name = "Pia Lund",
                mail = $"{adultId:N}@example.org",
                lead = false,
                id = adultId,
            }
        );
        (await lead.Get("/api/school/adults")).AsArray().Count(a => (string)a!["name"]! == "Pia Lund").ShouldBe(1);
    }

    [Fact]
    public async Task A_copy_a_year_and_a_judgement_asked_for_twice_are_made_once()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 1);
        var copy = new
        {
            name = "4 Tern (copy)",
            withReaders = true,
            id = Guid.NewGuid(),
        };
        var (copied, sameCopy) = await Twice(lead, $"/api/classes/{room.Id}/copy", copy);
        ((string)copied["id"]!).ShouldBe((string)sameCopy["id"]!);
        (await lead.Get("/api/school/classes")).AsArray().Count.ShouldBe(2);
        DateOnly firstDay = Harness.Today.AddDays(230),
            lastDay = firstDay.AddDays(280);
        var next = new
        {
            name = "Next",
            firstDay,
            lastDay,
            terms = new[] { Term(firstDay, lastDay) },
            daysOff = Array.Empty<string>(),
            id = Guid.NewGuid(),
        };
        var (year, sameYear) = await Twice(lead, "/api/school/years", next);
        ((string)year["id"]!).ShouldBe((string)sameYear["id"]!);
        (await lead.Get("/api/school/years")).AsArray().Count.ShouldBe(2);
        var judgement = new
        {
            level = "33",
            system = "fm",
            sd = 2,
            reason = "Reads well",
            id = Guid.NewGuid(),
        };
        var path = $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/levels";
        var (judged, sameJudged) = await Twice(lead, path, judgement);
        ((string)judged["changeId"]!).ShouldBe((string)sameJudged["changeId"]!);
    }

    [Fact]
    public async Task An_id_that_is_somebody_elses_reader_makes_nobody_and_tells_nothing()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var theirs = await harness.Room(lead, 1);
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        var taken = New(Guid.Parse(theirs.Readers[0].Id), "Not", "Mine");
        (await ana.Post($"/api/classes/{room.Id}/readers", taken)).StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }

    private static async Task<(JsonNode Once, JsonNode Again)> Twice(Person who, string path, object body) =>
        (await who.Posted(path, body), await who.Posted(path, body));

    private static object Term(DateOnly firstDay, DateOnly lastDay) =>
        new
        {
            name = "Term 1",
            firstDay,
            lastDay,
        };

    private static object New(Guid id, string givenName, string familyName) =>
        new
        {
            givenName,
            familyName,
            grade = 4,
            level = 30,
            id,
        };

    private static object Row(string givenName, string? familyName, string grade, string? level = null) =>
        new
        {
            givenName,
            familyName,
            grade,
            level,
        };

    [Fact]
    public async Task A_list_goes_in_once_with_sign_ins_and_can_be_taken_back()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        var list = Rows(Row("Ådne", "Berg", "4", "31"), Row("小明", "王", "Year 5"), Row("Nobody", null, "forty"));
        var check = await ana.Posted($"/api/classes/{room.Id}/list/check", list);
        ((int)check["new"]!).ShouldBe(2);
        ((string)check["rows"]![2]!["problems"]![0]!["column"]!).ShouldBe("grade");
        var done = await ana.Posted($"/api/classes/{room.Id}/list/apply", list);
        done["added"]!.AsArray().Select(a => ((string)a!["secret"]!).Length).ShouldAllBe(n => n > 3);
        (await Names(ana, room.Id)).ShouldBe(["Ådne Berg", "小明 王"], ignoreOrder: true);
        (await ana.Get($"/api/classes/{room.Id}/list/draft"))["rows"]!
            .AsArray()
            .Select(r => (string)r!["givenName"]!)
            .ShouldBe(["Nobody"], "what was kept back is what is left of the draft");
        var reader = new Person(harness);
        (
            await reader.Post(
                "/api/session/reader",
                new
                {
                    code = room.Code,
                    readerId = (string)done["added"]![0]!["readerId"]!,
                    secret = (string)done["added"]![0]!["secret"]!,
                }
            )
        ).EnsureSuccessStatusCode();

        var again = await ana.Posted($"/api/classes/{room.Id}/list/apply", list);
        again["changeId"].ShouldBeNull();
        ((int)again["done"]!["unchanged"]!).ShouldBe(2);

        (await ana.Post($"/api/changes/{(string)done["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await Names(ana, room.Id)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_stated_level_moves_the_depth_and_undo_moves_it_back()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        async Task<double> Depth() => (double)(await ana.Get($"/api/readers/{room.Readers[0].Id}"))["depth"]!;
        var before = await Depth();
        var changed = await ana.Posted(
            $"/api/classes/{room.Id}/bulk",
            new
            {
                readerIds = new[] { room.Readers[0].Id },
                level = "grade 8",
                levelSystem = "fm",
                newSecrets = false,
            }
        );
        (await Depth()).ShouldBeGreaterThan(before + 5);
        (await ana.Post($"/api/changes/{(string)changed["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await Depth()).ShouldBe(before, 0.01);
    }

    [Fact]
    public async Task A_change_of_many_parts_is_taken_back_whole_or_not_at_all()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        var rows = Rows([
            .. Enumerable
                .Range(0, 1_800)
                .Select(i => new
                {
                    givenName = $"Many{i}",
                    familyName = "Parts",
                    grade = "3",
                    level = $"{20 + i % 20}",
                }),
        ]);
        var done = await ana.Posted($"/api/classes/{room.Id}/list/apply", rows);
        ((int)done["done"]!["new"]!).ShouldBe(
            1_800,
            "with stay and level these are 5,400 steps, more than one part holds"
        );
        var one = (string)done["added"]![7]!["readerId"]!;
        var worked = await ana.Posted(
            $"/api/classes/{room.Id}/bulk",
            new
            {
                readerIds = new[] { one },
                level = "grade 8",
                levelSystem = "fm",
                newSecrets = false,
            }
        );

        var refused = await ana.Post($"/api/changes/{(string)done["changeId"]!}/undo");
        refused.StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await Names(ana, room.Id)).Length.ShouldBe(1_800);

        (await ana.Post($"/api/changes/{(string)worked["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await ana.Post($"/api/changes/{(string)done["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await Names(ana, room.Id)).ShouldBeEmpty();
    }

    [Fact]
    public async Task Readers_move_leave_and_come_back_with_their_history()
    {
        var ana = await harness.Teacher("ana");
        Room one = await harness.Room(ana, 2),
            two = await harness.Room(ana, 0);
        var moved = await ana.Posted(
            $"/api/classes/{one.Id}/move",
            new { readerIds = new[] { one.Readers[0].Id }, toClassId = two.Id }
        );
        (await Names(ana, two.Id)).ShouldBe(["Reader0 Test"]);
        (await Roster(ana, one.Id))["former"]!.AsArray().Count.ShouldBe(1);
        (await ana.Get($"/api/readers/{one.Readers[0].Id}/stays")).AsArray().Count.ShouldBe(2);

        // Somebody builds on it: then it says who and what.
        var left = await ana.Posted($"/api/classes/{two.Id}/readers/{one.Readers[0].Id}/leave");
        var refused = await ana.Problem(await ana.Post($"/api/changes/{(string)moved["changeId"]!}/undo"), 409);
        ((string)refused["title"]!).ShouldContain("Ana changed this again");
        ((string)refused["title"]!).ShouldContain("as left");
        (await ana.Post($"/api/changes/{(string)left["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await ana.Post($"/api/changes/{(string)moved["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await Names(ana, one.Id)).Length.ShouldBe(2);
        (await ana.Problem(await ana.Post($"/api/changes/{(string)moved["changeId"]!}/undo"), 409))["code"]!
            .GetValue<string>()
            .ShouldBe("undone");
    }

    [Fact]
    public async Task Taking_out_of_a_class_and_in_again_on_the_same_day_leaves_one_stay()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        string[] ids = [room.Readers[0].Id];
        (await ana.Post($"/api/classes/{room.Id}/remove", new { readerIds = ids })).EnsureSuccessStatusCode();
        (await Names(ana, room.Id)).ShouldBeEmpty();
        (await ana.Post($"/api/classes/{room.Id}/enrol", new { readerIds = ids })).EnsureSuccessStatusCode();
        (await ana.Get($"/api/readers/{ids[0]}/stays")).AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_new_reader_who_was_given_work_is_not_taken_away_by_undo()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        var added = await ana.Posted(
            $"/api/classes/{room.Id}/readers",
            new
            {
                givenName = "Worked",
                familyName = "",
                grade = 4,
                level = 30,
            }
        );
        var text = (string)(await ana.Get("/api/library"))["rows"]![0]!["id"]!;
        (
            await ana.Post(
                $"/api/classes/{room.Id}/assignments",
                new
                {
                    readerIds = new[] { (string)added["id"]! },
                    textId = text,
                    attempts = 2,
                    skipGiven = false,
                    dueOn = (DateOnly?)null,
                    directions = "",
                    versions = new { },
                }
            )
        ).EnsureSuccessStatusCode();
        (
            (string)
                (await ana.Problem(await ana.Post($"/api/changes/{(string)added["changeId"]!}/undo"), 409))["title"]!
        ).ShouldContain("exist for Worked");
    }

    [Fact]
    public async Task Details_that_somebody_changed_meanwhile_are_not_written_over()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var path = $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}";
        object Body(string given, string seen) =>
            new
            {
                givenName = given,
                familyName = "Test",
                grade = 4,
                supports = new { moreTime = 150, readAloud = true },
                before = new
                {
                    givenName = seen,
                    familyName = "Test",
                    grade = 4,
                    guardianMail = (string?)null,
                },
            };
        (await ana.Put(path, Body("First", "Reader0"))).EnsureSuccessStatusCode();
        (await ana.Code(await ana.Put(path, Body("Second", "Reader0")), 409)).ShouldBe("stale");
        var member = (await Roster(ana, room.Id))["members"]![0]!;
        ((string)member["givenName"]!).ShouldBe("First");
        ((int)member["supports"]!["moreTime"]!).ShouldBe(150);
    }

    [Fact]
    public async Task Everything_wrong_with_a_class_or_a_colleague_is_said_at_once()
    {
        var ana = await harness.Teacher("ana");
        object Class(DateOnly last) =>
            new
            {
                name = " ",
                firstDay = Harness.Today,
                lastDay = last,
            };
        var faults = await ana.Problem(await ana.Post("/api/classes", Class(Harness.Today.AddDays(-1))), 422);
        Fields(faults).ShouldBe(["lastDay", "name"]);
        var adult = new
        {
            name = "",
            mail = "nobody",
            post = "Teacher",
        };
        Fields(await ana.Problem(await ana.Post("/api/school/adults", adult), 422)).ShouldBe(["mail", "name"]);

        static IEnumerable<string> Fields(JsonNode problem) =>
            problem["fields"]!.AsObject().Select(f => f.Key).Order(StringComparer.Ordinal);
    }

    [Fact]
    public async Task A_class_has_a_grade_or_is_of_several_and_its_change_is_undone()
    {
        var ana = await harness.Teacher("ana");
        var made = await ana.Posted("/api/classes", new { name = "5 Skua", grade = 5 });
        var id = (string)made["id"]!;
        ((int)(await ana.Get($"/api/classes/{id}"))["grade"]!).ShouldBe(5);
        var changed = await ana.Stored($"/api/classes/{id}", new { name = "5 Skua", grade = (int?)null });
        (await ana.Get($"/api/classes/{id}/roster"))["grade"].ShouldBeNull();
        (await ana.Post($"/api/changes/{(string)changed["changeId"]!}/undo")).EnsureSuccessStatusCode();
        ((int)(await ana.Get($"/api/classes/{id}/roster"))["grade"]!).ShouldBe(5);
        var copy = await ana.Posted($"/api/classes/{id}/copy", new { name = "5 Skua again", withReaders = false });
        ((int)(await ana.Get($"/api/classes/{(string)copy["id"]!}"))["grade"]!).ShouldBe(5);
        var problem = await ana.Problem(await ana.Post("/api/classes", new { name = "X", grade = 13 }), 422);
        problem["fields"]!["grade"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_picture_is_one_readers_in_the_class_and_is_shown_on_the_tile()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 3);
        async Task<Dictionary<string, string>> Tiles() =>
            (await new Person(harness).Get($"/api/session/class/{room.Code}"))["tiles"]!
                .AsArray()
                .ToDictionary(t => (string)t!["id"]!, t => (string)t!["picture"]!);
        var before = await Tiles();
        before.Values.Distinct().Count().ShouldBe(3);
        var (mina, leo) = (room.Readers[0].Id, room.Readers[1].Id);
        string Path(string reader) => $"/api/classes/{room.Id}/readers/{reader}/picture";
        (await ana.Put(Path(mina), new { picture = "wheel-ring" })).EnsureSuccessStatusCode();
        (await Tiles())[mina].ShouldBe("wheel-ring");
        (await Tiles())[leo].ShouldBe(before[leo]);
        // Nobody else's changes, whatever was let go of and taken again.
        (await ana.Put(Path(mina), new { picture = before[mina] })).EnsureSuccessStatusCode();
        (await Tiles()).ShouldBe(before, ignoreOrder: true);
        (await ana.Put(Path(mina), new { picture = "wheel-ring" })).EnsureSuccessStatusCode();
        await ana.Problem(await ana.Put(Path(leo), new { picture = "wheel-ring" }), 422);
        await ana.Problem(await ana.Put(Path(leo), new { picture = "submarine" }), 422);
        // Who has left the class stands in nobody's way.
        await ana.Posted($"/api/classes/{room.Id}/remove", new { readerIds = new[] { mina } });
        (await ana.Put(Path(leo), new { picture = "wheel-ring" })).EnsureSuccessStatusCode();
        (await Tiles())[leo].ShouldBe("wheel-ring");
        var stranger = (await harness.Room(ana, 1)).Readers[0].Id;
        (await ana.Put(Path(stranger), new { picture = "sun-ring" })).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task Details_in_words_are_kept_written_out_and_refused_where_they_are_too_long()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var path = $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}";
        object Body(string mail, string language) =>
            new
            {
                givenName = "Wren",
                familyName = "Test",
                grade = 4,
                guardianMail = mail,
                supports = new { moreTime = 100 },
                details = new Dictionary<string, string> { ["HomeLanguage"] = language },
            };
        (await ana.Put(path, Body("a@example.org", "Welsh"))).EnsureSuccessStatusCode();
        var member = (await Roster(ana, room.Id))["members"]![0]!;
        ((string)member["details"]!["HomeLanguage"]!).ShouldBe("Welsh");
        var file = await ana.Send(HttpMethod.Get, $"/api/classes/{room.Id}/roster.csv");
        (await file.Content.ReadAsStringAsync()).ShouldContain("Welsh");
        var faults = (await ana.Problem(await ana.Put(path, Body("nobody", new string('w', 41))), 422))["fields"]!;
        faults["guardianMail"].ShouldNotBeNull();
        faults["details.HomeLanguage"].ShouldNotBeNull();
    }

    [Theory]
    [InlineData("<b>Max</b>", "Muster", 4, "givenName")]
    [InlineData("", "Muster", 4, "givenName")]
    [InlineData("Max", "Muster", 14, "grade")]
    public async Task Details_that_do_not_hold_are_refused_by_field(
        string given,
        string family,
        int grade,
        string field
    )
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        (
            await ana.Problem(
                await ana.Put(
                    $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}",
                    new
                    {
                        givenName = given,
                        familyName = family,
                        grade,
                        supports = new { moreTime = 100 },
                    }
                ),
                422
            )
        )["fields"]![field].ShouldNotBeNull();
    }

    [Theory]
    [InlineData("Code")]
    [InlineData("Password")]
    [InlineData("Pictures")]
    public async Task A_new_secret_works_and_the_old_one_does_not(string kind)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        (
            await ana.Post($"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/secret", new { kind })
        ).EnsureSuccessStatusCode();
        var card = await ana.Get($"/api/readers/{room.Readers[0].Id}/sign-in");
        ((string)card["secretKind"]!).ShouldBe(kind);
        async Task<HttpStatusCode> Try(string secret) =>
            (
                await new Person(harness).Post(
                    "/api/session/reader",
                    new
                    {
                        code = room.Code,
                        readerId = room.Readers[0].Id,
                        secret,
                    }
                )
            ).StatusCode;
        (await Try(((string)card["secret"]!).ToUpperInvariant().Replace("PICTURES", "")) == HttpStatusCode.OK).ShouldBe(
            kind != "Pictures"
        );
        (await Try((string)card["secret"]!)).ShouldBe(HttpStatusCode.OK);
        if ((string)card["secret"]! != room.Readers[0].Secret)
            (await Try(room.Readers[0].Secret)).ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task Twins_are_merged_with_their_history_and_parted_again()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        string kept = room.Readers[0].Id,
            other = room.Readers[1].Id;
        var merged = await ana.Posted($"/api/readers/{kept}/merge", new { otherId = other });
        (await Names(ana, room.Id)).ShouldBe(["Reader0 Test"]);
        (await ana.Get($"/api/readers/{kept}"))["marks"]!.AsArray().Count.ShouldBe(2);
        (await ana.Post($"/api/changes/{(string)merged["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await Names(ana, room.Id)).Length.ShouldBe(2);
        (await ana.Get($"/api/readers/{other}"))["marks"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_class_is_renamed_and_does_not_end_before_it_begins()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        object Until(int days) =>
            new
            {
                name = "New name",
                firstDay = Harness.Today,
                lastDay = Harness.Today.AddDays(days),
            };
        (await ana.Put($"/api/classes/{room.Id}", Until(30))).EnsureSuccessStatusCode();
        ((string)(await Roster(ana, room.Id))["name"]!).ShouldBe("New name");
        (await ana.Problem(await ana.Put($"/api/classes/{room.Id}", Until(-1)), 422))["fields"]!
            ["lastDay"]
            .ShouldNotBeNull();
    }

    [Fact]
    public async Task Classes_are_closed_copied_and_given_new_codes()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        (await ana.Post($"/api/classes/{room.Id}/code")).EnsureSuccessStatusCode();
        var code = (string)(await Roster(ana, room.Id))["code"]!;
        code.ShouldNotBe(room.Code);
        (await new Person(harness).Send(HttpMethod.Get, $"/api/session/class/{room.Code}")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        var copy = await ana.Posted($"/api/classes/{room.Id}/copy", new { name = "A copy", withReaders = true });
        (await Names(ana, (string)copy["id"]!)).Length.ShouldBe(2);
        (await ana.Post($"/api/classes/{room.Id}/close")).EnsureSuccessStatusCode();
        (await new Person(harness).Send(HttpMethod.Get, $"/api/session/class/{code}")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        (await ana.Post($"/api/changes/{(string)copy["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await ana.Send(HttpMethod.Get, $"/api/classes/{(string)copy["id"]!}")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task A_class_keeps_a_teacher()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        var me = (string)(await Roster(ana, room.Id))["adults"]![0]!["adultId"]!;
        (await ana.Code(await ana.Send(HttpMethod.Delete, $"/api/classes/{room.Id}/adults/{me}"), 409)).ShouldBe(
            "last-teacher"
        );
    }

    [Fact]
    public async Task Who_asks_to_join_waits_for_the_teacher()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        var ask = new
        {
            id = Guid.NewGuid(),
            code = room.Code,
            givenName = "Joy",
            familyName = "Late",
        };
        (await new Person(harness).Post("/api/session/join", ask)).EnsureSuccessStatusCode();
        (await new Person(harness).Post("/api/session/join", ask)).IsSuccessStatusCode.ShouldBeTrue(
            "asking twice is asking once"
        );
        (await Roster(ana, room.Id))["joinings"]!.AsArray().Count.ShouldBe(1);
        (await Names(ana, room.Id)).ShouldBeEmpty();
        (
            await ana.Post($"/api/classes/{room.Id}/joinings/{ask.id}", new { accept = true, grade = 3 })
        ).EnsureSuccessStatusCode();
        (await Names(ana, room.Id)).ShouldBe(["Joy Late"]);
        (
            await ana.Post($"/api/classes/{room.Id}/joinings/{ask.id}", new { accept = true, grade = 3 })
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_stranger_who_knows_the_code_cannot_fill_the_list_of_those_who_ask()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        Task<HttpResponseMessage> Ask(string address, int n) =>
            new Person(harness).Send(
                HttpMethod.Post,
                "/api/session/join",
                new
                {
                    id = Guid.NewGuid(),
                    code = room.Code,
                    givenName = $"Nobody{n}",
                    familyName = "",
                },
                headers: new Dictionary<string, string> { ["X-Forwarded-For"] = address }
            );
        var answers = new List<HttpStatusCode>();
        for (var n = 0; n < 45; n++)
            answers.Add((await Ask("203.0.113.9", n)).StatusCode);
        answers.Count(a => a == HttpStatusCode.OK).ShouldBe(GuessRule.JoiningAddress.Free);
        answers[^1].ShouldBe(HttpStatusCode.TooManyRequests);
        // A child of the class, from elsewhere, still may.
        (await Ask("203.0.113.77", 99)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Theory]
    [InlineData("utf-8", "CSV, UTF-8")]
    [InlineData("utf-16", "CSV, UTF-16")]
    [InlineData("windows-1252", "CSV, Windows-1252")]
    public async Task A_file_is_read_whatever_its_encoding(string encoding, string kind)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        var bytes = (
            encoding == "windows-1252"
                ? CodePagesEncodingProvider.Instance.GetEncoding(1252)!
                : Encoding.GetEncoding(encoding)
        ).GetBytes("First name;Surname;Grade\r\nZoë;Müller;4\r\n");
        var read = await ana.Json(await ana.Send(HttpMethod.Post, $"/api/classes/{room.Id}/list/read", bytes));
        ((string)read["kind"]!).ShouldBe(kind);
        ((string)read["rows"]![0]!["givenName"]!).ShouldBe("Zoë");
        ((string)read["rows"]![0]!["familyName"]!).ShouldBe("Müller");
    }

    [Fact]
    public async Task The_template_reads_back_in_and_a_roster_that_was_taken_out_changes_nothing()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var template = await (await ana.Send(HttpMethod.Get, "/api/list-template.xlsx")).Content.ReadAsByteArrayAsync();
        (
            (string)
                (await ana.Json(await ana.Send(HttpMethod.Post, $"/api/classes/{room.Id}/list/read", template)))[
                    "rows"
                ]![0]!["givenName"]!
        ).ShouldBe("Wren");
        foreach (var form in new[] { "xlsx", "csv" })
        {
            var file = await (
                await ana.Send(HttpMethod.Get, $"/api/classes/{room.Id}/roster.{form}")
            ).Content.ReadAsByteArrayAsync();
            var read = await ana.Json(await ana.Send(HttpMethod.Post, $"/api/classes/{room.Id}/list/read", file));
            var check = await ana.Posted(
                $"/api/classes/{room.Id}/list/check",
                new { rows = read["rows"], levelSystem = "fm" }
            );
            ((int)check["unchanged"]!).ShouldBe(2, form);
        }
    }

    [Fact]
    public async Task A_list_that_was_not_finished_is_kept()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 0);
        (
            await ana.Put($"/api/classes/{room.Id}/list/draft", Rows(new { givenName = "Half" }))
        ).EnsureSuccessStatusCode();
        ((string)(await ana.Get($"/api/classes/{room.Id}/list/draft"))["rows"]![0]!["givenName"]!).ShouldBe("Half");
        (await ana.Put($"/api/classes/{room.Id}/list/draft", Rows())).EnsureSuccessStatusCode();
        (await ana.Get($"/api/classes/{room.Id}/list/draft"))["rows"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Existing_readers_are_found_by_the_beginning_of_a_name()
    {
        var ana = await harness.Teacher("ana");
        Room one = await harness.Room(ana, 0),
            two = await harness.Room(ana, 0);
        (
            await ana.Post(
                $"/api/classes/{one.Id}/readers",
                new
                {
                    givenName = "Quintessa",
                    familyName = "O’Found_%",
                    grade = 4,
                    level = 30,
                }
            )
        ).EnsureSuccessStatusCode();
        (await ana.Get($"/api/school/find?name=quint&notIn={two.Id}")).AsArray().Count.ShouldBe(1);
        (await ana.Get($"/api/school/find?name=o’f%20quin&notIn={two.Id}")).AsArray().Count.ShouldBe(1);
        (await ana.Get($"/api/school/find?name=quint&notIn={one.Id}")).AsArray().ShouldBeEmpty();
        (await ana.Get("/api/school/find?name=%25%25")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Whoever_is_found_says_whether_somebody_else_has_to_agree()
    {
        var ana = await harness.Teacher("ana");
        var ben = await harness.Teacher("ben");
        Room hers = await harness.Room(ana, 0),
            his = await harness.Room(ben, 0),
            hisOther = await harness.Room(ben, 0);
        foreach (var (who, room, name) in new[] { (ana, hers, "Ottoline"), (ben, his, "Ottokar") })
            (
                await who.Post(
                    $"/api/classes/{room.Id}/readers",
                    new
                    {
                        givenName = name,
                        familyName = "Asked",
                        grade = 4,
                        level = 30,
                    }
                )
            ).EnsureSuccessStatusCode();
        async Task<bool> Asks(Person who, string name, Room notIn) =>
            (bool)(await who.Get($"/api/school/find?name={name}&notIn={notIn.Id}")).AsArray().Single()!["asks"]!;
        (await Asks(ben, "ottok", hisOther)).ShouldBeFalse("he is the reader's teacher");
        (await Asks(ben, "ottol", hisOther)).ShouldBeTrue("the reader is in a colleague's hands");
        (await Asks(ana, "ottok", hers)).ShouldBeFalse("a lead may enrol anybody");
    }

    [Fact]
    public async Task Lists_keep_their_order_and_lose_who_leaves()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 3);
        var path = $"/api/classes/{room.Id}/lists/{Guid.NewGuid()}";
        string[] ids = [room.Readers[2].Id, room.Readers[0].Id];
        (
            await ana.Put(
                path,
                new
                {
                    name = "Book club",
                    mark = "wave",
                    note = "Tuesdays",
                    position = 0,
                    readerIds = ids,
                }
            )
        ).EnsureSuccessStatusCode();
        (
            await ana.Put(
                $"/api/classes/{room.Id}/lists/{Guid.NewGuid()}",
                new
                {
                    name = "By filter",
                    mark = "",
                    position = 1,
                    filter = new { asked = "rushed" },
                    readerIds = Array.Empty<string>(),
                }
            )
        ).EnsureSuccessStatusCode();
        (await ana.Get($"/api/classes/{room.Id}/lists"))[0]!["readerIds"]!
            .AsArray()
            .Select(x => (string)x!)
            .ShouldBe(ids);
        (
            await ana.Post($"/api/classes/{room.Id}/remove", new { readerIds = new[] { ids[0] } })
        ).EnsureSuccessStatusCode();
        (await ana.Get($"/api/classes/{room.Id}/lists"))[0]!["readerIds"]!.AsArray().Count.ShouldBe(1);
        (await ana.Send(HttpMethod.Delete, path)).EnsureSuccessStatusCode();
        (await ana.Get($"/api/classes/{room.Id}/lists")).AsArray().Count.ShouldBe(1);
    }

    [Theory]
    [InlineData("Cards", 2)]
    [InlineData("List", 1)]
    [InlineData("Letters", 9)]
    public async Task What_is_printed_holds_what_readers_need_and_no_surname(string form, int pages)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 9);
        var bytes = await (
            await ana.Send(HttpMethod.Get, $"/api/classes/{room.Id}/print/{form}.pdf")
        ).Content.ReadAsByteArrayAsync();
        using var pdf = UglyToad.PdfPig.PdfDocument.Open(bytes);
        pdf.NumberOfPages.ShouldBe(pages);
        var text = string.Concat(pdf.GetPages().Select(p => p.Text));
        text.ShouldContain("Reader3");
        text.ShouldNotContain("Test");
        if (form != "Letters")
            text.ShouldContain(room.Code);
        pdf.GetPages()
            .SelectMany(p => p.Letters)
            .Select(l => l.FontName)
            .Distinct()
            .ShouldAllBe(f => f!.Contains('+'), "every font is embedded as a subset");
        if (form == "Cards")
        {
            var some = await (
                await ana.Send(
                    HttpMethod.Get,
                    $"/api/classes/{room.Id}/print/Cards.pdf?paper=letter&surnames=true&readers={room.Readers[0].Id}"
                )
            ).Content.ReadAsByteArrayAsync();
            using var one = UglyToad.PdfPig.PdfDocument.Open(some);
            one.GetPage(1).Text.ShouldNotContain("Test", Case.Sensitive, "surnames are the lead's choice alone");
            one.GetPage(1).Height.ShouldBe(792, 1);
        }
    }

    [Fact]
    public async Task Guessing_one_reader_slows_that_reader_and_not_the_class()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var last = HttpStatusCode.OK;
        for (var i = 0; i < 45; i++)
            last = (
                await new Person(harness).Post(
                    "/api/session/reader",
                    new
                    {
                        code = room.Code,
                        readerId = room.Readers[0].Id,
                        secret = "boat boat boat",
                    }
                )
            ).StatusCode;
        last.ShouldBe(HttpStatusCode.TooManyRequests);
        await harness.Reader(room, 1);
    }
}
