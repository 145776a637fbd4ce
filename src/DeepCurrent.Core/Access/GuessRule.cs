namespace DeepCurrent.Core.Access;

/// <summary>How long somebody waits who has guessed wrongly, or asked too often.</summary>
/// <param name="Free">Wrong tries within <paramref name="Window"/> before anybody waits.</param>
/// <param name="Window">How long a wrong try is remembered.</param>
/// <param name="First">The first wait.</param>
/// <param name="Longest">No wait is longer; each try doubles it until then.</param>
public sealed record GuessRule(int Free, TimeSpan Window, TimeSpan First, TimeSpan Longest)
{
    private static readonly TimeSpan Quarter = TimeSpan.FromMinutes(15),
        Hour = TimeSpan.FromHours(1),
        Day = TimeSpan.FromHours(24);

    /// <summary>One account, from one device or from all that are not known to it.</summary>
    public static readonly GuessRule Account = new(5, Quarter, TimeSpan.FromSeconds(5), TimeSpan.FromMinutes(2));

    /// <summary>Class codes, letters' codes and links, from one device.</summary>
    public static readonly GuessRule Codes = new(10, Quarter, TimeSpan.FromSeconds(20), TimeSpan.FromMinutes(2));

    /// <summary>Everything from one address that comes from devices nobody has signed in on: a school shares an
    /// address.</summary>
    public static readonly GuessRule Address = new(150, Quarter, TimeSpan.FromSeconds(20), TimeSpan.FromSeconds(20));

    /// <summary>Requests to join, right or wrong, from a device that somebody has signed in on: a few children share a
    /// tablet.</summary>
    public static readonly GuessRule Joining = new(10, Day, TimeSpan.FromMinutes(2), Hour);

    /// <summary>Requests to join from one address: a class asks at once, a stranger asks on and on.</summary>
    public static readonly GuessRule JoiningAddress = new(40, Day, TimeSpan.FromMinutes(2), Hour);

    /// <summary>Secrets of a whole class. Three pictures of twelve in order are 1,320 to try; with these waits that
    /// takes weeks, whoever of the class is tried.</summary>
    public static readonly GuessRule Class = new(60, Day, Hour, Hour);

    /// <summary>Wrong tries in a class within a day after which its teacher is told.</summary>
    public const int Suspicious = 20;

    /// <summary>How long to wait still.</summary>
    /// <param name="wrong">Wrong tries remembered; at least 0.</param>
    /// <param name="last">When the last was; null if there was none.</param>
    /// <returns>Zero where nobody waits; never longer than the rule's own wait, whatever the clock has done
    /// meanwhile.</returns>
    public TimeSpan Left(int wrong, DateTimeOffset? last, DateTimeOffset now)
    {
        if (wrong < Free || last is null)
            return TimeSpan.Zero;
        var wait = Wait(wrong - Free);
        var left = last.Value + wait - now;
        return left <= TimeSpan.Zero ? TimeSpan.Zero
            : left > wait ? wait
            : left;
    }

    private TimeSpan Wait(int beyond) =>
        beyond >= 20
            ? Longest
            : TimeSpan.FromSeconds(Math.Min(Longest.TotalSeconds, First.TotalSeconds * Math.Pow(2, beyond)));
}
