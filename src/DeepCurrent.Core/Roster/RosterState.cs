namespace DeepCurrent.Core.Roster;

/// <summary>A school's roster at one moment, by id.</summary>
public sealed class RosterState
{
    public Dictionary<Guid, RosterAdult> Adults { get; } = [];
    public Dictionary<Guid, RosterClass> Classes { get; } = [];
    public Dictionary<Guid, RosterReader> Readers { get; } = [];
    public Dictionary<Guid, Teaching> Teachings { get; } = [];
    public Dictionary<Guid, Enrolment> Enrolments { get; } = [];
    public Dictionary<Guid, StatedLevel> Levels { get; } = [];

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

    private static void Apply<T>(Dictionary<Guid, T> things, IReadOnlyList<Step<T>> steps)
        where T : class, IRosterThing
    {
        foreach (var step in steps)
        {
            if (!Equals(things.GetValueOrDefault(step.Id), step.Before))
                throw new InvalidOperationException($"{typeof(T).Name} {step.Id} is not as it was found.");
            if (step.After is null)
                things.Remove(step.Id);
            else
                things[step.Id] = step.After;
        }
    }
}

/// <summary>Collects steps while a roster is gone through; a thing that ends as it began leaves no step.</summary>
internal sealed class Draft<T>(IReadOnlyDictionary<Guid, T> before)
    where T : class, IRosterThing
{
    private readonly Dictionary<Guid, T?> after = [];
    private readonly List<Guid> order = [];

    public T? Find(Guid id) => after.TryGetValue(id, out var changed) ? changed : before.GetValueOrDefault(id);

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
