using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.AssignmentResults;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Web.Texts;

namespace DeepCurrent.Web.AssignmentResults;

/// <param name="Written">Mark of a written answer; null where it waits, and where a rule decides.</param>
/// <param name="ToMark">It waits for a person.</param>
public sealed record CellView(AttemptMark Mark, GivenMark? Written, bool ToMark);

/// <summary>Someone who has the assignment.</summary>
public sealed record ResultReaderView
{
    public required TicketId TicketId { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required TicketState State { get; init; }

    /// <summary>1 for the first; sent back or given again it begins another.</summary>
    public required int Round { get; init; }

    public required string Version { get; init; }

    public required double ActiveSeconds { get; init; }

    /// <summary>The text was read and not only opened.</summary>
    public required bool Full { get; init; }

    public required DateTimeOffset? HandedInAt { get; init; }

    public required int Notes { get; init; }

    public required int KeptWords { get; init; }

    /// <summary>What came from elsewhere; null where nothing did.</summary>
    public required TypedResult? Typed { get; init; }

    public static ResultReaderView Of(ResultTicket k, TypedResult? typed) =>
        new()
        {
            TicketId = k.Id,
            ReaderId = k.ReaderId,
            GivenName = k.GivenName,
            FamilyName = k.FamilyName,
            State = k.State,
            Round = k.Round,
            Version = k.Version,
            ActiveSeconds = k.ActiveSeconds,
            Full = k.Full,
            HandedInAt = k.HandedInAt,
            Notes = k.Notes,
            KeptWords = k.KeptWords,
            Typed = typed,
        };
}

/// <summary>One who handed in, question by question.</summary>
/// <param name="Counts">Its figures are in those of the class.</param>
/// <param name="OnTheWay">The questions on the way, which count nothing.</param>
public sealed record ResultRowView(
    ReaderId ReaderId,
    bool Counts,
    IReadOnlyList<CellView> Cells,
    IReadOnlyList<CellView> OnTheWay,
    int Right,
    int Asked,
    Probability? Share,
    Probability? Forecast,
    AgainstForecast? Against
)
{
    public static ResultRowView Of(ResultRow row, ResultRow? onTheWay) =>
        new(
            row.Reader.ReaderId,
            row.Counts,
            CellsOf(row),
            onTheWay is null ? [] : CellsOf(onTheWay),
            row.Right,
            row.Asked,
            row.Share,
            row.Forecast?.Share,
            row.Against
        );

    private static IReadOnlyList<CellView> CellsOf(ResultRow row) =>
        [.. row.Cells.Select(c => new CellView(c.Mark, c.Written, c.ToMark))];
}

/// <summary>One question over those who count.</summary>
/// <param name="Number">In its quiz, or among the questions on the way, from 1.</param>
/// <param name="Sorts">Point-biserial with the rest of the quiz; null where it does not vary.</param>
public sealed record ResultQuestionView(
    int Number,
    QuestionView Question,
    int Answered,
    Probability? Right,
    double? Sorts,
    int AtOnce,
    int Later,
    int NotYet,
    int Unanswered,
    IReadOnlyList<AnswerDrew> Drew,
    AnswerDrew? CommonWrong
)
{
    public static ResultQuestionView Of(QuestionResult q) =>
        new(
            q.At + 1,
            QuestionView.Of(q.Question),
            q.Figures.Answered,
            q.Figures.Proportion is { } p ? new(p) : null,
            q.Figures.PointBiserial,
            q.AtOnce,
            q.Later,
            q.NotYet,
            q.Unanswered,
            q.Drew,
            q.CommonWrong
        );
}

/// <summary>A text that would suit those of a step.</summary>
public sealed record StepText(TextId Id, string Title, int Within);

public sealed record NextStepView(NextStep Step, StepText? Text);

/// <summary>First tries of a class at one strand over the last twelve weeks.</summary>
public sealed record UsualView(Strand Strand, int Right, int Asked);

/// <param name="Low">Shortest, in seconds.</param>
public sealed record TimesView(double Low, double Middle, double High);

/// <summary>Figures of those who count.</summary>
/// <param name="FirstTry">Share right at the first try.</param>
/// <param name="Forecast">What was forecast of the same readers and questions.</param>
/// <param name="Times">Of full readings; null where there is none.</param>
/// <param name="StandardError">Of one score, in questions.</param>
public sealed record ResultFigures(
    int Given,
    int HandedIn,
    int Counted,
    Probability? FirstTry,
    Probability? Forecast,
    TimesView? Times,
    Reliability Reliability,
    double? Kr20,
    double? StandardError
);

/// <summary>What stands about a faulty question in a class.</summary>
/// <param name="ChangeId">What is undone to take it back.</param>
/// <param name="Stem">Of the question.</param>
/// <param name="TakenOut">It is asked no more; else it has another key.</param>
public sealed record CorrectionView(
    ChangeId ChangeId,
    QuestionId QuestionId,
    string Stem,
    bool TakenOut,
    string By,
    DateTimeOffset At
)
{
    public static CorrectionView? Of(Question q, IEnumerable<StandingCorrection> stands) =>
        stands.FirstOrDefault(s => s.Correction.QuestionId == q.Id) is { } s
            ? new(s.ChangeId, q.Id, q.Stem, s.Correction.TakenOut, s.By, s.At)
            : null;
}

/// <summary>What an assignment came to.</summary>
/// <param name="Questions">Of the quiz; none where nothing is asked.</param>
/// <param name="Rows">Those who handed in, most right first.</param>
/// <param name="Readers">Everybody who has it.</param>
/// <param name="Words">Of a word list, most missed first; none for other tasks.</param>
/// <param name="TakesTyped">Results from elsewhere can be typed: nothing here scores it.</param>
public sealed record ResultsView(
    AssignmentRow Assignment,
    ResultFigures Figures,
    IReadOnlyList<ResultQuestionView> Questions,
    IReadOnlyList<ResultQuestionView> OnTheWay,
    IReadOnlyList<ResultRowView> Rows,
    IReadOnlyList<ResultReaderView> Readers,
    IReadOnlyList<UsualView> Usual,
    IReadOnlyList<NextStepView> Next,
    IReadOnlyList<CorrectionView> Corrections,
    IReadOnlyList<WordResult> Words,
    bool TakesTyped
);
