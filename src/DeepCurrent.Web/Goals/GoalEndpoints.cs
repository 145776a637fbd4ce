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

public sealed record GoalLine(
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    double Depth,
    double WordsSoFar,
    double? MeanScore,
    int Quizzes,
    double SuggestedWords,
    double SuggestedComprehension,
    IReadOnlyList<GoalStandingView> Goals
);

public sealed record GoalsView(TermView? Term, int MinutesADay, int SchoolDaysLeft, IReadOnlyList<GoalLine> Lines);

public sealed record GoalTarget(ReaderId ReaderId, double? Comprehension, double? Words);

public sealed record SetGoalsRequest(IReadOnlyList<GoalTarget> Targets, string? Reason);

public sealed record SetGoalsView(ChangeId? ChangeId, int Changed);

/// <summary>Term goals of a class.</summary>
public static class GoalEndpoints
{
    private const double MostWords = 1_000_000;

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
        var left = year.Calendar.SchoolDays(today.AddDays(1), term.LastDay);
        var set = (await goals.Of(classId, term.Id)).ToLookup(g => g.ReaderId);
        var clock = year.Clock;
        var readings = (await assignments.Readings(classId, clock.Begin(term.FirstDay))).ToLookup(r => r.ReaderId);
        var roster = await readers.Roster(classId, await desk.Moment());
        var read = roster.ToDictionary(
            r => r.Id,
            r => GoalBook.Weeks(readings[r.Id], term, today, clock, school.PassingScore)
        );
        var perWeek = read.Values.Select(weeks => weeks.Average(w => w.Words)).DefaultIfEmpty(0).Average();
        var lines = roster.Select(r =>
        {
            var weeks = read[r.Id];
            var scores = weeks.SelectMany(w => w.Scores).ToList();
            var words = weeks.Sum(w => w.Words);
            var rate = GoalRules.SilentRate(new(r.Depth), school.Chart);
            return new GoalLine(
                r.Id,
                r.GivenName,
                r.FamilyName,
                r.Depth,
                words,
                scores.Count == 0 ? null : scores.Average() * 100,
                scores.Count,
                GoalRules.SuggestWords(
                    words,
                    words > 0 ? weeks.Average(w => w.Words) : perWeek / 2,
                    school.MinutesADay * rate * 5,
                    left / 5.0
                ),
                GoalRules.SuggestComprehension(scores),
                [.. set[r.Id].OrderBy(g => g.Kind).Select(g => GoalBook.Standing(g, weeks, year, term, today))]
            );
        });
        return new(ClassEndpoints.TermOf(year, today), school.MinutesADay, left, [.. lines]);
    }

    private static void Check(SetGoalsRequest request)
    {
        var faults = new Faults();
        foreach (var t in request.Targets)
            faults
                .If(
                    t.Comprehension is { } c && !(c is >= 1 and <= 100),
                    $"comprehension.{t.ReaderId}",
                    "Comprehension lies between 1 and 100 %."
                )
                .If(
                    t.Words is { } w && !(w is >= 1 and <= MostWords),
                    $"words.{t.ReaderId}",
                    "Words lie between 1 and 1,000,000."
                );
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
        var term = year.TermOn(today) ?? throw Refused.Conflict("no-term", "There is no term to set goals for.");
        if (term.LastDay < today)
            throw Refused.Conflict("term-closed", "This term is over; its goals cannot change any more.");
        var roster = (await readers.Roster(classId, await desk.Moment())).Select(r => r.Id).ToHashSet();
        if (request.Targets.Count == 0 || request.Targets.Any(t => !roster.Contains(t.ReaderId)))
            throw Refused.NotFound();
        Check(request);
        var wanted = request
            .Targets.SelectMany(t =>
                new (ReaderId ReaderId, GoalKind Kind, double? Target)[]
                {
                    (t.ReaderId, GoalKind.Comprehension, t.Comprehension),
                    (t.ReaderId, GoalKind.Words, t.Words),
                }
            )
            .Where(x => x.Target is not null)
            .Select(x => (x.ReaderId, x.Kind, x.Target!.Value));
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
