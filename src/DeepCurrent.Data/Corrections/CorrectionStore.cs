using Dapper;
using DeepCurrent.Core;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Corrections;

/// <summary>A correction that stands in a class.</summary>
/// <param name="ChangeId">What is undone to take it back.</param>
/// <param name="By">Who made it; empty where they have gone.</param>
public sealed record StandingCorrection(
    CorrectionId Id,
    ChangeId ChangeId,
    QuestionCorrection Correction,
    string By,
    DateTimeOffset At
);

/// <summary>A class whose readers answered the same question.</summary>
/// <param name="Readers">Who answered it.</param>
public sealed record AnsweredIn(ClassId ClassId, string Name, int Readers);

/// <summary>One reader's score and level, before a correction and after it.</summary>
/// <param name="Score">Share right at once, 0 to 1; null while something waits, or nothing was answered.</param>
public sealed record Rescored(
    ReaderId ReaderId,
    TicketId TicketId,
    Probability? ScoreBefore,
    Probability? Score,
    Fathoms DepthBefore,
    Fathoms Depth
)
{
    public bool Changed => ScoreBefore != Score || Math.Abs(Depth - DepthBefore) >= 0.05;
}

/// <summary>What is done about faulty questions in a class, and what follows from it for those who answered.</summary>
public sealed class CorrectionStore(NpgsqlDataSource db, TextStore texts)
{
    /// <summary>True of a question q that the class of ticket k does not ask any more; stands within exists.</summary>
    internal const string TakenOut = """
        select 1
        from question_correction x
        where x.class_id = k.class_id and x.question_id = q.id and x.rights is null and x.undone_at is null
        """;

    /// <summary>The class and the question of every one that is not asked any more: for queries that go through many
    /// answers, and would look each of them up.</summary>
    internal const string AllTakenOut =
        "select x.class_id, x.question_id from question_correction x where x.rights is null and x.undone_at is null";

    /// <summary>What stands for a class about a text's questions, as one value.</summary>
    internal static string Kept(string classId, string textId) =>
        $"""
            (
              select coalesce(
                  jsonb_agg(jsonb_build_object('questionId', x.question_id, 'right', x.rights, 'proofs', x.proofs)), '[]')
              from question_correction x join question xq on xq.id = x.question_id
              where x.class_id = {classId} and xq.text_id = {textId} and x.undone_at is null)::text
            """;

    /// <summary>Questions as they are scored with what is kept.</summary>
    internal static IReadOnlyList<Question> Apply(IEnumerable<Question> quiz, string kept) =>
        QuestionCorrection.Apply(quiz, kept is "[]" ? [] : Database.FromJson<QuestionCorrection[]>(kept));

    /// <summary>What stands in a class about the questions of a text.</summary>
    public async Task<IReadOnlyList<StandingCorrection>> Of(ClassId classId, TextId textId)
    {
        var rows = await db.All<Standing>(
            """
            select x.id, h.id as change_id, x.question_id, x.rights::text as rights,
              x.proofs::text as proofs, coalesce(a.name, '') as "by",
              x.made_at as at
            from question_correction x
              join question q on q.id = x.question_id
              join change h on h.class_id = x.class_id and h.kind = @kind and h.detail @> jsonb_build_object('id', x.id)
              left join adult a on a.id = x.made_by
            where x.class_id = @classId and q.text_id = @textId and x.undone_at is null
            order by q.position
            limit 100
            """,
            new
            {
                classId,
                textId,
                kind = ChangeKind.QuestionCorrected.ToString(),
            }
        );
        return [.. rows.Select(r => r.Row())];
    }

    private sealed record Standing(
        CorrectionId Id,
        ChangeId ChangeId,
        QuestionId QuestionId,
        string? Rights,
        string? Proofs,
        string By,
        DateTimeOffset At
    )
    {
        public StandingCorrection Row() =>
            new(
                Id,
                ChangeId,
                new(
                    QuestionId,
                    Rights is null ? null : Database.FromJson<int[]>(Rights),
                    Proofs is null ? null : Database.FromJson<Dictionary<string, string>>(Proofs)
                ),
                By,
                At
            );
    }

    /// <summary>Other classes of a school and of this one's year whose readers answered a question that stands there as
    /// it was written, most answers first.</summary>
    public Task<IReadOnlyList<AnsweredIn>> Elsewhere(ClassId classId, QuestionId questionId) =>
        db.All<AnsweredIn>(
            """
            select c.id as class_id, c.name, count(distinct k.reader_id)::int as readers
            from class o
              join class c on c.school_id = o.school_id and c.school_year_id = o.school_year_id and c.id <> o.id
              join ticket k on k.class_id = c.id
              join answer w on w.ticket_id = k.id and w.question_id = @questionId
            where o.id = @classId
              and not exists (
                select 1
                from question_correction x
                where x.class_id = c.id and x.question_id = @questionId and x.undone_at is null)
            group by c.id, c.name
            order by readers desc, c.name
            limit 40
            """,
            new { classId, questionId }
        );

    /// <summary>What a correction would change, found by making it and taking it back in one transaction.</summary>
    /// <returns>Null where another stands.</returns>
    public async Task<IReadOnlyList<Rescored>?> Preview(
        ClassId classId,
        TextId textId,
        QuestionCorrection correction,
        (YearCalendar Year, LevelChart Chart, DateTimeOffset Now) at
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        return await Make(c, t, CorrectionId.New(), classId, textId, correction, null, at);
    }

    /// <summary>Makes a correction, and scores again whoever has the text in the class.</summary>
    /// <returns>Everybody who was scored again; null where another stands.</returns>
    public async Task<IReadOnlyList<Rescored>?> Make(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        CorrectionId id,
        ClassId classId,
        TextId textId,
        QuestionCorrection correction,
        AdultId? by,
        (YearCalendar Year, LevelChart Chart, DateTimeOffset Now) at
    )
    {
        var made = await c.ExecuteAsync(
            """
            insert into question_correction (id, class_id, question_id, rights, proofs, made_by, made_at)
            values (@id, @classId, @QuestionId, @rights::jsonb, @proofs::jsonb, @by, @Now)
            on conflict do nothing
            """,
            new
            {
                id,
                classId,
                correction.QuestionId,
                rights = correction.Right is null ? null : Database.ToJson(correction.Right),
                proofs = correction.Proofs is null ? null : Database.ToJson(correction.Proofs),
                by,
                at.Now,
            },
            t
        );
        return made == 0 ? null : await ScoreAgain(c, t, classId, textId, correction.QuestionId, at);
    }

    /// <summary>Takes a correction back and scores again.</summary>
    /// <returns>False where it does not stand any more.</returns>
    public async Task<bool> TakeBack(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        CorrectionId id,
        (YearCalendar Year, LevelChart Chart, DateTimeOffset Now) at
    )
    {
        var was = (
            await c.QueryAsync<(ClassId Class, QuestionId Question, TextId Text)>(
                """
                update question_correction x
                set undone_at = @Now
                from question q
                where x.id = @id and q.id = x.question_id and x.undone_at is null
                returning x.class_id, x.question_id, q.text_id
                """,
                new { id, at.Now },
                t
            )
        ).ToList();
        if (was.Count == 0)
            return false;
        await ScoreAgain(c, t, was[0].Class, was[0].Text, was[0].Question, at);
        return true;
    }

    private async Task<IReadOnlyList<Rescored>> ScoreAgain(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ClassId classId,
        TextId textId,
        QuestionId questionId,
        (YearCalendar Year, LevelChart Chart, DateTimeOffset Now) at
    )
    {
        var wanted = await c.QueryAsync<(TicketId, ReaderId)>(
            """
            select k.id, k.reader_id
            from ticket k join task y on y.id = k.task_id
            where k.class_id = @classId
              and y.text_id = @textId
              and exists (select 1 from answer w where w.ticket_id = k.id)
            limit 5000
            """,
            new { classId, textId },
            t
        );
        var tickets = await TicketStore.Lock(c, t, [.. wanted]);
        var all = await TicketStore.Answers(c, t, tickets.Keys);
        var changed = new List<Rescored>();
        foreach (var ticket in tickets.Values.OrderBy(k => k.Id.Value))
        {
            var answers = await Rekeyed(c, t, ticket, [.. all[ticket.Id]], questionId);
            if (TicketLife.Done(ticket.State))
                changed.Add(await Settled(c, t, ticket, answers, at));
        }
        await c.Tell(t, "ticket", classId);
        return changed;
    }

    /// <summary>Scores a ticket's answers to a question by its key of now.</summary>
    private async Task<IReadOnlyList<AnswerRow>> Rekeyed(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTicket ticket,
        IReadOnlyList<AnswerRow> answers,
        QuestionId questionId
    )
    {
        var quiz = await texts.Questions(c, t, ticket.TextId);
        // One that is taken out keeps how it was answered.
        if (ticket.Asked(quiz).FirstOrDefault(q => q.Id == questionId) is not { Written: false } question)
            return answers;
        var sentences = question.Rules.PicksSentences ? await TextStore.Sentences(c, t, ticket.VersionId) : [];
        var now = answers
            .Where(a => a.QuestionId == questionId && Scoring.Answers(question, a.Response, sentences))
            .ToDictionary(a => a.Id, a => Scoring.Score(question, a.Response, sentences, ticket.VersionLabel).Right);
        var other = answers.Where(a => now.TryGetValue(a.Id, out var right) && right != a.Correct).ToList();
        await c.ExecuteAsync(
            """
            update answer w set correct = x.correct from unnest(@ids, @rights) x (id, correct) where w.id = x.id
            """,
            new { ids = other.Select(a => a.Id).ToArray(), rights = other.Select(a => now[a.Id]).ToArray() },
            t
        );
        return [.. answers.Select(a => now.TryGetValue(a.Id, out var right) ? a with { Correct = right } : a)];
    }

    private async Task<Rescored> Settled(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTicket ticket,
        IReadOnlyList<AnswerRow> answers,
        (YearCalendar Year, LevelChart Chart, DateTimeOffset Now) at
    )
    {
        var work = await TicketWork.Of(c, t, texts, ticket, answers);
        var step = work.ToMark == 0 ? TicketStep.Marked : TicketStep.Unmarked;
        var state = TicketLife.After(ticket.State, step) ?? ticket.State;
        var settled = await work.Settle(c, t, at.Year, at.Chart, state, at.Now);
        return new(
            ticket.ReaderId,
            ticket.Id,
            ticket.Score,
            settled.Ticket.Score,
            settled.Before.Mean,
            settled.After.Mean
        );
    }
}
