namespace DeepCurrent.Formats.OneRoster;

/// <summary>A district's roster server.</summary>
public interface IRosterSource
{
    /// <summary>Name of the source, as it is shown; null if none is set up.</summary>
    string? Name { get; }

    /// <summary>Fetches the whole roster, as a OneRoster zip.</summary>
    /// <exception cref="Unreadable">The source does not answer, refuses, or answers with something else.</exception>
    Task<byte[]> Fetch(CancellationToken stop);
}
