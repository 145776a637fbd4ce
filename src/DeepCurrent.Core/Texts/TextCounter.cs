using System.Runtime.InteropServices;

namespace DeepCurrent.Core.Texts;

/// <summary>Counts the words, sentences, syllables and letters of an English text in one pass.</summary>
public static class TextCounter
{
    private const int LongestWord = 256,
        ReadAtOnce = 1 << 20,
        MostSentencesKept = 1 << 16;

    /// <summary>Counts a text of any length as it is read, in memory that does not grow with it. In long texts
    /// neighbouring sentences are kept together, so that only their number stays exact.</summary>
    public static TextCounts Count(TextReader text)
    {
        var run = new Run();
        var buffer = new char[2 * ReadAtOnce];
        var held = 0;
        for (; ; )
        {
            var read = text.ReadBlock(buffer, held, ReadAtOnce);
            var all = held + read;
            var last = read < ReadAtOnce;
            var end = last ? all : Cut(buffer.AsSpan(0, all));
            Count(buffer.AsSpan(0, end), run, whole: last);
            if (last)
                break;
            buffer.AsSpan(end, all - end).CopyTo(buffer);
            held = all - end;
        }
        return run.Result();
    }

    /// <summary>Where a long text can be parted: after a blank line, else a line, else a word, in its second
    /// half.</summary>
    private static int Cut(ReadOnlySpan<char> text)
    {
        foreach (var gap in (ReadOnlySpan<string>)["\n\n", "\n", " "])
            if (text.LastIndexOf(gap) is var at && at > text.Length / 2)
                return at + gap.Length;
        return text.Length;
    }

    /// <summary>Counts a text.</summary>
    /// <param name="text">Plain text; a blank line ends a sentence, as does a list item.</param>
    /// <remarks>Words as Flesch (1948) counts them: contractions, hyphenated words and numbers are one word
    /// each.</remarks>
    public static TextCounts Count(ReadOnlySpan<char> text)
    {
        var run = new Run();
        Count(text, run, whole: true);
        return run.Result();
    }

    private static void Count(ReadOnlySpan<char> text, Run run, bool whole)
    {
        run.Begin();
        var at = 0;
        while (at < text.Length)
        {
            if (char.IsLetterOrDigit(text[at]))
            {
                var end = WordEnd(text, at);
                run.Word(text, at, end);
                at = end;
                continue;
            }
            if (Sentences.EndsAt(text, at, run.LastWord(text)))
                run.EndSentence();
            else if (text[at] is '"' or '“' or '‘')
                run.OpenQuote();
            at++;
        }
        if (whole)
            run.EndSentence();
    }

    /// <summary>Where the word that starts at <paramref name="at"/> ends: letters and digits, joined by a single
    /// apostrophe or hyphen, a decimal point between digits, or the points of an abbreviation.</summary>
    public static int WordEnd(ReadOnlySpan<char> text, int at)
    {
        var start = at;
        while (++at < text.Length)
        {
            var c = text[at];
            if (char.IsLetterOrDigit(c))
                continue;
            // Points inside an abbreviation of single letters, as in "p.m.", join it.
            if (c == '.' && InAbbreviation(text, start, at))
                continue;
            var joins =
                at + 1 < text.Length
                && (
                    c is '\'' or '’' or '-' or '‑'
                        ? char.IsLetterOrDigit(text[at + 1])
                        : c is '.' or ',' && char.IsAsciiDigit(text[at - 1]) && char.IsAsciiDigit(text[at + 1])
                );
            if (!joins && !IsMark(c))
                return at;
        }
        return at;
    }

    private static bool InAbbreviation(ReadOnlySpan<char> text, int start, int at) =>
        (at == start + 1 || text[at - 2] == '.')
        && char.IsLetter(text[at - 1])
        && at + 2 < text.Length
        && char.IsLetter(text[at + 1])
        && !char.IsLetter(text[at + 2]);

    /// <summary>The form in which a word is looked up: lower case, straight apostrophes, plain hyphens.</summary>
    public static string Key(ReadOnlySpan<char> word) =>
        string.Create(Math.Min(word.Length, LongestWord), word, static (form, from) =>
        {
            for (var i = 0; i < form.Length; i++)
                form[i] = Lower(from[i]);
        });

    private static char Lower(char c) =>
        c is >= 'A' and <= 'Z' ? (char)(c | 0x20)
        : c == '’' ? '\''
        : c == '‑' ? '-'
        : c < 128 ? c
        : char.ToLowerInvariant(c);

    private static bool IsMark(char c) =>
        c > 0x2ff && char.GetUnicodeCategory(c) == System.Globalization.UnicodeCategory.NonSpacingMark;

    /// <summary>The running totals of one text.</summary>
    private sealed class Run
    {
        private struct Seen
        {
            public int Times;
            public byte Syllables;
            public bool Unfamiliar,
                NotSpache,
                Name,
                MayOpen,
                Opened,
                Small;
            public float Zipf;
            public string Word;
        }

        private readonly Dictionary<string, int> index = [];
        private readonly List<Seen> seen = [];
        private readonly List<SentenceCounts> sentences = [];
        private readonly char[] lower = new char[LongestWord];
        private int words,
            syllables,
            letters,
            characters,
            poly,
            complex,
            unfamiliar,
            notSpache;
        private SentenceCounts current;
        private bool afterQuote;
        private (int Start, int End) last;
        private int ended;

        public ReadOnlySpan<char> LastWord(ReadOnlySpan<char> text) => text[last.Start..last.End];

        public void Begin() => last = default;

        public void OpenQuote() => afterQuote = true;

        public void Word(ReadOnlySpan<char> text, int start, int end)
        {
            last = (start, end);
            var token = text[start..Math.Min(end, start + lower.Length)];
            var (letterCount, digits) = Lowered(token);
            ref var word = ref Look(lower.AsSpan(0, token.Length));
            var capital = char.IsUpper(token[0]);
            var begins = current.Words == 0 || afterQuote;
            // Capitalised inside a sentence: a name. "I" and its contractions are not.
            word.Name |= capital && !begins && !IsI(token);
            // A sentence may open with a name; what is set off by a comma is more often a word like "however".
            var opens = word.MayOpen && capital && begins && (end == text.Length || text[end] != ',');
            word.Opened |= opens;
            word.Small |= !capital;
            afterQuote = false;
            word.Times++;
            words++;
            syllables += word.Syllables;
            letters += letterCount;
            characters += letterCount + digits;
            var odd = word.Unfamiliar && !word.Name && !opens;
            var oddSpache = word.Times == 1 && word.NotSpache && !word.Name && !opens;
            if (word.Syllables >= 3)
                CountLong(lower.AsSpan(0, token.Length), word.Syllables, word.Name);
            unfamiliar += One(odd);
            notSpache += One(oddSpache);
            current = current with
            {
                Start = current.Words == 0 ? start : current.Start,
                End = end,
                Words = current.Words + 1,
                Syllables = current.Syllables + word.Syllables,
                Letters = current.Letters + letterCount,
                Characters = current.Characters + letterCount + digits,
                Long = current.Long + One(word.Syllables >= 3),
                Unfamiliar = current.Unfamiliar + One(odd),
                NewToSpache = current.NewToSpache + One(oddSpache),
                Sentences = 1,
            };
        }

        private void CountLong(ReadOnlySpan<char> word, int count, bool name)
        {
            poly++;
            if (!name && Fog(word, count))
                complex++;
        }

        private static bool IsI(ReadOnlySpan<char> token) =>
            token[0] == 'I' && (token.Length == 1 || token[1] is '\'' or '’');

        private static int One(bool counts) => counts ? 1 : 0;

        /// <summary>Writes a word in small letters, and counts what it is made of.</summary>
        private (int Letters, int Digits) Lowered(ReadOnlySpan<char> token)
        {
            int letterCount = 0,
                digits = 0;
            for (var i = 0; i < token.Length; i++)
            {
                var c = token[i];
                if (char.IsAsciiDigit(c))
                    digits++;
                else if (char.IsLetter(c))
                    letterCount++;
                lower[i] = Lower(c);
            }
            return (letterCount, digits);
        }

        public void EndSentence()
        {
            if (current.Words > 0)
            {
                sentences.Add(current);
                ended++;
            }
            current = default;
            afterQuote = false;
            if (sentences.Count > MostSentencesKept)
                Pair();
        }

        /// <summary>Keeps neighbours together.</summary>
        private void Pair()
        {
            for (var i = 0; i < sentences.Count / 2; i++)
            {
                SentenceCounts a = sentences[2 * i],
                    b = sentences[2 * i + 1];
                sentences[i] = new(
                    a.Start,
                    b.End,
                    a.Words + b.Words,
                    a.Syllables + b.Syllables,
                    a.Letters + b.Letters,
                    a.Characters + b.Characters,
                    a.Long + b.Long,
                    a.Unfamiliar + b.Unfamiliar,
                    a.NewToSpache + b.NewToSpache
                )
                {
                    Sentences = a.Sentences + b.Sentences,
                };
            }
            sentences.RemoveRange(sentences.Count / 2, sentences.Count - sentences.Count / 2);
        }

        private ref Seen Look(ReadOnlySpan<char> word)
        {
            ref var at = ref CollectionsMarshal.GetValueRefOrAddDefault(
                index.GetAlternateLookup<ReadOnlySpan<char>>(),
                word,
                out var known
            );
            if (!known)
            {
                at = seen.Count;
                var key = word.ToString();
                // An owner is as rare as their name, and a joined word as its rarer part.
                var stem = word.EndsWith("'s") || word.EndsWith("’s") ? word[..^2] : word;
                seen.Add(
                    new()
                    {
                        Word = key,
                        Syllables = (byte)Math.Min(255, Syllables.Count(word)),
                        Unfamiliar = !Familiarity.DaleChall(word),
                        NotSpache = !Familiarity.Spache(word),
                        Zipf = Rarity(word, stem),
                        MayOpen = Lexicon.Find(stem)?.Capital ?? false,
                    }
                );
            }
            return ref CollectionsMarshal.AsSpan(seen)[at];
        }

        private static float Rarity(ReadOnlySpan<char> word, ReadOnlySpan<char> stem)
        {
            if ((Lexicon.Find(word) ?? Lexicon.Find(stem)) is { Zipf: > 0 } facts)
                return facts.Zipf;
            var hyphen = stem.IndexOf('-');
            return hyphen <= 0
                ? Lexicon.Find(stem)?.Zipf ?? 0
                : Math.Min(Rarity(stem[..hyphen], stem[..hyphen]), Rarity(stem[(hyphen + 1)..], stem[(hyphen + 1)..]));
        }

        /// <summary>Gunning's own exceptions: joined short words, and verbs made three syllables by -es or
        /// -ed.</summary>
        private static bool Fog(ReadOnlySpan<char> word, int syllables) =>
            !word.Contains('-') && !(syllables == 3 && (word.EndsWith("ed") || word.EndsWith("es")));

        public TextCounts Result() =>
            new(
                words,
                ended,
                syllables,
                letters,
                characters,
                seen.Count,
                poly,
                complex,
                unfamiliar,
                notSpache,
                sentences,
                [
                    .. seen.Select(s => new DistinctWord(
                        s.Word,
                        s.Times,
                        s.Syllables,
                        s.Unfamiliar,
                        s.NotSpache,
                        s.Zipf,
                        s.Name || (s.Opened && !s.Small)
                    )),
                ]
            );
    }
}
