using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Schools;
using DeepCurrent.Formats;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Web.SignIn;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace Web.Tests;

/// <summary>What a school lead does: whole rosters, staff, years, the chart, records, other schools. Each test has a
/// school of its own.</summary>
[Collection("application")]
public sealed class SchoolTests(Harness harness)
{
    private T Get<T>()
        where T : notnull => harness.Services.GetRequiredService<T>();

    [Fact]
    public async Task Who_is_invited_chooses_a_password_once()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var mail = $"{Guid.NewGuid():N}@example.org";
        var invited = await lead.Posted(
            "/api/school/adults",
            new
            {
                name = "Nele New",
                mail,
                lead = false,
            }
        );
        var token = await harness.MailedToken(mail);
        ((string)invited["link"]!).ShouldEndWith(token);
        var nele = new Person(harness);
        (await nele.Posted("/api/pass/look", new { token }))["rules"]!.Said().ShouldContain("10 to 200");
        (await nele.Problem(await nele.Post("/api/pass", new { token, password = "short" }), 422))["fields"]!
            ["password"]
            .ShouldNotBeNull();
        (await nele.Post("/api/pass", new { token, password = "long enough for me" })).EnsureSuccessStatusCode();
        ((string)(await nele.Get("/api/session"))["role"]!).ShouldBe("Teacher");
        (
            await new Person(harness).Post("/api/pass", new { token, password = "long enough for them" })
        ).StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task Several_are_invited_once_or_nobody_is()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var mail = $"{Guid.NewGuid():N}@example.org";
        var (jo, max) = (Guid.NewGuid(), Guid.NewGuid());
        object People(string address) =>
            new
            {
                people = new object[]
                {
                    new
                    {
                        id = jo,
                        name = "Jo Pike",
                        mail,
                    },
                    new
                    {
                        id = max,
                        name = "Max Oldham",
                        mail = address,
                    },
                },
                post = "Assistant",
            };
        var staff = (await lead.Get("/api/school/adults")).AsArray().Count;
        foreach (var wrong in new[] { "max@nowhere", mail.ToUpperInvariant() })
        {
            var problem = await lead.Problem(await lead.Post("/api/school/adults/several", People(wrong)), 422);
            problem["fields"]!["people[1]"].ShouldNotBeNull();
            (await lead.Get("/api/school/adults")).AsArray().Count.ShouldBe(staff);
        }
        var made = await lead.Posted("/api/school/adults/several", People(""));
        made["invited"]!.AsArray().Select(i => (bool)i!["mailed"]!).ShouldBe([true, false]);
        (await lead.Posted("/api/school/adults/several", People("")))["invited"]!.AsArray().ShouldBeEmpty();
        var token = await harness.MailedToken(mail);
        ((string)made["invited"]![0]!["link"]!).ShouldEndWith(token);
        (await lead.Post($"/api/changes/{(string)made["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await lead.Get("/api/school/adults")).AsArray().Count.ShouldBe(staff);
    }

    [Fact]
    public async Task No_more_than_two_hundred_are_invited_at_a_time()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var people = Enumerable.Range(0, 201).Select(i => new { id = Guid.NewGuid(), name = $"Person {i}" });
        await lead.Problem(await lead.Post("/api/school/adults/several", new { people, post = "Teacher" }), 422);
    }

    [Fact]
    public async Task Signing_out_everywhere_ends_every_session_at_once()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var invited = await lead.Posted(
            "/api/school/adults",
            new
            {
                name = "Two Tabs",
                mail = (string?)null,
                lead = false,
            }
        );
        var token = ((string)invited["link"]!).Split('#')[1];
        var first = new Person(harness);
        (await first.Post("/api/pass", new { token, password = Harness.Password })).EnsureSuccessStatusCode();
        var second = new Person(harness);
        (
            await second.Post(
                "/api/session/adult",
                new { userName = (string)invited["userName"]!, password = Harness.Password }
            )
        ).EnsureSuccessStatusCode();
        (await lead.Post($"/api/school/adults/{(string)invited["adultId"]!}/sign-out")).EnsureSuccessStatusCode();
        foreach (var person in new[] { first, second })
            (await person.Send(HttpMethod.Get, "/api/library")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (
            await lead.Put(
                $"/api/school/adults/{(string)invited["adultId"]!}",
                new
                {
                    name = "Two Tabs",
                    lead = false,
                    left = true,
                }
            )
        ).EnsureSuccessStatusCode();
        (
            await new Person(harness).Post(
                "/api/session/adult",
                new { userName = (string)invited["userName"]!, password = Harness.Password }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task A_new_password_ends_the_other_sessions_and_keeps_this_one()
    {
        var (lead, _, userName) = await harness.OwnSchool();
        var here = new Person(harness);
        (
            await here.Post("/api/session/adult", new { userName, password = Harness.Password })
        ).EnsureSuccessStatusCode();
        (
            await here.Problem(
                await here.Put("/api/me/password", new { old = "wrong", @new = "quite another one" }),
                422
            )
        )["fields"]!
            ["old"]
            .ShouldNotBeNull();
        (
            await here.Put("/api/me/password", new { old = Harness.Password, @new = "quite another one" })
        ).EnsureSuccessStatusCode();
        (await here.Send(HttpMethod.Get, "/api/school")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await lead.Send(HttpMethod.Get, "/api/school")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task A_device_is_handed_over_and_given_back_for_the_password_only()
    {
        var ana = new Person(harness);
        (
            await ana.Post("/api/session/adult", new { userName = "ana", password = Harness.Password })
        ).EnsureSuccessStatusCode();
        var room = await harness.Room(ana, 1);
        (await ana.Post("/api/session/hand-over", new { classId = room.Id })).EnsureSuccessStatusCode();
        var session = await ana.Get("/api/session");
        ((string)session["role"]!).ShouldBe("Nobody");
        ((string)session["handedOver"]!["code"]!).ShouldBe(room.Code);
        (await ana.Send(HttpMethod.Get, $"/api/classes/{room.Id}")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (
            await ana.Post(
                "/api/session/reader",
                new
                {
                    code = room.Code,
                    readerId = room.Readers[0].Id,
                    secret = room.Readers[0].Secret,
                }
            )
        ).EnsureSuccessStatusCode();
        (await ana.Send(HttpMethod.Delete, "/api/session")).EnsureSuccessStatusCode();
        (await ana.Post("/api/session/return", new { password = "guess" })).StatusCode.ShouldBe(
            HttpStatusCode.Unauthorized
        );
        (await ana.Post("/api/session/return", new { password = Harness.Password })).EnsureSuccessStatusCode();
        ((string)(await ana.Get("/api/session"))["role"]!).ShouldBe("Teacher");
        (await ana.Get("/api/session"))["handedOver"].ShouldBeNull();
    }

    private static object Year(DateOnly from, DateOnly to, DateOnly termTo) =>
        new
        {
            name = "Next year",
            firstDay = from,
            lastDay = to,
            terms = new[]
            {
                new
                {
                    name = "All of it",
                    firstDay = from,
                    lastDay = termTo,
                },
            },
            daysOff = Array.Empty<DateOnly>(),
        };

    [Fact]
    public async Task A_year_is_checked_and_rolled_over_and_back()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 3);
        (await lead.Put($"/api/classes/{room.Id}", new { name = "4 Tern" })).EnsureSuccessStatusCode();
        var year = (string)(await lead.Get("/api/school/years"))[0]!["id"]!;
        DateOnly first = Harness.Today.AddDays(250),
            last = first.AddDays(290);
        (await lead.Problem(await lead.Post("/api/school/years", Year(first.AddDays(-100), last, last)), 422))[
            "fields"
        ]!
            ["firstDay"]
            .ShouldNotBeNull();
        (await lead.Problem(await lead.Post("/api/school/years", Year(first, last, last.AddDays(1))), 422))["fields"]!
            ["terms"]
            .ShouldNotBeNull();
        var next = (string)(await lead.Posted("/api/school/years", Year(first, last, last)))["id"]!;
        var preview = await lead.Posted(
            $"/api/school/years/{year}/roll-over/preview",
            new { toYearId = next, keepClasses = true }
        );
        ((int)preview["up"]!).ShouldBe(3);
        ((string)preview["classes"]![0]!["to"]!).ShouldBe("5 Tern");
        var rolled = await lead.Posted(
            $"/api/school/years/{year}/roll-over",
            new { toYearId = next, keepClasses = true }
        );
        (await lead.Get("/api/school/classes"))
            .AsArray()
            .Where(c => !(bool)c!["closed"]!)
            .Select(c => ((string)c!["name"]!, (int)c["readers"]!))
            .ShouldBe([("5 Tern", 3)]);
        ((int)(await lead.Get($"/api/readers/{room.Readers[0].Id}"))["grade"]!).ShouldBe(5);
        (await lead.Post($"/api/changes/{(string)rolled["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await lead.Get("/api/school/classes")).AsArray().Select(c => (string)c!["name"]!).ShouldBe(["4 Tern"]);
        ((int)(await lead.Get($"/api/readers/{room.Readers[0].Id}"))["grade"]!).ShouldBe(4);
    }

    [Fact]
    public async Task The_schools_own_chart_is_used_wherever_a_level_is_typed()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var body = await Deeper(lead);
        (await lead.Put("/api/school/level-chart", body)).EnsureSuccessStatusCode();
        var room = await harness.Room(lead, 0);
        (await lead.Get($"/api/classes/{room.Id}"))["levelChart"]![4]!["own"]![0]!
            .GetValue<string>()
            .ShouldBe("Step 4");
        var stepper = new
        {
            givenName = "Stepper",
            grade = "4",
            level = "step 4",
        };
        var done = await lead.Posted(
            $"/api/classes/{room.Id}/list/apply",
            new { rows = new[] { stepper }, levelSystem = "fm" }
        );
        var reader = await lead.Get($"/api/readers/{(string)done["added"]![0]!["readerId"]!}");
        ((double)reader["marks"]![0]!["place"]!).ShouldBe(37);
    }

    [Fact]
    public async Task A_chart_says_what_it_would_change_and_one_that_is_old_or_upside_down_is_refused()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var body = await Deeper(lead);
        (await lead.Posted("/api/school/level-chart/effect", body))["sentences"]!
            .ToJsonString()
            .ShouldContain("Pier steps");
        (await lead.Put("/api/school/level-chart", body)).EnsureSuccessStatusCode();
        (await lead.Code(await lead.Put("/api/school/level-chart", body), 409)).ShouldBe("stale");
        var upsideDown = body with { Rows = [.. body.Rows.Reverse()] };
        (await lead.Problem(await lead.Put("/api/school/level-chart", upsideDown), 422))["fields"]!
            ["rows"]
            .ShouldNotBeNull();
    }

    private sealed record ChartBody(string[] OwnColumns, IReadOnlyList<object> Rows, int Version);

    /// <summary>The school's chart, each grade a fathom deeper, with a column of its own.</summary>
    private static async Task<ChartBody> Deeper(Person lead)
    {
        var chart = await lead.Get("/api/school/level-chart");
        var rows = chart["rows"]!
            .AsArray()
            .Select(
                (r, i) =>
                    (object)
                        new
                        {
                            label = (string)r!["label"]!,
                            schoolYear = (string)r["schoolYear"]!,
                            ages = (string)r["ages"]!,
                            depth = (double)r["depth"]! + 1,
                            own = new[] { $"Step {i}" },
                        }
            )
            .ToList();
        return new(["Pier steps"], rows, (int)chart["version"]!);
    }

    [Fact]
    public async Task A_record_is_given_out_whole_and_deleted_whole()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 0);
        var id = await Zephyrine(lead, room);
        var record = JsonNode.Parse(
            await (await lead.Send(HttpMethod.Get, $"/api/readers/{id}/record.json")).Content.ReadAsStringAsync()
        )!;
        ((string)record["reader"]!["family_name"]!).ShouldBe("O’Qwertz \"Zip\"");
        record["reader"]!.AsObject().ContainsKey("secret").ShouldBeFalse();
        record["guardians"]!.AsArray().Count.ShouldBe(1);
        using (
            var pdf = UglyToad.PdfPig.PdfDocument.Open(
                await (await lead.Send(HttpMethod.Get, $"/api/readers/{id}/record.pdf")).Content.ReadAsByteArrayAsync()
            )
        )
            pdf.GetPage(1).Text.ShouldContain("Zéphyrine");

        (await lead.Problem(await lead.Post($"/api/readers/{id}/delete", new { name = "Zéphyrine" }), 422))["fields"]!
            ["name"]
            .ShouldNotBeNull();
        (
            await lead.Post($"/api/readers/{id}/delete", new { name = "zéphyrine o’qwertz \"zip\"" })
        ).EnsureSuccessStatusCode();
        (await lead.Send(HttpMethod.Get, $"/api/readers/{id}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Everywhere("zéphyrine")).ShouldBeEmpty();
        (await Everywhere("qwertz")).ShouldBeEmpty();
        (await lead.Get("/api/school/looks")).AsArray().Select(l => (string)l!["what"]!).ShouldContain("ReaderDeleted");
    }

    /// <summary>A reader whose name needs care, with a draft, a guardian and a judgement.</summary>
    private async Task<string> Zephyrine(Person lead, Room room)
    {
        var added = await lead.Posted(
            $"/api/classes/{room.Id}/readers",
            new
            {
                givenName = "Zéphyrine",
                familyName = "O’Qwertz \"Zip\"",
                grade = 4,
                level = 30,
            }
        );
        var id = (string)added["id"]!;
        (
            await lead.Put(
                $"/api/classes/{room.Id}/list/draft",
                new { rows = new[] { new { givenName = "Zéphyrine", sameAs = id } }, levelSystem = "fm" }
            )
        ).EnsureSuccessStatusCode();
        await harness.Guardian(lead, room.Id, id, $"z-{Guid.NewGuid():N}@example.org");
        (
            await lead.Post(
                $"/api/classes/{room.Id}/readers/{id}/levels",
                new
                {
                    level = "31",
                    system = "fm",
                    sd = 2,
                    reason = "Reads on",
                }
            )
        ).EnsureSuccessStatusCode();
        return id;
    }

    [Fact]
    public async Task Cards_show_surnames_where_the_lead_wants_it_and_tell_two_of_one_name_apart_where_not()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 0);
        foreach (var family in new[] { "Rivas", "Sato" })
            await lead.Posted(
                $"/api/classes/{room.Id}/readers",
                new
                {
                    givenName = "Mina",
                    familyName = family,
                    grade = 4,
                    level = 30,
                }
            );
        async Task<string> Cards()
        {
            var path = $"/api/classes/{room.Id}/print/Cards.pdf";
            var bytes = await (await lead.Send(HttpMethod.Get, path)).Content.ReadAsByteArrayAsync();
            using var pdf = UglyToad.PdfPig.PdfDocument.Open(bytes);
            return string.Join(' ', pdf.GetPage(1).GetWords().Select(w => w.Text));
        }
        var without = await Cards();
        without.ShouldContain("Mina R.");
        without.ShouldContain("Mina S.");
        without.ShouldNotContain("Rivas", Case.Sensitive);
        var tiles = (await new Person(harness).Get($"/api/session/class/{room.Code}"))["tiles"]!.AsArray();
        tiles.Select(t => (string)t!["name"]!).ShouldBe(["Mina R.", "Mina S."]);

        var school = (await lead.Get("/api/school")).AsObject();
        school["surnamesOnCards"] = true;
        (await lead.Put("/api/school", school)).EnsureSuccessStatusCode();
        (await Cards()).ShouldContain("Rivas", Case.Sensitive);
    }

    /// <summary>The tables that still hold a word, packed steps included.</summary>
    private async Task<List<string>> Everywhere(string word)
    {
        await using var c = await Get<NpgsqlDataSource>().OpenConnectionAsync();
        var tables = new List<string>();
        await using (
            var q = new NpgsqlCommand(
                """
                select table_name
                from information_schema.tables
                where table_schema = 'public' and table_name not in ('word', 'change_part')
                """,
                c
            )
        )
        await using (var r = await q.ExecuteReaderAsync())
            while (await r.ReadAsync())
                tables.Add(r.GetString(0));
        var found = new List<string>();
        foreach (var table in tables)
        {
            await using var q = new NpgsqlCommand($"select count(*) from \"{table}\" x where x::text ilike $1", c)
            {
                Parameters = { new() { Value = $"%{word}%" } },
            };
            if ((long)(await q.ExecuteScalarAsync())! > 0)
                found.Add(table);
        }
        await using var parts = new NpgsqlCommand("select body from change_part", c);
        await using var bodies = await parts.ExecuteReaderAsync();
        while (await bodies.ReadAsync())
        {
            using var zip = new GZipStream(
                new MemoryStream(bodies.GetFieldValue<byte[]>(0)),
                CompressionMode.Decompress
            );
            if ((await new StreamReader(zip).ReadToEndAsync()).Contains(word, StringComparison.OrdinalIgnoreCase))
                found.Add("change_part");
        }
        return found;
    }

    [Fact]
    public async Task What_is_old_is_forgotten_and_cannot_be_undone()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var applied = await RosterFileTests.Import(lead, RosterFileTests.Roster());
        var change = Guid.Parse((string)applied["changeId"]!);
        await using (var c = await Get<NpgsqlDataSource>().OpenConnectionAsync())
        {
            await using var old = new NpgsqlCommand("update change set at = at - interval '31 days' where id = $1", c)
            {
                Parameters = { new() { Value = change } },
            };
            await old.ExecuteNonQueryAsync();
            await using var file = new NpgsqlCommand(
                "update import set made_at = made_at - interval '31 days' where id = $1",
                c
            )
            {
                Parameters = { new() { Value = Guid.Parse((string)applied["id"]!) } },
            };
            await file.ExecuteNonQueryAsync();
        }
        (
            await Get<DeepCurrent.Data.Storage.TidyStore>().Forget(DateTimeOffset.UtcNow.AddDays(-30))
        ).ShouldBeGreaterThanOrEqualTo(2);
        (await lead.Get("/api/school/imports"))["imports"]!.AsArray().ShouldBeEmpty();
        (await lead.Code(await lead.Post($"/api/changes/{change}/undo"), 409)).ShouldBe("too-late");
        (await RosterFileTests.Readers(lead)).ShouldBe(2, "what was done stays");
    }

    [Fact]
    public async Task A_reader_changes_schools_with_their_history()
    {
        var (from, _, _) = await harness.OwnSchool();
        var (to, toId, _) = await harness.OwnSchool();
        var room = await harness.Room(from, 1);
        var id = room.Readers[0].Id;
        foreach (var _ in new[] { 1, 2 })
            (
                await from.Post("/api/school/transfers", new { readerId = id, toSchoolId = toId })
            ).IsSuccessStatusCode.ShouldBeTrue("the same offer again is the same offer");
        (await to.Get("/api/school/transfers"))["coming"]!.AsArray().Count.ShouldBe(1);
        (await to.Send(HttpMethod.Get, $"/api/readers/{id}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var offer = (string)(await to.Get("/api/school/transfers"))["coming"]![0]!["id"]!;
        (await from.Post($"/api/school/transfers/{offer}", new { take = true })).StatusCode.ShouldBe(
            HttpStatusCode.NotFound,
            "only the other school takes"
        );
        (await to.Post($"/api/school/transfers/{offer}", new { take = true })).EnsureSuccessStatusCode();
        ((string)(await to.Get($"/api/readers/{id}/stays"))[0]!["schoolName"]!).ShouldStartWith("School ");
        (await to.Get($"/api/readers/{id}"))["marks"]!.AsArray().Count.ShouldBe(1);
        (await from.Send(HttpMethod.Get, $"/api/readers/{id}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_taken_back_code_registers_nobody_and_an_ended_guardian_sees_nobody()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 1);
        var guardian = await harness.Guardian(lead, room.Id, room.Readers[0].Id);
        (await guardian.Get("/api/guardian/children"))[0]!["level"]!.Said().ShouldContain("grade");
        var code = Get<Secrets>()
            .Open(
                (
                    await Get<DeepCurrent.Data.Guardians.GuardianStore>()
                        .Open([ReaderId.From(Guid.Parse(room.Readers[0].Id))], DateTimeOffset.UtcNow)
                )[0].Secret
            );
        (
            await lead.Post($"/api/readers/{room.Readers[0].Id}/guardian-code/take-back", new { guardians = true })
        ).EnsureSuccessStatusCode();
        (await guardian.Get("/api/guardian/children")).AsArray().ShouldBeEmpty();
        (
            await new Person(harness).Problem(
                await new Person(harness).Post(
                    "/api/guardian/register",
                    new
                    {
                        code,
                        name = "Late",
                        mail = "late@example.org",
                        password = Harness.Password,
                    }
                ),
                422
            )
        )["fields"]!["code"].ShouldNotBeNull();
    }

    [Fact]
    public async Task Guardians_whose_addresses_are_on_the_roster_are_invited_by_mail()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        string one = $"{Guid.NewGuid():N}@example.org",
            two = $"{Guid.NewGuid():N}@example.org";
        var child = new
        {
            givenName = "Mina",
            familyName = "Berg",
            grade = 4,
            level = 30,
            guardianMail = $"{one}, {two}",
        };
        var id = (string)(await ana.Posted($"/api/classes/{room.Id}/readers", child))["id"]!;
        var path = $"/api/classes/{room.Id}/guardians/invite";
        // Who has no address is invited by the printed letter; nobody of another class is.
        (
            await ana.Problem(await ana.Post(path, new { readerIds = new[] { room.Readers[0].Id } }), 409)
        ).ShouldNotBeNull();
        (await (await harness.Teacher("ben")).Post(path, new { readerIds = new[] { id } })).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        var both = new { readerIds = new[] { id, room.Readers[0].Id, $"{Guid.NewGuid()}" } };
        ((int)(await ana.Posted(path, both))["sent"]!).ShouldBe(2);
        var code = await harness.MailedToken(one);
        (await harness.MailedToken(two)).ShouldBe(code, "a letter sent again has the same code");
        var guardian = new
        {
            code,
            name = "Gail Berg",
            mail = one,
            password = Harness.Password,
        };
        (await new Person(harness).Post("/api/guardian/register", guardian)).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task A_guardian_who_has_not_confirmed_does_not_get_in()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 1);
        (await lead.Send(HttpMethod.Get, $"/api/classes/{room.Id}/print/Letters.pdf")).EnsureSuccessStatusCode();
        var code = Get<Secrets>()
            .Open(
                (
                    await Get<DeepCurrent.Data.Guardians.GuardianStore>()
                        .Open([ReaderId.From(Guid.Parse(room.Readers[0].Id))], DateTimeOffset.UtcNow)
                )[0].Secret
            );
        var mail = $"{Guid.NewGuid():N}@example.org";
        var person = new Person(harness);
        Task<HttpResponseMessage> Register(string typed, string password) =>
            person.Post(
                "/api/guardian/register",
                new
                {
                    code = typed,
                    name = "Una",
                    mail,
                    password,
                }
            );
        (await Register(code.ToLowerInvariant().Replace("-", " "), Harness.Password)).EnsureSuccessStatusCode();
        (
            await person.Code(
                await person.Post("/api/session/adult", new { userName = mail, password = Harness.Password }),
                403
            )
        ).ShouldBe("not-confirmed");
        (await person.Problem(await Register(code, "somebody else is here"), 422))["fields"]!
            ["password"]
            .ShouldNotBeNull();
    }
}
