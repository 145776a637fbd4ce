using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of a paper that goes with an assignment.</summary>
[JsonConverter(typeof(IdJson<PaperId>))]
public readonly record struct PaperId(Guid Value) : IId<PaperId>
{
    public static PaperId New() => new(Guid.CreateVersion7());

    public static PaperId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out PaperId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
