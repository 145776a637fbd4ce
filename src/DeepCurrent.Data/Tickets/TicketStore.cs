using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Readings;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

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
