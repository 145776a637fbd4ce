using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Schools;

/// <summary>The letter of a school in one language.</summary>
public sealed record SchoolLetter(Language Language, string Title, string Body);

/// <summary>The letters of a school to guardians: its own words where it has some, else those that ship.</summary>
public static class SchoolLetters
{
    public static LetterWords Of(School school, Language language) =>
        school.Letters is { } kept
        && Database.FromJson<Dictionary<string, LetterWords>>(kept).GetValueOrDefault(language.Code()) is { } own
            ? own
            : LetterWords.Usual(language);

    /// <summary>One for each language the product speaks.</summary>
    public static IReadOnlyList<SchoolLetter> All(School school) =>
        [
            .. Enum.GetValues<Language>()
                .Select(language =>
                {
                    var words = Of(school, language);
                    return new SchoolLetter(language, words.Title, words.Body);
                }),
        ];

    /// <summary>The letters as they are kept; null where all are the usual ones.</summary>
    public static string? Kept(IEnumerable<SchoolLetter> letters)
    {
        var own = letters
            .Select(l => (l.Language, Words: new LetterWords(l.Title.Trim(), l.Body.Trim())))
            .Where(l => l.Words != LetterWords.Usual(l.Language))
            .ToDictionary(l => l.Language.Code(), l => l.Words);
        return own.Count == 0 ? null : Database.ToJson(own);
    }

    /// <summary>What is wrong with a school's letters: one is asked for in each language.</summary>
    public static Faults Check(Faults faults, IReadOnlyList<SchoolLetter>? letters)
    {
        var found = letters ?? [];
        faults.If(
            !found.Select(l => l.Language).Order().SequenceEqual(Enum.GetValues<Language>()),
            "letters",
            $"Enter one letter in each language."
        );
        foreach (var (i, l) in found.Index())
            faults
                .If(
                    l.Title?.Trim().Length is not (> 0 and <= LetterWords.LongestTitle),
                    $"letters[{i}].title",
                    $"Enter a letter title of {LetterWords.LongestTitle} letters or fewer."
                )
                .If(
                    l.Body?.Trim().Length is not (> 0 and <= LetterWords.LongestBody),
                    $"letters[{i}].body",
                    $"Enter a letter of {LetterWords.LongestBody} letters or fewer."
                )
                .If(
                    l.Body?.Contains("{code}", StringComparison.Ordinal) == false,
                    $"letters[{i}].body",
                    $"Add {"{code}"} to the letter. Without it, no one can register."
                );
        return faults;
    }
}
