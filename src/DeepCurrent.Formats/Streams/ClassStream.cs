namespace DeepCurrent.Formats.Streams;

/// <summary>The class stream of the school's own platform, outside.</summary>
public interface IClassStream
{
    /// <summary>What people call it; empty where there is none.</summary>
    string Name { get; }

    bool Available { get; }

    /// <summary>Shows a post in a course's stream, or brings the one there up to date.</summary>
    /// <exception cref="StreamUnreachable">It did not answer, or not as it should.</exception>
    Task Put(string course, StreamMessage message, CancellationToken stop);

    /// <summary>Takes a post back; one that is not there is back already.</summary>
    /// <exception cref="StreamUnreachable">It did not answer, or not as it should.</exception>
    Task Remove(string course, Guid id, CancellationToken stop);
}

/// <param name="Heading">Empty for none.</param>
/// <param name="Readers">By user name: it is shown to them and nobody else.</param>
public sealed record StreamMessage(
    Guid Id,
    string Heading,
    string Title,
    DateOnly? Due,
    Uri Link,
    IReadOnlyList<string> Readers
);

/// <summary>The stream did not answer, or not as it should.</summary>
public sealed class StreamUnreachable(string message, Exception? inner = null) : Exception(message, inner);

/// <param name="Address">Empty for none.</param>
/// <param name="TokenAddress">Where tokens are given (OAuth 2 client credentials).</param>
public sealed record ClassStreamSettings(
    string Name,
    string Address,
    string TokenAddress,
    string ClientId,
    string ClientSecret
);
