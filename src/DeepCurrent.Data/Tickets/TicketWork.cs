using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>The answers of one ticket beside the questions they answer: its score, its evidence, and what it does to
/// the reader's depth.</summary>
internal sealed class TicketWork
{
    private readonly OpenTicket ticket;
    private readonly IReadOnlyList<Question> quiz;
    private readonly ILookup<QuestionId, AnswerRow> answers;
    private readonly int sentences;

    private TicketWork(
        OpenTicket ticket,
        IReadOnlyList<Question> quiz,
        IReadOnlyList<AnswerRow> answers,
        int sentences
    ) =>
        (this.ticket, this.quiz, this.answers, this.sentences) = (
            ticket,
            quiz,
            answers.OrderBy(a => a.Attempt).ToLookup(a => a.QuestionId),
            sentences
        );

    public static async Task<TicketWork> Of(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        TextStore texts,
        OpenTicket ticket,
        IReadOnlyList<AnswerRow> answers
    )
    {
        // A question that was taken out of the quiz meanwhile says nothing any more, and guided questions only help.
        var asked = (await texts.Questions(c, t, ticket.TextId)).Where(q => !q.Guided).ToList();
        var ofText = asked.Exists(q => q.Kind is QuestionKind.Sentence)
            ? (await TextStore.Sentences(c, t, ticket.VersionId)).Count
            : 0;
        return new(ticket, asked, answers, ofText);
    }

    /// <summary>Written answers that wait for a person.</summary>
    public int ToMark => quiz.Count(q => q.Written && answers[q.Id].Any(a => a.Correct is null));

    private double Score =>
        TicketLife.Score([.. quiz.Select(q => TicketLife.MarkOf([.. answers[q.Id].Select(a => a.Right)]))]);

    private const string MarkedSql = """
        update evidence e
        set correct = a.correct
        from answer a
        where a.id = e.id
          and a.ticket_id = @Id
          and e.correct is distinct from a.correct
          and a.correct is not null
        """;

    private const string SettleSql = """
        update ticket
        set state = @state, handed_in_at = coalesce(handed_in_at, @handedInAt, @now),
          received_at = coalesce(received_at, @now), changed_at = @now, score = @score,
          before_mean = coalesce(before_mean, @bm), before_sd = coalesce(before_sd, @bs), after_mean = @am,
          after_sd = @asd, version_depth = @VersionDepth
        where id = @Id
        """;

    /// <summary>Puts the ticket into a state, with its score once everything is marked, and runs the reader's evidence
    /// again, all inside the caller's transaction.</summary>
    /// <param name="handedInAt">When it was handed in; null where it was before.</param>
    public async Task Settle(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Schools.YearCalendar year,
        LevelChart chart,
        TicketState state,
        DateTimeOffset now,
        DateTimeOffset? handedInAt = null
    )
    {
        var before = (await DepthKeeper.Trail(c, t, ticket.ReaderId, year, chart, now)).Now;
        var pieces = quiz.SelectMany(
                (q, i) => answers[q.Id].Where(a => a is { Attempt: 1, Correct: not null }).Select(a => Piece(a, q, i))
            )
            .ToList();
        await DepthKeeper.Insert(c, t, ticket.ReaderId, pieces, null);
        // A mark that was changed changes its evidence.
        if (handedInAt is null)
            await c.ExecuteAsync(MarkedSql, new { ticket.Id }, t);
        var after = await DepthKeeper.Recompute(c, t, ticket.ReaderId, year, chart, now);
        await c.ExecuteAsync(
            SettleSql,
            new
            {
                ticket.Id,
                ticket.VersionDepth,
                state = state.ToString(),
                now,
                handedInAt,
                score = ToMark == 0 && quiz.Count > 0 && quiz.Any(q => answers[q.Id].Any()) ? Score : (double?)null,
                bm = before.Mean,
                bs = before.Sd,
                am = after.Mean,
                asd = after.Sd,
            },
            t
        );
    }

    private EvidenceRow Piece(AnswerRow a, Question q, int at) =>
        EvidenceRow.Answer(
            EvidenceId.From(a.Id.Value),
            a.At,
            q.Difficulty(new(ticket.VersionDepth), sentences).Value,
            q.Guess(sentences),
            a.Correct,
            q.Strand
        ) with
        {
            TicketId = ticket.Id,
            LeftOut = LeftOut(a, q, at),
        };

    /// <summary>Whoever missed a question cannot find its proof: that says nothing new.</summary>
    private string? LeftOut(AnswerRow a, Question q, int at) =>
        a.Rushed ? "rushed"
        : q.Evidence && at > 0 && answers[quiz[at - 1].Id].FirstOrDefault() is { Right: false }
            ? "rests on a wrong answer"
        : null;
}
