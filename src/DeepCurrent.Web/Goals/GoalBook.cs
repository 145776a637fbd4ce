using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Goals;

/// <param name="Target">In the kind's own unit: percent or words.</param>
public sealed record GoalStandingView(
    GoalKind Kind,
    double Target,
    double Done,
    double DueNow,
    Probability Chance,
    Course Course,
    DateTimeOffset SetAt
)
{
    internal static GoalStandingView Of(GoalRow goal, TermSoFar term, IReadOnlyList<WeekOfReading> weeks)
    {
        var s = term.Standing(goal.Kind, goal.Target, weeks);
        return new(goal.Kind, goal.Target, s.Done, s.DueNow, new(s.Chance), s.Course, goal.SetAt);
    }
}

/// <summary>One reader's goals of this term.</summary>
public sealed class GoalBook(GoalStore goals, AssignmentStore assignments, SchoolStore schools, Desk desk)
{
    /// <summary>The current goals of one reader and how they stand.</summary>
    public async Task<IReadOnlyList<GoalStandingView>> OfReader(ReaderId reader, School school)
    {
        var today = await desk.Today();
        if (await schools.CurrentYear(school.Id, today) is not { } year || year.TermOn(today) is not { } term)
            return [];
        var (rows, weeks) = await Weeks(reader, school, year, term, today);
        var soFar = new TermSoFar(year, term, today);
        return [.. rows.OrderBy(g => g.Kind).Select(g => GoalStandingView.Of(g, soFar, weeks))];
    }

    /// <summary>One reader's goals of a term, with the weeks they stand by.</summary>
    public async Task<(IReadOnlyList<GoalRow> Goals, IReadOnlyList<WeekOfReading> Weeks)> Weeks(
        ReaderId reader,
        School school,
        YearCalendar year,
        Term term,
        DateOnly today
    )
    {
        var rows = await goals.OfReader(reader, term.Id);
        var words = await assignments.WordsOf(reader);
        var readings = (await assignments.History(reader))
            .Select(h => h.Ticket)
            .Where(k => k is { Score: not null, HandedInAt: not null, State: TicketState.Released })
            .Select(k => new ReadingDone(k.HandedInAt!.Value, k.Score!.Value.Value, words.GetValueOrDefault(k.Id)));
        return (rows, new TermSoFar(year, term, today).Weeks(readings, school.UnderstoodFrom));
    }
}
