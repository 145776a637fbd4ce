using System.Text.RegularExpressions;

namespace DeepCurrent.Core.Texts;

/// <summary>What a paragraph of a version is: words, a heading (begins with #), or a picture (![what it shows](name)).</summary>
public static partial class Paragraphs
{
    public static bool IsHeading(string paragraph) => paragraph.StartsWith('#');

    public static bool IsPicture(string paragraph) => PictureOf(paragraph) is not null;

    /// <summary>True for what is measured: no heading and no picture.</summary>
    public static bool IsProse(string paragraph) => !IsHeading(paragraph) && !IsPicture(paragraph);

    /// <summary>True for prose that is read on, word after word: no row of a table either.</summary>
    public static bool IsRunning(string paragraph) => IsProse(paragraph) && !paragraph.Contains('|');

    /// <summary>The running text of a version.</summary>
    public static string Running(IEnumerable<IReadOnlyList<string>> pages) => string.Join("\n\n", pages.SelectMany(p => p).Where(IsRunning));

    /// <summary>What a picture shows and its name; null for anything else.</summary>
    public static (string Alt, string Name)? PictureOf(string paragraph) => Picture().Match(paragraph) is { Success: true } m ? (m.Groups[1].Value.Trim(), m.Groups[2].Value) : null;

    /// <summary>Bold (group 1) and slanted (group 2) words.</summary>
    [GeneratedRegex(@"\*\*([^*]+)\*\*|\*([^*]+)\*")]
    public static partial Regex Emphasis();

    [GeneratedRegex(@"^!\[([^\]]*)\]\(([^()\s]+)\)$")]
    private static partial Regex Picture();
}
