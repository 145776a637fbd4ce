using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <param name="Right">Share right at the first try; null while nobody has answered.</param>
/// <param name="Wrong">The wrong choice that was taken most at the first try, with how many took it.</param>
/// <param name="Harder">Fathoms by which answers of all schools show it to be harder than was thought; null while there
/// are too few.</param>
/// <param name="HarderFrom">How many answers that rests on.</param>
public sealed record QuestionUse(
    QuestionId QuestionId,
    int Answered,
    Probability? Right,
    string? Wrong,
    int WrongTimes,
    double? Harder,
    int HarderFrom
);

/// <param name="Given">Tickets given, taken back ones left out.</param>
/// <param name="Forecast">Mean forecast of those who handed in, 0 to 1.</param>
/// <param name="Score">Mean score of those who handed in, 0 to 1.</param>
/// <param name="Minutes">Median time open of those who handed in.</param>
public sealed record TextUse(
    int Given,
    int HandedIn,
    int Readers,
    Probability? Forecast,
    Probability? Score,
    double? Minutes,
    DateTimeOffset? Last,
    IReadOnlyList<QuestionUse> Questions
);

/// <summary>How a text was used and how readers did on it.</summary>
public sealed class UseStore(NpgsqlDataSource db)
{
    /// <summary>Below this many readers nothing is said of a school, so that nobody can be made out.</summary>
    public const int FewestReaders = 5;

    private static readonly string UseSql = $"""
        select count(*)::int as given, count(k.handed_in_at)::int as handed_in,
          count(distinct k.reader_id) filter (where k.handed_in_at is not null)::int as readers,
               avg(k.forecast) filter (where k.score is not null) as forecast, avg(k.score) as score,
               percentile_cont(0.5) within group (
                 order by k.active_seconds
               ) filter (where k.full_reading) / 60 as minutes,
               max(k.handed_in_at) as last
        from task y join ticket k on k.task_id = y.id join class c on c.id = k.class_id
        where y.text_id = @textId
          and c.school_id = @schoolId
          and (@classId::uuid is null or c.id = @classId)
          and k.state <> {TicketStates.TakenBack};
        with first as (
          select w.question_id, w.correct, q.kind, q.choices, w.response
          from task y
            join ticket k on k.task_id = y.id
            join class c on c.id = k.class_id
            join answer w on w.ticket_id = k.id
            join question q on q.id = w.question_id
          where y.text_id = @textId
            and c.school_id = @schoolId
            and (@classId::uuid is null or c.id = @classId)
            and k.handed_in_at is not null
            and w.round = 1
            and w.attempt = 1
            and w.correct is not null
            and not w.too_fast
            and not q.retired
            and not exists ({CorrectionStore.TakenOut})
        ), wrong as (
          select question_id, choices -> ((response -> 'picks' ->> 0)::int) ->> 'text' as text,
            count(*)::int as times,
                 row_number() over (
                   partition by question_id
                   order by count(*) desc, min(choices -> ((response -> 'picks' ->> 0)::int) ->> 'text')) as place
          from first where not correct and kind = '{nameof(QuestionKind.Single)}' group by question_id, 2
        )
        select f.question_id, count(*)::int as answered, avg(f.correct::int) as right, max(w.text) as wrong,
          coalesce(max(w.times), 0)::int as wrong_times, max(q.shown_harder) as harder,
          max(q.shown_answers) as harder_from
        from first f
          join question q on q.id = f.question_id
          left join wrong w on w.question_id = f.question_id and w.place = 1
        group by f.question_id
        limit 200
        """;

    /// <param name="classId">Null for the whole school.</param>
    public async Task<TextUse> Of(TextId textId, SchoolId schoolId, ClassId? classId)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync(
            UseSql,
            new
            {
                textId,
                schoolId,
                classId,
            }
        );
        var use = await all.ReadSingleAsync<Flat>();
        return new(
            use.Given,
            use.HandedIn,
            use.Readers,
            use.Forecast,
            use.Score,
            use.Minutes,
            use.Last,
            [
                .. (await all.ReadAsync<QuestionFlat>()).Select(q => new QuestionUse(
                    q.QuestionId,
                    q.Answered,
                    q.Right,
                    q.Wrong,
                    q.WrongTimes,
                    q.Harder,
                    q.HarderFrom
                )),
            ]
        );
    }

    private sealed record Flat(
        int Given,
        int HandedIn,
        int Readers,
        Probability? Forecast,
        Probability? Score,
        double? Minutes,
        DateTimeOffset? Last
    );

    private sealed record QuestionFlat(
        QuestionId QuestionId,
        int Answered,
        Probability? Right,
        string? Wrong,
        int WrongTimes,
        double? Harder,
        int HarderFrom
    );
}
