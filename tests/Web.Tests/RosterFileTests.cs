using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using DeepCurrent.Formats;
using DeepCurrent.Formats.OneRoster;
using Npgsql;

namespace Web.Tests;

/// <summary>Whole rosters, in and out. Each test has a school of its own.</summary>
[Collection("application")]
public sealed class RosterFileTests(Harness harness)
{
    internal static byte[] Zip(params (string Name, string Text)[] files)
    {
        using var body = new MemoryStream();
        using (var zip = new ZipArchive(body, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var (name, text) in files)
            {
                using var w = new StreamWriter(zip.CreateEntry(name).Open());
                w.Write(text);
            }
        return body.ToArray();
    }

    internal static byte[] Roster(string users = "", string enrolments = "") =>
        Zip(
            (
                "manifest.csv",
                "propertyName,value\nfile.classes,bulk\nfile.users,bulk\nfile.roles,bulk\nfile.enrollments,bulk\n"
            ),
            ("classes.csv", "sourcedId,title,grades\nc1,3 Curlew,03\nc2,5 Gannet,05\n"),
            (
                "users.csv",
                "sourcedId,givenName,familyName,grades,email\nu1,Anouk,Visser,03,\nu2,Ravi,Patel,05,\n"
                    + $"t1,Pia,Lund,,pia@example.org\n{users}"
            ),
            ("roles.csv", "userSourcedId,role\nu1,student\nu2,student\nu3,student\nt1,teacher\n"),
            (
                "enrollments.csv",
                "sourcedId,classSourcedId,userSourcedId,role\ne1,c1,u1,student\ne2,c2,u2,student\n"
                    + $"e3,c1,t1,teacher\n{enrolments}"
            )
        );

    // An import is done by a worker; a page asks again in the same way.
    private static Task<JsonNode> Until(Person lead, string id, params string[] states) =>
        Eventually.Is(
            async () =>
            {
                var answer = await lead.Send(HttpMethod.Get, $"/api/school/imports/{id}");
                // A line that was cut is answered with "try again"; whoever waits does.
                return answer.StatusCode == HttpStatusCode.ServiceUnavailable ? null : await lead.Json(answer);
            },
            view => states.Contains((string)view["state"]!),
            $"the import {id} is {string.Join(" or ", states)}"
        );

    private static async Task<(string Id, JsonNode View)> Preview(Person lead, byte[] file)
    {
        var id = (string)
            (await lead.Json(await lead.Send(HttpMethod.Post, "/api/school/imports?name=file.zip", file)))["id"]!;
        return (id, await Until(lead, id, "Ready", "Failed"));
    }

    internal static async Task<JsonNode> Import(Person lead, byte[] file)
    {
        var (id, _) = await Preview(lead, file);
        (await lead.Post($"/api/school/imports/{id}/apply", new { })).EnsureSuccessStatusCode();
        return await Until(lead, id, "Applied", "Failed");
    }

    private static int Count(JsonNode view, string kind, string what) =>
        (int)view["preview"]!["counts"]!.AsArray().Single(c => (string)c!["kind"]! == kind)![what]!;

    internal static async Task<int> Readers(Person lead) =>
        (await lead.Get("/api/school/readers")).AsArray().Count(r => !(bool)r!["leftSchool"]!);

    [Fact]
    public async Task A_roster_file_does_what_it_said_and_nothing_the_second_time_and_is_taken_back_whole()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var (id, preview) = await Preview(lead, Roster());
        Count(preview, "Readers", "added").ShouldBe(2);
        Count(preview, "Classes", "added").ShouldBe(2);
        (await Readers(lead)).ShouldBe(0, "a preview does nothing");
        (await lead.Post($"/api/school/imports/{id}/apply", new { })).EnsureSuccessStatusCode();
        var done = await Until(lead, id, "Applied");
        (await Readers(lead)).ShouldBe(2);
        (await lead.Get("/api/school/classes"))
            .AsArray()
            .Select(c => (string)c!["teachers"]!)
            .ShouldContain("Pia Lund");

        ((int)(await Preview(lead, Roster())).View["preview"]!["steps"]!).ShouldBe(0);

        (await lead.Post($"/api/changes/{(string)done["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await lead.Get("/api/school/readers")).AsArray().ShouldBeEmpty();
        (await lead.Get("/api/school/classes")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_file_sent_again_after_a_lost_answer_is_one_import_and_another_school_cannot_take_its_ID()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var (other, _, _) = await harness.OwnSchool();
        var path = $"/api/school/imports?name=file.zip&id={Guid.NewGuid()}";
        var first = (string)(await lead.Json(await lead.Send(HttpMethod.Post, path, Roster())))["id"]!;
        await Until(lead, first, "Ready");

        (await lead.Json(await lead.Send(HttpMethod.Post, path, Roster())))["id"]!.GetValue<string>().ShouldBe(first);

        (await lead.Get("/api/school/imports"))["imports"]!.AsArray().Count.ShouldBe(1);
        (await other.Send(HttpMethod.Post, path, Roster())).StatusCode.ShouldBe(HttpStatusCode.Conflict);
    }

    [Fact]
    public async Task Good_rows_go_in_and_bad_ones_are_mended_afterwards()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var bad = Roster(users: "u3,<i>Max</i>,Muster,99,\n", enrolments: "e4,c1,u3,student\n");
        var applied = await Import(lead, bad);
        (await Readers(lead)).ShouldBe(2);
        var id = (string)applied["id"]!;
        var problem = applied["preview"]!["problems"]![0]!;
        ((string)problem["column"]!).ShouldBe("givenName");
        (
            await lead.Post(
                $"/api/school/imports/{id}/preview",
                new
                {
                    org = (string?)null,
                    mends = new[]
                    {
                        new
                        {
                            file = "users.csv",
                            line = (int)problem["line"]!,
                            column = "givenName",
                            value = "Max",
                        },
                        new
                        {
                            file = "users.csv",
                            line = (int)problem["line"]!,
                            column = "grades",
                            value = "04",
                        },
                    },
                }
            )
        ).EnsureSuccessStatusCode();
        var mended = await Until(lead, id, "Ready");
        Count(mended, "Readers", "added").ShouldBe(1);
        Count(mended, "Enrolments", "added").ShouldBe(1);
        (await lead.Post($"/api/school/imports/{id}/apply", new { })).EnsureSuccessStatusCode();
        await Until(lead, id, "Applied");
        (await Readers(lead)).ShouldBe(3);
    }

    [Fact]
    public async Task What_the_school_takes_out_reads_back_in_without_a_change()
    {
        var (lead, _, _) = await harness.OwnSchool();
        await Import(lead, Roster());
        var made = await lead.Posted("/api/classes", new { name = "By hand" });
        await lead.Post(
            $"/api/classes/{(string)made["id"]!}/readers",
            new
            {
                givenName = "Only",
                familyName = "",
                grade = 0,
                level = 5,
            }
        );
        var zip = await (await lead.Send(HttpMethod.Get, "/api/school/roster.zip")).Content.ReadAsByteArrayAsync();
        var (_, view) = await Preview(lead, zip);
        ((string?)view["error"]).ShouldBeNull();
        ((int)view["preview"]!["steps"]!).ShouldBe(0, view["preview"]!["lines"]!.ToJsonString());
        view["preview"]!["problems"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task An_import_that_would_now_do_something_else_is_shown_again()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var (id, _) = await Preview(lead, Roster());
        await Import(lead, Roster());
        (await lead.Post($"/api/school/imports/{id}/apply", new { })).EnsureSuccessStatusCode();
        (await Until(lead, id, "Failed"))["error"]!.Said().ShouldContain("changed after this check");
    }

    [Fact]
    public async Task A_database_that_goes_away_in_the_middle_leaves_nothing_half_done()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var users = string.Concat(Enumerable.Range(0, 4000).Select(i => $"x{i},Many,Reader{i},04,\n"));
        var file = Zip(
            ("users.csv", $"sourcedId,givenName,familyName,grades\n{users}"),
            (
                "roles.csv",
                $"userSourcedId,role\n{string.Concat(Enumerable.Range(0, 4000).Select(i => $"x{i},student\n"))}"
            )
        );
        var (id, _) = await Preview(lead, file);
        (await lead.Post($"/api/school/imports/{id}/apply", new { })).EnsureSuccessStatusCode();
        await Until(lead, id, "Working", "Applied");
        harness.Line.Cut();
        harness.Line.Mend();
        NpgsqlConnection.ClearAllPools();
        // Whether it had been done or had to be begun again, in the end it is all there, once.
        await Until(lead, id, "Applied");
        (await Readers(lead)).ShouldBe(4000);
    }

    [Fact]
    public async Task The_districts_server_gives_the_same_roster_as_a_file_would()
    {
        var (lead, _, _) = await harness.OwnSchool();
        ((string)(await lead.Get("/api/school/imports"))["source"]!).ShouldBe("District");
        var id = (string)(await lead.Posted("/api/school/imports/source"))["id"]!;
        var view = await Until(lead, id, "Ready", "Failed");
        Count(view, "Readers", "added").ShouldBe(24);
        Count(view, "Enrolments", "added").ShouldBe(24);
        Count(view, "Teaching", "added").ShouldBe(2);
        (await lead.Post($"/api/school/imports/{id}/apply", new { })).EnsureSuccessStatusCode();
        await Until(lead, id, "Applied");
        var again = (string)(await lead.Posted("/api/school/imports/source"))["id"]!;
        ((int)(await Until(lead, again, "Ready", "Failed"))["preview"]!["steps"]!).ShouldBe(0);
    }

    [Fact]
    public async Task A_district_server_that_refuses_is_answered_in_a_sentence()
    {
        await using var server = DeepCurrent.District.DistrictServer.Build(["--urls", "http://127.0.0.1:0"]);
        await server.StartAsync();
        var source = new HttpRosterSource(
            new(
                "District",
                $"{server.Urls.First()}/ims/oneroster/rostering/v1p2",
                $"{server.Urls.First()}/token",
                "deep-current",
                "wrong"
            ),
            new HttpClient()
        );
        (await Should.ThrowAsync<Unreadable>(() => source.Fetch(default))).Message.ShouldContain(
            "did not answer as a OneRoster server should"
        );
        var nowhere = new HttpRosterSource(
            new("District", "http://127.0.0.1:1/x", "http://127.0.0.1:1/token", "a", "b"),
            new HttpClient()
        );
        await Should.ThrowAsync<Unreadable>(() => nowhere.Fetch(default));
    }

    public static TheoryData<string, byte[], string> Nonsense() =>
        new()
        {
            { "no zip", Encoding.UTF8.GetBytes("sourcedId,title\n1,2"), "not a zip" },
            { "cut short", Roster()[..200], "damaged or incomplete" },
            { "nothing in it", Zip(("readme.txt", "hello")), "no users.csv" },
            { "missing column", Zip(("users.csv", "sourcedId,givenName\n1,A")), "no column familyName" },
            { "binary", Zip(("users.csv", new string('\u0001', 5000))), "not a text file" },
            { "path tricks", Zip(("../../users.csv", "sourcedId,givenName,familyName\n1,A,B")), "no users.csv" },
        };

    [Theory]
    [MemberData(nameof(Nonsense))]
    public async Task A_file_that_is_no_roster_is_answered_in_a_sentence(string what, byte[] file, string sentence)
    {
        var (lead, _, _) = await harness.OwnSchool();
        var (_, view) = await Preview(lead, file);
        ((string)view["state"]!).ShouldBe("Failed", what);
        view["error"]!.Said().ShouldContain(sentence);
    }

    private const string TwoSchools = "sourcedId,name,type\no1,{0},school\no2,Another,school\n";

    private static byte[] OfTwo(string name) =>
        Zip(
            ("manifest.csv", "propertyName,value\nsource.systemName,North SIS\n"),
            ("orgs.csv", string.Format(TwoSchools, name)),
            ("classes.csv", "sourcedId,title,grades,schoolSourcedId\nc1,3 Curlew,03,o1\nc2,5 Gannet,05,o2\n"),
            (
                "users.csv",
                "sourcedId,role,givenName,familyName,grades,orgSourcedIds\nu1,student,Anouk,Visser,03,o1\n"
                    + "u2,student,Ravi,Patel,05,o2\n"
            ),
            ("enrollments.csv", "sourcedId,classSourcedId,userSourcedId,role\ne1,c1,u1,student\ne2,c2,u2,student\n")
        );

    [Fact]
    public async Task A_file_of_several_schools_asks_which_is_this_one_and_remembers_the_answer()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var (id, asked) = await Preview(lead, OfTwo("Somewhere"));
        ((bool)asked["preview"]!["asksOrg"]!).ShouldBeTrue();
        ((int)asked["preview"]!["steps"]!).ShouldBe(0);
        (await lead.Post($"/api/school/imports/{id}/apply", new { })).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        (
            await lead.Post($"/api/school/imports/{id}/preview", new { org = "o1", mends = Array.Empty<object>() })
        ).EnsureSuccessStatusCode();
        Count(await Until(lead, id, "Ready"), "Readers", "added").ShouldBe(1);
        (await lead.Post($"/api/school/imports/{id}/apply", new { })).EnsureSuccessStatusCode();
        await Until(lead, id, "Applied");
        var (_, again) = await Preview(lead, OfTwo("Somewhere"));
        ((bool)again["preview"]!["asksOrg"]!).ShouldBeFalse();
        ((string)again["org"]!).ShouldBe("o1");
        ((int)again["preview"]!["steps"]!).ShouldBe(0);
    }

    [Fact]
    public async Task The_school_of_the_same_name_is_taken_without_asking()
    {
        var (lead, _, userName) = await harness.OwnSchool();
        var (_, view) = await Preview(lead, OfTwo($"School {userName[5..11]}"));
        ((string)view["org"]!).ShouldBe("o1");
        Count(view, "Readers", "added").ShouldBe(1);
    }

    [Fact]
    public async Task A_file_that_would_end_many_is_done_only_when_their_number_is_typed()
    {
        var (lead, _, _) = await harness.OwnSchool();
        byte[] Of(int n) =>
            Zip(
                (
                    "users.csv",
                    "sourcedId,role,givenName,familyName,grades\n"
                        + string.Concat(Enumerable.Range(0, n).Select(i => $"u{i},student,Reader{i},Test,04\n"))
                ),
                ("classes.csv", "sourcedId,title\nc1,3 Curlew\n"),
                (
                    "enrollments.csv",
                    "sourcedId,classSourcedId,userSourcedId,role\n"
                        + string.Concat(Enumerable.Range(0, n).Select(i => $"e{i},c1,u{i},student\n"))
                )
            );
        await Import(lead, Of(20));
        var (id, view) = await Preview(lead, Of(8));
        ((int)view["preview"]!["endings"]!["type"]!).ShouldBe(12);
        foreach (var typed in new object[] { new { }, new { typed = 11 } })
            (await lead.Post($"/api/school/imports/{id}/apply", typed)).StatusCode.ShouldBe(
                HttpStatusCode.UnprocessableEntity
            );
        (await Readers(lead)).ShouldBe(20);
        (await lead.Post($"/api/school/imports/{id}/apply", new { typed = 12 })).EnsureSuccessStatusCode();
        await Until(lead, id, "Applied");
        (await Readers(lead)).ShouldBe(8);
    }

    [Fact]
    public async Task A_bad_row_ends_nobody_and_neither_does_a_skipped_one()
    {
        var (lead, _, _) = await harness.OwnSchool();
        await Import(lead, Roster());
        var (id, view) = await Preview(
            lead,
            Zip(
                (
                    "users.csv",
                    "sourcedId,role,givenName,familyName,grades\nu1,student,Anouk,Visser,03\n"
                        + "u2,student,=1+1,Patel,05\nt1,teacher,Pia,Lund,\n"
                ),
                ("classes.csv", "sourcedId,title,grades\nc1,3 Curlew,03\nc2,5 Gannet,05\n"),
                (
                    "enrollments.csv",
                    "sourcedId,classSourcedId,userSourcedId,role\ne1,c1,u1,student\ne2,c2,u2,student\n"
                        + "e3,c1,t1,teacher\n"
                )
            )
        );
        ((int)view["preview"]!["steps"]!).ShouldBe(0, view["preview"]!["lines"]!.ToJsonString());
        var skip = new
        {
            file = "users.csv",
            line = 3,
            column = (string?)null,
            value = (string?)null,
        };
        var wish = new { org = (string?)null, mends = new[] { skip } };
        (await lead.Post($"/api/school/imports/{id}/preview", wish)).EnsureSuccessStatusCode();
        var skipped = await Until(lead, id, "Ready");
        ((int)skipped["preview"]!["steps"]!).ShouldBe(0, skipped["preview"]!["lines"]!.ToJsonString());
        ((int)skipped["preview"]!["stopped"]!).ShouldBe(0);
    }

    [Fact]
    public async Task A_zip_and_the_districts_server_do_not_end_each_others_readers()
    {
        var (lead, _, _) = await harness.OwnSchool();
        await Import(lead, Roster());
        async Task FromDistrict()
        {
            var id = (string)(await lead.Posted("/api/school/imports/source"))["id"]!;
            await Until(lead, id, "Ready", "Failed");
            (await lead.Post($"/api/school/imports/{id}/apply", new { })).EnsureSuccessStatusCode();
            await Until(lead, id, "Applied", "Ready");
        }
        await FromDistrict();
        (await Readers(lead)).ShouldBe(26);
        ((int)(await Preview(lead, Roster())).View["preview"]!["steps"]!).ShouldBe(0);
        await Import(
            lead,
            Zip(("users.csv", "sourcedId,role,givenName,familyName,grades\nu1,student,Anouk,Visser,03\n"))
        );
        (await Readers(lead)).ShouldBe(25, "only the zip's own reader has left");
    }
}
