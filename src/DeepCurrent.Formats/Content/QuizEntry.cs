using DeepCurrent.Core.Questions;
using YamlDotNet.Serialization;

namespace DeepCurrent.Formats.Content;

/// <summary>text.yaml as it is written.</summary>
internal sealed class Head
{
    public string Title { get; set; } = "";
    public string Kind { get; set; } = "";
    public string Topic { get; set; } = "";
    public bool Fiction { get; set; }
    public string Spelling { get; set; } = "British";
    public string Blurb { get; set; } = "";
    public string Season { get; set; } = "";
    public List<WordEntry> Words { get; set; } = [];
}

internal sealed class WordEntry
{
    public string Word { get; set; } = "";
    public string Part { get; set; } = "";
    public string Meaning { get; set; } = "";
    public string Example { get; set; } = "";
}

/// <summary>One question of quiz.yaml as it is written.</summary>
internal sealed class QuizEntry
{
    private static readonly Dictionary<string, QuestionKind> Kinds = new()
    {
        ["choose one"] = QuestionKind.Single,
        ["choose several"] = QuestionKind.Multiple,
        ["order"] = QuestionKind.Order,
        ["match"] = QuestionKind.Match,
        ["sentence"] = QuestionKind.Sentence,
        ["short answer"] = QuestionKind.Short,
        ["long answer"] = QuestionKind.Long,
    };

    public string Strand { get; set; } = "";
    public string? Kind { get; set; }
    public bool Evidence { get; set; }
    public double Harder { get; set; }
    public Dictionary<string, int>? After { get; set; }
    public string Ask { get; set; } = "";
    public List<ChoiceEntry>? Choices { get; set; }
    public List<string>? Rubric { get; set; }
    public List<string>? Samples { get; set; }
    public Dictionary<string, string>? Proof { get; set; }

    public static QuizEntry Of(Question q) =>
        new()
        {
            Strand = Strands.Name(q.Strand),
            Kind = q.Kind is QuestionKind.Single ? null : Kinds.First(k => k.Value == q.Kind).Key,
            Evidence = q.Evidence,
            Harder = q.Offset,
            After = q.After is { Count: > 0 } a ? new(a) : null,
            Ask = q.Stem,
            Choices = q.Choices.Count == 0 ? null : [.. q.Choices.Select(c => ChoiceEntry.Of(c, q.Kind))],
            Rubric = q.Rubric?.Marks.ToList(),
            Samples = q.Rubric?.Samples.ToList(),
            Proof = q.Proofs.Count == 0 ? null : new(q.Proofs),
        };

    public Question Question(string slug, int at)
    {
        string Here() => $"{slug}, question {at + 1}";
        var strand = Strands.Parse(Strand) ?? throw new ContentFault($"{Here()}: there is no strand called {Strand}.");
        if (!Kinds.TryGetValue(Kind?.Trim().ToLowerInvariant() ?? "choose one", out var kind))
            throw new ContentFault($"{Here()}: there is no kind of question called {Kind}.");
        if (Harder is < -20 or > 20 or double.NaN)
            throw new ContentFault($"{Here()}: “harder” lies between −20 and 20 fm.");
        return new(
            default,
            at,
            strand,
            Ask ?? "",
            [
                .. (Choices ?? []).Select(c =>
                    c.Choice(kind) ?? throw new ContentFault($"{Here()}: a choice is neither right nor wrong.")
                ),
            ],
            Proof ?? [],
            kind,
            Evidence,
            Harder,
            After is { Count: > 0 } ? After : null,
            Rubric is null ? null : new(Rubric, Samples ?? [])
        );
    }
}

/// <summary>A choice as it is written: right or wrong with because; item in an order; left with goesWith in a
/// match.</summary>
internal sealed class ChoiceEntry
{
    public string? Right { get; set; }
    public string? Wrong { get; set; }
    public string? Item { get; set; }
    public string? Left { get; set; }
    public string? GoesWith { get; set; }

    [YamlMember(DefaultValuesHandling = DefaultValuesHandling.OmitNull)]
    public string? Because { get; set; }

    public static ChoiceEntry Of(Choice c, QuestionKind kind) =>
        kind switch
        {
            QuestionKind.Order => new() { Item = c.Text, Because = Said(c) },
            QuestionKind.Match => new()
            {
                Left = c.Text.Length == 0 ? null : c.Text,
                GoesWith = c.Match,
                Because = Said(c),
            },
            _ => new()
            {
                Right = c.Right ? c.Text : null,
                Wrong = c.Right ? null : c.Text,
                Because = Said(c),
            },
        };

    public Choice? Choice(QuestionKind kind) =>
        kind switch
        {
            QuestionKind.Order => new(Item ?? Right ?? "", false, Because ?? ""),
            QuestionKind.Match => new(Left ?? "", false, Because ?? "", GoesWith),
            _ => Right is not null ? new(Right, true, Because ?? "")
            : Wrong is not null ? new(Wrong, false, Because ?? "")
            : null,
        };

    private static string? Said(Choice c) => c.Reason.Length == 0 ? null : c.Reason;
}
