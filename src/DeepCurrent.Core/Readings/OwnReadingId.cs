using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of something read elsewhere, which the reader's device makes.</summary>
[JsonConverter(typeof(IdJson<OwnReadingId>))]
public readonly record struct OwnReadingId(Guid Value) : IId<OwnReadingId>
{
    public static OwnReadingId New() => new(Guid.CreateVersion7());

    public static OwnReadingId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out OwnReadingId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
