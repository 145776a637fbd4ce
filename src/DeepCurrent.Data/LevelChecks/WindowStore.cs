using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>One reader in one benchmark window.</summary>
/// <param name="Left">Something is still to be done.</param>
/// <param name="Again">A part was too fast or thin.</param>
/// <param name="Depth">The level after the last part that was finished, fm; null before there is one.</param>
public sealed record WindowReader(
    YearId YearId,
    Season Season,
    int Grade,
    ReaderId ReaderId,
    bool Begun,
    bool Left,
    bool Again,
    Fathoms? Depth
);

/// <param name="Year">The school year's name.</param>
public sealed record WindowYear(YearId Id, string Year, DateOnly FirstDay);

/// <summary>Benchmark windows of a whole school.</summary>
public sealed class WindowStore(NpgsqlDataSource db)
{
    /// <summary>Every reader of every window, and the years they belong to.</summary>
    public async Task<(IReadOnlyList<WindowYear> Years, IReadOnlyList<WindowReader> Readers)> Of(SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync(
            $"""
            select id, name as year, first_day
            from school_year
            where school_id = @schoolId
            order by first_day desc
            limit 20;
            select k.school_year_id as year_id, k.season, s.grade, s.reader_id,
              bool_or(p.started_at is not null) as begun,
              bool_or(p.state in ({PartStates.Left}) and k.closed_at is null) as left,
              bool_or(
                p.state = '{nameof(PartState.Done)}'
                  and p.flag in ({PartStates.Doubtful})
                  and not exists (
                    select 1 from sitting_part n where n.sitting_id = s.id and n.part = p.part and n.round > p.round)
              ) as again,
              (array_agg(s.after_mean order by s.changed_at desc))[1] as depth
            from level_check k join sitting s on s.check_id = k.id join sitting_part p on p.sitting_id = s.id
            where k.school_id = @schoolId
              and k.season is not null
              and not k.draft
              and k.gone_at is null
              and s.taken_back_at is null
            group by k.school_year_id, k.season, s.grade, s.reader_id
            limit 200000
            """,
            new { schoolId }
        );
        return ((await all.ReadAsync<WindowYear>()).ToList(), (await all.ReadAsync<WindowReader>()).ToList());
    }

    /// <summary>Readers of a school by grade, for how many are still to come.</summary>
    public async Task<IReadOnlyDictionary<int, int>> Grades(SchoolId schoolId)
    {
        return (
            await db.All<(int Grade, int Readers)>(
                """
                select grade, count(*)::int from reader where school_id = @schoolId and not left_school group by grade
                """,
                new { schoolId }
            )
        ).ToDictionary(g => g.Grade, g => g.Readers);
    }
}
