using System.Text.Json.Serialization;
using DeepCurrent.Core.Depth;
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

public sealed record FiguresOfRecord
{
    public required int Words { get; init; }

    public required int Errors { get; init; }

    public required int SelfCorrections { get; init; }

    public required int Repetitions { get; init; }

    public required Probability Accuracy { get; init; }

    public required double? WordsPerError { get; init; }

    public required double? SelfCorrectionRatio { get; init; }

    public required WordsPerMinute WordsCorrectPerMinute { get; init; }

    public required int Pauses { get; init; }

    /// <summary>Independent, Instructional or Frustration.</summary>
    public required AccuracyZone Zone { get; init; }

    /// <summary>Among readers of the grade and season; null where there is no norm or no time.</summary>
    public required int? Percentile { get; init; }

    /// <summary>The rate of the middle reader there.</summary>
    public required int? Middle { get; init; }

    public required Season Season { get; init; }

    public required Probability? Retelling { get; init; }

    public static FiguresOfRecord Of(OralFigures f, SheetData sheet, int grade, Season season)
    {
        var place = f.WordsCorrectPerMinute > 0 ? OralNorms.Place(grade, season, f.WordsCorrectPerMinute) : null;
        return new()
        {
            Words = f.Words,
            Errors = f.Errors,
            SelfCorrections = f.SelfCorrections,
            Repetitions = f.Repetitions,
            Accuracy = new(f.Accuracy),
            WordsPerError = f.WordsPerError,
            SelfCorrectionRatio = f.SelfCorrectionRatio,
            WordsCorrectPerMinute = new(f.WordsCorrectPerMinute),
            Pauses = f.Pauses,
            Zone = new AccuracyCuts().Of(f.Accuracy),
            Percentile = place?.Percentile,
            Middle = place?.Middle,
            Season = season,
            Retelling = Core.OralReading.Retelling.Score(sheet.Retelling) is { } share ? new(share) : null,
        };
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
    Probability Sure,
    FiguresOfRecord Figures,
    IReadOnlyList<double[]?> Times
);

public sealed record RecordView
{
    public required RecordId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required string Title { get; init; }

    public required TextId? TextId { get; init; }

    public required Fathoms TextDepth { get; init; }

    public required Probability Forecast { get; init; }

    public required bool Done { get; init; }

    public required bool Gone { get; init; }

    public required DateTimeOffset ReadAt { get; init; }

    public required string? By { get; init; }

    public required int Revision { get; init; }

    public required string Body { get; init; }

    public required IReadOnlyList<WordOfRecord> Words { get; init; }

    public required SheetView Sheet { get; init; }

    public required FiguresOfRecord Figures { get; init; }

    public required SourceTotals Sources { get; init; }

    /// <summary>What a retelling is listened to for.</summary>
    public required IReadOnlyList<string> Parts { get; init; }

    public required IReadOnlyList<QuestionOfRecord> Questions { get; init; }

    /// <summary>The text in the library reads differently by now; this record keeps what was read.</summary>
    public required bool TextChanged { get; init; }

    public required double? SoundSeconds { get; init; }

    /// <summary>Null where there is no device or no recording.</summary>
    public required ListeningState? Listening { get; init; }

    public required Message? ListenNote { get; init; }

    /// <summary>There is a recording and a device that can be asked.</summary>
    public required bool MayListen { get; init; }

    public required DraftOfRecord? Draft { get; init; }
}

/// <summary>One line of a reader's records.</summary>
public sealed record RecordRow(
    RecordId Id,
    string Title,
    Fathoms TextDepth,
    bool Done,
    DateTimeOffset ReadAt,
    string? By,
    FiguresOfRecord Figures,
    bool Sound,
    ListeningState? Listening
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
