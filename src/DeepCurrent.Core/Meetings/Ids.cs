using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A meeting's id.</summary>
[JsonConverter(typeof(IdJson<MeetingId>))]
public readonly record struct MeetingId(Guid Value) : IId<MeetingId>
{
    public static MeetingId New() => new(Guid.CreateVersion7());

    public static MeetingId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out MeetingId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
