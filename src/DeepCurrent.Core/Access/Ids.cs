using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of a teacher, assistant, school lead or guardian.</summary>
[JsonConverter(typeof(IdJson<AdultId>))]
public readonly record struct AdultId(Guid Value) : IId<AdultId>
{
    public static AdultId New() => new(Guid.CreateVersion7());

    public static AdultId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out AdultId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
