using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readings;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>The answers of one ticket beside the questions they answer: kept as a score, as evidence, and as what it
/// does to the reader's depth.</summary>
internal sealed class TicketWork
{
    private readonly OpenTicket ticket;
    private readonly AnsweredQuiz quiz;
    private readonly int sentences;

    private TicketWork(OpenTicket ticket, AnsweredQuiz quiz, int sentences) =>
        (this.ticket, this.quiz, this.sentences) = (ticket, quiz, sentences);

    public static async Task<TicketWork> Of(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        TextStore texts,
        OpenTicket ticket,
        IReadOnlyList<AnswerRow> answers
    )
    {
        var answered = new AnsweredQuiz(
            (await texts.Questions(c, t, ticket.TextId)).Where(ticket.Asks),
            answers
                .Where(a => a.Round == ticket.Round)
                .Select(a => new Attempted(a.Id, a.QuestionId, a.Attempt, a.Correct, a.TooFast, a.At)),
            ticket.Closed
        );
        var ofText = answered.AsksForSentences ? (await TextStore.Sentences(c, t, ticket.VersionId)).Count : 0;
        return new(ticket, answered, ofText);
    }

    /// <summary>Written answers that wait for a person.</summary>
    public int ToMark => quiz.ToMark;

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
          received_at = coalesce(received_at, @now), changed_at = @now,
          score = case when round = 1 then @score else score end,
          before_mean = coalesce(before_mean, @bm), before_sd = coalesce(before_sd, @bs),
          after_mean = case when round = 1 then @am else after_mean end,
          after_sd = case when round = 1 then @asd else after_sd end, version_depth = @VersionDepth
        where id = @Id;
        update round
        set handed_in_at = coalesce(handed_in_at, @handedInAt, @now), score = @score
        where ticket_id = @Id and number = @Round
        """;

    /// <summary>Puts the ticket into a state, with its score once everything is marked, and runs the reader's evidence
    /// again, all inside the caller's transaction.</summary>
    /// <param name="handedInAt">When it was handed in; null where it was before.</param>
    /// <returns>The ticket as it is now.</returns>
    public async Task<OpenTicket> Settle(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        YearCalendar year,
        LevelChart chart,
        TicketState state,
        DateTimeOffset now,
        DateTimeOffset? handedInAt = null
    )
    {
        var before = (await DepthKeeper.Trail(c, t, ticket.ReaderId, year, chart, now)).Now;
        // Only the first round is evidence: who answers again knows the questions.
        var pieces = ticket.Round > 1 ? [] : quiz.Pieces(ticket.VersionDepth, sentences).Select(Row).ToList();
        await DepthKeeper.Insert(c, t, ticket.ReaderId, pieces, null);
        // A mark that was changed changes its evidence.
        if (handedInAt is null)
            await c.ExecuteAsync(MarkedSql, new { ticket.Id }, t);
        var after = await DepthKeeper.Recompute(c, t, ticket.ReaderId, year, chart, now);
        var settled = ticket with { State = state, Score = quiz.Score };
        await c.ExecuteAsync(
            SettleSql,
            new
            {
                ticket.Id,
                ticket.Round,
                ticket.VersionDepth,
                state = settled.State.ToString(),
                now,
                handedInAt,
                score = settled.Score,
                bm = before.Mean,
                bs = before.Sd,
                am = after.Mean,
                asd = after.Sd,
            },
            t
        );
        await ReadingKeeper.Judge(c, t, ticket.Id, chart);
        return settled;
    }

    private EvidenceRow Row(AnswerPiece p) =>
        EvidenceRow.Answer(EvidenceId.From(p.Id.Value), p.At, p.Difficulty, p.Guess, p.Correct, p.Strand) with
        {
            TicketId = ticket.Id,
            LeftOut = p.LeftOut,
        };
}
