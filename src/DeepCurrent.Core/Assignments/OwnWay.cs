using DeepCurrent.Core.WordLists;

namespace DeepCurrent.Core.Assignments;

/// <summary>How one reader does a task otherwise than the rest; what is null is as it is for everybody.</summary>
/// <param name="Attempts">Tries of a question, 1 to 3.</param>
/// <param name="OnTheWay">Whether the questions between the paragraphs are asked.</param>
/// <param name="Aloud">To be read aloud and recorded.</param>
/// <param name="DueOn">The reader's own last day; it never closes before that.</param>
/// <param name="AtOnce">Words that are practised at once.</param>
/// <param name="By">By what the words are asked.</param>
public sealed record OwnWay(
    int? Attempts = null,
    bool? OnTheWay = null,
    bool? Aloud = null,
    DateOnly? DueOn = null,
    int? AtOnce = null,
    WordPractice? By = null
)
{
    public const int MostAttempts = 3;

    /// <summary>What is wrong with it, by field.</summary>
    /// <param name="terms">Of the assignment, for everybody.</param>
    public IEnumerable<(string Field, Message Sentence)> Faults(AssignmentTerms terms)
    {
        if (Attempts is < 1 or > MostAttempts)
            yield return ("attempts", $"Choose 1 to 3 tries.");
        if (AtOnce is < TaskContent.FewestAtOnce or > WordListRules.AtOnce)
            yield return ("atOnce", $"Choose {TaskContent.FewestAtOnce} to {WordListRules.AtOnce} words.");
        if (DueOn < terms.VisibleFrom)
            yield return ("ownDue", $"It is due before readers see it. Choose a later day.");
        else if (DueOn is not null && terms.DueOn is null)
            yield return ("ownDue", $"This is never due. Leave the day out, or choose a day for everybody, too.");
    }

    /// <summary>The same some days later; earlier below 0.</summary>
    public OwnWay Moved(int days) => this with { DueOn = DueOn?.AddDays(days) };
}
