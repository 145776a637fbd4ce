using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Signals;
using DeepCurrent.Data.Absences;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Signals;
using DeepCurrent.Web.Goals;

namespace DeepCurrent.Web.Signals;

/// <summary>Looks a class through for signals, and keeps what is found.</summary>
public sealed class SignalBook(
    SignalStore signals,
    SignalFactStore facts,
    SatCheckStore sat,
    AbsenceStore absences,
    ReaderStore readers,
    GoalTerms terms,
    GoalStore goals,
    SchoolStore schools
)
{
    private const int QuestionsAreNewsFor = 14;

    /// <summary>What was looked through is looked through again after this, whatever else happened.</summary>
    private static readonly TimeSpan Fresh = TimeSpan.FromMinutes(10);

    /// <summary>Those that stand, looked for again where anything has happened since.</summary>
    public async Task<IReadOnlyList<KeptSignal>> Of(ClassId classId, School school, YearId yearId, Moment at) =>
        await signals.Fresh(classId, at.DayBegan, at.Now - Fresh)
            ? await signals.Kept(classId)
            : await Look(classId, school, yearId, at);

    /// <summary>Looks now.</summary>
    /// <returns>Those that stand.</returns>
    public async Task<IReadOnlyList<KeptSignal>> Look(ClassId classId, School school, YearId yearId, Moment at)
    {
        var year = await schools.Year(yearId);
        var since = at.Now.AddDays(-SignalRules.Span);
        var tries = await facts.Tries(classId, since);
        var done = await facts.HandedIn(classId, since);
        var away = await absences.Days(classId, year.FirstDay);
        var ofReaders = await Readers(classId, school, year, at, done, tries);
        return await signals.Look(
            classId,
            [
                .. ofReaders.SelectMany(f =>
                    SignalRules.For(
                        f,
                        away.TryGetValue(f.Reader, out var days) ? year.Without(days).Calendar : year.Calendar,
                        at.Today
                    )
                ),
                .. QuestionRules.For(Questions(tries, done, year.Clock, at.Now)),
            ],
            at.Today,
            at.Now
        );
    }

    private async Task<IEnumerable<ReaderFacts>> Readers(
        ClassId classId,
        School school,
        YearCalendar year,
        Moment at,
        IReadOnlyList<HandedIn> done,
        IReadOnlyList<TriedRow> tries
    )
    {
        var waiting = await facts.Waiting(classId);
        var checks = (await sat.Checks(classId, at.Now.AddDays(-SignalRules.Span))).ToLookup(c => c.ReaderId);
        var ahead = await Goals(classId, school, year, at);
        var triesOf = tries.ToLookup(t => t.TicketId, t => t.Try);
        var doneOf = done.ToLookup(d => d.ReaderId);
        return (await readers.Roster(classId, at)).Select(r => new ReaderFacts
        {
            Reader = r.Id,
            Readings = [.. doneOf[r.Id].Select(d => Reading(d, [.. triesOf[d.Id]], year.Clock))],
            Level = r.Depth,
            Sd = r.Sd,
            Growth = school.Chart.GrowthPerWeek(r.Depth),
            Rate = GoalRules.SilentRate(r.Depth, school.Chart),
            Since = r.Since,
            LastRead = r.LastRead is { } last ? year.Clock.DayOf(last) : null,
            Waiting = waiting.GetValueOrDefault(r.Id),
            Goals = [.. ahead[r.Id]],
            Checks =
            [
                .. checks[r.Id]
                    .Select(c => new CheckDone(
                        c.Id,
                        c.Passages ? c.CheckId : null,
                        c.Name,
                        year.Clock.DayOf(c.At),
                        new(c.Level),
                        c.LevelSd,
                        new(c.Found),
                        c.FoundSd
                    )),
            ],
        });
    }

    private static AnsweredReading Reading(HandedIn d, IReadOnlyList<FirstTry> tries, SchoolClock clock) =>
        new()
        {
            Ticket = d.Id,
            Title = d.Title,
            At = d.At,
            Day = clock.DayOf(d.At),
            TextDepth = d.TextDepth,
            Level = d.Level,
            Sd = d.Sd,
            Seconds = d.Seconds,
            Words = d.Words,
            Tries = tries,
            TooFast = d.TooFast,
            ReleasedAt = d.ReleasedAt,
            LookedAt = d.LookedAt,
        };

    private async Task<ILookup<ReaderId, GoalAhead>> Goals(ClassId classId, School school, YearCalendar year, Moment at)
    {
        if (year.TermOn(at.Today) is not { } term)
            return Array.Empty<GoalAhead>().ToLookup(_ => default(ReaderId));
        var of = await terms.Of(classId, school, year, term, at);
        return (await goals.Of(classId, term.Id))
            .Where(g => of.Facts.ContainsKey(g.ReaderId))
            .ToLookup(g => g.ReaderId, g => Ahead(g, of, at.Today));
    }

    private static GoalAhead Ahead(GoalRow g, GoalTerm of, DateOnly today)
    {
        var known = of.Facts[g.ReaderId];
        var term = of.For(g.ReaderId);
        var standing = term.Standing(g.Kind, g.Target, known, g.MetReason is not null);
        var set = of.Year.Clock.DayOf(g.SetAt);
        return new(
            g.Id,
            g.Kind,
            g.Target,
            standing.Done,
            term.End(g.Kind, known).At(0.5),
            standing.Chance,
            set,
            of.Year.Calendar.SchoolDays(set.AddDays(1), today),
            term.DaysLeft
        );
    }

    private static IEnumerable<QuestionAnswered> Questions(
        IReadOnlyList<TriedRow> tries,
        IReadOnlyList<HandedIn> done,
        SchoolClock clock,
        DateTimeOffset now
    )
    {
        var tickets = done.Where(d => d.At >= now.AddDays(-QuestionsAreNewsFor)).ToDictionary(d => d.Id);
        var quizzes = tries.Where(t => t.Number is not null && tickets.ContainsKey(t.TicketId)).ToList();
        var all = quizzes.ToLookup(t => t.TicketId);
        return quizzes
            .GroupBy(t => (t.AssignmentId, t.QuestionId))
            .Select(g => new QuestionAnswered(
                g.Key.AssignmentId,
                g.Key.QuestionId,
                g.First().Number!.Value,
                tickets[g.First().TicketId].Title,
                [
                    .. g.Select(t =>
                            (Try: t, Others: all[t.TicketId].Where(o => o.QuestionId != t.QuestionId).ToList())
                        )
                        .Where(x => x.Others.Count > 0)
                        .Select(x => new AnswerInQuiz(
                            clock.DayOf(tickets[x.Try.TicketId].At),
                            x.Try.Correct,
                            x.Others.Count(o => o.Correct) / (double)x.Others.Count
                        )),
                ]
            ));
    }
}
