using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Imports;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;

namespace Web.Tests;

/// <summary>Every endpoint, with everybody who should not have it.</summary>
[Collection("application")]
public sealed class AccessTests(Harness harness)
{
    /// <param name="File">It takes a file as it is.</param>
    private sealed record Door(HttpMethod Method, string Path, bool Anonymous, bool File);

    private IEnumerable<Door> Doors(IReadOnlyDictionary<string, string> ids) =>
        harness
            .Services.GetServices<EndpointDataSource>()
            .SelectMany(s => s.Endpoints)
            .OfType<RouteEndpoint>()
            .Where(e =>
                e.RoutePattern.RawText!.StartsWith("/api", StringComparison.Ordinal)
                && !e.RoutePattern.RawText.StartsWith("/api/live", StringComparison.Ordinal)
                && !e.RoutePattern.RawText.Contains("**")
            )
            .SelectMany(e =>
                (e.Metadata.GetMetadata<IHttpMethodMetadata>()?.HttpMethods ?? ["GET"]).Select(m => new Door(
                    new(m),
                    string.Join(
                        '/',
                        e.RoutePattern.PathSegments.Select(s =>
                                string.Concat(
                                    s.Parts.Select(p =>
                                        p is Microsoft.AspNetCore.Routing.Patterns.RoutePatternParameterPart parameter
                                            ? ids[parameter.Name]
                                            : ((dynamic)p).Content
                                    )
                                )
                            )
                            .Prepend("")
                    ),
                    e.Metadata.GetMetadata<IAllowAnonymous>() is not null,
                    e.Metadata.GetMetadata<IAcceptsMetadata>()?.ContentTypes.Contains("application/octet-stream")
                        == true
                ))
            );

    private static readonly string[] MadeUp =
    [
        "stageId",
        "sessionId",
        "asideId",
        "copyId",
        "pictureId",
        "versionId",
        "answerId",
        "spellId",
        "noteId",
        "ownReadingId",
        "absenceId",
        "messageId",
        "homeAnswerId",
        "questionId",
        "listId",
        "transferId",
        "groupingId",
        "token",
    ];

    /// <summary>Things of Ana's school, by the names that routes give them; what is hard to have is made up.</summary>
    private async Task<Dictionary<string, string>> Ids()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var text = (string)(await ana.Get("/api/library"))["rows"]![0]!["id"]!;
        var ids = new Dictionary<string, string>
        {
            ["classId"] = room.Id,
            ["readerId"] = room.Readers[0].Id,
            ["textId"] = text,
            ["code"] = room.Code,
            ["revision"] = "1",
            ["key"] = new string('0', 64),
            ["monday"] = "2026-11-23",
            ["form"] = "Cards",
            ["gradebook"] = "Xlsx",
            ["yearId"] = (string)(await ana.Get("/api/school/years")).AsArray()[0]!["id"]!,
        };
        foreach (var name in MadeUp)
            ids[name] = Guid.NewGuid().ToString();
        await Given(ids, ana, room, text);
        await Written(ids, ana, room, text);
        await AskedFor(ids, ana, room);
        await Met(ids, ana, room);
        await Imported(ids);
        return ids;
    }

    private static async Task Given(Dictionary<string, string> ids, Person ana, Room room, string text)
    {
        var made = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = text,
                attempts = 2,
                skipGiven = false,
            }
        );
        ids["assignmentId"] = (string)made["assignmentId"]!;
        ids["changeId"] = (string)made["changeId"]!;
        var today = DateTime.UtcNow.Date;
        var plan = await ana.Posted(
            $"/api/classes/{room.Id}/plans",
            new
            {
                id = Guid.NewGuid(),
                name = "Hers",
                mine = true,
                inOrder = true,
                monday = $"{today.AddDays(-(((int)today.DayOfWeek + 6) % 7)):yyyy-MM-dd}",
                assignmentIds = new[] { ids["assignmentId"] },
            }
        );
        ids["planId"] = (string)plan["id"]!;
        ids["paperId"] = Guid.NewGuid().ToString();
        (
            await ana.Send(
                HttpMethod.Put,
                $"/api/assignments/{ids["assignmentId"]}/papers/{ids["paperId"]}?name=Map",
                "%PDF-1.4"u8.ToArray()
            )
        ).EnsureSuccessStatusCode();
        var tickets = (await ana.Get($"/api/assignments/{ids["assignmentId"]}"))["tickets"]!.AsArray();
        ids["ticketId"] = (string)tickets.Single(k => (string)k!["readerId"]! == room.Readers[0].Id)!["id"]!;
        var check = Guid.NewGuid().ToString();
        await ana.Stored($"/api/checks/{check}", LevelCheckTests.Check([room.Id]));
        ids["checkId"] = check;
        ids["sittingId"] = (string)(await ana.Get($"/api/checks/{check}"))["sittings"]![0]!["id"]!;
    }

    /// <summary>A search, a word list and a running record of Ana's own.</summary>
    private static async Task Written(Dictionary<string, string> ids, Person ana, Room room, string text)
    {
        var search = await ana.Posted(
            "/api/library/searches",
            new { name = $"Kept {Guid.NewGuid()}", query = "q=sea" }
        );
        ids["searchId"] = (string)search["id"]!;
        var tide = new
        {
            text = "tide",
            part = "noun",
            meaning = "the sea coming and going",
            example = "",
        };
        ids["wordListId"] = Guid.NewGuid().ToString();
        await ana.Stored(
            $"/api/word-lists/{ids["wordListId"]}",
            new
            {
                revision = 0,
                name = "Hers",
                mine = true,
                words = new[] { tide },
            }
        );
        ids["recordId"] = Guid.NewGuid().ToString();
        var version = (string)(await ana.Get($"/api/texts/{text}"))["versions"]![0]!["id"]!;
        await ana.Stored(
            $"/api/readers/{room.Readers[0].Id}/records/{ids["recordId"]}",
            new { textId = text, versionId = version }
        );
    }

    /// <summary>A group, and a meeting of it on a school day to come.</summary>
    private static async Task Met(Dictionary<string, string> ids, Person ana, Room room)
    {
        await ana.Stored(
            $"/api/classes/{room.Id}/groups",
            new { groups = new[] { new { name = "Kelp", readerIds = new[] { room.Readers[0].Id } } } }
        );
        ids["meetingId"] = Guid.NewGuid().ToString();
        var group = (string)(await ana.Get($"/api/classes/{room.Id}"))["groups"]![0]!["id"]!;
        ids["groupId"] = group;
        await ana.Stored(
            $"/api/classes/{room.Id}/meetings",
            new { meetings = new[] { MeetingTests.Planned(ids["meetingId"], group, MeetingTests.SchoolDay(0)) } }
        );
    }

    /// <summary>Somebody asks to join the class, and Ben asks for one of Ana's readers for a class of his own.</summary>
    private async Task AskedFor(Dictionary<string, string> ids, Person ana, Room room)
    {
        var asked = Guid.NewGuid();
        await new Person(harness).Post(
            "/api/session/join",
            new
            {
                id = asked,
                code = room.Code,
                givenName = "Joy",
                familyName = "",
            }
        );
        ids["joiningId"] = asked.ToString();
        var ben = await harness.Teacher("ben");
        var bens = (string)(await ben.Posted("/api/classes", new { name = $"Ben {asked}" }))["id"]!;
        await ben.Posted($"/api/classes/{bens}/enrol", new { readerIds = new[] { room.Readers[1].Id } });
        ids["takingInId"] = (string)(await ana.Get($"/api/classes/{room.Id}/roster"))["askedOfUs"]![0]!["id"]!;
    }

    private async Task Imported(Dictionary<string, string> ids)
    {
        var lead = (await harness.Services.GetRequiredService<AdultStore>().Find("ana"))!;
        var import = ImportId.New();
        await harness
            .Services.GetRequiredService<ImportStore>()
            .Add(import, lead.SchoolId, lead.Id, "A file", [0], DateTimeOffset.UtcNow);
        ids["adultId"] = lead.Id.ToString();
        ids["importId"] = import.ToString();
    }

    // A body that would be good for whatever the endpoint wants, so that only the person is wrong.
    private static object Body(string path, IReadOnlyDictionary<string, string> ids) =>
        path.Split('/')[^1] switch
        {
            _ when path.StartsWith("/api/meetings/", StringComparison.Ordinal) => new
            {
                here = true,
                observed = Array.Empty<string>(),
                note = "",
            },
            _ when path.EndsWith("/meetings/proposal", StringComparison.Ordinal) => new
            {
                monday = "2026-11-23",
                wanted = 1,
                aDay = 1,
                shut = Array.Empty<string>(),
            },
            "meetings" => new
            {
                meetings = new[]
                {
                    MeetingTests.Planned(
                        Guid.NewGuid().ToString(),
                        Guid.NewGuid().ToString(),
                        MeetingTests.SchoolDay(0)
                    ),
                },
            },
            _ when path.StartsWith("/api/texts", StringComparison.Ordinal) => new
            {
                revision = 1,
                title = "X",
                kind = "story",
                topic = "Sea",
                fiction = true,
                spelling = "British",
                blurb = "",
                season = "",
                mine = false,
                versions = Array.Empty<object>(),
                words = Array.Empty<object>(),
                text = "We ran.",
                retired = true,
                depth = 30,
                reason = "x",
                questions = Array.Empty<object>(),
                name = "x.txt",
                file = "V2UgcmFuLg==",
                texts = Array.Empty<object>(),
            },
            _ when path.StartsWith("/api/word-lists", StringComparison.Ordinal) => new
            {
                revision = 1,
                name = "X",
                mine = false,
                words = new[]
                {
                    new
                    {
                        text = "tide",
                        part = "noun",
                        meaning = "the sea",
                        example = "",
                    },
                },
            },
            "preview" => new
            {
                @for = new
                {
                    classIds = new[] { ids["classId"] },
                    groupIds = Array.Empty<string>(),
                    readerIds = Array.Empty<string>(),
                    grades = Array.Empty<int>(),
                },
                parts = new[] { "Passages" },
            },
            _ when path.StartsWith("/api/checks/", StringComparison.Ordinal) && path.Split('/').Length == 4 =>
                LevelCheckTests.Check([ids["classId"]], revision: 1),
            _ when path.StartsWith("/api/my/set-aside", StringComparison.Ordinal) => new
            {
                about = ids["ticketId"],
                kind = "Answer",
                answers = 1,
                code = "over",
                body = new { },
                at = DateTimeOffset.UtcNow,
            },
            "met" => new
            {
                termId = Guid.NewGuid(),
                readerId = ids["readerId"],
                kind = "Words",
                reason = "x",
            },
            _ when path.Contains("/absences/", StringComparison.Ordinal) => new
            {
                from = "2026-09-07",
                to = "2026-09-08",
            },
            _ when path.Contains("/home-messages/", StringComparison.Ordinal)
                    || path.Contains("/messages/", StringComparison.Ordinal) => new { words = "x" },
            "close" => new { closed = true },
            "assistants-print" => new { allowed = true },
            "take-back" => new { readerIds = new[] { ids["readerId"] } },
            "sheet" => new
            {
                revision = 1,
                marks = Array.Empty<object>(),
                seconds = 1,
                pauses = 0,
                done = true,
            },
            "picture" => new { picture = "wheel-ring" },
            "several" => new { people = new[] { new { id = Guid.NewGuid(), name = "X" } }, post = "Teacher" },
            "discard" => new { gone = true },
            "choosing" => new { open = true },
            "level" => new
            {
                id = Guid.NewGuid(),
                level = "30",
                system = "fm",
                reason = "x",
            },
            "levels" => new
            {
                level = "30",
                system = "fm",
                sd = 4,
                reason = "x",
            },
            "evidence" => new { ids = new[] { Guid.NewGuid() }, reason = "x" },
            "copies" or "desk" => new
            {
                title = "X",
                codes = new[] { "X1" },
                typed = "X1",
                days = 3,
            },
            _ when path.Contains("/conference/", StringComparison.Ordinal) => new { words = "Reads well." },
            _ when path.Contains("/marks/", StringComparison.Ordinal) => new { points = new[] { 2 }, comment = "" },
            "read" or "imports" => System.Text.Encoding.UTF8.GetBytes("Name\nX Y"),
            "proposal" or "rules" => new
            {
                groups = 1,
                smallest = 1,
                largest = 9,
            },
            "bulk" => new
            {
                readerIds = new[] { ids["readerId"] },
                grade = 3,
                level = "30",
                newSecrets = true,
            },
            "assignments" or "notes" => new
            {
                readerIds = new[] { ids["readerId"] },
                textId = ids["textId"],
                attempts = 2,
                skipGiven = false,
            },
            "mark" => new { points = new[] { 1 } },
            "typed-results" => new { of = 10, results = new[] { new { ticketId = ids["ticketId"], points = 7 } } },
            "signals" => new { ids = new[] { Guid.NewGuid() }, deed = "See" },
            "list" or "check" or "apply" or "draft" => new
            {
                rows = new[] { new { givenName = "X", grade = "3" } },
                levelSystem = "fm",
                mends = Array.Empty<object>(),
            },
            _ => new
            {
                name = "X",
                givenName = "X",
                familyName = "Y",
                grade = 3,
                level = 30,
                readerIds = new[] { ids["readerId"] },
                textIds = new[] { ids["textId"] },
                textId = ids["textId"],
                attempts = 2,
                skipGiven = false,
                directions = "",
                versions = new { },
                groups = new[] { new { name = "G", readerIds = new[] { ids["readerId"] } } },
                targets = new[]
                {
                    new
                    {
                        readerId = ids["readerId"],
                        comprehension = 80,
                        words = 1000,
                    },
                },
                reason = "",
                page = 0,
                seconds = 1,
                startedAt = DateTimeOffset.UtcNow,
                questionId = Guid.NewGuid(),
                picks = new[] { 0 },
                at = DateTimeOffset.UtcNow,
                milliseconds = 1000,
                classId = ids["classId"],
                toClassId = ids["classId"],
                adultId = ids["adultId"],
                role = "Assistant",
                supports = new { moreTime = 100 },
                kind = "Pictures",
                firstDay = Harness.Today.AddDays(-80),
                lastDay = Harness.Today.AddDays(220),
                terms = Array.Empty<object>(),
                daysOff = Array.Empty<string>(),
                toYearId = ids["yearId"],
                keepClasses = true,
                otherId = ids["readerId"],
                readerId = ids["readerId"],
                toSchoolId = Guid.NewGuid(),
                take = true,
                accept = true,
                mends = Array.Empty<object>(),
                adultIds = new[] { ids["adultId"] },
                timeZone = "Europe/London",
                understoodFrom = .6,
                zoneLow = .7,
                zoneHigh = .9,
                minutesADay = 15,
                aims = Array.Empty<object>(),
                picturesTo = 4,
                codesTo = 7,
                levelSystem = "grade",
                letters = new[]
                {
                    new
                    {
                        language = "English",
                        title = "T",
                        body = "{code}",
                    },
                },
                version = 1,
                guardians = true,
                guardiansAllowed = true,
                surnamesOnCards = false,
                ownColumns = Array.Empty<string>(),
                rows = Array.Empty<object>(),
                mark = "",
                position = 0,
                mail = "x@example.org",
                lead = false,
                left = false,
                withReaders = true,
                old = "no",
                query = "",
                @new = "a long enough one",
            },
        };

    private async Task<List<string>> Opened(
        Person person,
        IReadOnlyDictionary<string, string> ids,
        Func<Door, bool> tried,
        params int[] shut
    )
    {
        var open = new List<string>();
        foreach (var door in Doors(ids).Where(tried))
        {
            var response = await person.Send(
                door.Method,
                door.Path,
                door.Method == HttpMethod.Get || door.Method == HttpMethod.Delete ? null
                    : door.File ? "RIFF"u8.ToArray()
                    : Body(door.Path, ids)
            );
            if (!shut.Contains((int)response.StatusCode))
                open.Add($"{door.Method} {door.Path}: {(int)response.StatusCode}");
        }
        return open;
    }

    /// <summary>Doors that lead to something of Ana's school, by its id.</summary>
    private static Func<Door, bool> OfTheirs(IReadOnlyDictionary<string, string> ids)
    {
        string[] own =
        [
            .. ids.Where(i => i.Key is not ("code" or "form" or "textId" or "revision" or "versionId"))
                .Select(i => i.Value),
        ];
        return d =>
            !d.Anonymous
            && (own.Any(id => d.Path.Contains(id, StringComparison.Ordinal)) || d.Path == "/api/session/hand-over");
    }

    private static bool OfTheLead(Door d) =>
        d.Path.StartsWith("/api/school", StringComparison.Ordinal) && d.Path != "/api/school/find";

    [Fact]
    public async Task There_are_doors_to_try() => Doors(await Ids()).Count(d => !d.Anonymous).ShouldBeGreaterThan(90);

    [Fact]
    public async Task Nobody_gets_in_anywhere() =>
        (await Opened(new Person(harness), await Ids(), d => !d.Anonymous, 401)).ShouldBeEmpty();

    // Nothing of anybody's is named in these: each reader gets their own.
    private static bool TheirOwn(string path) =>
        path
            is "/api/my/tickets"
                or "/api/my/choices"
                or "/api/my/checks"
                or "/api/my/home"
                or "/api/my/words"
                or "/api/my/ratings"
                or "/api/voice"
                or "/api/my/words/kept"
                or "/api/my/words/tries"
        || path.StartsWith("/api/my/readings", StringComparison.Ordinal)
        // The pictures of the texts that ship are everybody's.
        || path.EndsWith("/picture", StringComparison.Ordinal);

    [Fact]
    public async Task A_reader_gets_only_their_own_work()
    {
        var ana = await harness.Teacher("ana");
        var stranger = await harness.Reader(await harness.Room(ana, 1), 0);
        (await Opened(stranger, await Ids(), d => !d.Anonymous && !TheirOwn(d.Path), 404)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_lead_of_another_school_finds_nothing()
    {
        var ids = await Ids();
        (await Opened(await harness.Teacher("cleo"), ids, OfTheirs(ids), 404)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_teacher_finds_nothing_of_another_class_of_the_school_and_nothing_of_the_leads()
    {
        var ids = await Ids();
        // What Ben has asked for himself he may take back.
        bool Own(Door d) => d.Method == HttpMethod.Delete && d.Path.Contains("/taking-in/", StringComparison.Ordinal);
        (
            await Opened(await harness.Teacher("ben"), ids, d => (OfTheirs(ids)(d) || OfTheLead(d)) && !Own(d), 404)
        ).ShouldBeEmpty();
    }

    [Fact]
    public async Task An_assistant_sees_the_class_and_changes_nothing()
    {
        var ids = await Ids();
        var ana = await harness.Teacher("ana");
        var dina = (await harness.Services.GetRequiredService<AdultStore>().Find("dina"))!;
        (
            await ana.Put($"/api/classes/{ids["classId"]}/adults", new { adultId = dina.Id, role = "Assistant" })
        ).EnsureSuccessStatusCode();
        var person = await harness.Teacher("dina");
        // Seeing, working out a fit or a goal, printing and handing the device over change nothing of the roster's;
        // running records are an assistant's to take, and level checks to give and watch.
        bool Sees(Door d) =>
            d.Method == HttpMethod.Get
            || d.Path.EndsWith("/fit", StringComparison.Ordinal)
            || d.Path.EndsWith("/hand-over", StringComparison.Ordinal)
            || d.Path.Contains("/records/", StringComparison.Ordinal)
            || d.Path.Contains("/talked-over/", StringComparison.Ordinal)
            // They may hold a group's meeting, and note what they see at it.
            || (d.Path.StartsWith("/api/meetings/", StringComparison.Ordinal) && d.Method != HttpMethod.Delete)
            || d.Path.Contains("/checks/", StringComparison.Ordinal);
        (await Opened(person, ids, d => (OfTheirs(ids)(d) && !Sees(d)) || OfTheLead(d), 404)).ShouldBeEmpty();
        foreach (
            var shut in new[]
            {
                $"/api/classes/{ids["classId"]}/print/Letters.pdf",
                $"/api/classes/{ids["classId"]}/print/Cards.pdf",
                $"/api/classes/{ids["classId"]}/print/List.pdf",
                $"/api/classes/{ids["classId"]}/print/Cards.pdf?readers={ids["readerId"]}",
                $"/api/readers/{ids["readerId"]}/sign-in",
                $"/api/classes/{ids["classId"]}/guardians",
            }
        )
            (await person.Send(HttpMethod.Get, shut)).StatusCode.ShouldBe(System.Net.HttpStatusCode.NotFound, shut);
        foreach (
            var path in new[]
            {
                $"/api/classes/{ids["classId"]}",
                $"/api/classes/{ids["classId"]}/roster",
                $"/api/readers/{ids["readerId"]}",
            }
        )
            await person.Get(path);
    }

    [Fact]
    public async Task A_guardian_sees_their_own_child_and_no_other_door_opens()
    {
        var ids = await Ids();
        var guardian = await harness.Guardian(await harness.Teacher("ana"), ids["classId"], ids["readerId"]);
        (
            await Opened(
                guardian,
                ids,
                d =>
                    !d.Anonymous
                    // Their own child's, and pictures, which ship.
                    && !d.Path.StartsWith("/api/guardian/children", StringComparison.Ordinal)
                    && !d.Path.EndsWith("/picture", StringComparison.Ordinal)
                    && !d.Path.StartsWith("/api/me/", StringComparison.Ordinal),
                404
            )
        ).ShouldBeEmpty();
        var children = (await guardian.Get("/api/guardian/children")).AsArray();
        children.Select(c => (string)c!["id"]!).ShouldBe([ids["readerId"]]);
        children.ToJsonString().ShouldNotContain("\"familyName\"");
    }

    [Fact]
    public async Task A_change_without_its_token_is_refused()
    {
        var ana = await harness.Teacher("ana");
        (
            await ana.Code(await ana.Send(HttpMethod.Post, "/api/classes", new { name = "X" }, token: false), 400)
        ).ShouldBe("stale-page");
    }

    [Fact]
    public async Task What_does_not_exist_is_not_found()
    {
        var ana = await harness.Teacher("ana");
        foreach (
            var path in new[]
            {
                $"/api/classes/{Guid.NewGuid()}",
                $"/api/readers/{Guid.NewGuid()}",
                $"/api/tickets/{Guid.NewGuid()}",
                $"/api/texts/{Guid.NewGuid()}",
                "/api/nothing",
            }
        )
            (await ana.Code(await ana.Send(HttpMethod.Get, path), 404)).ShouldBe("not-found");
    }
}
