using System.Globalization;
using System.IO.Compression;
using System.Text.RegularExpressions;
using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Formats.Questions;
using static DeepCurrent.Formats.Qti.Qti;

namespace DeepCurrent.Formats.Qti;

/// <summary>Writes a text and its quiz as a QTI 3.0 package: a stimulus, a test and its items for each
/// version.</summary>
/// <remarks>1EdTech, Question and Test Interoperability 3.0: Assessment, Section and Item information model; Best
/// Practices and Implementation Guide.</remarks>
public static class QtiWriter
{
    /// <exception cref="ArgumentException">The text has no version.</exception>
    public static byte[] Write(QtiText text)
    {
        if (text.Versions.Count == 0)
            throw new ArgumentException("A package needs a text.", nameof(text));
        using var bytes = new MemoryStream();
        using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
        {
            var resources = new List<XElement>();
            foreach (var v in text.Versions)
            {
                var n = Number(text, v);
                Put(zip, $"stimuli/text-{n}.xml", Stimulus(text, v, n));
                var items = text
                    .Questions.Select((q, i) => (Name: $"v{n}-q{i + 1}", Item: Item(text, q, v, n, i)))
                    .ToList();
                foreach (var (name, item) in items)
                    Put(zip, $"items/{name}.xml", item);
                Put(zip, $"test-{n}.xml", Test(text, n, items.Select(i => i.Name)));
                resources.Add(Resource($"text-{n}", "imsqti_stimulus_xmlv3p0", $"stimuli/text-{n}.xml"));
                resources.AddRange(
                    items.Select(i => Resource(i.Name, "imsqti_item_xmlv3p0", $"items/{i.Name}.xml", $"text-{n}"))
                );
                resources.Add(
                    Resource($"test-{n}", "imsqti_test_xmlv3p0", $"test-{n}.xml", [.. items.Select(i => i.Name)])
                );
            }
            Put(zip, "imsmanifest.xml", ManifestOf(resources));
        }
        return bytes.ToArray();
    }

    private static XElement ManifestOf(IEnumerable<XElement> resources) =>
        new(
            Manifest + "manifest",
            At("identifier", "package"),
            new XElement(
                Manifest + "metadata",
                new XElement(Manifest + "schema", "QTI Package"),
                new XElement(Manifest + "schemaversion", "3.0.0")
            ),
            new XElement(Manifest + "organizations"),
            new XElement(Manifest + "resources", resources)
        );

    private static int Number(QtiText text, QtiVersion v) => text.Versions.ToList().IndexOf(v) + 1;

    private static XElement Resource(string id, string type, string href, params string[] needs) =>
        new(
            Manifest + "resource",
            At("identifier", id),
            At("type", type),
            At("href", href),
            new XElement(Manifest + "file", At("href", href)),
            needs.Select(d => new XElement(Manifest + "dependency", At("identifierref", d)))
        );

    private static void Put(ZipArchive zip, string path, XElement root)
    {
        var entry = zip.CreateEntry(path);
        // One time for all, so that the same text is the same package.
        entry.LastWriteTime = new(2020, 1, 1, 0, 0, 0, TimeSpan.Zero);
        using var stream = entry.Open();
        new XDocument(new XDeclaration("1.0", "utf-8", null), root).Save(stream, SaveOptions.DisableFormatting);
    }

    private static XElement Stimulus(QtiText text, QtiVersion v, int n) =>
        El(
            "qti-assessment-stimulus",
            At("identifier", $"text-{n}"),
            At("title", text.Title),
            At(XNamespace.Xml + "lang", "en"),
            El(
                "qti-stimulus-body",
                El(
                    "div",
                    At(Text, text.Title),
                    At(Label, v.Label),
                    v.Pages.Select(p => El("section", p.Where(b => !Paragraphs.IsPicture(b)).Select(Block)))
                )
            )
        );

    private static XAttribute At(XName name, object value) => new(name, value);

    private static XElement Block(string paragraph)
    {
        var level = paragraph.TakeWhile(c => c == '#').Count();
        if (Paragraphs.IsTable(paragraph))
            return El(
                "table",
                El("tbody", Paragraphs.Rows(paragraph).Select(r => El("tr", r.Select(c => El("td", Inline(c))))))
            );
        return level == 0
            ? El("p", Broken(paragraph))
            : El($"h{Math.Min(6, level)}", Inline(paragraph[level..].Trim()));
    }

    /// <summary>Lines as they are written, with breaks between.</summary>
    private static IEnumerable<object> Broken(string paragraph) =>
        paragraph.Split('\n').SelectMany((line, i) => i == 0 ? Inline(line) : [El("br"), .. Inline(line)]);

    private static XElement Test(QtiText text, int n, IEnumerable<string> items) =>
        El(
            "qti-assessment-test",
            At("identifier", $"test-{n}"),
            At("title", text.Title),
            El(
                "qti-test-part",
                At("identifier", "part"),
                At("navigation-mode", "nonlinear"),
                At("submission-mode", "individual"),
                El(
                    "qti-assessment-section",
                    At("identifier", "section"),
                    At("title", text.Title),
                    At("visible", "true"),
                    items.Select(i => El("qti-assessment-item-ref", At("identifier", i), At("href", $"items/{i}.xml")))
                )
            )
        );

    private static XElement Item(QtiText text, Question q, QtiVersion v, int n, int at)
    {
        var asked = new Asked(q, v, Scoring.SentencesOf(v.Pages));
        var format = QuestionFormat.Of(q.Kind);
        var feedback = format.HasReasons(q);
        return El(
            "qti-assessment-item",
            At("identifier", $"v{n}-q{at + 1}"),
            At("title", $"{text.Title}, {at + 1}"),
            At("adaptive", "false"),
            At("time-dependent", "false"),
            At(XNamespace.Xml + "lang", "en"),
            Response(format, asked),
            Outcome("SCORE", "single", "float", q.Written ? (q.Rubric ?? Rubric.Usual).Most : 1, q.Written),
            feedback
                ? El(
                    "qti-outcome-declaration",
                    At("identifier", "FEEDBACK"),
                    At("cardinality", format.Response.Cardinality),
                    At("base-type", "identifier")
                )
                : null,
            El(
                "qti-assessment-stimulus-ref",
                At("identifier", $"text-{n}"),
                At("href", $"../stimuli/text-{n}.xml"),
                At("title", text.Title)
            ),
            El("qti-item-body", Ours(format, asked)),
            Processing(format, asked, feedback),
            feedback ? Feedback(q) : null
        );
    }

    /// <summary>The question, with what only we write about it.</summary>
    private static XElement Ours(QuestionFormat format, Asked a)
    {
        var (q, v, _) = a;
        return El(
            "div",
            At(OfStrand, Strands.Name(q.Strand)),
            q.Evidence ? At(Evidence, "true") : null,
            q.Offset != 0 ? At(Offset, q.Offset.ToString("R", CultureInfo.InvariantCulture)) : null,
            format.Sign,
            q.Proof(v.Label) is { } proof ? At(Proof, proof) : null,
            q.Place(v.Label) is { } place ? At(After, place) : null,
            format.Body(a, El("qti-prompt", q.Stem))
        );
    }

    private static IEnumerable<XElement> Feedback(Question q) =>
        q
            .Choices.Select((c, i) => (c, i))
            .Where(x => x.c.Reason.Length > 0)
            .Select(x =>
                El(
                    "qti-modal-feedback",
                    At("outcome-identifier", "FEEDBACK"),
                    At("identifier", $"C{x.i}"),
                    At("show-hide", "show"),
                    El("qti-content-body", El("p", x.c.Reason))
                )
            );

    private static XElement Outcome(string name, string cardinality, string type, int most, bool human) =>
        El(
            "qti-outcome-declaration",
            At("identifier", name),
            At("cardinality", cardinality),
            At("base-type", type),
            At("normal-maximum", most),
            At("normal-minimum", 0),
            human ? At("external-scored", "human") : null,
            El("qti-default-value", El("qti-value", 0))
        );

    private static XElement Response(QuestionFormat format, Asked a)
    {
        var (cardinality, type) = format.Response;
        List<string> right = [.. format.Correct(a)];
        return El(
            "qti-response-declaration",
            At("identifier", "RESPONSE"),
            At("cardinality", cardinality),
            At("base-type", type),
            right is [] ? null : El("qti-correct-response", right.Select(r => El("qti-value", r))),
            format.Mapping(a)
        );
    }

    private static XElement? Processing(QuestionFormat format, Asked a, bool feedback)
    {
        if (a.Question.Written)
            return null;
        XElement Variable() => El("qti-variable", At("identifier", "RESPONSE"));
        XElement Score(XElement value) => El("qti-set-outcome-value", At("identifier", "SCORE"), value);
        if (format.Mapping(a) is not null)
            return El("qti-response-processing", Score(El("qti-map-response", At("identifier", "RESPONSE"))));
        XElement Number(int n) => El("qti-base-value", At("base-type", "float"), n);
        return El(
            "qti-response-processing",
            El(
                "qti-response-condition",
                El(
                    "qti-response-if",
                    El("qti-match", Variable(), El("qti-correct", At("identifier", "RESPONSE"))),
                    Score(Number(1))
                ),
                El("qti-response-else", Score(Number(0)))
            ),
            feedback ? El("qti-set-outcome-value", At("identifier", "FEEDBACK"), Variable()) : null
        );
    }
}
