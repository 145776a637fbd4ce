using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>Names an absence.</summary>
[JsonConverter(typeof(IdJson<AbsenceId>))]
public readonly record struct AbsenceId(Guid Value) : IId<AbsenceId>
{
    public static AbsenceId New() => new(Guid.CreateVersion7());

    public static AbsenceId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out AbsenceId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
