using System.Xml.Linq;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Formats.Qti;

/// <param name="Pages">Paragraphs; a heading begins with #.</param>
public sealed record QtiVersion(string Label, IReadOnlyList<IReadOnlyList<string>> Pages);

/// <summary>A text and its questions as a package holds them.</summary>
/// <param name="Versions">None where a package has questions only.</param>
public sealed record QtiText(string Title, IReadOnlyList<QtiVersion> Versions, IReadOnlyList<Question> Questions);

/// <param name="LeftOut">What the package holds that is no question of a kind we know, a sentence each.</param>
public sealed record QtiPackage(IReadOnlyList<QtiText> Texts, IReadOnlyList<string> LeftOut);

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
}
