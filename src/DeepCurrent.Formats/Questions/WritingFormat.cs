using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Qti;
using static DeepCurrent.Formats.Qti.Qti;

namespace DeepCurrent.Formats.Questions;

internal sealed class WritingFormat(QuestionKind kind, string name) : QuestionFormat(kind, name)
{
    private const int ShortLines = 3;

    private string Length => Kind is QuestionKind.Short ? "short" : "long";

    public override (string Cardinality, string Type) Response => ("single", "string");

    public override XAttribute Sign => At(Written, Length);

    public override IEnumerable<string> Correct(Asked a) => [];

    public override IEnumerable<XElement> Body(Asked a, XElement prompt)
    {
        yield return El(
            "qti-extended-text-interaction",
            Responding(),
            At("expected-lines", Kind is QuestionKind.Short ? 2 : 8),
            prompt
        );
        if (a.Question.Rubric is { } r)
            yield return El(
                "qti-rubric-block",
                At("use", "scoring"),
                At("view", "scorer"),
                El("qti-content-body", r.Criteria.SelectMany(Row), El("ul", r.Samples.Select(s => El("li", s))))
            );
    }

    private static IEnumerable<XElement> Row(Criterion c)
    {
        if (c.Name.Length > 0)
            yield return El("p", c.Name);
        yield return El("ol", c.Marks.Select(m => El("li", m)));
    }

    protected override bool Reads(QtiItem item) =>
        item.Interaction switch
        {
            "qti-text-entry-interaction" => Kind is QuestionKind.Short,
            "qti-extended-text-interaction" => Length == LengthOf(item),
            _ => false,
        };

    /// <summary>As it says itself, or by the lines it leaves for the answer.</summary>
    private static string LengthOf(QtiItem item) =>
        item.Ours(Written) ?? ((int?)item.At.Attribute("expected-lines") is null or <= ShortLines ? "short" : "long");

    public override Rubric Rubric(QtiItem item)
    {
        var blocks = item.Body.Descendants(Ns + "qti-rubric-block").ToList();
        List<string> samples = [.. blocks.Descendants(Ns + "ul").Elements(Ns + "li").Select(Flow.Words)];
        Rubric own = new([.. blocks.Descendants(Ns + "ol").Select(Row)], samples);
        return own.Lacks is null
            ? own
            : Core.Questions.Rubric.OneRow(
                [
                    "Says nothing about the text.",
                    "Says something about it.",
                    "Answers the question.",
                    "Answers it fully, from the text.",
                ],
                samples
            );
    }

    private static Criterion Row(XElement list) =>
        new(
            list.ElementsBeforeSelf().LastOrDefault() is { } before && before.Name == Ns + "p"
                ? Flow.Words(before)
                : "",
            [.. list.Elements(Ns + "li").Select(Flow.Words)]
        );
}
