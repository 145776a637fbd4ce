using System.Net;
using System.Text.Json.Nodes;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Adults;
using DeepCurrent.Web.SignIn;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace Web.Tests;

/// <summary>Nobody where they do not belong: taking readers in, guessing, sessions, what is served to
/// strangers.</summary>
[Collection("application")]
public sealed class DoorTests(Harness harness)
{
    private async Task<Person> Staff(Post post, string? name = null)
    {
        var adults = harness.Services.GetRequiredService<AdultStore>();
        var ana = (await adults.Find("ana"))!;
        var userName = name ?? $"staff-{Guid.NewGuid():N}"[..14];
        await adults.Add(new(AdultId.New(), ana.SchoolId, userName, userName, harness.Hashed, Post: post));
        var person = new Person(harness);
        (
            await person.Post("/api/session/adult", new { userName, password = Harness.Password })
        ).EnsureSuccessStatusCode();
        return person;
    }

    private static async Task<string> NewClass(Person teacher) =>
        (string)(await teacher.Posted("/api/classes", new { name = $"Mine {Guid.NewGuid():N}"[..12] }))["id"]!;

    private static async Task<string[]> Members(Person teacher, string classId) =>
        [.. (await teacher.Get($"/api/classes/{classId}/roster"))["members"]!.AsArray().Select(m => (string)m!["id"]!)];

    [Fact]
    public async Task An_assistant_makes_no_class_and_finds_nobody()
    {
        var assistant = await Staff(Post.Assistant);
        (await assistant.Post("/api/classes", new { name = "Mine" })).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await assistant.Send(HttpMethod.Get, "/api/school/find?name=")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        ((bool)(await assistant.Get("/api/session"))["assistant"]!).ShouldBeTrue();
    }

    [Fact]
    public async Task A_reader_in_somebody_elses_class_is_asked_for_and_not_taken_whichever_way_it_is_tried()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var reader = room.Readers[0].Id;
        var thief = await Staff(Post.Teacher);
        var own = await NewClass(thief);
        await AskById(thief, own, reader);
        await AskAsRow(thief, own, reader);
        await AskAsJoining(thief, own, reader);
        (await Members(thief, own)).ShouldBeEmpty();
        (await ana.Get($"/api/readers/{reader}"))["grade"]!
            .GetValue<int>()
            .ShouldBe(4, "a list changes nothing of a child in other hands");
        // One request, however often it was asked; not for the asker to answer.
        var asked = (await ana.Get($"/api/classes/{room.Id}/roster"))["askedOfUs"]!.AsArray();
        asked.Count.ShouldBe(1);
        var path = $"/api/taking-in/{asked[0]!["id"]}";
        (await thief.Post(path, new { accept = true, move = true })).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        await ana.Posted(path, new { accept = true, move = true });
        (await Members(thief, own)).ShouldBe([reader]);
        (await Members(ana, room.Id)).ShouldNotContain(reader);
        (await ana.Post(path, new { accept = true, move = true })).StatusCode.ShouldBe(
            HttpStatusCode.NotFound,
            "it is answered"
        );
    }

    private static async Task AskById(Person thief, string own, string reader) =>
        (
            (int)(await thief.Posted($"/api/classes/{own}/enrol", new { readerIds = new[] { reader } }))["asked"]!
        ).ShouldBe(1);

    /// <summary>As the same child as a row of a list.</summary>
    private static async Task AskAsRow(Person thief, string own, string reader)
    {
        var row = new
        {
            givenName = "Reader0",
            familyName = "Test",
            grade = "9",
            level = "60 fm",
            sameAs = reader,
        };
        (
            (int)
                (
                    await thief.Posted(
                        $"/api/classes/{own}/list/apply",
                        new { rows = new[] { row }, levelSystem = "fm" }
                    )
                )["done"]!["asked"]!
        ).ShouldBe(1);
    }

    /// <summary>As the one who asked to join.</summary>
    private async Task AskAsJoining(Person thief, string own, string reader)
    {
        var joining = Guid.NewGuid();
        var code = (string)(await thief.Get($"/api/classes/{own}/roster"))["code"]!;
        await new Person(harness).Post(
            "/api/session/join",
            new
            {
                id = joining,
                code,
                givenName = "Reader0",
                familyName = "Test",
            }
        );
        await thief.Posted(
            $"/api/classes/{own}/joinings/{joining}",
            new
            {
                accept = true,
                sameAs = reader,
                grade = 4,
            }
        );
    }

    [Fact]
    public async Task A_reader_in_somebody_elses_class_is_not_moved_seen_printed_or_given_a_secret()
    {
        var room = await harness.Room(await harness.Teacher("ana"), 1);
        var reader = room.Readers[0].Id;
        var thief = await Staff(Post.Teacher);
        var own = await NewClass(thief);
        await AskById(thief, own, reader);
        (
            await thief.Post($"/api/classes/{room.Id}/move", new { readerIds = new[] { reader }, toClassId = own })
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Members(thief, own)).ShouldBeEmpty();
        foreach (
            var path in new[]
            {
                $"/api/readers/{reader}",
                $"/api/readers/{reader}/sign-in",
                $"/api/classes/{own}/print/Cards.pdf?readers={reader}",
            }
        )
            (await thief.Send(HttpMethod.Get, path)).IsSuccessStatusCode.ShouldBeFalse(path);
        (
            await thief.Post($"/api/classes/{own}/readers/{reader}/secret", new { kind = "Pictures" })
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_request_can_be_declined_and_taken_back_and_a_reader_in_no_class_comes_in_at_once()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var other = await Staff(Post.Teacher);
        var own = await NewClass(other);
        await other.Posted($"/api/classes/{own}/enrol", new { readerIds = room.Readers.Select(r => r.Id) });
        var weAsked = (await other.Get($"/api/classes/{own}/roster"))["weAsked"]!.AsArray();
        weAsked.Count.ShouldBe(2);
        (await other.Send(HttpMethod.Delete, $"/api/taking-in/{weAsked[0]!["id"]}")).EnsureSuccessStatusCode();
        await ana.Posted($"/api/taking-in/{weAsked[1]!["id"]}", new { accept = false, move = false });
        (await other.Get($"/api/classes/{own}/roster"))["weAsked"]!.AsArray().ShouldBeEmpty();
        await ana.Posted($"/api/classes/{room.Id}/remove", new { readerIds = new[] { room.Readers[1].Id } });
        await other.Posted($"/api/classes/{own}/enrol", new { readerIds = new[] { room.Readers[1].Id } });
        (await Members(other, own)).ShouldBe([room.Readers[1].Id]);
        // Ana leads the school, and may undo what she did; a teacher may not take a child back by undoing.
    }

    [Fact]
    public async Task An_assistant_prints_one_card_where_the_teacher_lets_them_and_sees_no_guardians_address()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var assistant = await Staff(Post.Assistant);
        var id = (string)(await assistant.Get("/api/session"))["id"]!;
        (
            await ana.Put($"/api/classes/{room.Id}/adults", new { adultId = id, role = "Assistant" })
        ).EnsureSuccessStatusCode();
        (
            await ana.Put(
                $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}",
                new
                {
                    givenName = "Reader0",
                    familyName = "Test",
                    grade = 4,
                    guardianMail = "home@example.org",
                    supports = new { moreTime = 100 },
                }
            )
        ).EnsureSuccessStatusCode();
        (await assistant.Get($"/api/classes/{room.Id}/roster")).ToJsonString().ShouldNotContain("home@example.org");
        (
            await (
                await assistant.Send(HttpMethod.Get, $"/api/classes/{room.Id}/roster.csv")
            ).Content.ReadAsStringAsync()
        ).ShouldNotContain("home@example.org");
        var one = $"/api/classes/{room.Id}/print/Cards.pdf?readers={room.Readers[0].Id}";
        (await assistant.Send(HttpMethod.Get, one)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await ana.Put($"/api/classes/{room.Id}/assistants-print", new { allowed = true })).EnsureSuccessStatusCode();
        (await assistant.Send(HttpMethod.Get, one)).EnsureSuccessStatusCode();
        (await assistant.Send(HttpMethod.Get, $"{one},{room.Readers[1].Id}")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        (await assistant.Send(HttpMethod.Get, $"/api/classes/{room.Id}/print/Cards.pdf")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task Of_many_guesses_at_once_only_the_free_ones_are_looked_at()
    {
        await Staff(Post.Teacher, "victim-of-guesses");
        var guessers = Enumerable.Range(0, 120).Select(_ => new Person(harness)).ToList();
        var answers = await Task.WhenAll(
            guessers.Select(async g =>
                (
                    await g.Post(
                        "/api/session/adult",
                        new { userName = "victim-of-guesses", password = "not the password" }
                    )
                ).StatusCode
            )
        );
        answers.Count(a => a == HttpStatusCode.Unauthorized).ShouldBeLessThanOrEqualTo(Harness.FreeTries);
        answers.ShouldAllBe(a => a == HttpStatusCode.Unauthorized || a == HttpStatusCode.TooManyRequests);
    }

    [Fact]
    public async Task Somebody_elses_wrong_guesses_shut_nobody_out_of_a_device_they_have_used()
    {
        var name = "rightful-owner";
        var owner = await Staff(Post.Teacher, name);
        var stranger = new Person(harness);
        for (var i = 0; i < Harness.FreeTries + 3; i++)
            await stranger.Post("/api/session/adult", new { userName = name, password = "a wrong password" });
        (
            await stranger.Post("/api/session/adult", new { userName = name, password = Harness.Password })
        ).StatusCode.ShouldBe(HttpStatusCode.TooManyRequests);
        (await owner.Send(HttpMethod.Delete, "/api/session")).EnsureSuccessStatusCode();
        (
            await owner.Post("/api/session/adult", new { userName = name, password = Harness.Password })
        ).EnsureSuccessStatusCode();
        (await harness.Teacher("ana")).ShouldNotBeNull();
        (await (await harness.Teacher("ana")).Get("/api/school/sign-ins"))
            .AsArray()
            .Select(e => $"{e!["who"]} {e["kind"]}")
            .ShouldContain($"{name} Locked");
    }

    [Fact]
    public async Task Guessing_through_a_class_is_halted_and_told_and_leaves_the_classs_own_devices_alone()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 3);
        var own = await harness.Reader(room, 0);
        (await own.Send(HttpMethod.Delete, "/api/session")).EnsureSuccessStatusCode();
        var stranger = new Person(harness);
        var shut = false;
        for (var i = 0; i < 90 && !shut; i++)
            shut =
                (
                    await stranger.Post(
                        "/api/session/reader",
                        new
                        {
                            code = room.Code,
                            readerId = room.Readers[i % 3].Id,
                            secret = "boat boat boat",
                        }
                    )
                ).StatusCode == HttpStatusCode.TooManyRequests;
        shut.ShouldBeTrue();
        ((string?)(await ana.Get($"/api/classes/{room.Id}/roster"))["guessing"]).ShouldNotBeNull();
        (
            await own.Post(
                "/api/session/reader",
                new
                {
                    code = room.Code,
                    readerId = room.Readers[0].Id,
                    secret = room.Readers[0].Secret,
                }
            )
        ).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task A_session_that_was_ended_is_over_at_once_wherever_it_was()
    {
        var here = await Staff(Post.Teacher);
        var name = (string)(await here.Get("/api/session"))["name"]!;
        var there = new Person(harness);
        (
            await there.Post("/api/session/adult", new { userName = name, password = Harness.Password })
        ).EnsureSuccessStatusCode();
        var places = (await here.Get("/api/me/sessions")).AsArray();
        places.Count.ShouldBe(2);
        (
            await here.Send(HttpMethod.Delete, $"/api/me/sessions/{places.Single(p => !(bool)p!["here"]!)!["id"]}")
        ).EnsureSuccessStatusCode();
        (await there.Send(HttpMethod.Get, "/api/me/sessions")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        (await here.Get("/api/me/sessions")).AsArray().Count.ShouldBe(1);
        // Another person's session is not theirs to end.
        var ana = await harness.Teacher("ana");
        (
            await ana.Send(HttpMethod.Delete, $"/api/me/sessions/{places.Single(p => (bool)p!["here"]!)!["id"]}")
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_cookie_that_was_copied_before_signing_out_opens_nothing()
    {
        var room = await harness.Room(await harness.Teacher("ana"), 1);
        var reader = await harness.Reader(room, 0);
        var copy = reader.Copy();
        await copy.Get("/api/my/tickets");
        (await reader.Send(HttpMethod.Delete, "/api/session")).EnsureSuccessStatusCode();
        (await copy.Send(HttpMethod.Get, "/api/my/tickets")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task A_new_secret_leaving_and_another_post_end_sessions_and_so_does_idling()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 3);
        var readers = new[]
        {
            await harness.Reader(room, 0),
            await harness.Reader(room, 1),
            await harness.Reader(room, 2),
        };
        (
            await ana.Post($"/api/classes/{room.Id}/readers/{room.Readers[0].Id}/secret", new { kind = "Pictures" })
        ).EnsureSuccessStatusCode();
        (await ana.Post($"/api/classes/{room.Id}/readers/{room.Readers[1].Id}/leave")).EnsureSuccessStatusCode();
        await using (var c = await harness.Services.GetRequiredService<NpgsqlDataSource>().OpenConnectionAsync())
        await using (
            var q = new NpgsqlCommand("update session set seen_at = now() - interval '4 hours' where person_id = $1", c)
            {
                Parameters = { new() { Value = Guid.Parse(room.Readers[2].Id) } },
            }
        )
            await q.ExecuteNonQueryAsync();
        foreach (var reader in readers)
            (await reader.Send(HttpMethod.Get, "/api/my/tickets")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        var staff = await Staff(Post.Teacher);
        var me = await staff.Get("/api/session");
        (
            await ana.Put(
                $"/api/school/adults/{me["id"]}",
                new
                {
                    name = (string)me["name"]!,
                    mail = (string?)null,
                    lead = false,
                    left = false,
                    post = "Assistant",
                }
            )
        ).EnsureSuccessStatusCode();
        (await staff.Send(HttpMethod.Get, "/api/me/sessions")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task Weak_passwords_are_refused_with_a_sentence()
    {
        var staff = await Staff(Post.Teacher);
        foreach (var weak in new[] { "password2026", "1234567890", "qwertyuiop" })
            (
                await staff.Problem(
                    await staff.Put("/api/me/password", new { old = Harness.Password, @new = weak }),
                    422
                )
            )["fields"]!
                ["new"]
                .ShouldNotBeNull();
        (
            await staff.Put("/api/me/password", new { old = Harness.Password, @new = "eleven grey seals" })
        ).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task The_api_document_is_not_for_strangers_and_cookies_are_secure_behind_https()
    {
        var nobody = new Person(harness);
        (await nobody.Send(HttpMethod.Get, "/openapi/v1.json")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        var reader = await harness.Reader(await harness.Room(await harness.Teacher("ana"), 1), 0);
        (await reader.Send(HttpMethod.Get, "/openapi/v1.json")).IsSuccessStatusCode.ShouldBeFalse();
        using var http = new HttpClient(new SocketsHttpHandler { UseCookies = false })
        {
            BaseAddress = harness.Address,
        };
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/session")
        {
            Headers = { { "X-Forwarded-Proto", "https" } },
        };
        var cookies = (await http.SendAsync(request)).Headers.GetValues("Set-Cookie").ToList();
        cookies.ShouldNotBeEmpty();
        cookies.ShouldAllBe(c =>
            c.Contains("secure", StringComparison.OrdinalIgnoreCase)
            && c.Contains("samesite", StringComparison.OrdinalIgnoreCase)
        );
    }

    [Fact]
    public async Task Empty_places_in_lists_and_signs_no_database_keeps_are_sentences_or_taken_out()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        async Task Bad(string path, string json)
        {
            using var body = new StringContent(json, System.Text.Encoding.UTF8, "application/json");
            (await ana.Problem(await ana.Send(HttpMethod.Post, path, content: body), 422))["fields"].ShouldNotBeNull();
        }
        await Bad($"/api/classes/{room.Id}/list/check", """{"rows":[null],"levelSystem":"fm"}""");
        await Bad($"/api/classes/{room.Id}/enrol", """{"readerIds":[null]}""");
        var added = await ana.Posted(
            $"/api/classes/{room.Id}/readers",
            new
            {
                givenName = "Mi\u0000na",
                familyName = "Te\u202Est",
                grade = 4,
                level = 30,
            }
        );
        var member = (await ana.Get($"/api/classes/{room.Id}/roster"))["members"]!
            .AsArray()
            .Single(m => (string)m!["id"]! == (string)added["id"]!)!;
        ($"{member["givenName"]} {member["familyName"]}").ShouldBe("Mina Test");
        ((int)(await ana.Send(HttpMethod.Get, "/api/library?q=a%00b")).StatusCode).ShouldBeLessThan(500);
    }
}
