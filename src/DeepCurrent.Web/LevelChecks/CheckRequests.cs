using DeepCurrent.Core.Access;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Classes;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>A level check as it is asked for, checked and made into one that is kept.</summary>
internal static class CheckRequests
{
    private const int LongestTitle = 80,
        LongestDirections = 500,
        MostAims = 600,
        MostReaders = 5000;

    /// <summary>A check that readers have begun keeps its parts; one that was given is no draft again.</summary>
    internal static async Task Changeable(LevelCheck before, CheckPlan plan, bool draft, CheckStore checks)
    {
        if (
            Database.ToJson(plan) != Database.ToJson(before.Plan)
            && (await checks.Sittings(before.Id, null)).Any(s => s.Parts.Any(p => p.StartedAt is not null))
        )
            throw Refused.Conflict(
                "begun",
                $"Someone has started, so the parts cannot change. Titles, dates and readers still can."
            );
        if (!before.Draft && draft)
            throw Refused.Field("draft", $"It is already given. Take it back from its readers instead.");
    }

    internal static async Task<Message> NameOf(
        Season? season,
        DateOnly? opensOn,
        IReadOnlyList<CheckReader> meant,
        IEnumerable<CheckPart> parts,
        Desk desk
    ) => CheckName.Of(season, opensOn ?? await desk.Today(), meant.Select(m => m.Grade), [.. parts.Distinct().Order()]);

    internal static NewCheck CheckOf(
        CheckId checkId,
        CheckRequest r,
        Message name,
        CheckPlan plan,
        YearId yearId,
        Desk desk
    ) =>
        new()
        {
            Id = checkId,
            SchoolId = desk.Who.SchoolId,
            SchoolYearId = yearId,
            Season = r.Season,
            Name = name,
            ReaderTitle = Title(r.ReaderTitle, "readerTitle"),
            Directions = r.Directions?.Trim() ?? "",
            Plan = plan,
            Draft = r.Draft,
            OpensOn = r.OpensOn,
            ClosesOn = r.ClosesOn,
            MadeBy = desk.Who.Adult,
            At = desk.Now,
            Revision = r.Revision,
        };

    internal static AimView AimsOf(AimView? asked)
    {
        var aims = asked ?? throw Refused.Field("for", $"Choose who takes it.");
        if (aims.ClassIds.Count + aims.GroupIds.Count + aims.ReaderIds.Count + aims.Grades.Count > MostAims)
            throw Refused.Field("for", $"Choose at most {MostAims} classes, groups and readers.");
        return aims;
    }

    internal static void CheckMeant(CheckRequest r, int meant) =>
        new Faults()
            .If(!r.Draft && meant == 0, "for", $"No one would take it. Choose classes, groups or readers.")
            .If(meant > MostReaders, "for", $"Give it to at most {MostReaders} readers at a time.")
            .Refuse();

    private static string Title(string? title, string field) =>
        title?.Trim() is { Length: > 0 and <= LongestTitle } t
            ? t
            : throw Refused.Field(field, $"Enter a title of {LongestTitle} letters or fewer.");

    internal static async Task<CheckPlan> Plan(CheckRequest r, CheckStore checks, Desk desk)
    {
        var p = r.Plan ?? throw Refused.Field("plan", $"Choose the parts.");
        var parts = (p.Parts ?? []).Select(x => x.Read()).OrderBy(x => x.Part).ToList();
        var plan = new CheckPlan(
            parts,
            p.Start,
            p.From.Value,
            p.To.Value,
            p.TimerShown,
            p.MostPassages,
            p.SureAt,
            p.APartADay,
            p.Form ?? []
        );
        new Faults()
            .Of("plan", plan.Fault())
            .If(
                plan.Form.Count > 0
                    && plan.Form.Except((await checks.Passages(desk.Who.SchoolId)).Select(x => x.VersionId)).Any(),
                "plan",
                $"A passage of the fixed form is not in the library, or has too few questions."
            )
            .If(r.Directions?.Length > LongestDirections, "directions", $"Use {LongestDirections} letters or fewer.")
            .If(r.ClosesOn < r.OpensOn, "closesOn", $"The last day is before the first.")
            .If(
                r.Revision == 0 && r.ClosesOn < await desk.Today(),
                "closesOn",
                $"This day has passed. Choose today or a later day."
            )
            .Refuse();
        return plan;
    }
}
