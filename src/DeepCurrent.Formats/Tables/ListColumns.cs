using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Formats.Tables;

/// <summary>What a column of a list of readers holds.</summary>
public enum ListField
{
    None,
    SourceId,
    GivenName,
    FamilyName,
    Name,
    Grade,
    Level,
    Class,
    GuardianMail,
    HomeLanguage,
}

/// <param name="Heading">The row that names the columns, from 0; −1 where none does. Rows above it are titles.</param>
/// <param name="Fields">What each column holds, left to right.</param>
public sealed record ListColumns(int Heading, IReadOnlyList<ListField> Fields)
{
    // How far down a heading is looked for: under the name of the school, the class, the day.
    private const int MostTitles = 6;

    /// <summary>The headings of a template, in order.</summary>
    public static readonly IReadOnlyList<(ListField Field, string Heading)> Template =
    [
        (ListField.GivenName, "Given name"),
        (ListField.FamilyName, "Family name"),
        (ListField.Grade, "Grade"),
        (ListField.Level, "Level"),
        (ListField.Class, "Class"),
        (ListField.GuardianMail, "Guardian email"),
        .. Enum.GetValues<ReaderDetail>().Select(d => (FieldOf(d), HeadingOf(d))),
        (ListField.SourceId, "Id"),
    ];

    /// <summary>What a detail is called in files and on paper.</summary>
    public static string HeadingOf(ReaderDetail detail) =>
        detail switch
        {
            ReaderDetail.HomeLanguage => "Home language",
            _ => throw new ArgumentOutOfRangeException(nameof(detail)),
        };

    private static ListField FieldOf(ReaderDetail detail) =>
        detail switch
        {
            ReaderDetail.HomeLanguage => ListField.HomeLanguage,
            _ => throw new ArgumentOutOfRangeException(nameof(detail)),
        };

    /// <summary>Recognises the columns by their headings, or, where there are none, by what stands in them.</summary>
    public static ListColumns Recognise(IReadOnlyList<IReadOnlyList<string>> rows, LevelChart chart)
    {
        if (rows.Count == 0)
            return new(-1, []);
        var width = Width(rows);
        for (var at = 0; at < Math.Min(rows.Count, MostTitles); at++)
            if (IsHeading(rows[at], width))
                return new(at, OfHeading(rows, at, width));
        return new(-1, Once(ByContent(rows, width, chart)));
    }

    /// <summary>The system a level column's own heading names; unsaid where it names none.</summary>
    public string LevelSystem(IReadOnlyList<IReadOnlyList<string>> table) =>
        Heading < 0 || Fields.ToList().IndexOf(ListField.Level) is not (>= 0 and var column)
            ? LevelLabels.Unsaid
            : Bare(table[Heading].ElementAtOrDefault(column) ?? "") switch
            {
                "fm" or "fathoms" => LevelLabels.InFathoms,
                "readinggrade" => LevelLabels.InGrades,
                "readingage" => LevelLabels.InAges,
                _ => LevelLabels.Unsaid,
            };

    /// <summary>Columns in the widest of the first rows.</summary>
    public static int Width(IReadOnlyList<IReadOnlyList<string>> rows) =>
        rows.Count == 0 ? 0 : rows.Take(50).Max(r => r.Count);

    private static List<ListField> OfHeading(IReadOnlyList<IReadOnlyList<string>> rows, int at, int width) =>
        Once([.. Enumerable.Range(0, width).Select(i => ByHeading(rows[at].ElementAtOrDefault(i) ?? ""))]);

    // A name is among the headings, and most of what stands in the row is a heading.
    private static bool IsHeading(IReadOnlyList<string> row, int width)
    {
        var named = row.Where(c => c.Trim().Length > 0).ToList();
        var fields = named.Select(ByHeading).ToList();
        var known = named
            .Zip(fields)
            .Count(x => x.Second != ListField.None || ListHeadings.Others.Contains(Bare(x.First)));
        return fields.Exists(f => f is ListField.GivenName or ListField.FamilyName or ListField.Name)
            && known >= Math.Min(2, width)
            && 2 * known >= named.Count;
    }

    /// <summary>The first values of a column under its heading, each once.</summary>
    public IReadOnlyList<string> Samples(IReadOnlyList<IReadOnlyList<string>> table, int column, int most = 3) =>
        [
            .. table
                .Skip(Heading + 1)
                .Select(r => r.ElementAtOrDefault(column) ?? "")
                .Where(c => c.Trim().Length > 0)
                .Distinct()
                .Take(most),
        ];

    /// <summary>The rows as the columns say, numbered from the first row of readers.</summary>
    public IReadOnlyList<ListRow> Rows(IReadOnlyList<IReadOnlyList<string>> table) =>
        [
            .. table
                .Skip(Heading + 1)
                .Select(
                    (cells, i) =>
                    {
                        string? At(ListField field) =>
                            Fields.ToList().IndexOf(field) is var c and >= 0 && c < cells.Count && cells[c].Length > 0
                                ? cells[c]
                                : null;
                        var (given, family) = At(ListField.Name) is { } name
                            ? Names.Split(name)
                            : (At(ListField.GivenName), At(ListField.FamilyName));
                        return new ListRow(
                            i + 1,
                            At(ListField.SourceId),
                            given,
                            family,
                            At(ListField.Grade),
                            At(ListField.Level),
                            At(ListField.Class),
                            At(ListField.GuardianMail),
                            ReaderDetails.Of(d => At(FieldOf(d)))
                        );
                    }
                ),
        ];

    private static ListField ByHeading(string heading)
    {
        var bare = Bare(heading);
        return ListHeadings.Known.FirstOrDefault(k => k.Headings.Contains(bare)).Field;
    }

    private static string Bare(string heading) =>
        new([.. heading.ToLowerInvariant().Where(c => char.IsLetterOrDigit(c) || c == '-')]);

    private static List<ListField> ByContent(IReadOnlyList<IReadOnlyList<string>> rows, int width, LevelChart chart)
    {
        var names = 0;
        return
        [
            .. Enumerable
                .Range(0, width)
                .Select(c =>
                {
                    var cells = rows.Take(50).Select(r => c < r.Count ? r[c] : "").Where(x => x.Length > 0).ToList();
                    if (cells.Count == 0)
                        return ListField.None;
                    if (cells.All(Mail.Holds))
                        return ListField.GuardianMail;
                    if (cells.All(x => Grades.Parse(x, chart) is not null))
                        return ListField.Grade;
                    if (cells.All(x => LevelLabels.Read(x, LevelLabels.InFathoms, chart) is not null))
                        return ListField.Level;
                    if (!cells.All(x => x.Any(char.IsLetter)))
                        return ListField.None;
                    return names++ switch
                    {
                        0 => width == 1 || cells.All(x => x.Contains(' ')) ? ListField.Name : ListField.GivenName,
                        1 => ListField.FamilyName,
                        _ => ListField.None,
                    };
                }),
        ];
    }

    // A field belongs to the first column that has it; a whole name is not needed beside its parts.
    private static List<ListField> Once(List<ListField> fields)
    {
        var seen = new HashSet<ListField>();
        var parts = fields.Contains(ListField.GivenName);
        return
        [
            .. fields.Select(f =>
                f == ListField.Name && parts ? ListField.None
                : f == ListField.None || seen.Add(f) ? f
                : ListField.None
            ),
        ];
    }
}
