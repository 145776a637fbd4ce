using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Absences;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Readings;
using DeepCurrent.Data.Reports;
using DeepCurrent.Data.Schools;

namespace DeepCurrent.Web.Goals;

/// <summary>A class's term, with what its goals are foretold from.</summary>
/// <param name="Own">The term as it is for readers who are away on some days of it.</param>
/// <param name="UsualDepth">Middle depth of what each reader read lately; none where nothing was.</param>
public sealed record GoalTerm(
    YearCalendar Year,
    Term Term,
    TermSoFar SoFar,
    IReadOnlyDictionary<ReaderId, TermSoFar> Own,
    IReadOnlyList<RosterRow> Roster,
    IReadOnlyDictionary<ReaderId, GoalFacts> Facts,
    IReadOnlyDictionary<ReaderId, Fathoms> UsualDepth
)
{
    /// <summary>The term as it is for a reader.</summary>
    public TermSoFar For(ReaderId reader) => Own.GetValueOrDefault(reader, SoFar);
}

/// <summary>What goals of a class's term are foretold from.</summary>
public sealed class GoalTerms(
    GivenStore earlier,
    ReaderStore readers,
    AbsenceStore absences,
    ReportStore levels,
    OwnReadingStore ownReadings
)
{
    /// <summary>How far back weeks are looked at, days.</summary>
    private const int Lately = 84;

    private const double UsualQuestions = 8;

    /// <summary>Words a week that the school's minutes a day come to, at the readers' own rates.</summary>
    private static double MostAWeek(IReadOnlyList<RosterRow> roster, School school) =>
        roster
            .Select(r => school.MinutesADay * 5 * GoalRules.SilentRate(r.Depth, school.Chart))
            .DefaultIfEmpty(0)
            .Average();

    /// <summary>What is over stays as it was: a level goal of a past term goes by the level on its last day.</summary>
    private async Task<Dictionary<ReaderId, LevelOn>> AtEnd(
        TermSoFar soFar,
        IReadOnlyList<RosterRow> roster,
        Term term
    ) =>
        soFar.Closed
            ? (await levels.Levels([.. roster.Select(r => r.Id)], term.LastDay)).ToDictionary(l => l.ReaderId)
            : [];

    /// <summary>Reading elsewhere, as far as the class counts it, at noon of its day.</summary>
    private async Task<ILookup<ReaderId, ReadingDone>> Outside(
        ClassId classId,
        DateOnly since,
        SchoolClock clock,
        School school
    ) =>
        (await ownReadings.Counted(classId, since)).ToLookup(
            o => o.ReaderId,
            o => o.Done(clock.Begin(o.Day).AddHours(12), school.Chart)
        );

    public async Task<GoalTerm> Of(ClassId classId, School school, YearCalendar year, Term term, Moment at)
    {
        var today = at.Today;
        var soFar = new TermSoFar(year, term, today);
        var since = today.AddDays(-Lately) < term.FirstDay ? today.AddDays(-Lately) : term.FirstDay;
        var own = (await absences.Days(classId, since)).ToDictionary(
            b => b.Key,
            b => new TermSoFar(year.Without(b.Value), term, today)
        );
        TermSoFar For(ReaderId reader) => own.GetValueOrDefault(reader, soFar);
        var all = (await earlier.Readings(classId, year.Clock.Begin(since))).ToLookup(r => r.ReaderId);
        var roster = await readers.Roster(classId, at);
        var outside = await Outside(classId, since, year.Clock, school);
        var read = roster.ToDictionary(
            r => r.Id,
            r => all[r.Id].Select(x => new ReadingDone(x.At, x.Score.Value, x.Words)).Concat(outside[r.Id]).ToList()
        );
        var recent = roster.ToDictionary(
            r => r.Id,
            r => For(r.Id).Recent(read[r.Id], school.UnderstoodFrom, r.Since > since ? r.Since : since)
        );
        var classWeek = ClassWeek.Of(recent.Values.SelectMany(w => w), MostAWeek(roster, school));
        var atEnd = await AtEnd(soFar, roster, term);
        GoalFacts Facts(RosterRow r)
        {
            var end = atEnd.GetValueOrDefault(r.Id);
            return new(
                For(r.Id).Weeks(read[r.Id], school.UnderstoodFrom),
                recent[r.Id],
                classWeek,
                UsualQuestions,
                end?.Mean ?? r.Depth,
                end?.Sd ?? r.Sd,
                school.Chart.GrowthPerWeek(r.Depth),
                ReaderEstimator.DriftPerWeek
            );
        }
        var usual = roster.Where(r => all[r.Id].Any()).ToDictionary(r => r.Id, r => Middle(all[r.Id]));
        return new(year, term, soFar, own, roster, roster.ToDictionary(r => r.Id, Facts), usual);
    }

    private static Fathoms Middle(IEnumerable<ClassReading> readings)
    {
        var depths = readings.Select(r => r.Depth.Value).Order().ToList();
        return new((depths[(depths.Count - 1) / 2] + depths[depths.Count / 2]) / 2);
    }
}
