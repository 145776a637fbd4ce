using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Measuring;

namespace DeepCurrent.Data.OralReading;

/// <summary>What a finished running record says of its reader's level.</summary>
public static class RecordEvidence
{
    /// <summary>Fewer words than this say nothing about a level.</summary>
    private const int FewestWords = 20;

    /// <summary>How accurately it was read, and which questions were answered; nobody can guess at a question asked
    /// aloud without choices.</summary>
    public static IReadOnlyList<EvidenceRow> Of(
        RunningRecord k,
        SheetData sheet,
        DateTimeOffset readAt,
        IEnumerable<Question> questions
    )
    {
        var f = RecordSheet.Figures(sheet.Marks, SpokenForms.Of(k.Body), sheet.LastWord, sheet.Seconds);
        var note =
            $"“{k.Title}”: {f.Errors} {(f.Errors == 1 ? "error" : "errors")} in {f.Words} words, "
            + $"{Math.Round(f.Accuracy * 100)} %";
        List<EvidenceRow> rows =
        [
            new(
                k.Id,
                readAt,
                "running record",
                null,
                null,
                null,
                null,
                null,
                k.TextDepth,
                f.Words,
                f.Errors,
                null,
                null,
                f.Words < FewestWords ? "too short to tell" : null,
                note,
                k.Id
            ),
        ];
        var asked = questions.ToDictionary(q => q.Id);
        foreach (var a in sheet.Answers)
            if (asked.TryGetValue(a.QuestionId, out var q))
                rows.Add(
                    new(
                        Both(k.Id, q.Id),
                        readAt,
                        "answer",
                        QuestionDifficulty.Default(new(k.TextDepth), 0, q.Strand, q.Offset).Value,
                        0,
                        a.Right,
                        null,
                        null,
                        k.TextDepth,
                        null,
                        null,
                        q.Strand.ToString(),
                        null,
                        null,
                        $"“{k.Title}”, asked aloud",
                        k.Id
                    )
                );
        return rows;
    }

    /// <summary>An id for a pair, the same every time.</summary>
    private static Guid Both(Guid a, Guid b) => new([.. a.ToByteArray().Zip(b.ToByteArray(), (x, y) => (byte)(x ^ y))]);
}
