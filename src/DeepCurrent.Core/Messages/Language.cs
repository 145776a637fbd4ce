namespace DeepCurrent.Core.Messages;

/// <summary>A language the product speaks.</summary>
public enum Language
{
    English,
    Spanish,
}

public static class Languages
{
    private static readonly (Language Language, string Code, string[] Names)[] Known =
    [
        (Language.English, "en", ["english"]),
        (Language.Spanish, "es", ["spanish", "español", "espanol", "castellano"]),
    ];

    /// <summary>The code of the language, as its file is called.</summary>
    public static string Code(this Language language) => Known.First(k => k.Language == language).Code;

    /// <summary>The language of a code; null where the product does not speak it.</summary>
    public static Language? WithCode(string code) =>
        Known.Any(k => k.Code == code) ? Known.First(k => k.Code == code).Language : null;

    /// <summary>The language somebody named, in English, in itself or by its code (with or without a country).</summary>
    /// <returns>English where the product does not speak it.</returns>
    public static Language Of(string? named)
    {
        var asked = (named ?? "").Trim().ToLowerInvariant();
        return Known.FirstOrDefault(k => k.Names.Contains(asked) || IsOf(asked, k.Code)).Language;
    }

    /// <summary>Whether a tag is of a language, with a country or without, such as es-MX.</summary>
    private static bool IsOf(string tag, string code) =>
        tag == code
        || tag.StartsWith($"{code}-", StringComparison.Ordinal)
        || tag.StartsWith($"{code}_", StringComparison.Ordinal);
}
