using Dapper;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>What kind of work could not be taken.</summary>
public enum SetAsideKind
{
    Answer,
    Reading,
    Recording,
    HandIn,
}

/// <summary>Work of a reader's that the server refused for good.</summary>
/// <param name="Id">Made by the device: telling of it twice is telling once.</param>
/// <param name="About">The ticket or the sitting it was done for.</param>
/// <param name="Body">As it was sent, as JSON.</param>
public sealed record NewSetAside(
    Guid Id,
    ReaderId ReaderId,
    Guid About,
    SetAsideKind Kind,
    int Answers,
    string Code,
    string Body,
    DateTimeOffset GivenAt,
    DateTimeOffset At
);

/// <param name="Code">Why it could not be taken: the refusal's code.</param>
public sealed record SetAside(Guid About, SetAsideKind Kind, string Code, int Answers, DateTimeOffset GivenAt);

/// <summary>Work that could not be taken, kept for the teacher to see.</summary>
public sealed class SetAsideStore(NpgsqlDataSource db)
{
    private const int MostOfAReader = 500;

    /// <returns>False where the ticket or sitting is not this reader's.</returns>
    public async Task<bool> Add(NewSetAside s)
    {
        return await db.Value<bool>(
            """
            with about as (
              select (select id from ticket where id = @About and reader_id = @ReaderId) as ticket_id,
                (select id from sitting where id = @About and reader_id = @ReaderId) as sitting_id
            ), added as (
              insert into set_aside (id, reader_id, ticket_id, sitting_id, kind, answers, code, body, given_at, made_at)
              select @Id, @ReaderId, ticket_id, sitting_id, @kind, @Answers, @Code, @Body::jsonb, @GivenAt, @At
              from about
              where num_nonnulls(ticket_id, sitting_id) = 1
                and (select count(*) from set_aside where reader_id = @ReaderId) < @MostOfAReader
              on conflict (id) do nothing
            )
            select num_nonnulls(ticket_id, sitting_id) = 1 from about
            """,
            new
            {
                s.Id,
                s.ReaderId,
                s.About,
                kind = s.Kind.ToString(),
                s.Answers,
                s.Code,
                s.Body,
                s.GivenAt,
                s.At,
                MostOfAReader,
            }
        );
    }

    /// <summary>What could not be taken of a ticket, or of all sittings of a level check.</summary>
    public async Task<IReadOnlyList<SetAside>> Of(Guid ticketOrCheckId)
    {
        return await db.All<SetAside>(
            """
            select coalesce(s.ticket_id, s.sitting_id) as about, s.kind, s.code, s.answers, s.given_at
            from set_aside s
              left join sitting n on n.id = s.sitting_id
            where s.ticket_id = @ticketOrCheckId or n.check_id = @ticketOrCheckId
            order by s.given_at
            limit 1000
            """,
            new { ticketOrCheckId }
        );
    }
}
