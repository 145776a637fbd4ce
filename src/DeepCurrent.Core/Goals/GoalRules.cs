using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Goals;

/// <summary>The paces of growth a goal can ask for: the level chart's typical growth, half as much again, and twice as
/// much.</summary>
public enum Pace
{
    Steady,
    Brisk,
    Swift,
}

/// <summary>Whether a goal will be reached.</summary>
public enum Course
{
    Reached,
    OnCourse,
    SlightlyBehind,
    Behind,
}

/// <summary>What one week of the term brought.</summary>
/// <param name="Words">Words read with at least the score a text is understood from.</param>
/// <param name="Scores">First-attempt scores of the quizzes handed in, 0 to 1.</param>
public sealed record WeekOfReading(double Words, IReadOnlyList<double> Scores);

/// <summary>How a goal stands.</summary>
/// <param name="Done">So far, in the goal's own unit: percent, words or fathoms.</param>
/// <param name="DueNow">What would be done by now on an even course.</param>
/// <param name="Chance">Probability that the goal is reached by the end of the term.</param>
public sealed record GoalStanding(double Done, double DueNow, double Target, double Chance, Course Course);

/// <summary>Suggests goals and says how they stand.</summary>
public static class GoalRules
{
    private const int Simulations = 2000;
    private const double More = 1.25;

    /// <summary>No chance is said to be surer than this, or less sure than what it leaves: one in twenty.</summary>
    private const double Surest = 0.95;

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

    /// <summary>Suggested words for a term: what was read so far, and in each week to come a quarter more than in the
    /// reader's own usual week, rounded as people round.</summary>
    /// <param name="done">Words so far this term.</param>
    /// <param name="weekly">The reader's usual words a week; where there are none yet, half of what the class
    /// reads.</param>
    /// <param name="most">Words a week that the school's minutes a day would come to: no suggestion asks more.</param>
    /// <param name="weeksLeft">School weeks to come, at least 0.</param>
    public static double SuggestWords(double done, double weekly, double most, double weeksLeft)
    {
        var wanted = done + Math.Min(most, weekly * More) * weeksLeft;
        var step =
            wanted < 2_000 ? 50
            : wanted < 10_000 ? 100
            : 500;
        return Math.Max(200, Math.Round(wanted / step) * step);
    }

    /// <summary>Suggested comprehension for a term, in percent: five above the mean so far, in steps of five, between
    /// 70 and 90; 80 where nothing has been read.</summary>
    public static double SuggestComprehension(IReadOnlyList<double> scores) =>
        scores.Count == 0 ? 80 : Math.Clamp(Math.Round((scores.Average() * 100 + 5) / 5) * 5, 70, 90);

    /// <summary>Suggested depth at the end of a term: depth now plus pace times the school weeks left.</summary>
    public static Fathoms SuggestDepth(Fathoms now, Pace pace, double schoolWeeksLeft, LevelChart chart) =>
        now
        + chart.GrowthPerWeek(now)
            * Math.Max(0, schoolWeeksLeft)
            * (
                pace switch
                {
                    Pace.Steady => 1,
                    Pace.Brisk => 1.5,
                    _ => 2,
                }
            );

    /// <summary>How a words goal stands, from the reader's own weeks.</summary>
    /// <param name="weeks">The term's weeks so far, oldest first.</param>
    /// <param name="weeksLeft">School weeks to come, at least 0.</param>
    /// <param name="gone">Share of the term's school days gone, 0 to 1.</param>
    public static GoalStanding Words(double target, IReadOnlyList<WeekOfReading> weeks, double weeksLeft, double gone)
    {
        var done = weeks.Sum(w => w.Words);
        var chance = Chance(
            weeks,
            weeksLeft,
            drawn => done + drawn.Sum(d => d.Week.Words * d.Part) >= target,
            done >= target
        );
        return new(done, target * gone, target, chance, CourseOf(done >= target, chance));
    }

    /// <summary>How a comprehension goal stands: the mean first-attempt score in percent at the end of the
    /// term.</summary>
    public static GoalStanding Comprehension(double target, IReadOnlyList<WeekOfReading> weeks, double weeksLeft)
    {
        var scores = weeks.SelectMany(w => w.Scores).ToList();
        var mean = scores.Count == 0 ? 0 : scores.Average() * 100;
        double sum = scores.Sum();
        var chance = Chance(
            weeks,
            weeksLeft,
            drawn =>
            {
                double total = sum,
                    n = scores.Count;
                foreach (var (week, part) in drawn)
                {
                    total += week.Scores.Sum() * part;
                    n += week.Scores.Count * part;
                }
                return n > 0 && total / n * 100 >= target;
            },
            certain: false
        );
        return new(mean, target, target, chance, CourseOf(false, chance));
    }

    /// <summary>Weeks drawn again from those there were, never 0 or 1, with a fixed seed, so that the same facts always
    /// give the same chance.</summary>
    private static double Chance(
        IReadOnlyList<WeekOfReading> weeks,
        double weeksLeft,
        Func<IReadOnlyList<(WeekOfReading Week, double Part)>, bool> reached,
        bool certain
    )
    {
        if (certain)
            return 1;
        if (weeks.Count == 0)
            return 0.5;
        var random = new Random(1807);
        var drawn = new List<(WeekOfReading, double)>();
        var hits = 0;
        for (var i = 0; i < Simulations; i++)
        {
            drawn.Clear();
            for (var left = weeksLeft; left > 0; left--)
                drawn.Add((weeks[random.Next(weeks.Count)], Math.Min(1, left)));
            if (reached(drawn))
                hits++;
        }
        return Math.Clamp(hits / (double)Simulations, 1 - Surest, Surest);
    }

    private static Course CourseOf(bool reached, double chance) =>
        reached ? Course.Reached
        : chance >= 0.5 ? Course.OnCourse
        : chance >= 0.25 ? Course.SlightlyBehind
        : Course.Behind;
}
