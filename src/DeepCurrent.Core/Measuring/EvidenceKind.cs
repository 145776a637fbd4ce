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
