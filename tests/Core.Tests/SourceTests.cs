using CsCheck;
using DeepCurrent.Core.Roster;

namespace Core.Tests;

/// <summary>Sources that are told apart, rows that are held back, and files that would end too much.</summary>
public sealed class SourceTests
{
    private static readonly (string, string, string)[] BothIn = [("e1", "c1", "r1"), ("e2", "c1", "r2")];

    private static SourceRoster Both => SourceReconcilerTests.File(SourceScope.Whole, ["r1", "r2"], BothIn);

    private static SourceResult Reconcile(RosterState state, SourceRoster source) =>
        SourceReconciler.Reconcile(state, source, SomeSchool.Source, SomeSchool.Makers(state));

    [Fact]
    public void One_source_does_not_end_what_another_has_brought()
    {
        var state = SourceReconcilerTests.After(Both with { Source = "the district" });
        var other = SourceReconcilerTests.File(SourceScope.Whole, ["x1"], [("y1", "c1", "x1")]) with
        {
            Source = "a zip",
            ClassRows = [new(new("classes.csv", 2), "c1", "5 Gull", null, null, null, false)],
        };
        state.Apply(Reconcile(state, other).Change);
        state.Readers.Values.ShouldAllBe(r => !r.Left);
        state.Classes.Values.ShouldAllBe(c => !c.Closed);
        state.Enrolments.Values.ShouldAllBe(e => e.To == null);
        state.Readers.Count.ShouldBe(3);
    }

    [Fact]
    public void The_same_id_from_another_source_is_another_child_unless_it_has_the_same_name()
    {
        var state = SourceReconcilerTests.After(Both with { Source = "the district" });
        var zip = Both with
        {
            Source = "a zip",
            Readers =
            [
                new(new("users.csv", 2), "r1", "r1", "Test", "04", false),
                new(new("users.csv", 3), "r2", "Quite", "Other", "04", false),
            ],
        };
        state.Apply(Reconcile(state, zip).Change);
        state.Readers.Values.Where(r => r.SourceId == "r1").Select(r => r.Source).ShouldBe(["a zip"]);
        state
            .Readers.Values.Where(r => r.SourceId == "r2")
            .Select(r => r.FullName)
            .ShouldBe(["r2 Test", "Quite Other"], ignoreOrder: true);
    }

    [Fact]
    public void What_a_source_brought_alone_it_can_end_whatever_other_sources_say_between() =>
        Gen.Select(SomeSchool.Any, SomeSchool.Any, SomeSchool.Any)
            .Sample(
                (a, b, c) =>
                {
                    var south = SourceReconcilerTests.After(a with { Source = "north" }, b with { Source = "north" });
                    var before = south.Readers.Values.Where(r => !r.Left).Select(r => r.Id).ToHashSet();
                    south.Apply(Reconcile(south, c with { Source = "south" }).Change);
                    var named = c.Readers.Select(r => (r.SourceId, r.GivenName, r.FamilyName)).ToHashSet();
                    south
                        .Readers.Values.Where(r => before.Contains(r.Id) && r.Left)
                        .ShouldAllBe(r => named.Any(n => n.SourceId == r.SourceId), "only who is named can be ended");
                },
                iter: 500
            );

    [Fact]
    public void What_a_held_back_row_names_stays_as_it_is()
    {
        var state = SourceReconcilerTests.After(Both);
        var held = new HeldRows();
        held.User(new("users.csv", 3), "r2", Names.Key("r2", "Test"));
        held.Enrolment("e1", "c1", "r1");
        held.Class(new("classes.csv", 3), "c2", "4 Gull");
        var file = SourceReconcilerTests.File(SourceScope.Whole, ["r1"], [("e2", "c1", "r2")]) with { Held = held };
        Reconcile(state, file with { ClassRows = [file.ClassRows[0]] }).Change.Steps.ShouldBe(0);
    }

    [Fact]
    public void A_held_back_row_without_an_id_stands_for_whoever_has_the_name()
    {
        var held = new HeldRows();
        held.User(new("users.csv", 3), "", Names.Key("r2", "Test"));
        var file = SourceReconcilerTests.File(SourceScope.Whole, ["r1"], [("e1", "c1", "r1"), ("e2", "c1", "r2")]) with
        {
            Held = held,
        };
        var state = SourceReconcilerTests.After(Both);
        Reconcile(state, file).Change.Readers.ShouldBeEmpty();
    }

    [Fact]
    public void Changes_to_somebody_whose_role_the_file_leaves_out_are_made_to_who_they_are_here()
    {
        var state = SourceReconcilerTests.After(Both);
        var changes = SourceReconcilerTests.File(SourceScope.Changes, [], []) with
        {
            ClassRows = [],
            Unsaid =
            [
                new(
                    new(new("users.csv", 2), "r1", "Renamed", "Test", null, false),
                    new(new("users.csv", 2), "r1", "Renamed Test", null, null, false)
                ),
                new(
                    new(new("users.csv", 3), "r2", "", "", null, true),
                    new(new("users.csv", 3), "r2", "", null, null, true)
                ),
                new(
                    new(new("users.csv", 4), "r9", "New", "Here", null, false),
                    new(new("users.csv", 4), "r9", "New Here", null, null, false)
                ),
            ],
        };
        var result = Reconcile(state, changes);
        state.Apply(result.Change);
        state.Readers.Values.Single(r => r.SourceId == "r1").GivenName.ShouldBe("Renamed");
        state.Readers.Values.Single(r => r.SourceId == "r2").Left.ShouldBeTrue();
        result.Problems.Single(p => p.Stops).At.Line.ShouldBe(4);
    }

    [Fact]
    public void A_whole_file_must_hold_what_its_rows_refer_to()
    {
        var state = SourceReconcilerTests.After(Both);
        var file = SourceReconcilerTests.File(
            SourceScope.Whole,
            ["r1"],
            [("e1", "c1", "r1"), ("e2", "c1", "r2"), ("e9", "c9", "r1")]
        );
        var problems = Reconcile(state, file).Problems.Where(p => p.Stops).ToList();
        problems
            .Select(p => (p.At.Line, p.Column))
            .ShouldBe([(3, "userSourcedId"), (4, "classSourcedId")], ignoreOrder: true);
        problems.ShouldAllBe(p => p.Reason.Key.EndsWith("in the file."));
        // A file of changes may lean on what is here.
        Reconcile(
            state,
            file with
            {
                Users = SourceScope.Changes,
                Classes = SourceScope.Changes,
                Enrolments = SourceScope.Changes,
            }
        )
            .Problems.Count(p => p.Stops)
            .ShouldBe(1);
    }

    [Theory]
    [InlineData(30, 28, false)]
    [InlineData(30, 27, false)]
    [InlineData(30, 26, true)]
    [InlineData(4, 2, false)]
    [InlineData(4, 1, true)]
    public void More_than_a_tenth_is_asked_about(int before, int after, bool asked)
    {
        SourceRoster Of(int n) =>
            SourceReconcilerTests.File(
                SourceScope.Whole,
                [.. Enumerable.Range(0, n).Select(i => $"r{i}")],
                [.. Enumerable.Range(0, n).Select(i => ($"e{i}", "c1", $"r{i}"))]
            );
        var endings = Reconcile(SourceReconcilerTests.After(Of(before)), Of(after)).Endings;
        endings.Readers.ShouldBe(new Ending(before - after, before));
        endings.Unusual.ShouldBe(asked);
    }

    [Fact]
    public void Whoever_moves_is_not_ended()
    {
        var state = SourceReconcilerTests.After(Both);
        Reconcile(
            state,
            SourceReconcilerTests.File(SourceScope.Whole, ["r1", "r2"], [("f1", "c2", "r1"), ("f2", "c2", "r2")])
        )
            .Endings.Readers.Ended.ShouldBe(0);
    }

    [Fact]
    public void A_guardians_address_comes_in_where_there_is_none()
    {
        var file = Both with
        {
            Readers = [new(new("users.csv", 2), "r1", "r1", "Test", "04", false, "a@example.org, b@example.org")],
        };
        var state = SourceReconcilerTests.After(file);
        state.Readers.Values.Single().GuardianMail.ShouldBe("a@example.org, b@example.org");
        var other = Reconcile(state, file with { Readers = [file.Readers[0] with { GuardianMail = "c@example.org" }] });
        other.Change.Readers.ShouldBeEmpty();
        other.Problems.ShouldContain(p => !p.Stops && p.Column == "email");
    }

    [Theory]
    [InlineData("a@b.example", "a@b.example")]
    [InlineData(" a@b.example;c@d.example , A@B.example", "a@b.example, c@d.example")]
    [InlineData("  ", null)]
    public void Several_addresses_are_one_text(string typed, string? kept) => Mail.Several(typed).ShouldBe(kept);
}
