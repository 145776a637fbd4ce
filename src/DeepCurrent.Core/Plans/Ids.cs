using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of a saved list of tasks.</summary>
[JsonConverter(typeof(IdJson<PlanId>))]
public readonly record struct PlanId(Guid Value) : IId<PlanId>
{
    public static PlanId New() => new(Guid.CreateVersion7());

    public static PlanId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out PlanId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
