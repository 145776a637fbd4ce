namespace DeepCurrent.Core.Signals;

/// <summary>Where a signal stands with the people it is for.</summary>
public enum SignalState
{
    New,
    Seen,

    /// <summary>Waits until a day.</summary>
    PutOff,

    /// <summary>Dealt with, whatever the evidence still says.</summary>
    Done,
}

/// <summary>How a signal ended.</summary>
public enum SignalEnd
{
    /// <summary>The evidence says it no more.</summary>
    Evidence,

    /// <summary>The same, after the suggested step was taken.</summary>
    Step,

    /// <summary>A person called it done.</summary>
    Done,
}

/// <summary>What a person does about signals.</summary>
public enum SignalDeed
{
    See,
    PutOff,
    Done,

    /// <summary>The suggested step was taken.</summary>
    Step,

    /// <summary>Takes back that it was seen, put off or done.</summary>
    Reopen,
}

/// <summary>A signal that is kept.</summary>
/// <param name="Until">First day on which one that is put off is new again.</param>
/// <param name="StepAt">When the suggested step was taken.</param>
/// <param name="Over">The evidence said it no more when it was last looked at.</param>
public sealed record KeptSignal(
    SignalId Id,
    Signal Signal,
    SignalState State,
    DateOnly? Until,
    DateTimeOffset? StepAt,
    DateTimeOffset FoundAt,
    bool Over = false
);

/// <summary>What looking again comes to.</summary>
/// <param name="Opened">Found for the first time.</param>
/// <param name="Changed">Kept ones that look or stand otherwise now, or are back with no new evidence.</param>
/// <param name="Ended">Kept ones that the evidence says no more.</param>
public sealed record SignalTurns(
    IReadOnlyList<Signal> Opened,
    IReadOnlyList<KeptSignal> Changed,
    IReadOnlyList<(KeptSignal Signal, SignalEnd How)> Ended
);

/// <summary>How signals live: found, looked at, put off or done, and back only with new evidence.</summary>
public static class SignalLife
{
    /// <summary>Holds what the rules find against what is kept.</summary>
    /// <param name="kept">Those that stand, and those that are over of which the like may come back.</param>
    public static SignalTurns Look(IReadOnlyList<KeptSignal> kept, IReadOnlyList<Signal> found, DateOnly today)
    {
        static (SignalKind, ReaderId?, string) Key(Signal s) => (s.Kind, s.Reader, s.About);
        var now = found.ToDictionary(Key);
        var standing = kept.Where(k => !k.Over).Select(k => Key(k.Signal)).ToHashSet();
        // One that is over comes back as it was while it rests on the same; on something new, it is another.
        var back = kept.Where(k => k.Over && !standing.Contains(Key(k.Signal)))
            .Where(k => now.TryGetValue(Key(k.Signal), out var s) && s.Mark == k.Signal.Mark)
            .GroupBy(k => Key(k.Signal))
            .Select(g => g.MaxBy(k => k.FoundAt)!);
        kept = [.. kept.Where(k => !k.Over), .. back];
        var known = kept.Select(k => Key(k.Signal)).ToHashSet();
        return new(
            [.. found.Where(s => !known.Contains(Key(s)))],
            [
                .. kept.Where(k => now.ContainsKey(Key(k.Signal)))
                    .Select(k => (Was: k, Now: After(k, now[Key(k.Signal)], today)))
                    .Where(x => !Same(x.Was, x.Now))
                    .Select(x => x.Now),
            ],
            [
                .. kept.Where(k => !now.ContainsKey(Key(k.Signal)))
                    .Select(k =>
                        (
                            k,
                            k.State is SignalState.Done ? SignalEnd.Done
                            : k.StepAt is not null ? SignalEnd.Step
                            : SignalEnd.Evidence
                        )
                    ),
            ]
        );
    }

    /// <summary>Where a signal stands after a person did something about it.</summary>
    public static (SignalState State, DateOnly? Until) After(SignalDeed deed, DateOnly? until) =>
        deed switch
        {
            SignalDeed.See or SignalDeed.Step => (SignalState.Seen, null),
            SignalDeed.PutOff => (SignalState.PutOff, until),
            SignalDeed.Done => (SignalState.Done, null),
            SignalDeed.Reopen => (SignalState.New, null),
            _ => throw new ArgumentOutOfRangeException(nameof(deed), deed, "There is no such deed."),
        };

    /// <summary>One that is put off waits for its day, whatever comes; one that was seen or is done is new again with new
    /// evidence.</summary>
    private static KeptSignal After(KeptSignal was, Signal now, DateOnly today)
    {
        var again =
            was.State is SignalState.PutOff
                ? was.Until <= today
                : now.Mark != was.Signal.Mark && was.State is not SignalState.New;
        return was with
        {
            Signal = now,
            State = again ? SignalState.New : was.State,
            Until = again ? null : was.Until,
            StepAt = again ? null : was.StepAt,
            Over = false,
        };
    }

    private static bool Same(KeptSignal a, KeptSignal b) =>
        a.State == b.State
        && a.Over == b.Over
        && a.Signal.Mark == b.Signal.Mark
        && a.Signal.Last == b.Signal.Last
        && a.Signal.Figures.SequenceEqual(b.Signal.Figures)
        && a.Signal.Points.SequenceEqual(b.Signal.Points);
}
