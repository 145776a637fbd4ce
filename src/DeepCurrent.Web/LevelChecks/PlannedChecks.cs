using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Plans;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using Npgsql;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>A level check that is ready to be given.</summary>
internal sealed record PreparedCheck(NewCheck Check, IReadOnlyList<CheckReader> Readers);

/// <summary>Who takes planned checks, in which school year.</summary>
internal sealed record Takers(YearId YearId, IReadOnlyList<CheckReader> Readers);

/// <summary>A draft that is ready to be given.</summary>
internal sealed record DraftCheck(LevelCheck Check, IReadOnlyList<CheckReader> Readers);

/// <summary>Level checks that come with other work: plans hold them, and drafts are given together.</summary>
internal sealed class PlannedChecks(Desk desk, CheckDesk at, CheckStore checks)
{
    /// <summary>A check of a class's weeks, for a plan.</summary>
    /// <param name="monday">Of the plan's first week; a check that opened before is not in it.</param>
    public async Task<PlanItem> Item(CheckId id, DateOnly monday)
    {
        var (check, _, _) = await at.Find(id, Deed.WatchCheck);
        var opens = check.OpensOn ?? (await desk.Clock()).DayOf(check.MadeAt);
        if (check.Gone || opens < monday)
            throw Refused.NotFound();
        return Plan.OfCheck(
            monday,
            opens,
            check.ClosesOn,
            new(check.Season, check.ReaderTitle, check.Directions, check.Plan)
        );
    }

    /// <summary>Passages that a fixed form can be made of.</summary>
    public async Task<IReadOnlySet<VersionId>> Passages() =>
        (await checks.Passages(desk.Who.SchoolId)).Select(p => p.VersionId).ToHashSet();

    /// <summary>The readers of a class as those who take checks; the asker may give them.</summary>
    public async Task<Takers> Of(ClassId classId, IEnumerable<ReaderId> readerIds)
    {
        await desk.Class(classId, Deed.GiveCheck);
        var (_, year) = await at.Yardstick();
        return new(year.Id, await checks.Meant(Aims(readerIds), desk.Who.SchoolId, year.Id, classId));
    }

    /// <summary>A planned check for readers, on days of theirs.</summary>
    public PreparedCheck Prepare(CheckId id, PlannedCheck planned, AssignmentTerms when, Takers takers, bool draft)
    {
        var (yearId, meant) = takers;
        var parts = planned.Parts.Parts.Select(p => p.Part).Distinct().Order().ToList();
        return new(
            new()
            {
                Id = id,
                SchoolId = desk.Who.SchoolId,
                SchoolYearId = yearId,
                Season = planned.Season,
                Name = CheckName.Of(planned.Season, when.VisibleFrom, meant.Select(m => m.Grade), parts),
                ReaderTitle = planned.ReaderTitle,
                Directions = planned.Directions,
                Plan = planned.Parts,
                Draft = draft,
                OpensOn = when.VisibleFrom,
                ClosesOn = when.DueOn,
                MadeBy = desk.Who.Adult,
                At = desk.Now,
                Revision = 0,
            },
            meant
        );
    }

    /// <summary>Drafts of the asker's that can be given as they are, in a class.</summary>
    public async Task<IReadOnlyList<DraftCheck>> Drafts(ClassId classId, IReadOnlyList<CheckId> ids)
    {
        var found = new List<DraftCheck>();
        foreach (var id in ids.Distinct())
        {
            var (check, _, _) = await at.Find(id, Deed.ChangeCheck);
            if (!check.Draft || check.Gone)
                throw Given();
            if (check.ClosesOn < await desk.Today())
                throw Refused.Field("checkIds", $"The last day of {check.Name} has passed. Change its dates first.");
            var meant = await checks.Meant(await checks.Aims(id), check.SchoolId, check.SchoolYearId, classId);
            if (meant.Count == 0)
                throw Refused.Field("checkIds", $"No one would take {check.Name}. Choose classes, groups or readers.");
            found.Add(new(check, meant));
        }
        return found;
    }

    /// <summary>Gives drafts.</summary>
    public static async Task<IReadOnlyList<CheckGiven>> Give(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<DraftCheck> drafts,
        DateTimeOffset now
    )
    {
        var given = new List<CheckGiven>();
        foreach (var (check, readers) in drafts)
        {
            if (!await CheckWriter.SetGiven(c, t, check.Id))
                throw Given();
            given.Add(new(check.Id, await CheckWriter.Give(c, t, check.Id, check.Plan, readers, now)));
        }
        return given;
    }

    private static Refused Given() =>
        Refused.Conflict("given", $"One of these has been assigned already. Reload to see it.");

    private static IReadOnlyList<CheckAim> Aims(IEnumerable<ReaderId> readers) =>
        [.. readers.Select(r => new CheckAim(AimKind.Reader, r.ToString()))];

    /// <summary>Keeps a check, and gives it unless it is a draft.</summary>
    public static async Task<CheckGiven> Add(NpgsqlConnection c, NpgsqlTransaction t, PreparedCheck prepared)
    {
        var (check, readers) = prepared;
        if (!await CheckWriter.Save(c, t, check, Aims(readers.Select(r => r.ReaderId)), []))
            throw Refused.Conflict("given", $"This has been assigned already.");
        var now = check.Draft ? [] : await CheckWriter.Give(c, t, check.Id, check.Plan, readers, check.At);
        return new(check.Id, now);
    }

    /// <summary>Takes checks back that were given or drafted with other work; answers are kept.</summary>
    /// <returns>Readers it was taken back from.</returns>
    public static async Task<int> TakeBack(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<CheckGiven>? given,
        DateTimeOffset now
    )
    {
        var taken = 0;
        foreach (var (id, readers) in given ?? [])
        {
            taken += await CheckWriter.TakeBack(c, t, id, readers, now);
            await CheckWriter.DiscardEmpty(c, t, id, now);
        }
        return taken;
    }
}
