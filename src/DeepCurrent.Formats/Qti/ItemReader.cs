using System.Globalization;
using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Questions;
using static DeepCurrent.Formats.Qti.Qti;

namespace DeepCurrent.Formats.Qti;

/// <summary>Reads one QTI 3.0 item as a question.</summary>
internal static class ItemReader
{
    /// <returns>Null for a kind of interaction that we do not have, or more than one of them.</returns>
    public static Question? Question(XElement element, string version)
    {
        if (QtiItem.Of(element) is not { } item || QuestionFormat.Reading(item) is not { } format)
            return null;
        var proof = item.Ours(Proof) ?? format.Proof(item);
        return new(
            default,
            0,
            Strands.Parse(item.Ours(OfStrand)) ?? Strand.Retrieve,
            Stem(item.Body, item.At),
            format.Choices(item),
            proof is null ? new Dictionary<string, string>() : new Dictionary<string, string> { [version] = proof },
            format.Kind,
            item.Ours(Evidence) == "true",
            OffsetOf(item),
            int.TryParse(item.Ours(After), NumberStyles.Integer, CultureInfo.InvariantCulture, out var place)
                ? new Dictionary<string, int> { [version] = place }
                : null,
            format.Rubric(item)
        );
    }

    private static double OffsetOf(QtiItem item) =>
        double.TryParse(item.Ours(Offset), NumberStyles.Float, CultureInfo.InvariantCulture, out var offset)
            ? Math.Clamp(offset, -20, 20)
            : 0;

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
}
