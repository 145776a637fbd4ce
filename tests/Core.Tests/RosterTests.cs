using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;

namespace Core.Tests;

/// <summary>A school small enough to read and a source that says anything at all about it.</summary>
internal static class SomeSchool
{
    public static readonly YearId Year = new(new("00000000-0000-0000-0000-0000000000aa"));
    public static readonly DateOnly Today = new(2026, 11, 23);
    public static readonly DateTimeOffset Now = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    /// <summary>Ids, names and codes in order, so that the same input makes the same roster.</summary>
    public static Makers Makers(RosterState state)
    {
        var n =
            7_000_000
            + 1000
                * (
                    state.Readers.Count
                    + state.Enrolments.Count
                    + state.Classes.Count
                    + state.Adults.Count
                    + state.Teachings.Count
                );
        var names = new DeepCurrent.Core.Readers.UserNames(state.Readers.Values.Select(r => r.UserName).ToHashSet());
        var adults = new DeepCurrent.Core.Readers.UserNames(state.Adults.Values.Select(a => a.UserName).ToHashSet());
        return new(
            () => new Guid(++n, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10),
            (given, family) => names.Take(DeepCurrent.Core.Readers.SignInRules.UserName(given, family)),
            adults.Take,
            _ => (SecretKind.Pictures, "sealed"),
            () => $"CODE{++n}"
        );
    }

    public static ListFrame Frame(ClassId classId) =>
        new(classId, new Dictionary<string, ClassId>(), 4, LevelLabels.InFathoms, LevelChart.Default, Today, Now);

    public static SourceFrame Source => new(Year, Today, LevelChart.Default, new HashSet<AdultId>());

    private static readonly Gen<string> Id = Gen.Int[0, 12].Select(i => $"s{i}");
    private static readonly Gen<DateOnly?> Day = Gen.Int[-40, 40]
        .Select(d => d % 3 == 0 ? null : (DateOnly?)Today.AddDays(d));
    private static readonly Gen<SourceScope> Scope = Gen.Int[0, 2].Select(i => (SourceScope)i);
    private static readonly Gen<string> Word = Some.Of("Ana", "Bo", "Cy", "Dé", "Él");

    private static RowPlace At(int line) => new("x.csv", line);

    public static readonly Gen<SourceRoster> Any =
        from users in Scope
        from classes in Scope
        from enrolments in Scope
        from adults in (from id in Id from gone in Gen.Bool from name in Word select (id, name, gone)).Array[0, 4]
        from rooms in (
            from id in Id
            from first in Day
            from last in Day
            from gone in Gen.Bool
            select (id, first, last, gone)
        ).Array[0, 5]
        from readers in (
            from id in Id
            from given in Word
            from family in Word
            from grade in Some.Of("", "KG", "03", "04", "99")
            from gone in Gen.Bool
            select (id, given, family, grade, gone)
        ).Array[0, 9]
        from rows in (
            from id in Gen.Int[0, 25]
            from room in Id
            from user in Id
            from role in Some.Of("student", "student", "teacher", "aide", "pilot")
            from first in Day
            from last in Day
            from gone in Gen.Int[0, 3]
            select (id: $"e{id}", room, user, role, first, last, gone: gone == 0)
        ).Array[0, 20]
        from name in Some.Of("north", "south")
        select new SourceRoster(
            name,
            users,
            classes,
            enrolments,
            [
                .. adults.Select(
                    (a, i) => new SourceAdult(At(i), "a" + a.id, a.name, null, $"{a.id}@example.org", a.gone)
                ),
            ],
            [.. rooms.Select((c, i) => new SourceClass(At(i), c.id, "Class " + c.id, c.first, c.last, "04", c.gone))],
            [.. readers.Select((r, i) => new SourceReader(At(i), r.id, r.given, r.family, r.grade, r.gone))],
            [],
            [
                .. rows.Select(
                    (e, i) =>
                        new SourceEnrolment(
                            At(i),
                            e.id,
                            e.room,
                            e.role is "teacher" or "aide" ? "a" + e.user : e.user,
                            e.role,
                            e.first,
                            e.last,
                            e.gone
                        )
                ),
            ],
            [],
            new()
        );

    public static (RosterState State, RosterClass Room, RosterClass Other) Two()
    {
        var state = new RosterState();
        RosterClass room = new(ClassId.New(), null, Year, "4 Tern", "TERN46", null, null, false),
            other = new(ClassId.New(), null, Year, "4 Gull", "GULL46", null, null, false);
        state.Apply(ChangeSet.Nothing with { Classes = [new(null, room), new(null, other)] });
        return (state, room, other);
    }
}

public sealed class SourceReconcilerTests
{
    internal static RosterState After(params SourceRoster[] sources)
    {
        var state = new RosterState();
        foreach (var source in sources)
            state.Apply(SourceReconciler.Reconcile(state, source, SomeSchool.Source, SomeSchool.Makers(state)).Change);
        return state;
    }

    [Fact]
    public void The_same_file_twice_changes_nothing_the_second_time() =>
        Gen.Select(SomeSchool.Any, SomeSchool.Any)
            .Sample(
                (before, source) =>
                {
                    var state = After(before, source);
                    var again = SourceReconciler
                        .Reconcile(state, source, SomeSchool.Source, SomeSchool.Makers(state))
                        .Change;
                    again.Steps.ShouldBe(
                        0,
                        string.Join(
                            "\n",
                            again
                                .Readers.Cast<object>()
                                .Concat(again.Enrolments)
                                .Concat(again.Classes)
                                .Concat(again.Adults)
                                .Concat(again.Teachings)
                        )
                    );
                },
                iter: 3000
            );

    [Fact]
    public void What_is_done_and_undone_leaves_everything_as_it_was() =>
        Gen.Select(SomeSchool.Any, SomeSchool.Any)
            .Sample(
                (before, source) =>
                {
                    RosterState state = After(before),
                        same = After(before);
                    var change = SourceReconciler
                        .Reconcile(state, source, SomeSchool.Source, SomeSchool.Makers(state))
                        .Change;
                    state.Apply(change);
                    state.Apply(change.Inverse());
                    state.Readers.ShouldBe(same.Readers, ignoreOrder: true);
                    state.Enrolments.ShouldBe(same.Enrolments, ignoreOrder: true);
                    state.Classes.ShouldBe(same.Classes, ignoreOrder: true);
                    state.Adults.ShouldBe(same.Adults, ignoreOrder: true);
                    state.Teachings.ShouldBe(same.Teachings, ignoreOrder: true);
                },
                iter: 500
            );

    [Fact]
    public void Nobody_is_in_a_class_twice_and_nothing_hangs_in_the_air() =>
        Gen.Select(SomeSchool.Any, SomeSchool.Any, SomeSchool.Any)
            .Sample(
                (a, b, c) =>
                {
                    var state = After(a, b, c);
                    state
                        .Enrolments.Values.Where(e => e.To is null)
                        .GroupBy(e => (e.ClassId, e.ReaderId))
                        .ShouldAllBe(g => g.Count() == 1);
                    state.Enrolments.Values.ShouldAllBe(e =>
                        state.Readers.ContainsKey(e.ReaderId) && state.Classes.ContainsKey(e.ClassId)
                    );
                    state
                        .Enrolments.Values.Where(e => e.To is null)
                        .ShouldAllBe(e => !state.Readers[e.ReaderId].Left && !state.Classes[e.ClassId].Closed);
                    state.Readers.Values.Select(r => r.UserName).ShouldBeUnique();
                    state.Readers.Values.ShouldAllBe(r => r.Secret.Length > 0);
                },
                iter: 1000
            );

    [Fact]
    public void Every_row_that_is_held_back_says_which_and_why() =>
        SomeSchool.Any.Sample(
            source =>
            {
                var problems = SourceReconciler
                    .Reconcile(new(), source, SomeSchool.Source, SomeSchool.Makers(new()))
                    .Problems;
                problems.ShouldAllBe(p => p.At.File.Length > 0 && p.Reason.Key.Length > 10 && p.Column.Length > 0);
            },
            iter: 300
        );

    internal static SourceRoster File(
        SourceScope scope,
        string[] readers,
        (string Id, string Class, string User)[] rows,
        string[]? gone = null
    ) =>
        new(
            "file",
            scope,
            scope,
            scope,
            [],
            [
                new(new("classes.csv", 2), "c1", "4 Tern", null, null, null, false),
                new(new("classes.csv", 3), "c2", "4 Gull", null, null, null, false),
            ],
            [
                .. readers.Select(
                    (r, i) => new SourceReader(new("users.csv", i + 2), r, r, "Test", "04", gone?.Contains(r) ?? false)
                ),
            ],
            [],
            [
                .. rows.Select(
                    (e, i) =>
                        new SourceEnrolment(
                            new("enrollments.csv", i + 2),
                            e.Id,
                            e.Class,
                            e.User,
                            "student",
                            null,
                            null,
                            false
                        )
                ),
            ],
            [],
            new()
        );

    [Fact]
    public void A_whole_file_ends_what_it_leaves_out_and_a_delta_does_not()
    {
        var first = File(SourceScope.Whole, ["r1", "r2"], [("e1", "c1", "r1"), ("e2", "c1", "r2")]);
        var without = File(SourceScope.Whole, ["r1"], [("e1", "c1", "r1")]);
        var state = After(first, without);
        state.Readers.Values.Single(r => r.SourceId == "r2").Left.ShouldBeTrue();
        state.Enrolments.Values.Single(e => e.SourceId == "e2").To.ShouldBe(SomeSchool.Today);
        After(
            first,
            without with
            {
                Users = SourceScope.Changes,
                Classes = SourceScope.Changes,
                Enrolments = SourceScope.Changes,
            }
        )
            .Readers.Values.ShouldAllBe(r => !r.Left);
    }

    [Fact]
    public void A_reader_in_another_class_has_moved()
    {
        var state = After(File(SourceScope.Whole, ["r1"], [("e1", "c1", "r1")]));
        var change = SourceReconciler
            .Reconcile(
                state,
                File(SourceScope.Whole, ["r1"], [("e2", "c2", "r1")]),
                SomeSchool.Source,
                SomeSchool.Makers(state)
            )
            .Change;
        change.MovedReaders().ShouldBe([state.Readers.Keys.Single()]);
    }

    [Fact]
    public void A_reader_who_was_typed_in_before_is_linked_and_not_doubled()
    {
        var state = new RosterState();
        var typed = new RosterReader
        {
            Id = ReaderId.New(),
            SourceId = null,
            GivenName = "r1",
            FamilyName = "Test",
            UserName = "r1.t",
            Grade = 4,
            GuardianMail = null,
            SecretKind = SecretKind.Pictures,
            Secret = "sealed",
            Supports = Supports.None,
            Left = false,
        };
        state.Apply(ChangeSet.Nothing with { Readers = [new(null, typed)] });
        var result = SourceReconciler.Reconcile(
            state,
            File(SourceScope.Whole, ["r1"], []),
            SomeSchool.Source,
            SomeSchool.Makers(state)
        );
        result.Linked.ShouldBe(1);
        result.Change.Readers.Single().After.ShouldBe(typed with { SourceId = "r1", Source = "file" });
    }

    [Fact]
    public void Whoever_was_added_by_hand_is_left_alone_by_a_whole_file()
    {
        var state = After(File(SourceScope.Whole, ["r1"], [("e1", "c1", "r1")]));
        var hand = new RosterReader
        {
            Id = ReaderId.New(),
            SourceId = null,
            GivenName = "By",
            FamilyName = "Hand",
            UserName = "by.h",
            Grade = 4,
            GuardianMail = null,
            SecretKind = SecretKind.Pictures,
            Secret = "sealed",
            Supports = Supports.None,
            Left = false,
        };
        var room = state.Classes.Values.First(c => c.SourceId == "c1");
        state.Apply(
            ChangeSet.Nothing with
            {
                Readers = [new(null, hand)],
                Enrolments =
                [
                    new(null, new Enrolment(EnrolmentId.New(), null, room.Id, hand.Id, SomeSchool.Today, null)),
                ],
            }
        );
        SourceReconciler
            .Reconcile(
                state,
                File(SourceScope.Whole, ["r1"], [("e1", "c1", "r1")]),
                SomeSchool.Source,
                SomeSchool.Makers(state)
            )
            .Change.Steps.ShouldBe(0);
    }
}

public sealed class ListReconcilerTests
{
    private static ListRow Row(
        int line,
        string given,
        string family,
        string? grade = null,
        string? level = null,
        ReaderId? sameAs = null,
        string? id = null
    ) => new(line, id, given, family, grade, level, null, null, ReaderDetails.None, sameAs);

    private static ListResult Run(RosterState state, ClassId classId, params ListRow[] rows) =>
        ListReconciler.Reconcile(state, rows, SomeSchool.Frame(classId), SomeSchool.Makers(state));

    private static readonly Gen<ListRow[]> AnyRows = Gen.Select(
            Some.Of("Ana", "bo", "Cy  Lee", "", "<b>Él</b>"),
            Some.Of("Cruz", "O’Hara", "o'hara", ""),
            Some.Of("", "4", "K", "Year 5", "seven"),
            Some.Of("", "31", "grade 3", "deep", "900"),
            Gen.Int[0, 2]
        )
        .Select((given, family, grade, level, answer) => (given, family, grade, level, answer))
        .Array[0, 14]
        .Select(rows =>
            rows.Select(
                    (r, i) => Row(i + 1, r.given, r.family, r.grade, r.level, r.answer == 1 ? default(ReaderId) : null)
                )
                .ToArray()
        );

    [Fact]
    public void Whoever_the_rows_cannot_mean_need_not_be_looked_at() =>
        Gen.Select(AnyRows, AnyRows)
            .Sample(
                (first, second) =>
                {
                    var (state, room, _) = SomeSchool.Two();
                    state.Apply(Run(state, room.Id, first).Change);
                    var here = state
                        .Enrolments.Values.Where(e => e.ClassId == room.Id)
                        .Select(e => e.ReaderId)
                        .ToHashSet();
                    var (meant, part) = (new ListMeaning(second), new RosterState());
                    foreach (var c in state.Classes.Values)
                        part.Classes[c.Id] = c;
                    foreach (
                        var r in state.Readers.Values.Where(r =>
                            here.Contains(r.Id) || meant.Holds(r.Id, r.SourceId, r.GivenName, r.FamilyName)
                        )
                    )
                        part.Readers[r.Id] = r;
                    foreach (var e in state.Enrolments.Values.Where(e => part.Readers.ContainsKey(e.ReaderId)))
                        part.Enrolments[e.Id] = e;
                    foreach (var l in state.Levels.Values.Where(l => part.Readers.ContainsKey(l.ReaderId)))
                        part.Levels[l.Id] = l;
                    Run(part, room.Id, second)
                        .Rows.Select(r => (r.Fate, r.Twins.Count))
                        .ShouldBe(Run(state, room.Id, second).Rows.Select(r => (r.Fate, r.Twins.Count)));
                }
            );

    [Fact]
    public void The_same_list_twice_changes_nothing_the_second_time() =>
        AnyRows.Sample(
            rows =>
            {
                var (state, room, _) = SomeSchool.Two();
                state.Apply(Run(state, room.Id, rows).Change);
                Run(state, room.Id, rows).Change.Steps.ShouldBe(0);
            },
            iter: 2000
        );

    [Fact]
    public void What_is_said_of_the_rows_is_what_is_done() =>
        AnyRows.Sample(
            rows =>
            {
                var (state, room, _) = SomeSchool.Two();
                var result = Run(state, room.Id, rows);
                result.Rows.Count.ShouldBe(rows.Length);
                result
                    .Change.Readers.Count(s => s.Before is null)
                    .ShouldBe(result.Rows.Count(r => r.Fate == RowFate.New));
                result.Change.Enrolments.Count.ShouldBe(result.Rows.Count(r => r.Fate is RowFate.New or RowFate.Joins));
                result
                    .Rows.Where(r => r.Fate is RowFate.Stopped or RowFate.Question)
                    .ShouldAllBe(r => r.Problems.Any(p => p.Stops));
            },
            iter: 1000
        );

    [Fact]
    public void A_twin_by_name_is_asked_about_and_either_answer_is_taken()
    {
        var (state, room, other) = SomeSchool.Two();
        state.Apply(Run(state, other.Id, Row(1, "Ana", "Cruz", "4")).Change);
        var asked = Run(state, room.Id, Row(1, "ana", "CRUZ"));
        asked.Rows[0].Fate.ShouldBe(RowFate.Question);
        asked.Rows[0].Twins.Single().Where.ShouldBe("4 Gull");
        asked.Change.Steps.ShouldBe(0);
        var same = Run(state, room.Id, Row(1, "Ana", "Cruz", sameAs: asked.Rows[0].Twins[0].ReaderId));
        same.Rows[0].Fate.ShouldBe(RowFate.Joins);
        same.Change.Readers.ShouldBeEmpty();
        Run(state, room.Id, Row(1, "Ana", "Cruz", sameAs: default(ReaderId))).Rows[0].Fate.ShouldBe(RowFate.New);
    }

    [Theory]
    [InlineData("3", true)]
    [InlineData("31.5", true)]
    [InlineData("3 fm", false)]
    [InlineData("grade 3", false)]
    [InlineData("9–10", false)]
    public void A_bare_number_is_asked_about_until_somebody_says_what_it_means(string level, bool asked)
    {
        var (state, room, _) = SomeSchool.Two();
        var result = ListReconciler.Reconcile(
            state,
            [Row(1, "Ana", "Cruz", level: level)],
            SomeSchool.Frame(room.Id) with
            {
                LevelSystem = LevelLabels.Unsaid,
            },
            SomeSchool.Makers(state)
        );
        (result.Rows.Single().Fate == RowFate.Stopped).ShouldBe(asked);
        if (asked)
            result.Rows.Single().Problems.Single().Reason.ToString().ShouldContain($"grade {level}");
    }

    [Fact]
    public void A_level_may_be_written_in_any_system()
    {
        var (state, room, _) = SomeSchool.Two();
        Run(
            state,
            room.Id,
            Row(1, "A", "", "3", "31.5 fm"),
            Row(2, "B", "", "3", "grade 3"),
            Row(3, "C", "", "3", "Year 4"),
            Row(4, "D", "", "3", "28")
        )
            .Change.Levels.Select(l => l.After!.Value)
            .ShouldBe([31.5, 30, 30, 28]);
    }

    [Fact]
    public void A_level_that_was_in_the_list_before_is_not_new_evidence()
    {
        var (state, room, _) = SomeSchool.Two();
        state.Apply(Run(state, room.Id, Row(1, "Ana", "Cruz", "4", "31")).Change);
        Run(state, room.Id, Row(1, "Ana", "Cruz", "4", "34")).Change.Levels.Single().After!.Value.ShouldBe(34);
    }

    [Theory]
    [InlineData("Cruz, Ana Maria", "Ana Maria", "Cruz")]
    [InlineData("Ana Maria Cruz", "Ana Maria", "Cruz")]
    [InlineData("  Teo  ", "Teo", "")]
    [InlineData("王小明", "王小明", "")]
    public void A_whole_name_is_taken_apart(string name, string given, string family) =>
        Names.Split(name).ShouldBe((given, family));

    [Theory]
    [InlineData("K", 0)]
    [InlineData("04", 4)]
    [InlineData("Grade 7", 7)]
    [InlineData("3rd grade", 3)]
    [InlineData("Year 5", 4)]
    [InlineData("13", null)]
    [InlineData("lots", null)]
    public void Grades_are_read_as_people_write_them(string text, int? grade) =>
        Grades.Parse(text, LevelChart.Default).ShouldBe(grade);

    [Theory]
    [InlineData("7", LevelLabels.InAges)]
    [InlineData("Year 3", LevelLabels.InFathoms)]
    [InlineData("2", LevelLabels.InGrades)]
    public void The_systems_agree_where_they_mean_the_same(string text, string system) =>
        LevelLabels
            .Read(text, system, LevelChart.Default)!
            .Value.Value.ShouldBe(text == "7" ? LevelChart.Default.DepthAt(1).Value : 23, 0.001);

    [Fact]
    public void Own_labels_are_read_in_their_own_column()
    {
        var chart = new LevelChart(
            [.. LevelChart.Default.Rows.Select((r, i) => r with { Own = [$"Step {i}"] })],
            ["Pier steps"]
        );
        LevelLabels.Systems(chart).ShouldContain("Pier steps");
        LevelLabels.Read("step 4", LevelLabels.InFathoms, chart)!.Value.Value.ShouldBe(36);
        LevelLabels.Read("step 40", "Pier steps", chart).ShouldBeNull();
    }
}

internal static class Some
{
    public static Gen<T> Of<T>(params T[] values) => Gen.Int[0, values.Length - 1].Select(i => values[i]);
}
