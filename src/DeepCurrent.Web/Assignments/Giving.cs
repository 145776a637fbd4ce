using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

/// <summary>A class to give something in: who is in it and in which group, today.</summary>
public sealed record GivingClass(ClassPlace Place, IReadOnlyList<RosterRow> Roster, IReadOnlyList<GroupRow> InOrder)
{
    public IReadOnlyDictionary<GroupId, IReadOnlyList<ReaderId>> Groups { get; } =
        InOrder.ToDictionary(g => g.Id, g => g.ReaderIds);

    /// <summary>The readers some aims mean.</summary>
    public IReadOnlyList<RosterRow> Meant(IEnumerable<Aim> aims)
    {
        var meant = Aims.Readers(aims, Place.Id, [.. Roster.Select(r => r.Id)], Groups).ToHashSet();
        return [.. Roster.Where(r => meant.Contains(r.Id))];
    }

    public IReadOnlyList<Aim> AimsOf(IReadOnlyList<RosterRow> chosen) =>
        Aims.Of(Place.Id, [.. chosen.Select(r => r.Id)], [.. Roster.Select(r => r.Id)], Groups);
}

/// <summary>What of a text each reader gets: the version that fits, or the one that was locked.</summary>
public sealed class Giving(
    Desk desk,
    ReaderStore readers,
    GroupStore groups,
    TextStore texts,
    AssignmentStore assignments
)
{
    public const int MostReaders = 500;

    public async Task<GivingClass> Class(ClassId classId, Deed deed)
    {
        var place = await desk.Class(classId, deed);
        return new(place, await readers.Roster(classId, await desk.Moment()), await groups.Of(classId));
    }

    /// <summary>Those of the class who were chosen; a reader of another class is as unknown as one that does not
    /// exist.</summary>
    public static IReadOnlyList<RosterRow> Chosen(GivingClass room, IReadOnlyList<ReaderId> ids)
    {
        new Faults()
            .If(ids.Count == 0, "readerIds", $"Choose at least one reader.")
            .If(ids.Count > MostReaders, "readerIds", $"Choose at most {MostReaders} readers at a time.")
            .Refuse();
        var roster = room.Roster.ToDictionary(r => r.Id);
        return [.. ids.Distinct().Select(id => roster.GetValueOrDefault(id) ?? throw Refused.NotFound())];
    }

    public async Task<IReadOnlyList<FitView>> Fits(TextId textId, IReadOnlyList<RosterRow> chosen)
    {
        var school = await desk.School();
        var versions = await texts.Versions(textId, school.Id);
        if (versions.Count == 0)
            throw Refused.NotFound();
        var depths = versions.Select(v => v.Depth).ToList();
        var given = await assignments.Given(textId, [.. chosen.Select(r => r.Id)]);
        var cuts = new ZoneCuts(school.ZoneLow, school.ZoneHigh);
        return
        [
            .. chosen.Select(r =>
            {
                var best = Forecast.BestVersion(r.Depth, depths);
                var forecast = Forecast.Comprehension(r.Depth, depths[best]);
                return new FitView(
                    textId,
                    r.Id,
                    versions[best].Id,
                    versions[best].Label,
                    versions[best].Depth,
                    forecast.Percent,
                    Forecast.ZoneOf(forecast, cuts),
                    given.TryGetValue(r.Id, out var before) ? before : null,
                    [.. versions.Select(v => FitOf(v.Id, Forecast.Comprehension(r.Depth, v.Depth), cuts))]
                );
            }),
        ];
    }

    /// <summary>The title of a text that can be given.</summary>
    public async Task<string> TitleOf(TextId textId)
    {
        var title = (await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound()).Title;
        return (await texts.Questions(textId)).All(q => q.OnTheWay)
            ? throw Refused.Field("textIds", $"“{title}” has no quiz yet. Add one, or choose another text.")
            : title;
    }

    /// <summary>A ticket for each reader.</summary>
    /// <param name="locked">Versions fixed by the teacher, by reader.</param>
    /// <param name="skipGiven">Leaves out who already has or had the text.</param>
    public async Task<IReadOnlyList<NewTicket>> Tickets(
        TextId textId,
        IReadOnlyList<RosterRow> chosen,
        IReadOnlyDictionary<ReaderId, VersionId>? locked,
        bool skipGiven
    )
    {
        var depths = chosen.ToDictionary(r => r.Id, r => r.Depth);
        var versions = await texts.Versions(textId, desk.Who.SchoolId);
        return
        [
            .. (await Fits(textId, chosen))
                .Where(f => !skipGiven || f.Before is null)
                .Select(f =>
                    locked?.TryGetValue(f.ReaderId, out var wanted) == true
                    && versions.FirstOrDefault(v => v.Id == wanted) is { } version
                        ? new NewTicket(
                            TicketId.New(),
                            f.ReaderId,
                            version.Id,
                            Forecast.Comprehension(depths[f.ReaderId], version.Depth)
                        )
                        : new NewTicket(TicketId.New(), f.ReaderId, f.VersionId, new(f.Forecast / 100.0))
                ),
        ];
    }

    private static VersionFit FitOf(VersionId versionId, Probability forecast, ZoneCuts cuts) =>
        new(versionId, forecast.Percent, Forecast.ZoneOf(forecast, cuts));
}
