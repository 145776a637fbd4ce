using DeepCurrent.Core.Messages;

namespace DeepCurrent.Core.Meetings;

/// <summary>What the next meeting should do about the point of this one.</summary>
public enum NextMove
{
    /// <summary>The same point in a new text.</summary>
    Again,

    /// <summary>The same point in an easier text.</summary>
    Easier,

    /// <summary>Another point.</summary>
    Another,
}

/// <summary>What follows from a meeting, with what it rests on.</summary>
public sealed record NextMeeting(NextMove Move, Message Why)
{
    /// <summary>From this share on, what most can do alone is not taught again, and what most cannot do yet is made
    /// easier.</summary>
    private const double Most = 2.0 / 3;

    private const int LeastSeen = 2;

    /// <summary>What follows from what was seen; null where too little was.</summary>
    public static NextMeeting? After(IReadOnlyCollection<SeenMark> seen)
    {
        if (seen.Count < LeastSeen)
            return null;
        int alone = seen.Count(m => m is SeenMark.Alone),
            notYet = seen.Count(m => m is SeenMark.NotYet);
        if (alone >= Most * seen.Count)
            return new(NextMove.Another, $"{alone} of {seen.Count} seen can do it alone.");
        if (notYet >= Most * seen.Count)
            return new(NextMove.Easier, $"{notYet} of {seen.Count} seen cannot do it yet.");
        return new(NextMove.Again, $"{alone} of {seen.Count} seen can do it alone.");
    }
}
