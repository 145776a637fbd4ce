using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Formats.Qti;
using static DeepCurrent.Formats.Qti.Qti;

namespace DeepCurrent.Formats.Questions;

internal sealed class PickingSentenceFormat() : QuestionFormat(QuestionKind.Sentence, "sentence")
{
    public override IEnumerable<string> Correct(Asked a) => Proving(a).Take(1);

    public override XElement Mapping(Asked a) =>
        El(
            "qti-mapping",
            At("default-value", 0),
            Proving(a).Select(s => El("qti-map-entry", At("map-key", s), At("mapped-value", 1)))
        );

    private static IEnumerable<string> Proving(Asked a) =>
        a.Question.Rules.Right(a.Question, a.Sentences, a.Version.Label).Select(i => $"S{i}");

    public override IEnumerable<XElement> Body(Asked a, XElement prompt)
    {
        var number = 0;
        object[] Hot(string sentence) => [El("qti-hottext", At("identifier", $"S{number++}"), Inline(sentence)), " "];
        yield return El(
            "qti-hottext-interaction",
            Responding(),
            At("max-choices", 1),
            prompt,
            a.Version.Pages.SelectMany(p => p)
                .Where(Paragraphs.IsProse)
                .Select(p => El("p", Sentences.Of(p).SelectMany(Hot).ToList()))
                .ToList()
        );
    }

    protected override bool Reads(QtiItem item) => item.Interaction is "qti-hottext-interaction";

    public override string? Proof(QtiItem item)
    {
        var ids = item
            .Right.Concat(
                item.Element.Descendants(Ns + "qti-map-entry")
                    .Where(e => (double?)e.Attribute("mapped-value") > 0)
                    .Select(e => (string?)e.Attribute("map-key") ?? "")
            )
            .ToHashSet();
        return item
            .At.Descendants(Ns + "qti-hottext")
            .Where(h => ids.Contains((string?)h.Attribute("identifier") ?? ""))
            .Select(Flow.Words)
            .FirstOrDefault();
    }
}
