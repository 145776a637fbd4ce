using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Measuring;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>What a finished part of a level check says of its reader's level.</summary>
internal static class CheckEvidence
{
    /// <summary>Answers about passages and meanings one by one; word reading as one level; a maze passage says how
    /// fluently, not how deep.</summary>
    /// <param name="mean">Where the reader was thought to be, fm.</param>
    public static IReadOnlyList<EvidenceRow> Of(
        LevelCheck check,
        PartRow part,
        IReadOnlyList<Stage> stages,
        PartFlag flag,
        Fathoms mean,
        DateTimeOffset now
    )
    {
        var left = flag switch
        {
            PartFlag.TooFast => LeftOut.PartTooFast,
            PartFlag.Thin => LeftOut.PartThin,
            _ => null,
        };
        var answers = stages.SelectMany(x => x.Answers.Select(a => new Answered(x, a, x.Items[a.Item]))).ToList();
        return part.Part switch
        {
            CheckPart.Maze => [],
            CheckPart.WordReading when answers.Count == 0 => [],
            CheckPart.WordReading => [WordReading(check, part, answers, left, mean)],
            _ => [.. answers.Select(a => Answer(check, part, a, left, now))],
        };
    }

    private static EvidenceRow WordReading(
        LevelCheck check,
        PartRow part,
        IReadOnlyList<Answered> answers,
        string? left,
        Fathoms mean
    )
    {
        var (value, sd) = CheckMeasure.WordReading(
            mean,
            answers.Select(a => new CheckAnswer(a.Item.Difficulty, a.Item.Guess, a.Answer.Correct, a.Answer.TooFast))
        );
        var right = answers.Count(a => a.Answer.Correct);
        return EvidenceRow.Level(EvidenceId.From(part.Id.Value), answers.Max(a => a.Answer.At), value, sd) with
        {
            PartId = part.Id,
            LeftOut = left,
            Note = $"{check.Name}: {(Message)$"{right} of {answers.Count:count} words read right"}",
        };
    }

    private static EvidenceRow Answer(LevelCheck check, PartRow part, Answered a, string? left, DateTimeOffset now) =>
        EvidenceRow.Answer(
            EvidenceId.From(a.Answer.Id.Value),
            a.Answer.At > now ? now : a.Answer.At,
            new(a.Item.Difficulty),
            new(a.Item.Guess),
            a.Answer.Correct,
            Enum.TryParse<Strand>(a.Item.Strand, out var strand) ? strand : null
        ) with
        {
            PartId = part.Id,
            TextDepth = a.Stage.TextDepth,
            LeftOut = a.Answer.TooFast ? LeftOut.TooFast : left,
            Note =
                part.Part is CheckPart.Passages
                    ? (Message)$"{check.Name}: {a.Stage.Title}"
                    : $"{check.Name}: {(Message)$"word meaning"}",
        };

    private sealed record Answered(Stage Stage, StageAnswer Answer, CheckItem Item);
}
