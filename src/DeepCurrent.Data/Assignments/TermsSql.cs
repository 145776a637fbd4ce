using Dapper;
using DeepCurrent.Core.Assignments;

namespace DeepCurrent.Data.Assignments;

/// <summary>An assignment's terms as its table keeps them, named once for all that write and compare them.</summary>
internal static class TermsSql
{
    private static readonly IReadOnlyList<(string Column, Func<AssignmentTerms, object?> Value)> Kept =
    [
        ("visible_from", a => a.VisibleFrom),
        ("due_on", a => a.DueOn),
        ("closes_on", a => a.ClosesOn),
        ("need", a => a.Need.ToString()),
        ("place", a => a.Place.ToString()),
        ("results", a => a.Results.ToString()),
        ("may_change", a => a.MayChange),
        ("talk", a => a.Talk),
        ("heading", a => a.Heading),
        ("directions", a => a.Directions),
        ("note", a => a.Note),
        ("releases_on", a => a.ReleasesOn),
        ("worth", a => a.Worth),
        ("home_language", a => a.HomeLanguage),
        ("home_directions", a => a.HomeDirections),
    ];

    public static readonly string Columns = string.Join(", ", Kept.Select(k => k.Column));

    public static readonly string Values = string.Join(", ", Kept.Select(k => $"@{k.Column}"));

    public static readonly string Sets = string.Join(", ", Kept.Select(k => $"{k.Column} = @{k.Column}"));

    /// <param name="others">What else the command needs.</param>
    public static DynamicParameters With(AssignmentTerms terms, object others)
    {
        var all = new DynamicParameters(others);
        foreach (var (column, value) in Kept)
            all.Add(column, value(terms));
        return all;
    }
}
