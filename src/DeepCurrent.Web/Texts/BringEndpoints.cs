using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats;
using DeepCurrent.Formats.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using Microsoft.AspNetCore.Mvc;

namespace DeepCurrent.Web.Texts;

/// <summary>Bringing texts in from files, and giving them out again.</summary>
public static class BringEndpoints
{
    internal const long LargestRequest = 32 << 20;
    private const int MostAtOnce = 200,
        StartLength = 240;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/texts/read", Read).WithMetadata(new RequestSizeLimitAttribute(LargestRequest));
        api.MapPost("/texts/bring", Bring).WithMetadata(new RequestSizeLimitAttribute(LargestRequest));
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
                await TextChanges.Mine(taken.Id, desk, texts) is { } there
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
            if (v.Body.Length > OwnTextRequests.LongestBody)
                throw Refused.Field(
                    $"texts[{i}]",
                    $"“{t.Title}” has more than {OwnTextRequests.LongestBody} letters. Split it into chapters and import each."
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
            .Take(OwnTextRequests.MostWords)
            .ToList();
        var title = taken.Title.Trim();
        var text = new NewText
        {
            Id = taken.Id ?? TextId.New(),
            SchoolId = desk.Who.SchoolId,
            Slug = $"{TextChanges.Slug(title)}-{Guid.NewGuid().ToString("N")[..8]}",
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
        await TextChanges.Keep(text, 0, $"Imported from a file", desk, keeper, shelf);
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
