using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Tickets;

/// <summary>What a reader did for a task without a text, in one round.</summary>
/// <param name="Words">Written.</param>
/// <param name="Mark">Of what was written; null until a person has marked it.</param>
public sealed record Reply(
    string Words,
    IReadOnlyList<PractisedWord> Practised,
    GivenMark? Mark = null,
    string Comment = ""
)
{
    public static readonly Reply None = new("", []);

    /// <summary>Whether there is something in it.</summary>
    public bool Begun => !string.IsNullOrWhiteSpace(Words) || Practised.Count > 0;

    /// <summary>Why it cannot be handed in yet; null where it can.</summary>
    /// <param name="words">Words of the list, where it is one.</param>
    public Message? Lacks(TaskKind kind, int words) =>
        kind switch
        {
            TaskKind.Written when string.IsNullOrWhiteSpace(Words) => $"Write your answer first.",
            TaskKind.Words when !Practice.Whole(Practised, words) => $"Practise every word first.",
            _ => null,
        };

    /// <summary>What it comes to: 0 to 1, or null where nobody has marked it and where there is nothing to
    /// score.</summary>
    public Probability? Score(TaskKind kind) =>
        kind switch
        {
            TaskKind.Written => Mark?.Share,
            TaskKind.Words => Practice.Score(Practised),
            _ => null,
        };
}
