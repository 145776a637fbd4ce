using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of a note, which the reader's device makes.</summary>
[JsonConverter(typeof(IdJson<NoteId>))]
public readonly record struct NoteId(Guid Value) : IId<NoteId>
{
    public static NoteId New() => new(Guid.CreateVersion7());

    public static NoteId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out NoteId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
