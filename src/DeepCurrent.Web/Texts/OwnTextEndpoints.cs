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

/// <param name="SentenceLength">What if sentences were this many times as long.</param>
/// <param name="Unfamiliar">What if there were this many times as many unfamiliar words.</param>
/// <param name="Taught">Keys of the letter–sound patterns taught so far; the answer then says which words of an early
/// text break them.</param>
public sealed record MeasureRequest(
    string Text,
    double? SentenceLength,
    double? Unfamiliar,
    IReadOnlyList<string>? Taught = null
);

public sealed record RemarkView(TextDoubt Doubt, bool Stops, Message Sentence);

public sealed record PatternUseView(string Key, string Name, int Times, IReadOnlyList<string> Words);

/// <param name="Measure">Null where the text cannot be measured; the remarks say why.</param>
/// <param name="Why">Places are in <paramref name="Plain"/>, the text without marks and headings.</param>
/// <param name="IfChanged">Depth if it were changed as asked.</param>
public sealed record MeasuredView(
    Fathoms? Depth,
    double? DepthError,
    Message? LevelName,
    string Plain,
    MeasureView? Measure,
    TextWhy? Why,
    IReadOnlyList<RemarkView> Remarks,
    IReadOnlyList<PatternUseView> Patterns,
    IReadOnlyList<PatternBreak> Breaks,
    Fathoms? IfChanged
);

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

/// <summary>Texts that teachers bring and change.</summary>
public static class OwnTextEndpoints
{
    private const long LargestText = 2 << 20;
    internal const int LongestBody = 200_000,
        LongestNote = 200,
        MostVersions = 6,
        MostWords = 40;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/texts/measure", Measure)
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestText));
        api.MapPost("/texts", Make).WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestText));
        api.MapPut(
                "/texts/{textId:guid}",
                (
                    TextId textId,
                    OwnTextRequest request,
                    Desk desk,
                    TextStore texts,
                    TextKeeper keeper,
                    LibraryShelf shelf
                ) => Save(textId, request, desk, texts, keeper, shelf)
            )
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestText));
        api.MapPost("/texts/{textId:guid}/copy", Copy);
        api.MapPost("/texts/{textId:guid}/retire", Retire);
        api.MapPut("/texts/{textId:guid}/versions/{versionId:guid}/depth", State);
        api.MapGet("/texts/{textId:guid}/revisions", Revisions);
        api.MapPost("/texts/{textId:guid}/revisions/{revision:int}/restore", Restore);
    }

    private static async Task<MeasuredView> Measure(MeasureRequest request, Desk desk)
    {
        desk.Library();
        var text = request.Text ?? "";
        if (text.Length > LongestBody)
            throw Refused.Field("text", $"Use {LongestBody} letters or fewer.");
        var plain = new VersionFile("", 0, text).Prose;
        var remarks = TextSense.Remarks(plain).Select(r => new RemarkView(r.Doubt, r.Stops, r.Sentence)).ToList();
        if (remarks.Exists(r => r.Stops))
            return new(null, null, null, plain, null, null, remarks, [], [], null);
        var school = await desk.School();
        var m = TextMeasurer.Measure(plain);
        var changed = WhatIf(request, plain);
        var patterns =
            m.Depth.Value > LetterSounds.DeepestOfUse
                ? []
                : LetterSounds
                    .Uses(plain)
                    .Select(u => new PatternUseView(u.Pattern.Key, u.Pattern.Name, u.Times, u.Words))
                    .ToList();
        return new(
            m.Depth,
            m.DepthError,
            school.LevelName(m.Depth),
            plain,
            TextMeasuring.View(plain, m),
            TextReasons.Explain(plain),
            remarks,
            patterns,
            patterns.Count == 0 || request.Taught is not { Count: > 0 } taught
                ? []
                : LetterSounds.Breaks(plain, LetterSounds.All.Select(p => p.Key).Intersect(taught).ToHashSet()),
            changed
        );
    }

    /// <summary>The depth with other sentences or other words, where that is asked.</summary>
    private static Fathoms? WhatIf(MeasureRequest request, string plain)
    {
        if (request.SentenceLength is null && request.Unfamiliar is null)
            return null;
        var (sentences, unfamiliar) = (request.SentenceLength ?? 1, request.Unfamiliar ?? 1);
        new Faults()
            .If(!(sentences is >= 0.25 and <= 4), "sentenceLength", $"Enter 0.25 to 4.")
            .If(!(unfamiliar is >= 0 and <= 4), "unfamiliar", $"Enter 0 to 4.")
            .Refuse();
        return TextReasons.WhatIf(TextCounter.Count(plain), sentences, unfamiliar);
    }

    /// <summary>A new text. Sent again before anybody has changed it, it is the same text, as it is written by
    /// now.</summary>
    private static async Task<SavedTextView> Make(
        OwnTextRequest request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    ) =>
        await Mine(request.Id, desk, texts) is { Revision: 1 } there
            ? await Save(there.Id, request with { Revision = 1 }, desk, texts, keeper, shelf)
            : await Save(null, request, desk, texts, keeper, shelf);

    /// <summary>What the asker has made under an id.</summary>
    internal static async Task<TextOwning?> Mine(TextId? id, Desk desk, TextStore texts) =>
        id is { } known
        && await texts.Owning(known, desk.Who.SchoolId, desk.Who.Adult) is { } text
        && text.OwnerId == desk.Who.Adult
            ? text
            : null;

    /// <summary>The versions as they were written, each with the id it had.</summary>
    private static List<NewVersion> VersionsOf(OwnTextRequest r, IReadOnlyList<VersionBody> bodies)
    {
        var known = bodies.Select(v => v.Id).ToHashSet();
        VersionId IdOf(OwnVersion v, string label) =>
            v.Id is { } vid && known.Contains(vid)
                ? vid
                : bodies.FirstOrDefault(b => b.Label == label && r.Versions.All(o => o.Id != b.Id))?.Id
                    ?? VersionId.New();
        return r
            .Versions.Select((v, i) => (Version: v, Label: Short(v.Label, ((char)('a' + i)).ToString(), 20)))
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

    private static async Task<SavedTextView> Save(
        TextId? textId,
        OwnTextRequest r,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        desk.Library();
        var before = textId is { } id ? await Changeable(id, desk, texts) : null;
        Check(r);
        var bodies = before is null ? [] : await texts.Bodies(before.Id);
        var versions = VersionsOf(r, bodies);
        var questions = before is null ? [] : Renamed(await texts.Questions(before.Id), bodies, versions);
        var made = Made(r, before, versions, questions, desk);
        if (
            before?.Revision == r.Revision
            && string.IsNullOrWhiteSpace(r.Note)
            && Same(made, (await texts.Whole(made.Id, desk.Who.SchoolId, desk.Who.Adult))!)
        )
            return new(made.Id, r.Revision, [.. Lost(made)]);
        var revision = await Keep(
            made,
            r.Revision,
            Noted(r.Note, before is null ? $"Created" : (Message)$"Edited"),
            desk,
            keeper,
            shelf
        );
        return new(made.Id, revision, [.. Lost(made)]);
    }

    private static NewText Made(
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
            Slug = before?.Slug ?? $"{Slug(r.Title)}-{Guid.NewGuid().ToString("N")[..8]}",
            Title = r.Title.Trim(),
            Kind = r.Kind.Trim(),
            Topic = r.Topic.Trim(),
            Fiction = r.Fiction,
            Spelling = Short(r.Spelling, "British", 20),
            Blurb = r.Blurb?.Trim() ?? "",
            Versions = versions,
            Questions = questions,
            Words = WordsOf(r),
            OwnerId = before?.OwnerId ?? desk.Who.Adult,
            Mine = r.Mine,
            Season = r.Season?.Trim() ?? "",
            CopiedFrom = before?.CopiedFrom,
        };

    /// <summary>True where two say the same, however they were measured.</summary>
    private static bool Same(NewText a, NewText b)
    {
        static NewText Unmeasured(NewText x) =>
            x with
            {
                Versions = [.. x.Versions.Select(v => v with { Depth = default, DepthError = 0, Measure = "" })],
            };
        return Database.ToJson(Unmeasured(a)) == Database.ToJson(Unmeasured(b));
    }

    /// <summary>Proofs and words that are no longer in the text.</summary>
    private static IEnumerable<Message> Lost(NewText text)
    {
        foreach (var (q, i) in text.Questions.Select((q, i) => (q, i + 1)))
        foreach (var v in text.Versions)
            if (
                !q.Written
                && (
                    q.Proof(v.Label) is not { } proof
                    || !Paragraphs.Holds(string.Join("\n", v.Pages.SelectMany(p => p)), proof)
                )
            )
                yield return $"Question {i}: its proof is not in version {v.Label}.";
        foreach (var w in text.Words)
            if (
                !text.Versions.Any(v =>
                    v.Pages.SelectMany(p => p).Any(p => p.Contains(w.Text, StringComparison.OrdinalIgnoreCase))
                )
            )
                yield return $"The word {w.Text} is not in the text.";
    }

    private static void Check(OwnTextRequest r)
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
        (r.Versions ?? []).Select((v, i) => Short(v.Label, ((char)('a' + i)).ToString(), 20));

    private static Message? BodyFault(string? body)
    {
        // A text that is too long is not read.
        if (body is null || body.Length > LongestBody)
            return $"Use {LongestBody} letters or fewer.";
        if (body.Split("\n\n").Any(p => Paragraphs.PictureOf(p.Trim()) is { Alt.Length: 0 }))
            return $"Describe each picture: ![what it shows](…).";
        return TextSense.Remarks(new VersionFile("", 0, body).Prose).FirstOrDefault(x => x.Stops)?.Sentence;
    }

    private static async Task<SavedTextView> Copy(
        TextId textId,
        CopyTextRequest? request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        TextPictureStore pictures,
        LibraryShelf shelf
    )
    {
        desk.Library();
        if (await Mine(request?.Id, desk, texts) is { } there)
            return new(there.Id, there.Revision, []);
        var whole = await texts.Whole(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        var copy = whole with
        {
            Id = request?.Id ?? TextId.New(),
            SchoolId = desk.Who.SchoolId,
            OwnerId = desk.Who.Adult,
            Mine = true,
            CopiedFrom = whole.Id,
            Slug = $"{whole.Slug[..Math.Min(50, whole.Slug.Length)]}-{Guid.NewGuid().ToString("N")[..8]}",
            Versions = [.. whole.Versions.Select(v => v with { Id = VersionId.New() })],
            Questions = [.. whole.Questions.Select(q => q with { Id = QuestionId.New() })],
        };
        var revision = await Keep(copy, 0, $"Duplicated from {whole.Title}", desk, keeper, shelf);
        if (await pictures.Of(whole.Id, desk.Who.SchoolId) is { } picture)
            await pictures.Put(copy.Id, picture);
        return new(copy.Id, revision, []);
    }

    private static async Task<IResult> Retire(
        TextId textId,
        RetireRequest request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        await Changeable(textId, desk, texts);
        await keeper.Retire(textId, request.Retired, desk.Now);
        await shelf.Refresh(textId);
        return Results.NoContent();
    }

    private static async Task<IResult> State(
        TextId textId,
        VersionId versionId,
        StateDepthRequest request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        await Changeable(textId, desk, texts);
        if (!(await texts.Bodies(textId)).Any(v => v.Id == versionId))
            throw Refused.NotFound();
        new Faults()
            .If(request.Depth is { } d && !d.OnScale, "depth", $"Enter a depth from −20 to 100 fm.")
            .If(
                request.Depth is not null && string.IsNullOrWhiteSpace(request.Reason),
                "reason",
                $"Enter a reason for colleagues."
            )
            .If(request.Reason?.Length > 300, "reason", $"Use 300 letters or fewer.")
            .Refuse();
        await keeper.State(
            textId,
            versionId,
            request.Depth?.Value,
            request.Depth is null ? null : request.Reason!.Trim(),
            desk.Who.Adult,
            desk.Now
        );
        await shelf.Refresh(textId);
        return Results.NoContent();
    }

    private static async Task<IReadOnlyList<RevisionView>> Revisions(TextId textId, Desk desk, TextStore texts)
    {
        desk.Library();
        _ = await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        return
        [
            .. (await texts.Revisions(textId)).Select(r => new RevisionView(
                r.Revision,
                r.At,
                r.By,
                r.Note,
                [.. r.Text.Versions.Select(v => new TextVersionBody(v.Label, v.Pages))]
            )),
        ];
    }

    private static async Task<SavedTextView> Restore(
        TextId textId,
        int revision,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        var now = await Changeable(textId, desk, texts);
        var then = (await texts.Revisions(textId)).FirstOrDefault(r => r.Revision == revision)
            ?? throw Refused.NotFound();
        // Who sees it is a choice of today, not part of what it says.
        var text = then.Text with { Mine = now.Mine, OwnerId = now.OwnerId };
        return new(
            textId,
            await Keep(text, now.Revision, $"Restored revision {revision}", desk, keeper, shelf),
            [.. Lost(text)]
        );
    }

    internal static async Task<int> Keep(
        NewText text,
        int expected,
        Message note,
        Desk desk,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        try
        {
            var revision = await keeper.Save(text, expected, desk.Who.Adult, note, desk.Now);
            await shelf.Refresh(text.Id);
            return revision;
        }
        catch (TextMoved)
        {
            throw Refused.Conflict(
                "stale",
                $"Someone else changed this text. Your words are still here: copy them, then reload the text."
            );
        }
    }

    /// <summary>A text its owner, or the lead of its school, may change. One that ships is copied first.</summary>
    internal static async Task<TextOwning> Changeable(TextId textId, Desk desk, TextStore texts)
    {
        desk.Library();
        var text = await texts.Owning(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        if (text.SchoolId is null)
            throw Refused.Conflict("ships", $"Library texts cannot be edited. Duplicate it and edit the copy.");
        return MayChange(text, desk)
            ? text
            : throw Refused.Conflict("not-yours", $"A colleague wrote this text. Duplicate it and edit the copy.");
    }

    /// <summary>True for a text its asker may change as it is.</summary>
    internal static bool MayChange(TextOwning text, Desk desk) =>
        text.SchoolId is not null && desk.May(Deed.ChangeText, text.OwnerId == desk.Who.Adult);

    /// <summary>The questions with the names that versions have now, where they had others.</summary>
    private static IReadOnlyList<Question> Renamed(
        IReadOnlyList<Question> questions,
        IReadOnlyList<VersionBody> before,
        IReadOnlyList<NewVersion> now
    )
    {
        var names = before.ToDictionary(v => v.Label, v => now.FirstOrDefault(n => n.Id == v.Id)?.Label ?? v.Label);
        Dictionary<string, T> Named<T>(IReadOnlyDictionary<string, T> by) =>
            by.GroupBy(p => names.GetValueOrDefault(p.Key, p.Key)).ToDictionary(g => g.Key, g => g.First().Value);
        return names.All(n => n.Key == n.Value)
            ? questions
            :
            [
                .. questions.Select(q =>
                    q with
                    {
                        Proofs = Named(q.Proofs),
                        After = q.After is null ? null : Named(q.After),
                    }
                ),
            ];
    }

    internal static string Short(string? text, string instead, int most) =>
        text?.Trim() is { Length: > 0 } t ? t[..Math.Min(most, t.Length)] : instead;

    /// <summary>What a writer says of a change, or what it was.</summary>
    internal static Message Noted(string? note, Message instead) =>
        Short(note, "", LongestNote) is { Length: > 0 } words ? Message.Verbatim(words) : instead;

    internal static string Slug(string title) =>
        string.Join(
            '-',
            new string([.. title.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : ' ')]).Split(
                ' ',
                StringSplitOptions.RemoveEmptyEntries
            )
        )
            is { Length: > 0 } slug
            ? slug[..Math.Min(30, slug.Length)]
            : "text";
}
