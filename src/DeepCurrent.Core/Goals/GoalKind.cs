namespace DeepCurrent.Core.Goals;

/// <summary>What a goal of a term is about.</summary>
public enum GoalKind
{
    /// <summary>Mean first-attempt score, percent.</summary>
    Comprehension,

    /// <summary>Words of texts that were read and understood.</summary>
    Words,
}
