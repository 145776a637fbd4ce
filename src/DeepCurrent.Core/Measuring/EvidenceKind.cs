namespace DeepCurrent.Core.Measuring;

/// <summary>The kinds of evidence for a level.</summary>
public enum EvidenceKind
{
    Answer,
    Level,
    RunningRecord,
}

/// <summary>Where evidence came from, as a teacher sees it.</summary>
public enum EvidenceSource
{
    Quiz,
    Level,
    RunningRecord,
    LevelCheck,
}

/// <summary>What follows from a kind of evidence.</summary>
public static class EvidenceKindRules
{
    /// <summary>Where a piece came from.</summary>
    /// <param name="inCheck">It was given in a level check.</param>
    public static EvidenceSource SourceOf(this EvidenceKind kind, bool inCheck) =>
        inCheck
            ? EvidenceSource.LevelCheck
            : kind switch
            {
                EvidenceKind.Answer => EvidenceSource.Quiz,
                EvidenceKind.Level => EvidenceSource.Level,
                EvidenceKind.RunningRecord => EvidenceSource.RunningRecord,
                _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "There is no such kind of evidence."),
            };
}
