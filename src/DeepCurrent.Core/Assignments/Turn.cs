namespace DeepCurrent.Core.Assignments;

/// <summary>Where an assignment stands among those that are done one after another: it opens for a reader once they
/// have nothing unfinished of an earlier turn.</summary>
/// <param name="Of">The first of them.</param>
/// <param name="Nth">From 0.</param>
public sealed record Turn(AssignmentId Of, int Nth)
{
    /// <summary>The turns of things in their order.</summary>
    public static IReadOnlyDictionary<AssignmentId, Turn> Each(IReadOnlyList<AssignmentId> inOrder) =>
        inOrder.Select((id, nth) => (id, new Turn(inOrder[0], nth))).ToDictionary(x => x.id, x => x.Item2);

    /// <summary>The turns of copies, as those they were copied from had them. Whose companions were not copied comes
    /// first among those that were.</summary>
    /// <param name="copies">Each with the name of its copy.</param>
    public static IReadOnlyDictionary<AssignmentId, Turn> OfCopies(
        IEnumerable<(Turn? Turn, AssignmentId Copy)> copies
    ) =>
        copies
            .Where(x => x.Turn is not null)
            .GroupBy(x => x.Turn!.Of)
            .SelectMany(g => Each([.. g.OrderBy(x => x.Turn!.Nth).Select(x => x.Copy)]))
            .ToDictionary(x => x.Key, x => x.Value);
}
