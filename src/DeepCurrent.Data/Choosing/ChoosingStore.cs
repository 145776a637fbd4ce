using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Library;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Choosing;

/// <summary>A class whose readers may choose, and its rules.</summary>
public sealed record ChoosingClass(ClassId ClassId, ChoiceRules Rules);

/// <summary>What a reader has had, likes, and has open of their own choosing.</summary>
/// <param name="Depth">The reader's, fm.</param>
/// <param name="Interests">Finished readings by topic; those the reader chose count twice.</param>
public sealed record ReadingPast(
    Fathoms Depth,
    IReadOnlySet<TextId> Had,
    IReadOnlyDictionary<string, int> Interests,
    int OpenChosen
);

/// <summary>A ticket for a chosen text.</summary>
public sealed record ChosenTicket(
    TicketId Id,
    ReaderId ReaderId,
    ClassId ClassId,
    TextId TextId,
    VersionId VersionId,
    Probability Forecast,
    DateTimeOffset At
);

/// <summary>What readers may choose for themselves, and have chosen.</summary>
public sealed class ChoosingStore(NpgsqlDataSource db, Notices notices)
{
    /// <summary>At each question of a text of one's own choosing.</summary>
    private const int Tries = 2;

    public async Task<ChoiceRules> Rules(ClassId classId)
    {
        return Database.FromJson<ChoiceRules>(
            await db.Value<string>("select choosing::text from class where id = @classId", new { classId }) ?? "{}"
        );
    }

    public async Task Put(ClassId classId, ChoiceRules rules)
    {
        await db.Run(
            "update class set choosing = @rules::jsonb where id = @classId",
            new { classId, rules = Database.ToJson(rules) }
        );
    }

    /// <summary>The classes a reader is in on a day and may choose in, with the rules for this reader.</summary>
    public async Task<IReadOnlyList<ChoosingClass>> Classes(ReaderId readerId, DateOnly today)
    {
        var all = await db.All<(ClassId Id, string Choosing, string Own)>(
            """
            select c.id, c.choosing::text, r.own_choice::text
            from enrolment e join class c on c.id = e.class_id join reader r on r.id = e.reader_id
            where e.reader_id = @readerId
              and e.from_day <= @today
              and (e.to_day is null or e.to_day >= @today)
              and not c.closed
            order by c.name, c.id
            limit 20
            """,
            new { readerId, today }
        );
        return
        [
            .. all.Select(x => new ChoosingClass(x.Id, RulesOf(x.Choosing).For(Database.FromJson<OwnChoice>(x.Own))))
                .Where(x => x.Rules.Open),
        ];
    }

    private static ChoiceRules RulesOf(string json) => Database.FromJson<ChoiceRules>(json);

    /// <summary>What one reader may choose otherwise than their class.</summary>
    public async Task<OwnChoice> Own(ReaderId readerId) =>
        Database.FromJson<OwnChoice>(
            await db.Value<string>("select own_choice::text from reader where id = @readerId", new { readerId }) ?? "{}"
        );

    public Task PutOwn(ReaderId readerId, OwnChoice own) =>
        db.Run(
            "update reader set own_choice = @own::jsonb where id = @readerId",
            new { readerId, own = Database.ToJson(own) }
        );

    public async Task<ReadingPast> Past(ReaderId readerId)
    {
        await using var c = await db.OpenConnectionAsync();
        var all = (
            await c.QueryAsync<(TextId TextId, string Topic, bool Chosen, bool Done)>(
                $"""
                select y.text_id, t.topic, a.chosen, k.handed_in_at is not null
                from ticket k
                  join assignment a on a.id = k.assignment_id
                  join task y on y.id = k.task_id
                  join text t on t.id = y.text_id
                where k.reader_id = @readerId and k.state <> {TicketStates.TakenBack}
                limit 5000
                """,
                new { readerId }
            )
        ).ToList();
        return new(
            await c.QuerySingleAsync<Fathoms>("select depth_mean from reader where id = @readerId", new { readerId }),
            all.Select(x => x.TextId).ToHashSet(),
            all.Where(x => x.Done).GroupBy(x => x.Topic).ToDictionary(g => g.Key, g => g.Sum(x => x.Chosen ? 2 : 1)),
            all.Count(x => x.Chosen && !x.Done)
        );
    }

    /// <summary>The open ticket of a text that a reader chose; null if there is none.</summary>
    public async Task<TicketId?> Chosen(ReaderId readerId, TextId textId)
    {
        return await db.Value<TicketId?>(
            $"""
            select k.id
            from ticket k join assignment a on a.id = k.assignment_id
            where k.reader_id = @readerId and a.chosen_text = @textId and k.state <> {TicketStates.TakenBack}
            """,
            new { readerId, textId }
        );
    }

    private const string OpenChoicesSql = $"""
        select count(*)::int
        from ticket k join assignment a on a.id = k.assignment_id
        where k.reader_id = @ReaderId
          and a.chosen
          and k.handed_in_at is null
          and k.state <> {TicketStates.TakenBack}
          and a.chosen_text <> @TextId
        """;

    private const string ChosenSql = """
        insert into assignment (id, class_id, assigned_at, visible_from, chosen, chosen_text, act)
        values (@id, @ClassId, @At, @day, true, @TextId, @id)
        on conflict (class_id, chosen_text)
        where chosen do update
        set assigned_at = greatest(assignment.assigned_at, excluded.assigned_at)
        returning id
        """;

    /// <summary>Gives a reader the text they chose. A text that was put back may be taken again.</summary>
    /// <param name="most">How many chosen texts the reader may have open, this one among them.</param>
    /// <returns>The ticket's id; null if the reader has as many open as they may.</returns>
    public async Task<TicketId?> Choose(ChosenTicket k, int most)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        // One choice of a reader at a time, or two taps would pass the limit together.
        await c.ExecuteAsync("select 1 from reader where id = @ReaderId for update", k, t);
        if (await c.ExecuteScalarAsync<int>(OpenChoicesSql, k, t) >= most)
            return null;
        var assignment = await c.ExecuteScalarAsync<AssignmentId>(
            ChosenSql,
            new
            {
                id = AssignmentId.New(),
                k.ClassId,
                k.TextId,
                k.At,
                day = DateOnly.FromDateTime(k.At.UtcDateTime),
            },
            t
        );
        await c.ExecuteAsync(
            """
            insert into task (id, assignment_id, position, text_id, attempts, on_the_way, aloud)
            values (@id, @assignment, 0, @TextId, @tries, true, false)
            on conflict (assignment_id, position) do nothing
            """,
            new
            {
                id = TaskId.New(),
                assignment,
                k.TextId,
                tries = Tries,
            },
            t
        );
        var ticket = await Give(c, t, k, assignment);
        await t.CommitAsync();
        notices.Changed(k.ClassId);
        return ticket;
    }

    private static async Task<TicketId> Give(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChosenTicket k,
        AssignmentId assignment
    )
    {
        var ticket = await c.ExecuteScalarAsync<TicketId>(
            """
            insert into ticket (
              id, assignment_id, task_id, class_id, reader_id, version_id, state, forecast, changed_at)
            select @Id, y.assignment_id, y.id, @ClassId, @ReaderId, @VersionId, @waiting, @Forecast, @At
            from task y
            where y.assignment_id = @assignment
            on conflict (task_id, reader_id) do update
            set state = case when ticket.state = any(@from) then excluded.state else ticket.state end,
              changed_at = excluded.changed_at
            returning id
            """,
            new
            {
                k.Id,
                assignment,
                k.ClassId,
                k.ReaderId,
                k.VersionId,
                k.Forecast,
                k.At,
                waiting = nameof(TicketState.Waiting),
                from = TicketStates.From(TicketStep.Restored),
            },
            t
        );
        await TicketRounds.First(c, t, [ticket], null, k.At);
        return ticket;
    }

    /// <summary>Puts a chosen text back. What was done on it is kept.</summary>
    /// <returns>False if it is none that the reader chose, or is handed in.</returns>
    public async Task<bool> PutBack(TicketId ticketId, ReaderId readerId, DateTimeOffset at)
    {
        var back = await db.One<ClassId?>(
            """
            update ticket k
            set state = @takenBack, changed_at = @at
            from assignment a
            where a.id = k.assignment_id
              and a.chosen
              and k.id = @ticketId
              and k.reader_id = @readerId
              and k.state = any(@from)
            returning k.class_id
            """,
            new
            {
                ticketId,
                readerId,
                at,
                takenBack = nameof(TicketState.TakenBack),
                from = TicketStates.From(TicketStep.TakenBack),
            }
        );
        if (back is { } classId)
            notices.Changed(classId);
        return back is not null;
    }

    /// <summary>Depths and past of a class's readers, to say what the rules come to.</summary>
    public async Task<IReadOnlyList<(ReaderId ReaderId, Fathoms Depth)>> Depths(ClassId classId)
    {
        return await db.All<(ReaderId, Fathoms)>(
            """
            select r.id, r.depth_mean
            from enrolment e join reader r on r.id = e.reader_id
            where e.class_id = @classId and e.to_day is null
            limit 500
            """,
            new { classId }
        );
    }
}
