using System.IO.Compression;
using System.Text;
using System.Xml.Linq;
using CsCheck;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats;
using DeepCurrent.Formats.Qti;

namespace Formats.Tests;

/// <summary>QTI 3.0 packages: ours come back as they were; others' are read as far as we know their kinds.</summary>
public sealed class QtiTests
{
    private static readonly XNamespace Ns = "http://www.imsglobal.org/xsd/imsqtiasi_v3p0";
    private static readonly string[] Lines =
    [
        "The tide fell.",
        "Ana & Bo ran home!",
        "“Wait,” said the *old* miller.",
        "It was 5 < 6 metres deep.",
        "Was it **late**?",
        "Ölaf lit a lamp.",
    ];

    private static Gen<T> Of<T>(params T[] values) => Gen.Int[0, values.Length - 1].Select(i => values[i]);

    private static readonly Gen<string> Words = Gen.Select(
            Of("gull", "mill & quay", "a <small> boat", "“tide”", "5 fm", "Zoë's lamp"),
            Gen.Int[0, 999]
        )
        .Select((w, n) => $"{w} {n}");

    internal static readonly Gen<Question> AnyQuestion = Gen.Select(
            Of(Enum.GetValues<QuestionKind>()),
            Of(Enum.GetValues<Strand>()),
            Words,
            Words.Array[4, 5],
            Gen.Int[0, 3],
            Gen.Bool,
            Of(0.0, 2.5, -3),
            Gen.Int[0, 4]
        )
        .Select(
            (kind, strand, stem, parts, right, evidence, offset, place) =>
            {
                string[] texts = [.. parts.Select((p, i) => $"{p} {i}")];
                Choice[] choices = kind switch
                {
                    QuestionKind.Single =>
                    [
                        .. texts.Select((t, i) => new Choice(t, i == right, i == 1 ? "" : $"Because of {t}.")),
                    ],
                    QuestionKind.Multiple =>
                    [
                        .. texts.Select(
                            (t, i) => new Choice(t, i == right || i == (right + 1) % 4, $"Because of {t}.")
                        ),
                    ],
                    QuestionKind.Order => [.. texts.Select(t => new Choice(t, false, ""))],
                    QuestionKind.Match =>
                    [
                        .. texts.Select((t, i) => new Choice(i == 3 ? "" : t, false, "", $"right of {t}")),
                    ],
                    _ => [],
                };
                var proofs = new Dictionary<string, string> { ["all"] = Lines[right] };
                return new Question(
                    default,
                    0,
                    strand,
                    stem + "?",
                    choices,
                    proofs,
                    kind,
                    evidence,
                    offset,
                    place > 2 ? new Dictionary<string, int> { ["all"] = place } : null,
                    kind is QuestionKind.Short or QuestionKind.Long
                        ? place % 2 == 0
                            ? Rubric.OneRow(["None.", "Some & more.", "Most.", "All."], [texts[0], texts[1]])
                            : new(
                                [new("Says what", ["No.", "Yes & more."]), new(texts[2], ["No.", "One.", "Two."])],
                                [texts[0], texts[1]]
                            )
                        : null
                );
            }
        );

    [Fact]
    public void What_is_written_comes_back_unchanged() =>
        Gen.Select(AnyQuestion.Array[1, 8], Gen.Int[1, 3], Words)
            .Sample(
                (questions, versions, title) =>
                {
                    var text = new QtiText(
                        title,
                        [
                            .. Enumerable
                                .Range(0, versions)
                                .Select(v => new QtiVersion(
                                    $"{(char)('a' + v)}",
                                    [
                                        ["# The <mill>", .. Lines],
                                        [.. Lines.Take(2 + v)],
                                    ]
                                )),
                        ],
                        [.. questions.Select((q, i) => q with { Position = i })]
                    );
                    var back = QtiReader.Read(new MemoryStream(QtiWriter.Write(text)));
                    back.LeftOut.ShouldBeEmpty();
                    var one = back.Texts.ShouldHaveSingleItem();
                    one.Title.ShouldBe(title);
                    one.Versions.Select(v => (v.Label, Flat(v)))
                        .ShouldBe(text.Versions.Select(v => (v.Label, Flat(v))));
                    Json(one.Questions).ShouldBe(Json(text.Questions));
                    string Flat(QtiVersion v) => string.Join("\n---\n", v.Pages.Select(p => string.Join('\n', p)));
                },
                iter: 300
            );

    private static string Json(object value) => System.Text.Json.JsonSerializer.Serialize(value);

    [Fact]
    public void Versions_keep_their_own_proofs_and_places()
    {
        var q = new Question(
            default,
            0,
            Strand.Infer,
            "Why?",
            [new("a", true, ""), new("b", false, "")],
            new Dictionary<string, string> { ["a"] = Lines[0], ["b"] = Lines[1] },
            After: new Dictionary<string, int> { ["a"] = 1, ["b"] = 2 }
        );
        var back = QtiReader
            .Read(
                new MemoryStream(
                    QtiWriter.Write(
                        new(
                            "T",
                            [
                                new(
                                    "a",
                                    [
                                        [Lines[0]],
                                    ]
                                ),
                                new(
                                    "b",
                                    [
                                        [Lines[1]],
                                    ]
                                ),
                            ],
                            [q]
                        )
                    )
                )
            )
            .Texts[0]
            .Questions[0];
        Json(back).ShouldBe(Json(q));
    }

    /// <summary>What the package says is right scores 1 by its own response processing, read as the standard
    /// says.</summary>
    [Fact]
    public void The_right_answer_scores_and_the_file_does_not_give_it_away() =>
        AnyQuestion
            .Where(q => q.Kind is QuestionKind.Order or QuestionKind.Match)
            .Sample(q =>
            {
                var item = Item(QtiWriter.Write(new("T", [new("a", [Lines])], [q])));
                var right = item.Descendants(Ns + "qti-correct-response").Elements().Select(v => v.Value).ToList();
                if (q.Kind is QuestionKind.Order)
                    item.Descendants(Ns + "qti-simple-choice")
                        .Select(c => (string)c.Attribute("identifier")!)
                        .ShouldNotBe(right);
                else
                    right.Count.ShouldBe(q.Lefts);
                var order = item.Elements().Select(e => e.Name.LocalName).Distinct().ToList();
                order.ShouldBe(
                    [
                        "qti-response-declaration",
                        "qti-outcome-declaration",
                        "qti-assessment-stimulus-ref",
                        "qti-item-body",
                        "qti-response-processing",
                    ],
                    "the schema's order"
                );
            });

    private static XElement Item(byte[] package)
    {
        using var zip = new ZipArchive(new MemoryStream(package));
        using var stream = zip.Entries.Single(e => e.FullName.StartsWith("items/", StringComparison.Ordinal)).Open();
        return XElement.Load(stream);
    }

    internal static MemoryStream Zip(params (string Path, string Text)[] files)
    {
        var bytes = new MemoryStream();
        using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var (path, text) in files)
            {
                using var s = zip.CreateEntry(path).Open();
                s.Write(Encoding.UTF8.GetBytes(text));
            }
        bytes.Position = 0;
        return bytes;
    }

    private const string Foreign = """
        <qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0"
            identifier="x" title="Boats" adaptive="false" time-dependent="false">
          <qti-response-declaration identifier="RESPONSE" cardinality="single" base-type="identifier">
            <qti-correct-response><qti-value>B</qti-value></qti-correct-response>
          </qti-response-declaration>
          <qti-item-body><div><p>Look at the boats.</p><p>Which one is <b>blue</b>?</p></div>
            <qti-choice-interaction response-identifier="RESPONSE" max-choices="1">
              <qti-simple-choice identifier="A">the tug<qti-feedback-inline outcome-identifier="F"
                identifier="A">It is red.</qti-feedback-inline></qti-simple-choice>
              <qti-simple-choice identifier="B">the ferry</qti-simple-choice>
            </qti-choice-interaction>
          </qti-item-body>
        </qti-assessment-item>
        """;

    [Fact]
    public void Items_of_others_are_read_and_what_is_not_known_is_said()
    {
        var drawing = Foreign.Replace("choice-interaction", "hotspot-interaction").Replace("Boats", "Drawing");
        var back = QtiReader.Read(
            Zip(("a.xml", Foreign), ("b.xml", drawing), ("c.xml", "no <xml"), ("../../evil.xml", "<a/>"))
        );
        var q = back.Texts.ShouldHaveSingleItem().Questions.ShouldHaveSingleItem();
        q.Stem.ShouldBe("Look at the boats. Which one is **blue**?");
        q.Choices.ShouldBe([new("the tug", false, "It is red."), new("the ferry", true, "")]);
        back.LeftOut.Single().ToString().ShouldBe("“Drawing” is a kind of question not used here.");
    }

    [Fact]
    public void What_is_no_package_is_said_plainly()
    {
        Should
            .Throw<Unreadable>(() => QtiReader.Read(new MemoryStream([1, 2, 3])))
            .Message.ShouldContain("not a QTI package");
        Should.Throw<Unreadable>(() => QtiReader.Read(Zip(("a.xml", "<a/>")))).Message.ShouldContain("no QTI 3 items");
        var entities =
            "<!DOCTYPE a [<!ENTITY b \"bbbb\">]><qti-assessment-item "
            + "xmlns=\"http://www.imsglobal.org/xsd/imsqtiasi_v3p0\">&b;</qti-assessment-item>";
        Should
            .Throw<Unreadable>(() => QtiReader.Read(Zip(("a.xml", entities))))
            .Message.ShouldContain("no QTI 3 items", customMessage: "documents with entities are not read");
        var bomb = Zip(("a.xml", new string(' ', 30 << 20)));
        Should.Throw<Unreadable>(() => QtiReader.Read(bomb)).Message.ShouldContain("far larger inside");
    }
}
