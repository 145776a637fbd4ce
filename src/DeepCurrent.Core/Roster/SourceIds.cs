namespace DeepCurrent.Core.Roster;

/// <summary>Which thing here a source means by an id. Sources are kept apart: the same id from another source is
/// another thing, unless it also bears the same name.</summary>
internal sealed class SourceIds<TId, T>
    where TId : struct, IId<TId>
    where T : class, ISourcedThing, IRosterThing<TId>
{
    private readonly string? source;
    private readonly IReadOnlyDictionary<TId, T> things;
    private readonly Dictionary<string, T> own = [],
        anybodys = [];
    private readonly ILookup<string, T> others;
    private readonly Dictionary<string, TId> said = [];

    /// <param name="source">The source that is heard; null for a roster this school wrote out, where each id is the one
    /// it was written with.</param>
    public SourceIds(IReadOnlyDictionary<TId, T> things, string? source)
    {
        (this.things, this.source) = (things, source);
        foreach (var thing in things.Values.Where(t => t.SourceId is not null))
            if (thing.Source == source)
                own[thing.SourceId!] = thing;
            else if (source is null || thing.Source.Length == 0)
                anybodys.TryAdd(thing.SourceId!, thing);
        others = things
            .Values.Where(t =>
                source is not null && t is { SourceId: not null, Source.Length: > 0 } && t.Source != source
            )
            .ToLookup(t => t.SourceId!);
    }

    /// <summary>What an id stood for before this file was heard.</summary>
    /// <param name="same">Whether a thing of another source that has the same id is what the row is about.</param>
    public TId? Before(string id, Func<T, bool> same)
    {
        if (own.TryGetValue(id, out var mine) || anybodys.TryGetValue(id, out mine))
            return mine.Id;
        // What has no id of a source goes by its own, so that a roster written out here reads back in without a change.
        if (Guid.TryParseExact(id, "D", out var itself) && things.ContainsKey(TId.From(itself)))
            return TId.From(itself);
        return others[id].FirstOrDefault(same)?.Id;
    }

    /// <summary>What an id stands for now: what this file has said of it, or what it stood for.</summary>
    public TId? Now(string id) => said.TryGetValue(id, out var found) ? found : Before(id, _ => false);

    /// <summary>Notes what a row was about.</summary>
    public void Say(string id, TId thing) => said[id] = thing;

    public bool Said(string id) => said.ContainsKey(id);

    /// <summary>The id and the source a thing has after it was spoken of.</summary>
    public (string? Id, string Source) Key(string id, T? known)
    {
        // A thing that goes by its own id goes on doing so, and what was written out here stays whose it was.
        if (known is not null && (source is null || id == known.Id.ToString()))
            return (known.SourceId, known.Source);
        return (id, source ?? "");
    }

    /// <summary>Whether a thing is this source's to end.</summary>
    public bool Owns(T thing) => source is not null && thing.SourceId is not null && thing.Source == source;
}
