using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Imports;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Formats;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Imports;

/// <summary>What an import would do to one kind of thing.</summary>
public sealed record KindCounts(string Kind, int Added, int Changed, int Ended, int Back);

/// <summary>One line of what an import would do.</summary>
/// <param name="What">added, changed, moved, ended or back.</param>
public sealed record PreviewLine(string Kind, string What, string Name, string Detail);

/// <summary>A row that is held back, or that something is said about.</summary>
public sealed record ProblemLine(string File, int Line, string Column, string Value, string Reason, bool Stops);

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

/// <param name="Print">Stands for what would be done; an import that would now do something else is shown
/// again.</param>
/// <param name="Lines">The first of what would be done.</param>
/// <param name="Source">The system the file comes from.</param>
/// <param name="AsksOrg">The file holds several schools, and nobody has said which is this one. Nothing is compared
/// before that.</param>
public sealed record ImportPreview(
    string Print,
    IReadOnlyList<KindCounts> Counts,
    int Moved,
    int Linked,
    IReadOnlyList<PreviewLine> Lines,
    int LinesInAll,
    IReadOnlyList<ProblemLine> Problems,
    int Stopped,
    int Noted,
    IReadOnlyList<OrgLine> Orgs,
    int Steps,
    string Source,
    bool AsksOrg,
    EndingsView Endings
);

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
        MostProblems = 500;

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
                await imports.Failed(
                    head.Id,
                    "The roster has been changed since this was looked at, so the import would now do "
                        + "something else. Look at it again."
                );
                return;
            }
            stop.ThrowIfCancellationRequested();
            if (result.Change.Steps == 0)
            {
                await imports.Ready(head.Id, Database.ToJson(preview));
                return;
            }
            await Report(head, 0.5, "Writing");
            var counts = preview
                .Counts.Select(c => (c.Kind, All: c.Added + c.Changed + c.Ended + c.Back))
                .Where(c => c.All > 0)
                .Select(c => $"{c.All:N0} {c.Kind}");
            var sentence = $"Imported {head.Name}: {string.Join(", ", counts)}";
            await writer.Apply(
                result.Change,
                new(head.SchoolId, null, head.AdultId, sentence, now),
                yardstick,
                (c, t, change) => ImportStore.Apply(c, t, head.Id, change),
                p => _ = Report(head, 0.5 + p / 2, "Writing")
            );
        }
        catch (Unreadable e)
        {
            await imports.Failed(head.Id, e.Message);
        }
        catch (BuiltOn e)
        {
            await imports.Failed(head.Id, e.Message);
        }
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
            ?? throw new Unreadable("No school year has begun yet. Add one, then take the roster in.");
        await Report(head, 0.02, "Reading");
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
                _ = Report(head, p, "Reading");
            }
        );
        await Report(head, 0.3, "Comparing");
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
        await Report(head, 0.45, "Comparing");
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

    private async Task Report(ImportHead head, double progress, string stage)
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
    private async Task<(Dictionary<ReaderId, string> Readers, Dictionary<ClassId, string> Classes)> Names(
        SourceResult result,
        SchoolId schoolId
    )
    {
        var lines = result.Change.Enrolments.Take(MostLines).Select(s => (s.After ?? s.Before)!).ToList();
        var readers = result.Change.Readers.ToDictionary(s => s.Thing.Id, s => (s.After ?? s.Before)!.FullName);
        var classes = result.Change.Classes.ToDictionary(s => s.Thing.Id, s => (s.After ?? s.Before)!.Name);
        foreach (var (id, name) in await rosters.Named(lines.Select(e => e.ReaderId), schoolId))
            readers.TryAdd(id, name);
        foreach (var (id, name) in await rosters.Named(lines.Select(e => e.ClassId), schoolId))
            classes.TryAdd(id, name);
        return (readers, classes);
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

    private static ImportPreview Preview(
        SourceResult result,
        FileHead file,
        (Dictionary<ReaderId, string> Readers, Dictionary<ClassId, string> Classes) names
    )
    {
        var change = result.Change;
        var moved = change.MovedReaders();
        KindCounts[] counts =
        [
            Count("readers", change.Readers, r => r.Left),
            Count("teachers", change.Adults, a => a.Left),
            Count("classes", change.Classes, c => c.Closed),
            Count("enrolments", change.Enrolments, e => e.To is not null),
            Count("teaching", change.Teachings, _ => false),
        ];
        string Reader(ReaderId id) => names.Readers.GetValueOrDefault(id, "A reader");
        string Class(ClassId id) => names.Classes.GetValueOrDefault(id, "a class");
        var lines = change
            .Readers.Select(s => Line("readers", s, r => r.FullName, r => r.Left, Differences))
            .Concat(change.Adults.Select(s => Line("teachers", s, a => a.Name, a => a.Left, (_, _) => "")))
            .Concat(
                change.Classes.Select(s =>
                    Line(
                        "classes",
                        s,
                        c => c.Name,
                        c => c.Closed,
                        (b, a) => b.Name == a.Name ? "dates" : $"was {b.Name}"
                    )
                )
            )
            .Concat(
                change.Enrolments.Select(s =>
                    Line(
                        "enrolments",
                        s,
                        e => $"{Reader(e.ReaderId)} in {Class(e.ClassId)}",
                        e => e.To is not null,
                        (_, _) => ""
                    )
                        is var line
                    && moved.Contains((s.After ?? s.Before)!.ReaderId)
                        ? line with
                        {
                            What = "moved",
                            Detail = line.What == "ended" ? "leaves" : "joins",
                        }
                        : line
                )
            );
        var problems = result
            .Problems.OrderByDescending(p => p.Stops)
            .Take(MostProblems)
            .Select(p => new ProblemLine(
                p.At.File,
                p.At.Line,
                p.Column,
                p.Value.Length > 120 ? p.Value[..120] : p.Value,
                p.Reason,
                p.Stops
            ))
            .ToList();
        return new(
            Print(counts, moved.Count, result),
            counts,
            moved.Count,
            result.Linked,
            [.. lines.OrderBy(l => l.What is "added" ? 1 : 0).Take(MostLines)],
            change.Steps,
            problems,
            result.Problems.Count(p => p.Stops),
            result.Problems.Count(p => !p.Stops),
            file.Orgs,
            change.Steps,
            file.Source,
            file.AsksOrg,
            View(result.Endings)
        );
    }

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

    // New ids and secrets differ each time; what is compared is how much of what is done, and to whom. FNV-1a, which is
    // the same in every process.
    private static string Print(KindCounts[] counts, int moved, SourceResult result)
    {
        var fold = result
            .Change.Readers.Select(s => (s.After ?? s.Before)!.FullName)
            .Concat(result.Change.Classes.Select(s => (s.After ?? s.Before)!.Name))
            .Aggregate(14695981039346656037UL, (sum, text) => text.Aggregate(sum, (x, c) => (x ^ c) * 1099511628211UL));
        return $"{string.Join(' ', counts.Select(c => $"{c.Added}.{c.Changed}.{c.Ended}.{c.Back}"))} {moved} {fold:x}";
    }

    private static KindCounts Count<T>(string kind, IReadOnlyList<Step<T>> steps, Func<T, bool> ended)
        where T : class, IRosterThing
    {
        int added = 0,
            changed = 0,
            gone = 0,
            back = 0;
        foreach (var s in steps)
            switch (What(s, ended))
            {
                case "added":
                    added++;
                    break;
                case "ended":
                    gone++;
                    break;
                case "back":
                    back++;
                    break;
                default:
                    changed++;
                    break;
            }
        return new(kind, added, changed, gone, back);
    }

    private static string What<T>(Step<T> s, Func<T, bool> ended)
        where T : class, IRosterThing =>
        s.Before is null ? "added"
        : s.After is null || (ended(s.After) && !ended(s.Before)) ? "ended"
        : ended(s.Before) && !ended(s.After) ? "back"
        : "changed";

    private static PreviewLine Line<T>(
        string kind,
        Step<T> s,
        Func<T, string> name,
        Func<T, bool> ended,
        Func<T, T, string> differences
    )
        where T : class, IRosterThing
    {
        var what = What(s, ended);
        return new(kind, what, name((s.After ?? s.Before)!), what == "changed" ? differences(s.Before!, s.After!) : "");
    }

    private static string Differences(RosterReader before, RosterReader after) =>
        string.Join(
            ", ",
            new[]
            {
                before.FullName != after.FullName ? $"was {before.FullName}" : "",
                before.Grade != after.Grade ? $"grade {before.Grade} to {after.Grade}" : "",
                before.SourceId != after.SourceId ? "linked to the source" : "",
                before.GuardianMail != after.GuardianMail ? "guardian address added" : "",
            }.Where(d => d.Length > 0)
        );
}
