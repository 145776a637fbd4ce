using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Questions;
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
    /// <summary>What a question is that does not say its kind.</summary>
    private const QuestionKind Usual = QuestionKind.Single;

    public string Strand { get; set; } = "";
    public string? Kind { get; set; }
    public bool Evidence { get; set; }
    public double Harder { get; set; }
    public Dictionary<string, int>? After { get; set; }
    public string Ask { get; set; } = "";
    public List<ChoiceEntry>? Choices { get; set; }
    public List<string>? Rubric { get; set; }
    public List<CriterionEntry>? Criteria { get; set; }
    public List<string>? Samples { get; set; }
    public Dictionary<string, string>? Proof { get; set; }

    public static QuizEntry Of(Question q) =>
        new()
        {
            Strand = Strands.Name(q.Strand),
            Kind = q.Kind == Usual ? null : QuestionFormat.Of(q.Kind).Name,
            Evidence = q.Evidence,
            Harder = q.Offset,
            After = q.After is { Count: > 0 } a ? new(a) : null,
            Ask = q.Stem,
            Choices =
                q.Choices.Count == 0 ? null : [.. q.Choices.Select(c => ChoiceEntry.Of(c, QuestionFormat.Of(q.Kind)))],
            Rubric = q.Rubric is { Criteria: [{ Name: "" } only] } ? [.. only.Marks] : null,
            Criteria = CriterionEntry.Of(q.Rubric),
            Samples = q.Rubric?.Samples.ToList(),
            Proof = q.Proofs.Count == 0 ? null : new(q.Proofs),
        };

    public Question Question(string slug, int at)
    {
        string Here() => $"{slug}, question {at + 1}";
        var strand = Strands.Parse(Strand) ?? throw new ContentFault($"{Here()}: there is no strand called {Strand}.");
        var format = (Kind is null ? QuestionFormat.Of(Usual) : QuestionFormat.Named(Kind.Trim().ToLowerInvariant()))
            ?? throw new ContentFault($"{Here()}: there is no kind of question called {Kind}.");
        if (Harder is < -20 or > 20 or double.NaN)
            throw new ContentFault($"{Here()}: “harder” lies between −20 and 20 fm.");
        return new(
            default,
            at,
            strand,
            Ask ?? "",
            [
                .. (Choices ?? []).Select(c =>
                    c.Choice(format) ?? throw new ContentFault($"{Here()}: a choice is neither right nor wrong.")
                ),
            ],
            Proof ?? [],
            format.Kind,
            Evidence,
            Harder,
            After is { Count: > 0 } ? After : null,
            CriterionEntry.Rubric(Rubric, Criteria, Samples)
        );
    }
}

/// <summary>One row of a rubric of several; a rubric of one row is written as a list of its marks.</summary>
internal sealed class CriterionEntry
{
    public string Name { get; set; } = "";
    public List<string> Marks { get; set; } = [];

    public static List<CriterionEntry>? Of(Rubric? rubric) =>
        rubric is null or { Criteria: [{ Name: "" }] }
            ? null
            : [.. rubric.Criteria.Select(c => new CriterionEntry { Name = c.Name, Marks = [.. c.Marks] })];

    /// <returns>Null where neither is written.</returns>
    public static Rubric? Rubric(List<string>? one, List<CriterionEntry>? rows, List<string>? samples) =>
        one is not null ? Core.Questions.Rubric.OneRow(one, samples ?? [])
        : rows is not null ? new([.. rows.Select(r => new Criterion(r.Name, r.Marks))], samples ?? [])
        : null;
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

    public static ChoiceEntry Of(Choice c, QuestionFormat format)
    {
        var entry = format.Entry(c);
        entry.Because = c.Reason.Length == 0 ? null : c.Reason;
        return entry;
    }

    /// <returns>Null where it is no choice of that kind.</returns>
    public Choice? Choice(QuestionFormat format) =>
        format.Choice(this) is { } c ? c with { Reason = Because ?? "" } : null;
}
