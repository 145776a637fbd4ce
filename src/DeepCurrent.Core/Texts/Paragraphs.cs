using System.Text.RegularExpressions;

namespace DeepCurrent.Core.Texts;

/// <summary>What a paragraph of a version is: words, a heading (begins with #), a table (bars in every line), or a
/// picture (![what it shows](name)).</summary>
public static partial class Paragraphs
{
    public static bool IsHeading(string paragraph) => paragraph.StartsWith('#');

    public static bool IsPicture(string paragraph) => PictureOf(paragraph) is not null;

    /// <summary>True for what is measured: no heading and no picture.</summary>
    public static bool IsProse(string paragraph) => !IsHeading(paragraph) && !IsPicture(paragraph);

    /// <summary>True for prose that is read on, word after word: no row of a table either.</summary>
    public static bool IsRunning(string paragraph) => IsProse(paragraph) && !IsTable(paragraph);

    /// <summary>True for a paragraph of whose lines each has cells with bars between.</summary>
    public static bool IsTable(string paragraph) =>
        IsProse(paragraph) && Array.TrueForAll(paragraph.Split('\n'), l => l.Contains('|'));

    /// <summary>The rows of a table as their cells; a line of bars and dashes alone is none.</summary>
    public static IReadOnlyList<IReadOnlyList<string>> Rows(string table) =>
        [
            .. table
                .Split('\n')
                .Where(l => !Rule().IsMatch(l))
                .Select(l => (IReadOnlyList<string>)[.. Bars().Replace(l.Trim(), "").Split('|').Select(c => c.Trim())]),
        ];

    /// <summary>Whether a table's first row names its columns: it has no figures, and rows below it do.</summary>
    public static bool HasHead(IReadOnlyList<IReadOnlyList<string>> rows) =>
        rows.Count > 1
        && !rows[0].Any(c => c.Any(char.IsDigit))
        && rows.Skip(1).Any(r => r.Any(c => c.Any(char.IsDigit)));

    /// <summary>Whether a text holds words of a quotation after one another, however its lines are broken.</summary>
    public static bool Holds(string text, string quotation) =>
        OneLine(text).Contains(OneLine(quotation), StringComparison.Ordinal);

    private static string OneLine(string text) =>
        string.Join(' ', text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));

    /// <summary>A paragraph, or words out of one, as they are said: without marks, the cells of a row with commas
    /// between.</summary>
    public static string Said(string text) =>
        Emphasis()
            .Replace(
                Cells()
                    .Replace(
                        string.Join('\n', text.TrimStart('#').Split('\n').Select(l => Bars().Replace(l.Trim(), ""))),
                        ", "
                    ),
                "$1$2"
            )
            .Trim();

    /// <summary>A page as it is read aloud: headings and pictures' words too, tables row by row. The pages of the
    /// application say the same, letter by letter, so that a word's place is the same in both.</summary>
    public static string Aloud(IEnumerable<string> page) => string.Join(' ', page.Select(Aloud));

    private static string Aloud(string paragraph)
    {
        if (PictureOf(paragraph) is { } picture)
            return picture.Alt;
        return IsTable(paragraph)
            ? string.Join('\n', Rows(paragraph).Select(row => string.Join(", ", row.Select(Bare))))
            : Bare(Sharps().Replace(paragraph, ""));
    }

    private static string Bare(string text) => Emphasis().Replace(text, "$1$2");

    [GeneratedRegex(@"^#+\s*")]
    private static partial Regex Sharps();

    /// <summary>The running text of a version.</summary>
    public static string Running(IEnumerable<IReadOnlyList<string>> pages) =>
        string.Join("\n\n", pages.SelectMany(p => p).Where(IsRunning));

    /// <summary>What a picture shows and its name; null for anything else.</summary>
    public static (string Alt, string Name)? PictureOf(string paragraph) =>
        Picture().Match(paragraph) is { Success: true } m ? (m.Groups[1].Value.Trim(), m.Groups[2].Value) : null;

    /// <summary>Bold (group 1) and slanted (group 2) words.</summary>
    [GeneratedRegex(@"\*\*([^*]+)\*\*|\*([^*]+)\*")]
    public static partial Regex Emphasis();

    [GeneratedRegex(@"^[\s|:-]+$")]
    private static partial Regex Rule();

    [GeneratedRegex(@"^\||\|$")]
    private static partial Regex Bars();

    [GeneratedRegex(@"[ \t]*\|[ \t]*")]
    private static partial Regex Cells();

    [GeneratedRegex(@"^!\[([^\]]*)\]\(([^()\s]+)\)$")]
    private static partial Regex Picture();
}
