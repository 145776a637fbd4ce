using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>A level check that a reader has done, beside the level before it.</summary>
/// <param name="Passages">A part of passages is done.</param>
/// <param name="Level">Before it, fm.</param>
/// <param name="Found">What the check alone says, fm.</param>
public sealed record SatCheck(
    SittingId Id,
    ReaderId ReaderId,
    CheckId CheckId,
    string Name,
    bool Passages,
    DateTimeOffset At,
    double Level,
    double LevelSd,
    double Found,
    double FoundSd
);

/// <summary>What level checks said of the readers of a class.</summary>
public sealed class SatCheckStore(NpgsqlDataSource db)
{
    /// <summary>Level checks done since a time: what they found by themselves, beside the level before.</summary>
    public Task<IReadOnlyList<SatCheck>> Checks(ClassId classId, DateTimeOffset since) =>
        db.All<SatCheck>(
            $"""
            select s.id, s.reader_id, s.check_id, c.name,
              bool_or(p.part = '{nameof(
                CheckPart.Passages
            )}') as passages, max(v.at) as at, s.before_mean as level, s.before_sd as level_sd,
              sum(v.value / v.sd ^ 2) / sum(1 / v.sd ^ 2) as found, sqrt(1 / sum(1 / v.sd ^ 2)) as found_sd
            from sitting s
              join level_check c on c.id = s.check_id
              join sitting_part p on p.sitting_id = s.id
              join evidence v on v.part_id = p.id
            where s.reader_id in (
                select reader_id from enrolment where class_id = @classId and to_day is null)
              and s.taken_back_at is null
              and s.before_mean is not null
              and v.kind = {EvidenceKinds.Level}
              and v.left_out is null
              and v.at >= @since
            group by s.id, c.id
            limit 2000
            """,
            new { classId, since }
        );
}
