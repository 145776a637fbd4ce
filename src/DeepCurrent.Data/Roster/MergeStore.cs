using Dapper;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>What a merge moved, so that it can be taken back.</summary>
/// <param name="Kept">The reader who stays.</param>
/// <param name="Other">The one whose history went along.</param>
public sealed record Merged(Guid Kept, Guid Other, IReadOnlyList<Guid> Tickets, IReadOnlyList<Guid> Evidence, IReadOnlyList<Guid> Enrolments, IReadOnlyList<Guid> EndedEnrolments, IReadOnlyList<Guid> Goals, IReadOnlyList<Guid> Groups, IReadOnlyList<Guid> Guardians, bool OtherHadLeft, IReadOnlyList<Guid>? Records = null, IReadOnlyList<Guid>? Sittings = null);

/// <summary>Makes one reader of two who are the same child, and two again.</summary>
public sealed class MergeStore(NpgsqlDataSource db)
{
    /// <summary>Moves everything of <paramref name="other"/> to <paramref name="kept"/>. A ticket for something both were given stays where it is.</summary>
    public async Task<Guid> Merge(Guid kept, Guid other, RosterChange change, Yardstick yardstick)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        async Task<List<Guid>> Ids(string sql) => (await c.QueryAsync<Guid>(sql, new { kept, other }, t)).ToList();
        var had = await c.ExecuteScalarAsync<bool>("select left_school from reader where id = @other for no key update", new { other }, t);
        var tickets = await Ids("update ticket k set reader_id = @kept where k.reader_id = @other and not exists (select 1 from ticket m where m.assignment_id = k.assignment_id and m.reader_id = @kept) returning id");
        var evidence = await Ids("update evidence e set reader_id = @kept where e.reader_id = @other and (e.ticket_id is null or exists (select 1 from ticket k where k.id = e.ticket_id and k.reader_id = @kept)) returning id");
        var records = await Ids("update running_record set reader_id = @kept where reader_id = @other returning id");
        var sittings = await Ids("update sitting s set reader_id = @kept where s.reader_id = @other and not exists (select 1 from sitting m where m.check_id = s.check_id and m.reader_id = @kept) returning id");
        var ended = await Ids("update enrolment e set to_day = current_date where e.reader_id = @other and e.to_day is null and exists (select 1 from enrolment m where m.class_id = e.class_id and m.reader_id = @kept and m.to_day is null) returning id");
        var enrolments = await Ids("update enrolment set reader_id = @kept where reader_id = @other returning id");
        var goals = await Ids("update goal g set reader_id = @kept where g.reader_id = @other and not exists (select 1 from goal m where m.reader_id = @kept and m.term_id = g.term_id and m.kind = g.kind and m.replaced_at is null) returning id");
        var groups = await Ids("update group_member m set reader_id = @kept where m.reader_id = @other and not exists (select 1 from group_member x where x.group_id = m.group_id and x.reader_id = @kept) returning group_id");
        var guardians = await Ids("update guardianship g set reader_id = @kept where g.reader_id = @other and not exists (select 1 from guardianship x where x.adult_id = g.adult_id and x.reader_id = @kept) returning adult_id");
        await c.ExecuteAsync("update reader set left_school = true, merged_into = @kept where id = @other", new { kept, other }, t);
        await SessionStore.EndAll(c, t, [other], change.At);
        await DepthKeeper.Recompute(c, t, kept, yardstick.Year, yardstick.Chart, change.At);
        var id = Guid.CreateVersion7();
        var merged = new Merged(kept, other, tickets, evidence, enrolments, ended, goals, groups, guardians, had, records, sittings);
        await c.ExecuteAsync("""
            insert into change (id, school_id, class_id, adult_id, at, kind, summary, detail) values (@id, @SchoolId, @ClassId, @AdultId, @At, 'merged', @Summary, @detail::jsonb);
            insert into change_reader (change_id, reader_id) values (@id, @kept), (@id, @other)
            """, new { id, change.SchoolId, change.ClassId, change.AdultId, change.At, change.Summary, detail = Database.ToJson(merged), kept, other }, t);
        await t.CommitAsync();
        return id;
    }

    /// <summary>Makes two readers of them again; what was done since stays with the one who was kept. False if it has been taken back or merged further.</summary>
    public async Task<bool> Undo(Merged m, Yardstick yardstick, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (await c.ExecuteAsync("update reader set left_school = @OtherHadLeft, merged_into = null where id = @Other and merged_into = @Kept", m, t) == 0) return false;
        await c.ExecuteAsync("""
            update ticket set reader_id = @other where id = any(@tickets) and reader_id = @kept;
            update evidence set reader_id = @other where id = any(@evidence) and reader_id = @kept;
            update running_record set reader_id = @other where id = any(@records) and reader_id = @kept;
            update sitting set reader_id = @other where id = any(@sittings) and reader_id = @kept;
            update enrolment set reader_id = @other where id = any(@enrolments) and reader_id = @kept;
            update enrolment set to_day = null where id = any(@ended) and reader_id = @other;
            update goal set reader_id = @other where id = any(@goals) and reader_id = @kept;
            update group_member set reader_id = @other where group_id = any(@groups) and reader_id = @kept;
            update guardianship set reader_id = @other where adult_id = any(@guardians) and reader_id = @kept
            """, new
        {
            other = m.Other, kept = m.Kept, tickets = m.Tickets.ToArray(), evidence = m.Evidence.ToArray(), enrolments = m.Enrolments.ToArray(), ended = m.EndedEnrolments.ToArray(), goals = m.Goals.ToArray(),
            groups = m.Groups.ToArray(), guardians = m.Guardians.ToArray(), records = (m.Records ?? []).ToArray(), sittings = (m.Sittings ?? []).ToArray(),
        }, t);
        foreach (var reader in new[] { m.Kept, m.Other }) await DepthKeeper.Recompute(c, t, reader, yardstick.Year, yardstick.Chart, now);
        await t.CommitAsync();
        return true;
    }
}
