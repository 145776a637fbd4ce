using Dapper;
using DeepCurrent.Core.Depth;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>The version a reader has, with its forecast.</summary>
public sealed record HadVersion(TicketId Id, VersionId VersionId, Probability Forecast);

/// <summary>Gives a reader another version of a text that is out. Each stands in the transaction that lists it.</summary>
public static class TicketVersions
{
    private const string HadSql = """
        select k.id, k.version_id, k.forecast
        from ticket k
        where k.id = @Id
          and k.class_id = @classId
          and k.version_id <> @VersionId
          and (@was::uuid is null or k.version_id = @was)
          and k.state = any(@waits)
          and not exists (select 1 from answer w where w.ticket_id = k.id and w.round = k.round)
          and not exists (select 1 from running_record r where r.ticket_id = k.id)
        for update
        """;

    /// <summary>Changes the version where nothing has been answered or recorded on the one there is; its reader begins
    /// at the first page.</summary>
    /// <param name="was">The version it has to have still; null for any other.</param>
    /// <param name="byReader">Its reader changed it; what was given stays known.</param>
    /// <returns>What the reader had; null where it cannot be changed.</returns>
    public static async Task<HadVersion?> Set(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        HadVersion to,
        ClassId classId,
        DateTimeOffset at,
        VersionId? was = null,
        bool byReader = false
    )
    {
        var had = await c.QuerySingleOrDefaultAsync<HadVersion>(
            HadSql,
            new
            {
                to.Id,
                to.VersionId,
                classId,
                was,
                waits = TicketStates.Waits,
            },
            t
        );
        if (had is null)
            return null;
        await c.ExecuteAsync(
            """
            update ticket
            set version_id = @VersionId,
              given_version_id = case when @byReader then nullif(coalesce(given_version_id, version_id), @VersionId) end,
              forecast = @forecast, page = 0, changed_at = @at
            where id = @Id
            """,
            new
            {
                to.Id,
                to.VersionId,
                forecast = to.Forecast.Value,
                byReader,
                at,
            },
            t
        );
        return had;
    }
}
