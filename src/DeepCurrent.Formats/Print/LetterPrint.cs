namespace DeepCurrent.Formats.Print;

/// <summary>A letter as a school words it. Words in braces stand for what differs: {reader}, {class}, {school}, {code},
/// {address}, {until}, {teacher}.</summary>
public sealed record LetterWords(string Title, string Body)
{
    public const int LongestTitle = 120,
        LongestBody = 4000;

    public static readonly IReadOnlyList<string> Marks =
    [
        "{reader}",
        "{class}",
        "{school}",
        "{code}",
        "{address}",
        "{until}",
        "{teacher}",
    ];

    /// <summary>The letter every school starts with, in a language.</summary>
    public static LetterWords Usual(Language language)
    {
        var words = Catalogue.Of(language);
        Message[] body =
        [
            $"Dear family of {{reader}},",
            $"{{reader}} reads with us in {{class}}. You can see how the reading goes at any time: the level in plain "
                + $"words, recent reading, and the goals for this term. You see only your own child. Other families "
                + $"cannot see this.",
            $"To start, open {{address}} and type this code: {{code}}",
            $"The page asks for your name, your email address and a new password. Then we send you an email to confirm "
                + $"the address. The code works until {{until}} and is for you alone. Lost it, or do not want it? Ask "
                + $"the school.",
            $"With kind regards,\n{{teacher}}, {{school}}",
        ];
        return new(words.Say($"Follow {{reader}}’s reading"), words.Letter(body));
    }

    /// <summary>Fills in what differs.</summary>
    public LetterWords With(IReadOnlyDictionary<string, string> values) =>
        new(Filled(Title, values), Filled(Body, values));

    private static string Filled(string text, IReadOnlyDictionary<string, string> values) =>
        values.Aggregate(text, (t, v) => t.Replace(v.Key, v.Value, StringComparison.Ordinal));
}

/// <param name="Language">The language of what is printed around the letter.</param>
/// <param name="Code">Shown again in a box, with a link as QR.</param>
public sealed record Letter(string School, LetterWords Words, string Code, string Link, Language Language);

/// <summary>Letters, one to a page; also the sheet that invites an adult.</summary>
public static class LetterPrint
{
    public static void Write(Stream stream, PaperSize size, IEnumerable<Letter> letters)
    {
        using var paper = new Paper(stream, size, "Letters");
        const float left = 68;
        foreach (var letter in letters)
        {
            paper.NewPage();
            paper.Text(letter.School, left, 74, 11, colour: Paper.Soft);
            paper.Rule(left, 86, paper.Width - left, 86, width: 1);
            paper.Text(letter.Words.Title, left, 122, 18, bold: true, most: paper.Width - 2 * left);
            var y = paper.Paragraph(
                letter.Words.Body.ReplaceLineEndings("\n").Trim(),
                left,
                152,
                paper.Width - 2 * left,
                11.5f,
                17
            );
            y = Math.Min(y + 18, paper.Height - 150);
            paper.Box(left, y, paper.Width - 2 * left, 104, edge: Paper.Ink);
            paper.Qr(letter.Link, paper.Width - left - 98, y + 6, 92);
            paper.Text(Catalogue.Of(letter.Language).Say($"Your code"), left + 16, y + 34, 10, colour: Paper.Soft);
            paper.Text(letter.Code, left + 16, y + 62, 22, bold: true, most: paper.Width - 2 * left - 130);
            paper.Text(
                letter.Link.Split('#')[0],
                left + 16,
                y + 86,
                9,
                colour: Paper.Soft,
                most: paper.Width - 2 * left - 130
            );
        }
        if (paper.Pages == 0)
            paper.NewPage();
    }
}
