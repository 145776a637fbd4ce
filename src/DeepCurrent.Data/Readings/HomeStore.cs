using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Readings;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Readings;

/// <summary>What a reader's home goes by.</summary>
public sealed record HomeFacts(int? Grade, Fathoms Depth, Fathoms? Then);

/// <summary>A text that shows what a depth is like.</summary>
public sealed record TextLike(string Title, Fathoms Depth);

/// <summary>What a reader's home shows beside their tickets.</summary>
public sealed class HomeStore(NpgsqlDataSource db)
{
    /// <param name="since">From which day the earlier level is taken.</param>
    public Task<HomeFacts> Facts(ReaderId readerId, DateOnly since) =>
        db.Single<HomeFacts>(
            """
            select r.grade, r.depth_mean as depth,
              (
                select d.mean
                from depth_day d
                where d.reader_id = r.id and d.day >= @since
                order by d.day
                limit 1) as "then"
            from reader r
            where r.id = @readerId
            """,
            new { readerId, since }
        );

    /// <summary>The pools that the classes a reader is in show, or the one that is set for this reader.</summary>
    public async Task<IReadOnlyList<PoolShown>> Pools(ReaderId readerId, DateOnly today) =>
        [
            .. (
                await db.All<string>(
                    $"""
                    select distinct coalesce(r.own_choice ->> 'pool', c.pool)
                    from enrolment e join class c on c.id = e.class_id join reader r on r.id = e.reader_id
                    where {OpenEnrolment} and e.reader_id = @readerId
                    limit 10
                    """,
                    new { readerId, today }
                )
            ).Select(Enum.Parse<PoolShown>),
        ];

    private const string OpenEnrolment =
        "e.from_day <= @today and (e.to_day is null or e.to_day > @today) and not c.closed";

    private static readonly string UnderstoodSql = $"""
        k.full_reading and k.state = {TicketStates.Released} and coalesce(k.score, 0) >= @understoodFrom
        """;

    /// <summary>Titles of the texts a reader has understood since a time, in their order; the newest of them.</summary>
    /// <param name="understoodFrom">Share right at the first try, 0 to 1.</param>
    public async Task<IReadOnlyList<string>> Understood(
        ReaderId readerId,
        double understoodFrom,
        DateTimeOffset since
    ) =>
        [
            .. (
                await db.All<string>(
                    $"""
                    select t.title
                    from ticket k join version v on v.id = k.version_id join text t on t.id = v.text_id
                    where k.reader_id = @readerId and {UnderstoodSql} and k.handed_in_at >= @since
                    group by t.id, t.title
                    order by min(k.handed_in_at) desc
                    limit {PoolsMost}
                    """,
                    new
                    {
                        readerId,
                        understoodFrom,
                        since,
                    }
                )
            ).Reverse(),
        ];

    private const int PoolsMost = Core.Readings.Pools.Most;

    /// <summary>How many texts the readers of a reader's classes have understood since a time, and how many readers
    /// they are.</summary>
    public Task<(int Texts, int Readers)> UnderstoodTogether(
        ReaderId readerId,
        double understoodFrom,
        DateTimeOffset since,
        DateOnly today
    ) =>
        db.Single<(int, int)>(
            $"""
            with mine as (
              select e.class_id
              from enrolment e join class c on c.id = e.class_id
              where {OpenEnrolment} and e.reader_id = @readerId)
            select
              (
                select count(distinct (k.reader_id, v.text_id))::int
                from ticket k join version v on v.id = k.version_id
                where {UnderstoodSql} and k.handed_in_at >= @since and k.class_id in (select class_id from mine)),
              (
                select count(distinct e.reader_id)::int
                from enrolment e join class c on c.id = e.class_id
                where {OpenEnrolment} and e.class_id in (select class_id from mine))
            """,
            new
            {
                readerId,
                understoodFrom,
                since,
                today,
            }
        );

    /// <summary>Of the texts a reader has handed in, the one nearest to a depth; null where there is none.</summary>
    /// <param name="not">One that is shown already.</param>
    public Task<TextLike?> Like(ReaderId readerId, Fathoms depth, string? not = null) =>
        db.First<TextLike>(
            $"""
            select t.title, v.depth
            from ticket k join version v on v.id = k.version_id join text t on t.id = v.text_id
            where k.reader_id = @readerId and k.state in ({TicketStates.Done}) and t.title is distinct from @not
            order by abs(v.depth - @depth), t.title
            limit 1
            """,
            new
            {
                readerId,
                depth,
                not,
            }
        );
}
