using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A question's id.</summary>
[JsonConverter(typeof(IdJson<QuestionId>))]
public readonly record struct QuestionId(Guid Value) : IId<QuestionId>
{
    public static QuestionId New() => new(Guid.CreateVersion7());

    public static QuestionId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out QuestionId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
