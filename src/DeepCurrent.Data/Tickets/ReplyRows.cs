using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>A ticket of a task without a text, ready to be worked on.</summary>
public sealed record OpenTask
{
    public required TicketId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required ClassId ClassId { get; init; }

    public required YearId SchoolYearId { get; init; }

    public required TaskKind Kind { get; init; }

    public required TaskContent Content { get; init; }

    public required TicketState State { get; init; }

    public required ResultsShown Results { get; init; }

    public required string Directions { get; init; }

    public required string HomeDirections { get; init; }

    public required string HomeLanguage { get; init; }

    /// <summary>What is spoken at the reader's home, as the roster says it.</summary>
    public required string? SpokenAtHome { get; init; }

    /// <summary>Of the teacher, who sent it back; empty where it is the first round.</summary>
    public required string Comment { get; init; }

    public required int Round { get; init; }

    public required Reply Reply { get; init; }

    /// <summary>Others who hand in the same answer, as its writer names them: their tickets.</summary>
    public required IReadOnlyList<TicketId> Partners { get; init; }

    /// <summary>The ticket of whoever wrote it for several; null where it is the reader's own.</summary>
    public required TicketId? WrittenWith { get; init; }

    public required bool Talk { get; init; }

    public required string SupportsKept { get; init; }

    public required string? OwnWay { get; init; }

    /// <summary>What is done for its reader here.</summary>
    public Supports Supports => OwnSupports.Of(SupportsKept, OwnWay);

    /// <summary>Words of its list.</summary>
    public int Words => Content.Words?.Count ?? 0;
}

/// <summary>Tasks without a text as the database has them: found, handed in, scored, inside the transactions of others.</summary>
internal static class ReplyRows
{
    private static readonly string OpenSql = $"""
        select k.id, k.reader_id, k.class_id, c.school_year_id, y.kind, y.content::text as content,
          {TaskSql.AtOnce} as at_once, {TaskSql.By} as "by", k.state,
          a.results, a.directions, a.home_directions, a.home_language,
          r.details ->> '{nameof(
            ReaderDetail.HomeLanguage
        )}' as spoken_at_home, coalesce(d.comment, '') as comment, k.round,
          p.words, p.practised::text as practised, p.mark, p.comment as said, p.partners, p.written_with, a.talk,
          r.supports::text as supports_kept, {TaskSql.Own} as own_way
        from ticket k
          join assignment a on a.id = k.assignment_id
          join task y on y.id = k.task_id
          join class c on c.id = k.class_id
          join reader r on r.id = k.reader_id
          left join round d on d.ticket_id = k.id and d.number = k.round
          left join reply p on p.ticket_id = k.id and p.round = k.round
        where k.state in ({TicketStates.Seen}) and y.content is not null
        """;

    private sealed record Flat
    {
        public required TicketId Id { get; init; }

        public required ReaderId ReaderId { get; init; }

        public required ClassId ClassId { get; init; }

        public required YearId SchoolYearId { get; init; }

        public required TaskKind Kind { get; init; }

        public required string Content { get; init; }

        public required int? AtOnce { get; init; }

        public required WordPractice? By { get; init; }

        public required TicketState State { get; init; }

        public required ResultsShown Results { get; init; }

        public required string Directions { get; init; }

        public required string HomeDirections { get; init; }

        public required string HomeLanguage { get; init; }

        public required string? SpokenAtHome { get; init; }

        public required string Comment { get; init; }

        public required int Round { get; init; }

        public required string? Words { get; init; }

        public required string? Practised { get; init; }

        public required GivenMark? Mark { get; init; }

        public required string? Said { get; init; }

        public required TicketId[]? Partners { get; init; }

        public required TicketId? WrittenWith { get; init; }

        public required bool Talk { get; init; }

        public required string SupportsKept { get; init; }

        public required string? OwnWay { get; init; }

        public OpenTask Task()
        {
            var given = Database.FromJson<TaskContent>(Content);
            return new()
            {
                Id = Id,
                ReaderId = ReaderId,
                ClassId = ClassId,
                SchoolYearId = SchoolYearId,
                Kind = Kind,
                Content = given with { AtOnce = AtOnce ?? given.AtOnce, By = By ?? given.By },
                State = State,
                Results = Results,
                Directions = Directions,
                HomeDirections = HomeDirections,
                HomeLanguage = HomeLanguage,
                SpokenAtHome = SpokenAtHome,
                Comment = Comment,
                Round = Round,
                Partners = Partners ?? [],
                WrittenWith = WrittenWith,
                Talk = Talk,
                SupportsKept = SupportsKept,
                OwnWay = OwnWay,
                Reply = Words is null ? Reply.None : ReplyOf(Words, Practised!, Mark, Said!),
            };
        }
    }

    public static Reply ReplyOf(string words, string practised, GivenMark? mark, string comment) =>
        new(words, Database.FromJson<List<PractisedWord>>(practised), mark, comment);

    public static async Task<OpenTask?> Find(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        TicketId ticketId,
        ReaderId readerId,
        bool lockRow
    ) =>
        (
            await c.QuerySingleOrDefaultAsync<Flat>(
                $"{OpenSql} and k.id = @ticketId and k.reader_id = @readerId {(lockRow ? "for update of k" : "")}",
                new { ticketId, readerId },
                t
            )
        )?.Task();

    public static async Task<OpenTask> HandIn(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTask task,
        DateTimeOffset given,
        DateTimeOffset now
    )
    {
        if (TicketLife.Done(task.State) || TicketLife.After(task.State, TicketStep.HandedIn) is not { } handedIn)
            return task;
        var step = TicketLife.AfterHandingIn(task.Kind is TaskKind.Written, task.Results);
        var state = TicketLife.After(handedIn, step)!.Value;
        await c.ExecuteAsync(
            """
            update ticket
            set state = @state, handed_in_at = coalesce(handed_in_at, @given), received_at = coalesce(received_at, @now),
              changed_at = @now
            where id = @Id;
            update round
            set handed_in_at = coalesce(handed_in_at, @given)
            where ticket_id = @Id and number = @Round
            """,
            new
            {
                task.Id,
                task.Round,
                state = state.ToString(),
                given,
                now,
            },
            t
        );
        await Score(c, t, task.Id, task.Round, task.Reply.Score(task.Kind));
        return task with { State = state };
    }

    /// <summary>The ticket's own score is that of the first round.</summary>
    public static Task Score(NpgsqlConnection c, NpgsqlTransaction t, TicketId id, int round, Probability? score) =>
        c.ExecuteAsync(
            """
            update ticket set score = @score where id = @id and round = 1;
            update round set score = @score where ticket_id = @id and number = @round
            """,
            new
            {
                id,
                round,
                score,
            },
            t
        );
}
