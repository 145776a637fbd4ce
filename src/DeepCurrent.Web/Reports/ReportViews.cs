using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Reports;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Reports;

namespace DeepCurrent.Web.Reports;

public sealed record SpanView(DateOnly From, DateOnly To)
{
    public static SpanView Of(ReportSpan span) => new(span.From, span.To);

    public static SpanView? OrNone(ReportSpan? span) => span is null ? null : Of(span);
}

/// <summary>The days of a report.</summary>
/// <param name="Before">What it is held against; null where there was nothing before.</param>
/// <param name="Earlier">Where going back leads; null where there is nothing more.</param>
/// <param name="Later">Where going forward leads; null where it reaches today.</param>
public sealed record SpansView(SpanKind Kind, SpanView Span, SpanView? Before, SpanView? Earlier, SpanView? Later);

/// <summary>What somebody read and answered in a span.</summary>
public sealed record SumsView
{
    public required int Readings { get; init; }

    /// <summary>Openings that were no readings; they are in no other figure.</summary>
    public required int Openings { get; init; }

    public required int Words { get; init; }

    public required double Seconds { get; init; }

    public required int Quizzes { get; init; }

    /// <summary>Times of reading elsewhere.</summary>
    public required int Outside { get; init; }

    public required int OutsideMinutes { get; init; }

    public required int AtOnce { get; init; }

    public required int Later { get; init; }

    public required int NotYet { get; init; }

    public required Probability? FirstTry { get; init; }

    public required IReadOnlyList<StrandTries> Strands { get; init; }

    /// <summary>Null where none stands out.</summary>
    public required StrandTries? Weakest { get; init; }

    public static SumsView Of(ReportSums s) =>
        new()
        {
            Readings = s.Readings,
            Openings = s.Openings,
            Words = s.Words,
            Seconds = s.Seconds,
            Quizzes = s.Quizzes,
            Outside = s.Outside,
            OutsideMinutes = s.OutsideMinutes,
            AtOnce = s.AtOnce,
            Later = s.Later,
            NotYet = s.NotYet,
            FirstTry = s.FirstTry,
            Strands = s.Strands,
            Weakest = s.Weakest,
        };
}

/// <summary>One reader in a span.</summary>
/// <param name="Depths">Of the texts read in full, shallowest first.</param>
/// <param name="Level">At the end of the span; now where it ends today.</param>
/// <param name="LevelSd">How sure it was.</param>
/// <param name="Change">Since the day before the span began; null where the level was not known then.</param>
public sealed record ReportRowView(
    ReaderId ReaderId,
    SumsView Sums,
    IReadOnlyList<Fathoms> Depths,
    Fathoms Level,
    double LevelSd,
    DepthRange Reach,
    double? Change
);

/// <summary>A class over a span, by reader and in sum, against the span before.</summary>
/// <param name="Before">Of the span before; null where there was none.</param>
/// <param name="Change">Of the readers' levels, on average.</param>
public sealed record ReportView(
    SpansView Spans,
    IReadOnlyList<ReportRowView> Rows,
    SumsView Sum,
    SumsView? Before,
    MeanRange? Change
);

/// <summary>Who read what in a span, the latest first.</summary>
/// <param name="More">There is more than is shown.</param>
public sealed record LogView(SpansView Spans, IReadOnlyList<LogLine> Lines, bool More);

/// <summary>A line of the log.</summary>
/// <param name="Marks">How each question that was answered went, in the quiz's order.</param>
public sealed record LogLine(LogRow Row, IReadOnlyList<AttemptMark> Marks);

public sealed record QuestionsView(SpansView Spans, IReadOnlyList<MissedQuestion> Rows);

public sealed record TextsView(SpansView Spans, IReadOnlyList<TextRead> Rows);

/// <param name="More">There are more than are shown.</param>
public sealed record AnswersView(SpansView Spans, IReadOnlyList<TryLine> Rows, bool More);

/// <param name="Days">Those on which something was read or answered.</param>
/// <param name="Before">The same of the span before; none where there is none.</param>
public sealed record OverTimeView(SpansView Spans, IReadOnlyList<DayRead> Days, IReadOnlyList<DayRead> Before);
