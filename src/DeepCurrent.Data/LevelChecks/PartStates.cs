using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>Sets of parts' states and flags as lists for a query, made from the rules.</summary>
internal static class PartStates
{
    /// <summary>States of parts that are still to do.</summary>
    public static readonly string Left = Members.Where<PartState>(PartRules.Left);

    /// <summary>Flags of parts that are done and should be given again.</summary>
    public static readonly string Doubtful = Members.Where<PartFlag>(f =>
        PartRules.Again(PartState.Done, f, over: true)
    );
}
