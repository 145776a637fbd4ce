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
    /// <summary>The groups of guided reading: everybody is in at most one.</summary>
    public IEnumerable<GroupRow> Guided => InOrder.Where(g => g.Grouping is null);

    public IReadOnlyDictionary<GroupId, IReadOnlyList<ReaderId>> Groups { get; } =
        InOrder.ToDictionary(g => g.Id, g => g.ReaderIds);

    /// <summary>The readers some aims mean.</summary>
    public IReadOnlyList<RosterRow> Meant(IEnumerable<Aim> aims)
    {
        var meant = Aims.Readers(aims, Place.Id, [.. Roster.Select(r => r.Id)], Groups).ToHashSet();
        return [.. Roster.Where(r => meant.Contains(r.Id))];
    }

    /// <summary>Readers in words: a group by its name, else how many.</summary>
    public Message Said(IReadOnlyList<RosterRow> readers)
    {
        var group = InOrder.FirstOrDefault(g =>
            g.ReaderIds.Count == readers.Count && readers.All(r => g.ReaderIds.Contains(r.Id))
        );
        return group is null ? Counted.Readers(readers.Count) : $"{group.Name}";
    }

    public IReadOnlyList<Aim> AimsOf(IReadOnlyList<RosterRow> chosen) =>
        Aims.Of(Place.Id, [.. chosen.Select(r => r.Id)], [.. Roster.Select(r => r.Id)], Groups);
}

/// <summary>What of a text each reader gets: the version that fits, or the one that was locked.</summary>
public sealed class Giving(Desk desk, ReaderStore readers, GroupStore groups, TextStore texts, GivenStore earlier)
{
    public const int MostReaders = 500;

    public async Task<GivingClass> Class(ClassId classId, Deed deed)
    {
        var place = await desk.Class(classId, deed);
        return new(place, await readers.Roster(classId, await desk.Moment()), await groups.Every(classId));
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

    /// <summary>What is forecast of texts for readers, by text; all of them are asked for at once.</summary>
    public async Task<ILookup<TextId, FitView>> Fits(
        IReadOnlyCollection<TextId> textIds,
        IReadOnlyCollection<RosterRow> chosen
    )
    {
        var school = await desk.School();
        var versions = await texts.Versions(textIds, school.Id);
        if (textIds.Any(id => !versions.Contains(id)))
            throw Refused.NotFound();
        var given = await earlier.Given(textIds, [.. chosen.Select(r => r.Id)]);
        var cuts = new ZoneCuts(school.ZoneLow, school.ZoneHigh);
        return textIds
            .SelectMany(id => chosen.Select(r => FitOf(id, [.. versions[id]], r, given, cuts)))
            .ToLookup(f => f.TextId);
    }

    private static FitView FitOf(
        TextId textId,
        IReadOnlyList<VersionHead> versions,
        RosterRow reader,
        IReadOnlyDictionary<(TextId, ReaderId), EarlierReading> given,
        ZoneCuts cuts
    )
    {
        var fits = versions
            .Select(v => Forecast.Comprehension(reader.Depth, v.Depth))
            .Select((f, i) => new VersionFit(versions[i].Id, f.Percent, Forecast.ZoneOf(f, cuts)))
            .ToList();
        var best = Forecast.BestVersion(reader.Depth, [.. versions.Select(v => v.Depth)]);
        return new(
            textId,
            reader.Id,
            versions[best].Id,
            versions[best].Label,
            versions[best].Depth,
            fits[best].Forecast,
            fits[best].Zone,
            given.TryGetValue((textId, reader.Id), out var before) ? before : null,
            fits
        );
    }

    /// <summary>The title of a text that can be given.</summary>
    public async Task<string> TitleOf(TextId textId) => (await Titles([textId]))[textId];

    /// <summary>The titles of texts that can be given: the asker sees them and they have a quiz. All are asked for at
    /// once.</summary>
    /// <param name="kind">Who only reads it aloud needs no quiz.</param>
    public async Task<IReadOnlyDictionary<TextId, string>> Titles(
        IReadOnlyCollection<TextId> textIds,
        TaskKind kind = TaskKind.Text
    )
    {
        var found = await texts.Some(textIds, desk.Who.SchoolId, desk.Who.Adult, null);
        if (textIds.Distinct().Count() > found.Count)
            throw Refused.NotFound();
        if (kind is not TaskKind.Recording && found.FirstOrDefault(t => t.Questions == 0) is { } bare)
            throw WithoutQuiz(bare.Title);
        return found.ToDictionary(t => t.Id, t => t.Title);
    }

    private static Refused WithoutQuiz(string title) =>
        Refused.Field("textIds", $"“{title}” has no quiz yet. Add one, or choose another text.");

    /// <summary>Refuses a text that has no quiz.</summary>
    public async Task Asks(TextId textId, string title)
    {
        if ((await texts.Questions(textId)).All(q => q.OnTheWay))
            throw WithoutQuiz(title);
    }

    /// <summary>Refuses questions that are not of a text's quiz.</summary>
    public async Task Has(TextId textId, IReadOnlyList<QuestionId> chosen)
    {
        var quiz = (await texts.Questions(textId)).Where(q => !q.OnTheWay).Select(q => q.Id).ToHashSet();
        if (chosen.Count == 0 || !chosen.All(quiz.Contains))
            throw Refused.Field("questions", $"Choose at least one question.");
    }

    /// <summary>A ticket for each reader, of a task without a text.</summary>
    public static IReadOnlyList<NewTicket> Tickets(IEnumerable<RosterRow> readers) =>
        [.. readers.Select(r => new NewTicket(TicketId.New(), r.Id, null, null))];

    /// <summary>A ticket for each reader.</summary>
    /// <param name="locked">Versions fixed by the teacher, by reader.</param>
    /// <param name="skipGiven">Leaves out who already has or had the text.</param>
    public static IReadOnlyList<NewTicket> Tickets(
        IEnumerable<FitView> fits,
        IReadOnlyDictionary<ReaderId, VersionId>? locked,
        bool skipGiven
    ) => [.. fits.Where(f => !skipGiven || f.Before is null).Select(f => Ticket(f, locked))];

    private static NewTicket Ticket(FitView f, IReadOnlyDictionary<ReaderId, VersionId>? locked)
    {
        var wanted = locked?.TryGetValue(f.ReaderId, out var id) == true ? id : f.VersionId;
        var version = f.Versions.FirstOrDefault(v => v.VersionId == wanted) ?? new(f.VersionId, f.Forecast, f.Zone);
        return new(TicketId.New(), f.ReaderId, version.VersionId, new(version.Forecast / 100.0));
    }
}
