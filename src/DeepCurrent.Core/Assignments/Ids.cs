using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of one thing to do within an assignment.</summary>
[JsonConverter(typeof(IdJson<TaskId>))]
public readonly record struct TaskId(Guid Value) : IId<TaskId>
{
    public static TaskId New() => new(Guid.CreateVersion7());

    public static TaskId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out TaskId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
