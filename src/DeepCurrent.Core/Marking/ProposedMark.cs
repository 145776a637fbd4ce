using System.Text.Json.Serialization;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Marking;

/// <summary>A mark that an answer's own words speak for. It counts only where a person uses it.</summary>
/// <param name="Points">Row by row of the rubric.</param>
/// <param name="Words">Words of the answer it goes by, as they stand there, in their order.</param>
/// <param name="Reason">Whether the answer gives a reason: because, so, since, if.</param>
public sealed record Proposal(IReadOnlyList<int> Points, IReadOnlyList<string> Words, bool Reason)
{
    /// <summary>All its points.</summary>
    [JsonIgnore]
    public int Sum => Points.Sum();
}

/// <summary>What a full answer to one question is made of.</summary>
/// <param name="Stem">The question.</param>
/// <param name="Proof">The sentence of the text that proves the answer; null where there is none.</param>
public sealed record AnswerKey(string Stem, Rubric Rubric, string? Proof);

/// <summary>Marks proposed for written answers, from their words against the sample answers, the rubric and the
/// proof.</summary>
/// <remarks>Weighted overlap of word stems (after Burstein et al. 1998, content vectors; weights by how rare a word is in
/// use), with two signs of a built-up answer: reasons given, and length. Each key word counts by its best source. No
/// part of it is learnt from the answers of readers.</remarks>
public static class ProposedMark
{
    // Found on the marked samples that may be seen; see content/marked-answers.yaml and the bench.
    private const double FromSample = 1.0,
        FromProof = 0.75,
        FromRubric = 0.8,
        OfQuestion = 0.3;
    private const double Reaches = 6.5;
    private const double ForReason = 0.10,
        ForLength = 0.16;
    private const int WholeLength = 12;

    /// <summary>So much of what the rubric asks for a mark, in the words of the rubric, earns it.</summary>
    private const double ByRubric = 0.34;
    private static readonly double[] Cuts = [0.19, 0.38, 0.56];

    /// <summary>One row of 0 to 3 is what the whole answer is weighed for; other rubrics go row by row.</summary>
    private static bool Whole(Rubric rubric) => rubric.Criteria is [{ Most: 3 }];

    /// <summary>The mark that an answer's words speak for.</summary>
    /// <param name="answer">As its reader wrote it; any length, any script.</param>
    public static Proposal For(AnswerKey key, string answer) =>
        Whole(key.Rubric) ? ForWhole(key, answer) : RowMark.For(key, answer);

    private static Proposal ForWhole(AnswerKey key, string answer)
    {
        var marks = key.Rubric.Criteria[0].Marks;
        var keys = Keys(key, marks);
        var asked = AnswerWords.Of(key.Stem).Select(w => w.Stem).ToHashSet();
        var said = AnswerWords.Of(answer);
        var heard = said.Where(w => keys.ContainsKey(w.Stem)).DistinctBy(w => w.Stem).ToList();
        var own = said.Where(w => !asked.Contains(w.Stem)).Select(w => w.Stem).Distinct().Count();
        var reason = AnswerWords.GivesReason(answer);
        if (Same(answer, key.Rubric.Samples.MinBy(s => s.Length)))
            return new([1], [], reason);
        var floor = own == 0 ? 0 : Floor(key, marks, said);
        if (own == 0 || heard.Count == 0)
            return new([floor], [], reason);
        var covered = heard.Sum(w => keys[w.Stem] * w.Weight);
        var points =
            (1 - ForReason - ForLength) * (1 - Math.Exp(-covered / Reaches))
            + (reason ? ForReason : 0)
            + ForLength * Math.Min(1, own / (double)WholeLength);
        return new([Math.Max(Cuts.Count(cut => points >= cut), floor)], [.. heard.Select(w => w.Word)], reason);
    }

    private static bool Same(string answer, string? sample) =>
        sample is { Length: > 0 } && string.Equals(answer.Trim(), sample.Trim(), StringComparison.OrdinalIgnoreCase);

    /// <summary>The mark whose own words the answer says: 1 by what the rubric or the shortest sample says for it, 2 by
    /// what the rubric says.</summary>
    private static int Floor(AnswerKey key, IReadOnlyList<string> marks, IReadOnlyList<AnswerWord> said)
    {
        var stems = said.Select(w => w.Stem).ToHashSet();
        var asked = AnswerWords.Of(key.Stem).Select(w => w.Stem).ToHashSet();
        bool Says(string? text)
        {
            var wanted = AnswerWords
                .Of(text ?? "")
                .Where(w => !asked.Contains(w.Stem))
                .DistinctBy(w => w.Stem)
                .ToList();
            var all = wanted.Sum(w => w.Weight);
            return all > 0 && wanted.Where(w => stems.Contains(w.Stem)).Sum(w => w.Weight) / all >= ByRubric;
        }
        return Says(marks[2]) ? 2
            : Says(marks[1]) || Says(key.Rubric.Samples.MinBy(s => s.Length)) ? 1
            : 0;
    }

    /// <summary>The words that count, by stem, with how much: the longest sample is the fullest.</summary>
    private static Dictionary<string, double> Keys(AnswerKey key, IReadOnlyList<string> marks)
    {
        var keys = new Dictionary<string, double>();
        void Add(string? text, double worth)
        {
            foreach (var word in AnswerWords.Of(text ?? ""))
                keys[word.Stem] = Math.Max(worth, keys.GetValueOrDefault(word.Stem));
        }
        Add(marks[2], FromRubric);
        Add(marks[3], FromRubric);
        Add(key.Proof, FromProof);
        Add(key.Rubric.Samples.MaxBy(s => s.Length), FromSample);
        foreach (var word in AnswerWords.Of(key.Stem))
            if (keys.TryGetValue(word.Stem, out var worth))
                keys[word.Stem] = Math.Min(worth, OfQuestion);
        return keys;
    }
}
