using DeepCurrent.Core.Measuring;
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
        Message errors = $"{f.Errors:count} errors",
            note = $"“{k.Title}”: {errors} in {f.Words:count} words, {f.Accuracy * 100:0}%";
        List<EvidenceRow> rows =
        [
            EvidenceRow.RunningRecord(EvidenceId.From(k.Id.Value), readAt, k.TextDepth, f.Words, f.Errors) with
            {
                RecordId = k.Id,
                LeftOut = f.Words < FewestWords ? LeftOut.TooShort : null,
                Note = note,
            },
        ];
        var asked = questions.ToDictionary(q => q.Id);
        foreach (var a in sheet.Answers)
            if (asked.TryGetValue(a.QuestionId, out var q))
                rows.Add(
                    EvidenceRow.Answer(
                        Both(k.Id, q.Id),
                        readAt,
                        QuestionDifficulty.Default(k.TextDepth, 0, q.Strand, q.Offset),
                        default,
                        a.Right,
                        q.Strand
                    ) with
                    {
                        RecordId = k.Id,
                        TextDepth = k.TextDepth,
                        Note = $"“{k.Title}”, asked aloud",
                    }
                );
        return rows;
    }

    /// <summary>An id for a pair, the same every time.</summary>
    private static EvidenceId Both(RecordId a, QuestionId b) =>
        new(new Guid([.. a.Value.ToByteArray().Zip(b.Value.ToByteArray(), (x, y) => (byte)(x ^ y))]));
}
