using System.Text.RegularExpressions;

namespace DeepCurrent.Core.Texts;

/// <summary>A word that may be worth keeping.</summary>
/// <param name="Example">The sentence of the text it first stands in.</param>
public sealed record SuggestedWord(string Word, int Times, string Example);

/// <summary>What a text may be called and taught with, for a teacher to accept or change. Rules of thumb, not
/// measurements.</summary>
public static partial class Suggestions
{
    private const int MostWords = 8,
        ShortLine = 60,
        SaidAtLeast = 3;
    private const double Rarest = 1.5,
        Commonest = 4.3,
        MuchDialogue = 0.12,
        Telling = 5,
        Everywhere = 0.003;

    /// <summary>The kind of text it looks like: letter, diary, play, interview, poem, how-to, story, argument or
    /// report.</summary>
    /// <param name="text">Markdown with blank lines between paragraphs.</param>
    public static string Kind(string text)
    {
        var paragraphs = text.Split("\n\n", StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        var prose = paragraphs.Where(Paragraphs.IsRunning).ToList();
        if (prose.Count == 0)
            return "report";
        if (prose.Exists(p => Dear().IsMatch(p)))
            return "letter";
        if (paragraphs.Count(p => Day().IsMatch(p)) >= 2)
            return "diary";
        var speakers = prose.Where(p => Speaker().IsMatch(p)).Select(p => Speaker().Match(p).Groups[1].Value).ToList();
        if (speakers.Count * 2 > prose.Count && speakers.Distinct().Count() > 1)
            return prose.Count(p => p.Contains('?')) * 3 > prose.Count ? "interview" : "play";
        var lines = prose.SelectMany(p => p.Split('\n')).ToList();
        if (lines.Count > 5 && lines.Count(l => l.Length < ShortLine && !EndsSentence().IsMatch(l)) * 2 > lines.Count)
            return "poem";
        if (lines.Count(l => Step().IsMatch(l)) >= 3)
            return "how-to";
        var all = string.Join("\n\n", prose);
        if (TextReasons.DialogueShare(all) > MuchDialogue || Past().Count(all) > 3 * Present().Count(all) && Names(all))
            return "story";
        return Should().Count(all) * 60 > all.Split(' ').Length ? "argument" : "report";
    }

    /// <summary>True where it looks invented: a story, a play, a poem, or letters and diaries of named
    /// people.</summary>
    public static bool Fiction(string kind) => kind is "story" or "play" or "poem" or "letter" or "diary";

    /// <summary>The topic, of those there are, whose words the text says most often; null if there is none of which it
    /// says every word, and together at least
    /// thrice. A word counts that stands in the text far more often than in English at large: every text says "the",
    /// and is not about "The body" for that.</summary>
    public static string? Topic(TextCounts counts, IEnumerable<string> topics)
    {
        var words = counts.Vocabulary.ToDictionary(w => w.Word, w => w.Times);
        double Usual(string word) => Math.Pow(10, (Lexicon.Find(word)?.Zipf ?? 0) - 9);
        int Times(string word) =>
            words.GetValueOrDefault(word) is var n && n / (double)counts.Words >= Telling * Usual(word) ? n : 0;
        int Said(string topic)
        {
            var said = topic
                .ToLowerInvariant()
                .Split([' ', '-', ','], StringSplitOptions.RemoveEmptyEntries)
                .Where(t => Usual(t) < Everywhere)
                .Select(t => Times(t) + Times($"{t}s") + (t.EndsWith('s') ? Times(t[..^1]) : 0))
                .ToList();
            return said.Contains(0) ? 0 : said.Sum();
        }
        return topics
            .Distinct()
            .Select(t => (t, Times: Said(t)))
            .Where(x => x.Times >= SaidAtLeast)
            .OrderByDescending(x => x.Times)
            .ThenBy(x => x.t, StringComparer.Ordinal)
            .Select(x => x.t)
            .FirstOrDefault();
    }

    /// <summary>Words worth keeping: not familiar, no names, neither so common that they are known nor so rare that
    /// they are met nowhere else; those said most first.</summary>
    /// <param name="counts">Of that text.</param>
    public static IReadOnlyList<SuggestedWord> Words(string text, TextCounts counts)
    {
        var sentences = Sentences.Of(text);
        return
        [
            .. counts
                .Vocabulary.Where(w =>
                    w.Unfamiliar
                    && !w.Name
                    && w.Word.Length > 3
                    && w.Zipf is > (float)Rarest and < (float)Commonest
                    && w.Word.All(char.IsAsciiLetter)
                )
                .OrderByDescending(w => w.Times)
                .ThenByDescending(w => w.Zipf)
                .ThenBy(w => w.Word, StringComparer.Ordinal)
                .Take(MostWords)
                .Select(w => new SuggestedWord(
                    w.Word,
                    w.Times,
                    sentences.FirstOrDefault(s => Regex.IsMatch(s, $@"\b{w.Word}\b", RegexOptions.IgnoreCase)) ?? ""
                )),
        ];
    }

    private static bool Names(string text) => TextCounter.Count(text).Vocabulary.Count(w => w.Name) > 1;

    [GeneratedRegex(@"^Dear [A-Z][^.!?]{0,40},")]
    private static partial Regex Dear();

    [GeneratedRegex(
        @"^#*\s*((Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day\b|\d{1,2} "
            + @"(January|February|March|April|May|June|July|August|September|October|November|December)\b).{0,40}$"
    )]
    private static partial Regex Day();

    [GeneratedRegex(@"^\*{0,2}([A-Z][A-Za-z .]{0,24}):\*{0,2}\s")]
    private static partial Regex Speaker();

    [GeneratedRegex("[.!?…][\"”’)]?\\s*$")]
    private static partial Regex EndsSentence();

    [GeneratedRegex(@"^\s*(\d+[.)]|Step \d+)\s")]
    private static partial Regex Step();

    [GeneratedRegex(@"\b(was|were|had|said|went|came|saw|took|ran|\w{3,}ed)\b")]
    private static partial Regex Past();

    [GeneratedRegex(@"\b(is|are|has|have|does|do|can)\b")]
    private static partial Regex Present();

    [GeneratedRegex(@"\b(should|must|ought|therefore|argue|believe|in favour|against)\b")]
    private static partial Regex Should();
}
