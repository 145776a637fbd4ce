using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Readings;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>A ticket as its reader sees it in a list.</summary>
public sealed record MyTicket
{
    public required TicketId Id { get; init; }

    /// <summary>What a link from elsewhere leads to.</summary>
    public required AssignmentId AssignmentId { get; init; }

    /// <summary>The same for all that was given in one act.</summary>
    public required AssignmentId Act { get; init; }

    public required TaskKind Kind { get; init; }

    public required string Title { get; init; }

    public required string Blurb { get; init; }

    public required int Words { get; init; }

    public required int Pages { get; init; }

    public required int Page { get; init; }

    public required int Questions { get; init; }

    public required int Answered { get; init; }

    /// <summary>What it is about, where it is a text.</summary>
    public required TextId? TextId { get; init; }

    /// <summary>Time spent reading; what stood still is cut.</summary>
    public required double ActiveSeconds { get; init; }

    /// <summary>What the text's picture shows; null where it has none.</summary>
    public required string? Picture { get; init; }

    /// <summary>Words of the list, where there is one.</summary>
    public required int ToPractise { get; init; }

    public required TicketState State { get; init; }

    /// <summary>The reader's own, where they were given one.</summary>
    public required DateOnly? DueOn { get; init; }

    /// <summary>The last day on which it can be worked on; null where it goes on.</summary>
    public required DateOnly? ClosesOn { get; init; }

    public required Need Need { get; init; }

    public required WorkPlace Place { get; init; }

    /// <summary>The teacher reminded the reader, who has not opened it since.</summary>
    public required bool Reminded { get; init; }

    public required string Directions { get; init; }

    public required string HomeDirections { get; init; }

    /// <summary>The code of the language they are in; empty where there are none.</summary>
    public required string HomeLanguage { get; init; }

    public required Probability? Score { get; init; }

    public required DateTimeOffset? HandedInAt { get; init; }

    public required bool Chosen { get; init; }

    /// <summary>To be read aloud and recorded.</summary>
    public required bool Aloud { get; init; }

    /// <summary>The teacher's, under which it stands; empty for none.</summary>
    public required string Heading { get; init; }

    /// <summary>Of the teacher, who sent it back or gave it again; empty where it is the first round.</summary>
    public required string? Comment { get; init; }

    /// <summary>1 for the first.</summary>
    public required int Round { get; init; }
}

/// <summary>One ticket, ready to be worked on.</summary>
public sealed record OpenTicket
{
    public required TicketId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required TaskKind Kind { get; init; }

    public required TextId TextId { get; init; }

    /// <summary>Those of its quiz that are asked; null for all.</summary>
    public required QuestionId[]? Questions { get; init; }

    public required VersionId VersionId { get; init; }

    public required TicketState State { get; init; }

    public required int Attempts { get; init; }

    public required int Page { get; init; }

    public required Probability? Score { get; init; }

    public required string Directions { get; init; }

    public required string HomeDirections { get; init; }

    public required string HomeLanguage { get; init; }

    /// <summary>What is spoken at the reader's home, as the roster says it.</summary>
    public required string? SpokenAtHome { get; init; }

    public required ClassId ClassId { get; init; }

    public required YearId SchoolYearId { get; init; }

    public required Fathoms VersionDepth { get; init; }

    public required string VersionLabel { get; init; }

    public required bool OnTheWay { get; init; }

    public required bool Aloud { get; init; }

    /// <summary>Its reader may change the version within reach.</summary>
    public required bool MayChange { get; init; }

    /// <summary>Readers see one another's written answers when they have answered.</summary>
    public required bool Talk { get; init; }

    public required string SupportsKept { get; init; }

    public required string? OwnWay { get; init; }

    /// <summary>What is done for its reader here: everywhere, but for what was said otherwise for this
    /// assignment.</summary>
    public Supports Supports => OwnSupports.Of(SupportsKept, OwnWay);

    /// <summary>1 for the first; sent back or given again it begins another.</summary>
    public required int Round { get; init; }

    public required ResultsShown Results { get; init; }

    /// <summary>Handed in by its last day, not by its reader.</summary>
    public required bool Closed { get; init; }

    /// <summary>Its reader does not see yet how it goes.</summary>
    public bool Held => Results is ResultsShown.WhenReleased && State is not TicketState.Released;

    /// <summary>How often a question may be tried. Whoever does not see what is right tries once.</summary>
    public int Tries(Question q) => q.Written || Results is ResultsShown.WhenReleased ? 1 : Attempts;

    /// <summary>In this round; null for all that the task asks.</summary>
    public required QuestionId[]? Only { get; init; }

    /// <summary>What the class's teacher said of faulty questions, as it is kept.</summary>
    public required string CorrectionsKept { get; init; }

    /// <summary>Those of its text's questions that it asks, in any round, as they are scored now.</summary>
    public IReadOnlyList<Question> Asked(IEnumerable<Question> quiz) =>
        CorrectionStore.Apply(
            quiz.Where(q => Kind.Asks(q.OnTheWay, OnTheWay, Questions?.Contains(q.Id) ?? true)),
            CorrectionsKept
        );

    /// <summary>Whether a question that it asks is asked in this round.</summary>
    public bool Now(QuestionId question) => Only?.Contains(question) ?? true;

    /// <summary>The round whose answers to a question count by now: this one, or where it is not asked any more, the
    /// last in which it was.</summary>
    public IEnumerable<AnswerRow> Counted(IEnumerable<AnswerRow> answers) =>
        answers
            .GroupBy(a => a.QuestionId)
            .SelectMany(g =>
            {
                var last = g.Max(a => a.Round);
                return g.Where(a => a.Round == (Now(g.Key) ? Round : last));
            });
}

/// <param name="Correct">Null for a written answer that nobody has marked.</param>
/// <param name="Mark">Of a written answer; null where nobody has marked it.</param>
public sealed record AnswerRow(
    AnswerId Id,
    QuestionId QuestionId,
    int Attempt,
    Response Response,
    bool? Correct,
    DateTimeOffset At,
    int Milliseconds,
    bool TooFast,
    GivenMark? Mark,
    string Comment,
    DateTimeOffset ReceivedAt,
    int Round
)
{
    public bool Right => Correct ?? false;
}

/// <summary>The reader's side: their tickets, the time they spend, their answers, handing in.</summary>
public sealed class TicketStore(NpgsqlDataSource db, TextStore texts, Notices notices)
{
    private static readonly string MineSql = $"""
        select k.id, k.assignment_id, a.act, y.kind, {TaskSql.Title} as title, v.text_id, k.active_seconds,
               (select p.description from text_picture p where p.text_id = v.text_id) as picture,
               coalesce(t.blurb, y.content ->> 'prompt') as blurb,
               case when y.kind = '{nameof(TaskKind.Quiz)}' then 0 else coalesce(v.words, 0) end as words,
               coalesce(jsonb_array_length(v.pages), 0) as pages, k.page,
               coalesce(jsonb_array_length(nullif(y.content -> 'words', 'null')), 0) as to_practise,
               (
                 select count(*)::int
                 from question q
                 where q.text_id = t.id
                   and not q.retired
                   and q.place is null
                   and y.kind <> '{nameof(TaskKind.Recording)}'
                   and (y.questions is null or q.id = any(y.questions))
                   and (d.questions is null or q.id = any(d.questions))
                   and not exists ({CorrectionStore.TakenOut})) as questions,
               (
                 select count(distinct w.question_id)::int
                 from answer w join question q on q.id = w.question_id
                 where w.ticket_id = k.id and w.round = k.round and not q.retired and q.place is null
                   and not exists ({CorrectionStore.TakenOut})) as answered,
               k.state, coalesce(k.due_on, a.due_on) as due_on,
               case when a.closes_on is not null then greatest(a.closes_on, k.due_on) end as closes_on, a.need,
               a.place, k.reminded_at is not null as reminded, a.directions, a.home_directions,
               a.home_language, a.heading,
               case when k.state = {TicketStates.Released} then coalesce(d.score, k.score) end as score,
               case when k.state in ({TicketStates.Done}) then k.handed_in_at end as handed_in_at, a.chosen,
               {TaskSql.Aloud} as aloud, k.round, d.comment
        from ticket k
          join assignment a on a.id = k.assignment_id
          join task y on y.id = k.task_id
          left join text t on t.id = y.text_id
          left join round d on d.ticket_id = k.id and d.number = k.round
          left join version v on v.id = k.version_id
        where k.reader_id = @readerId and k.state in ({TicketStates.Seen})
        order by handed_in_at desc nulls first, a.chosen, a.need <> '{nameof(Need.Required)}',
          coalesce(k.due_on, a.due_on) nulls last, a.assigned_at
        limit 200
        """;

    public async Task<IReadOnlyList<MyTicket>> Mine(ReaderId readerId)
    {
        return await db.All<MyTicket>(MineSql, new { readerId });
    }

    public async Task<OpenTicket?> Find(TicketId ticketId, ReaderId readerId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Find(c, null, ticketId, readerId, lockRow: false);
    }

    private static readonly string OpenSql = $"""
        select k.id, k.reader_id, y.kind, y.text_id, y.questions, k.version_id, k.state,
          {TaskSql.Attempts} + coalesce((r.supports ->> 'retry')::boolean, false)::int as attempts, k.page, d.score,
          a.directions, a.home_directions, a.home_language, r.details ->> '{nameof(
            ReaderDetail.HomeLanguage
        )}' as spoken_at_home,
          a.results, k.class_id, c.school_year_id, k.round,
               coalesce(d.closed, false) as closed,
               coalesce(k.version_depth, v.depth) as version_depth, v.label as version_label,
               {TaskSql.OnTheWay} as on_the_way, {TaskSql.Aloud} as aloud, a.may_change, a.talk,
               r.supports::text as supports_kept, {TaskSql.Own} as own_way, d.questions as only,
               {CorrectionStore.Kept("k.class_id", "y.text_id")} as corrections_kept
        from ticket k
          join assignment a on a.id = k.assignment_id
          join task y on y.id = k.task_id
          join class c on c.id = k.class_id
          join version v on v.id = k.version_id
          join reader r on r.id = k.reader_id
          left join round d on d.ticket_id = k.id and d.number = k.round
        where k.state in ({TicketStates.Seen})
        """;

    internal static Task<OpenTicket?> Find(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        TicketId ticketId,
        ReaderId readerId,
        bool lockRow
    ) =>
        c.QuerySingleOrDefaultAsync<OpenTicket>(
            $"{OpenSql} and k.id = @ticketId and k.reader_id = @readerId {(lockRow ? "for update of k" : "")}",
            new { ticketId, readerId },
            t
        )!;

    /// <summary>Several tickets with their rows locked, in one order, so that two who lock the same never wait for each
    /// other in a ring.</summary>
    internal static async Task<IReadOnlyDictionary<TicketId, OpenTicket>> Lock(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<(TicketId Ticket, ReaderId Reader)> wanted
    ) =>
        (
            await c.QueryAsync<OpenTicket>(
                $"{OpenSql} and k.id = any(@tickets) and k.reader_id = any(@readers) order by k.id for update of k",
                new
                {
                    tickets = wanted.Select(w => w.Ticket).Distinct().ToArray(),
                    readers = wanted.Select(w => w.Reader).Distinct().ToArray(),
                },
                t
            )
        ).ToDictionary(k => k.Id);

    public async Task<IReadOnlyList<AnswerRow>> Answers(TicketId ticketId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Answers(c, null, ticketId);
    }

    internal static async Task<IReadOnlyList<AnswerRow>> Answers(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        TicketId ticketId
    ) => [.. (await Answers(c, t, [ticketId]))[ticketId]];

    internal static async Task<ILookup<TicketId, AnswerRow>> Answers(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        IEnumerable<TicketId> ticketIds
    ) =>
        (
            await c.QueryAsync<AnswerFlat>(
                """
                select id, question_id, attempt, response::text as response, correct, at, milliseconds, too_fast, mark,
                  comment, received_at, round, ticket_id
                from answer
                where ticket_id = any(@ticketIds)
                order by round, at, attempt
                limit 40000
                """,
                new { ticketIds = ticketIds.ToArray() },
                t
            )
        ).ToLookup(a => a.TicketId, a => a.Row());

    private sealed record AnswerFlat
    {
        public required AnswerId Id { get; init; }

        public required QuestionId QuestionId { get; init; }

        public required int Attempt { get; init; }

        public required string Response { get; init; }

        public required bool? Correct { get; init; }

        public required DateTimeOffset At { get; init; }

        public required int Milliseconds { get; init; }

        public required bool TooFast { get; init; }

        public required GivenMark? Mark { get; init; }

        public required string Comment { get; init; }

        public required DateTimeOffset ReceivedAt { get; init; }

        public required int Round { get; init; }

        public required TicketId TicketId { get; init; }

        public AnswerRow Row() =>
            new(
                Id,
                QuestionId,
                Attempt,
                Database.FromJson<Response>(Response),
                Correct,
                At,
                Milliseconds,
                TooFast,
                Mark,
                Comment,
                ReceivedAt,
                Round
            );
    }

    /// <summary>The last that was heard of a reader's work on a ticket; what is heard of later was not done before
    /// it.</summary>
    internal static DateTimeOffset LastContact(IReadOnlyList<AnswerRow> answers) =>
        answers.Select(a => a.At).DefaultIfEmpty(DateTimeOffset.MinValue).Max();

    /// <summary>Changes the version at its reader's wish.</summary>
    /// <returns>False where something has been answered or recorded.</returns>
    public async Task<bool> ChangeVersion(OpenTicket ticket, VersionId to, Probability forecast, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var wanted = new HadVersion(ticket.Id, to, forecast);
        if (await TicketVersions.Set(c, t, wanted, ticket.ClassId, now, ticket.VersionId, byReader: true) is null)
            return false;
        await t.CommitAsync();
        notices.Changed(ticket.ClassId);
        return true;
    }

    /// <param name="given">When the reader opened it; it may be heard of later.</param>
    public Task Open(OpenTicket ticket, DateTimeOffset given, DateTimeOffset now) =>
        Open(ticket.Id, ticket.ClassId, ticket.State, given, now);

    public async Task Open(TicketId id, ClassId classId, TicketState was, DateTimeOffset given, DateTimeOffset now)
    {
        if (TicketLife.After(was, TicketStep.Opened) is not { } next)
            return;
        await db.Run(
            """
            update ticket
            set state = @state, opened_at = coalesce(opened_at, @given), changed_at = @now, reminded_at = null
            where id = @id and state = any(@from) and (state <> @state or reminded_at is not null)
            """,
            new
            {
                id,
                state = next.ToString(),
                from = TicketStates.From(TicketStep.Opened),
                given,
                now,
            }
        );
        notices.Changed(classId);
    }

    /// <summary>Keeps how long a page was open. The spell's id is the client's: sending it again with more seconds
    /// lengthens it, never adds a second one.</summary>
    public async Task Spend(
        OpenTicket ticket,
        SpellId spellId,
        int page,
        double seconds,
        DateTimeOffset startedAt,
        LevelChart chart
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await c.ExecuteAsync(
            """
            insert into spell (id, ticket_id, page, seconds, started_at)
            values (@spellId, @Id, @page, @seconds, @startedAt)
            on conflict (id) do update
            set seconds = greatest(spell.seconds, excluded.seconds)
            where spell.ticket_id = excluded.ticket_id;
            update ticket set page = greatest(page, @page) where id = @Id and state = any(@open)
            """,
            new
            {
                spellId,
                ticket.Id,
                page,
                seconds,
                startedAt,
                open = TicketStates.Open,
            },
            t
        );
        await ReadingKeeper.Judge(c, t, ticket.Id, chart);
        await t.CommitAsync();
    }

    /// <summary>Hands a ticket in: scores it, turns first attempts into evidence, moves the reader's depth. Doing it
    /// again changes nothing.</summary>
    /// <param name="given">When the reader handed it in; it may be heard of later.</param>
    /// <returns>The ticket as it is afterwards, not done if it cannot be handed in; null if it is not this
    /// reader's.</returns>
    public async Task<OpenTicket?> HandIn(
        TicketId ticketId,
        ReaderId readerId,
        LevelChart chart,
        DateTimeOffset given,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var ticket = await Find(c, t, ticketId, readerId, lockRow: true);
        if (ticket is null)
            return null;
        var settled = await HandIn(c, t, ticket, await Answers(c, t, ticketId), chart, given, now);
        await t.CommitAsync();
        await ShowExtra(c, ticket.SchoolYearId, ticket.ReaderId, now);
        notices.Changed(ticket.ClassId);
        return settled;
    }

    /// <summary>What is extra opens at once, in a transaction of its own: it waits for none of the rows held here.</summary>
    internal static async Task ShowExtra(NpgsqlConnection c, YearId yearId, ReaderId readerId, DateTimeOffset now)
    {
        var year = await SchoolStore.Year(c, yearId);
        await using var t = await c.BeginTransactionAsync();
        await TicketShowing.For(c, t, readerId, year.Clock.DayOf(now), now);
        await t.CommitAsync();
    }

    /// <returns>The ticket as it is now; as it was where it cannot be handed in.</returns>
    private async Task<OpenTicket> HandIn(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTicket ticket,
        IReadOnlyList<AnswerRow> answers,
        LevelChart chart,
        DateTimeOffset given,
        DateTimeOffset now
    )
    {
        if (TicketLife.Done(ticket.State) || TicketLife.After(ticket.State, TicketStep.HandedIn) is not { } handedIn)
            return ticket;
        var work = await TicketWork.Of(c, t, texts, ticket, answers);
        var done = TicketLife.After(handedIn, TicketLife.AfterHandingIn(work.ToMark > 0, ticket.Results))!.Value;
        var year = await SchoolStore.Year(c, ticket.SchoolYearId);
        return (await work.Settle(c, t, year, chart, done, now, GivenTime.After(given, LastContact(answers)))).Ticket;
    }

    /// <summary>Whether a text that is read aloud, and no more, has been recorded.</summary>
    private static async Task<bool> Recorded(NpgsqlConnection c, NpgsqlTransaction t, OpenTicket ticket) =>
        ticket.Kind is TaskKind.Recording
        && await c.ExecuteScalarAsync<bool>(
            "select exists (select 1 from running_record where ticket_id = @Id)",
            new { ticket.Id },
            t
        );

    /// <summary>Closes a ticket whose last day has passed: what was answered is handed in, and what was not is not wrong;
    /// where nothing was, it is closed and has no score.</summary>
    /// <returns>False where there was nothing to close.</returns>
    public async Task<bool> Close(
        TicketId ticketId,
        ReaderId readerId,
        ClassId classId,
        LevelChart chart,
        DateOnly today,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var ticket = await Find(c, t, ticketId, readerId, lockRow: true);
        var answers = ticket is null ? [] : await Answers(c, t, ticketId);
        if (
            ticket?.State is TicketState.UnderWay
            && (answers.Any(a => a.Round == ticket.Round) || await Recorded(c, t, ticket))
        )
        {
            await c.ExecuteAsync(
                "update round set closed = true where ticket_id = @Id and number = @Round",
                new { ticket.Id, ticket.Round },
                t
            );
            await HandIn(c, t, ticket with { Closed = true }, answers, chart, now, now);
        }
        else if (
            (await TicketMover.Move(c, t, [ticketId], classId, new(TicketStep.Closed, null, now, today))).Count == 0
        )
            return false;
        await t.CommitAsync();
        notices.Changed(classId);
        return true;
    }
}
