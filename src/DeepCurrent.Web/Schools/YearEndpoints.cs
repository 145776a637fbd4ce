using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Schools;

public sealed record TermRequest(TermId? Id, string Name, DateOnly FirstDay, DateOnly LastDay);

public sealed record YearRequest(
    string Name,
    DateOnly FirstDay,
    DateOnly LastDay,
    IReadOnlyList<TermRequest> Terms,
    IReadOnlyList<DateOnly> DaysOff,
    YearId? Id = null
);

/// <param name="SchoolDays">Weekdays in the terms, less the days off.</param>
public sealed record YearView(
    YearId Id,
    string Name,
    DateOnly FirstDay,
    DateOnly LastDay,
    IReadOnlyList<Term> Terms,
    IReadOnlyList<DateOnly> DaysOff,
    int SchoolDays
);

/// <param name="ToYearId">The year that is to come.</param>
/// <param name="KeepClasses">Classes go up together; otherwise they end.</param>
public sealed record RollRequest(YearId ToYearId, bool KeepClasses);

public sealed record RollClass(string From, string? To, int Readers);

/// <param name="Leaving">Readers of the highest grade, who leave.</param>
public sealed record RollView(IReadOnlyList<RollClass> Classes, int Up, int Leaving, string From, string To);

/// <summary>School years: terms, days off, and rolling over to the next.</summary>
public static class YearEndpoints
{
    private const int MostTerms = 8,
        MostDaysOff = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/school/years", async (Desk desk, YearStore years) =>
        {
            await desk.Lead();
            return await years.Of(desk.Who.SchoolId);
        });
        api.MapGet("/school/years/{yearId:guid}", async (YearId yearId, Desk desk, YearStore years) =>
        {
            await desk.Lead();
            return View(await Year(yearId, desk, years));
        });
        api.MapPost("/school/years", Add);
        api.MapPut("/school/years/{yearId:guid}", Change);
        api.MapPost(
            "/school/years/{yearId:guid}/roll-over/preview",
            async (
                YearId yearId,
                RollRequest request,
                Desk desk,
                YearStore years,
                RosterStore rosters,
                RosterDesk roster
            ) => (await Plan(yearId, request, desk, years, rosters, roster, pretend: true)).View
        );
        api.MapPost("/school/years/{yearId:guid}/roll-over", Roll);
    }

    private static async Task<YearView> Add(YearRequest request, Desk desk, YearStore years)
    {
        var school = await desk.Lead();
        if (request.Id is { } again && await years.Find(again, school.Id) is { } there)
            return View(there);
        var year = await Checked(request.Id ?? YearId.New(), request, desk, years);
        await years.Add(school.Id, year, null);
        return View(year);
    }

    private static async Task<YearView> Change(YearId yearId, YearRequest request, Desk desk, YearStore years)
    {
        await desk.Lead();
        var known = await Year(yearId, desk, years);
        var year = await Checked(yearId, request, desk, years);
        if (
            year.Terms.FirstOrDefault(t => known.Terms.All(k => k.Id != t.Id) && request.Terms.Any(r => r.Id == t.Id))
            is not null
        )
            throw Refused.NotFound();
        if (await years.Change(year) is { } held)
            throw Refused.Conflict(
                "term-has-goals",
                $"Readers have goals in {held}, so it cannot be removed. Change its dates instead."
            );
        return View(year);
    }

    private static async Task<RosterChanged> Roll(
        YearId yearId,
        RollRequest request,
        Desk desk,
        YearStore years,
        RosterStore rosters,
        RosterDesk roster
    )
    {
        var (steps, view) = await Plan(yearId, request, desk, years, rosters, roster, pretend: false);
        return await MemberEndpoints.Done(
            roster,
            steps,
            null,
            $"Rolled {view.From} over to {view.To}: moved up {Counted.Of(RosterKind.Classes, view.Classes.Count)} and "
                + $"{Counted.Readers(view.Up)}"
        );
    }

    private static async Task<(ChangeSet Steps, RollView View)> Plan(
        YearId yearId,
        RollRequest request,
        Desk desk,
        YearStore years,
        RosterStore rosters,
        RosterDesk roster,
        bool pretend
    )
    {
        var school = await desk.Lead();
        YearCalendar from = await Year(yearId, desk, years),
            to = await Year(request.ToYearId, desk, years);
        if (to.FirstDay <= from.LastDay)
            throw Refused.Field("toYearId", $"Choose a year that starts after this one ends.");
        var state = await rosters.Load(school.Id);
        var steps = RollOver.Plan(
            state,
            new(from.Id, to.Id, from.LastDay, to.FirstDay, request.KeepClasses),
            await roster.Makers(pretend)
        );
        if (steps.Steps == 0)
            throw Refused.Conflict("nothing-to-roll", $"{from.Name} has no class to move up.");
        var sizes = steps
            .Enrolments.Where(s => s.Before is not null)
            .GroupBy(s => s.Before!.ClassId)
            .ToDictionary(g => g.Key, g => g.Count());
        var classes = steps
            .Classes.Where(s => s.Before is not null)
            .Select(s => new RollClass(
                s.Before!.Name,
                request.KeepClasses ? RollOver.Up(s.Before.Name) : null,
                sizes.GetValueOrDefault(s.Thing.Id)
            ))
            .ToList();
        var leaving = steps.Readers.Count(s => s.After!.Left);
        return (steps, new(classes, steps.Readers.Count - leaving, leaving, from.Name, to.Name));
    }

    private static async Task<YearCalendar> Checked(YearId id, YearRequest r, Desk desk, YearStore years)
    {
        var name = Names.Tidy(r.Name);
        var terms = (r.Terms ?? []).OrderBy(t => t.FirstDay).ToList();
        var off = (r.DaysOff ?? []).Distinct().Order().ToList();
        var outside = off.FirstOrDefault(d => d < r.FirstDay || d > r.LastDay);
        var faults = new Faults()
            .If(name.Length is 0 or > 40, "name", $"Enter a year name of 40 letters or fewer.")
            .If(
                r.LastDay <= r.FirstDay.AddDays(60) || r.LastDay >= r.FirstDay.AddDays(400),
                "lastDay",
                $"The school year must end two to thirteen months after it starts."
            )
            .If(terms.Count is 0 or > MostTerms, "terms", $"Use 1 to {MostTerms} terms.")
            .If(off.Count > MostDaysOff, "daysOff", $"Use {MostDaysOff} days off or fewer.")
            .If(outside != default, "daysOff", $"{outside} is outside the school year.");
        Terms(r, terms, faults);
        faults.Refuse();
        var others = await years.Of(desk.Who.SchoolId);
        if (others.FirstOrDefault(y => y.Id != id && y.FirstDay <= r.LastDay && r.FirstDay <= y.LastDay) is { } other)
            throw Refused.Field("firstDay", $"This overlaps with {other.Name}.");
        return new(
            id,
            name,
            r.FirstDay,
            r.LastDay,
            [.. terms.Select(t => new Term(t.Id ?? TermId.New(), id, Names.Tidy(t.Name), t.FirstDay, t.LastDay))],
            off,
            await desk.Clock()
        );
    }

    private static void Terms(YearRequest r, IReadOnlyList<TermRequest> terms, Faults faults)
    {
        TermRequest? before = null;
        foreach (var t in terms)
        {
            faults
                .If(
                    Names.Tidy(t.Name).Length is 0 or > 40,
                    "terms",
                    $"Enter a name of 40 letters or fewer for each term."
                )
                .If(t.LastDay < t.FirstDay, "terms", $"{t.Name} ends before it starts.")
                .If(t.FirstDay < r.FirstDay || t.LastDay > r.LastDay, "terms", $"{t.Name} is outside the school year.")
                .If(t.FirstDay <= before?.LastDay, "terms", $"{before?.Name} and {t.Name} overlap.");
            before = t;
        }
    }

    private static async Task<YearCalendar> Year(YearId yearId, Desk desk, YearStore years) =>
        await years.Find(yearId, desk.Who.SchoolId) ?? throw Refused.NotFound();

    private static YearView View(YearCalendar y) =>
        new(y.Id, y.Name, y.FirstDay, y.LastDay, y.Terms, y.DaysOff, y.Calendar.SchoolDays(y.FirstDay, y.LastDay));
}
