using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Formats.Tables;

/// <summary>What a column of a list of readers holds.</summary>
public enum ListField { None, SourceId, GivenName, FamilyName, Name, Grade, Level, Class, GuardianMail, HomeLanguage }

/// <param name="HasHeading">The first row names the columns.</param>
/// <param name="Fields">What each column holds, left to right.</param>
public sealed record ListColumns(bool HasHeading, IReadOnlyList<ListField> Fields)
{
    private static readonly (ListField Field, string[] Headings)[] Known =
    [
        (ListField.SourceId, ["id", "readerid", "number", "identifier", "sourcedid", "no", "schoolid"]),
        (ListField.GivenName, ["givenname", "firstname", "forename", "given", "first", "preferredname"]),
        (ListField.FamilyName, ["familyname", "lastname", "surname", "family", "last"]),
        (ListField.Name, ["name", "fullname", "reader", "readername", "child", "learner"]),
        (ListField.Grade, ["grade", "gradelevel", "schoolyear", "year", "yeargroup", "form"]),
        (ListField.Level, ["level", "startinglevel", "depth", "readinglevel", "fm", "fathoms"]),
        (ListField.Class, ["class", "classname", "room", "homeroom", "section"]),
        (ListField.GuardianMail, ["guardianemail", "guardianmail", "guardiane-mail", "parentemail", "email", "e-mail", "mail", "contactemail"]),
        (ListField.HomeLanguage, ["homelanguage", "language", "firstlanguage"]),
    ];

    /// <summary>The headings of a template, in order.</summary>
    public static readonly IReadOnlyList<(ListField Field, string Heading)> Template =
    [
        (ListField.GivenName, "Given name"), (ListField.FamilyName, "Family name"), (ListField.Grade, "Grade"), (ListField.Level, "Level"), (ListField.Class, "Class"),
        (ListField.GuardianMail, "Guardian e-mail"), (ListField.HomeLanguage, "Home language"), (ListField.SourceId, "Id"),
    ];

    /// <summary>Recognises the columns by their headings, or, where there are none, by what stands in them.</summary>
    public static ListColumns Recognise(IReadOnlyList<IReadOnlyList<string>> rows, LevelChart chart)
    {
        if (rows.Count == 0) return new(false, []);
        var width = rows.Take(50).Max(r => r.Count);
        var byHeading = Enumerable.Range(0, width).Select(i => i < rows[0].Count ? ByHeading(rows[0][i]) : ListField.None).ToList();
        if (byHeading.Any(f => f is ListField.GivenName or ListField.FamilyName or ListField.Name) && byHeading.Count(f => f != ListField.None) >= Math.Min(2, width)) return new(true, Once(byHeading));
        if (width == 1 && ByHeading(rows[0][0]) == ListField.Name) return new(true, [ListField.Name]);
        return new(false, Once(ByContent(rows, width, chart)));
    }

    /// <summary>The rows as the columns say, numbered from the first row of readers.</summary>
    public IReadOnlyList<ListRow> Rows(IReadOnlyList<IReadOnlyList<string>> table) => [.. table.Skip(HasHeading ? 1 : 0).Select((cells, i) =>
    {
        string? At(ListField field) => Fields.ToList().IndexOf(field) is var c and >= 0 && c < cells.Count && cells[c].Length > 0 ? cells[c] : null;
        var (given, family) = At(ListField.Name) is { } name ? Names.Split(name) : (At(ListField.GivenName), At(ListField.FamilyName));
        return new ListRow(i + 1, At(ListField.SourceId), given, family, At(ListField.Grade), At(ListField.Level), At(ListField.Class), At(ListField.GuardianMail), At(ListField.HomeLanguage));
    })];

    private static ListField ByHeading(string heading)
    {
        var bare = new string([.. heading.ToLowerInvariant().Where(c => char.IsLetterOrDigit(c) || c == '-')]);
        return Known.FirstOrDefault(k => k.Headings.Contains(bare)).Field;
    }

    private static List<ListField> ByContent(IReadOnlyList<IReadOnlyList<string>> rows, int width, LevelChart chart)
    {
        var names = 0;
        return [.. Enumerable.Range(0, width).Select(c =>
        {
            var cells = rows.Take(50).Select(r => c < r.Count ? r[c] : "").Where(x => x.Length > 0).ToList();
            if (cells.Count == 0) return ListField.None;
            if (cells.All(Mail.Holds)) return ListField.GuardianMail;
            if (cells.All(x => Grades.Parse(x, chart) is not null)) return ListField.Grade;
            if (cells.All(x => LevelLabels.Read(x, LevelLabels.InFathoms, chart) is not null)) return ListField.Level;
            if (!cells.All(x => x.Any(char.IsLetter))) return ListField.None;
            return names++ switch { 0 => width == 1 || cells.All(x => x.Contains(' ')) ? ListField.Name : ListField.GivenName, 1 => ListField.FamilyName, _ => ListField.None };
        })];
    }

    // A field belongs to the first column that has it; a whole name is not needed beside its parts.
    private static List<ListField> Once(List<ListField> fields)
    {
        var seen = new HashSet<ListField>();
        var parts = fields.Contains(ListField.GivenName);
        return [.. fields.Select(f => f == ListField.Name && parts ? ListField.None : f == ListField.None || seen.Add(f) ? f : ListField.None)];
    }
}
