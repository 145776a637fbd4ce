using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Content;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

/// <param name="Id">Null for a new version.</param>
/// <param name="Body">Markdown: paragraphs, # headings, --- between pages; without --- pages are made.</param>
public sealed record OwnVersion(VersionId? Id, string Label, string Body);

public sealed record OwnTextRequest
{
    /// <summary>The revision that was changed; 0 for a new text.</summary>
    public required int Revision { get; init; }

    public required string Title { get; init; }

    public required string Kind { get; init; }

    public required string Topic { get; init; }

    public required bool Fiction { get; init; }

    public required string Spelling { get; init; }

    public required string Blurb { get; init; }

    public required string Season { get; init; }

    /// <summary>Only I see it.</summary>
    public required bool Mine { get; init; }

    /// <summary>What was changed, for the history.</summary>
    public string? Note { get; init; }

    public required IReadOnlyList<OwnVersion> Versions { get; init; }

    public required IReadOnlyList<Word> Words { get; init; }

    /// <summary>Of a new text, made by the page: sent again, it is the same text.</summary>
    public TextId? Id { get; init; }
}

/// <param name="Warnings">What the change has left to be looked at.</param>
public sealed record SavedTextView(TextId Id, int Revision, IReadOnlyList<Message> Warnings);

/// <param name="Id">Of the copy, made by the page.</param>
public sealed record CopyTextRequest(TextId? Id);

public sealed record RetireRequest(bool Retired);

/// <param name="Depth">Null takes the statement back.</param>
public sealed record StateDepthRequest(Fathoms? Depth, string? Reason);

public sealed record RevisionView(
    int Revision,
    DateTimeOffset At,
    string? By,
    Message Note,
    IReadOnlyList<TextVersionBody> Versions
);

public sealed record TextVersionBody(string Label, IReadOnlyList<IReadOnlyList<string>> Pages);

/// <summary>A text as its writer sends it, checked and made into one that is kept.</summary>
internal static class OwnTextRequests
{
    internal const int LongestBody = 200_000,
        MostVersions = 6,
        MostWords = 40;

    /// <summary>The versions as they were written, each with the id it had.</summary>
    internal static List<NewVersion> VersionsOf(OwnTextRequest r, IReadOnlyList<VersionBody> bodies)
    {
        var known = bodies.Select(v => v.Id).ToHashSet();
        VersionId IdOf(OwnVersion v, string label) =>
            v.Id is { } vid && known.Contains(vid)
                ? vid
                : bodies.FirstOrDefault(b => b.Label == label && r.Versions.All(o => o.Id != b.Id))?.Id
                    ?? VersionId.New();
        return r
            .Versions.Select(
                (v, i) => (Version: v, Label: TextChanges.Short(v.Label, ((char)('a' + i)).ToString(), 20))
            )
            .Select(
                (x, i) =>
                    TextMeasuring.Version(
                        IdOf(x.Version, x.Label),
                        x.Label,
                        i,
                        new VersionFile("", 0, x.Version.Body),
                        x.Version.Body.Contains("\n---\n", StringComparison.Ordinal)
                    )
            )
            .ToList();
    }

    private static List<Word> WordsOf(OwnTextRequest r) =>
        [
            .. (r.Words ?? [])
                .Where(w => !string.IsNullOrWhiteSpace(w.Text))
                .Select(w => new Word(
                    w.Text.Trim(),
                    w.Part?.Trim() ?? "",
                    w.Meaning?.Trim() ?? "",
                    w.Example?.Trim() ?? ""
                )),
        ];

    internal static NewText Made(
        OwnTextRequest r,
        TextOwning? before,
        IReadOnlyList<NewVersion> versions,
        IReadOnlyList<Question> questions,
        Desk desk
    ) =>
        new()
        {
            Id = before?.Id ?? r.Id ?? TextId.New(),
            SchoolId = desk.Who.SchoolId,
            Slug = before?.Slug ?? $"{TextChanges.Slug(r.Title)}-{Guid.NewGuid().ToString("N")[..8]}",
            Title = r.Title.Trim(),
            Kind = r.Kind.Trim(),
            Topic = r.Topic.Trim(),
            Fiction = r.Fiction,
            Spelling = TextChanges.Short(r.Spelling, "British", 20),
            Blurb = r.Blurb?.Trim() ?? "",
            Versions = versions,
            Questions = questions,
            Words = WordsOf(r),
            OwnerId = before?.OwnerId ?? desk.Who.Adult,
            Mine = r.Mine,
            Season = r.Season?.Trim() ?? "",
            CopiedFrom = before?.CopiedFrom,
        };

    internal static void Check(OwnTextRequest r)
    {
        new Faults()
            .If(
                string.IsNullOrWhiteSpace(r.Title) || r.Title.Trim().Length > 120,
                "title",
                $"Enter a title of 120 letters or fewer."
            )
            .If(
                string.IsNullOrWhiteSpace(r.Kind) || r.Kind.Trim().Length > 40,
                "kind",
                $"Enter a kind of 40 letters or fewer."
            )
            .If(
                string.IsNullOrWhiteSpace(r.Topic) || r.Topic.Trim().Length > 40,
                "topic",
                $"Enter a topic of 40 letters or fewer."
            )
            .If(r.Blurb?.Length > 300, "blurb", $"Use 300 letters or fewer.")
            .If(r.Season?.Length > 40, "season", $"Use 40 letters or fewer.")
            .If(r.Versions is not { Count: > 0 and <= MostVersions }, "versions", $"Use 1 to {MostVersions} versions.")
            .If(LabelsOf(r).Distinct().Count() < r.Versions?.Count, "versions", $"Two versions have the same name.")
            .If(r.Words?.Count > MostWords, "words", $"Use {MostWords} words to know or fewer.")
            .Refuse();
        var faults = new Faults();
        foreach (var (v, i) in r.Versions!.Select((v, i) => (v, i)))
            faults.Of($"versions[{i}].body", BodyFault(v.Body));
        faults.Refuse();
    }

    private static IEnumerable<string> LabelsOf(OwnTextRequest r) =>
        (r.Versions ?? []).Select((v, i) => TextChanges.Short(v.Label, ((char)('a' + i)).ToString(), 20));

    private static Message? BodyFault(string? body)
    {
        // A text that is too long is not read.
        if (body is null || body.Length > LongestBody)
            return $"Use {LongestBody} letters or fewer.";
        if (body.Split("\n\n").Any(p => Paragraphs.PictureOf(p.Trim()) is { Alt.Length: 0 }))
            return $"Describe each picture: ![what it shows](…).";
        return TextSense.Remarks(new VersionFile("", 0, body).Prose).FirstOrDefault(x => x.Stops)?.Sentence;
    }
}
