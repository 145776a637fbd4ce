using CsCheck;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Roster;

namespace Core.Tests;

/// <summary>Moves within a year, and the step from one year to the next.</summary>
public sealed class RosterYearTests
{
    private static readonly YearId Next = new(new("00000000-0000-0000-0000-0000000000bb"));

    private static RosterReader Reader(int i, int grade, bool left = false) =>
        new()
        {
            Id = ReaderId.New(),
            SourceId = null,
            GivenName = $"R{i}",
            FamilyName = "",
            UserName = $"r{i}",
            Grade = grade,
            GuardianMail = null,
            SecretKind = SecretKind.Pictures,
            Secret = "s",
            Supports = Supports.None,
            Left = left,
        };

    private static readonly Gen<RosterState> AnySchool =
        from grades in Gen.Int[0, 12].Array[0, 12]
        from classes in Gen.Bool.Array[1, 4]
        from places in Gen.Select(Gen.Int[0, 11], Gen.Int[0, 3], Gen.Bool).Array[0, 20]
        select Made(grades, classes, places);

    private static RosterState Made(int[] grades, bool[] closed, (int Reader, int Class, bool Ended)[] places)
    {
        var state = new RosterState();
        var readers = grades.Select((g, i) => Reader(i, g)).ToList();
        var rooms = closed
            .Select(
                (c, i) => new RosterClass(ClassId.New(), null, SomeSchool.Year, $"{i + 3} Room", $"C{i}", null, null, c)
            )
            .ToList();
        var stays =
            readers.Count == 0
                ? []
                : places
                    .Select(p => (R: readers[p.Reader % readers.Count], C: rooms[p.Class % rooms.Count], p.Ended))
                    .DistinctBy(p => (p.R.Id, p.C.Id))
                    .Select(p => new Enrolment(
                        EnrolmentId.New(),
                        null,
                        p.C.Id,
                        p.R.Id,
                        SomeSchool.Today.AddDays(-30),
                        p.Ended || p.C.Closed ? SomeSchool.Today.AddDays(-3) : null
                    ))
                    .ToList();
        state.Apply(
            new(
                [],
                [.. rooms.Select(c => new Step<RosterClass>(null, c))],
                [.. readers.Select(r => new Step<RosterReader>(null, r))],
                [
                    .. rooms.Select(c => new Step<Teaching>(
                        null,
                        new Teaching(TeachingId.New(), c.Id, AdultId.New(), Part.Teacher)
                    )),
                ],
                [.. stays.Select(e => new Step<Enrolment>(null, e))],
                []
            )
        );
        return state;
    }

    private static RollOverFrame Frame(bool keep) =>
        new(SomeSchool.Year, Next, SomeSchool.Today.AddDays(100), SomeSchool.Today.AddDays(160), keep);

    [Fact]
    public void Rolling_over_takes_everybody_along_and_loses_nothing() =>
        Gen.Select(AnySchool, Gen.Bool)
            .Sample(
                (state, keep) =>
                {
                    var sizes = state
                        .Enrolments.Values.Where(e => e.To is null)
                        .GroupBy(e => e.ClassId)
                        .Select(g =>
                            (RollOver.Up(state.Classes[g.Key].Name), g.Count(e => state.Readers[e.ReaderId].Grade < 12))
                        )
                        .Where(x => x.Item2 > 0)
                        .Order()
                        .ToList();
                    var placed = state.Enrolments.Values.Where(e => e.To is null).Select(e => e.ReaderId).ToHashSet();
                    var before = state.Readers.ToDictionary(r => r.Key, r => r.Value.Grade);
                    var stays = state.Enrolments.Count;
                    state.Apply(RollOver.Plan(state, Frame(keep), SomeSchool.Makers(state)));
                    state.Classes.Values.Where(c => c.YearId == SomeSchool.Year).ShouldAllBe(c => c.Closed);
                    foreach (var (id, grade) in before)
                    {
                        var now = state.Readers[id];
                        (now.Left ? "left" : $"{now.Grade}").ShouldBe(
                            !placed.Contains(id) ? $"{grade}"
                            : grade == 12 ? "left"
                            : $"{grade + 1}"
                        );
                    }
                    state.Enrolments.Values.Count(e => e.To is null).ShouldBe(keep ? sizes.Sum(s => s.Item2) : 0);
                    state.Enrolments.Count.ShouldBeGreaterThanOrEqualTo(stays);
                    if (keep)
                        state
                            .Enrolments.Values.Where(e => e.To is null)
                            .GroupBy(e => state.Classes[e.ClassId].Name)
                            .Select(g => (g.Key, g.Count()))
                            .Order()
                            .ToList()
                            .ShouldBe(sizes);
                },
                iter: 500
            );

    [Fact]
    public void Rolled_over_and_back_is_as_it_was() =>
        Gen.Select(AnySchool, Gen.Bool)
            .Sample(
                (state, keep) =>
                {
                    Dictionary<ReaderId, RosterReader> readers = new(state.Readers);
                    Dictionary<EnrolmentId, Enrolment> enrolments = new(state.Enrolments);
                    Dictionary<ClassId, RosterClass> classes = new(state.Classes);
                    var plan = RollOver.Plan(state, Frame(keep), SomeSchool.Makers(state));
                    state.Apply(plan);
                    state.Apply(plan.Inverse());
                    state.Readers.ShouldBe(readers, ignoreOrder: true);
                    state.Enrolments.ShouldBe(enrolments, ignoreOrder: true);
                    state.Classes.ShouldBe(classes, ignoreOrder: true);
                },
                iter: 300
            );

    [Fact]
    public void A_year_without_open_classes_has_nothing_to_roll() =>
        RollOver.Plan(new(), Frame(true), SomeSchool.Makers(new())).Steps.ShouldBe(0);

    [Theory]
    [InlineData("4 Tern", "5 Tern")]
    [InlineData("9B", "10B")]
    [InlineData("Terns", "Terns")]
    [InlineData("2026 choir", "2026 choir")]
    public void A_class_that_begins_with_its_grade_is_named_a_year_on(string name, string next) =>
        RollOver.Up(name).ShouldBe(next);

    [Fact]
    public void Moving_ends_one_stay_and_begins_another_on_the_same_day() =>
        AnySchool.Sample(
            state =>
            {
                var open = state.Enrolments.Values.FirstOrDefault(e => e.To is null);
                var to = state.Classes.Values.FirstOrDefault(c => c.Id != open?.ClassId);
                if (open is null || to is null)
                    return;
                var reader = state.Readers[open.ReaderId];
                var change = RosterMoves.Move(
                    [reader],
                    [.. state.Enrolments.Values.Where(e => e.ReaderId == reader.Id)],
                    open.ClassId,
                    to.Id,
                    SomeSchool.Today,
                    EnrolmentId.New
                );
                state.Apply(change);
                state
                    .Enrolments.Values.Count(e => e.ReaderId == reader.Id && e.ClassId == to.Id && e.To is null)
                    .ShouldBe(1);
                state.Enrolments[open.Id].To.ShouldBe(SomeSchool.Today);
            },
            iter: 300
        );

    [Fact]
    public void Who_comes_back_is_no_longer_gone()
    {
        var gone = Reader(1, 4, left: true);
        var change = RosterMoves.Enrol([gone], [], ClassId.New(), SomeSchool.Today, EnrolmentId.New);
        change.Readers.Single().After!.Left.ShouldBeFalse();
        change.Enrolments.Count.ShouldBe(1);
    }

    [Fact]
    public void A_change_that_finds_something_else_is_not_done()
    {
        var state = new RosterState();
        var reader = Reader(1, 4);
        state.Apply(ChangeSet.Nothing with { Readers = [new(null, reader)] });
        Should.Throw<InvalidOperationException>(() =>
            state.Apply(ChangeSet.Nothing with { Readers = [new(reader with { Grade = 7 }, reader)] })
        );
        Should.Throw<InvalidOperationException>(() =>
            state.Apply(ChangeSet.Nothing with { Readers = [new(null, reader)] })
        );
    }

    [Fact]
    public void A_hundred_children_of_one_name_have_a_hundred_user_names()
    {
        var names = new UserNames(new HashSet<string> { "ana.c7" });
        var given = Enumerable.Range(0, 100).Select(_ => names.Take(SignInRules.UserName("Ana", "Cruz"))).ToList();
        given.ShouldBeUnique();
        given.ShouldNotContain("ana.c7");
        given[0].ShouldBe("ana.c");
    }

    [Theory]
    [InlineData(SecretKind.Pictures)]
    [InlineData(SecretKind.Code)]
    [InlineData(SecretKind.Password)]
    public void A_new_secret_will_do_and_is_the_same_as_typed_by_a_child(SecretKind kind) =>
        Gen.Int.Sample(seed =>
        {
            var secret = SignInRules.NewSecret(kind, new Random(seed));
            SignInRules.Fault(kind, secret).ShouldBeNull();
            SignInRules
                .Typed(kind, kind == SecretKind.Pictures ? $" {secret} " : $" {secret.ToUpperInvariant()} ")
                .ShouldBe(secret);
        });

    [Theory]
    [InlineData(SecretKind.Pictures, "boat gull")]
    [InlineData(SecretKind.Pictures, "boat gull horse")]
    [InlineData(SecretKind.Code, "ab")]
    [InlineData(SecretKind.Code, "a b c d")]
    [InlineData(SecretKind.Password, "short")]
    public void A_secret_that_will_not_do_is_told_why(SecretKind kind, string secret) =>
        SignInRules.Fault(kind, secret)!.Key.Length.ShouldBeGreaterThan(10);

    [Theory]
    [InlineData(2, SecretKind.Pictures)]
    [InlineData(4, SecretKind.Pictures)]
    [InlineData(5, SecretKind.Code)]
    [InlineData(7, SecretKind.Code)]
    [InlineData(8, SecretKind.Password)]
    public void The_school_says_by_grade_what_readers_sign_in_with(int grade, SecretKind kind) =>
        SignInRules.KindFor(grade, 4, 7).ShouldBe(kind);

    [Theory]
    [InlineData("a@b.example", true)]
    [InlineData("a.b+c@d-e.example.org", true)]
    [InlineData("a@b", false)]
    [InlineData("@b.example", false)]
    [InlineData("a@@b.example", false)]
    [InlineData("a b@c.example", false)]
    [InlineData("a@b.example.", false)]
    [InlineData("<a@b.example>", false)]
    public void Addresses_are_judged_without_sending(string address, bool holds) => Mail.Holds(address).ShouldBe(holds);

    [Theory]
    [InlineData("  Ana \t Maria ", "Ana Maria")]
    [InlineData("\uFEFFZoë", "Zoë")]
    [InlineData("Ana\u0000\u0007", "Ana")]
    [InlineData(null, "")]
    public void Names_are_tidied(string? name, string tidy) => Names.Tidy(name).ShouldBe(tidy);

    [Theory]
    [InlineData("O’Hara", "o'hara", true)]
    [InlineData("Smith‐Jones", "smith-jones", true)]
    [InlineData("José", "Jose", false)]
    public void Names_are_the_same_as_people_say_they_are(string a, string b, bool same) =>
        (Names.Key(a, "") == Names.Key(b, "")).ShouldBe(same);

    [Fact]
    public void A_chart_with_a_row_that_lacks_a_label_is_refused() =>
        Should
            .Throw<ArgumentException>(() =>
                new LevelChart(
                    [.. LevelChart.Default.Rows.Select((r, i) => r with { Own = i == 3 ? [] : ["x"] })],
                    ["Steps"]
                )
            )
            .Message.ShouldContain("Grade 3");

    [Fact]
    public void Every_label_of_a_chart_leads_back_to_its_row() =>
        Gen.Int[0, 12]
            .Sample(i =>
            {
                var chart = new LevelChart(
                    [.. LevelChart.Default.Rows.Select((r, n) => r with { Own = [$"Step {n}"] })],
                    ["Steps"]
                );
                var row = chart.Rows[i];
                foreach (
                    var text in new[]
                    {
                        row.SchoolYear,
                        $"grade {row.GradeLabel}",
                        row.Own[0],
                        $"{row.Depth.Value} fm",
                        $" {row.Own[0].ToUpperInvariant()} ",
                    }
                )
                    LevelLabels
                        .Read(text, LevelLabels.InFathoms, chart)!
                        .Value.Value.ShouldBe(row.Depth.Value, 0.01, text);
            });
}
