using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Qti;
using DeepCurrent.Formats.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using Microsoft.AspNetCore.Mvc;

namespace DeepCurrent.Web.Texts;

/// <param name="File">Its bytes, in base64.</param>
public sealed record FileRequest(string Name, byte[] File);

/// <param name="Alt">What it shows, as the file says; empty where it does not.</param>
/// <param name="Bytes">As it will be kept; null for what is no picture that can be shown.</param>
public sealed record DraftPictureView(string Name, string Alt, string? Type, byte[]? Bytes);

/// <summary>A text in a file, before it is taken in.</summary>
public sealed record DraftTextView
{
    public required int Number { get; init; }

    public required string Title { get; init; }

    public required string Kind { get; init; }

    public required string Topic { get; init; }

    /// <summary>The file does not say its kind; it was guessed from the text.</summary>
    public required bool KindGuessed { get; init; }

    /// <summary>The file does not say its topic; it was guessed from the words.</summary>
    public required bool TopicGuessed { get; init; }

    public required bool Fiction { get; init; }

    public required string Start { get; init; }

    public required int Words { get; init; }

    public required int Versions { get; init; }

    public required int Questions { get; init; }

    /// <summary>Of its shallowest version; null where it cannot be measured.</summary>
    public required Fathoms? Depth { get; init; }

    public required double? DepthError { get; init; }

    public required Message? LevelName { get; init; }

    public required IReadOnlyList<RemarkView> Remarks { get; init; }

    public required IReadOnlyList<SuggestedWord> SuggestedWords { get; init; }

    public required IReadOnlyList<DraftPictureView> Pictures { get; init; }
}

public sealed record DraftFileView(IReadOnlyList<DraftTextView> Texts, IReadOnlyList<Message> Notes);

/// <param name="Number">Which text of the file.</param>
/// <param name="Alts">What each picture shows, by its name; a picture without words is not taken in.</param>
/// <param name="Words">Words to know besides those the file brings.</param>
public sealed record TakenText(
    int Number,
    string Title,
    string Kind,
    string Topic,
    bool Fiction,
    IReadOnlyDictionary<string, string>? Alts,
    IReadOnlyList<Word>? Words,
    TextId? Id = null
);

/// <param name="Mine">Only I see them.</param>
public sealed record BringRequest(string Name, byte[] File, bool Mine, IReadOnlyList<TakenText> Texts);

public sealed record BroughtText(TextId Id, string Title, IReadOnlyList<Message> Warnings);

/// <summary>Bringing texts in from files, and giving them out again.</summary>
public static class BringEndpoints
{
    private const long LargestRequest = 32 << 20;
    private const int MostAtOnce = 200,
        StartLength = 240;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/texts/read", Read).WithMetadata(new RequestSizeLimitAttribute(LargestRequest));
        api.MapPost("/texts/bring", Bring).WithMetadata(new RequestSizeLimitAttribute(LargestRequest));
        api.MapPost("/texts/{textId:guid}/quiz/read", Questions)
            .WithMetadata(new RequestSizeLimitAttribute(LargestRequest));
        api.MapGet("/texts/{textId:guid}/file", File);
        api.MapGet("/pictures/{pictureId:guid}", Shown);
    }

    /// <summary>What a file holds; nothing is kept yet.</summary>
    private static async Task<DraftFileView> Read(
        FileRequest request,
        Desk desk,
        LibraryShelf shelf,
        CancellationToken stop
    )
    {
        desk.Library();
        var file = await Opened(request.Name, request.File, stop);
        var school = await desk.School();
        var topics = await shelf.Topics(desk.Who.SchoolId);
        return new(
            [.. file.Texts.Take(MostAtOnce).Select((t, i) => View(t, i, school, topics))],
            file.Texts.Count > MostAtOnce
                ? [.. file.Notes, $"Only the first {MostAtOnce} of {file.Texts.Count:count} texts are shown."]
                : file.Notes
        );
    }

    private static DraftTextView View(TextDraft t, int number, Core.Schools.School school, IReadOnlyList<string> topics)
    {
        var prose = t.Versions[0].Prose;
        var remarks = TextSense.Remarks(prose).Select(r => new RemarkView(r.Doubt, r.Stops, r.Sentence)).ToList();
        var measure = remarks.Exists(r => r.Stops) ? null : TextMeasurer.Measure(prose);
        var counts = TextCounter.Count(prose);
        var kind = t.Kind.Length > 0 ? t.Kind : Suggestions.Kind(t.Versions[0].Body);
        var pictures = t
            .Pictures.Select(p => (p, Clean: PictureCleaner.Clean(p.Bytes)))
            .Select(x => new DraftPictureView(x.p.Name, x.p.Alt, x.Clean?.Type, x.Clean?.Bytes))
            .ToList();
        return new()
        {
            Number = number,
            Title = t.Title,
            Kind = kind,
            Topic = t.Topic.Length > 0 ? t.Topic : Suggestions.Topic(counts, topics) ?? "",
            KindGuessed = t.Kind.Length == 0 && kind.Length > 0,
            TopicGuessed = t.Topic.Length == 0 && Suggestions.Topic(counts, topics) is not null,
            Fiction = t.Fiction ?? Suggestions.Fiction(kind),
            Start = prose[..Math.Min(StartLength, prose.Length)],
            Words = counts.Words,
            Versions = t.Versions.Count,
            Questions = t.Questions.Count,
            Depth = measure?.Depth,
            DepthError = measure?.DepthError,
            LevelName = measure is null ? null : school.LevelName(measure.Depth),
            Remarks = remarks,
            SuggestedWords = t.Words.Count > 0 || measure is null ? [] : Suggestions.Words(prose, counts),
            Pictures = pictures,
        };
    }

    /// <summary>Takes texts of a file into the library, each whole or not at all.</summary>
    private static async Task<IReadOnlyList<BroughtText>> Bring(
        BringRequest request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf,
        PictureStore pictures,
        CancellationToken stop
    )
    {
        desk.Library();
        var file = await Opened(request.Name, request.File, stop);
        if ((request.Texts ?? []).Count is 0 or > MostAtOnce)
            throw Refused.Field("texts", $"Choose 1 to {MostAtOnce} texts.");
        var drafts = request
            .Texts!.Select(
                (t, i) =>
                    (
                        Taken: t,
                        Draft: file.Texts.ElementAtOrDefault(t.Number)
                            ?? throw Refused.Field($"texts[{i}].number", $"This text is not in the file.")
                    )
            )
            .ToList();
        foreach (var (taken, i) in request.Texts!.Select((t, i) => (t, i)))
            Check(taken, drafts[i].Draft, i);
        var brought = new List<BroughtText>();
        foreach (var (taken, draft) in drafts)
            brought.Add(
                await OwnTextEndpoints.Mine(taken.Id, desk, texts) is { } there
                    ? new(there.Id, taken.Title.Trim(), [])
                    : await Take(taken, draft, request.Mine, desk, keeper, shelf, pictures)
            );
        return brought;
    }

    private static void Check(TakenText t, TextDraft draft, int i)
    {
        new Faults()
            .If(
                string.IsNullOrWhiteSpace(t.Title) || t.Title.Trim().Length > 120,
                $"texts[{i}].title",
                $"Enter a title of 120 letters or fewer."
            )
            .If(
                string.IsNullOrWhiteSpace(t.Kind) || t.Kind.Trim().Length > 40,
                $"texts[{i}].kind",
                $"Enter a kind of 40 letters or fewer for “{t.Title}”."
            )
            .If(
                string.IsNullOrWhiteSpace(t.Topic) || t.Topic.Trim().Length > 40,
                $"texts[{i}].topic",
                $"Enter a topic of 40 letters or fewer for “{t.Title}”."
            )
            .Refuse();
        foreach (var v in draft.Versions)
        {
            if (v.Body.Length > OwnTextEndpoints.LongestBody)
                throw Refused.Field(
                    $"texts[{i}]",
                    $"“{t.Title}” has more than {OwnTextEndpoints.LongestBody} letters. Split it into chapters and import each."
                );
            if (TextSense.Remarks(v.Prose).FirstOrDefault(x => x.Stops) is { } stop)
                throw Refused.Field($"texts[{i}]", $"“{t.Title}”: {stop.Sentence}");
        }
        if (draft.Pictures.FirstOrDefault(p => Alt(t, p).Length > 300) is { } long_)
            throw Refused.Field($"texts[{i}].alts", $"Use 300 letters or fewer to describe the picture {long_.Name}.");
    }

    private static string Alt(TakenText t, DraftPicture p) =>
        (t.Alts?.GetValueOrDefault(p.Name) ?? p.Alt).Replace('[', '(').Replace(']', ')').Replace('\n', ' ').Trim();

    /// <summary>Keeps the pictures that have words for those who do not see them.</summary>
    /// <returns>How each is written in the text, by its name.</returns>
    private static async Task<Dictionary<string, string>> KeepPictures(
        TakenText taken,
        TextDraft draft,
        Desk desk,
        PictureStore pictures,
        List<Message> warnings
    )
    {
        var kept = new Dictionary<string, string>();
        foreach (var p in draft.Pictures)
        {
            var alt = Alt(taken, p);
            if (alt.Length == 0)
            {
                warnings.Add($"Skipped the picture {p.Name}: it has no description.");
                continue;
            }
            if (PictureCleaner.Clean(p.Bytes) is not { } clean)
            {
                warnings.Add($"Skipped {p.Name}: it is not a picture that can be shown.");
                continue;
            }
            var id = PictureId.New();
            await pictures.Add(new(id, clean.Type, clean.Bytes), desk.Who.SchoolId, desk.Now);
            kept[p.Name] = $"![{alt}]({id})";
        }
        return kept;
    }

    /// <summary>The questions that can be asked; of the others it says why not.</summary>
    private static List<Question> Asked(TextDraft draft, IReadOnlyList<NewVersion> versions, List<Message> warnings)
    {
        var questions = draft.Questions.Select(q => q with { Id = QuestionId.New() }).ToList();
        var faults = QuizCheck.Faults(
            questions,
            [.. versions.Select(v => new CheckedVersion(v.Label, [.. v.Pages.SelectMany(p => p)], v.Depth.Value))]
        );
        foreach (var fault in faults.Where(f => f.Stops))
            warnings.Add($"Skipped question {fault.At!.Value + 1}: it {fault.Sentence}");
        return
        [
            .. questions
                .Where((_, i) => !faults.Any(f => f.Stops && f.At == i))
                .Select((q, i) => q with { Position = i }),
        ];
    }

    private static async Task<BroughtText> Take(
        TakenText taken,
        TextDraft draft,
        bool mine,
        Desk desk,
        TextKeeper keeper,
        LibraryShelf shelf,
        PictureStore pictures
    )
    {
        var warnings = new List<Message>();
        var kept = await KeepPictures(taken, draft, desk, pictures, warnings);
        var versions = VersionsOf(draft, kept);
        var questions = Asked(draft, versions, warnings);
        var words = draft
            .Words.Select(w => new Word(w.Word, w.PartOfSpeech, w.Meaning, w.Example))
            .Concat(taken.Words ?? [])
            .DistinctBy(w => w.Text)
            .Take(OwnTextEndpoints.MostWords)
            .ToList();
        var title = taken.Title.Trim();
        var text = new NewText
        {
            Id = taken.Id ?? TextId.New(),
            SchoolId = desk.Who.SchoolId,
            Slug = $"{OwnTextEndpoints.Slug(title)}-{Guid.NewGuid().ToString("N")[..8]}",
            Title = title,
            Kind = taken.Kind.Trim(),
            Topic = taken.Topic.Trim(),
            Fiction = taken.Fiction,
            Spelling = draft.Spelling.Length > 0 ? draft.Spelling : "British",
            Blurb = draft.Blurb,
            Versions = versions,
            Questions = questions,
            Words = words,
            OwnerId = desk.Who.Adult,
            Mine = mine,
            Season = draft.Season,
        };
        await OwnTextEndpoints.Keep(text, 0, $"Imported from a file", desk, keeper, shelf);
        return new(text.Id, title, warnings);
    }

    private static List<NewVersion> VersionsOf(TextDraft draft, Dictionary<string, string> pictures)
    {
        return draft
            .Versions.Select(
                (v, i) =>
                    TextMeasuring.Version(
                        VersionId.New(),
                        v.Label,
                        i,
                        v with
                        {
                            Body = Pictured(v.Body, pictures),
                        },
                        v.Body.Contains("\n---\n", StringComparison.Ordinal)
                    )
            )
            .ToList();
    }

    /// <summary>The body with its pictures by their ids; a picture that is not kept leaves no trace.</summary>
    private static string Pictured(string body, Dictionary<string, string> kept) =>
        string.Join(
            "\n\n",
            body.Split("\n\n")
                .Select(p =>
                    Paragraphs.PictureOf(p.Trim()) is { } picture ? kept.GetValueOrDefault(picture.Name, "") : p
                )
                .Where(p => p.Length > 0)
        );

    /// <summary>The questions of a QTI package, for the quiz of a text that is being written.</summary>
    private static async Task<QuizFileView> Questions(
        TextId textId,
        FileRequest request,
        Desk desk,
        TextStore texts,
        CancellationToken stop
    )
    {
        desk.Library();
        _ = await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        try
        {
            var package = await Untrusted.Read(() => QtiReader.Read(new MemoryStream(request.File ?? [])), stop);
            return new([.. package.Texts.SelectMany(t => t.Questions).Select(QuestionView.Of)], package.LeftOut);
        }
        catch (Unreadable e)
        {
            throw Refused.Field("file", e.Said);
        }
    }

    /// <param name="format">txt, md, html, docx, epub, zip or qti.</param>
    /// <param name="version">Label of the version, for formats that hold one; the first if it is not said.</param>
    private static async Task<IResult> File(
        TextId textId,
        string? format,
        string? version,
        Desk desk,
        TextStore texts,
        PictureStore pictures,
        TextPictureStore textPictures
    )
    {
        desk.Library();
        var whole = await texts.Whole(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        if (format is null || !TextWriters.Formats.Contains(format))
            throw Refused.Field("format", $"This format is not known.");
        var shown = await PicturesIn(whole, pictures, desk.Who.SchoolId);
        var folder = Folder(whole, shown);
        var label = version ?? folder.Versions[0].Label;
        if (folder.Versions.All(v => v.Label != label))
            throw Refused.NotFound();
        var changed = (await texts.Owning(textId, desk.Who.SchoolId, desk.Who.Adult))!.ChangedAt;
        var lead = await textPictures.Of(textId, desk.Who.SchoolId) is { } picture
            ? new DraftPicture($"picture{TextWriters.EndingOf(picture.Type)}", picture.Bytes, picture.Description)
            : null;
        var file = TextWriters.Write(folder, [.. shown.Values], lead, format, label, textId.Value, changed);
        return Results.File(file.Bytes, file.Type, file.Name);
    }

    /// <summary>The pictures of a text by the names they have in it, each with the name of its file.</summary>
    private static async Task<Dictionary<string, DraftPicture>> PicturesIn(
        NewText whole,
        PictureStore pictures,
        SchoolId schoolId
    )
    {
        var shown = new Dictionary<string, DraftPicture>();
        foreach (var p in whole.Versions.SelectMany(v => v.Pages).SelectMany(p => p))
            if (
                Paragraphs.PictureOf(p) is { } at
                && Ids.TryParse<PictureId>(at.Name, out var id)
                && !shown.ContainsKey(at.Name)
                && await pictures.Find(id, schoolId) is { } found
            )
                shown[at.Name] = new(
                    $"picture-{shown.Count + 1}{(found.Type == "image/png" ? ".png" : ".jpg")}",
                    found.Bytes,
                    at.Alt
                );
        return shown;
    }

    private static TextFolder Folder(NewText whole, Dictionary<string, DraftPicture> shown)
    {
        string Named(string body) =>
            shown.Aggregate(body, (text, p) =>
                text.Replace($"]({p.Key})", $"]({p.Value.Name})", StringComparison.Ordinal)
            );
        return new TextFolder(
            whole.Slug,
            whole.Title,
            whole.Kind,
            whole.Topic,
            whole.Fiction,
            whole.Spelling,
            whole.Blurb,
            whole.Season,
            [
                .. whole.Versions.Select(v => new VersionFile(
                    v.Label,
                    Math.Round(v.Depth.Value, 1),
                    Named(TextFiles.Body(v.Pages))
                )),
            ],
            whole.Questions,
            [.. whole.Words.Select(w => new WordFile(w.Text, w.Part, w.Meaning, w.Example))]
        );
    }

    private static async Task<IResult> Shown(PictureId pictureId, Desk desk, PictureStore pictures)
    {
        if (desk.Who.Role is not (Core.Access.Role.Teacher or Core.Access.Role.Reader))
            throw Refused.NotFound();
        var picture = await pictures.Find(pictureId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        return Results.File(picture.Bytes, picture.Type);
    }

    private static async Task<DraftFile> Opened(string? name, byte[]? bytes, CancellationToken stop)
    {
        try
        {
            return await Untrusted.Read(() => TextFiles.Read(name ?? "", bytes ?? []), stop);
        }
        catch (Unreadable e)
        {
            throw Refused.Field("file", e.Said);
        }
    }
}

public sealed record QuizFileView(IReadOnlyList<QuestionView> Questions, IReadOnlyList<Message> LeftOut);
