using Dapper;
using DeepCurrent.Core.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>The rounds of tickets. Every ticket has its first from the moment it is given, whoever gives it.</summary>
internal static class TicketRounds
{
    /// <summary>True of an answer w of ticket k that counts by now: of the ticket's round, or where that asks for some
    /// questions only, the latest answer to any other.</summary>
    public const string Counts = """
        (w.round = k.round
          or exists (
            select 1
            from round n
            where n.ticket_id = k.id
              and n.number = k.round
              and w.question_id <> all(n.questions)
              and not exists (
                select 1
                from answer l
                where l.ticket_id = k.id and l.question_id = w.question_id and l.round > w.round)))
        """;

    /// <summary>Begins the first round of tickets; one that has begun goes on.</summary>
    /// <param name="by">Null where a reader chose the text.</param>
    public static Task First(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<TicketId> tickets,
        AdultId? by,
        DateTimeOffset at
    ) =>
        c.ExecuteAsync(
            """
            insert into round (ticket_id, number, begun, begun_at, begun_by)
            select id, 1, @given, @at, @by
            from unnest(@tickets) id
            on conflict do nothing
            """,
            new
            {
                tickets = tickets.ToArray(),
                given = nameof(RoundBegun.Given),
                by,
                at,
            },
            t
        );
}
