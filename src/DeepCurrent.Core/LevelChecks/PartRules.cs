namespace DeepCurrent.Core.LevelChecks;

/// <summary>How a part of a level check stands for one reader.</summary>
public enum PartState
{
    Waiting,
    UnderWay,
    Done,
    Skipped,
}

/// <summary>What a finished part can be trusted for.</summary>
public enum PartFlag
{
    Fine,

    /// <summary>More than a quarter of the answers came faster than the questions could be read.</summary>
    TooFast,

    /// <summary>Fewer than three in ten questions were answered.</summary>
    Thin,

    /// <summary>Not done, though the check is over.</summary>
    Missing,
}

/// <summary>One answer of a part.</summary>
public readonly record struct PartAnswer(bool Correct, bool TooFast);

/// <summary>What is known of a reader when it is decided whether a part is for them.</summary>
/// <param name="Depth">Fathoms.</param>
/// <param name="Mastered">The part was mastered in an earlier check of the school year.</param>
/// <param name="WordsRead">Share of words read right in this check's word reading; null where it was not done.</param>
public readonly record struct PartReader(double Depth, bool Mastered, double? WordsRead);

/// <summary>Rules about the parts of a level check: who is spared one, what a finished one is worth, who is given which
/// again.</summary>
public static class PartRules
{
    private const double MostTooFast = 0.25,
        FewestAnswered = 0.30,
        MasteredFrom = 0.90,
        DecodesFrom = 0.60;

    /// <summary>Standard deviation with which word reading speaks of a reader's depth beyond its own error, fm: reading
    /// words and understanding texts are two skills.</summary>
    public const double OtherSkillSd = 6;

    /// <summary>Note of a part that its reader was in the middle of when the check ended; answers given before the end
    /// may still come.</summary>
    public const string CutOff = "ended";

    /// <summary>Note of a part for which the library has nothing that fits.</summary>
    public const string NothingFits = "nothing-fits";

    /// <summary>Note of a part that was given again.</summary>
    public const string GivenAgain = "given-again";

    private const string Shallower = "shallower:",
        Deeper = "deeper:",
        MasteredBefore = "mastered",
        Undecoding = "undecoding";

    /// <summary>Why a reader skips a part, as it is kept; null if they do not.</summary>
    public static string? Spared(PartPlan part, PartReader reader) =>
        part.SkipBelow is { } low && reader.Depth < low ? FormattableString.Invariant($"{Shallower}{low:0.#}")
        : part.SkipAbove is { } high && reader.Depth > high ? FormattableString.Invariant($"{Deeper}{high:0.#}")
        : part.SkipMastered && reader.Mastered ? MasteredBefore
        : part.SkipUndecoding && reader.WordsRead < DecodesFrom ? Undecoding
        : null;

    /// <summary>The note of a part in words.</summary>
    public static Message Said(string note) =>
        note switch
        {
            "" => Message.Nothing,
            CutOff => $"the check ended",
            NothingFits => $"no text fits",
            GivenAgain => $"given again",
            MasteredBefore => $"mastered before",
            Undecoding => $"not yet decoding",
            _ when note.StartsWith(Shallower, StringComparison.Ordinal) =>
                $"shallower than {note[Shallower.Length..]} fm",
            _ when note.StartsWith(Deeper, StringComparison.Ordinal) => $"deeper than {note[Deeper.Length..]} fm",
            _ => $"{note}",
        };

    /// <summary>What a finished part can be trusted for.</summary>
    /// <param name="asked">Questions that were put to the reader; at least 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">There are more answers than questions.</exception>
    public static PartFlag Judge(int asked, IReadOnlyList<PartAnswer> answers)
    {
        if (answers.Count > asked)
            throw new ArgumentOutOfRangeException(nameof(asked), asked, "There are more answers than questions.");
        if (answers.Count == 0 || answers.Count < FewestAnswered * asked)
            return PartFlag.Thin;
        return answers.Count(a => a.TooFast) > MostTooFast * answers.Count ? PartFlag.TooFast : PartFlag.Fine;
    }

    /// <summary>Whether a part was mastered: done so that it can be trusted, with nine of ten right.</summary>
    public static bool Mastered(PartFlag flag, double? shareRight) =>
        flag is PartFlag.Fine && shareRight >= MasteredFrom;

    /// <summary>Whether a part is still to do.</summary>
    public static bool Left(PartState state) => state is PartState.Waiting or PartState.UnderWay;

    /// <summary>Whether a part should be given to a reader again.</summary>
    /// <param name="over">The check is over, so that what was not done is missing.</param>
    public static bool Again(PartState state, PartFlag flag, bool over) =>
        state switch
        {
            PartState.Skipped => false,
            PartState.Done => flag is not PartFlag.Fine,
            _ => over,
        };

    /// <summary>How a part stands as its flag: what is not done when the check is over is missing.</summary>
    public static PartFlag FlagOf(PartState state, PartFlag judged, bool over) =>
        state is PartState.Done ? judged
        : state is not PartState.Skipped && over ? PartFlag.Missing
        : PartFlag.Fine;

    /// <summary>Time a reader has for a part.</summary>
    /// <param name="moreTime">Percent of the usual time the reader is allowed, 100 to 300.</param>
    public static TimeSpan Limit(PartPlan part, int moreTime) => TimeSpan.FromMinutes(part.Minutes * moreTime / 100.0);
}
