using System.Globalization;
using System.Security.Cryptography;
using System.Text;

namespace DeepCurrent.Core.Streams;

/// <summary>What a class stream shows of an assignment, to exactly its readers: no level, version or group.</summary>
/// <param name="Heading">Of the stream, under which it stands; empty for none.</param>
/// <param name="Readers">By their user names, in alphabetical order.</param>
public sealed record StreamPost(
    AssignmentId Id,
    string Heading,
    string Title,
    DateOnly? DueOn,
    IReadOnlyList<string> Readers
)
{
    /// <summary>Of all it says: what stands in the stream is sent again when this is another.</summary>
    public string Fingerprint()
    {
        var parts = new[] { Heading, Title, DueOn?.ToString("O", CultureInfo.InvariantCulture) ?? "" };
        var all = string.Join('\n', parts.Concat(Readers).Select(p => p.ReplaceLineEndings(" ")));
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(all)));
    }
}

/// <summary>What is to be done so that a stream shows what it should.</summary>
public enum StreamStep
{
    Nothing,
    Send,
    TakeBack,

    /// <summary>It is not wanted and does not stand there: it is over.</summary>
    Forget,
}

/// <summary>How a stream is kept as it should be.</summary>
public static class StreamRules
{
    public const int LongestCourse = 100;

    private const int Longest = 360;

    /// <summary>The next step of one post.</summary>
    /// <param name="wanted">A teacher shares it, and its readers see it.</param>
    /// <param name="shared">A teacher shares it, whether it is seen yet or not.</param>
    /// <param name="now">Its fingerprint; null where there is nothing to show.</param>
    /// <param name="sent">The fingerprint of what stands there; null where nothing does.</param>
    public static StreamStep Next(bool wanted, bool shared, string? now, string? sent) =>
        wanted && now is not null ? (now == sent ? StreamStep.Nothing : StreamStep.Send)
        : sent is not null ? StreamStep.TakeBack
        : shared ? StreamStep.Nothing
        : StreamStep.Forget;

    /// <summary>How long a stream is left alone that did not answer: half a minute, twice as long after each failure,
    /// six hours at most.</summary>
    /// <param name="failures">In a row; at least 1.</param>
    public static TimeSpan Pause(int failures) =>
        TimeSpan.FromMinutes(Math.Min(Longest, 0.5 * Math.Pow(2, Math.Min(failures, 20) - 1)));
}
