using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of words to practise.</summary>
[JsonConverter(typeof(IdJson<WordListId>))]
public readonly record struct WordListId(Guid Value) : IId<WordListId>
{
    public static WordListId New() => new(Guid.CreateVersion7());

    public static WordListId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out WordListId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
