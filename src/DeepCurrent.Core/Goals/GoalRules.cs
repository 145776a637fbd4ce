using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Goals;

/// <summary>Whether a goal will be reached.</summary>
public enum Course
{
    Reached,
    OnCourse,
    SlightlyBehind,
    Behind,
}

/// <summary>What one week of school brought.</summary>
/// <param name="Words">Words read with at least the score a text is understood from.</param>
/// <param name="Scores">First-attempt scores of the quizzes handed in, 0 to 1.</param>
/// <param name="Days">School days of it that are gone, and on which the reader was in the class.</param>
public sealed record WeekOfReading(double Words, IReadOnlyList<double> Scores, double Days = 5);

/// <summary>How a goal stands.</summary>
/// <param name="Done">So far, in the goal's own unit: percent, words or fathoms.</param>
/// <param name="DueNow">What would be done by now on an even course.</param>
/// <param name="Chance">Probability that the goal is reached by the end of the term: 1 once it is, else never surer than
/// 19 in 20 nor less than 1 in 20.</param>
public sealed record GoalStanding(double Done, double DueNow, double Target, double Chance, Course Course);

/// <summary>What holds of goals of every kind.</summary>
public static class GoalRules
{
    /// <summary>How likely a goal should be unless a teacher says otherwise.</summary>
    public const double UsualLikely = 0.7;

    /// <summary>No chance is said to be surer than this, or less sure than what it leaves: one in twenty.</summary>
    private const double Surest = 0.95;

    /// <summary>How likely goals can be asked to be, from safe to stretch.</summary>
    public static readonly IReadOnlyList<double> Ambitions = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3];

    // Typical silent rate at the end of grades 1 to 12, words a minute.
    private static readonly double[] SilentRates = [80, 115, 138, 158, 173, 185, 195, 204, 214, 224, 237, 250];

    /// <summary>Typical silent reading rate at a depth, in words a minute.</summary>
    /// <remarks>Taylor, S. E. (1965), Eye movements in reading: facts and fallacies. American Educational Research
    /// Journal 2, 187–202.</remarks>
    public static double SilentRate(Fathoms depth, LevelChart chart)
    {
        var grade = Math.Clamp(chart.GradeAt(depth), 0, 12);
        if (grade <= 1)
            return 50 + grade * (SilentRates[0] - 50);
        var i = Math.Min((int)grade, 11);
        return SilentRates[i - 1] + (grade - i) * (SilentRates[i] - SilentRates[i - 1]);
    }

    /// <summary>A chance as it may be said.</summary>
    public static double Said(double chance) => Math.Clamp(chance, 1 - Surest, Surest);

    /// <summary>A figure that people would set, at most what it is made of, within what the kind allows; 0 where no goal
    /// of words follows.</summary>
    public static double Rounded(GoalKind kind, double value)
    {
        var step =
            kind is GoalKind.Comprehension ? 1
            : kind is GoalKind.Depth ? 0.5
            : value < 2_000 ? 50
            : value < 10_000 ? 100
            : 500;
        var (least, most) = kind.Bounds();
        // Where nothing is read yet, no goal of words follows from it.
        if (kind is GoalKind.Words && value < step)
            return 0;
        return Math.Clamp(Math.Floor(value / step + 1e-9) * step, least, most);
    }

    /// <summary>Days after a term in which what was nearly reached may be called met.</summary>
    public const int DaysToCallMet = 14;

    /// <summary>How near is near, in the kind's own unit: a tenth of the words, three points of percent, one
    /// fathom.</summary>
    private static double Near(GoalKind kind, double target) =>
        kind switch
        {
            GoalKind.Words => target / 10,
            GoalKind.Comprehension => 3,
            GoalKind.Depth => 1,
            _ => throw GoalKindRules.Unknown(kind),
        };

    /// <summary>Whether a goal of a term that is over was missed by so little that a teacher may call it met.</summary>
    /// <param name="lastDay">Of the term.</param>
    public static bool MayCallMet(GoalKind kind, double done, double target, DateOnly lastDay, DateOnly today) =>
        today > lastDay
        && today <= lastDay.AddDays(DaysToCallMet)
        && done < target
        && done >= target - Near(kind, target);

    /// <summary>Where a goal is on its way.</summary>
    public static Course CourseOf(bool reached, double chance) =>
        reached ? Course.Reached
        : chance >= 0.5 ? Course.OnCourse
        : chance >= 0.25 ? Course.SlightlyBehind
        : Course.Behind;
}
