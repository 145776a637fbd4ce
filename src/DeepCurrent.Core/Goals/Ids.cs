using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A goal's id.</summary>
[JsonConverter(typeof(IdJson<GoalId>))]
public readonly record struct GoalId(Guid Value) : IId<GoalId>
{
    public static GoalId New() => new(Guid.CreateVersion7());

    public static GoalId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out GoalId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
