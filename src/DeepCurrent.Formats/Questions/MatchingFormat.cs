using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Qti;
using static DeepCurrent.Formats.Qti.Qti;

namespace DeepCurrent.Formats.Questions;

internal sealed class MatchingFormat() : QuestionFormat(QuestionKind.Match, "match")
{
    public override ChoiceEntry Entry(Choice c) =>
        new() { Left = c.Text.Length == 0 ? null : c.Text, GoesWith = c.Match };

    public override Choice? Choice(ChoiceEntry e) => new(e.Left ?? "", false, "", e.GoesWith);

    public override (string Cardinality, string Type) Response => ("multiple", "directedPair");

    public override IEnumerable<string> Correct(Asked a) =>
        a.Question.Choices.Select((c, i) => (c, i)).Where(x => x.c.Text.Length > 0).Select(x => $"L{x.i} R{x.i}");

    public override IEnumerable<XElement> Body(Asked a, XElement prompt)
    {
        var choices = a.Question.Choices;
        XElement Half(string id, string text) =>
            El("qti-simple-associable-choice", At("identifier", id), At("match-max", 1), text);
        yield return El(
            "qti-match-interaction",
            Responding(),
            At("shuffle", "false"),
            At("max-associations", a.Question.Lefts),
            prompt,
            El(
                "qti-simple-match-set",
                choices.Select((c, i) => (c, i)).Where(x => x.c.Text.Length > 0).Select(x => Half($"L{x.i}", x.c.Text))
            ),
            El(
                "qti-simple-match-set",
                a.Mixed()
                    .Where(i => !string.IsNullOrEmpty(choices[i].Match))
                    .Select(i => Half($"R{i}", choices[i].Match!))
            )
        );
    }

    protected override bool Reads(QtiItem item) => item.Interaction is "qti-match-interaction";

    public override IReadOnlyList<Choice> Choices(QtiItem item)
    {
        var sets = item
            .At.Elements(Ns + "qti-simple-match-set")
            .Select(s =>
                s.Elements(Ns + "qti-simple-associable-choice")
                    .ToDictionary(c => (string?)c.Attribute("identifier") ?? "", Said)
            )
            .ToList();
        if (sets.Count != 2)
            return [];
        var pairs = item
            .Right.Select(r => r.Split(' '))
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
}
