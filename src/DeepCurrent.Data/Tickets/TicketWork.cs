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

/// <summary>A ticket that was settled, and the reader's level just before and after.</summary>
internal sealed record Settled(OpenTicket Ticket, DepthEstimate Before, DepthEstimate After);

/// <summary>The answers of one ticket beside the questions they answer: kept as a score, as evidence, and as what it
/// does to the reader's depth.</summary>
internal sealed class TicketWork
{
    private readonly OpenTicket ticket;
    private readonly AnsweredQuiz quiz,
        evidence;
    private readonly int sentences;

    private TicketWork(OpenTicket ticket, AnsweredQuiz quiz, AnsweredQuiz evidence, int sentences) =>
        (this.ticket, this.quiz, this.evidence, this.sentences) = (ticket, quiz, evidence, sentences);

    public static async Task<TicketWork> Of(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        TextStore texts,
        OpenTicket ticket,
        IReadOnlyList<AnswerRow> answers
    )
    {
        var asked = ticket.Asked(await texts.Questions(c, t, ticket.TextId));
        AnsweredQuiz Answered(IEnumerable<AnswerRow> those) =>
            new(
                asked,
                those.Select(a => new Attempted(a.Id, a.QuestionId, a.Attempt, a.Correct, a.TooFast, a.At)),
                ticket.Closed
            );
        var now = Answered(ticket.Counted(answers));
        // Only the first round is evidence: who answers again knows the questions.
        var firsts = Answered(answers.Where(a => a.Round == 1));
        var ofText = now.AsksForSentences ? (await TextStore.Sentences(c, t, ticket.VersionId)).Count : 0;
        return new(ticket, now, firsts, ofText);
    }

    /// <summary>Written answers that wait for a person.</summary>
    public int ToMark => quiz.ToMark;

    /// <summary>Evidence follows the answers it is of: a mark that was changed, a key that was corrected, a question that
    /// is asked no more. What a teacher has left out stays out.</summary>
    private static readonly string FollowSql = $"""
        update evidence e
        set correct = coalesce(p.correct, e.correct),
          left_out = case
            when starts_with(e.left_out, @TeacherMark) then e.left_out
            when p.id is null then @TakenOut
            else p.left_out end
        from evidence o left join unnest(@ids, @corrects, @leftOuts) p (id, correct, left_out) on p.id = o.id
        where e.id = o.id and o.ticket_id = @Id and o.kind = {EvidenceKinds.Answer}
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
    public async Task<Settled> Settle(
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
        var pieces = evidence.Pieces(ticket.VersionDepth, sentences).Select(Row).ToList();
        await EvidenceWriter.Insert(c, t, ticket.ReaderId, pieces, null);
        if (handedInAt is null)
            await c.ExecuteAsync(
                FollowSql,
                new
                {
                    ticket.Id,
                    ids = pieces.Select(p => p.Id).ToArray(),
                    corrects = pieces.Select(p => p.Correct).ToArray(),
                    leftOuts = pieces.Select(p => p.LeftOut).ToArray(),
                    LeftOut.TeacherMark,
                    LeftOut.TakenOut,
                },
                t
            );
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
        return new(settled, before, after);
    }

    private EvidenceRow Row(AnswerPiece p) =>
        EvidenceRow.Answer(EvidenceId.From(p.Id.Value), p.At, p.Difficulty, p.Guess, p.Correct, p.Strand) with
        {
            TicketId = ticket.Id,
            LeftOut = p.LeftOut,
        };
}
