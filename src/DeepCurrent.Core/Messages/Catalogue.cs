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

    private readonly Dictionary<string, string> sentences;

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
    }

    public static Catalogue English { get; } = new(Language.English);

    public static Catalogue Spanish { get; } = new(Language.Spanish);

    public Language Language { get; }

    public static Catalogue Of(Language language) => language == Language.Spanish ? Spanish : English;

    /// <summary>Whether the language has a sentence, as one or as one and many.</summary>
    public bool Has(string key) => sentences.ContainsKey(key) || sentences.ContainsKey($"{key}_other");

    /// <summary>A message in this language; a sentence it does not have is said in English.</summary>
    public string Say(Message message)
    {
        var sentence = Sentence(message.Key, message.Count) ?? English.Sentence(message.Key, message.Count);
        return Hole()
            .Replace(sentence ?? message.Key, hole => hole.Groups[1].ValueSpan is "count" ? Write(message.Count ?? 0, 0)
                : int.Parse(hole.Groups[1].ValueSpan, CultureInfo.InvariantCulture) is var at
                && at < message.Values.Count
                    ? Say(message.Values[at])
                : hole.Value);
    }

    /// <summary>Messages as paragraphs of a letter.</summary>
    public string Letter(params Message[] paragraphs) => string.Join("\n\n", paragraphs.Select(Say));

    private string? Sentence(string key, long? count) =>
        count is { } n
            ? sentences.GetValueOrDefault($"{key}_{(n == 1 ? "one" : "other")}")
            : sentences.GetValueOrDefault(key);

    private string Word(string key) => sentences.GetValueOrDefault(key, key);

    private string Say(MessageValue value) =>
        value switch
        {
            { Text: { } text } => text,
            { Number: { } number } => Write(number, value.Digits ?? 0),
            { Day: { } day } => Like("24 November 2026", day.Day, day.Month, $"{day.Year}"),
            { Time: { } time } => Like("24 November, 14:05", time.Day, time.Month, $"{time:HH:mm}"),
            { Message: { } message } => Say(message),
            { List: { } list } => string.Join(", ", list.Select(Say)),
            _ => "",
        };

    /// <summary>A day as the language's own writing of 24 November shows, before or beside the year or the clock.</summary>
    private string Like(string sample, int day, int month, string rest) =>
        Word(sample)
            .Replace("24", day.ToString(CultureInfo.InvariantCulture), StringComparison.Ordinal)
            .Replace("November", Word(Months[month - 1]), StringComparison.Ordinal)
            .Replace(
                sample[^(sample.EndsWith("2026", StringComparison.Ordinal) ? 4 : 5)..],
                rest,
                StringComparison.Ordinal
            );

    /// <summary>A number as the language's own writing of 12,345.6 and 1,234 shows.</summary>
    private string Write(double number, int digits)
    {
        var (sample, small) = (Word("12,345.6"), Word("1,234"));
        var grouped = Math.Abs(number) >= (small.Length > 4 ? 1_000 : 10_000);
        var format = new NumberFormatInfo
        {
            NumberGroupSeparator = sample[2..^5],
            NumberDecimalSeparator = sample[^2..^1],
            NegativeSign = "−",
        };
        return number.ToString(grouped ? $"N{digits}" : $"F{digits}", format);
    }

    [GeneratedRegex(@"\{\{(\d+|count)\}\}")]
    private static partial Regex Hole();
}
