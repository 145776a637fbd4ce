namespace DeepCurrent.Core.Texts;

/// <summary>Decides whether a mark ends a sentence: knows abbreviations, initials, quotations, ellipses, list items and
/// blank lines.</summary>
public static class Sentences
{
    private static readonly HashSet<string> Titles = new(StringComparer.OrdinalIgnoreCase)
    {
        "mr",
        "mrs",
        "ms",
        "dr",
        "prof",
        "rev",
        "st",
        "capt",
        "sgt",
        "lt",
        "col",
        "gen",
        "mt",
        "vs",
        "no",
        "fig",
        "approx",
    };

    private static readonly HashSet<string> Abbreviations = new(StringComparer.OrdinalIgnoreCase)
    {
        "e.g",
        "i.e",
        "etc",
        "jr",
        "sr",
        "inc",
        "ltd",
        "co",
        "a.m",
        "p.m",
        "jan",
        "feb",
        "aug",
        "sept",
        "oct",
        "nov",
        "dec",
        "g",
        "e",
        "m",
    };

    private static readonly HashSet<string> SaidWords = new(StringComparer.Ordinal)
    {
        "said",
        "asked",
        "cried",
        "called",
        "shouted",
        "whispered",
        "answered",
        "replied",
        "laughed",
        "yelled",
        "says",
        "asks",
        "wondered",
        "added",
        "sighed",
    };

    /// <summary>The sentences of a text in order, each with its marks; what holds no word is left out.</summary>
    /// <remarks>Ends where the counting of sentences ends them.</remarks>
    public static IReadOnlyList<string> Of(ReadOnlySpan<char> text)
    {
        var found = new List<string>();
        int start = 0,
            at = 0,
            wordStart = 0,
            wordEnd = 0;
        var words = false;
        while (at < text.Length)
        {
            if (char.IsLetterOrDigit(text[at]))
            {
                (wordStart, wordEnd, words) = (at, TextCounter.WordEnd(text, at), true);
                at = wordEnd;
            }
            else if (words && EndsAt(text, at, text[wordStart..wordEnd]))
            {
                while (
                    ++at < text.Length
                    && text[at] is '.' or '!' or '?' or '…' or '"' or '”' or '’' or '\'' or ')' or ']' or '*' or '_'
                ) { }
                found.Add(text[start..at].Trim().ToString());
                (start, words) = (at, false);
            }
            else
                at++;
        }
        if (words)
            found.Add(text[start..].Trim().ToString());
        return found;
    }

    /// <summary>True where the character at <paramref name="at"/> ends a sentence.</summary>
    /// <param name="lastWord">The word before the mark, without the mark.</param>
    public static bool EndsAt(ReadOnlySpan<char> text, int at, ReadOnlySpan<char> lastWord)
    {
        var mark = text[at];
        if (mark == '\n')
            return EndsLine(text, at);
        if (!IsMark(mark))
            return false;
        var close = Past(text, at + 1, IsMark);
        var after = Past(text, close, Closes);
        if (after >= text.Length)
            return true;
        if (!char.IsWhiteSpace(text[after]))
            return false;
        var next = Past(text, after, Opens);
        if (next >= text.Length)
            return true;
        if (char.IsLower(text[next]) || (mark == '.' && IsAbbreviation(text, at, next, lastWord)))
            return false;
        var quoteClosed = text[close..after].ContainsAny("\"”’'");
        return !(quoteClosed && SpeakerFollows(text[next..]));
    }

    /// <summary>The first place from a place on that is not of a kind.</summary>
    private static int Past(ReadOnlySpan<char> text, int at, Func<char, bool> kind)
    {
        while (at < text.Length && kind(text[at]))
            at++;
        return at;
    }

    private static bool IsMark(char c) => c is '.' or '!' or '?' or '…';

    private static bool Closes(char c) => c is '"' or '”' or '’' or '\'' or ')' or ']' or '*' or '_';

    private static bool Opens(char c) =>
        char.IsWhiteSpace(c) || c is '"' or '“' or '‘' or '\'' or '(' or '[' or '—' or '–' or '*' or '_';

    private static bool IsAbbreviation(ReadOnlySpan<char> text, int at, int next, ReadOnlySpan<char> lastWord)
    {
        if (at == 0 || !char.IsLetter(text[at - 1]))
            return false;
        if (Titles.GetAlternateLookup<ReadOnlySpan<char>>().Contains(lastWord))
            return char.IsUpper(text[next]) || char.IsAsciiDigit(text[next]);
        // A single capital is an initial ("J. R. Moss"), unless it is the word I.
        if (lastWord.Length == 1 && char.IsUpper(lastWord[0]) && lastWord[0] != 'I')
            return char.IsUpper(text[next]);
        return Abbreviations.GetAlternateLookup<ReadOnlySpan<char>>().Contains(lastWord) && !char.IsUpper(text[next]);
    }

    /// <summary>"Stop!" Mara said. — one sentence, although a capital follows the mark.</summary>
    private static bool SpeakerFollows(ReadOnlySpan<char> rest)
    {
        for (var words = 0; words < 4 && rest.Length > 0; words++)
        {
            var end = 0;
            while (end < rest.Length && (char.IsLetter(rest[end]) || rest[end] is '\'' or '’' or '-'))
                end++;
            if (end == 0)
                return false;
            if (SaidWords.GetAlternateLookup<ReadOnlySpan<char>>().Contains(rest[..end]))
                return true;
            while (end < rest.Length && rest[end] is ' ' or '.' && end < rest.Length - 1)
                end++;
            rest = rest[end..];
        }
        return false;
    }

    private static bool EndsLine(ReadOnlySpan<char> text, int at)
    {
        var next = at + 1;
        while (next < text.Length && text[next] is ' ' or '\t' or '\r')
            next++;
        if (next >= text.Length || text[next] == '\n')
            return true;
        // A row of a table ends where its line does.
        var line = text[..at];
        if (line[(line.LastIndexOf('\n') + 1)..].Contains('|'))
            return true;
        if (
            text[next] is '#' or '•' or '|'
            || (text[next] is '-' or '*' && next + 1 < text.Length && text[next + 1] == ' ')
        )
            return true;
        var digits = next;
        while (digits < text.Length && char.IsAsciiDigit(text[digits]))
            digits++;
        return digits > next && digits + 1 < text.Length && text[digits] is '.' or ')' && text[digits + 1] == ' ';
    }
}
