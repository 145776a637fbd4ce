namespace DeepCurrent.Web.Hosting;

/// <summary>What is wrong with a request: all of it at once, one sentence for each field.</summary>
public sealed class Faults
{
    private readonly Dictionary<string, Message> found = [];

    /// <summary>Notes a fault; of a field that has one already, the first counts.</summary>
    public Faults If(bool wrong, string field, Message message)
    {
        if (wrong)
            found.TryAdd(field, message);
        return this;
    }

    /// <summary>Notes what a rule says of a field; null where it holds.</summary>
    public Faults Of(string field, Message? message)
    {
        if (message is not null)
            found.TryAdd(field, message);
        return this;
    }

    /// <summary>Notes what a rule says of several fields.</summary>
    public Faults Of(IEnumerable<(string Field, Message Sentence)> faults) =>
        faults.Aggregate(this, (all, fault) => all.Of(fault.Field, fault.Sentence));

    /// <summary>Goes no further if anything is wrong.</summary>
    /// <exception cref="Refused">Something is.</exception>
    public void Refuse()
    {
        if (found.Count > 0)
            throw new Refused(
                StatusCodes.Status422UnprocessableEntity,
                "invalid",
                found.Count == 1 ? found.Values.Single() : $"Not saved yet. Fix the highlighted fields.",
                found
            );
    }
}
