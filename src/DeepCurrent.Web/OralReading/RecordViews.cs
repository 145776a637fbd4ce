using System.Text.Json.Serialization;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.OralReading;

namespace DeepCurrent.Web.OralReading;

/// <param name="Kind">Substitution, Omission, Insertion, Repetition, SelfCorrection or Told.</param>
/// <param name="Used">What the reader went by: some of the letters MSV.</param>
/// <param name="Doubt">The listening device was not sure of it.</param>
public sealed record MarkOfRecord(
    int Index,
    [property: JsonRequired] MarkKind Kind,
    string Heard,
    string Used,
    int Span,
    bool Doubt
)
{
    private const string Letters = "MSV";

    public static MarkOfRecord Of(SheetMark m) =>
        new(
            m.Index,
            m.Kind,
            m.Heard,
            string.Concat(Letters.Where((_, i) => ((int)m.Used >> i & 1) == 1)),
            m.Span,
            m.Doubt
        );

    /// <summary>The mark; null where its kind or its letters are none.</summary>
    public SheetMark? Read() =>
        Kind is not MarkKind.Correct && (Used ?? "").All(Letters.Contains)
            ? new(
                Index,
                Kind,
                Heard?.Trim() ?? "",
                (Sources)(Used ?? "").Distinct().Sum(c => 1 << Letters.IndexOf(c)),
                Span == 0 ? 1 : Span,
                Doubt
            )
            : null;
}

/// <param name="Name">A proper noun: misread the same way it counts once.</param>
public sealed record WordOfRecord(int Start, int Length, bool Name);

/// <param name="Zone">Independent, Instructional or Frustration.</param>
/// <param name="Percentile">Among readers of the grade and season; null where there is no norm or no time.</param>
/// <param name="Middle">The rate of the middle reader there.</param>
public sealed record FiguresOfRecord(
    int Words,
    int Errors,
    int SelfCorrections,
    int Repetitions,
    double Accuracy,
    double? WordsPerError,
    double? SelfCorrectionRatio,
    double WordsCorrectPerMinute,
    int Pauses,
    AccuracyZone Zone,
    int? Percentile,
    int? Middle,
    Season Season,
    double? Retelling
)
{
    public static FiguresOfRecord Of(OralFigures f, SheetData sheet, int grade, Season season)
    {
        var place = f.WordsCorrectPerMinute > 0 ? OralNorms.Place(grade, season, f.WordsCorrectPerMinute) : null;
        return new(
            f.Words,
            f.Errors,
            f.SelfCorrections,
            f.Repetitions,
            f.Accuracy,
            f.WordsPerError,
            f.SelfCorrectionRatio,
            f.WordsCorrectPerMinute,
            f.Pauses,
            new AccuracyCuts().Of(f.Accuracy),
            place?.Percentile,
            place?.Middle,
            season,
            Core.OralReading.Retelling.Score(sheet.Retelling)
        );
    }
}

public sealed record QuestionOfRecord(QuestionId Id, Strand Strand, string Stem, IReadOnlyList<string> RightAnswers);

public sealed record AnswerOfRecord(QuestionId QuestionId, bool Right);

public sealed record SheetView(
    IReadOnlyList<MarkOfRecord> Marks,
    double Seconds,
    int? LastWord,
    int Pauses,
    IReadOnlyDictionary<string, int> Retelling,
    IReadOnlyList<AnswerOfRecord> Answers,
    string Note
)
{
    public static SheetView Of(SheetData s) =>
        new(
            [.. s.Marks.Select(MarkOfRecord.Of)],
            s.Seconds,
            s.LastWord,
            s.Pauses,
            s.Retelling,
            [.. s.Answers.Select(a => new AnswerOfRecord(a.QuestionId, a.Right))],
            s.Note
        );
}

/// <summary>What the listening device makes of a recording.</summary>
/// <param name="Sure">0 to 1.</param>
/// <param name="Times">For each word, when it was said; null where it was not.</param>
public sealed record DraftOfRecord(
    IReadOnlyList<MarkOfRecord> Marks,
    int? LastWord,
    double Seconds,
    int Pauses,
    double Sure,
    FiguresOfRecord Figures,
    IReadOnlyList<double[]?> Times
);

/// <param name="TextChanged">The text in the library reads differently by now; this record keeps what was read.</param>
/// <param name="Listening">waiting, listening, heard or failed; null where there is no device or no recording.</param>
/// <param name="MayListen">There is a recording and a device that can be asked.</param>
/// <param name="Parts">What a retelling is listened to for.</param>
public sealed record RecordView(
    RecordId Id,
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    string Title,
    TextId? TextId,
    double TextDepth,
    double Forecast,
    bool Done,
    bool Gone,
    DateTimeOffset ReadAt,
    string? By,
    int Revision,
    string Body,
    IReadOnlyList<WordOfRecord> Words,
    SheetView Sheet,
    FiguresOfRecord Figures,
    SourceTotals Sources,
    IReadOnlyList<string> Parts,
    IReadOnlyList<QuestionOfRecord> Questions,
    bool TextChanged,
    double? SoundSeconds,
    string? Listening,
    string ListenNote,
    bool MayListen,
    DraftOfRecord? Draft
);

/// <summary>One line of a reader's records.</summary>
public sealed record RecordRow(
    RecordId Id,
    string Title,
    double TextDepth,
    bool Done,
    DateTimeOffset ReadAt,
    string? By,
    FiguresOfRecord Figures,
    bool Sound,
    string? Listening
);

/// <param name="Said">What was said instead, the most frequent first.</param>
public sealed record PracticeRow(
    string Word,
    int Missed,
    int Met,
    int Corrected,
    DateTimeOffset LastMissed,
    IReadOnlyList<string> Said
);

/// <summary>A reader's oral reading: the records, how fluent, and which words to practise.</summary>
public sealed record OralView(
    int Grade,
    IReadOnlyList<RecordRow> Records,
    IReadOnlyList<PracticeRow> Practice,
    bool MayTake
);

/// <param name="VersionId">What is read.</param>
public sealed record BeginRequest(TextId TextId, VersionId VersionId);

/// <param name="Revision">The revision that was changed.</param>
/// <param name="Done">It counts as evidence.</param>
public sealed record KeepRequest(
    int Revision,
    IReadOnlyList<MarkOfRecord>? Marks,
    double Seconds,
    int? LastWord,
    int Pauses,
    IReadOnlyDictionary<string, int>? Retelling,
    IReadOnlyList<AnswerOfRecord>? Answers,
    string? Note,
    DateTimeOffset? ReadAt,
    bool Done
);

public sealed record DiscardRequest(bool Gone);
