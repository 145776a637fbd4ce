using Dapper;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>What readers have not got right yet, so that they can try just that again.</summary>
public sealed class MissedQuestions(TextStore texts)
{
    /// <summary>By ticket, in the quiz's order; tickets without a quiz are not among them.</summary>
    public async Task<IReadOnlyDictionary<TicketId, IReadOnlyList<QuestionId>>> Of(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<TicketId> tickets,
        ClassId classId
    )
    {
        var whose = await c.QueryAsync<(TicketId, ReaderId)>(
            "select id, reader_id from ticket where id = any(@ids) and class_id = @classId",
            new { ids = tickets.ToArray(), classId },
            t
        );
        var open = await TicketStore.Lock(c, t, [.. whose]);
        var answers = await TicketStore.Answers(c, t, open.Keys);
        var missed = new Dictionary<TicketId, IReadOnlyList<QuestionId>>();
        foreach (var ticket in open.Values)
            missed[ticket.Id] = QuestionCorrection.Missed(
                ticket.Asked(await texts.Questions(c, t, ticket.TextId)),
                answers[ticket.Id].ToLookup(a => a.QuestionId, a => a.Correct)
            );
        return missed;
    }
}
