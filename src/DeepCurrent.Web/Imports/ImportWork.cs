using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Imports;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Formats;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Imports;

/// <summary>A row that is held back, or that something is said about.</summary>
public sealed record ProblemLine(string File, int Line, string Column, string Value, Message Reason, bool Stops);

/// <summary>How much would be ended.</summary>
/// <param name="Readers">Readers who would be in no class any more, of <paramref name="OfReaders"/> who are in
/// one.</param>
/// <param name="Type">The number to type before it is done, where more than a tenth would be ended; null where it is
/// not.</param>
public sealed record EndingsView(
    int Readers,
    int OfReaders,
    int Adults,
    int OfAdults,
    int Classes,
    int OfClasses,
    int? Type
);

public sealed record ImportPreview
{
    /// <summary>Stands for what would be done; an import that would now do something else is shown again.</summary>
    public required string Print { get; init; }

    public required IReadOnlyList<KindCounts> Counts { get; init; }

    public required int Moved { get; init; }

    public required int Linked { get; init; }

    /// <summary>The first of what would be done.</summary>
    public required IReadOnlyList<PreviewLine> Lines { get; init; }

    public required int LinesInAll { get; init; }

    public required IReadOnlyList<ProblemLine> Problems { get; init; }

    public required int Stopped { get; init; }

    public required int Noted { get; init; }

    public required IReadOnlyList<OrgLine> Orgs { get; init; }

    public required int Steps { get; init; }

    /// <summary>The system the file comes from.</summary>
    public required string Source { get; init; }

    /// <summary>The file holds several schools, and nobody has said which is this one. Nothing is compared before
    /// that.</summary>
    public required bool AsksOrg { get; init; }

    public required EndingsView Endings { get; init; }
}

public sealed record OrgLine(string Id, string Name, string Type);

/// <summary>Works an import out, and carries it out.</summary>
public sealed class ImportWork(
    ImportStore imports,
    RosterStore rosters,
    RosterWriter writer,
    SchoolStore schools,
    Secrets secrets,
    TimeProvider clock
)
{
    private const int MostLines = 400,
        MostProblems = 500,
        MostOfValue = 120;

    public async Task Do(ImportHead head, CancellationToken stop)
    {
        try
        {
            var apply = head.Wanted is ImportTask.Apply;
            var (result, file, yardstick, now) = await Reckon(head, pretend: !apply);
            var preview = Preview(result, file, await Names(result, head.SchoolId));
            if (!apply)
            {
                await imports.Ready(head.Id, Database.ToJson(preview));
                return;
            }
            var before = head.Preview is null ? null : Database.FromJson<ImportPreview>(head.Preview);
            if (before?.Print != preview.Print)
            {
                await imports.Ready(head.Id, Database.ToJson(preview));
                await imports.Failed(head.Id, $"The roster changed after this check. Check again before you import.");
                return;
            }
            stop.ThrowIfCancellationRequested();
            if (result.Change.Steps == 0)
            {
                await imports.Ready(head.Id, Database.ToJson(preview));
                return;
            }
            await Write(head, result.Change, preview, yardstick, now);
        }
        catch (Unreadable e)
        {
            await imports.Failed(head.Id, e.Said);
        }
        catch (BuiltOn e)
        {
            await imports.Failed(head.Id, e.Said);
        }
    }

    private async Task Write(
        ImportHead head,
        ChangeSet steps,
        ImportPreview preview,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        await Report(head, 0.5, ImportStage.Writing);
        var counts = preview.Counts.Where(c => c.All > 0).Select(c => Counted.Of(c.Kind, c.All));
        Message sentence = $"Imported {head.Name}: {counts}";
        await writer.Apply(
            steps,
            new(head.SchoolId, null, head.AdultId, sentence, now),
            yardstick,
            (c, t, change) => ImportStore.Apply(c, t, head.Id, change),
            p => _ = Report(head, 0.5 + p / 2, ImportStage.Writing)
        );
    }

    private async Task<(SourceResult Result, FileHead File, Yardstick Yardstick, DateTimeOffset Now)> Reckon(
        ImportHead head,
        bool pretend
    )
    {
        var now = clock.GetUtcNow();
        now = new(now.Ticks - now.Ticks % TimeSpan.TicksPerMicrosecond, TimeSpan.Zero);
        var school = await schools.Get(head.SchoolId);
        var today = new SchoolClock(school.TimeZone).DayOf(now);
        var year = await schools.CurrentYear(head.SchoolId, today)
            ?? throw new Unreadable($"No school year has started yet. Add one, then import.");
        await Report(head, 0.02, ImportStage.Reading);
        var lastTold = 0.0;
        var body = await imports.Body(head.Id);
        var about = await About(head, school, body);
        await imports.Read(head.Id, about.Source, about.Org);
        if (about.AsksOrg)
            return (SourceResult.Nothing, about, new(school.Chart, year), now);
        var file = OneRosterZip.Read(
            body,
            about.Org == ImportStore.AllOrgs ? null : about.Org,
            MendsOf(head),
            (done, all) =>
            {
                var p = 0.02 + 0.28 * done / Math.Max(1, all);
                if (p - lastTold < 0.02)
                    return;
                lastTold = p;
                _ = Report(head, p, ImportStage.Reading);
            }
        );
        await Report(head, 0.3, ImportStage.Comparing);
        var state = await rosters.Load(head.SchoolId);
        var (readerNames, adultNames, codes) = await rosters.Taken(head.SchoolId);
        var makers = RosterDesk.For(readerNames, adultNames, codes, school, secrets, pretend);
        var keeps = state.Adults.Values.Where(a => a.Lead).Select(a => a.Id).Append(head.AdultId).ToHashSet();
        var result = SourceReconciler.Reconcile(
            state,
            about.Own ? file.Roster with { Source = null } : file.Roster,
            new(year.Id, today, school.Chart, keeps),
            makers
        );
        await Report(head, 0.45, ImportStage.Comparing);
        return (result, about, new(school.Chart, year), now);
    }

    /// <param name="Org">What of the file is taken; null for a file of one school.</param>
    /// <param name="Own">This school wrote the file itself.</param>
    private sealed record FileHead(string Source, IReadOnlyList<OrgLine> Orgs, string? Org, bool AsksOrg, bool Own);

    /// <summary>Which school of a file is this one: what was chosen, what was chosen the last time, or the only one of
    /// its name.</summary>
    private async Task<FileHead> About(ImportHead head, School school, byte[] body)
    {
        var (source, all) = OneRosterZip.Head(body);
        List<OrgLine> schoolsIn =
        [
            .. all.Where(o => o.Type is "school" or "").Take(500).Select(o => new OrgLine(o.Id, o.Name, o.Type)),
        ];
        var own = source == OneRosterWriter.CodeOf(school.Id);
        if (schoolsIn.Count < 2)
            return new(source, schoolsIn, null, AsksOrg: false, own);
        bool Stands(string? org) => org == ImportStore.AllOrgs || schoolsIn.Exists(o => o.Id == org);
        var org = new[] { head.Org, await imports.LastOrg(school.Id, source) }.FirstOrDefault(Stands);
        if (
            org is null
            && schoolsIn
                .Where(o => Core.Roster.Names.Key(o.Name, "") == Core.Roster.Names.Key(school.Name, ""))
                .ToList()
                is [var one]
        )
            org = one.Id;
        return new(source, schoolsIn, org, AsksOrg: org is null, own);
    }

    private async Task Report(ImportHead head, double progress, ImportStage stage)
    {
        try
        {
            await imports.Progress(head.Id, progress, stage);
        }
        catch (Npgsql.NpgsqlException)
        { /* Progress is told again; the work itself will say if the database is gone. */
        }
    }

    /// <summary>Names of the readers and classes that enrolments are about and that are not themselves in the
    /// change.</summary>
    private async Task<RosterNames> Names(SourceResult result, SchoolId schoolId)
    {
        var lines = result.Change.Enrolments.Take(MostLines).Select(s => s.Thing).ToList();
        var readers = result.Change.Readers.ToDictionary(s => s.Thing.Id, s => s.Thing.FullName);
        var classes = result.Change.Classes.ToDictionary(s => s.Thing.Id, s => s.Thing.Name);
        foreach (var (id, name) in await rosters.Named(lines.Select(e => e.ReaderId), schoolId))
            readers.TryAdd(id, name);
        foreach (var (id, name) in await rosters.Named(lines.Select(e => e.ClassId), schoolId))
            classes.TryAdd(id, name);
        return new(readers, classes);
    }

    private static Mends MendsOf(ImportHead head)
    {
        var rows = Database.FromJson<List<MendRow>>(head.Mends);
        return new(
            rows.Where(m => m.Column is not null)
                .GroupBy(m => (m.File, m.Line, m.Column!))
                .ToDictionary(g => g.Key, g => g.Last().Value ?? ""),
            rows.Where(m => m.Column is null).Select(m => (m.File, m.Line)).ToHashSet()
        );
    }

    private static ImportPreview Preview(SourceResult result, FileHead file, RosterNames names)
    {
        var preview = RosterPreview.Of(result.Change, names, MostLines);
        return new()
        {
            Print = preview.Print,
            Counts = preview.Counts,
            Moved = preview.Moved,
            Linked = result.Linked,
            Lines = preview.Lines,
            LinesInAll = result.Change.Steps,
            Problems = [.. result.Problems.OrderByDescending(p => p.Stops).Take(MostProblems).Select(View)],
            Stopped = result.Problems.Count(p => p.Stops),
            Noted = result.Problems.Count(p => !p.Stops),
            Orgs = file.Orgs,
            Steps = result.Change.Steps,
            Source = file.Source,
            AsksOrg = file.AsksOrg,
            Endings = View(result.Endings),
        };
    }

    private static ProblemLine View(RowProblem p) =>
        new(
            p.At.File,
            p.At.Line,
            p.Column,
            p.Value.Length > MostOfValue ? p.Value[..MostOfValue] : p.Value,
            p.Reason,
            p.Stops
        );

    private static EndingsView View(Endings e) =>
        new(
            e.Readers.Ended,
            e.Readers.Of,
            e.Adults.Ended,
            e.Adults.Of,
            e.Classes.Ended,
            e.Classes.Of,
            e.Unusual ? e.All : null
        );
}
