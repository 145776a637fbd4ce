using System.Globalization;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Formats.OneRoster;

/// <summary>One row of a OneRoster file or one object of its API, by the standard's field names.</summary>
public interface ISourceRow
{
    RowPlace At { get; }

    /// <summary>The field's text; empty where there is none.</summary>
    string Get(string field);
}

/// <summary>Builds a roster from rows in the order orgs, sessions, classes, roles, users, enrolments.</summary>
/// <remarks>1EdTech, OneRoster 1.2, Rostering Service and CSV Binding.</remarks>
internal sealed class RosterBuilder(string? org)
{
    private static readonly string[] Adults = ["teacher", "aide", "administrator", "principal", "proctor", "siteAdministrator", "systemAdministrator", "districtAdministrator", "counselor"];
    private const string Deleted = "tobedeleted";

    private readonly Dictionary<string, string> pool = [];
    private readonly Dictionary<string, (DateOnly? First, DateOnly? Last)> sessions = [];
    private readonly Dictionary<string, (HashSet<string> Roles, HashSet<string> Orgs)> roles = [];
    private readonly HashSet<string> outside = [];
    private readonly List<SourceAdult> adults = [];
    private readonly List<SourceClass> classes = [];
    private readonly List<SourceReader> readers = [];
    private readonly List<SourceEnrolment> enrolments = [];
    private readonly List<RowProblem> problems = [];

    public List<(string Id, string Name, string Type)> Orgs { get; } = [];

    public void Org(ISourceRow row) => Orgs.Add((row.Get("sourcedId"), Names.Tidy(row.Get("name")), row.Get("type")));

    public void Session(ISourceRow row)
    {
        if (!Day(row, "startDate", out var first) || !Day(row, "endDate", out var last) || !Named(row)) return;
        if (last < first) Stop(row, "endDate", "The session ends before it begins.");
        else sessions[row.Get("sourcedId")] = (first, last);
    }

    public void Class(ISourceRow row)
    {
        if (!Named(row)) return;
        var school = row.Get("schoolSourcedId");
        if (org is not null && school.Length > 0 && school != org) { outside.Add(row.Get("sourcedId")); return; }
        var gone = Gone(row);
        var title = Names.Tidy(row.Get("title"));
        if (title.Length == 0 && !gone) { Stop(row, "title", "The class has no title."); return; }
        if (!gone && Names.Fault(title) is { } fault) { Stop(row, "title", fault); return; }
        var terms = Several(row.Get("termSourcedIds")).Select(t => sessions.GetValueOrDefault(t)).ToList();
        classes.Add(new(row.At, Pooled(row.Get("sourcedId")), title, terms.Min(t => t.First), terms.Max(t => t.Last), One(row.Get("grades")), gone));
    }

    public void Role(ISourceRow row)
    {
        if (Gone(row)) return;
        var (of, orgs) = RolesOf(row.Get("userSourcedId"));
        of.Add(row.Get("role"));
        if (row.Get("orgSourcedId") is { Length: > 0 } at) orgs.Add(at);
    }

    public void User(ISourceRow row)
    {
        if (!Named(row)) return;
        var id = Pooled(row.Get("sourcedId"));
        var (of, orgs) = RolesOf(id);
        // OneRoster 1.1 has the role and the orgs in the user's own row.
        if (row.Get("role") is { Length: > 0 } role) of.Add(role);
        orgs.UnionWith(Several(row.Get("orgSourcedIds")));
        if (row.Get("primaryOrgSourcedId") is { Length: > 0 } primary) orgs.Add(primary);
        if (org is not null && orgs.Count > 0 && !orgs.Contains(org)) { outside.Add(id); return; }
        var gone = Gone(row) || row.Get("enabledUser").Equals("false", StringComparison.OrdinalIgnoreCase);
        string given = Names.Tidy(Either(row, "preferredGivenName", "givenName")), family = Names.Tidy(Either(row, "preferredFamilyName", "familyName"));
        if (given.Length == 0) (given, family) = (family, "");
        if (given.Length == 0 && !gone) { Stop(row, "givenName", "Neither a given nor a family name stands here."); return; }
        if (!gone && (Names.Fault(given) ?? Names.Fault(family)) is { } fault) { Stop(row, Names.Fault(given) is null ? "familyName" : "givenName", fault); return; }
        if (of.Contains("student")) readers.Add(new(row.At, id, given, family, One(row.Get("grades")), gone));
        else if (of.Overlaps(Adults)) adults.Add(new(row.At, id, $"{given} {family}".Trim(), Text(row.Get("username")), Text(row.Get("email")), gone));
        else if (of.Count > 0) outside.Add(id);
        else if (!gone) Stop(row, "role", "Nothing says whether this is a reader or a teacher.");
    }

    public void Enrolment(ISourceRow row)
    {
        if (!Named(row)) return;
        string classId = Pooled(row.Get("classSourcedId")), userId = Pooled(row.Get("userSourcedId"));
        if (outside.Contains(classId) || outside.Contains(userId)) return;
        if (!Day(row, "beginDate", out var from) || !Day(row, "endDate", out var to)) return;
        enrolments.Add(new(row.At, row.Get("sourcedId"), classId, userId, Pooled(row.Get("role")), from, to, Gone(row)));
    }

    public SourceRoster Build(string name, SourceScope users, SourceScope classScope, SourceScope enrolmentScope) => new(name, users, classScope, enrolmentScope, adults, classes, readers, enrolments, problems);

    public void Stop(ISourceRow row, string column, string reason) => problems.Add(new(row.At, column, row.Get(column), reason, Stops: true));

    private bool Named(ISourceRow row)
    {
        if (row.Get("sourcedId").Length is > 0 and <= 256) return true;
        Stop(row, "sourcedId", "Every row needs an id of at most 256 signs.");
        return false;
    }

    private bool Day(ISourceRow row, string field, out DateOnly? day)
    {
        day = null;
        var text = row.Get(field);
        if (text.Length == 0) return true;
        if (DateOnly.TryParseExact(text.Length > 10 ? text[..10] : text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var read)) { day = read; return true; }
        Stop(row, field, "A date is written year-month-day, such as 2026-09-01.");
        return false;
    }

    private (HashSet<string> Roles, HashSet<string> Orgs) RolesOf(string userId)
    {
        if (!roles.TryGetValue(userId, out var known)) roles[Pooled(userId)] = known = ([], []);
        return known;
    }

    // The same ids come again in hundreds of thousands of rows; each is kept once.
    private string Pooled(string text) => pool.TryGetValue(text, out var kept) ? kept : pool[text] = text;

    private static bool Gone(ISourceRow row) => row.Get("status").Equals(Deleted, StringComparison.OrdinalIgnoreCase);

    private static string Either(ISourceRow row, string first, string second) => row.Get(first) is { Length: > 0 } found ? found : row.Get(second);

    private static string? Text(string text) => text.Trim() is { Length: > 0 } found ? found : null;

    private static IEnumerable<string> Several(string list) => list.Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    private static string? One(string list) => Several(list).FirstOrDefault();
}
