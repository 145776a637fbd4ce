using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Classes;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Goals;

/// <param name="SoFar">In the kind's own unit; null where nothing says it yet.</param>
/// <param name="Goal">Null where none is set.</param>
public sealed record GoalOfKind(GoalKind Kind, double? SoFar, double Suggested, GoalStandingView? Goal);

/// <param name="Kinds">Every kind of goal, in one order.</param>
public sealed record GoalLine(
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    Fathoms Depth,
    IReadOnlyList<GoalOfKind> Kinds
);

public sealed record GoalsView(TermView? Term, int MinutesADay, int SchoolDaysLeft, IReadOnlyList<GoalLine> Lines);

public sealed record GoalTarget(ReaderId ReaderId, GoalKind Kind, double Target);

public sealed record SetGoalsRequest(IReadOnlyList<GoalTarget> Targets, string? Reason);

public sealed record SetGoalsView(ChangeId? ChangeId, int Changed);

/// <summary>Term goals of a class.</summary>
public static class GoalEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/goals", View);
        api.MapPut("/classes/{classId:guid}/goals", Set);
    }

    private static async Task<GoalsView> View(
        ClassId classId,
        Desk desk,
        SchoolStore schools,
        ReaderStore readers,
        AssignmentStore assignments,
        GoalStore goals
    )
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var school = await desk.School();
        var year = await schools.Year(place.SchoolYearId);
        var today = await desk.Today();
        if (year.TermOn(today) is not { } term)
            return new(null, school.MinutesADay, 0, []);
        var soFar = new TermSoFar(year, term, today);
        var set = (await goals.Of(classId, term.Id)).ToLookup(g => g.ReaderId);
        var readings = (await assignments.Readings(classId, year.Clock.Begin(term.FirstDay))).ToLookup(
            r => r.ReaderId,
            r => new ReadingDone(r.At, r.Score.Value, r.Words)
        );
        var roster = await readers.Roster(classId, await desk.Moment());
        var read = roster.ToDictionary(r => r.Id, r => soFar.Weeks(readings[r.Id], school.UnderstoodFrom));
        var perWeek = read.Values.Select(weeks => weeks.Average(w => w.Words)).DefaultIfEmpty(0).Average();
        var lines = roster.Select(r => new GoalLine(
            r.Id,
            r.GivenName,
            r.FamilyName,
            r.Depth,
            Kinds(
                soFar,
                new(read[r.Id], perWeek, school.MinutesADay * GoalRules.SilentRate(r.Depth, school.Chart) * 5),
                [.. set[r.Id]]
            )
        ));
        return new(ClassEndpoints.TermOf(year, today), school.MinutesADay, soFar.DaysLeft, [.. lines]);
    }

    private static IReadOnlyList<GoalOfKind> Kinds(TermSoFar term, GoalFacts facts, IReadOnlyList<GoalRow> set) =>
        [
            .. Enum.GetValues<GoalKind>()
                .Select(kind => new GoalOfKind(
                    kind,
                    TermSoFar.SoFar(kind, facts.Weeks),
                    term.Suggest(kind, facts),
                    set.FirstOrDefault(g => g.Kind == kind) is { } goal
                        ? GoalStandingView.Of(goal, term, facts.Weeks)
                        : null
                )),
        ];

    private static void Check(SetGoalsRequest request)
    {
        var faults = new Faults().If(
            request.Targets.DistinctBy(t => (t.ReaderId, t.Kind)).Count() < request.Targets.Count,
            "targets",
            $"Set one goal of each kind for a reader."
        );
        foreach (var t in request.Targets)
        {
            var (least, most) = t.Kind.Bounds();
            faults.If(!(t.Target >= least && t.Target <= most), $"{t.Kind}.{t.ReaderId}", t.Kind.Fault());
        }
        faults.Refuse();
    }

    private static async Task<SetGoalsView> Set(
        ClassId classId,
        SetGoalsRequest request,
        Desk desk,
        SchoolStore schools,
        ReaderStore readers,
        ChangeStore changes
    )
    {
        var place = await desk.Class(classId, Deed.SetGoals);
        var year = await schools.Year(place.SchoolYearId);
        var today = await desk.Today();
        var term = year.TermOn(today)
            ?? throw Refused.Conflict("no-term", $"There is no term to set goals for. A school lead can add one.");
        if (term.LastDay < today)
            throw Refused.Conflict("term-closed", $"This term is over. Its goals cannot change.");
        var roster = (await readers.Roster(classId, await desk.Moment())).Select(r => r.Id).ToHashSet();
        if (request.Targets.Count == 0 || request.Targets.Any(t => !roster.Contains(t.ReaderId)))
            throw Refused.NotFound();
        Check(request);
        var wanted = request.Targets.Select(t => (t.ReaderId, t.Kind, t.Target));
        var set = 0;
        var change = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.Goals,
            async (c, t) =>
            {
                var made = await GoalStore.Set(
                    c,
                    t,
                    term.Id,
                    wanted,
                    request.Reason?.Trim() ?? "",
                    desk.Who.Adult,
                    desk.Now
                );
                set = made.Count;
                var people = made.Select(m => m.ReaderId).Distinct().Count();
                return set == 0 ? null : new(made, $"Set goals for {Counted.Readers(people)}");
            }
        );
        return new(change?.Id, set);
    }
}
