using System.Text.Json.Serialization;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;

namespace DeepCurrent.Core.AssignmentResults;

/// <summary>One attempt at a question.</summary>
/// <param name="Round">From 1; sent back or given again, a ticket begins another.</param>
/// <param name="Attempt">From 1, within its round.</param>
/// <param name="Correct">Null while it waits for a person.</param>
/// <param name="Mark">Of a written answer; null while it waits, and where a rule decides.</param>
/// <param name="Picks">Choices that were taken, from 0.</param>
/// <param name="Words">The sentence that was picked; empty for other kinds.</param>
public sealed record ResultTry(
    QuestionId QuestionId,
    int Round,
    int Attempt,
    bool? Correct,
    GivenMark? Mark,
    bool TooFast,
    IReadOnlyList<int> Picks,
    string Words = ""
);

/// <summary>One reader of an assignment.</summary>
public sealed record ResultReader
{
    public required TicketId TicketId { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required bool HandedIn { get; init; }

    /// <summary>The text was read and not only opened, or the quiz is asked without its text.</summary>
    public required bool Read { get; init; }

    /// <summary>Handed in by its last day, so that what is not answered is not wrong.</summary>
    public required bool Closed { get; init; }

    /// <summary>Depth before the quiz; null where it is not known.</summary>
    public required Fathoms? Depth { get; init; }

    /// <summary>How sure it was, fm.</summary>
    public required double DepthSd { get; init; }

    /// <summary>Of the version that was read.</summary>
    public required Fathoms? Version { get; init; }

    /// <summary>Sentences of that version.</summary>
    public required int Sentences { get; init; }

    /// <summary>In any order.</summary>
    public required IReadOnlyList<ResultTry> Tries { get; init; }
}

/// <summary>One reader's questions.</summary>
/// <param name="Tries">In order; empty where it was not answered.</param>
public sealed record ResultCell(AttemptMark Mark, IReadOnlyList<ResultTry> Tries)
{
    /// <summary>Whether the first attempt was right; null where there is none, or it is still to be marked.</summary>
    public bool? First => Tries.Count == 0 ? null : Tries[0].Correct;

    /// <summary>The latest mark of a person; null where it waits, and where a rule decides.</summary>
    public GivenMark? Written => Tries.Count == 0 ? null : Tries[^1].Mark;

    public bool ToMark => Tries.Any(t => t.Correct is null);
}

/// <summary>A row of the results: one reader, question by question.</summary>
/// <param name="Counts">Handed in and really tried: its figures are in those of the class.</param>
/// <param name="Right">Questions right at once.</param>
/// <param name="Asked">Of how many: those that are marked, and where it closed by itself, answered.</param>
/// <param name="Forecast">Of those; null where nothing is asked or the level was not known.</param>
/// <param name="Against">How the score stands to it; null where there is none.</param>
public sealed record ResultRow(
    ResultReader Reader,
    bool Counts,
    IReadOnlyList<ResultCell> Cells,
    int Right,
    int Asked,
    ScoreForecast? Forecast,
    AgainstForecast? Against
)
{
    public Probability? Share => Asked == 0 ? null : new(Right / (double)Asked);
}

/// <summary>What some readers answered at the first try.</summary>
/// <param name="Said">A choice, or what was put in order, matched or picked, in words.</param>
/// <param name="Reason">What readers were told of it; empty where its writer says nothing.</param>
/// <param name="Strong">Readers who got more of the other questions right than the rest.</param>
/// <param name="Weak">The others.</param>
public sealed record AnswerDrew(string Said, bool Right, string Reason, int Strong, int Weak)
{
    [JsonIgnore]
    public int Readers => Strong + Weak;
}

/// <summary>One question over those who count.</summary>
/// <param name="At">Its place among those asked, from 0.</param>
public sealed record QuestionResult(
    int At,
    Question Question,
    QuestionFigures Figures,
    int AtOnce,
    int Later,
    int NotYet,
    int Unanswered,
    IReadOnlyList<AnswerDrew> Drew
)
{
    /// <summary>The most common wrong answer: the first of those given alike; null where there was none.</summary>
    public AnswerDrew? CommonWrong =>
        Drew.Where(d => !d.Right && d.Readers > 0).OrderByDescending(d => d.Readers).FirstOrDefault();
}

/// <summary>What an assignment with a quiz came to.</summary>
public sealed class QuizResults
{
    /// <summary>With so many of the first attempts too fast, it was no real try.</summary>
    private const double HastyFrom = 0.5;

    private const int MostAnswers = 6;

    /// <summary>In the quiz's order.</summary>
    public IReadOnlyList<Question> Questions { get; }

    /// <summary>Everybody who handed in: most right first.</summary>
    public IReadOnlyList<ResultRow> Rows { get; }

    /// <summary>Those of them whose figures are in the class's.</summary>
    public IReadOnlyList<ResultRow> Counted { get; }

    public QuizFigures Figures { get; }

    /// <summary>In the quiz's order.</summary>
    public IReadOnlyList<QuestionResult> ByQuestion { get; }

    /// <param name="asked">Questions in their order; figures of readers are of these alone.</param>
    public QuizResults(IReadOnlyList<Question> asked, IEnumerable<ResultReader> readers)
    {
        Questions = asked;
        Rows =
        [
            .. readers
                .Where(r => r.HandedIn)
                .Select(Row)
                .OrderByDescending(r => r.Share?.Value ?? -1)
                .ThenByDescending(r => r.Right),
        ];
        Counted = [.. Rows.Where(r => r.Counts)];
        Figures = QuizFigures.Of([.. Counted.Select(r => r.Cells.Select(c => c.First).ToList())]);
        ByQuestion = [.. asked.Select((q, i) => Result(q, i))];
    }

    /// <summary>Share right at the first try over all who count; null while nobody does.</summary>
    public Probability? FirstTry => Over(r => r.Right);

    /// <summary>What was forecast of the same readers and questions.</summary>
    public Probability? Forecast => Over(r => r.Forecast?.Expected);

    private Probability? Over(Func<ResultRow, double?> right)
    {
        var rows = Counted.Where(r => r.Asked > 0 && right(r) is not null).ToList();
        return rows.Count == 0 ? null : new(Math.Clamp(rows.Sum(r => right(r) ?? 0) / rows.Sum(r => r.Asked), 0, 1));
    }

    private ResultRow Row(ResultReader reader)
    {
        var by = reader.Tries.OrderBy(t => t.Round).ThenBy(t => t.Attempt).ToLookup(t => t.QuestionId);
        var cells = Questions.Select(q => Cell([.. by[q.Id]])).ToList();
        var marked = Enumerable
            .Range(0, cells.Count)
            .Where(i => cells[i].Tries.Count == 0 ? !reader.Closed : cells[i].First is not null)
            .ToList();
        var right = marked.Count(i => cells[i].First is true);
        var forecast =
            reader is { Depth: { } depth, Version: { } version } && marked.Count > 0
                ? ScoreForecast.For(depth, reader.DepthSd, [.. marked.Select(i => Met(Questions[i], version, reader))])
                : null;
        return new(reader, Real(reader, cells), cells, right, marked.Count, forecast, forecast?.Place(right));
    }

    private static ResultCell Cell(IReadOnlyList<ResultTry> tries) =>
        new(TicketLife.MarkOf([.. tries.Select(t => t.Correct ?? false)]), tries);

    private static AskedQuestion Met(Question q, Fathoms version, ResultReader reader) =>
        new(q.Difficulty(version, reader.Sentences), q.Guess(reader.Sentences));

    private static bool Real(ResultReader reader, IReadOnlyList<ResultCell> cells)
    {
        var first = cells.Where(c => c.Tries.Count > 0).Select(c => c.Tries[0]).ToList();
        return reader.Read && first.Count > 0 && first.Count(t => t.TooFast) < HastyFrom * first.Count;
    }

    private QuestionResult Result(Question q, int at)
    {
        var cells = Counted.Select(r => r.Cells[at]).ToList();
        int Of(AttemptMark mark) => cells.Count(c => c.Mark == mark && !c.ToMark);
        return new(
            at,
            q,
            Figures.Questions.Count == 0 ? new(0, null, null) : Figures.Questions[at],
            Of(AttemptMark.RightAtOnce),
            Of(AttemptMark.AfterAnotherTry),
            Of(AttemptMark.NotYet),
            Of(AttemptMark.Unanswered),
            q.Written ? [] : Drew(q, at)
        );
    }

    /// <summary>Every choice, taken or not, in the question's order; of other kinds what was answered, by how
    /// many.</summary>
    private IReadOnlyList<AnswerDrew> Drew(Question q, int at)
    {
        var took = Counted
            .Where(r => r.Cells[at].Tries.Count > 0)
            .Select(r => (First: r.Cells[at].Tries[0], Others: Rest(r, at)))
            .ToList();
        var middle = took.Select(t => t.Others).DefaultIfEmpty(0).Average();
        AnswerDrew Of(string said, bool right, string reason, IEnumerable<double> others)
        {
            var those = others.ToList();
            var strong = those.Count(o => o >= middle);
            return new(said, right, reason, strong, those.Count - strong);
        }
        if (q.Rules.GivesReasons)
            return
            [
                .. q.Choices.Select(
                    (c, i) =>
                        Of(c.Text, c.Right, c.Reason, took.Where(t => t.First.Picks.Contains(i)).Select(t => t.Others))
                ),
            ];
        return
        [
            .. took.GroupBy(t => q.Rules.Said(q, new(t.First.Picks, t.First.Words)))
                .Select(g => Of(g.Key, g.First().First.Correct is true, "", g.Select(t => t.Others)))
                .OrderByDescending(d => d.Readers)
                .ThenByDescending(d => d.Right)
                .Take(MostAnswers),
        ];
    }

    /// <summary>Share of the other questions that were right at once.</summary>
    private static double Rest(ResultRow row, int but)
    {
        var others = row.Cells.Where((c, i) => i != but && c.First is not null).ToList();
        return others.Count == 0 ? 0 : others.Count(c => c.First is true) / (double)others.Count;
    }
}
