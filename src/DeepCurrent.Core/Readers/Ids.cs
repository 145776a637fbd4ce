using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A reader's id.</summary>
[JsonConverter(typeof(IdJson<ReaderId>))]
public readonly record struct ReaderId(Guid Value) : IId<ReaderId>
{
    public static ReaderId New() => new(Guid.CreateVersion7());

    public static ReaderId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out ReaderId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of readers somebody keeps together.</summary>
[JsonConverter(typeof(IdJson<ReaderListId>))]
public readonly record struct ReaderListId(Guid Value) : IId<ReaderListId>
{
    public static ReaderListId New() => new(Guid.CreateVersion7());

    public static ReaderListId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out ReaderListId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
