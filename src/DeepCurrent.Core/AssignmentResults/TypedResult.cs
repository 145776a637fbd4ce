using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.AssignmentResults;

/// <summary>A result that came from elsewhere, as a teacher typed it.</summary>
/// <param name="Points">From 0 to the most there were, in halves.</param>
/// <param name="Of">The most there were, 1 to <see cref="MostPoints"/>.</param>
public sealed record TypedResult(double Points, int Of)
{
    public const int MostPoints = 1000;

    public Probability Share => new(Points / Of);

    /// <summary>Why these points cannot be a result; null where they can.</summary>
    public static Message? Fault(double points, int of) =>
        of is < 1 or > MostPoints ? $"Enter 1 to {MostPoints} points."
        : double.IsNaN(points) || points < 0 || points > of ? $"Enter 0 to {of} points."
        : Math.Abs((points * 2) - Math.Round(points * 2)) > 1e-9 ? (Message)$"Enter whole or half points."
        : null;

    /// <summary>Whether results of a task can be typed: those that nothing here scores.</summary>
    /// <param name="asks">Questions of a quiz are asked.</param>
    public static bool For(TaskKind kind, bool asks) => kind is not TaskKind.Written && !asks;
}
