namespace DeepCurrent.Core.Roster;

/// <summary>How a school year is rolled over.</summary>
/// <param name="NewYearId">The year that is to come; it must be there already.</param>
/// <param name="LastDay">Last day of the year that ends.</param>
/// <param name="FirstDay">First day of the year that begins.</param>
/// <param name="KeepClasses">Classes go up together, with their teachers; otherwise they end and readers wait without a
/// class.</param>
public sealed record RollOverFrame(
    YearId OldYearId,
    YearId NewYearId,
    DateOnly LastDay,
    DateOnly FirstDay,
    bool KeepClasses
);

/// <summary>Takes a school from one year to the next: readers go up a grade, those of the highest grade leave, classes
/// close, and everything that was is kept.</summary>
public static class RollOver
{
    /// <param name="state">The school's roster.</param>
    /// <returns>The change; empty if the old year has no open class.</returns>
    public static ChangeSet Plan(RosterState state, RollOverFrame frame, Makers makers)
    {
        var old = state
            .Classes.Values.Where(c => c.YearId == frame.OldYearId && !c.Closed)
            .OrderByName(c => c.Name)
            .ToList();
        var ids = old.Select(c => c.Id).ToHashSet();
        var open = state
            .Enrolments.Values.Where(e => e.To is null && ids.Contains(e.ClassId))
            .OrderBy(e => e.Id)
            .ToList();
        var readers = Onwards(state, open);
        var leaving = readers.Where(s => s.After!.Left).Select(s => s.Thing.Id).ToHashSet();
        var next = frame.KeepClasses ? old.ToDictionary(c => c.Id, c => YearOn(c, frame, makers)) : [];
        return ChangeSet.Nothing with
        {
            Classes =
            [
                .. old.Select(c => new Step<RosterClass>(c, c with { Closed = true })),
                .. next.Values.Select(c => new Step<RosterClass>(null, c)),
            ],
            Readers = readers,
            Teachings =
            [
                .. state
                    .Teachings.Values.Where(t => next.ContainsKey(t.ClassId))
                    .OrderBy(t => t.Id)
                    .Select(t => new Step<Teaching>(
                        null,
                        new Teaching(makers.New<TeachingId>(), next[t.ClassId].Id, t.AdultId, t.Role)
                    )),
            ],
            Enrolments =
            [
                .. open.Select(e => new Step<Enrolment>(e, Ended(e, frame.LastDay))),
                .. open.Where(e => next.ContainsKey(e.ClassId) && !leaving.Contains(e.ReaderId))
                    .Select(e => new Step<Enrolment>(null, Into(next[e.ClassId].Id, e.ReaderId, frame, makers))),
            ],
        };
    }

    /// <summary>Readers a grade up, or gone after the highest.</summary>
    private static List<Step<RosterReader>> Onwards(RosterState state, IReadOnlyList<Enrolment> open)
    {
        var moving = open.Select(e => e.ReaderId).ToHashSet();
        return
        [
            .. state
                .Readers.Values.Where(r => moving.Contains(r.Id) && !r.Left)
                .OrderBy(r => r.Id)
                .Select(r => new Step<RosterReader>(
                    r,
                    r.Grade >= Grades.Highest ? r with { Left = true } : r with { Grade = r.Grade + 1 }
                )),
        ];
    }

    private static RosterClass YearOn(RosterClass c, RollOverFrame frame, Makers makers) =>
        new(makers.New<ClassId>(), null, frame.NewYearId, Up(c.Name), makers.ClassCode(), null, null, Closed: false);

    private static Enrolment Ended(Enrolment e, DateOnly lastDay) =>
        e with
        {
            To = e.From > lastDay ? e.From : lastDay,
        };

    private static Enrolment Into(ClassId classId, ReaderId readerId, RollOverFrame frame, Makers makers) =>
        new(makers.New<EnrolmentId>(), null, classId, readerId, frame.FirstDay, null);

    /// <summary>A class's name a year on: a number it begins with goes up by one ("4 Tern" becomes "5 Tern").</summary>
    public static string Up(string name)
    {
        var digits = name.TakeWhile(char.IsAsciiDigit).Count();
        return digits is > 0 and <= 2 ? $"{int.Parse(name[..digits]) + 1}{name[digits..]}" : name;
    }
}
