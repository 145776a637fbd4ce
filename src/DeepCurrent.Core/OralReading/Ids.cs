using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A running record's id.</summary>
[JsonConverter(typeof(IdJson<RecordId>))]
public readonly record struct RecordId(Guid Value) : IId<RecordId>
{
    public static RecordId New() => new(Guid.CreateVersion7());

    public static RecordId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out RecordId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
