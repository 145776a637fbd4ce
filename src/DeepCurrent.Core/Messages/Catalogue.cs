using System.Globalization;
using System.Text.Json;
using System.Text.RegularExpressions;

namespace DeepCurrent.Core.Messages;

/// <summary>The sentences of one language: one file of <c>languages/</c>, which the pages read, too.</summary>
public sealed partial class Catalogue
{
    private static readonly string[] Months =
    [
        "January",
        "February",
        "March",
        "April",
        "May",
        "June",
        "July",
        "August",
        "September",
        "October",
        "November",
        "December",
    ];

    private static readonly Dictionary<Language, Catalogue> All = Enum.GetValues<Language>()
        .ToDictionary(language => language, language => new Catalogue(language));

    private readonly Dictionary<string, string> sentences;
    private readonly NumberFormatInfo numbers;
    private readonly int groupedFrom;

    private Catalogue(Language language)
    {
        Language = language;
        using var file = typeof(Catalogue).Assembly.GetManifestResourceStream($"languages.{language.Code()}.json")
            ?? throw new InvalidOperationException($"The sentences of {language} are missing from the assembly.");
        sentences = JsonSerializer
            .Deserialize<Dictionary<string, Dictionary<string, string>>>(file)!
            .Values.SelectMany(part => part)
            .DistinctBy(s => s.Key)
            .ToDictionary();
        // As the language's own writing of 12,345.6 and 1,234 shows.
        var sample = Word("12,345.6");
        numbers = new()
        {
            NumberGroupSeparator = sample[2..^5],
            NumberDecimalSeparator = sample[^2..^1],
            NegativeSign = "−",
        };
        groupedFrom = Word("1,234").Length > 4 ? 1_000 : 10_000;
    }

    public static Catalogue English => Of(Language.English);

    public Language Language { get; }

    public static Catalogue Of(Language language) => All[language];

    /// <summary>A message in this language; a sentence it does not have is said in English.</summary>
    public string Say(Message message)
    {
        var sentence = Sentence(message.Key, message.Count) ?? English.Sentence(message.Key, message.Count);
        return Hole().Replace(sentence ?? message.Key, hole => Fill(message, hole.Groups[1].Value) ?? hole.Value);
    }

    /// <summary>Messages as paragraphs of a letter.</summary>
    public string Letter(params Message[] paragraphs) => string.Join("\n\n", paragraphs.Select(Say));

    private string? Sentence(string key, long? count) =>
        count is { } n
            ? sentences.GetValueOrDefault($"{key}_{(n == 1 ? "one" : "other")}")
            : sentences.GetValueOrDefault(key);

    /// <summary>What goes into a sentence at a place; null where nothing does.</summary>
    private string? Fill(Message message, string place)
    {
        if (place == "count")
            return Write(message.Count ?? 0, 0);
        var at = int.Parse(place, CultureInfo.InvariantCulture);
        return at < message.Values.Count ? Say(message.Values[at]) : null;
    }

    private string Word(string key) => sentences.GetValueOrDefault(key, key);

    private string Say(MessageValue value) =>
        value switch
        {
            { Text: { } text } => text,
            { Number: { } number } => Write(number, value.Digits ?? 0),
            { Day: { } day } => Like("24 November 2026", day.Day, day.Month, ("2026", $"{day.Year}")),
            { Time: { } time } => Like("24 November, 14:05", time.Day, time.Month, ("14:05", $"{time:HH:mm}")),
            { Message: { } message } => Say(message),
            { List: { } list } => string.Join(", ", list.Select(Say)),
            _ => "",
        };

    /// <summary>A day as the language's own writing of 24 November shows, before or beside the year or the clock.</summary>
    private string Like(string sample, int day, int month, (string Sample, string Now) rest) =>
        Word(sample)
            .Replace("24", day.ToString(CultureInfo.InvariantCulture), StringComparison.Ordinal)
            .Replace("November", Word(Months[month - 1]), StringComparison.Ordinal)
            .Replace(rest.Sample, rest.Now, StringComparison.Ordinal);

    private string Write(double number, int digits) =>
        number.ToString(Math.Abs(number) >= groupedFrom ? $"N{digits}" : $"F{digits}", numbers);

    [GeneratedRegex(@"\{\{(\d+|count)\}\}")]
    private static partial Regex Hole();
}
