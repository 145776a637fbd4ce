using System.Text.Json;
using System.Text.Json.Nodes;
using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Texts;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace Web.Tests;

[Collection("application")]
public sealed class DataTests(Harness harness)
{
    private static readonly DateTimeOffset Start = new(
        Harness.Today.AddDays(-70).ToDateTime(TimeOnly.MinValue),
        TimeSpan.Zero
    );

    private T Get<T>()
        where T : notnull => harness.Services.GetRequiredService<T>();

    /// <summary>A reader made beneath the web, with a prior ten weeks ago.</summary>
    private async Task<(ReaderId Id, YearCalendar Year)> Reader()
    {
        var ana = (await Get<AdultStore>().Find("ana"))!;
        var year = (await Get<SchoolStore>().CurrentYear(ana.SchoolId, Harness.Today))!;
        var room = await harness.Room(await harness.Teacher("ana"), 0);
        var id = ReaderId.New();
        var reader = new RosterReader
        {
            Id = id,
            SourceId = null,
            GivenName = "Late",
            FamilyName = "Evidence",
            UserName = $"late{id:N}",
            Grade = 4,
            GuardianMail = null,
            SecretKind = SecretKind.Pictures,
            Secret = Get<Secrets>().Seal("boat gull shell"),
            Supports = Supports.None,
            Left = false,
        };
        var steps = ChangeSet.Nothing with
        {
            Readers = [new(null, reader)],
            Enrolments =
            [
                new(
                    null,
                    new Enrolment(EnrolmentId.New(), null, ClassId.From(Guid.Parse(room.Id)), id, Harness.Today, null)
                ),
            ],
        };
        await Get<RosterWriter>()
            .Apply(
                steps,
                new(ana.SchoolId, ClassId.From(Guid.Parse(room.Id)), ana.Id, $"Late evidence", Start),
                new(LevelChart.Default, year)
            );
        await harness.Ask<double>("update reader set prior_mean = 30 where id = $1 returning prior_mean", id.Value);
        return (id, year);
    }

    private static EvidenceRow Level(int day, double value) =>
        EvidenceRow.Level(EvidenceId.New(), Start.AddDays(day), new(value), 4);

    private static EvidenceRow Record(int day, double text, int errors) =>
        EvidenceRow.RunningRecord(EvidenceId.New(), Start.AddDays(day), new(text), 120, errors);

    [Theory]
    [InlineData("teacher", Part.Teacher)]
    [InlineData("co-teacher", Part.CoTeacher)]
    [InlineData("CoTeacher", Part.CoTeacher)]
    [InlineData("assistant", Part.Assistant)]
    public void A_change_that_was_kept_under_the_parts_old_names_can_still_be_undone(string name, Part part)
    {
        var kept =
            $$"""{"id":"{{Guid.Empty}}","classId":"{{Guid.Empty}}","adultId":"{{Guid.Empty}}","role":"{{name}}"}""";
        Database.FromJson<Teaching>(kept).Role.ShouldBe(part);
        Database.FromJson<Teaching>(Database.ToJson(Database.FromJson<Teaching>(kept))).Role.ShouldBe(part);
    }

    [Fact]
    public async Task Evidence_that_comes_late_ends_where_it_would_have_in_time()
    {
        var keeper = Get<DepthKeeper>();
        var now = DateTimeOffset.UtcNow;
        EvidenceRow[] pieces = [Level(1, 36), Record(20, 33, 4), Level(40, 31)];
        async Task<DepthEstimate> Through(IEnumerable<EvidenceRow> order)
        {
            var (id, year) = await Reader();
            DepthEstimate last = null!;
            foreach (var p in order)
                last = await keeper.Add(id, p with { Id = EvidenceId.New() }, null, year, LevelChart.Default, now);
            (await keeper.Days(id)).Count.ShouldBe(3);
            return last;
        }
        DepthEstimate inTime = await Through(pieces),
            late = await Through(pieces.Reverse());
        late.Mean.Value.ShouldBe(inTime.Mean.Value, 1e-9);
        late.Sd.ShouldBe(inTime.Sd, 1e-9);
    }

    [Fact]
    public async Task A_day_is_the_school_s_own_day()
    {
        var (id, london) = await Reader();
        var auckland = london with { Clock = new("Pacific/Auckland") };
        // Noon of a Thursday in Greenwich is the first hours of Friday there.
        var noon = Start.AddDays(4 - (int)Start.DayOfWeek + 14).AddHours(12.5);
        await Get<DepthKeeper>()
            .Add(id, Level(0, 36) with { At = noon }, null, auckland, LevelChart.Default, noon.AddHours(1));
        (await Get<DepthKeeper>().Days(id)).ShouldHaveSingleItem().Day.DayOfWeek.ShouldBe(DayOfWeek.Friday);
        // From there to Friday noon in Greenwich, which is Saturday there, no school day passes.
        auckland.SchoolWeeks(noon, noon.AddDays(1)).ShouldBe(0);
        london.SchoolWeeks(noon, noon.AddDays(1)).ShouldBe(0.2, 1e-9);
    }

    [Fact]
    public async Task Names_stand_in_the_order_of_the_core_and_the_pages()
    {
        var file = Path.Combine(Shipped.Root, "tests/vectors/names.json");
        var names = JsonNode.Parse(await File.ReadAllTextAsync(file))!["inOrder"]!.Deserialize<string[]>()!;
        await using var db = Get<NpgsqlDataSource>()
            .CreateCommand(
                """
                with kept as (
                  insert into saved_search (id, adult_id, name, query, created_at)
                  select gen_random_uuid(), a.id, n.name, '', now()
                  from unnest($1) n (name) cross join (select id from adult where user_name = 'ana') a
                  returning name)
                select array_agg(name order by name) from kept
                """
            );
        db.Parameters.AddWithValue(names.Reverse().ToArray());
        ((string[])(await db.ExecuteScalarAsync())!).ShouldBe(names);
    }

    [Fact]
    public async Task The_same_piece_of_evidence_is_kept_once()
    {
        var (id, year) = await Reader();
        var piece = Level(3, 38);
        var once = await Get<DepthKeeper>().Add(id, piece, null, year, LevelChart.Default, DateTimeOffset.UtcNow);
        var twice = await Get<DepthKeeper>().Add(id, piece, null, year, LevelChart.Default, once.At);
        twice.Mean.Value.ShouldBe(once.Mean.Value, 1e-9);
        (await Get<DepthKeeper>().Evidence(id)).Count.ShouldBe(1);
    }

    [Fact]
    public async Task Two_hand_ins_at_once_do_not_overwrite_one_another()
    {
        var (id, year) = await Reader();
        var now = DateTimeOffset.UtcNow;
        await Task.WhenAll(
            Enumerable
                .Range(1, 8)
                .Select(i => Get<DepthKeeper>().Add(id, Level(i, 30 + i), null, year, LevelChart.Default, now))
        );
        var kept = (await Get<ReaderStore>().Find(id, (await Get<AdultStore>().Find("ana"))!.SchoolId, default))!;
        var all = ReaderEstimator
            .Run(
                new(new(30), 8, Start),
                Enumerable.Range(1, 8).Select(i => (Evidence)new LevelEvidence(Start.AddDays(i), new(30 + i), 4)),
                new(d => LevelChart.Default.GrowthPerWeek(d), ReaderEstimator.DriftPerWeek, year.SchoolWeeks),
                now
            )
            .Now;
        kept.Depth.Value.ShouldBe(all.Mean.Value, 0.01);
    }

    [Fact]
    public async Task Texts_that_ship_are_added_once() =>
        (await Get<ContentLoader>().Load(Path.Combine(harness.Root, "content"))).ShouldBe(0);

    [Fact]
    public async Task Instances_that_start_together_migrate_once()
    {
        var connection = Get<Microsoft.Extensions.Configuration.IConfiguration>()["ConnectionStrings:DeepCurrent"]!;
        // Another test cuts the line; what it broke must not be used again.
        NpgsqlConnection.ClearAllPools();
        await Task.WhenAll(Enumerable.Range(0, 3).Select(_ => Task.Run(() => Database.Migrate(connection))));
        await using var c = await Get<NpgsqlDataSource>().OpenConnectionAsync();
        await using var count = new NpgsqlCommand("select count(*) from schemaversions", c);
        (await count.ExecuteScalarAsync()).ShouldBe(
            (long)Directory.GetFiles(Path.Combine(harness.Root, "src/DeepCurrent.Data/Migrations"), "*.sql").Length
        );
    }

    [Fact]
    public async Task The_database_lets_the_members_of_a_set_in_and_nothing_else()
    {
        await using var c = await Get<NpgsqlDataSource>().OpenConnectionAsync();
        var checks = ClosedSets.Checks(c);
        foreach (var set in ClosedSets.Columns)
            checks
                .Single(k => (k.Table, k.Column) == (set.Table, set.Column))
                .Members.ShouldBe(set.Members, ignoreOrder: true, $"{set.Table}.{set.Column}");
        checks
            .Select(k => $"{k.Table}.{k.Column}")
            .Except(ClosedSets.Columns.Select(k => $"{k.Table}.{k.Column}"))
            .ShouldBe(
                ["picture.type", "text_picture.type", "word_depth.part"],
                ignoreOrder: true,
                "a set that is not on the list"
            );
    }

    [Fact]
    public async Task A_new_member_of_a_set_is_let_in_and_none_that_was_in_is_shut_out()
    {
        await using var c = await Get<NpgsqlDataSource>().OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var check = ClosedSets.Checks(c).Single(k => k is { Table: "pass", Column: "purpose" });
        await c.ExecuteAsync(
            $"""
            delete from pass;
            alter table pass drop constraint {check.Name};
            alter table pass add constraint {check.Name} check (purpose in ('Reset', 'Older'))
            """
        );
        ClosedSets.Widen(c);
        ClosedSets
            .Checks(c)
            .Single(k => k.Name == check.Name)
            .Members.ShouldBe([.. Enum.GetNames<PassPurpose>(), "Older"], ignoreOrder: true);
        await t.RollbackAsync();
    }

    [Fact]
    public void A_secret_is_sealed_and_opens_again()
    {
        var secrets = Get<Secrets>();
        var seal = secrets.Seal("boat gull shell");
        seal.ShouldNotContain("boat");
        secrets.Matches(SecretKind.Pictures, seal, "boat gull shell").ShouldBeTrue();
        secrets.Matches(SecretKind.Pictures, seal, "gull boat shell").ShouldBeFalse();
        secrets.Matches(SecretKind.Pictures, seal, "boat").ShouldBeFalse();
    }

    [Fact]
    public async Task A_year_knows_its_terms()
    {
        var ana = (await Get<AdultStore>().Find("ana"))!;
        var year = (await Get<SchoolStore>().CurrentYear(ana.SchoolId, Harness.Today))!;
        year.Terms.Count.ShouldBe(3);
        year.TermOn(year.FirstDay)!.Name.ShouldBe("Term 1");
        year.TermOn(year.LastDay)!.Name.ShouldBe("Term 3");
        year.Gone(year.FirstDay).ShouldBe(0);
        year.Gone(year.LastDay.AddDays(50)).ShouldBe(1);
        (await Get<SchoolStore>().CurrentYear(ana.SchoolId, year.FirstDay.AddDays(-1))).ShouldBeNull();
    }
}
