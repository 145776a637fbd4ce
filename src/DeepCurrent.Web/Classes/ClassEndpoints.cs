using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Signals;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Classes;

/// <param name="Own">The school's own labels, by column.</param>
public sealed record LevelRowView(
    string Grade,
    string SchoolYear,
    string Ages,
    Fathoms Depth,
    IReadOnlyList<string> Own
);

/// <param name="Week">School week of the term, from 1.</param>
public sealed record TermView(TermId Id, string Name, DateOnly FirstDay, DateOnly LastDay, int Week, int Weeks);

public sealed record RosterView
{
    public required ReaderId Id { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    /// <summary>What they are called among these readers: the given name, told apart from another of the same.</summary>
    public required string Called { get; init; }

    public required int Grade { get; init; }

    public required Fathoms Depth { get; init; }

    public required double Sd { get; init; }

    public required Fathoms Low { get; init; }

    public required Fathoms High { get; init; }

    /// <summary>Shallow end of the reach, fm.</summary>
    public required Fathoms ReachFrom { get; init; }

    /// <summary>Deep end of the reach, fm.</summary>
    public required Fathoms ReachTo { get; init; }

    public required double? SixWeeks { get; init; }

    public required string? Group { get; init; }

    public required Probability? FirstTry { get; init; }

    public required DateTimeOffset? LastRead { get; init; }

    public required int Readings { get; init; }

    /// <summary>The level is what a teacher has set; its range then says nothing.</summary>
    public required bool LevelSet { get; init; }

    public required IReadOnlyList<SignalView> Signals { get; init; }
}

public sealed record ClassView
{
    public required ClassId Id { get; init; }

    public required string Name { get; init; }

    public required string Code { get; init; }

    /// <summary>0 (kindergarten) to 12; null for a class of several grades.</summary>
    public required int? Grade { get; init; }

    public required DateOnly Today { get; init; }

    public required TermView? Term { get; init; }

    public required IReadOnlyList<RosterView> Readers { get; init; }

    public required IReadOnlyList<TextInUse> Texts { get; init; }

    /// <summary>Of guided reading.</summary>
    public required IReadOnlyList<GroupRow> Groups { get; init; }

    /// <summary>Of other groupings; a reader may be in several.</summary>
    public required IReadOnlyList<GroupRow> OtherGroups { get; init; }

    /// <summary>Signals about the class as a whole; each reader has their own.</summary>
    public required IReadOnlyList<SignalView> Signals { get; init; }

    public required IReadOnlyList<LevelRowView> LevelChart { get; init; }

    public required IReadOnlyList<string> OwnColumns { get; init; }

    public required Part Part { get; init; }

    public required bool MayChangeRoster { get; init; }

    public required bool MayAssign { get; init; }

    public required Probability ZoneLow { get; init; }

    public required Probability ZoneHigh { get; init; }
}

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
        GivenStore earlier,
        GroupStore groups,
        SignalBook book
    )
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var since = desk.Now.AddDays(-SixWeeks);
        var roster = readers.Roster(classId, await desk.Moment());
        var texts = earlier.InUse(classId, since);
        var groupRows = groups.Every(classId);
        var school = await desk.School();
        var signals = SignalView.Open(await book.Of(classId, school, place.SchoolYearId, await desk.Moment()));
        var year = await schools.Year(place.SchoolYearId);
        var today = await desk.Today();
        var may = desk.May(Deed.ChangeRoster, place);
        var cuts = new ZoneCuts(school.ZoneLow, school.ZoneHigh);
        var ofReaders = signals.Where(x => x.ReaderId is not null).ToLookup(x => x.ReaderId!.Value);
        var called = CalledNames.Of((await roster).Select(r => (r.Id, r.GivenName, r.FamilyName)));
        return new()
        {
            Id = place.Id,
            Name = place.Name,
            Code = place.Code,
            Grade = place.Grade,
            Today = today,
            Term = TermOf(year, today),
            Readers = [.. (await roster).Select(r => Row(r, called[r.Id], cuts, [.. ofReaders[r.Id]]))],
            Texts = await texts,
            Groups = [.. (await groupRows).Where(g => g.Grouping is null)],
            OtherGroups = [.. (await groupRows).Where(g => g.Grouping is not null)],
            Signals = [.. signals.Where(x => x.ReaderId is null)],
            LevelChart = LevelRows(school.Chart),
            OwnColumns = school.Chart.OwnColumns,
            Part = place.Part,
            MayChangeRoster = may,
            MayAssign = desk.May(Deed.Assign, place),
            ZoneLow = new(school.ZoneLow),
            ZoneHigh = new(school.ZoneHigh),
        };
    }

    private static RosterView Row(RosterRow r, string called, ZoneCuts cuts, IReadOnlyList<SignalView> signals)
    {
        var reach = Forecast.Reach(r.Depth, cuts);
        return new()
        {
            Id = r.Id,
            GivenName = r.GivenName,
            FamilyName = r.FamilyName,
            Called = called,
            Grade = r.Grade,
            Depth = r.Depth,
            Sd = r.Sd,
            Low = r.Low,
            High = r.High,
            ReachFrom = reach.From,
            ReachTo = reach.To,
            SixWeeks = r.SixWeeks,
            Group = r.Group,
            FirstTry = r.FirstTry,
            LastRead = r.LastRead,
            Readings = r.Readings,
            LevelSet = r.LevelSet,
            Signals = signals,
        };
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
        [.. chart.Rows.Select(r => new LevelRowView(r.GradeLabel, r.SchoolYear, r.Ages, r.Depth, r.Own))];
}
