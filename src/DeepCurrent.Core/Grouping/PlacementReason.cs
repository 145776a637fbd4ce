namespace DeepCurrent.Core.Grouping;

/// <summary>Why a reader is in a group, in parts that add up.</summary>
/// <param name="Own">How far from the middle of the group.</param>
/// <param name="Other">The nearest other group, by its number; −1 where there is one group only.</param>
/// <param name="OtherAway">How far from its middle; 0 without one.</param>
/// <param name="Turning">Fathoms by which the reader's depth would have to change to be as near to the other; null where
/// depth alone cannot bring that about.</param>
public sealed record PlacementReason(Apartness Own, int Other, Apartness OtherAway, double? Turning)
{
    /// <summary>A reader is near an edge who is so little nearer to the own middle, in fathoms.</summary>
    public const double NearEdge = 1.5;

    /// <summary>By how much the own middle is nearer than the other's; below 0 where a rule keeps the reader
    /// here.</summary>
    public double Margin => OtherAway.Sum - Own.Sum;

    public bool AtEdge => Other >= 0 && Margin < NearEdge;

    /// <param name="plan">The groups.</param>
    /// <param name="group">The reader's, by its number.</param>
    public static PlacementReason Of(
        IReadOnlyList<PlannedGroup> plan,
        int group,
        GroupCandidate reader,
        GroupWeights weights
    )
    {
        var own = Apartness.Of(reader, plan[group].Representative, weights);
        var (other, away) = Enumerable
            .Range(0, plan.Count)
            .Where(g => g != group)
            .Select(g => (Group: g, Away: Apartness.Of(reader, plan[g].Representative, weights)))
            .OrderBy(x => x.Away.Sum)
            .FirstOrDefault((-1, new Apartness(0, 0, 0)));
        return new(
            own,
            other,
            away,
            other < 0 ? null : Turn(reader, plan[group].Representative, plan[other].Representative, weights)
        );
    }

    /// <summary>The least change of depth at which two middles are equally near. Between the two middles the difference
    /// changes by two for each fathom, and nowhere else.</summary>
    private static double? Turn(GroupCandidate reader, GroupCandidate own, GroupCandidate other, GroupWeights weights)
    {
        double Difference(double depth)
        {
            var moved = reader with { Depth = new(depth) };
            return Apartness.Of(moved, other, weights).Sum - Apartness.Of(moved, own, weights).Sum;
        }
        var (here, there) = (Difference(own.Depth.Value), Difference(other.Depth.Value));
        if (there > 0 || here <= there)
            return null;
        if (here <= 0)
            return 0;
        var at = own.Depth.Value + (other.Depth.Value - own.Depth.Value) * here / (here - there);
        return at - reader.Depth.Value;
    }
}
