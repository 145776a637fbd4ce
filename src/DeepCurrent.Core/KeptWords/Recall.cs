namespace DeepCurrent.Core.KeptWords;

/// <summary>One try at a kept word.</summary>
public sealed record WordTry(DateTimeOffset At, bool Right);

/// <summary>How well a kept word is known.</summary>
/// <param name="Step">How often in a row it was known after a pause, from 0.</param>
/// <param name="DueOn">The day it is to be asked again.</param>
public sealed record Recalled(int Step, DateOnly DueOn)
{
    /// <summary>It has been known after every pause there is.</summary>
    public bool Known => Step >= Recall.Pauses.Count;

    /// <summary>Whether it is to be asked on a day.</summary>
    public bool Due(DateOnly today) => !Known && DueOn <= today;
}

/// <summary>When a kept word is asked again: after longer and longer pauses while it is known, the next day where it was
/// missed.</summary>
/// <remarks>Pauses that grow hold longer than pauses that do not: Landauer, T. K. &amp; Bjork, R. A. (1978), Optimum
/// rehearsal patterns and name learning. In Practical Aspects of Memory, 625–632.</remarks>
public static class Recall
{
    /// <summary>Days until a word is asked again, by how often in a row it was known.</summary>
    public static IReadOnlyList<int> Pauses { get; } = [1, 2, 4, 8, 16, 32];

    /// <summary>The most words in one practice.</summary>
    public const int AtOnce = 6;

    /// <summary>Where a word stands after its tries. A day's first try counts; a later one of the same day that misses
    /// it counts as well, one that is right only repeats what was just seen.</summary>
    /// <param name="kept">The day it was kept; it can be asked at once.</param>
    /// <param name="tries">In any order.</param>
    /// <param name="dayOf">The school's day of an instant.</param>
    public static Recalled After(DateOnly kept, IEnumerable<WordTry> tries, Func<DateTimeOffset, DateOnly> dayOf)
    {
        var now = new Recalled(0, kept);
        DateOnly? last = null;
        foreach (var t in tries.OrderBy(t => t.At))
        {
            var day = dayOf(t.At);
            if (!t.Right)
                now = new(0, day.AddDays(1));
            else if (day != last && day >= now.DueOn)
                now = new(now.Step + 1, day.AddDays(Pauses[Math.Min(now.Step, Pauses.Count - 1)]));
            last = day;
        }

        return now;
    }
}
