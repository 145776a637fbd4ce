using System.Runtime.InteropServices;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.OralReading;

/// <summary>Aligns what was heard to what stands in a text, at the least cost, and says what happened to each
/// word.</summary>
/// <remarks>
/// A shortest path over (heard words so far, last text word tried, furthest text word tried): besides the steps of an
/// edit distance (Wagner and Fischer 1974) it knows going back and reading again, a wrong word or a
/// beginning that is followed by the right word, several tries at one word, contractions read out, numbers read as
/// words, and skipped lines. Paths that have become much dearer than the best are given up.
/// </remarks>
public sealed class ReadingAligner
{
    // Costs, in substitutions of a word by one that is nothing like it.
    private const float Substitution = 1,
        Likely = 0.45f,
        Omission = 0.8f,
        LongSkip = 0.6f,
        Insertion = 0.5f,
        SelfCorrection = 0.66f,
        MoreTries = 0.3f,
        FarTry = 0.5f,
        Contraction = 0.5f,
        TellingCost = 0.3f;
    private const float Back = 0.22f,
        BackEach = 0.02f,
        Again = 0.04f,
        AgainWrong = 0.65f,
        Resume = 0.3f,
        SameAgain = 0.25f;

    // A word put in is most often a short, common one; a pause before the right word speaks of putting right.
    private const float RareInsertion = 0.17f,
        ComingWord = 0.5f,
        CommonTry = 0.08f,
        Doubt = 0.2f,
        NoDoubt = 0.15f;
    private const double CommonZipf = 6,
        DoubtSeconds = 0.15;
    private const int FurthestBack = 20,
        NearSkip = 3,
        MostTries = 3,
        Layers = 16;
    private const float Unlike = 0.3f;
    private const float Beam = 3.5f;

    private readonly IReadOnlyList<PassageWord> passage;
    private readonly List<Token> heard = [];
    private readonly int[] keys;
    private readonly int[][][] readings;
    private readonly int[][][] apart;
    private readonly Dictionary<string, int> numbers = [];
    private readonly List<string> names = [];
    private readonly Dictionary<int, int[]> places;
    private readonly float[]?[] likeness;
    private readonly bool[] rare,
        drawn;
    private readonly ulong[] letters;
    private readonly List<Node> nodes = [];
    private readonly int[][] slots = new int[Layers][];
    private readonly int[][] slotLayer = new int[Layers][];
    private readonly List<int>[] layers;
    private readonly float[] best;

    private readonly record struct Token(int Key, int From, bool Told, double Start, double End);

    private enum Step : byte
    {
        Begin,
        Match,
        Substitute,
        Insert,
        CorrectItself,
        ManyTries,
        Tell,
        ReadOut,
        RunTogether,
        ReadAgain,
        SayAgain,
    }

    /// <param name="At">Last text word tried; −1 before the first.</param>
    /// <param name="Ahead">How far the furthest word tried is ahead of it.</param>
    /// <param name="Took">Heard words taken.</param>
    private readonly record struct Node(float Cost, int At, int Ahead, int Before, Step Step, int Took);

    private ReadingAligner(IReadOnlyList<PassageWord> passage, IReadOnlyList<HeardWord> said)
    {
        this.passage = passage;
        keys = [.. passage.Select(w => Number(w.Key))];
        readings = [.. passage.Select(w => w.Readings.Select(r => r.Select(Number).ToArray()).ToArray())];
        apart = [.. passage.Select(w => w.Apart.Select(r => r.Select(Number).ToArray()).ToArray())];
        places = keys.Select((k, i) => (k, i))
            .GroupBy(x => x.k)
            .ToDictionary(g => g.Key, g => g.Select(x => x.i).ToArray());
        for (var i = 0; i < said.Count; i++)
            foreach (var word in SpokenForms.Heard(said[i].Word))
                heard.Add(new(Number(word), i, said[i].Told, said[i].Start, said[i].End));
        likeness = new float[]?[names.Count];
        rare = [.. names.Select(n => !((Lexicon.Find(n)?.Zipf ?? 0) >= CommonZipf))];
        letters = [.. names.Select(n => Likeness.Letters(n))];
        drawn = [.. names.Select(n => n.Contains('\'') || n == "cannot")];
        layers = [.. Enumerable.Range(0, heard.Count + 1).Select(_ => new List<int>())];
        best = [.. Enumerable.Repeat(float.MaxValue, layers.Length)];
        for (var i = 0; i < Layers; i++)
        {
            slots[i] = new int[(passage.Count + 1) * (FurthestBack + 1)];
            slotLayer[i] = new int[slots[i].Length];
            Array.Fill(slotLayer[i], -1);
        }
    }

    /// <summary>Aligns a reading.</summary>
    /// <param name="text">The passage as it was before the reader.</param>
    /// <param name="said">What was heard, in order of time.</param>
    /// <exception cref="ArgumentException">The text has no words.</exception>
    public static OralReading Align(string text, IReadOnlyList<HeardWord> said)
    {
        var printed = SpokenForms.Of(text);
        if (printed.Count == 0)
            throw new ArgumentException("There are no words to read.", nameof(text));
        // What is hummed while thinking is no word, unless the text has it: it is left out, and its time is not.
        var own = printed.Select(w => w.Key).ToHashSet();
        var words = Enumerable
            .Range(0, said.Count)
            .Where(i => said[i].Told || !SpokenForms.Hesitates(said[i].Word, own))
            .ToList();
        List<HeardWord> spoken = [.. words.Select(i => said[i])];
        var (marks, found) = new ReadingAligner(printed, spoken).Run(spoken);
        IReadOnlyList<IReadOnlyList<int>> rests =
        [
            .. found.Select(r => (IReadOnlyList<int>)[.. r.Select(i => words[i])]),
        ];
        var seconds = said.Count == 0 ? 0 : said.Max(w => w.End) - said[0].Start;
        var pauses = said.Skip(1)
            .Zip(said, (now, before) => now.Start - before.End)
            .Count(gap => gap > RunningRecords.LongPause);
        return new(
            RunningRecords.Figures(marks, printed, seconds, pauses) with
            {
                Hesitations = said.Count - spoken.Count,
            },
            marks,
            rests
        );
    }

    private int Number(string word)
    {
        ref var number = ref CollectionsMarshal.GetValueRefOrAddDefault(numbers, word, out var known);
        if (!known)
        {
            number = names.Count;
            names.Add(word);
        }
        return number;
    }

    private float Like(int heardKey, int textKey)
    {
        if (heardKey == textKey)
            return 1;
        var row = likeness[heardKey] ??= [.. Enumerable.Repeat(float.NaN, names.Count)];
        if (!float.IsNaN(row[textKey]))
            return row[textKey];
        var (a, b) = (names[heardKey], names[textKey]);
        // What breaks off is like its word, however short it is.
        var unlike =
            Likeness.AtMost(a.Length, letters[heardKey], b.Length, letters[textKey]) < Unlike
            && !b.StartsWith(a, StringComparison.Ordinal);
        return row[textKey] = unlike ? 0 : (float)Likeness.Of(a, b);
    }

    private (IReadOnlyList<ReadingMark> Marks, IReadOnlyList<IReadOnlyList<int>> Said) Run(
        IReadOnlyList<HeardWord> said
    )
    {
        Push(0, new(0, -1, 0, -1, Step.Begin, 0));
        for (var j = 0; j < heard.Count; j++)
        {
            foreach (var n in layers[j])
                if (nodes[n].Cost <= best[j] + Beam)
                    Expand(j, n);
        }
        var end = layers[heard.Count]
            .MinBy(n => nodes[n].Cost + Skipped(passage.Count - 1 - nodes[n].At - nodes[n].Ahead));
        var path = new List<int>();
        for (var n = end; nodes[n].Step != Step.Begin; n = nodes[n].Before)
            path.Add(n);
        path.Reverse();
        var taken = 0;
        return new MarkWriter(passage, said).Write(
            path.Select(n => Event(n, (taken += nodes[n].Took) - nodes[n].Took))
        );
    }

    private void Push(int layer, Node node)
    {
        if (node.Cost > best[layer] + Beam)
            return;
        best[layer] = Math.Min(best[layer], node.Cost);
        var state = (node.At + 1) * (FurthestBack + 1) + node.Ahead;
        var ring = layer % Layers;
        if (slotLayer[ring][state] == layer)
        {
            if (nodes[slots[ring][state]].Cost <= node.Cost)
                return;
            nodes[slots[ring][state]] = node;
            return;
        }
        slotLayer[ring][state] = layer;
        slots[ring][state] = nodes.Count;
        layers[layer].Add(nodes.Count);
        nodes.Add(node);
    }

    private static float Skipped(int words) =>
        words <= 0 ? 0
        : words <= NearSkip ? Omission * words
        : Omission * NearSkip + LongSkip * MathF.Log((float)words / NearSkip);

    private void Expand(int j, int from)
    {
        var node = nodes[from];
        var h = heard[j];
        var next = node.At + 1;
        if (next < passage.Count)
            Try(j, from, next, 0);
        if (node.Ahead > 0 && node.At + node.Ahead + 1 is var on && on < passage.Count && h.Key == keys[on])
            Push(j + 1, new(node.Cost + Resume, on, 0, from, Step.Match, 1));
        if (node.Ahead == 0)
            Skip(j, from);
        if (!h.Told)
            Reread(j, from);
        var put = node.Cost + Insertion + (rare[h.Key] ? RareInsertion : 0) + (Coming(h.Key, next) ? ComingWord : 0);
        Push(
            j + 1,
            new(
                j > 0 && heard[j - 1].Key == h.Key ? node.Cost + SameAgain : put,
                node.At,
                node.Ahead,
                from,
                j > 0 && heard[j - 1].Key == h.Key ? Step.SayAgain : Step.Insert,
                1
            )
        );
    }

    /// <summary>A word that stands a little further on was read too soon rather than put in.</summary>
    private bool Coming(int key, int next) =>
        (next < passage.Count && keys[next] == key) || (next + 1 < passage.Count && keys[next + 1] == key);

    /// <summary>The next text word, said in one of the ways there are.</summary>
    private void Try(int j, int from, int word, float skipped)
    {
        var node = nodes[from];
        var cost = node.Cost + skipped;
        var again = node.Ahead > 0;
        var ahead = Math.Max(0, node.Ahead - (word - node.At));
        var h = heard[j];
        foreach (var reading in readings[word])
            if (Said(j, reading))
                Push(
                    j + reading.Length,
                    new(
                        cost
                            + (
                                h.Told ? TellingCost
                                : again ? Again
                                : 0
                            ),
                        word,
                        ahead,
                        from,
                        h.Told ? Step.Tell : Step.Match,
                        reading.Length
                    )
                );
        foreach (var two in apart[word])
            if (Said(j, two))
                Push(j + 2, new(cost + Contraction, word, ahead, from, Step.ReadOut, 2));
        if (word + 1 < passage.Count && !h.Told && Together(word, h.Key))
            Push(j + 1, new(cost + Contraction, word + 1, Math.Max(0, ahead - 1), from, Step.RunTogether, 1));
        if (h.Told)
            return;
        var like = Like(h.Key, keys[word]);
        if (h.Key != keys[word])
            Push(
                j + 1,
                new(cost + (again ? AgainWrong : Substitution - Likely * like), word, ahead, from, Step.Substitute, 1)
            );
        Tries(j, from, word, cost, ahead);
    }

    /// <summary>Tries at a word before it is right, told, or given up.</summary>
    private void Tries(int j, int from, int word, float cost, int ahead)
    {
        var tries = 0f;
        var alike = true;
        for (var k = 1; k <= MostTries && j + k < heard.Count; k++)
        {
            var attempt = heard[j + k - 1];
            if (attempt.Told || attempt.Key == keys[word])
                return;
            var like = Like(attempt.Key, keys[word]);
            tries +=
                k == 1
                    ? SelfCorrection
                        - Likely * Attempted(attempt.Key, keys[word], like)
                        + (rare[attempt.Key] ? 0 : CommonTry)
                    : MoreTries * (1.3f - like) + (Alike(attempt.Key, keys[word], like) ? 0 : FarTry);
            alike &= Alike(attempt.Key, keys[word], like);
            var then = heard[j + k];
            if (then.Key == keys[word])
            {
                var doubt = then.Start - attempt.End > DoubtSeconds ? Doubt : -NoDoubt;
                Push(
                    j + k + 1,
                    new(
                        cost + (then.Told ? tries * 0.6f + TellingCost : Math.Max(0.05f, tries - doubt)),
                        word,
                        ahead,
                        from,
                        then.Told ? Step.Tell : Step.CorrectItself,
                        k + 1
                    )
                );
            }
            else if (alike && !then.Told && Alike(then.Key, keys[word], Like(then.Key, keys[word])))
                Push(
                    j + k + 1,
                    new(cost + Substitution - Likely * like + MoreTries, word, ahead, from, Step.ManyTries, k + 1)
                );
        }
    }

    /// <summary>How likely a wrong word is a try at a word: most tries begin with its first sound.</summary>
    private float Attempted(int heardKey, int textKey, float like) =>
        names[heardKey][0] == names[textKey][0] ? Math.Max(like, 0.3f) * 1.2f : Math.Max(0, like - 0.35f);

    private bool Alike(int heardKey, int textKey, float like) =>
        like >= 0.5f || (like >= 0.3f && names[heardKey][0] == names[textKey][0]);

    private bool Said(int j, int[] words)
    {
        if (j + words.Length > heard.Count || words.Length >= Layers)
            return false;
        for (var i = 0; i < words.Length; i++)
            if (heard[j + i].Key != words[i])
                return false;
        return true;
    }

    /// <summary>Whether a heard word is two text words drawn together, as "I'm" is for "I am".</summary>
    private bool Together(int word, int heardKey)
    {
        if (!drawn[heardKey])
            return false;
        var (first, second) = (keys[word], keys[word + 1]);
        return SpokenForms.Apart(names[heardKey]).Any(a => a[0] == names[first] && a[1] == names[second]);
    }

    /// <summary>Words left out: a few before a word that is right or nearly, or many before two words that are
    /// right.</summary>
    private void Skip(int j, int from)
    {
        var node = nodes[from];
        var h = heard[j].Key;
        for (var k = 1; k <= NearSkip && node.At + 1 + k < passage.Count; k++)
            if (Like(h, keys[node.At + 1 + k]) >= 0.6f || readings[node.At + 1 + k].Length > 1)
                Try(j, from, node.At + 1 + k, Skipped(k));
        if (!places.TryGetValue(h, out var all))
            return;
        foreach (var place in all)
            if (
                place > node.At + 1 + NearSkip
                && (j + 1 == heard.Count || (place + 1 < passage.Count && heard[j + 1].Key == keys[place + 1]))
            )
                Try(j, from, place, Skipped(place - node.At - 1));
    }

    /// <summary>Going back to a word that was read before, and on from there.</summary>
    private void Reread(int j, int from)
    {
        var node = nodes[from];
        var h = heard[j].Key;
        for (var to = node.At; to >= 0 && node.At + node.Ahead - to <= FurthestBack; to--)
            if (keys[to] == h)
                Push(
                    j + 1,
                    new(
                        node.Cost + Back + BackEach * (node.At - to),
                        to,
                        node.At + node.Ahead - to,
                        from,
                        Step.ReadAgain,
                        1
                    )
                );
    }

    private ReadingEvent Event(int n, int first)
    {
        var node = nodes[n];
        var before = nodes[node.Before];
        return new(
            node.Step switch
            {
                Step.Match or Step.ReadAgain => EventKind.Right,
                Step.Insert => EventKind.Extra,
                Step.SayAgain => EventKind.Again,
                Step.CorrectItself => EventKind.PutRight,
                Step.Tell => EventKind.Told,
                Step.RunTogether => EventKind.Two,
                _ => EventKind.Wrong,
            },
            node.At,
            before.At + before.Ahead,
            [.. Enumerable.Range(first, node.Took).Select(i => heard[i].From).Distinct()]
        );
    }
}
