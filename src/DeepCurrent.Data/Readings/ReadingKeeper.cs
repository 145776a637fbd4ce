using System.Text.Json;
using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Texts;
using Npgsql;

namespace DeepCurrent.Data.Readings;

/// <summary>Keeps with each ticket whether its text was read or only opened. Whatever changes what is known of it asks
/// again, within its own transaction.</summary>
internal static class ReadingKeeper
{
    private sealed record Opened(string Pages, Fathoms Depth);

    private sealed record Tried(int Answered, int RightOnes, int TooFast, DateTimeOffset? Last);

    private const string OpenedSql = """
        select v.pages::text as pages, coalesce(k.before_mean, r.depth_mean) as depth
        from ticket k join version v on v.id = k.version_id join reader r on r.id = k.reader_id
        where k.id = @id
        """;

    private const string TriedSql = """
        select count(*) filter (where n.attempt = 1 and n.correct is not null)::int as answered,
          count(*) filter (where n.attempt = 1 and n.correct)::int as right_ones,
          count(*) filter (where n.attempt = 1 and n.correct is not null and n.too_fast)::int as too_fast,
          greatest(max(n.at), (select handed_in_at from ticket where id = @id)) as last
        from answer n
        where n.ticket_id = @id and n.round = 1
        """;

    public static async Task Judge(NpgsqlConnection c, NpgsqlTransaction t, TicketId id, LevelChart chart)
    {
        var opened = await c.QuerySingleOrDefaultAsync<Opened>(OpenedSql, new { id }, t);
        if (opened is null)
            return;
        var spells = (
            await c.QueryAsync<PageSpell>(
                "select page, seconds, started_at from spell where ticket_id = @id limit 5000",
                new { id },
                t
            )
        ).AsList();
        var tried = await c.QuerySingleAsync<Tried>(TriedSql, new { id }, t);
        var judged = FullReading.Judge(
            WordsOf(opened.Pages),
            spells,
            GoalRules.SilentRate(opened.Depth, chart),
            new(tried.Answered, tried.RightOnes, tried.TooFast, tried.Last)
        );
        await c.ExecuteAsync(
            "update ticket set active_seconds = @ActiveSeconds, full_reading = @Full where id = @id",
            new
            {
                id,
                judged.ActiveSeconds,
                judged.Full,
            },
            t
        );
    }

    private static List<int> WordsOf(string pages) =>
        [
            .. JsonSerializer
                .Deserialize<List<List<string>>>(pages)!
                .Select(page =>
                    page.Where(p => !Paragraphs.IsPicture(p))
                        .Sum(p => p.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Length)
                ),
        ];
}
