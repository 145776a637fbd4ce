using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A group's id.</summary>
[JsonConverter(typeof(IdJson<GroupId>))]
public readonly record struct GroupId(Guid Value) : IId<GroupId>
{
    public static GroupId New() => new(Guid.CreateVersion7());

    public static GroupId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out GroupId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>A grouping's id.</summary>
[JsonConverter(typeof(IdJson<GroupingId>))]
public readonly record struct GroupingId(Guid Value) : IId<GroupingId>
{
    public static GroupingId New() => new(Guid.CreateVersion7());

    public static GroupingId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out GroupingId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
