using DeepCurrent.Core.Depth;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;

namespace DeepCurrent.Core.Conferences;

/// <summary>How a reader's figures are said to families: no fathoms, no chances, nobody beside the reader.</summary>
public static class PlainWords
{
    /// <summary>Fathoms in six weeks from which texts are called harder, or easier.</summary>
    private const double Moved = 0.8;

    /// <summary>The level: the part of the grade whose texts are read.</summary>
    public static Message Level(School school, string name, Fathoms depth)
    {
        var grade = school.Chart.GradeAt(depth);
        var level = school.LevelName(depth);
        return (grade - Math.Floor(grade)) switch
        {
            0 or > 0.75 => $"{name} reads texts typical of the end of {level}.",
            > 0.4 => $"{name} reads texts typical of the middle of {level}.",
            _ => $"{name} reads texts typical of the start of {level}.",
        };
    }

    /// <param name="sixWeeks">Change of the level in six weeks, fm; null where there was none to compare with.</param>
    public static Message Trend(string name, double? sixWeeks) =>
        sixWeeks switch
        {
            null => $"Not enough reading yet to compare.",
            > Moved => $"{name} reads harder texts than six weeks ago.",
            < -Moved => $"{name} reads slightly easier texts than six weeks ago.",
            _ => $"{name} reads about the same texts as six weeks ago.",
        };

    /// <summary>What a strand is, in everyday words.</summary>
    public static Message Strand(Strand strand) =>
        strand switch
        {
            Questions.Strand.Retrieve => $"Finding facts",
            Questions.Strand.Infer => $"Working out what is not said",
            Questions.Strand.WordMeaning => $"Knowing what a word means",
            Questions.Strand.Summarise => $"Saying what a text is about",
            Questions.Strand.Structure => $"Seeing how a text is built",
            Questions.Strand.AuthorsCraft => $"Seeing why a writer chose a word",
            Questions.Strand.Connect => $"Linking a text to other things",
            _ => throw new ArgumentOutOfRangeException(nameof(strand), strand, "There is no such strand."),
        };

    /// <summary>What helps at home with a strand.</summary>
    public static Message AtHome(Strand strand) =>
        strand switch
        {
            Questions.Strand.Retrieve => $"After a page, ask: “What happened? Show me where it says so.”",
            Questions.Strand.Infer => $"After a page, ask: “Why did they do that? Which words tell you?”",
            Questions.Strand.WordMeaning =>
                $"When a word is new, read the sentence again together and guess before you look it up.",
            Questions.Strand.Summarise => $"At the end, ask: “What was it about? Tell me in two sentences.”",
            Questions.Strand.Structure =>
                $"Before you start, look at the headings and pictures together: “What comes where?”",
            Questions.Strand.AuthorsCraft => $"Pick a word you both like and ask: “Why this word and not another?”",
            Questions.Strand.Connect =>
                $"Ask: “What does this remind you of? Have you read or seen something like it?”",
            _ => throw new ArgumentOutOfRangeException(nameof(strand), strand, "There is no such strand."),
        };

    /// <summary>What was read otherwise than it stands there, in a sentence; null where a mark says nothing of that.</summary>
    public static Message? Miscue(ReadingMark m) =>
        m.Kind switch
        {
            MarkKind.SelfCorrection => $"“{m.Expected}” read as “{m.Heard}”, then corrected.",
            MarkKind.Substitution => $"“{m.Expected}” read as “{m.Heard}”.",
            MarkKind.Omission => $"“{m.Expected}” left out.",
            MarkKind.Told => $"“{m.Expected}” was told.",
            MarkKind.Insertion => $"“{m.Heard}” added.",
            _ => null,
        };

    /// <summary>Fathoms either way of a level that a line from easy to hard shows to a family.</summary>
    private const double LineReaches = 15;

    /// <summary>Where a depth stands on a family's line from easy to hard: 0.5 is the level, 0 and 1 the ends.</summary>
    public static double OnLine(Fathoms depth, Fathoms level) =>
        Math.Clamp(0.5 + ((depth - level) / (2 * LineReaches)), 0, 1);

    private const double RoundWeek = 50;

    /// <summary>Words a school week that are still to be read for a goal, rounded up to fifties.</summary>
    /// <param name="schoolDaysLeft">Until the goal's last day.</param>
    /// <returns>Null where it is reached, or no school day is left.</returns>
    public static int? AWeek(double target, double done, int schoolDaysLeft) =>
        done >= target || schoolDaysLeft <= 0
            ? null
            : (int)(Math.Ceiling((target - done) / Math.Max(1, schoolDaysLeft / 5.0) / RoundWeek) * RoundWeek);

    private const int FewestAsked = 3,
        MostNext = 3;
    private const double WellFrom = 0.75;

    /// <summary>Strands that go well and strands that come next. Those asked of too little stand in neither.</summary>
    /// <param name="strands">First tries: how many were right of how many.</param>
    /// <returns>Well, best first; next, weakest first, at least one where anything was asked.</returns>
    public static (IReadOnlyList<MasteryOf> Well, IReadOnlyList<MasteryOf> Next) Parted(IEnumerable<MasteryOf> strands)
    {
        var known = strands.Where(s => s.Asked >= FewestAsked).OrderBy(s => s.Mean).ThenBy(s => s.Strand).ToList();
        var next = known.Where((s, i) => i == 0 || s.Mean < WellFrom).Take(MostNext).ToList();
        return ([.. known.Except(next).OrderByDescending(s => s.Mean)], next);
    }
}

/// <summary>First tries at one strand.</summary>
public sealed record MasteryOf(Strand Strand, int Right, int Asked)
{
    /// <summary>By its posterior, so that few answers say little.</summary>
    public double Mean { get; } = Mastery.Estimate(Right, Asked).Mean;
}
