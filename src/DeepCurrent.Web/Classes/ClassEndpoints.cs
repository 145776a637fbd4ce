using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Signals;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Classes;

/// <param name="Own">The school's own labels, by column.</param>
public sealed record LevelRowView(
    string Grade,
    string SchoolYear,
    string Ages,
    double Depth,
    IReadOnlyList<string> Own
);

/// <param name="Week">School week of the term, from 1.</param>
public sealed record TermView(TermId Id, string Name, DateOnly FirstDay, DateOnly LastDay, int Week, int Weeks);

/// <param name="ReachFrom">Shallow end of the reach, fm.</param>
/// <param name="ReachTo">Deep end of the reach, fm.</param>
/// <param name="LevelSet">The level is what a teacher has set; its range then says nothing.</param>
public sealed record RosterView(
    ReaderId Id,
    string GivenName,
    string FamilyName,
    int Grade,
    double Depth,
    double Sd,
    double Low,
    double High,
    double ReachFrom,
    double ReachTo,
    double? SixWeeks,
    string? Group,
    double? FirstTry,
    DateTimeOffset? LastRead,
    int Readings,
    bool LevelSet,
    IReadOnlyList<SignalView> Signals
);

public sealed record SignalView(
    SignalKind Kind,
    ReaderId ReaderId,
    Strand? Strand,
    string? Title,
    IReadOnlyList<double> Figures
);

public sealed record ClassView(
    ClassId Id,
    string Name,
    string Code,
    DateOnly Today,
    TermView? Term,
    IReadOnlyList<RosterView> Readers,
    IReadOnlyList<TextInUse> Texts,
    IReadOnlyList<GroupRow> Groups,
    IReadOnlyList<LevelRowView> LevelChart,
    IReadOnlyList<string> OwnColumns,
    Part Part,
    bool MayChangeRoster,
    double ZoneLow,
    double ZoneHigh
);

/// <summary>A class as the chart, the roster and the signals show it.</summary>
public static class ClassEndpoints
{
    private const int SixWeeks = 42;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}", View);
        api.MapGet("/level-chart", async (Desk desk) =>
        {
            desk.Library();
            return LevelRows((await desk.School()).Chart);
        });
    }

    private static async Task<ClassView> View(
        ClassId classId,
        Desk desk,
        SchoolStore schools,
        ReaderStore readers,
        AssignmentStore assignments,
        GroupStore groups
    )
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var since = desk.Now.AddDays(-SixWeeks);
        var roster = readers.Roster(classId, await desk.Moment());
        var texts = assignments.InUse(classId, since);
        var groupRows = groups.Of(classId);
        var readings = assignments.Readings(classId, since);
        var strands = assignments.Strands(classId, since);
        var school = await desk.School();
        var year = await schools.Year(place.SchoolYearId);
        var today = await desk.Today();
        var may = desk.May(Deed.ChangeRoster, place);
        var cuts = new ZoneCuts(school.ZoneLow, school.ZoneHigh);
        var work = new SignalFacts(
            (await readings).ToLookup(r => r.ReaderId),
            (await strands).ToLookup(s => s.ReaderId),
            year.Calendar,
            today,
            desk.Now,
            school.Chart,
            await desk.Clock()
        );
        return new(
            place.Id,
            place.Name,
            place.Code,
            today,
            TermOf(year, today),
            [.. (await roster).Select(r => Row(r, cuts, work))],
            await texts,
            await groupRows,
            LevelRows(school.Chart),
            school.Chart.OwnColumns,
            place.Part,
            may,
            school.ZoneLow,
            school.ZoneHigh
        );
    }

    private static RosterView Row(RosterRow r, ZoneCuts cuts, SignalFacts work)
    {
        var reach = Forecast.Reach(new(r.Depth), cuts);
        return new(
            r.Id,
            r.GivenName,
            r.FamilyName,
            r.Grade,
            r.Depth,
            r.Sd,
            r.Low,
            r.High,
            reach.From.Value,
            reach.To.Value,
            r.SixWeeks,
            r.Group,
            r.FirstTry,
            r.LastRead,
            r.Readings,
            r.LevelSet,
            work.For(r)
        );
    }

    internal static TermView? TermOf(YearCalendar year, DateOnly today) =>
        year.TermOn(today) is { } t
            ? new(
                t.Id,
                t.Name,
                t.FirstDay,
                t.LastDay,
                Math.Clamp((today.DayNumber - t.FirstDay.DayNumber) / 7 + 1, 1, Weeks(t)),
                Weeks(t)
            )
            : null;

    private static int Weeks(Term t) => (t.LastDay.DayNumber - t.FirstDay.DayNumber) / 7 + 1;

    internal static IReadOnlyList<LevelRowView> LevelRows(LevelChart chart) =>
        [.. chart.Rows.Select(r => new LevelRowView(r.GradeLabel, r.SchoolYear, r.Ages, r.Depth.Value, r.Own))];

    /// <summary>What the signal rules need, looked up per reader.</summary>
    private sealed record SignalFacts(
        ILookup<ReaderId, ClassReading> Readings,
        ILookup<ReaderId, StrandCount> Strands,
        SchoolCalendar Calendar,
        DateOnly Today,
        DateTimeOffset Now,
        LevelChart Chart,
        SchoolClock Days
    )
    {
        public IReadOnlyList<SignalView> For(RosterRow r)
        {
            var readings = Readings[r.Id]
                .Select(x => new FinishedReading(x.Title, x.At, x.Score, x.Forecast, x.Seconds, x.Words))
                .ToList();
            var strands = Strands[r.Id].ToDictionary(s => s.Strand, s => (s.Right, s.Asked));
            // Who has never read is quiet since they came.
            var quiet = Calendar.SchoolDays(r.LastRead is { } last ? Days.DayOf(last).AddDays(1) : r.Since, Today);
            return
            [
                .. SignalRules
                    .For(readings, strands, GoalRules.SilentRate(new(r.Depth), Chart), quiet, Now)
                    .Select(s => new SignalView(s.Kind, r.Id, s.Strand, s.Title, s.Figures)),
            ];
        }
    }
}
