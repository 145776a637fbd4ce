using Dapper;
using DeepCurrent.Core.Roster;
using Npgsql;

namespace DeepCurrent.Data.Storage;

/// <summary>Forgets what is kept only for a while: files of rosters, steps that can no longer be undone, passes and
/// failed sign-ins that are past, papers of drafts that are gone for good, what the voice said: what is still read is said anew.</summary>
public sealed class TidyStore(NpgsqlDataSource db)
{
    /// <summary>A file that a worker has is not taken away from it.</summary>
    private static readonly string Busy = Members.Where<ImportState>(ImportStates.Busy);

    /// <param name="kept">What is older goes.</param>
    /// <returns>Rows that went.</returns>
    public async Task<int> Forget(DateTimeOffset kept)
    {
        return await db.Run(
            $"""
            delete from import where made_at < @kept and state not in ({Busy});
            delete from change_part p using change h where h.id = p.change_id and h.at < @kept;
            delete from list_draft where saved_at < @kept;
            delete from joining where decided_at < @kept;
            delete from pass where expires_at < @kept;
            delete from sign_in_try where at < @kept;
            delete from session where seen_at < @kept;
            delete from sign_in_event where at < @kept;
            delete from spoken where made_at < @kept;
            delete from paper p
            where p.added_at < @kept
              and not exists (select 1 from assignment a where a.id = p.assignment_id)
              and not exists (select 1 from plan n where n.id = p.plan_id)
              and not exists (
                select 1
                from change h
                where h.school_id = p.school_id and h.at >= @kept and h.detail::text like '%' || p.assignment_id || '%')
            """,
            new { kept }
        );
    }
}
