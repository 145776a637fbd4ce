using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.Questions;

/// <summary>Sets of question kinds as lists for a query, made from the rules.</summary>
internal static class QuestionKinds
{
    /// <summary>Those whose answers are words, which a person marks.</summary>
    public static readonly string Written = Members.Where<QuestionKind>(k => k.Written());
}
