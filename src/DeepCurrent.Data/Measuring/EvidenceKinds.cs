using DeepCurrent.Core.Measuring;

namespace DeepCurrent.Data.Measuring;

/// <summary>Kinds of evidence as the database has them.</summary>
internal static class EvidenceKinds
{
    public const string Answer = $"'{nameof(EvidenceKind.Answer)}'",
        Level = $"'{nameof(EvidenceKind.Level)}'";
}
