using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Qti;
using static DeepCurrent.Formats.Qti.Qti;

namespace DeepCurrent.Formats.Questions;

internal sealed class ChoosingFormat(QuestionKind kind, string name) : QuestionFormat(kind, name)
{
    private bool Several => Kind is QuestionKind.Multiple;

    public override (string Cardinality, string Type) Response => (Several ? "multiple" : "single", "identifier");

    public override IEnumerable<string> Correct(Asked a) =>
        a.Question.Choices.Select((c, i) => (c, i)).Where(x => x.c.Right).Select(x => $"C{x.i}");

    public override IEnumerable<XElement> Body(Asked a, XElement prompt) =>
        [
            El(
                "qti-choice-interaction",
                Responding(),
                At("shuffle", "false"),
                At("max-choices", a.Question.Wanted),
                prompt,
                a.Question.Choices.Select((c, i) => SimpleChoice(c, i))
            ),
        ];

    protected override bool Reads(QtiItem item) =>
        item.Interaction is "qti-choice-interaction" && item.Cardinality is "multiple" == Several;

    public override IReadOnlyList<Choice> Choices(QtiItem item)
    {
        var reasons = item
            .Element.Elements(Ns + "qti-modal-feedback")
            .GroupBy(f => (string?)f.Attribute("identifier") ?? "")
            .ToDictionary(g => g.Key, g => Flow.Words(g.First()));
        return
        [
            .. item
                .At.Elements(Ns + "qti-simple-choice")
                .Select(c => (Id: (string?)c.Attribute("identifier") ?? "", Element: c))
                .Select(c => new Choice(
                    Said(c.Element),
                    item.Right.Contains(c.Id),
                    reasons.GetValueOrDefault(c.Id)
                        ?? string.Join(' ', c.Element.Descendants(Ns + "qti-feedback-inline").Select(Flow.Words))
                )),
        ];
    }
}
