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

/// <param name="Course">Reached, OnCourse, SlightlyBehind or Behind.</param>
public sealed record GoalStandingView(
    GoalKind Kind,
    double Target,
    double Done,
    double DueNow,
    double Chance,
    Course Course,
    DateTimeOffset SetAt
);

/// <summary>Works out how goals stand from what was read.</summary>
public sealed class GoalBook(GoalStore goals, AssignmentStore assignments, SchoolStore schools, Desk desk)
{
    /// <summary>The term's weeks so far of one reader.</summary>
    public static IReadOnlyList<WeekOfReading> Weeks(
        IEnumerable<ClassReading> readings,
        Term term,
        DateOnly today,
        SchoolClock clock,
        double passing
    )
    {
        var weeks = Math.Max(1, (Math.Min(today.DayNumber, term.LastDay.DayNumber) - term.FirstDay.DayNumber) / 7 + 1);
        var byWeek = readings
            .Select(r => (Reading: r, Day: clock.DayOf(r.At)))
            .Where(r => r.Day >= term.FirstDay)
            .ToLookup(r => (r.Day.DayNumber - term.FirstDay.DayNumber) / 7, r => r.Reading);
        return
        [
            .. Enumerable
                .Range(0, weeks)
                .Select(w => new WeekOfReading(
                    byWeek[w].Where(r => r.Score >= passing).Sum(r => r.Words),
                    [.. byWeek[w].Select(r => r.Score)]
                )),
        ];
    }

    public static GoalStandingView Standing(
        GoalRow goal,
        IReadOnlyList<WeekOfReading> weeks,
        YearCalendar year,
        Term term,
        DateOnly today
    )
    {
        var all = year.Calendar.SchoolDays(term.FirstDay, term.LastDay);
        var left = year.Calendar.SchoolDays(today.AddDays(1), term.LastDay);
        var s =
            goal.Kind is GoalKind.Words
                ? GoalRules.Words(goal.Target, weeks, left / 5.0, all == 0 ? 1 : (all - left) / (double)all)
                : GoalRules.Comprehension(goal.Target, weeks, left / 5.0);
        return new(goal.Kind, goal.Target, s.Done, s.DueNow, s.Chance, s.Course, goal.SetAt);
    }

    /// <summary>The current goals of one reader and how they stand.</summary>
    public async Task<IReadOnlyList<GoalStandingView>> OfReader(ReaderHead reader, School school)
    {
        var today = await desk.Today();
        if (await schools.CurrentYear(school.Id, today) is not { } year || year.TermOn(today) is not { } term)
            return [];
        var rows = await goals.OfReader(reader.Id, term.Id);
        if (rows.Count == 0)
            return [];
        var history = (await assignments.History(reader.Id))
            .Where(h => h.Ticket is { Score: not null, HandedInAt: not null, State: TicketState.Released })
            .ToList();
        var words = await assignments.WordsOf(reader.Id);
        var readings = history.Select(h => new ClassReading(
            reader.Id,
            h.Title,
            h.Ticket.HandedInAt!.Value,
            h.Ticket.Score!.Value,
            h.Ticket.Forecast,
            words.GetValueOrDefault(h.Ticket.Id),
            h.Ticket.Seconds
        ));
        var weeks = Weeks(readings, term, today, await desk.Clock(), school.PassingScore);
        return [.. rows.OrderBy(g => g.Kind).Select(g => Standing(g, weeks, year, term, today))];
    }
}
