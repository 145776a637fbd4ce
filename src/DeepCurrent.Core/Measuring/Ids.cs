using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of something that says something about a reader's level.</summary>
[JsonConverter(typeof(IdJson<EvidenceId>))]
public readonly record struct EvidenceId(Guid Value) : IId<EvidenceId>
{
    public static EvidenceId New() => new(Guid.CreateVersion7());

    public static EvidenceId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out EvidenceId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a level somebody set for a reader.</summary>
[JsonConverter(typeof(IdJson<LevelSetId>))]
public readonly record struct LevelSetId(Guid Value) : IId<LevelSetId>
{
    public static LevelSetId New() => new(Guid.CreateVersion7());

    public static LevelSetId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out LevelSetId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
