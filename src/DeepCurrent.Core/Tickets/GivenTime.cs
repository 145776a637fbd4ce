namespace DeepCurrent.Core.Tickets;

/// <summary>When something was done on a device that may have had no network, as far as the server can know.</summary>
public static class GivenTime
{
    private static readonly TimeSpan Longest = TimeSpan.FromDays(60);

    /// <summary>The device says when it was done and when it was sent, both by its own clock; only the time between the
    /// two is believed, since that clock may be wrong.</summary>
    /// <param name="at">When it was done, by the device's clock.</param>
    /// <param name="sentAt">When it was sent, by the same clock; null where it is not said, and then the clock is
    /// believed.</param>
    /// <param name="now">The server's clock.</param>
    /// <returns>At most sixty days before <paramref name="now"/>, and never after it.</returns>
    public static DateTimeOffset Of(DateTimeOffset at, DateTimeOffset? sentAt, DateTimeOffset now)
    {
        var ago = (sentAt ?? now) - at;
        return ago <= TimeSpan.Zero ? now
            : ago >= Longest ? now - Longest
            : now - ago;
    }

    /// <summary>A time bounded by the last contact about the same work: what is heard of later was not done before
    /// it.</summary>
    public static DateTimeOffset After(DateTimeOffset given, DateTimeOffset lastContact) =>
        given < lastContact ? lastContact : given;

    /// <summary>True for what was done before the end and heard of after it.</summary>
    /// <param name="end">When the time was up; null where there is no end.</param>
    public static bool Late(DateTimeOffset given, DateTimeOffset received, DateTimeOffset? end) =>
        given <= end && received > end;
}
