using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of a reader's time in a class.</summary>
[JsonConverter(typeof(IdJson<EnrolmentId>))]
public readonly record struct EnrolmentId(Guid Value) : IId<EnrolmentId>
{
    public static EnrolmentId New() => new(Guid.CreateVersion7());

    public static EnrolmentId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out EnrolmentId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of an adult's part in a class.</summary>
[JsonConverter(typeof(IdJson<TeachingId>))]
public readonly record struct TeachingId(Guid Value) : IId<TeachingId>
{
    public static TeachingId New() => new(Guid.CreateVersion7());

    public static TeachingId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out TeachingId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a level that was stated on the roster.</summary>
[JsonConverter(typeof(IdJson<StatedLevelId>))]
public readonly record struct StatedLevelId(Guid Value) : IId<StatedLevelId>
{
    public static StatedLevelId New() => new(Guid.CreateVersion7());

    public static StatedLevelId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out StatedLevelId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a roster that was sent in a file.</summary>
[JsonConverter(typeof(IdJson<ImportId>))]
public readonly record struct ImportId(Guid Value) : IId<ImportId>
{
    public static ImportId New() => new(Guid.CreateVersion7());

    public static ImportId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out ImportId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of somebody's asking to join with a class code.</summary>
[JsonConverter(typeof(IdJson<JoiningId>))]
public readonly record struct JoiningId(Guid Value) : IId<JoiningId>
{
    public static JoiningId New() => new(Guid.CreateVersion7());

    public static JoiningId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out JoiningId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a request to take readers into a class.</summary>
[JsonConverter(typeof(IdJson<TakingInId>))]
public readonly record struct TakingInId(Guid Value) : IId<TakingInId>
{
    public static TakingInId New() => new(Guid.CreateVersion7());

    public static TakingInId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out TakingInId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a change that was made and listed.</summary>
[JsonConverter(typeof(IdJson<ChangeId>))]
public readonly record struct ChangeId(Guid Value) : IId<ChangeId>
{
    public static ChangeId New() => new(Guid.CreateVersion7());

    public static ChangeId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out ChangeId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
