using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using NpgsqlTypes;

namespace DeepCurrent.Data.Roster;

/// <summary>Where new readers start: what is typical of their grade today, and the level stated for them. The same
/// grade and level are reckoned once.</summary>
internal sealed class Starts(Yardstick yardstick, DateTimeOffset now, IReadOnlyList<Step<StatedLevel>> levels)
{
    private readonly DateOnly today = yardstick.Year.Clock.DayOf(now);
    private readonly Dictionary<ReaderId, Fathoms> stated = levels
        .Where(l => l.After is not null)
        .GroupBy(l => l.After!.ReaderId)
        .ToDictionary(g => g.Key, g => new Fathoms(g.Last().After!.Value));
    private readonly Dictionary<(int Grade, Fathoms? Level), DepthEstimate> reckoned = [];

    public DepthEstimate Of(RosterReader reader)
    {
        Fathoms? level = stated.TryGetValue(reader.Id, out var value) ? value : null;
        if (reckoned.TryGetValue((reader.Grade, level), out var known))
            return known;
        IEnumerable<Evidence> evidence = level is { } at
            ? [new LevelEvidence(now, at, ReaderEstimator.StartingLevelSd)]
            : [];
        return reckoned[(reader.Grade, level)] = ReaderEstimator
            .Run(new(Prior(reader), ReaderEstimator.PriorSd, now), evidence, Movement.Constant(0, 0), now)
            .Now;
    }

    public IReadOnlyList<(string Name, NpgsqlDbType Type, Func<RosterReader, object?> Value)> Columns(
        SchoolId schoolId
    ) =>
        [
            ("school_id", NpgsqlDbType.Uuid, _ => schoolId),
            ("prior_mean", NpgsqlDbType.Double, r => Prior(r).Value),
            ("prior_sd", NpgsqlDbType.Double, _ => ReaderEstimator.PriorSd),
            ("prior_at", NpgsqlDbType.TimestampTz, _ => now.ToUniversalTime()),
            ("depth_mean", NpgsqlDbType.Double, r => Of(r).Mean),
            ("depth_sd", NpgsqlDbType.Double, r => Of(r).Sd),
            ("depth_low", NpgsqlDbType.Double, r => Of(r).Low),
            ("depth_high", NpgsqlDbType.Double, r => Of(r).High),
            ("depth_at", NpgsqlDbType.TimestampTz, _ => now.ToUniversalTime()),
            ("created_at", NpgsqlDbType.TimestampTz, _ => now.ToUniversalTime()),
        ];

    private Core.Depth.Fathoms Prior(RosterReader r) => yardstick.Chart.Typical(r.Grade, yardstick.Year.Gone(today));
}
