using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of words to practise.</summary>
[JsonConverter(typeof(IdJson<DeckId>))]
public readonly record struct DeckId(Guid Value) : IId<DeckId>
{
    public static DeckId New() => new(Guid.CreateVersion7());

    public static DeckId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out DeckId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
