using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Texts;

/// <summary>One formula's say in a text's depth.</summary>
/// <param name="Weight">0 where the formula is outside the range it was made for.</param>
public sealed record FormulaGrade(string Formula, double Grade, double Weight);

/// <summary>A sentence of the text with its words, for showing what makes a text hard.</summary>
public sealed record LongSentence(string Sentence, int Words);

/// <summary>A text measured: counts, formulas, and the depth they come to.</summary>
public sealed record TextMeasure
{
    public required int Words { get; init; }

    public required int Sentences { get; init; }

    public required int Syllables { get; init; }

    public required int Letters { get; init; }

    public required int DistinctWords { get; init; }

    public required double FleschReadingEase { get; init; }

    public required double FleschKincaidGrade { get; init; }

    public required double AutomatedReadabilityIndex { get; init; }

    public required double ColemanLiauIndex { get; init; }

    public required double GunningFog { get; init; }

    public required double Smog { get; init; }

    public required double Spache { get; init; }

    public required double DaleChall { get; init; }

    /// <summary>School grade the formulas agree on, after word rarity.</summary>
    public required double GradeEquivalent { get; init; }

    public required Fathoms Depth { get; init; }

    /// <summary>Standard error of the depth in fathoms.</summary>
    public required double DepthError { get; init; }

    /// <summary>Under 100 words: the error is wider.</summary>
    public required bool Short { get; init; }

    public required IReadOnlyList<FormulaGrade> Formulas { get; init; }

    public required double RarityGrades { get; init; }
}

/// <summary>Measures how hard a text is.</summary>
public static class TextMeasurer
{
    /// <summary>Words under which a text's error is widened.</summary>
    public const int ShortText = 100;

    private const int Resamples = 200;
    private const int Blocks = 400;
    private const double FormulaError = 0.35;
    private const double LowestGrade = -2;
    private const double MostRarity = 0.6;
    private const double FormulasMeet = 2.7;

    /// <summary>Counts a text and turns the counts into a depth.</summary>
    /// <exception cref="ArgumentException">The text has no words.</exception>
    /// <remarks>Weighted trimmed mean of the formulas valid in the text's range, moved by word rarity; error from a
    /// bootstrap over sentences (fixed seed) joined with the formulas' disagreement.</remarks>
    public static TextMeasure Measure(string text, LevelChart? chart = null) => Measure(TextCounter.Count(text), chart);

    /// <summary>Turns counts into a depth.</summary>
    /// <exception cref="ArgumentException">There are no words.</exception>
    public static TextMeasure Measure(TextCounts counts, LevelChart? chart = null)
    {
        if (counts.Words == 0)
            throw new ArgumentException("There are no words to measure.", nameof(counts));
        chart ??= LevelChart.Default;
        var formulas = Grades(counts);
        var rarity = RarityGrades(counts);
        var grade = Combine(formulas) + rarity;
        var depth = chart.DepthAt(grade);
        var slope = (chart.DepthAt(grade + 0.25) - chart.DepthAt(grade - 0.25)) / 0.5;
        return new()
        {
            Words = counts.Words,
            Sentences = counts.Sentences,
            Syllables = counts.Syllables,
            Letters = counts.Letters,
            DistinctWords = counts.DistinctWords,
            FleschReadingEase = Readability.FleschReadingEase(counts),
            FleschKincaidGrade = Readability.FleschKincaidGrade(counts),
            AutomatedReadabilityIndex = Readability.AutomatedReadabilityIndex(counts),
            ColemanLiauIndex = Readability.ColemanLiauIndex(counts),
            GunningFog = Readability.GunningFog(counts),
            Smog = Readability.Smog(counts),
            Spache = Readability.Spache(counts),
            DaleChall = Readability.DaleChall(counts),
            GradeEquivalent = grade,
            Depth = Limited(depth),
            DepthError = slope * Error(counts, formulas),
            Short = counts.Words < ShortText,
            Formulas = formulas,
            RarityGrades = rarity,
        };
    }

    /// <summary>The depth some counts come to, without its error.</summary>
    internal static Fathoms DepthOf(TextCounts counts, LevelChart chart) =>
        chart.DepthAt(Combine(Grades(counts)) + RarityGrades(counts));

    private static Fathoms Limited(Fathoms depth) => new(Math.Clamp(depth.Value, Fathoms.Shallowest, Fathoms.Deepest));

    /// <summary>The longest sentences of a text, longest first.</summary>
    public static IReadOnlyList<LongSentence> LongestSentences(string text, int most = 3) =>
        [
            .. TextCounter
                .Count(text)
                .PerSentence.OrderByDescending(s => s.Words)
                .Take(most)
                .Select(s => new LongSentence(text[s.Start..s.End], s.Words)),
        ];

    /// <summary>The rarest words of a text that are not names, rarest first.</summary>
    public static IReadOnlyList<string> RarestWords(string text, int most = 8) =>
        [
            .. TextCounter
                .Count(text)
                .Vocabulary.Where(w => !w.Name && w.Unfamiliar && w.Word.Length > 2)
                .OrderBy(w => w.Zipf)
                .Take(most)
                .Select(w => w.Word),
        ];

    private static List<FormulaGrade> Grades(TextCounts c)
    {
        double spache = Readability.Spache(c),
            daleChall = Readability.DaleChall(c),
            kincaid = Readability.FleschKincaidGrade(c);
        // The letter-counting formulas were fitted to older readers' texts and fall far below zero on a first reader;
        // they come in as Spache leaves its range.
        var older = Math.Clamp(spache - 2.5, 0, 1);
        return
        [
            // Vocabulary carries most in the early grades; the two list formulas hand over to one another around grade
            // 4, and a few unlisted words in a first reader do not make it a grade 5 text.
            new("Spache", spache, 2 * Math.Clamp(4.5 - spache, 0, 1)),
            new(
                "Dale–Chall",
                Readability.DaleChallGrade(daleChall),
                2 * Math.Clamp((daleChall - 5) / 0.8, 0, 1) * Math.Clamp(spache - 1.5, 0, 1)
            ),
            new("Flesch–Kincaid", Math.Max(kincaid, LowestGrade), 1),
            new("Automated Readability Index", Readability.AutomatedReadabilityIndex(c), older),
            new("Coleman–Liau", Readability.ColemanLiauIndex(c), older),
            new("SMOG", Readability.Smog(c), c.Sentences >= 10 && kincaid >= 5 ? 1 : 0),
        ];
    }

    /// <summary>Weighted mean with the outer sixth of the weight cut off at each end.</summary>
    private static double Combine(IReadOnlyList<FormulaGrade> formulas)
    {
        var sorted = formulas.Where(f => f.Weight > 0).OrderBy(f => f.Grade).ToList();
        var total = sorted.Sum(f => f.Weight);
        double low = total / 6,
            high = total - low,
            gone = 0,
            sum = 0;
        // With two formulas there is no outside to cut off.
        if (sorted.Count < 3)
            (low, high) = (0, total);
        foreach (var f in sorted)
        {
            sum += f.Grade * Math.Max(0, Math.Min(gone + f.Weight, high) - Math.Max(gone, low));
            gone += f.Weight;
        }
        return sum / (high - low);
    }

    /// <summary>How far the distinct words are rarer (+) or commoner (−) than those of ordinary prose, in grades, at
    /// most 0.6 either way.</summary>
    private static double RarityGrades(TextCounts c)
    {
        double sum = 0;
        var n = 0;
        foreach (var word in c.Vocabulary)
        {
            if (word.Name || word.Zipf <= 0)
                continue;
            sum += word.Zipf;
            n++;
        }
        if (n < 20)
            return 0;
        return Math.Clamp(OrdinaryZipf(n) - sum / n, -MostRarity, MostRarity);
    }

    /// <summary>Mean frequency of n distinct words of ordinary prose: longer texts reach further down the
    /// list.</summary>
    private static double OrdinaryZipf(int n) => 7.1 - 0.36 * Math.Log(n);

    private static double Error(TextCounts c, IReadOnlyList<FormulaGrade> formulas)
    {
        var used = formulas.Where(f => f.Weight > 0).ToList();
        var total = used.Sum(f => f.Weight);
        var mean = used.Sum(f => f.Grade * f.Weight) / total;
        var apart = used.ConvertAll(f => (f.Weight, Off: f.Grade - mean - Usual(f.Formula, mean)));
        var middle = apart.Sum(f => f.Weight * f.Off) / total;
        var disagreement = apart.Sum(f => f.Weight * Math.Pow(f.Off - middle, 2)) / total / used.Count;
        var thin = c.Words < ShortText ? (double)ShortText / c.Words : 1;
        return Math.Sqrt((Bootstrap(c) + disagreement) * thin + FormulaError * FormulaError);
    }

    /// <summary>How far a formula usually stands from the others on a first reader, in grades: Spache cannot come below
    /// its constant, Flesch–Kincaid falls past zero. As the shipped texts below grade 3 show it.</summary>
    private static double Usual(string formula, double mean)
    {
        var early = Math.Clamp((FormulasMeet - mean) / 2, 0, 1);
        return formula switch
        {
            "Spache" => early,
            "Flesch–Kincaid" => -2 * early,
            _ => 0,
        };
    }

    /// <summary>Variance of the combined grade when whole sentences (or runs of them, in long texts) are drawn again
    /// with replacement.</summary>
    private static double Bootstrap(TextCounts c)
    {
        var blocks = InBlocks(c.PerSentence);
        if (blocks.Count < 2)
            return 1;
        var random = new Random(1975);
        double sum = 0,
            squares = 0;
        for (var i = 0; i < Resamples; i++)
        {
            var grade = Combine(Grades(Drawn(blocks, random)));
            sum += grade;
            squares += grade * grade;
        }
        return Math.Max(0, (squares - sum * sum / Resamples) / (Resamples - 1));
    }

    /// <summary>The counts of as many blocks as there are, drawn with replacement.</summary>
    private static TextCounts Drawn(List<(SentenceCounts Counts, int Sentences)> blocks, Random random)
    {
        int words = 0,
            sentences = 0,
            syllables = 0,
            letters = 0,
            characters = 0,
            longWords = 0,
            unfamiliar = 0,
            spache = 0;
        for (var k = 0; k < blocks.Count; k++)
        {
            var (s, n) = blocks[random.Next(blocks.Count)];
            words += s.Words;
            sentences += n;
            syllables += s.Syllables;
            letters += s.Letters;
            characters += s.Characters;
            longWords += s.Long;
            unfamiliar += s.Unfamiliar;
            spache += s.NewToSpache;
        }
        return new(
            words,
            sentences,
            syllables,
            letters,
            characters,
            0,
            longWords,
            longWords,
            unfamiliar,
            spache,
            [],
            []
        );
    }

    private static List<(SentenceCounts Counts, int Sentences)> InBlocks(IReadOnlyList<SentenceCounts> sentences)
    {
        var size = (sentences.Count + Blocks - 1) / Blocks;
        return
        [
            .. sentences
                .Chunk(Math.Max(1, size))
                .Select(chunk =>
                    (
                        new SentenceCounts(
                            0,
                            0,
                            chunk.Sum(s => s.Words),
                            chunk.Sum(s => s.Syllables),
                            chunk.Sum(s => s.Letters),
                            chunk.Sum(s => s.Characters),
                            chunk.Sum(s => s.Long),
                            chunk.Sum(s => s.Unfamiliar),
                            chunk.Sum(s => s.NewToSpache)
                        ),
                        chunk.Sum(s => s.Sentences)
                    )
                ),
        ];
    }
}
