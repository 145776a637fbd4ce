using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A school's id.</summary>
[JsonConverter(typeof(IdJson<SchoolId>))]
public readonly record struct SchoolId(Guid Value) : IId<SchoolId>
{
    public static SchoolId New() => new(Guid.CreateVersion7());

    public static SchoolId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out SchoolId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>A school year's id.</summary>
[JsonConverter(typeof(IdJson<YearId>))]
public readonly record struct YearId(Guid Value) : IId<YearId>
{
    public static YearId New() => new(Guid.CreateVersion7());

    public static YearId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out YearId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a dated part of a school year.</summary>
[JsonConverter(typeof(IdJson<TermId>))]
public readonly record struct TermId(Guid Value) : IId<TermId>
{
    public static TermId New() => new(Guid.CreateVersion7());

    public static TermId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out TermId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>A class's id.</summary>
[JsonConverter(typeof(IdJson<ClassId>))]
public readonly record struct ClassId(Guid Value) : IId<ClassId>
{
    public static ClassId New() => new(Guid.CreateVersion7());

    public static ClassId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out ClassId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a reader's way from school to school.</summary>
[JsonConverter(typeof(IdJson<TransferId>))]
public readonly record struct TransferId(Guid Value) : IId<TransferId>
{
    public static TransferId New() => new(Guid.CreateVersion7());

    public static TransferId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out TransferId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
