using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;

namespace Core.Tests;

/// <summary>What a change to a roster would do, before it is done.</summary>
public sealed class RosterPreviewTests
{
    private static readonly RosterNames NoNames = new(
        new Dictionary<ReaderId, string>(),
        new Dictionary<ClassId, string>()
    );

    private static RosterReader Reader(string given, int grade = 4) =>
        new()
        {
            Id = ReaderId.New(),
            SourceId = null,
            GivenName = given,
            FamilyName = "Low",
            UserName = given,
            Grade = grade,
            GuardianMail = null,
            SecretKind = SecretKind.Pictures,
            Secret = "",
            Supports = Supports.None,
            Left = false,
        };

    private static RosterPreview Of(ChangeSet change, RosterNames? names = null, int most = 100) =>
        RosterPreview.Of(change, names ?? NoNames, most);

    [Fact]
    public void Steps_are_counted_by_what_they_do()
    {
        var (ana, bo, cy) = (Reader("Ana"), Reader("Bo"), Reader("Cy"));
        var preview = Of(
            ChangeSet.Nothing with
            {
                Readers =
                [
                    new(null, ana),
                    new(bo, bo with { Left = true }),
                    new(cy with { Left = true }, cy),
                    new(cy, cy with { Grade = 5, GivenName = "Cyd" }),
                ],
                Teachings = [new(new Teaching(TeachingId.New(), ClassId.New(), AdultId.New(), Part.Teacher), null)],
            }
        );
        preview.Counts[0].ShouldBe(new(RosterKind.Readers, 1, 1, 1, 1));
        preview.Counts.Single(c => c.Kind is RosterKind.Teaching).ShouldBe(new(RosterKind.Teaching, 0, 0, 1, 0));
        preview.Counts.Sum(c => c.All).ShouldBe(5);
        preview.Lines.Single(l => l.What is StepKind.Changed).Detail.ToString().ShouldBe("was Cy Low, grade 4 to 5");
        preview.Lines[^1].What.ShouldBe(StepKind.Added, "changes and ends come first");
    }

    [Fact]
    public void Who_leaves_one_class_and_joins_another_has_moved()
    {
        var (ana, from, to) = (ReaderId.New(), ClassId.New(), ClassId.New());
        var day = SomeSchool.Today;
        var left = new Enrolment(EnrolmentId.New(), null, from, ana, day.AddDays(-9), null);
        var names = new RosterNames(
            new Dictionary<ReaderId, string> { [ana] = "Ana Low" },
            new Dictionary<ClassId, string> { [from] = "4 Tern", [to] = "4 Gull" }
        );
        var preview = Of(
            ChangeSet.Nothing with
            {
                Enrolments =
                [
                    new(left, left with { To = day }),
                    new(null, new Enrolment(EnrolmentId.New(), null, to, ana, day, null)),
                ],
            },
            names
        );
        preview.Moved.ShouldBe(1);
        preview
            .Lines.Select(l => (l.What, l.Name.ToString(), l.Detail.ToString()))
            .ShouldBe([
                (StepKind.Moved, "Ana Low in 4 Tern", "leaves"),
                (StepKind.Moved, "Ana Low in 4 Gull", "joins"),
            ]);
    }

    [Fact]
    public void The_same_change_worked_out_again_has_the_same_print_and_another_has_another()
    {
        ChangeSet Adding(params string[] names) =>
            ChangeSet.Nothing with
            {
                Readers = [.. names.Select(n => new Step<RosterReader>(null, Reader(n)))],
            };
        Of(Adding("Ana", "Bo")).Print.ShouldBe(Of(Adding("Ana", "Bo"), most: 1).Print, "ids are new each time");
        Of(Adding("Ana", "Bo")).Print.ShouldNotBe(Of(Adding("Ana", "Cy")).Print);
        Of(Adding("Ana", "Bo")).Print.ShouldNotBe(Of(Adding("Ana")).Print);
        Of(Adding("Ana", "Bo"), most: 1).Lines.Count.ShouldBe(1);
    }
}
