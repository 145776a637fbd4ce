using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A text's id.</summary>
[JsonConverter(typeof(IdJson<TextId>))]
public readonly record struct TextId(Guid Value) : IId<TextId>
{
    public static TextId New() => new(Guid.CreateVersion7());

    public static TextId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out TextId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a text as it is written at one difficulty.</summary>
[JsonConverter(typeof(IdJson<VersionId>))]
public readonly record struct VersionId(Guid Value) : IId<VersionId>
{
    public static VersionId New() => new(Guid.CreateVersion7());

    public static VersionId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out VersionId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a picture in a text.</summary>
[JsonConverter(typeof(IdJson<PictureId>))]
public readonly record struct PictureId(Guid Value) : IId<PictureId>
{
    public static PictureId New() => new(Guid.CreateVersion7());

    public static PictureId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out PictureId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>A paper copy's id.</summary>
[JsonConverter(typeof(IdJson<CopyId>))]
public readonly record struct CopyId(Guid Value) : IId<CopyId>
{
    public static CopyId New() => new(Guid.CreateVersion7());

    public static CopyId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out CopyId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a search somebody keeps.</summary>
[JsonConverter(typeof(IdJson<SavedSearchId>))]
public readonly record struct SavedSearchId(Guid Value) : IId<SavedSearchId>
{
    public static SavedSearchId New() => new(Guid.CreateVersion7());

    public static SavedSearchId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out SavedSearchId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
