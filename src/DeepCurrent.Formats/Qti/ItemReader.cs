using System.Globalization;
using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using static DeepCurrent.Formats.Qti.Qti;

namespace DeepCurrent.Formats.Qti;

/// <summary>Reads one QTI 3.0 item as a question.</summary>
internal static class ItemReader
{
    private const int ShortLines = 3;

    /// <returns>Null for a kind of interaction that we do not have, or more than one of them.</returns>
    public static Question? Question(XElement item, string version)
    {
        if (item.Element(Ns + "qti-item-body") is not { } body)
            return null;
        var interactions = body.Descendants()
            .Where(e => e.Name.Namespace == Ns && e.Name.LocalName.EndsWith("-interaction", StringComparison.Ordinal))
            .ToList();
        if (interactions.Count != 1)
            return null;
        var at = interactions[0];
        var right = Right(item);
        var kind = at.Name.LocalName;
        var (choices, asked) = kind switch
        {
            "qti-choice-interaction" => (
                Chosen(at, right, item),
                Multiple(item) ? QuestionKind.Multiple : QuestionKind.Single
            ),
            "qti-order-interaction" => (Ordered(at, right), QuestionKind.Order),
            "qti-match-interaction" => (Matched(at, right), QuestionKind.Match),
            "qti-hottext-interaction" => ([], QuestionKind.Sentence),
            "qti-extended-text-interaction" => ([], Short(body, at) ? QuestionKind.Short : QuestionKind.Long),
            "qti-text-entry-interaction" => ([], QuestionKind.Short),
            _ => ((List<Choice>?)null, default),
        };
        if (choices is null)
            return null;
        var proof = (string?)Ours(body, Proof) ?? (asked is QuestionKind.Sentence ? Picked(at, item, right) : null);
        return new(
            default,
            0,
            Strands.Parse((string?)Ours(body, OfStrand)) ?? Core.Questions.Strand.Retrieve,
            Stem(body, at),
            choices,
            proof is null ? new Dictionary<string, string>() : new Dictionary<string, string> { [version] = proof },
            asked,
            (string?)Ours(body, Evidence) == "true",
            OffsetOf(body),
            (int?)Ours(body, After) is { } place ? new Dictionary<string, int> { [version] = place } : null,
            asked.Written() ? Marks(body) : null
        );
    }

    /// <summary>As it says itself, or by the lines it leaves for the answer.</summary>
    private static bool Short(XElement body, XElement interaction) =>
        (string?)Ours(body, Written) is { } said
            ? said == "short"
            : (int?)interaction.Attribute("expected-lines") is null or <= ShortLines;

    private static double OffsetOf(XElement body) =>
        double.TryParse((string?)Ours(body, Offset), NumberStyles.Float, CultureInfo.InvariantCulture, out var offset)
            ? Math.Clamp(offset, -20, 20)
            : 0;

    private static XAttribute? Ours(XElement body, string name) => body.Descendants().Attributes(name).FirstOrDefault();

    private static bool Multiple(XElement item) =>
        (string?)item.Element(Ns + "qti-response-declaration")?.Attribute("cardinality") == "multiple";

    private static List<string> Right(XElement item) =>
        [
            .. item.Elements(Ns + "qti-response-declaration")
                .Elements(Ns + "qti-correct-response")
                .Elements(Ns + "qti-value")
                .Select(v => v.Value.Trim()),
        ];

    private static string Stem(XElement body, XElement interaction)
    {
        if (interaction.Element(Ns + "qti-prompt") is { } prompt && Flow.Words(prompt) is { Length: > 0 } asked)
            return asked;
        var before = body.Descendants()
            .TakeWhile(e => e != interaction)
            .Where(e => e.Name.LocalName is "p" or "div" or "h2" or "h3" && !e.Descendants().Contains(interaction));
        return string.Join(
            ' ',
            before
                .Where(e => !e.Elements().Any(c => c.Name.LocalName is "p" or "div"))
                .Select(Flow.Words)
                .Where(w => w.Length > 0)
        );
    }

    private static List<Choice> Chosen(XElement at, List<string> right, XElement item)
    {
        var reasons = item.Elements(Ns + "qti-modal-feedback")
            .GroupBy(f => (string?)f.Attribute("identifier") ?? "")
            .ToDictionary(g => g.Key, g => Flow.Words(g.First()));
        return
        [
            .. at.Elements(Ns + "qti-simple-choice")
                .Select(c => (Id: (string?)c.Attribute("identifier") ?? "", Element: c))
                .Select(c => new Choice(
                    Said(c.Element),
                    right.Contains(c.Id),
                    reasons.GetValueOrDefault(c.Id)
                        ?? string.Join(' ', c.Element.Descendants(Ns + "qti-feedback-inline").Select(Flow.Words))
                )),
        ];
    }

    private static List<Choice> Ordered(XElement at, List<string> right)
    {
        var texts = at.Elements(Ns + "qti-simple-choice")
            .ToDictionary(c => (string?)c.Attribute("identifier") ?? "", Said);
        return
        [
            .. right
                .Where(texts.ContainsKey)
                .Concat(texts.Keys)
                .Distinct()
                .Select(id => new Choice(texts[id], false, "")),
        ];
    }

    private static List<Choice> Matched(XElement at, List<string> right)
    {
        var sets = at.Elements(Ns + "qti-simple-match-set")
            .Select(s =>
                s.Elements(Ns + "qti-simple-associable-choice")
                    .ToDictionary(c => (string?)c.Attribute("identifier") ?? "", Said)
            )
            .ToList();
        if (sets.Count != 2)
            return [];
        var pairs = right
            .Select(r => r.Split(' '))
            .Where(p => p.Length == 2 && sets[0].ContainsKey(p[0]) && sets[1].ContainsKey(p[1]))
            .DistinctBy(p => p[0])
            .ToDictionary(p => p[0], p => p[1]);
        var left = sets[0]
            .Where(l => pairs.ContainsKey(l.Key))
            .Select(l => (Order: Place(l.Key), Choice: new Choice(l.Value, false, "", sets[1][pairs[l.Key]])));
        var over = sets[1]
            .Where(r => !pairs.ContainsValue(r.Key))
            .Select(r => (Order: Place(r.Key), Choice: new Choice("", false, "", r.Value)));
        return [.. left.Concat(over).OrderBy(c => c.Order).Select(c => c.Choice)];
    }

    /// <summary>Where a half stands: by its number, where it has one.</summary>
    private static int Place(string id) =>
        int.TryParse(id.AsSpan(Math.Min(1, id.Length)), out var n) ? n : int.MaxValue;

    private static string? Picked(XElement at, XElement item, List<string> right)
    {
        var ids = right
            .Concat(
                item.Descendants(Ns + "qti-map-entry")
                    .Where(e => (double?)e.Attribute("mapped-value") > 0)
                    .Select(e => (string?)e.Attribute("map-key") ?? "")
            )
            .ToHashSet();
        return at.Descendants(Ns + "qti-hottext")
            .Where(h => ids.Contains((string?)h.Attribute("identifier") ?? ""))
            .Select(Flow.Words)
            .FirstOrDefault();
    }

    private static Rubric? Marks(XElement body)
    {
        var blocks = body.Descendants(Ns + "qti-rubric-block").ToList();
        List<string> marks = [.. blocks.Descendants(Ns + "ol").Elements(Ns + "li").Select(Flow.Words)],
            samples = [.. blocks.Descendants(Ns + "ul").Elements(Ns + "li").Select(Flow.Words)];
        return marks.Count == Rubric.Most + 1
            ? new(marks, samples)
            : new(
                [
                    "Says nothing about the text.",
                    "Says something of it.",
                    "Answers the question.",
                    "Answers it fully, from the text.",
                ],
                samples
            );
    }

    private static string Said(XElement choice)
    {
        var copy = new XElement(choice);
        copy.Descendants(Ns + "qti-feedback-inline").Remove();
        return Flow.Words(copy);
    }
}
