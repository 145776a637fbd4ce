using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;

namespace DeepCurrent.Core.LevelChecks;

/// <summary>A section of a level check, in the order in which sections make sense.</summary>
public enum CheckPart
{
    WordReading,
    WordMeaning,
    Maze,
    Passages,
}

/// <summary>Where a check starts looking for a reader's level.</summary>
public enum CheckStart
{
    /// <summary>At what is known of the reader.</summary>
    OwnLevel,

    /// <summary>In a band of depths that the teacher chose, for everybody the same.</summary>
    Band,
}

/// <summary>One part as a teacher has picked it, with who is spared it.</summary>
/// <param name="Minutes">Time limit, 1 to 60; a maze passage is always this long.</param>
/// <param name="SkipBelow">Readers shallower than this are spared, fm; null for nobody.</param>
/// <param name="SkipAbove">Readers deeper than this are spared, fm; null for nobody.</param>
/// <param name="SkipMastered">Readers who mastered the part in an earlier check of the school year are spared.</param>
/// <param name="SkipUndecoding">Readers who do not yet decode, as the word reading of the same check shows, are
/// spared.</param>
public sealed record PartPlan(
    CheckPart Part,
    int Minutes,
    double? SkipBelow = null,
    double? SkipAbove = null,
    bool SkipMastered = false,
    bool SkipUndecoding = false
);

/// <summary>What a level check is made of.</summary>
/// <param name="From">The shallow end of the band, fm; of no use where it starts at the reader's own level.</param>
/// <param name="To">The deep end of the band, fm.</param>
/// <param name="TimerShown">Whether readers see the time; it is kept all the same.</param>
/// <param name="MostPassages">1 to 8.</param>
/// <param name="SureAt">Passages end when the level is this sure (standard deviation, fm), 1.5 to 6.</param>
/// <param name="APartADay">A part opens on the day after the one before it was finished.</param>
/// <param name="Form">Versions that everybody reads, in this order; empty where passages are chosen for each
/// reader.</param>
public sealed record CheckPlan(
    IReadOnlyList<PartPlan> Parts,
    CheckStart Start,
    double From,
    double To,
    bool TimerShown,
    int MostPassages,
    double SureAt,
    bool APartADay,
    IReadOnlyList<VersionId> Form
)
{
    /// <summary>Questions asked in the two word parts.</summary>
    public const int WordStages = 3,
        WordsAStage = 5;

    /// <summary>Parts that teachers start from.</summary>
    public static readonly IReadOnlyList<PartPlan> Usual =
    [
        new(CheckPart.WordReading, 4),
        new(CheckPart.WordMeaning, 6),
        new(CheckPart.Maze, 3),
        new(CheckPart.Passages, 30),
    ];

    private const double SecondsAWord = 6,
        SecondsAMeaning = 12,
        SecondsAQuestion = 22;
    private const int QuestionsAPassage = 6;

    /// <summary>What keeps the plan from being given, in a sentence; null where nothing does.</summary>
    public Message? Fault()
    {
        if (Parts.Count == 0)
            return $"Choose at least one part.";
        if (Parts.Select(p => p.Part).Distinct().Count() != Parts.Count || Parts.Any(p => !Enum.IsDefined(p.Part)))
            return $"Choose each part only once.";
        if (Parts.Any(p => p.Minutes is < 1 or > 60))
            return $"Enter 1 to 60 minutes.";
        if (Parts.Any(p => p.SkipBelow > p.SkipAbove))
            return $"This part skips everyone. Set “below” shallower than “above”.";
        if (Parts.Any(p => p.SkipUndecoding) && Parts.All(p => p.Part is not CheckPart.WordReading))
            return $"Add the word reading part: it shows who is not yet decoding.";
        if (!(From >= Fathoms.Shallowest && To <= Fathoms.Deepest && From < To))
            return $"Set the band from a shallower to a deeper depth.";
        if (MostPassages is < 1 or > 8)
            return $"Enter 1 to 8 passages.";
        if (!(SureAt is >= 1.5 and <= 6))
            return $"Enter 1.5 to 6 fm.";
        if (Form.Count > 8 || Form.Distinct().Count() != Form.Count)
            return $"Choose at most 8 passages, each once.";
        return null;
    }

    /// <summary>Minutes a part is expected to take a reader; never more than its limit.</summary>
    public double Expected(PartPlan part, Fathoms depth, LevelChart chart) =>
        Math.Min(
            part.Minutes,
            part.Part switch
            {
                CheckPart.WordReading => WordStages * WordsAStage * SecondsAWord / 60,
                CheckPart.WordMeaning => WordStages * WordsAStage * SecondsAMeaning / 60,
                CheckPart.Maze => part.Minutes,
                _ => Passages
                    * (
                        PassageWords(depth) / GoalRules.SilentRate(depth, chart)
                        + QuestionsAPassage * SecondsAQuestion / 60
                    ),
            }
        );

    private int Passages => Form.Count > 0 ? Form.Count : MostPassages;

    /// <summary>Words of a passage of that depth: shallow ones are short.</summary>
    private static double PassageWords(Fathoms depth) => Math.Clamp(60 + 9 * depth.Value, 60, 700);

    /// <summary>The band as limits on passages; none where the check starts at the reader's own level.</summary>
    public CheckLimits Limits =>
        new(
            Start is CheckStart.Band ? From : Fathoms.Shallowest,
            Start is CheckStart.Band ? To : Fathoms.Deepest,
            MostPassages,
            SureAt
        );

    public PartPlan? Of(CheckPart part) => Parts.FirstOrDefault(p => p.Part == part);
}
