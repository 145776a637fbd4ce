using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Goals;

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
        TermId? termId,
        Desk desk,
        SchoolStore schools,
        GoalStore goals,
        GoalBook book,
        SatCheckStore checks
    )
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var school = await desk.School();
        var year = await schools.Year(place.SchoolYearId);
        var today = await desk.Today();
        var ambitions = GoalRules.Ambitions.Select(a => new Probability(a)).ToList();
        var now = year.TermOn(today);
        var terms = year.Terms.Select(t => Tab(t, now)).ToList();
        if (now is null)
            return new(null, terms, 0, 0, school.MinutesADay, 0, ambitions, place.Outside, []);
        var term = termId is null ? now : year.Terms.FirstOrDefault(t => t.Id == termId) ?? throw Refused.NotFound();
        var of = await book.Of(classId, school, year, term);
        var set = (await goals.Of(classId, term.Id)).ToLookup(g => g.ReaderId);
        var earlier = (await goals.Earlier(classId, term.Id)).ToLookup(g => g.ReaderId);
        var depths = (await goals.Depths(classId, term.FirstDay)).ToLookup(d => d.ReaderId);
        var sat = (await checks.Checks(classId, desk.Now.AddDays(-ChecksAreNewsFor))).ToLookup(c => c.ReaderId);
        GoalLine Of(RosterRow r) =>
            Line(of, r, school, [.. set[r.Id]], [.. earlier[r.Id]], [.. depths[r.Id]]) with
            {
                Checks = of.SoFar.Closed
                    ? []
                    : [.. sat[r.Id].OrderByDescending(c => c.At).Select(c => From(c, of, r, desk.Now))],
            };
        return new(
            Tab(term, now),
            terms,
            (term.LastDay.DayNumber - term.FirstDay.DayNumber) / 7 + 1,
            Math.Max(0, (today.DayNumber - term.FirstDay.DayNumber + 1) / 7.0),
            school.MinutesADay,
            of.SoFar.DaysLeft,
            ambitions,
            place.Outside,
            [.. of.Roster.Select(Of)]
        );
    }

    private static GoalTermView Tab(Term term, Term? now) =>
        new(
            term.Id,
            term.Name,
            term.FirstDay,
            term.LastDay,
            now is null || term.FirstDay > now.FirstDay ? TermPlace.Next
                : term.Id == now.Id ? TermPlace.Now
                : TermPlace.Past
        );

    private static GoalLine Line(
        GoalTerm of,
        RosterRow r,
        School school,
        IReadOnlyList<GoalRow> set,
        IReadOnlyList<EarlierGoal> earlier,
        IReadOnlyList<DepthOfDay> depths
    )
    {
        var facts = of.Facts[r.Id];
        var days = facts.Recent.Sum(w => w.Days);
        return new(
            r.Id,
            r.GivenName,
            r.FamilyName,
            r.Depth,
            of.UsualDepth.TryGetValue(r.Id, out var usual) ? usual : null,
            new(GoalRules.SilentRate(r.Depth, school.Chart)),
            days <= 0 ? 0 : facts.Recent.Sum(w => w.Words) / days * 5,
            school.Aims.FirstOrDefault(a => a.Grade == r.Grade)?.Percent,
            of.For(r.Id).DaysLeft,
            [],
            [.. Enum.GetValues<GoalKind>().Select(kind => Kind((of, of.For(r.Id)), kind, facts, set, earlier, depths))]
        );
    }

    private const int Twentieths = 20,
        ChecksAreNewsFor = 84;

    private const double RangeOfNine = 1.645;

    private static IReadOnlyList<double> Suggested(GoalKind kind, EndForecast end) =>
        [.. GoalRules.Ambitions.Select(a => GoalRules.Rounded(kind, end.At(a)))];

    private static IReadOnlyList<double> Ends(EndForecast end) =>
        [.. Enumerable.Range(1, Twentieths - 1).Select(i => end.At(1 - i / (double)Twentieths))];

    private static GoalCheck From(SatCheck check, GoalTerm of, RosterRow r, DateTimeOffset now)
    {
        var facts = of.Facts[r.Id];
        DatedCheck dated = new(
            new(check.Found),
            check.FoundSd,
            of.Year.SchoolWeeks(check.At, now),
            (now - check.At).TotalDays / 7
        );
        var based = dated.In(facts);
        var end = of.For(r.Id).End(GoalKind.Depth, based);
        return new(
            check.CheckId,
            check.Name,
            of.Year.Clock.DayOf(check.At),
            based.Depth,
            RangeOfNine * based.Sd,
            dated.Contradicts(facts),
            Suggested(GoalKind.Depth, end),
            Ends(end)
        );
    }

    private static GoalOfKind Kind(
        (GoalTerm Of, TermSoFar Own) term,
        GoalKind kind,
        GoalFacts facts,
        IReadOnlyList<GoalRow> set,
        IReadOnlyList<EarlierGoal> earlier,
        IReadOnlyList<DepthOfDay> depths
    )
    {
        var end = term.Own.End(kind, facts);
        return new(
            kind,
            TermSoFar.SoFar(kind, facts),
            Weeks(term.Of, kind, facts, depths),
            Suggested(kind, end),
            Ends(end),
            set.FirstOrDefault(g => g.Kind == kind) is { } goal ? GoalStandingView.Of(goal, term.Own, facts) : null,
            [.. earlier.Where(g => g.Kind == kind).Select(g => new EarlierGoalView(g.Target, g.SetAt, g.Reason, g.By))]
        );
    }

    private static IReadOnlyList<double?> Weeks(
        GoalTerm of,
        GoalKind kind,
        GoalFacts facts,
        IReadOnlyList<DepthOfDay> depths
    )
    {
        var sum = 0.0;
        return kind switch
        {
            GoalKind.Words => [.. facts.Weeks.Select(w => (double?)(sum += w.Words))],
            GoalKind.Comprehension =>
            [
                .. facts.Weeks.Select(w => w.Scores.Count == 0 ? (double?)null : w.Scores.Average() * 100),
            ],
            _ =>
            [
                .. facts.Weeks.Select(
                    (_, i) => depths.LastOrDefault(d => d.Day < of.Term.FirstDay.AddDays(7 * (i + 1)))?.Depth.Value
                ),
            ],
        };
    }

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
        var term = (
            request.TermId is { } wantedTerm ? year.Terms.FirstOrDefault(t => t.Id == wantedTerm) : year.TermOn(today)
        ) ?? throw Refused.Conflict("no-term", $"There is no term to set goals for. A school lead can add one.");
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
