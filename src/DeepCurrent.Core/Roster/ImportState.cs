namespace DeepCurrent.Core.Roster;

/// <summary>Where a roster file stands.</summary>
public enum ImportState
{
    Waiting,
    Working,
    Ready,
    Applied,
    Failed,

    /// <summary>It was applied, and that was taken back.</summary>
    Undone,
}

/// <summary>What is to be done with a roster file.</summary>
public enum ImportTask
{
    /// <summary>Find out what it would do.</summary>
    Preview,

    /// <summary>Do it.</summary>
    Apply,
}

/// <summary>What a worker is doing with a roster file.</summary>
public enum ImportStage
{
    Reading,
    Comparing,
    Writing,
}

public static class ImportStates
{
    /// <summary>Whether a worker has it or is about to: it cannot be asked for anything else meanwhile.</summary>
    public static bool Busy(ImportState state) => state is ImportState.Waiting or ImportState.Working;
}
