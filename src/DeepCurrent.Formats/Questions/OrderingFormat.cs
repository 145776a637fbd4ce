using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Qti;
using static DeepCurrent.Formats.Qti.Qti;

namespace DeepCurrent.Formats.Questions;

internal sealed class OrderingFormat() : QuestionFormat(QuestionKind.Order, "order")
{
    public override ChoiceEntry Entry(Choice c) => new() { Item = c.Text };

    public override Choice? Choice(ChoiceEntry e) => new(e.Item ?? e.Right ?? "", false, "");

    public override (string Cardinality, string Type) Response => ("ordered", "identifier");

    public override IEnumerable<string> Correct(Asked a) => a.Question.Choices.Select((_, i) => $"C{i}");

    public override IEnumerable<XElement> Body(Asked a, XElement prompt) =>
        [
            El(
                "qti-order-interaction",
                Responding(),
                At("shuffle", "false"),
                prompt,
                a.Mixed().Select(i => SimpleChoice(a.Question.Choices[i], i))
            ),
        ];

    protected override bool Reads(QtiItem item) => item.Interaction is "qti-order-interaction";

    public override IReadOnlyList<Choice> Choices(QtiItem item)
    {
        var texts = item
            .At.Elements(Ns + "qti-simple-choice")
            .ToDictionary(c => (string?)c.Attribute("identifier") ?? "", Said);
        return
        [
            .. item
                .Right.Where(texts.ContainsKey)
                .Concat(texts.Keys)
                .Distinct()
                .Select(id => new Choice(texts[id], false, "")),
        ];
    }
}
