using System.Text.Json.Serialization;
using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Questions;

/// <summary>One row of a rubric: something that is looked at, and what earns each of its points.</summary>
/// <param name="Name">What is looked at; empty where the rubric has this row alone.</param>
/// <param name="Marks">What earns 0, 1, 2 … points; at least two.</param>
public sealed record Criterion(string Name, IReadOnlyList<string> Marks)
{
    /// <summary>The most points this row gives.</summary>
    [JsonIgnore]
    public int Most => Marks.Count - 1;
}

/// <summary>What a written answer earns, row by row.</summary>
/// <param name="Criteria">Its rows; at least one.</param>
/// <param name="Samples">Answers as readers could give them.</param>
public sealed record Rubric(IReadOnlyList<Criterion> Criteria, IReadOnlyList<string> Samples)
{
    /// <summary>The most rows a rubric has.</summary>
    public const int MostCriteria = 6;

    /// <summary>The most points one row gives: each is chosen with one figure key.</summary>
    public const int MostPoints = 9;

    /// <summary>The marks that hold where nobody has written a rubric: one row, 0 to 3.</summary>
    public static readonly Rubric Usual = OneRow(["", "", "", ""], []);

    /// <summary>A rubric of a single row.</summary>
    /// <param name="marks">What earns 0, 1, 2 … points.</param>
    public static Rubric OneRow(IReadOnlyList<string> marks, IReadOnlyList<string> samples) =>
        new([new("", marks)], samples);

    /// <summary>The most points in all.</summary>
    [JsonIgnore]
    public int Most => Criteria.Sum(c => c.Most);

    /// <summary>The fewest points that count as a right answer: two thirds of all.</summary>
    [JsonIgnore]
    public int Right => GivenMark.RightFrom(Most);

    /// <summary>A mark by this rubric.</summary>
    /// <param name="points">Row by row.</param>
    /// <returns>Null where the points are not those of its rows.</returns>
    public GivenMark? Mark(IReadOnlyList<int> points) =>
        points.Count == Criteria.Count && points.Zip(Criteria).All(p => p.First >= 0 && p.First <= p.Second.Most)
            ? new(points, Most)
            : null;

    /// <summary>The same as a sentence of its own.</summary>
    [JsonIgnore]
    public Message? Fault => Lacks is { } lack ? (Message)$"This task {lack}" : null;

    /// <summary>What keeps it from being marked by, in words that follow "Question 3".</summary>
    [JsonIgnore]
    public Message? Lacks
    {
        get
        {
            if (Criteria.Count is 0 or > MostCriteria)
                return $"needs a rubric of 1 to {MostCriteria} rows.";
            if (Criteria.Any(c => c.Most is < 1 or > MostPoints))
                return $"needs 1 to {MostPoints} points in each row of its rubric.";
            if (Criteria.Any(c => c.Marks.Any(string.IsNullOrWhiteSpace)))
                return $"needs a rubric: what earns each mark.";
            if (Criteria.Count > 1 && Criteria.Any(c => string.IsNullOrWhiteSpace(c.Name)))
                return $"needs a name for each row of its rubric.";
            return null;
        }
    }
}

/// <summary>A person's mark of a written answer. It stays what it was when the rubric changes.</summary>
/// <param name="Points">Row by row of the rubric it was given by.</param>
/// <param name="Of">The most points there were; at least 1.</param>
public sealed record GivenMark(IReadOnlyList<int> Points, int Of)
{
    /// <summary>All its points.</summary>
    [JsonIgnore]
    public int Sum => Points.Sum();

    /// <summary>Whether the answer counts as right.</summary>
    [JsonIgnore]
    public bool Right => Sum >= RightFrom(Of);

    [JsonIgnore]
    public Probability Share => new(Sum / (double)Of);

    /// <summary>The fewest points of so many that count as right: two thirds.</summary>
    internal static int RightFrom(int most) => ((2 * most) + 2) / 3;
}
