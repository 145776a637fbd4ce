using DeepCurrent.Core.Depth;
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
