using System.Collections.ObjectModel;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace DeepCurrent.Core.Roster;

/// <summary>Something in words that a roster may hold of a reader and that nothing is computed from. A new one needs
/// its heading in lists (<c>Formats/Tables/ListColumns</c>) and its name on the pages.</summary>
public enum ReaderDetail
{
    HomeLanguage,
}

/// <summary>What a roster holds of a reader in words; equal where every detail is.</summary>
[JsonConverter(typeof(ReaderDetailsJson))]
public sealed class ReaderDetails : IEquatable<ReaderDetails>
{
    private readonly SortedDictionary<ReaderDetail, string> kept;

    private ReaderDetails(SortedDictionary<ReaderDetail, string> kept) => this.kept = kept;

    public static readonly ReaderDetails None = new([]);

    /// <summary>Every detail there is, as it is told; without those that have no text.</summary>
    public static ReaderDetails Of(Func<ReaderDetail, string?> told) =>
        Enum.GetValues<ReaderDetail>().Aggregate(None, (all, detail) => all.With(detail, told(detail)));

    /// <summary>The longest text a detail may have, in letters.</summary>
    public const int Longest = 40;

    /// <summary>What is known, each once.</summary>
    public IReadOnlyDictionary<ReaderDetail, string> Known => new ReadOnlyDictionary<ReaderDetail, string>(kept);

    /// <summary>The text of a detail; null where nothing is known.</summary>
    public string? this[ReaderDetail detail] => kept.GetValueOrDefault(detail);

    /// <summary>The same with one detail as given; without it where there is no text.</summary>
    public ReaderDetails With(ReaderDetail detail, string? text)
    {
        if (this[detail] == text)
            return this;
        var next = new SortedDictionary<ReaderDetail, string>(kept);
        if (Names.Tidy(text) is { Length: > 0 } tidy)
            next[detail] = tidy;
        else
            next.Remove(detail);
        return next.Count == 0 ? None : new(next);
    }

    /// <summary>These, and of <paramref name="before"/> what these say nothing of.</summary>
    public ReaderDetails Over(ReaderDetails before) =>
        kept.Aggregate(before, (all, detail) => all.With(detail.Key, detail.Value));

    /// <summary>The details that cannot be kept, and why.</summary>
    public IEnumerable<(ReaderDetail Detail, Message Reason)> Faults() =>
        kept.Where(d => d.Value.Length > Longest).Select(d => (d.Key, (Message)$"Use {Longest} letters or fewer."));

    // Most readers share the one that is empty, and a whole school is compared at once.
    public bool Equals(ReaderDetails? other) =>
        ReferenceEquals(this, other) || (other is not null && kept.SequenceEqual(other.kept));

    public override bool Equals(object? obj) => Equals(obj as ReaderDetails);

    public override int GetHashCode() =>
        kept.Aggregate(0, (hash, detail) => HashCode.Combine(hash, detail.Key, detail.Value));

    public static bool operator ==(ReaderDetails? a, ReaderDetails? b) => a is null ? b is null : a.Equals(b);

    public static bool operator !=(ReaderDetails? a, ReaderDetails? b) => !(a == b);
}

/// <summary>Details in JSON: an object of texts by the names of the details. What is no detail is left out.</summary>
public sealed class ReaderDetailsJson : JsonConverter<ReaderDetails>
{
    public override ReaderDetails Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        var said = JsonSerializer.Deserialize<Dictionary<string, string?>>(ref reader, options) ?? [];
        return ReaderDetails.Of(d => said.GetValueOrDefault(d.ToString()));
    }

    public override void Write(Utf8JsonWriter writer, ReaderDetails value, JsonSerializerOptions options)
    {
        writer.WriteStartObject();
        foreach (var (detail, text) in value.Known)
            writer.WriteString(detail.ToString(), text);
        writer.WriteEndObject();
    }
}
