using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Readings;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Goals;

/// <param name="Target">In the kind's own unit: percent, words or fathoms.</param>
/// <param name="MetReason">Why a teacher called it met; null where nobody did.</param>
/// <param name="MayCallMet">It was just missed, and its term is over only lately.</param>
public sealed record GoalStandingView(
    GoalKind Kind,
    double Target,
    double Done,
    double DueNow,
    Probability Chance,
    Course Course,
    DateTimeOffset SetAt,
    string Reason,
    GoalId Id,
    string? MetReason,
    bool MayCallMet
)
{
    internal static GoalStandingView Of(GoalRow goal, TermSoFar term, GoalFacts facts)
    {
        var s = term.Standing(goal.Kind, goal.Target, facts, goal.MetReason is not null);
        return new(
            goal.Kind,
            goal.Target,
            s.Done,
            s.DueNow,
            new(s.Chance),
            s.Course,
            goal.SetAt,
            goal.Reason,
            goal.Id,
            goal.MetReason,
            goal.MetReason is null && term.MayCallMet(goal.Kind, goal.Target, facts)
        );
    }
}

/// <summary>Goals of a term: what they stand by, for a class or one reader.</summary>
public sealed class GoalBook(
    GoalStore goals,
    GoalTerms terms,
    GivenStore earlier,
    OwnReadingStore ownReadings,
    SchoolStore schools,
    Desk desk
)
{
    private readonly Dictionary<(ClassId, TermId), GoalTerm> kept = [];

    /// <summary>The current goals of one reader and how they stand.</summary>
    public async Task<IReadOnlyList<GoalStandingView>> OfReader(ReaderId reader, School school)
    {
        if (await Now(reader, school) is not { } now)
            return [];
        var rows = await goals.OfReader(reader, now.Term.Term.Id);
        return [.. rows.OrderBy(g => g.Kind).Select(g => GoalStandingView.Of(g, now.Term.For(reader), now.Facts))];
    }

    /// <summary>The term one reader is in, and what their goals are foretold from; null where there is none.</summary>
    public async Task<(GoalTerm Term, GoalFacts Facts)?> Now(ReaderId reader, School school)
    {
        var today = await desk.Today();
        if (
            await schools.CurrentYear(school.Id, today) is not { } year
            || year.TermOn(today) is not { } term
            || await goals.ClassOf(reader, year.Id) is not { } classId
        )
            return null;
        var of = await Of(classId, school, year, term);
        return of.Facts.TryGetValue(reader, out var facts) ? (of, facts) : null;
    }

    /// <summary>A class's term; asked for again in one request, it is the same.</summary>
    public async Task<GoalTerm> Of(ClassId classId, School school, YearCalendar year, Term term) =>
        kept.TryGetValue((classId, term.Id), out var known)
            ? known
            : kept[(classId, term.Id)] = await terms.Of(classId, school, year, term, await desk.Moment());

    /// <summary>One reader's weeks of a term so far, by what is kept of that reader alone.</summary>
    /// <param name="year">The one the term is of.</param>
    public async Task<IReadOnlyList<WeekOfReading>> Weeks(
        ReaderId reader,
        School school,
        YearCalendar year,
        TermSoFar term
    )
    {
        var words = await earlier.WordsOf(reader);
        var readings = (await earlier.History(reader))
            .Select(h => h.Ticket)
            .Where(k => k is { Score: not null, HandedInAt: not null, State: TicketState.Released })
            .Select(k => new ReadingDone(k.HandedInAt!.Value, k.Score!.Value.Value, words.GetValueOrDefault(k.Id)));
        var outside = await goals.ClassOf(reader, year.Id) is { } classId
            ? await ownReadings.Counted(classId, year.FirstDay, reader)
            : [];
        return term.Weeks(
            readings.Concat(outside.Select(o => o.Done(year.Clock.Begin(o.Day).AddHours(12), school.Chart))),
            school.UnderstoodFrom
        );
    }

    /// <summary>One reader's goals of this term, as they were set.</summary>
    public Task<IReadOnlyList<GoalRow>> Rows(ReaderId reader, TermId term) => goals.OfReader(reader, term);
}
