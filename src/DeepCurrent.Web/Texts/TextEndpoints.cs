using System.Text.Json;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

public sealed record FormulaView(string Formula, double Grade, double Weight);

public sealed record MeasureView
{
    public required int Words { get; init; }

    public required int Sentences { get; init; }

    public required int Syllables { get; init; }

    public required int DistinctWords { get; init; }

    public required double FleschKincaidGrade { get; init; }

    public required double Spache { get; init; }

    public required double DaleChall { get; init; }

    public required double GradeEquivalent { get; init; }

    public required double RarityGrades { get; init; }

    public required bool Short { get; init; }

    public required IReadOnlyList<FormulaView> Formulas { get; init; }

    public required IReadOnlyList<string> RarestWords { get; init; }

    public required IReadOnlyList<LongSentence> LongestSentences { get; init; }
}

/// <param name="Sound">The school has a reading of it.</param>
public sealed record TextVersionView(
    VersionId Id,
    string Label,
    Fathoms Depth,
    double DepthError,
    Message LevelName,
    IReadOnlyList<IReadOnlyList<string>> Pages,
    MeasureView Measure,
    Fathoms FormulaDepth,
    double FormulaError,
    StatedDepth? Stated,
    ShownDepth? Shown,
    bool Sound
);

/// <param name="Kind">Single, Multiple, Order, Match, Sentence, Short or Long.</param>
/// <param name="Evidence">Asks for the proof of the question before it.</param>
/// <param name="After">For a question on the way: the paragraph it comes after, by version label or "all".</param>
/// <param name="Key">The picks that are right where a correction says so of an order or a match; else null.</param>
public sealed record QuestionView(
    QuestionId Id,
    QuestionKind Kind,
    Strand Strand,
    string Stem,
    IReadOnlyList<Choice> Choices,
    IReadOnlyDictionary<string, string> Proofs,
    bool Evidence,
    double Offset,
    IReadOnlyDictionary<string, int>? After,
    Rubric? Rubric,
    IReadOnlyList<int>? Key
)
{
    public static QuestionView Of(Question q) =>
        new(q.Id, q.Kind, q.Strand, q.Stem, q.Choices, q.Proofs, q.Evidence, q.Offset, q.After, q.Rubric, q.Key);
}

public sealed record TextView
{
    public required TextId Id { get; init; }

    public required string Title { get; init; }

    public required string Kind { get; init; }

    public required string Topic { get; init; }

    public required bool Fiction { get; init; }

    public required string Blurb { get; init; }

    public required string Spelling { get; init; }

    public required string Season { get; init; }

    public required IReadOnlyList<TextVersionView> Versions { get; init; }

    public required IReadOnlyList<QuestionView> Questions { get; init; }

    public required IReadOnlyList<Word> Words { get; init; }

    /// <summary>What its picture shows; null where it has none.</summary>
    public required string? Picture { get; init; }

    public required bool Ships { get; init; }

    public required string? Owner { get; init; }

    public required bool Mine { get; init; }

    public required bool Retired { get; init; }

    public required int Revision { get; init; }

    public required bool MayChange { get; init; }
}

/// <param name="School">Null while too few have read it.</param>
public sealed record UseView(TextUse Class, TextUse? School);

/// <summary>The library.</summary>
public static class TextEndpoints
{
    private const int MostAtOnce = 50;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/texts", Some);
        api.MapGet("/texts/{textId:guid}", View);
        api.MapGet("/texts/{textId:guid}/use", Use);
    }

    /// <param name="ids">With commas between; at most 50.</param>
    private static async Task<IReadOnlyList<TextRow>> Some(string? ids, ClassId? classId, Desk desk, TextStore texts)
    {
        desk.Library();
        if (classId is { } id)
            await desk.Class(id, Core.Access.Deed.SeeClass);
        var wanted = (ids ?? "")
            .Split(',', StringSplitOptions.RemoveEmptyEntries)
            .Select(i =>
                Ids.TryParse<TextId>(i, out var id) ? id : throw Refused.Field("ids", $"These IDs are not valid.")
            )
            .ToList();
        if (wanted.Count > MostAtOnce)
            throw Refused.Field("ids", $"Choose {MostAtOnce} texts or fewer.");
        return wanted.Count == 0 ? [] : await texts.Some(wanted, desk.Who.SchoolId, desk.Who.Adult, classId);
    }

    private static async Task<TextView> View(
        TextId textId,
        Desk desk,
        TextStore texts,
        ReadingStore readings,
        TextPictureStore pictures
    )
    {
        desk.Library();
        var head = await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        var school = await desk.School();
        var heard = await readings.Heard(textId, desk.Who.SchoolId);
        var versions = (await texts.Bodies(textId)).Select(v => Shown(v, school, heard.Contains(v.Id))).ToList();
        var questions = (await texts.Questions(textId)).Select(QuestionView.Of).ToList();
        var own = (await texts.Owning(textId, desk.Who.SchoolId, desk.Who.Adult))!;
        var mayChange = TextChanges.MayChange(own, desk);
        return new()
        {
            Id = head.Id,
            Title = head.Title,
            Kind = head.Kind,
            Topic = head.Topic,
            Fiction = head.Fiction,
            Blurb = head.Blurb,
            Spelling = own.Spelling,
            Season = own.Season,
            Versions = versions,
            Questions = questions,
            Words = await texts.Words(textId),
            Picture = (await pictures.Shown([textId])).GetValueOrDefault(textId),
            Ships = own.SchoolId is null,
            Owner = own.Owner,
            Mine = own.Mine,
            Retired = own.RetiredAt is not null,
            Revision = own.Revision,
            MayChange = mayChange,
        };
    }

    /// <summary>How the text was used and how readers did: in one class, or in the school where enough have read it
    /// that nobody can be made out.</summary>
    private static async Task<UseView> Use(TextId textId, ClassId? classId, Desk desk, TextStore texts, UseStore use)
    {
        desk.Library();
        var place = await desk.Class(
            classId ?? throw Refused.Field("classId", $"Choose a class."),
            Core.Access.Deed.SeeClass
        );
        _ = await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        var school = await use.Of(textId, place.SchoolId, null);
        return new(
            await use.Of(textId, place.SchoolId, classId),
            school.Readers >= UseStore.FewestReaders ? school : null
        );
    }

    private static TextVersionView Shown(VersionBody v, Core.Schools.School school, bool sound)
    {
        var measure = JsonSerializer.Deserialize<MeasureView>(v.Measure, Data.Storage.Database.Json)!;
        return new(
            v.Id,
            v.Label,
            v.Depth,
            v.DepthError,
            school.LevelName(v.Depth),
            v.Pages,
            measure,
            v.FormulaDepth,
            v.FormulaError,
            v.Stated,
            v.Shown,
            sound
        );
    }
}
