using System.Text.Json.Serialization;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

/// <param name="Id">Null for a new question.</param>
public sealed record OwnQuestion(
    QuestionId? Id,
    [property: JsonRequired] QuestionKind Kind,
    [property: JsonRequired] Strand Strand,
    string Stem,
    IReadOnlyList<Choice>? Choices,
    IReadOnlyDictionary<string, string>? Proofs,
    bool Evidence,
    double Offset,
    IReadOnlyDictionary<string, int>? After,
    Rubric? Rubric
);

/// <param name="Revision">The revision of the text that was changed.</param>
public sealed record QuizRequest(int Revision, string? Note, IReadOnlyList<OwnQuestion> Questions);

/// <param name="Paragraphs">Each as its sentences; a heading is one sentence that begins with #.</param>
public sealed record QuizVersionView(string Label, Fathoms Depth, IReadOnlyList<IReadOnlyList<string>> Paragraphs);

/// <summary>A quiz as it is written: its questions beside the sentences that can prove them.</summary>
public sealed record QuizView(
    TextId TextId,
    string Title,
    int Revision,
    bool MayChange,
    IReadOnlyList<QuestionView> Questions,
    IReadOnlyList<QuizVersionView> Versions,
    IReadOnlyList<QuizFault> Faults
);

public sealed record QuizCheckView(IReadOnlyList<QuizFault> Faults);

/// <summary>The questions of texts that teachers bring and change.</summary>
public static class QuizEndpoints
{
    private const int MostQuestions = 40,
        MostChoices = 10,
        LongestStem = 400,
        LongestPart = 400;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/texts/{textId:guid}/quiz", View);
        api.MapPost("/texts/{textId:guid}/quiz/check", Check);
        api.MapPut("/texts/{textId:guid}/quiz", Save);
    }

    private static async Task<QuizView> View(TextId textId, Desk desk, TextStore texts)
    {
        desk.Library();
        var head = await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        var own = (await texts.Owning(textId, desk.Who.SchoolId, desk.Who.Adult))!;
        var questions = await texts.Questions(textId);
        var versions = (await texts.Bodies(textId))
            .Select(v => new QuizVersionView(
                v.Label,
                v.Depth,
                [.. v.Pages.SelectMany(p => p).Select(p => Paragraphs.IsProse(p) ? Sentences.Of(p) : [p])]
            ))
            .ToList();
        return new(
            textId,
            head.Title,
            own.Revision,
            TextChanges.MayChange(own, desk),
            [.. questions.Select(QuestionView.Of)],
            versions,
            await Faults(textId, questions, texts)
        );
    }

    /// <summary>What is wrong with a quiz as it stands, before it is kept.</summary>
    private static async Task<QuizCheckView> Check(TextId textId, QuizRequest request, Desk desk, TextStore texts)
    {
        desk.Library();
        _ = await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        return new(await Faults(textId, Read(request, []), texts));
    }

    private static async Task<SavedTextView> Save(
        TextId textId,
        QuizRequest request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        var own = await TextChanges.Changeable(textId, desk, texts);
        var whole = (await texts.Whole(textId, desk.Who.SchoolId, desk.Who.Adult))!;
        var questions = Read(request, [.. whole.Questions.Select(q => q.Id)]);
        var faults = await Faults(textId, questions, texts);
        if (faults.FirstOrDefault(f => f.Stops) is { } stop)
            throw Refused.Field($"questions[{stop.At}]", $"Question {stop.At!.Value + 1}: {stop.Sentence}");
        var revision = await TextChanges.Keep(
            whole with
            {
                Questions = questions,
            },
            request.Revision,
            TextChanges.Noted(request.Note, $"Questions edited"),
            desk,
            keeper,
            shelf
        );
        return new(
            own.Id,
            revision,
            [.. faults.Select(f => f.At is { } at ? (Message)$"Question {at + 1}: {f.Sentence}" : f.Sentence)]
        );
    }

    private static async Task<IReadOnlyList<QuizFault>> Faults(
        TextId textId,
        IReadOnlyList<Question> questions,
        TextStore texts
    )
    {
        var versions = (await texts.Bodies(textId))
            .Select(v => new CheckedVersion(v.Label, [.. v.Pages.SelectMany(p => p)], v.Depth.Value))
            .ToList();
        return QuizCheck.Faults(questions, versions);
    }

    /// <param name="known">Ids that are this text's own; a question with another id is new.</param>
    private static IReadOnlyList<Question> Read(QuizRequest request, HashSet<QuestionId> known)
    {
        var asked = request.Questions ?? [];
        if (asked.Count > MostQuestions)
            throw Refused.Field("questions", $"Use {MostQuestions} questions or fewer.");
        var faults = new Faults();
        foreach (var (q, i) in asked.Select((q, i) => (q, i)))
            Faulty(q, i, faults);
        faults.Refuse();
        return [.. asked.Select((q, i) => Read(q, i, known))];
    }

    private static void Faulty(OwnQuestion q, int at, Faults faults)
    {
        string Field(string name) => $"questions[{at}].{name}";
        faults
            .If(q.Stem?.Length > LongestStem, Field("stem"), $"Use {LongestStem} letters or fewer.")
            .If(q.Choices?.Count > MostChoices, Field("choices"), $"Use {MostChoices} choices or fewer.")
            .If(!(q.Offset is >= -20 and <= 20), Field("offset"), $"Enter −20 to 20 fm.")
            .If(
                PartsOf(q).Any(p => p?.Length > LongestPart),
                Field("choices"),
                $"Use {LongestPart} letters or fewer for each part."
            )
            .If(TooMuch(q), Field("proofs"), $"This is too long for one question.");
    }

    private static IEnumerable<string?> PartsOf(OwnQuestion q) =>
        (q.Choices ?? [])
            .Take(MostChoices)
            .SelectMany(c => new[] { c.Text, c.Reason, c.Match })
            .Concat((q.Rubric?.Criteria ?? []).SelectMany(c => (c.Marks ?? []).Append(c.Name)))
            .Concat(q.Rubric?.Samples ?? []);

    private static bool TooMuch(OwnQuestion q) =>
        (q.Proofs ?? new Dictionary<string, string>()).Any(p => p.Value?.Length > 2000 || p.Key.Length > 40)
        || q.Proofs?.Count > 20
        || q.After?.Count > 20
        || (q.Rubric is { } rubric && TooMuch(rubric));

    private static bool TooMuch(Rubric rubric) =>
        rubric.Samples?.Count > 5
        || rubric.Criteria?.Count > Rubric.MostCriteria
        || rubric.Criteria?.Any(c => c.Marks?.Count > Rubric.MostPoints + 1) == true;

    private static Question Read(OwnQuestion q, int at, HashSet<QuestionId> known)
    {
        return new(
            q.Id is { } id && known.Contains(id) ? id : QuestionId.New(),
            at,
            q.Strand,
            q.Stem?.Trim() ?? "",
            ChoicesOf(q),
            ProofsOf(q),
            q.Kind,
            q.Evidence,
            q.Offset,
            q.After is { Count: > 0 } ? q.After : null,
            q.Kind.Written() && q.Rubric is { Criteria: { } rows } ? RubricOf(rows, q.Rubric.Samples) : null
        );
    }

    private static Rubric RubricOf(IReadOnlyList<Criterion> rows, IReadOnlyList<string>? samples) =>
        new([.. rows.Select(c => new Criterion(c.Name?.Trim() ?? "", c.Marks ?? []))], samples ?? []);

    private static IReadOnlyList<Choice> ChoicesOf(OwnQuestion q) =>
        [
            .. (q.Choices ?? [])
                .Select(c => new Choice(c.Text?.Trim() ?? "", c.Right, c.Reason?.Trim() ?? "", c.Match?.Trim()))
                .Select(q.Kind.Rules().Kept)
                .OfType<Choice>(),
        ];

    private static Dictionary<string, string> ProofsOf(OwnQuestion q) =>
        (q.Proofs ?? new Dictionary<string, string>())
            .Where(p => !string.IsNullOrWhiteSpace(p.Value))
            .ToDictionary(p => p.Key, p => p.Value.Trim());
}
