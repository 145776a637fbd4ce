using System.Numerics;

namespace DeepCurrent.Core.OralReading;

/// <summary>How like two words are, as one is taken for the other in reading aloud.</summary>
internal static class Likeness
{
    private const int Longest = 32;

    /// <summary>The letters of a word, one bit each.</summary>
    public static ulong Letters(ReadOnlySpan<char> word)
    {
        ulong letters = 0;
        foreach (var c in word)
            letters |= 1UL << (c & 63);
        return letters;
    }

    /// <summary>More alike than this two words cannot be: each letter that only one of them has is a change.</summary>
    public static double AtMost(int lengthA, ulong a, int lengthB, ulong b) =>
        1
        - (double)
            Math.Max(
                Math.Abs(lengthA - lengthB),
                Math.Max(BitOperations.PopCount(a & ~b), BitOperations.PopCount(b & ~a))
            ) / Math.Max(Math.Max(lengthA, lengthB), 1);

    /// <summary>0 for nothing in common to 1 for the same word: letters put in, left out, changed or turned round, in
    /// the share of the longer word. A beginning that breaks off is like its word.</summary>
    /// <remarks>Damerau, F. J. (1964), A technique for computer detection and correction of spelling errors, CACM
    /// 7.</remarks>
    public static double Of(ReadOnlySpan<char> a, ReadOnlySpan<char> b)
    {
        if (a.Length > Longest)
            a = a[..Longest];
        if (b.Length > Longest)
            b = b[..Longest];
        if (a.Length == 0 || b.Length == 0)
            return 0;
        var like = 1 - (double)Edits(a, b) / Math.Max(a.Length, b.Length);
        // What breaks off after the first sounds is an attempt at the word.
        return a.Length < b.Length && b.StartsWith(a) ? Math.Max(like, a.Length > 1 ? 0.7 : 0.5) : like;
    }

    private static int Edits(ReadOnlySpan<char> a, ReadOnlySpan<char> b)
    {
        Span<int> before = stackalloc int[Longest + 1],
            last = stackalloc int[Longest + 1],
            now = stackalloc int[Longest + 1];
        for (var j = 0; j <= b.Length; j++)
            last[j] = j;
        for (var i = 1; i <= a.Length; i++)
        {
            now[0] = i;
            for (var j = 1; j <= b.Length; j++)
            {
                now[j] = Math.Min(Math.Min(last[j], now[j - 1]) + 1, last[j - 1] + (a[i - 1] == b[j - 1] ? 0 : 1));
                if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1])
                    now[j] = Math.Min(now[j], before[j - 2] + 1);
            }
            var free = before;
            before = last;
            last = now;
            now = free;
        }
        return last[b.Length];
    }
}
