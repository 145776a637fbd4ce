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

/// <summary>A correction's id: what a teacher said of a faulty question.</summary>
[JsonConverter(typeof(IdJson<CorrectionId>))]
public readonly record struct CorrectionId(Guid Value) : IId<CorrectionId>
{
    public static CorrectionId New() => new(Guid.CreateVersion7());

    public static CorrectionId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out CorrectionId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
