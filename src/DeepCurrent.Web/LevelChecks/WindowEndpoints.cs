using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>Benchmark windows of the whole school: how far they are, and how depths are spread by grade beside the
/// window before.</summary>
public static class WindowEndpoints
{
    public static void Map(RouteGroupBuilder api) => api.MapGet("/school/windows", All);

    private static async Task<IReadOnlyList<WindowView>> All(Desk desk, WindowStore windows)
    {
        await desk.Lead();
        var (years, readers) = await windows.Of(desk.Who.SchoolId);
        var grades = await windows.Grades(desk.Who.SchoolId);
        var begun = years.ToDictionary(y => y.Id);
        // Latest first: the year, then the season within it.
        var all = readers
            .Where(r => begun.ContainsKey(r.YearId))
            .GroupBy(r => (r.YearId, r.Season))
            .OrderByDescending(w => begun[w.Key.YearId].FirstDay)
            .ThenByDescending(w => w.Key.Season)
            .ToList();
        return [.. all.Select((w, i) => View(w, all.ElementAtOrDefault(i + 1), begun, years[0].Id, grades))];
    }

    /// <param name="last">The window before; null if there is none.</param>
    /// <param name="latest">The latest year: its grades may hold readers who were not given the check.</param>
    private static WindowView View(
        IGrouping<(YearId YearId, Season Season), WindowReader> window,
        IGrouping<(YearId YearId, Season Season), WindowReader>? last,
        Dictionary<YearId, WindowYear> years,
        YearId latest,
        IReadOnlyDictionary<int, int> grades
    )
    {
        var current = window.Key.YearId == latest;
        var rows = window
            .GroupBy(r => r.Grade)
            .OrderBy(g => g.Key)
            .Select(g => new WindowGrade(
                g.Key,
                current ? Math.Max(g.Count(), grades.GetValueOrDefault(g.Key)) : g.Count(),
                g.Count(),
                g.Count(r => !r.Left),
                g.Count(r => r.Again),
                WindowPicture.Spread(Depths(g)),
                last is null ? null : WindowPicture.Spread(Depths(last.Where(r => r.Grade == g.Key)))
            ));
        return new(
            window.Key.YearId,
            years[window.Key.YearId].Year,
            window.Key.Season,
            last is null ? null : (Message)$"{last.Key.Season.Name()} {years[last.Key.YearId].Year}",
            [.. rows]
        );
    }

    private static List<Fathoms> Depths(IEnumerable<WindowReader> readers) =>
        [.. readers.Where(r => r.Depth is not null).Select(r => r.Depth!.Value)];
}
