using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;

namespace DeepCurrent.Core.LevelChecks;

/// <summary>A question of a level check and how it was answered.</summary>
/// <param name="Difficulty">Fathoms.</param>
public readonly record struct CheckAnswer(double Difficulty, double Guess, bool Correct, bool TooFast);

/// <summary>What is known of a reader in the middle of a level check.</summary>
public static class CheckMeasure
{
    /// <summary>How widely a reader's word reading may lie from where they are thought to be, fm (sd).</summary>
    private const double LooselySd = 20;

    /// <summary>What a check starts from: what is known of the reader, or the middle of a band with its ends as the 90
    /// % interval.</summary>
    public static DepthDistribution Begin(CheckPlan plan, Fathoms mean, double sd)
    {
        if (plan.Start is CheckStart.OwnLevel)
            return DepthDistribution.Normal(mean.Value, Math.Max(sd, 0.5));
        const double Ninety = 3.29;
        return DepthDistribution.Normal((plan.From + plan.To) / 2, Math.Max((plan.To - plan.From) / Ninety, 4));
    }

    /// <summary>What is known after some answers; those given too fast say nothing.</summary>
    public static DepthDistribution After(DepthDistribution begin, IEnumerable<CheckAnswer> answers)
    {
        foreach (var a in answers)
            if (!a.TooFast)
                begin.TimesAnswer(a.Difficulty, a.Guess, a.Correct);
        return begin;
    }

    /// <summary>What word reading says of a reader's depth: a level, and how far it may be off.</summary>
    /// <param name="mean">Where the reader was thought to be; it is held loosely.</param>
    public static (Fathoms Value, double Sd) WordReading(Fathoms mean, IEnumerable<CheckAnswer> answers)
    {
        var found = After(DepthDistribution.Normal(mean.Value, LooselySd), answers).Estimate(default);
        return (found.Mean, Math.Sqrt(found.Sd * found.Sd + PartRules.OtherSkillSd * PartRules.OtherSkillSd));
    }
}
