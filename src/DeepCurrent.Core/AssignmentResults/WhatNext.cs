using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.AssignmentResults;

/// <summary>A step that suggests itself after an assignment.</summary>
public enum NextStepKind
{
    /// <summary>A harder text, with less help.</summary>
    Harder,

    /// <summary>A question that readers missed who should have got it.</summary>
    TeachAgain,

    /// <summary>An easier text, before this one once more.</summary>
    EasierFirst,

    /// <summary>The same text, really read.</summary>
    ReadAgain,

    /// <summary>A question that goes against all the others.</summary>
    CheckQuestion,
}

/// <summary>A suggested step, for whom, and why.</summary>
/// <param name="Question">Where it is about one.</param>
/// <param name="Strand">Of the question.</param>
/// <param name="Why">What it rests on, in words.</param>
public sealed record NextStep(
    NextStepKind Kind,
    IReadOnlyList<ReaderId> Readers,
    QuestionId? Question,
    Strand? Strand,
    Message Why
);

/// <summary>What next after an assignment: who is ready for more, what to teach again, who needs an easier text first,
/// and who did not really read. It suggests; a person decides.</summary>
public static class WhatNext
{
    /// <summary>Under this many readers who missed a question it is a matter of each, not of teaching.</summary>
    private const int FewestMissed = 3;

    private const double LittleRight = 0.5;
    private const double TaughtUnder = 0.6;

    /// <summary>A question counts as missed by the class where this few would by chance, in standard errors.</summary>
    private const double FarBelow = 1;

    private const int MostTaught = 2;

    /// <summary>A question goes against the rest where its correlation lies so many standard errors below none.</summary>
    private const double AgainstTheRest = 1.645;

    /// <returns>Steps in the order in which they are worth a look; none where nothing stands out.</returns>
    public static IReadOnlyList<NextStep> After(QuizResults results)
    {
        var turned = results.ByQuestion.Where(Turned).ToList();
        var above = results.Counted.Where(r => r.Against is AgainstForecast.Above).ToList();
        var below = results
            .Counted.Where(r => r.Against is AgainstForecast.Below && r.Share?.Value < LittleRight)
            .ToList();
        var openings = results.Rows.Where(r => !r.Counts).ToList();
        return
        [
            .. For(NextStepKind.Harder, above, WhyHarder),
            .. Taught(results, turned),
            .. For(NextStepKind.EasierFirst, below, _ =>
                $"Under half right at once, and more than one question below forecast."
            ),
            .. turned.Select(q => Check(results, q)),
            .. For(NextStepKind.ReadAgain, openings, _ =>
                $"Too short or too fast to be a reading. Not counted on this page."
            ),
        ];
    }

    /// <summary>One step for some readers; none for nobody.</summary>
    private static IEnumerable<NextStep> For(
        NextStepKind kind,
        List<ResultRow> those,
        Func<List<ResultRow>, Message> why
    ) => those.Count == 0 ? [] : [new(kind, Readers(those), null, null, why(those))];

    /// <summary>The questions to be taught again, those furthest below the rest first.</summary>
    private static IEnumerable<NextStep> Taught(QuizResults results, IReadOnlyList<QuestionResult> turned) =>
        results
            .ByQuestion.Except(turned)
            .Select(q => (Result: q, Missed: Missed(results, q), Short: Short(results, q)))
            .Where(x => x.Missed.Count >= FewestMissed && x.Short >= FarBelow)
            .Where(x => x.Result.Figures.Proportion < TaughtUnder)
            .OrderByDescending(x => x.Short)
            .ThenBy(x => x.Result.Later)
            .Take(MostTaught)
            .Select(x => Teach(x.Result, x.Missed));

    private static IReadOnlyList<ReaderId> Readers(IEnumerable<ResultRow> rows) =>
        [.. rows.Select(r => r.Reader.ReaderId)];

    private static Message WhyHarder(IReadOnlyList<ResultRow> rows) =>
        rows.All(r => r.Right == r.Asked)
            ? $"All right at once, more than one question above forecast."
            : (Message)$"More than one question above forecast.";

    /// <summary>Readers who missed it at the first try.</summary>
    private static IReadOnlyList<ReaderId> Missed(QuizResults results, QuestionResult q) =>
        Readers(results.Counted.Where(r => r.Cells[q.At].First is false));

    /// <summary>By how many standard errors fewer were right than their forecasts come to.</summary>
    private static double Short(QuizResults results, QuestionResult q)
    {
        var tried = results
            .Counted.Where(r => r.Cells[q.At].First is not null && r.Forecast is not null)
            .Select(r => (Right: r.Cells[q.At].First is true, Chance: r.Forecast!.Share.Value))
            .ToList();
        var noise = Math.Sqrt(tried.Sum(t => t.Chance * (1 - t.Chance)));
        return noise <= 0 ? 0 : (tried.Sum(t => t.Chance) - tried.Count(t => t.Right)) / noise;
    }

    private static NextStep Teach(QuestionResult q, IReadOnlyList<ReaderId> missed) =>
        new(
            NextStepKind.TeachAgain,
            missed,
            q.Question.Id,
            q.Question.Strand,
            q.Later > 0
                ? $"{missed.Count:count} readers missed it at the first try; {q.Later} found it later."
                : (Message)$"{missed.Count:count} readers missed it at the first try; none found it later."
        );

    private static bool Turned(QuestionResult q) =>
        q.Later + q.NotYet >= FewestMissed
        && q.Figures.Proportion < TaughtUnder
        && q.Figures.Answered >= QuizFigures.FewestReaders
        && q.Figures.PointBiserial < -AgainstTheRest / Math.Sqrt(q.Figures.Answered);

    private static NextStep Check(QuizResults results, QuestionResult q) =>
        new(
            NextStepKind.CheckQuestion,
            Missed(results, q),
            q.Question.Id,
            q.Question.Strand,
            $"Readers who did well on the others missed it more often. Its key may be wrong."
        );
}
