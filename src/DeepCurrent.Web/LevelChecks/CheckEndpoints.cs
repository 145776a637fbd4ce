using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Classes;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>Level checks on the teacher's side: made, given, watched, given again, ended.</summary>
public static class CheckEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/checks", async (ClassId classId, Desk desk, CheckStore checks) =>
        {
            await desk.Class(classId, Deed.SeeClass);
            return await checks.Of(classId, desk.Who.Adult);
        });
        api.MapGet("/school/checks", async (Desk desk, CheckStore checks) =>
        {
            await desk.Lead();
            return await checks.OfSchool(desk.Who.SchoolId);
        });
        api.MapGet("/checks/choices", Choices);
        api.MapPost("/checks/preview", Preview);
        api.MapGet("/checks/{checkId:guid}", View);
        api.MapPut("/checks/{checkId:guid}", Save);
        api.MapPost("/checks/{checkId:guid}/again", Again);
        api.MapPost("/checks/{checkId:guid}/close", Close);
        api.MapPost("/checks/{checkId:guid}/take-back", TakeBack);
        api.MapPost("/checks/{checkId:guid}/discard", Discard);
    }

    private static async Task<CheckChoices> Choices(Desk desk, CheckDesk at, CheckStore checks, AdultStore adults)
    {
        desk.Library();
        var (chart, year) = await at.Yardstick();
        var gone = year.Gone(await desk.Today());
        CheckPlan one = new(CheckPlan.Usual, CheckStart.OwnLevel, 0, 60, false, 1, 2.5, false, []);
        var rows = chart.Rows.Select(r =>
        {
            var depth = chart.Typical((int)r.Grade, gone);
            double Minutes(CheckPart part) => one.Expected(one.Of(part)!, depth, chart);
            return new ExpectedRow(
                r.GradeLabel,
                depth,
                Minutes(CheckPart.WordReading),
                Minutes(CheckPart.WordMeaning),
                Minutes(CheckPart.Passages)
            );
        });
        var staff = (await adults.Staff(desk.Who.SchoolId, desk.Now))
            .Where(a => !a.LeftSchool && a.Id != desk.Who.Adult)
            .Select(a => new ColleagueChoice(a.Id, a.Name));
        return new(
            [.. CheckPlan.Usual.Select(PartPlanView.Of)],
            [.. rows],
            [.. staff],
            await checks.Passages(desk.Who.SchoolId)
        );
    }

    private static async Task<CheckView> View(
        CheckId checkId,
        Desk desk,
        CheckDesk at,
        CheckStore checks,
        SetAsideStore aside
    )
    {
        var (check, classes, mayChange) = await at.Find(checkId, Deed.WatchCheck);
        var over = check.Over(await desk.Today());
        var sittings = await checks.Sittings(checkId, classes);
        var seen = sittings.Select(s => s.Id).ToHashSet();
        var refused = (await aside.Of(checkId.Value))
            .Where(s => seen.Contains(SittingId.From(s.About)))
            .Select(s => new SittingSetAside(SittingId.From(s.About), SetAsideView.Of(s)))
            .ToList();
        return new()
        {
            Id = check.Id,
            Revision = check.Revision,
            Name = check.Name,
            ReaderTitle = check.ReaderTitle,
            Directions = check.Directions,
            Season = check.Season,
            Plan = PlanView.Of(check.Plan),
            For = AimView.Of(await checks.Aims(checkId)),
            OpensOn = check.OpensOn,
            ClosesOn = check.ClosesOn,
            Draft = check.Draft,
            Over = over,
            Gone = check.Gone,
            By = check.By,
            MadeAt = check.MadeAt,
            MayChange = mayChange,
            Begun = sittings.Any(s => s.Parts.Any(p => p.StartedAt is not null)),
            Colleagues = [.. (await checks.Colleagues(checkId)).Select(a => new ColleagueView(a.Id, a.Name))],
            Sittings = [.. sittings.Select(s => SittingView.Of(s, over))],
            SetAside = refused,
        };
    }

    /// <summary>What a check would be called and who would take it, while it is being made.</summary>
    private static async Task<CheckPreview> Preview(CheckPreviewRequest r, Desk desk, CheckDesk at, CheckStore checks)
    {
        desk.Library();
        var aims = CheckRequests.AimsOf(r.For);
        await at.Allow(aims);
        var (_, year) = await at.Yardstick();
        var meant = await checks.Meant(aims.Read(), desk.Who.SchoolId, year.Id);
        return new(await CheckRequests.NameOf(r.Season, r.OpensOn, meant, r.Parts ?? [], desk), meant.Count);
    }

    private static async Task<CheckChanged> Save(
        CheckId checkId,
        CheckRequest r,
        Desk desk,
        CheckDesk at,
        CheckStore checks,
        ChangeStore changes
    )
    {
        desk.Library();
        var before = r.Revision == 0 ? null : (await at.Find(checkId, Deed.ChangeCheck)).Check;
        var aims = CheckRequests.AimsOf(r.For);
        await at.Allow(aims);
        var plan = await CheckRequests.Plan(r, checks, desk);
        if (before is not null)
            await CheckRequests.Changeable(before, plan, r.Draft, checks);
        var (_, year) = await at.Yardstick();
        var meant = await checks.Meant(aims.Read(), desk.Who.SchoolId, year.Id);
        CheckRequests.CheckMeant(r, meant.Count);
        var name = await CheckRequests.NameOf(r.Season, r.OpensOn, meant, plan.Parts.Select(p => p.Part), desk);
        var check = CheckRequests.CheckOf(checkId, r, name, plan, before?.SchoolYearId ?? year.Id, desk);
        var gave = await changes.Do(
            new(
                desk.Who.SchoolId,
                aims.Grades.Count > 0 || meant.Count == 0 ? null : meant[0].ClassId,
                desk.Who.Adult,
                desk.Now
            ),
            ChangeKind.CheckGiven,
            async (c, t) =>
            {
                if (!await CheckWriter.Save(c, t, check, aims.Read(), [.. (r.Colleagues ?? []).Distinct().Take(50)]))
                    throw Refused.Conflict("stale", $"Someone else changed this check. Reload it to see the changes.");
                var now = r.Draft ? [] : await CheckWriter.Give(c, t, checkId, plan, meant, desk.Now);
                return now.Count == 0
                    ? null
                    : new(new CheckGiven(checkId, now), $"Gave {check.Name} to {Counted.Readers(now.Count)}");
            }
        );
        return new(gave?.Id, gave?.Summary ?? (r.Draft ? (Message)$"Saved as draft." : $"Saved."));
    }

    private static async Task<CheckChanged> Again(
        CheckId checkId,
        AgainRequest request,
        Desk desk,
        CheckDesk at,
        CheckStore checks,
        ChangeStore changes
    )
    {
        var (check, classes, _) = await at.Find(checkId, Deed.WatchCheck);
        var today = await desk.Today();
        var over = check.Over(today);
        var wanted = request.ReaderIds?.ToHashSet();
        var parts = (await checks.Sittings(checkId, classes))
            .Where(s => wanted is null || wanted.Contains(s.ReaderId))
            .SelectMany(s => s.Parts.GroupBy(p => p.Part).Select(g => (Sitting: s, Part: g.MaxBy(p => p.Round)!)))
            .Where(x => PartRules.Again(x.Part.State, x.Part.Flag, over) || Named(x.Part))
            .ToList();
        if (parts.Count == 0)
            throw Refused.Conflict("no-change", $"No one here has a part done too fast, thin or missed.");
        var made = await changes.Do(
            new(desk.Who.SchoolId, parts[0].Sitting.ClassId, desk.Who.Adult, desk.Now),
            ChangeKind.CheckAgain,
            async (c, t) =>
            {
                // A check that is over has to be open for them.
                if (over)
                    await SittingStore.Reopen(c, t, checkId, today);
                var again = await CheckWriter.Again(c, t, checkId, [.. parts.Select(x => x.Part.Id)], desk.Now);
                var readers = parts.Select(x => x.Sitting.ReaderId).Distinct().Count();
                return new(
                    new CheckAgain(again),
                    $"Gave {again.Count:count} parts of {check.Name} again to {Counted.Readers(readers)}"
                );
            }
        );
        return new(made!.Id, made.Summary);

        bool Named(PartRow p) => wanted is not null && request.Part == p.Part && p.State is PartState.Done;
    }

    /// <summary>Ends a check for everybody, or opens it again.</summary>
    private static async Task<CheckChanged> Close(
        CheckId checkId,
        CloseRequest request,
        CheckDesk at,
        SittingStore sittings,
        Desk desk
    )
    {
        var (check, _, _) = await at.Find(checkId, Deed.ChangeCheck);
        if (check.Draft)
            throw Refused.Conflict("draft", $"It is not given yet.");
        if (request.Closed)
            await sittings.Close(check, await at.Yardstick(), desk.Now);
        else
            await sittings.Reopen(checkId, await desk.Today());
        return new(null, request.Closed ? (Message)$"Ended the check. Answers so far count." : $"Reopened the check.");
    }

    private static async Task<CheckChanged> TakeBack(
        CheckId checkId,
        CheckReadersRequest request,
        Desk desk,
        CheckDesk at,
        CheckStore checks,
        ChangeStore changes
    )
    {
        var (check, classes, _) = await at.Find(checkId, Deed.WatchCheck);
        var theirs = (await checks.Sittings(checkId, classes))
            .Where(s => request.ReaderIds.Contains(s.ReaderId))
            .ToList();
        if (theirs.Count == 0)
            throw Refused.NotFound();
        CheckTakenBack taken = new(checkId, [.. theirs.Select(s => s.ReaderId)]);
        var made = await changes.Do(
            new(desk.Who.SchoolId, theirs[0].ClassId, desk.Who.Adult, desk.Now),
            ChangeKind.CheckTakenBack,
            async (c, t) =>
            {
                await CheckWriter.TakeBack(c, t, checkId, taken.ReaderIds, desk.Now);
                return new(taken, $"Took back {check.Name} from {Counted.Readers(theirs.Count)}");
            }
        );
        return new(made!.Id, made.Summary);
    }

    private static async Task<CheckChanged> Discard(
        CheckId checkId,
        GoneRequest request,
        CheckDesk at,
        CheckStore checks,
        Desk desk
    )
    {
        await at.Find(checkId, Deed.ChangeCheck);
        await checks.Discard(checkId, request.Gone, desk.Now);
        return new(
            null,
            request.Gone ? (Message)$"Took back the check from everyone. Answers are kept." : $"Restored the check."
        );
    }
}
