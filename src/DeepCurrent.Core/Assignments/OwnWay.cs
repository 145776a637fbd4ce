using DeepCurrent.Core.Roster;
using DeepCurrent.Core.WordLists;

namespace DeepCurrent.Core.Assignments;

/// <summary>How one reader does a task otherwise than the rest; what is null is as it is for everybody.</summary>
/// <param name="Attempts">Tries of a question, 1 to 3.</param>
/// <param name="OnTheWay">Whether the questions between the paragraphs are asked.</param>
/// <param name="Aloud">To be read aloud and recorded.</param>
/// <param name="DueOn">The reader's own last day; it never closes before that.</param>
/// <param name="AtOnce">Words that are practised at once.</param>
/// <param name="By">By what the words are asked.</param>
/// <param name="ReadAloud">Whether text and questions may be read aloud to the reader.</param>
/// <param name="OneChoice">Whether choices are shown one at a time.</param>
/// <param name="TextSize">0 usual, 1 larger, 2 largest.</param>
public sealed record OwnWay(
    int? Attempts = null,
    bool? OnTheWay = null,
    bool? Aloud = null,
    DateOnly? DueOn = null,
    int? AtOnce = null,
    WordPractice? By = null,
    bool? ReadAloud = null,
    bool? OneChoice = null,
    int? TextSize = null
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
        if (TextSize is < 0 or > Supports.LargestText)
            yield return ("textSize", $"Choose a text size.");
        if (DueOn < terms.VisibleFrom)
            yield return ("ownDue", $"It is due before readers see it. Choose a later day.");
        else if (DueOn is not null && terms.DueOn is null)
            yield return ("ownDue", $"This is never due. Leave the day out, or choose a day for everybody, too.");
    }

    /// <summary>A reader's supports within one assignment: what is said here goes before what holds
    /// everywhere.</summary>
    public Supports Within(Supports everywhere) =>
        everywhere with
        {
            ReadAloud = ReadAloud ?? everywhere.ReadAloud,
            OneChoice = OneChoice ?? everywhere.OneChoice,
            TextSize = TextSize ?? everywhere.TextSize,
        };

    /// <summary>The same some days later; earlier below 0.</summary>
    public OwnWay Moved(int days) => this with { DueOn = DueOn?.AddDays(days) };
}
