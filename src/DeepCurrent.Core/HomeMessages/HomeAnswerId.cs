using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>Names an answer from home, which the guardian's device makes.</summary>
[JsonConverter(typeof(IdJson<HomeAnswerId>))]
public readonly record struct HomeAnswerId(Guid Value) : IId<HomeAnswerId>
{
    public static HomeAnswerId New() => new(Guid.CreateVersion7());

    public static HomeAnswerId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out HomeAnswerId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
