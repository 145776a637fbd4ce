using System.Diagnostics.CodeAnalysis;

namespace DeepCurrent.Core.Readers;

/// <summary>Letters without their accents, and letters of other scripts in Latin ones.</summary>
/// <remarks>Written out, since the runtime's own decomposition needs a system library that small servers lack.</remarks>
public static class Letters
{
    private static readonly Dictionary<char, string> Accented = Table(
        ("àáâãäåāăąǎạảấầẩẫậắằẳẵặ", "a"),
        ("çćĉċč", "c"),
        ("ďđð", "d"),
        ("èéêëēĕėęěẹẻẽếềểễệ", "e"),
        ("ĝğġģ", "g"),
        ("ĥħ", "h"),
        ("ìíîïĩīĭįıǐỉị", "i"),
        ("ĵ", "j"),
        ("ķ", "k"),
        ("ĺļľŀł", "l"),
        ("ñńņňŋ", "n"),
        ("òóôõöøōŏőơǒọỏốồổỗộớờởỡợ", "o"),
        ("ŕŗř", "r"),
        ("śŝşšș", "s"),
        ("ţťŧț", "t"),
        ("ùúûüũūŭůűųưǔụủứừửữự", "u"),
        ("ŵẁẃẅ", "w"),
        ("ýÿŷỳỵỷỹ", "y"),
        ("źżž", "z"),
        ("æ", "ae"),
        ("œ", "oe"),
        ("ß", "ss"),
        ("þ", "th")
    );

    private static readonly Dictionary<char, string> OtherScripts = Table(
        ("а", "a"),
        ("б", "b"),
        ("в", "v"),
        ("гґ", "g"),
        ("дђ", "d"),
        ("еэє", "e"),
        ("ё", "yo"),
        ("ж", "zh"),
        ("з", "z"),
        ("иыі", "i"),
        ("йј", "j"),
        ("ї", "yi"),
        ("к", "k"),
        ("л", "l"),
        ("м", "m"),
        ("н", "n"),
        ("о", "o"),
        ("п", "p"),
        ("р", "r"),
        ("с", "s"),
        ("тћ", "t"),
        ("уў", "u"),
        ("ф", "f"),
        ("х", "h"),
        ("ц", "ts"),
        ("ч", "ch"),
        ("ш", "sh"),
        ("щ", "sch"),
        ("ю", "yu"),
        ("я", "ya"),
        ("љ", "lj"),
        ("њ", "nj"),
        ("џ", "dz"),
        ("αά", "a"),
        ("β", "v"),
        ("γ", "g"),
        ("δ", "d"),
        ("εέ", "e"),
        ("ζ", "z"),
        ("ηήιίϊΐ", "i"),
        ("θ", "th"),
        ("κ", "k"),
        ("λ", "l"),
        ("μ", "m"),
        ("ν", "n"),
        ("ξ", "x"),
        ("οόωώ", "o"),
        ("π", "p"),
        ("ρ", "r"),
        ("σς", "s"),
        ("τ", "t"),
        ("υύϋΰ", "y"),
        ("φ", "f"),
        ("χ", "ch"),
        ("ψ", "ps")
    );

    private static Dictionary<char, string> Table(params (string Letters, string Plain)[] rows) =>
        rows.SelectMany(row => row.Letters.Select(letter => (letter, row.Plain)))
            .ToDictionary(x => x.letter, x => x.Plain);

    /// <summary>A small letter without its accent; itself if it has none.</summary>
    public static string Bare(char small) => Accented.TryGetValue(small, out var plain) ? plain : small.ToString();

    /// <summary>A small letter of a European script in plain Latin ones.</summary>
    public static bool TryLatin(char small, [NotNullWhen(true)] out string? latin) =>
        Accented.TryGetValue(small, out latin) || OtherScripts.TryGetValue(small, out latin);
}
