using DeepCurrent.Core.Messages;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Meetings;

/// <summary>What a meeting is about.</summary>
public enum PointKind
{
    /// <summary>A strand of comprehension.</summary>
    Strand,

    /// <summary>Reading aloud smoothly.</summary>
    Fluency,

    /// <summary>Words and what they mean.</summary>
    Words,
}

/// <summary>How it went for a reader: a height of water.</summary>
public enum SeenMark
{
    NotYet,
    WithHelp,
    Alone,
}

/// <summary>What was seen of a reader, in a ready phrase.</summary>
public enum Observation
{
    FoundSentence,
    SaidWhy,
    OwnLife,
    RepeatedText,
    ReadSmoothly,
    ReadAgain,
    CorrectedSelf,
    WordByWord,
    SaidMeaning,
    UsedWord,
    FromContext,
    GuessedWord,
}

/// <summary>One thing to teach, with what it rests on.</summary>
/// <param name="Strand">For that kind.</param>
/// <param name="Readers">Readers of the group who need it.</param>
public sealed record TeachingPoint(PointKind Kind, Strand? Strand, IReadOnlyList<ReaderId> Readers, Message Why);

/// <summary>What a reader's work says about points to teach.</summary>
/// <param name="Strands">First tries by strand over the last twelve weeks.</param>
/// <param name="Pace">Percentile of the rate of the last running record among readers of the grade; null where none
/// says.</param>
/// <param name="WordsMissed">Kept words that were not known when they were last asked.</param>
public sealed record PointEvidence(
    ReaderId Reader,
    IReadOnlyDictionary<Strand, (int Right, int Asked)> Strands,
    int? Pace,
    int WordsMissed
);

/// <summary>What to teach a group, from the evidence of its readers.</summary>
public static class TeachingPoints
{
    private const double Secure = 0.7;
    private const int SlowPace = 25,
        LeastAsked = 3,
        ManyWords = 3;

    /// <summary>Points that at least one reader needs, those that most need first; strands before others of as many.</summary>
    /// <param name="group">Evidence of its readers.</param>
    public static IReadOnlyList<TeachingPoint> For(IReadOnlyList<PointEvidence> group) =>
        [
            .. Enum.GetValues<Strand>()
                .Select(s => OfStrand(group, s))
                .Append(OfPace(group))
                .Append(OfWords(group))
                .Where(p => p.Readers.Count > 0)
                .OrderByDescending(p => p.Readers.Count)
                .ThenBy(p => p.Kind)
                .ThenBy(p => p.Strand is { } s ? Share(group, s) : 0),
        ];

    /// <summary>Which ready phrases a point offers.</summary>
    public static IReadOnlyList<Observation> Phrases(PointKind kind) =>
        kind switch
        {
            PointKind.Strand =>
            [
                Observation.FoundSentence,
                Observation.SaidWhy,
                Observation.OwnLife,
                Observation.RepeatedText,
            ],
            PointKind.Fluency =>
            [
                Observation.ReadSmoothly,
                Observation.ReadAgain,
                Observation.CorrectedSelf,
                Observation.WordByWord,
            ],
            PointKind.Words =>
            [
                Observation.SaidMeaning,
                Observation.UsedWord,
                Observation.FromContext,
                Observation.GuessedWord,
            ],
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "There is no such kind of point."),
        };

    private static TeachingPoint OfStrand(IReadOnlyList<PointEvidence> group, Strand strand)
    {
        var asked = group.Where(r => r.Strands.TryGetValue(strand, out var s) && s.Asked >= LeastAsked).ToList();
        var need = asked.Where(r => Mastery.Estimate(r.Strands[strand].Right, r.Strands[strand].Asked).Mean < Secure);
        var readers = need.Select(r => r.Reader).ToList();
        int right = asked.Sum(r => r.Strands[strand].Right),
            all = asked.Sum(r => r.Strands[strand].Asked);
        return new(
            PointKind.Strand,
            strand,
            readers,
            $"{readers.Count} of {group.Count} are not secure: {right} of {all} right on the first try in twelve weeks."
        );
    }

    private static TeachingPoint OfPace(IReadOnlyList<PointEvidence> group)
    {
        var readers = group.Where(r => r.Pace < SlowPace).Select(r => r.Reader).ToList();
        return new(
            PointKind.Fluency,
            null,
            readers,
            $"{readers.Count} of {group.Count} read aloud slower than three in four of their grade."
        );
    }

    private static TeachingPoint OfWords(IReadOnlyList<PointEvidence> group)
    {
        var readers = group.Where(r => r.WordsMissed >= ManyWords).Select(r => r.Reader).ToList();
        return new(
            PointKind.Words,
            null,
            readers,
            $"{readers.Count} of {group.Count} did not know three or more of their words when last asked."
        );
    }

    private static double Share(IReadOnlyList<PointEvidence> group, Strand strand)
    {
        var counts = group.Select(r => r.Strands.GetValueOrDefault(strand)).ToList();
        var asked = counts.Sum(c => c.Asked);
        return asked == 0 ? 1 : counts.Sum(c => c.Right) / (double)asked;
    }
}
