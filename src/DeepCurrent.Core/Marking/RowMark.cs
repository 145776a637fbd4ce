using System.Text.RegularExpressions;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Marking;

/// <summary>Points proposed row by row of a rubric: the most whose own words an answer says.</summary>
/// <remarks>Weighted overlap of word stems, as in <see cref="ProposedMark"/>, with the words of one point alone: what the
/// point below it says already tells nothing. A point that asks for a reason wants one given about what is asked.</remarks>
internal static partial class RowMark
{
    /// <summary>So much of what a point asks for, by weight, earns it.</summary>
    private const double Enough = 0.3;

    public static Proposal For(AnswerKey key, string answer)
    {
        var said = AnswerWords.Of(answer);
        var stems = said.Select(w => w.Stem).ToHashSet();
        var asked = AnswerWords.Of(key.Stem).Select(w => w.Stem).ToHashSet();
        var reasons = AnswerWords.CountReasons(answer);
        var about = About(key).Except(asked).ToHashSet();
        var heard = new HashSet<string>();

        bool Earns(Criterion row, int points)
        {
            var below = AnswerWords.Of(row.Marks[points - 1]).Select(w => w.Stem).ToHashSet();
            var wanted = AnswerWords
                .Of(row.Marks[points])
                .Where(w => !asked.Contains(w.Stem) && !below.Contains(w.Stem))
                .DistinctBy(w => w.Stem)
                .ToList();
            if (WantsReason().IsMatch(row.Marks[points]))
                return reasons >= (Several().IsMatch(row.Marks[points]) ? 2 : 1) && about.Overlaps(stems);
            var these = wanted.Where(w => stems.Contains(w.Stem)).ToList();
            var earned = these.Count > 0 && these.Sum(w => w.Weight) >= Enough * wanted.Sum(w => w.Weight);
            if (earned)
                heard.UnionWith(these.Select(w => w.Stem));
            return earned;
        }

        int[] given =
        [
            .. key.Rubric.Criteria.Select(row =>
                Enumerable.Range(1, row.Most).Reverse().FirstOrDefault(points => Earns(row, points))
            ),
        ];
        return new(
            given,
            [.. said.Where(w => heard.Contains(w.Stem)).DistinctBy(w => w.Stem).Select(w => w.Word)],
            reasons > 0
        );
    }

    /// <summary>The words of a full answer.</summary>
    private static IEnumerable<string> About(AnswerKey key) =>
        key
            .Rubric.Criteria.SelectMany(c => c.Marks.Skip(1))
            .Concat(key.Rubric.Samples)
            .Append(key.Proof ?? "")
            .SelectMany(AnswerWords.Of)
            .Select(w => w.Stem);

    [GeneratedRegex(@"\b(because|reasons?|why)\b", RegexOptions.IgnoreCase)]
    private static partial Regex WantsReason();

    [GeneratedRegex(@"\b(both|two|three|several|more)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Several();
}
