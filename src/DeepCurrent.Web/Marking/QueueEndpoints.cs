using DeepCurrent.Core.Access;
using DeepCurrent.Core.Marking;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Marking;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Marking;

public sealed record EarlierView(int Round, string Words, DateTimeOffset At, GivenMark? Mark, string SentBack);

/// <summary>An answer that waits.</summary>
public sealed record ToMarkAnswer
{
    public required TicketId TicketId { get; init; }

    /// <summary>Null where it answers the prompt of a task without a text.</summary>
    public required AnswerId? AnswerId { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    /// <summary>The label of the version that was read; empty where there is none.</summary>
    public required string Version { get; init; }

    /// <summary>The sentence of that version that proves the answer; null where there is none.</summary>
    public required string? Proof { get; init; }

    public required string Words { get; init; }

    public required DateTimeOffset HandedInAt { get; init; }

    public required TicketState State { get; init; }

    public required GivenMark? Mark { get; init; }

    public required string Comment { get; init; }

    /// <summary>The ticket of whoever wrote it for several; null where it is the reader's own.</summary>
    public required TicketId? WrittenWith { get; init; }

    public required IReadOnlyList<EarlierView> Earlier { get; init; }

    /// <summary>Null where nobody has said what a full answer is.</summary>
    public required Proposal? Proposal { get; init; }
}

/// <summary>A question with all its answers that wait.</summary>
/// <param name="QuestionId">Null for the prompt of a task without a text.</param>
/// <param name="Number">Of the question in its quiz, from 1; null for a prompt.</param>
/// <param name="Rubric">Null where there is none; then the usual words for 0 to 3 hold.</param>
/// <param name="Most">Points in all.</param>
/// <param name="Right">The fewest that count as right.</param>
public sealed record ToMarkQuestion(
    string Key,
    QuestionId? QuestionId,
    TextId? TextId,
    string Title,
    string Stem,
    int? Number,
    Strand? Strand,
    Rubric? Rubric,
    int Most,
    int Right,
    IReadOnlyList<ToMarkAnswer> Answers
);

public sealed record KeptComments(IReadOnlyList<string> Comments);

/// <summary>What is written and waits for a person, question by question, oldest first.</summary>
public static class QueueEndpoints
{
    private const int MostKept = 9;
    private const int LongestKept = 300;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/marking/queue", Queue);
        api.MapGet("/me/kept-comments", async (Desk desk, QueueStore queue) =>
        {
            desk.Library();
            return new KeptComments(await queue.Kept(desk.Who.Adult));
        });
        api.MapPut("/me/kept-comments", Keep);
    }

    private static async Task<KeptComments> Keep(KeptComments request, Desk desk, QueueStore queue)
    {
        desk.Library();
        var comments = (request.Comments ?? [])
            .Select(c => c?.Trim() ?? "")
            .Where(c => c.Length > 0)
            .Distinct()
            .ToList();
        new Faults()
            .If(comments.Count > MostKept, "comments", $"Keep {MostKept} comments or fewer.")
            .If(comments.Any(c => c.Length > LongestKept), "comments", $"Use {LongestKept} letters or fewer.")
            .Refuse();
        await queue.Keep(desk.Who.Adult, comments);
        return new(comments);
    }

    private static async Task<IReadOnlyList<ToMarkQuestion>> Queue(
        ClassId classId,
        Desk desk,
        QueueStore queue,
        TextStore texts
    )
    {
        await desk.Class(classId, Deed.SeeClass);
        var answers = await queue.Of(classId);
        var earlier = (
            await queue.Earlier([.. answers.Where(a => a.Round > 1).Select(a => a.TicketId).Distinct()])
        ).ToLookup(e => (e.TicketId, e.QuestionId));
        var questions = new Dictionary<TextId, IReadOnlyList<Question>>();
        foreach (var text in answers.Select(a => a.TextId).OfType<TextId>().Distinct())
            questions[text] = await texts.Questions(text);
        return
        [
            .. answers
                .GroupBy(a => a.QuestionId is { } q ? $"{q}" : $"{a.TaskId}")
                .Select(g => Question(g.Key, [.. g], questions, earlier)),
        ];
    }

    private static ToMarkQuestion Question(
        string key,
        IReadOnlyList<QueuedAnswer> answers,
        Dictionary<TextId, IReadOnlyList<Question>> questions,
        ILookup<(TicketId, QuestionId?), EarlierAnswer> earlier
    )
    {
        var first = answers[0];
        var quiz = first.TextId is { } text ? questions[text].Where(q => !q.OnTheWay).ToList() : [];
        var question = quiz.Find(q => q.Id == first.QuestionId);
        var own = question is null ? first.Rubric : question.Rubric;
        var by = own ?? Rubric.Usual;
        return new(
            key,
            first.QuestionId,
            first.TextId,
            first.Title,
            question?.Stem ?? first.Prompt,
            question is null ? null : quiz.IndexOf(question) + 1,
            question?.Strand,
            own,
            by.Most,
            by.Right,
            [.. answers.Select(a => Answer(a, question, earlier[(a.TicketId, a.QuestionId)]))]
        );
    }

    private static ToMarkAnswer Answer(QueuedAnswer a, Question? question, IEnumerable<EarlierAnswer> earlier)
    {
        var proof = question?.Proof(a.Version) is { } sentence ? Paragraphs.Said(sentence) : null;
        return new()
        {
            TicketId = a.TicketId,
            AnswerId = a.AnswerId,
            ReaderId = a.ReaderId,
            GivenName = a.GivenName,
            Version = a.Version,
            Proof = proof,
            Words = a.Words,
            HandedInAt = a.HandedInAt,
            State = a.State,
            Mark = a.Mark,
            Comment = a.Comment,
            WrittenWith = a.WrittenWith,
            Earlier = [.. earlier.Select(e => new EarlierView(e.Round, e.Words, e.At, e.Mark, e.SentBack))],
            Proposal = (question is null ? a.Rubric : question.Rubric) is { Samples.Count: > 0 } rubric
                ? ProposedMark.For(new(question?.Stem ?? a.Prompt, rubric, proof), a.Words)
                : null,
        };
    }
}
