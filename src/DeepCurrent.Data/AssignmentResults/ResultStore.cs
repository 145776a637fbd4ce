using Dapper;
using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.AssignmentResults;

/// <summary>A ticket of an assignment, as its results need it.</summary>
public sealed record ResultTicket
{
    public required TicketId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required TicketState State { get; init; }

    public required int Round { get; init; }

    /// <summary>Null, as what is said of it, where the task is about no text.</summary>
    public required VersionId? VersionId { get; init; }

    public required string Version { get; init; }

    public required Fathoms? Depth { get; init; }

    public required Fathoms? BeforeMean { get; init; }

    public required double? BeforeSd { get; init; }

    public required double ActiveSeconds { get; init; }

    public required bool Full { get; init; }

    /// <summary>Handed in once, whatever came after.</summary>
    public required DateTimeOffset? HandedInAt { get; init; }

    /// <summary>Its first round was handed in by its last day.</summary>
    public required bool Closed { get; init; }

    public required int Notes { get; init; }

    public required int KeptWords { get; init; }
}

/// <summary>What one assignment's readers did.</summary>
/// <param name="Tries">By ticket.</param>
public sealed record AssignmentWork(IReadOnlyList<ResultTicket> Tickets, ILookup<TicketId, ResultTry> Tries);

/// <summary>Results of assignments, as they are kept.</summary>
public sealed class ResultStore(NpgsqlDataSource db)
{
    private const int MostTickets = 2000,
        MostTries = 200_000;

    private static readonly string WorkSql = $"""
        select k.id, k.reader_id, r.given_name, r.family_name, k.state, k.round, k.version_id,
          coalesce(v.label, '') as version, coalesce(k.version_depth, v.depth) as depth, k.before_mean, k.before_sd,
          k.active_seconds, coalesce(k.full_reading, false) as full, k.handed_in_at,
          coalesce(d.closed, false) as closed,
          (select count(*)::int from note n where n.ticket_id = k.id and n.removed_at is null) as notes,
          (select count(*)::int from kept_word w where w.ticket_id = k.id and w.removed_at is null) as kept_words
        from ticket k
          join reader r on r.id = k.reader_id
          left join version v on v.id = k.version_id
          left join round d on d.ticket_id = k.id and d.number = 1
        where k.task_id = @taskId and k.class_id = @classId and k.state <> {TicketStates.TakenBack}
        order by r.given_name, r.family_name, k.id
        limit {MostTickets};
        select w.ticket_id, w.question_id, w.round, w.attempt, w.correct, w.mark, w.too_fast,
          coalesce(w.response ->> 'picks', '[]') as picks
        from answer w join ticket k on k.id = w.ticket_id
        where k.task_id = @taskId and k.class_id = @classId and k.state <> {TicketStates.TakenBack}
        limit {MostTries}
        """;

    /// <param name="classId">The class that asks: its own tickets alone are told.</param>
    public async Task<AssignmentWork> Of(TaskId taskId, ClassId classId)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync(WorkSql, new { taskId, classId });
        var tickets = (await all.ReadAsync<ResultTicket>()).AsList();
        var tries = await all.ReadAsync<Tried>();
        return new(
            tickets,
            tries.ToLookup(
                t => t.TicketId,
                t => new ResultTry(
                    t.QuestionId,
                    t.Round,
                    t.Attempt,
                    t.Correct,
                    t.Mark,
                    t.TooFast,
                    Database.FromJson<int[]>(t.Picks)
                )
            )
        );
    }

    /// <summary>What was practised of a word list, by reader, in the first round.</summary>
    /// <param name="classId">The class that asks: its own tickets alone are told.</param>
    public async Task<IReadOnlyList<PractisedBy>> Practised(TaskId taskId, ClassId classId) =>
        [
            .. (
                await db.All<(ReaderId Reader, string Practised)>(
                    $"""
                    select k.reader_id, coalesce(p.practised, '[]')::text
                    from ticket k join reply p on p.ticket_id = k.id and p.round = 1
                    where k.task_id = @taskId and k.class_id = @classId and k.state <> {TicketStates.TakenBack}
                    order by k.reader_id
                    limit {MostTickets}
                    """,
                    new { taskId, classId }
                )
            ).Select(r => new PractisedBy(r.Reader, Database.FromJson<PractisedWord[]>(r.Practised))),
        ];

    private sealed record Tried(
        TicketId TicketId,
        QuestionId QuestionId,
        int Round,
        int Attempt,
        bool? Correct,
        GivenMark? Mark,
        bool TooFast,
        string Picks
    );
}
