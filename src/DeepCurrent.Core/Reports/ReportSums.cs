using System.Text.Json.Serialization;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Reports;

/// <summary>First attempts at questions of one strand, by how they went on.</summary>
/// <param name="AtOnce">Right at the first try.</param>
/// <param name="Later">Right at another.</param>
/// <param name="NotYet">Wrong so far.</param>
public sealed record StrandTries(Strand Strand, int AtOnce, int Later, int NotYet)
{
    [JsonIgnore]
    public int Asked => AtOnce + Later + NotYet;
}

/// <summary>What somebody read and answered in a span.</summary>
/// <param name="Readings">Full readings.</param>
/// <param name="Openings">Openings that were no readings; they are in no other figure.</param>
/// <param name="Words">Of full readings.</param>
/// <param name="Seconds">Active time of full readings.</param>
/// <param name="Quizzes">Handed in and scored.</param>
/// <param name="Outside">Times of reading elsewhere, as readers tell it.</param>
/// <param name="OutsideMinutes">Of them.</param>
/// <param name="Strands">In the strands' order; those that were asked.</param>
public sealed record ReportSums(
    int Readings,
    int Openings,
    int Words,
    double Seconds,
    int Quizzes,
    int Outside,
    int OutsideMinutes,
    IReadOnlyList<StrandTries> Strands
)
{
    public static ReportSums Nothing { get; } = new(0, 0, 0, 0, 0, 0, 0, []);

    /// <summary>Fewer first tries at a strand say nothing of it.</summary>
    private const int FewestAsked = 3;

    /// <summary>A strand stands out where so much less of it was right than of the others.</summary>
    private const double StandsOut = 0.1;

    public int AtOnce => Strands.Sum(s => s.AtOnce);

    public int Later => Strands.Sum(s => s.Later);

    public int NotYet => Strands.Sum(s => s.NotYet);

    /// <summary>Share right at the first try; null where nothing was asked.</summary>
    public Probability? FirstTry => AtOnce + Later + NotYet is > 0 and var all ? new(AtOnce / (double)all) : null;

    /// <summary>The strand that is weakest by its posterior, where it stands out from the others; null where none
    /// does.</summary>
    public StrandTries? Weakest
    {
        get
        {
            var lowest = Strands
                .Where(s => s.Asked >= FewestAsked)
                .MinBy(s => (Mastery.Estimate(s.AtOnce, s.Asked).Mean, s.Strand));
            var (others, asked) = (AtOnce - (lowest?.AtOnce ?? 0), Strands.Sum(s => s.Asked) - (lowest?.Asked ?? 0));
            return
                lowest is not null
                && asked > 0
                && others / (double)asked - lowest.AtOnce / (double)lowest.Asked >= StandsOut
                ? lowest
                : null;
        }
    }

    /// <summary>All of some together.</summary>
    public static ReportSums Of(IEnumerable<ReportSums> all)
    {
        var list = all.ToList();
        return new(
            list.Sum(s => s.Readings),
            list.Sum(s => s.Openings),
            list.Sum(s => s.Words),
            list.Sum(s => s.Seconds),
            list.Sum(s => s.Quizzes),
            list.Sum(s => s.Outside),
            list.Sum(s => s.OutsideMinutes),
            [
                .. list.SelectMany(s => s.Strands)
                    .GroupBy(s => s.Strand)
                    .OrderBy(g => g.Key)
                    .Select(g => new StrandTries(
                        g.Key,
                        g.Sum(s => s.AtOnce),
                        g.Sum(s => s.Later),
                        g.Sum(s => s.NotYet)
                    )),
            ]
        );
    }
}
