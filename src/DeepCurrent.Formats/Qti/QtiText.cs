using System.Text.RegularExpressions;
using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Formats.Qti;

/// <param name="Pages">Paragraphs; a heading begins with #.</param>
public sealed record QtiVersion(string Label, IReadOnlyList<IReadOnlyList<string>> Pages);

/// <summary>A text and its questions as a package holds them.</summary>
/// <param name="Versions">None where a package has questions only.</param>
public sealed record QtiText(string Title, IReadOnlyList<QtiVersion> Versions, IReadOnlyList<Question> Questions);

/// <param name="LeftOut">What the package holds that is no question of a kind we know, a sentence each.</param>
public sealed record QtiPackage(IReadOnlyList<QtiText> Texts, IReadOnlyList<Message> LeftOut);

/// <summary>Names of 1EdTech QTI 3.0.</summary>
internal static class Qti
{
    public static readonly XNamespace Ns = "http://www.imsglobal.org/xsd/imsqtiasi_v3p0";
    public static readonly XNamespace Manifest = "http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1";

    /// <summary>Ours, on the body of an item: what the standard has no place for.</summary>
    public const string OfStrand = "data-strand",
        Evidence = "data-evidence",
        Offset = "data-offset",
        Proof = "data-proof",
        After = "data-after",
        Label = "data-version",
        Text = "data-text",
        Written = "data-written";

    public static XElement El(string name, params object?[] content) => new(Ns + name, content);

    public static XAttribute At(string name, object value) => new(name, value);

    /// <summary>That an interaction asks for the item's one response.</summary>
    public static XAttribute Responding() => At("response-identifier", "RESPONSE");

    public static XElement SimpleChoice(Choice c, int place) =>
        El("qti-simple-choice", At("identifier", $"C{place}"), c.Text);

    /// <summary>A line with what stands out in it.</summary>
    public static IEnumerable<object> Inline(string text)
    {
        var at = 0;
        foreach (Match m in Paragraphs.Emphasis().Matches(text))
        {
            yield return text[at..m.Index];
            yield return m.Groups[1].Success ? El("strong", m.Groups[1].Value) : El("em", m.Groups[2].Value);
            at = m.Index + m.Length;
        }
        yield return text[at..];
    }

    /// <summary>What a choice says, without the feedback that stands in it.</summary>
    public static string Said(XElement choice)
    {
        var copy = new XElement(choice);
        copy.Descendants(Ns + "qti-feedback-inline").Remove();
        return Flow.Words(copy);
    }
}

/// <summary>An item with one interaction.</summary>
/// <param name="At">The interaction.</param>
internal sealed record QtiItem(XElement Element, XElement Body, XElement At)
{
    public string Interaction => At.Name.LocalName;

    public string? Cardinality =>
        (string?)Element.Element(Qti.Ns + "qti-response-declaration")?.Attribute("cardinality");

    /// <summary>Values of the correct response.</summary>
    public IReadOnlyList<string> Right { get; } =
    [
        .. Element
            .Elements(Qti.Ns + "qti-response-declaration")
            .Elements(Qti.Ns + "qti-correct-response")
            .Elements(Qti.Ns + "qti-value")
            .Select(v => v.Value.Trim()),
    ];

    /// <returns>Null for an item without a body, or with no interaction or several.</returns>
    public static QtiItem? Of(XElement item)
    {
        if (item.Element(Qti.Ns + "qti-item-body") is not { } body)
            return null;
        List<XElement> all =
        [
            .. body.Descendants()
                .Where(e =>
                    e.Name.Namespace == Qti.Ns && e.Name.LocalName.EndsWith("-interaction", StringComparison.Ordinal)
                ),
        ];
        return all.Count == 1 ? new(item, body, all[0]) : null;
    }

    /// <summary>What we wrote into the body under a name of our own.</summary>
    public string? Ours(string name) => (string?)Body.Descendants().Attributes(name).FirstOrDefault();
}
