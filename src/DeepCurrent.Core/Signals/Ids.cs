using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A signal's id.</summary>
[JsonConverter(typeof(IdJson<SignalId>))]
public readonly record struct SignalId(Guid Value) : IId<SignalId>
{
    public static SignalId New() => new(Guid.CreateVersion7());

    public static SignalId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out SignalId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
