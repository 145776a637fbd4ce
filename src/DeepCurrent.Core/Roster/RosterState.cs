namespace DeepCurrent.Core.Roster;

/// <summary>A school's roster at one moment, by id.</summary>
public sealed class RosterState
{
    public Dictionary<AdultId, RosterAdult> Adults { get; } = [];
    public Dictionary<ClassId, RosterClass> Classes { get; } = [];
    public Dictionary<ReaderId, RosterReader> Readers { get; } = [];
    public Dictionary<TeachingId, Teaching> Teachings { get; } = [];
    public Dictionary<EnrolmentId, Enrolment> Enrolments { get; } = [];
    public Dictionary<StatedLevelId, StatedLevel> Levels { get; } = [];

    /// <summary>Does a change.</summary>
    /// <exception cref="InvalidOperationException">Something is not as the change found it.</exception>
    public void Apply(ChangeSet change)
    {
        Apply(Adults, change.Adults);
        Apply(Classes, change.Classes);
        Apply(Readers, change.Readers);
        Apply(Teachings, change.Teachings);
        Apply(Enrolments, change.Enrolments);
        Apply(Levels, change.Levels);
    }

    private static void Apply<TId, T>(Dictionary<TId, T> things, IReadOnlyList<Step<T>> steps)
        where TId : struct, IId<TId>
        where T : class, IRosterThing<TId>
    {
        foreach (var step in steps)
        {
            if (!Equals(things.GetValueOrDefault(step.Thing.Id), step.Before))
                throw new InvalidOperationException($"{typeof(T).Name} {step.Thing.Id} is not as it was found.");
            if (step.After is null)
                things.Remove(step.Thing.Id);
            else
                things[step.Thing.Id] = step.After;
        }
    }
}

/// <summary>Collects steps while a roster is gone through; a thing that ends as it began leaves no step.</summary>
internal sealed class Draft<TId, T>(IReadOnlyDictionary<TId, T> before)
    where TId : struct, IId<TId>
    where T : class, IRosterThing<TId>
{
    private readonly Dictionary<TId, T?> after = [];
    private readonly List<TId> order = [];

    public T? Find(TId id) => after.TryGetValue(id, out var changed) ? changed : before.GetValueOrDefault(id);

    public void Put(T thing)
    {
        if (!after.ContainsKey(thing.Id))
        {
            if (Equals(before.GetValueOrDefault(thing.Id), thing))
                return;
            order.Add(thing.Id);
        }
        after[thing.Id] = thing;
    }

    public IReadOnlyList<Step<T>> Steps() =>
        [
            .. order
                .Select(id => new Step<T>(before.GetValueOrDefault(id), after[id]))
                .Where(s => !Equals(s.Before, s.After)),
        ];
}
