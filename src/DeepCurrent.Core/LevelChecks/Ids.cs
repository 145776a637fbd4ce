using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A level check's id.</summary>
[JsonConverter(typeof(IdJson<CheckId>))]
public readonly record struct CheckId(Guid Value) : IId<CheckId>
{
    public static CheckId New() => new(Guid.CreateVersion7());

    public static CheckId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out CheckId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of one reader's going through a level check.</summary>
[JsonConverter(typeof(IdJson<SittingId>))]
public readonly record struct SittingId(Guid Value) : IId<SittingId>
{
    public static SittingId New() => new(Guid.CreateVersion7());

    public static SittingId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out SittingId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of one part of one reader's level check.</summary>
[JsonConverter(typeof(IdJson<CheckPartId>))]
public readonly record struct CheckPartId(Guid Value) : IId<CheckPartId>
{
    public static CheckPartId New() => new(Guid.CreateVersion7());

    public static CheckPartId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out CheckPartId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of one passage, or one form, within a part.</summary>
[JsonConverter(typeof(IdJson<StageId>))]
public readonly record struct StageId(Guid Value) : IId<StageId>
{
    public static StageId New() => new(Guid.CreateVersion7());

    public static StageId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out StageId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
