using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>Names a message to a reader's family.</summary>
[JsonConverter(typeof(IdJson<HomeMessageId>))]
public readonly record struct HomeMessageId(Guid Value) : IId<HomeMessageId>
{
    public static HomeMessageId New() => new(Guid.CreateVersion7());

    public static HomeMessageId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out HomeMessageId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
