using System.Globalization;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Formats.OneRoster;

/// <summary>Builds a roster from rows in the order orgs, sessions, courses, classes, roles, users,
/// enrolments.</summary>
/// <param name="org">Only what belongs to this org; null for everything.</param>
/// <param name="whole">The files that are whole: only there must what is referred to be found.</param>
/// <remarks>1EdTech, OneRoster 1.2, Rostering Service and CSV Binding.</remarks>
internal sealed class RosterBuilder(string? org, IReadOnlySet<string> whole)
{
    private static readonly HashSet<string> AdultRoles =
    [
        "teacher",
        "aide",
        "administrator",
        "principal",
        "proctor",
        "siteAdministrator",
        "systemAdministrator",
        "districtAdministrator",
        "counselor",
    ];
    private static readonly HashSet<string> GuardianRoles = ["guardian", "parent", "relative"];
    private const string Deleted = "tobedeleted";

    private readonly Dictionary<string, string> pool = [];
    private readonly Dictionary<string, (DateOnly? First, DateOnly? Last)> sessions = [];
    private readonly HashSet<string> orgIds = [],
        sessionIds = [],
        courseIds = [],
        heldSessions = [],
        userIds = [];
    private readonly Dictionary<string, (HashSet<string> Roles, HashSet<string> Orgs)> roles = [];
    private readonly List<(RowPlace At, string User)> roleRows = [];
    private readonly HashSet<string> outside = [],
        homeless = [];
    private readonly GuardianRows guardians = new();
    private readonly List<SourceAdult> adults = [];
    private readonly List<SourceClass> classes = [];
    private readonly List<SourceReader> readers = [];
    private readonly List<SourceUser> unsaid = [];
    private readonly List<SourceEnrolment> enrolments = [];
    private readonly List<RowProblem> problems = [];
    private readonly HeldRows held = new();

    public List<(string Id, string Name, string Type)> Orgs { get; } = [];

    public void Org(ISourceRow row)
    {
        orgIds.Add(row.Get("sourcedId"));
        if (Sound(row) && !Gone(row))
            Orgs.Add((row.Get("sourcedId"), Names.Tidy(row.Get("name")), row.Get("type")));
    }

    public void Session(ISourceRow row)
    {
        var id = row.Get("sourcedId");
        sessionIds.Add(id);
        DateOnly? last = null;
        if (!Sound(row) || !Day(row, "startDate", out var first) || !Day(row, "endDate", out last))
            heldSessions.Add(id);
        else if (last < first)
        {
            Stop(row, "endDate", $"The session ends before it starts.");
            heldSessions.Add(id);
        }
        else
            sessions[id] = (first, last);
    }

    public void Course(ISourceRow row)
    {
        courseIds.Add(row.Get("sourcedId"));
        Sound(row);
    }

    public void Class(ISourceRow row)
    {
        string id = row.Get("sourcedId"),
            title = Names.Tidy(row.Get("title")),
            school = row.Get("schoolSourcedId");
        if (
            org is not null
            && school.Length > 0
            && school != org
            && (orgIds.Contains(school) || !whole.Contains("orgs"))
        )
        {
            outside.Add(id);
            return;
        }
        var gone = Gone(row);
        var terms = Several(row.Get("termSourcedIds")).ToList();
        var fault = Names.Fault(title);
        if (!gone && title.Length == 0)
            Stop(row, "title", $"Add a title.");
        else if (!gone && fault is not null)
            Stop(row, "title", fault);
        else if (
            Sound(row)
            && Refers(row, "schoolSourcedId", school, "orgs", orgIds)
            && Refers(row, "courseSourcedId", row.Get("courseSourcedId"), "courses", courseIds)
            && terms.TrueForAll(t => Refers(row, "termSourcedIds", t, "academicSessions", sessionIds))
        )
        {
            classes.Add(ClassOf(row, id, title, terms, gone));
            return;
        }
        held.Class(row.At, Pooled(id), title);
    }

    private SourceClass ClassOf(ISourceRow row, string id, string title, List<string> terms, bool gone)
    {
        // Where a session could not be read, the days the class has stay as they are.
        var known = terms.Exists(heldSessions.Contains)
            ? []
            : terms.Select(t => sessions.GetValueOrDefault(t)).ToList();
        return new(
            row.At,
            Pooled(id),
            title,
            known.Min(t => t.First),
            known.Max(t => t.Last),
            One(row.Get("grades")),
            gone
        );
    }

    public void Role(ISourceRow row)
    {
        if (!Sound(row, named: false) || Gone(row))
            return;
        var user = row.Get("userSourcedId");
        roleRows.Add((row.At, Pooled(user)));
        if (!Refers(row, "orgSourcedId", row.Get("orgSourcedId"), "orgs", orgIds))
            return;
        var (of, orgs) = RolesOf(user);
        of.Add(row.Get("role"));
        if (row.Get("orgSourcedId") is { Length: > 0 } at)
            orgs.Add(at);
    }

    public void User(ISourceRow row)
    {
        var id = Pooled(row.Get("sourcedId"));
        userIds.Add(id);
        var (of, orgs) = RolesOf(id);
        // OneRoster 1.1 has the role and the orgs in the user's own row.
        if (row.Get("role") is { Length: > 0 } role)
            of.Add(role);
        orgs.UnionWith(Several(row.Get("orgSourcedIds")));
        if (row.Get("primaryOrgSourcedId") is { Length: > 0 } primary)
            orgs.Add(primary);
        if (Elsewhere(orgs))
        {
            outside.Add(id);
            return;
        }
        string given = Names.Tidy(Either(row, "preferredGivenName", "givenName")),
            family = Names.Tidy(Either(row, "preferredFamilyName", "familyName"));
        if (given.Length == 0)
            (given, family) = (family, "");
        var gone = Gone(row);
        if (!gone && given.Length == 0)
            Stop(row, "givenName", $"Add a given or a family name.");
        else if (!gone && (Names.Fault(given) ?? Names.Fault(family)) is { } fault)
            Stop(row, Names.Fault(given) is null ? "familyName" : "givenName", fault);
        else if (Sound(row) && Refers(row, "primaryOrgSourcedId", row.Get("primaryOrgSourcedId"), "orgs", orgIds))
        {
            Take(row, id, of, orgs.Count > 0, given, family, gone);
            return;
        }
        held.User(row.At, id, Names.Key(given, family));
    }

    /// <summary>Whether somebody belongs to other schools only; to one that nobody knows is a fault and not
    /// elsewhere.</summary>
    private bool Elsewhere(HashSet<string> orgs) =>
        org is not null && orgs.Count > 0 && !orgs.Contains(org) && (orgs.Overlaps(orgIds) || !whole.Contains("orgs"));

    private void Take(
        ISourceRow row,
        string id,
        HashSet<string> of,
        bool placed,
        string given,
        string family,
        bool gone
    )
    {
        // In a file of several schools, somebody without a school belongs where they are enrolled.
        if (org is not null && !placed)
            homeless.Add(id);
        var off = row.Get("enabledUser").Equals("false", StringComparison.OrdinalIgnoreCase);
        var reader = new SourceReader(row.At, id, given, family, One(row.Get("grades")), gone);
        if (of.Contains("student"))
        {
            readers.Add(reader);
            guardians.Reader(id, Several(row.Get("agentSourcedIds")));
            if (off && !gone)
                Note(row, "enabledUser", $"Sign-in is off in the source. The reader stays on the roster here.");
        }
        else if (of.Overlaps(AdultRoles))
            adults.Add(AdultOf(row, id, given, family, gone || off));
        else if (of.Overlaps(GuardianRoles))
        {
            outside.Add(id);
            if (!gone)
                guardians.Guardian(id, row.Get("email").Trim(), Several(row.Get("agentSourcedIds")));
        }
        else if (of.Count > 0)
        {
            outside.Add(id);
            if (!gone)
                Note(row, "role", $"The role {of.First()} is not used. The row changes nothing.");
        }
        else
            unsaid.Add(new(reader, AdultOf(row, id, given, family, gone || off)));
    }

    /// <param name="gone">Switched off counts, too: an adult may not sign in, while a reader is still on the
    /// roster.</param>
    private static SourceAdult AdultOf(ISourceRow row, string id, string given, string family, bool gone) =>
        new(row.At, id, $"{given} {family}".Trim(), Text(row.Get("username")), Text(row.Get("email")), gone);

    public void Enrolment(ISourceRow row)
    {
        string id = row.Get("sourcedId"),
            classId = Pooled(row.Get("classSourcedId")),
            userId = Pooled(row.Get("userSourcedId"));
        if (outside.Contains(classId) || outside.Contains(userId))
            return;
        DateOnly? to = null;
        if (
            Sound(row)
            && Day(row, "beginDate", out var from)
            && Day(row, "endDate", out to)
            && Refers(row, "schoolSourcedId", row.Get("schoolSourcedId"), "orgs", orgIds)
        )
        {
            enrolments.Add(new(row.At, id, classId, userId, Pooled(row.Get("role")), from, to, Gone(row)));
            return;
        }
        held.Enrolment(id, classId, userId);
    }

    /// <summary>A row a person has left out: it changes nothing, and what it names stays as it is.</summary>
    public void LeaveOut(string file, ISourceRow row)
    {
        var id = row.Get("sourcedId");
        switch (file)
        {
            case "academicSessions":
                sessionIds.Add(id);
                heldSessions.Add(id);
                break;
            case "orgs":
                orgIds.Add(id);
                break;
            case "courses":
                courseIds.Add(id);
                break;
            case "classes":
                held.Class(row.At, id, Names.Tidy(row.Get("title")));
                break;
            case "users":
                userIds.Add(id);
                held.User(row.At, id, Names.Key(row.Get("givenName"), row.Get("familyName")));
                break;
            case "enrollments":
                held.Enrolment(id, row.Get("classSourcedId"), row.Get("userSourcedId"));
                break;
        }
    }

    /// <summary>A file whose rows have no place here.</summary>
    public void Unused(string file, int rows, Message reason) =>
        problems.Add(new(new(file, 1), "", $"{rows}", reason, Stops: false));

    public SourceRoster Build(string source, SourceScope users, SourceScope classScope, SourceScope enrolmentScope)
    {
        if (whole.Contains("users"))
            problems.AddRange(
                roleRows
                    .Where(r => !userIds.Contains(r.User))
                    .Select(r => new RowProblem(
                        r.At,
                        "userSourcedId",
                        r.User,
                        $"No row in users.csv has this ID. The role changes nothing.",
                        Stops: false
                    ))
            );
        var classIds = classes.Select(c => c.SourceId).ToHashSet();
        homeless.ExceptWith(enrolments.Where(e => classIds.Contains(e.ClassId)).Select(e => e.UserId));
        if (guardians.Unused is var unused and > 0)
            Unused(
                "users.csv",
                unused,
                $"Guardians without an email address or a reader in the file. They change nothing."
            );
        return new(
            source,
            users,
            classScope,
            enrolmentScope,
            [.. adults.Where(a => !homeless.Contains(a.SourceId))],
            classes,
            [
                .. readers
                    .Where(r => !homeless.Contains(r.SourceId))
                    .Select(r => guardians.MailOf(r.SourceId) is { } mail ? r with { GuardianMail = mail } : r),
            ],
            [.. unsaid.Where(u => !homeless.Contains(u.AsReader.SourceId))],
            [.. enrolments.Where(e => !homeless.Contains(e.UserId))],
            problems,
            held
        );
    }

    private void Stop(ISourceRow row, string column, Message reason, string? value = null) =>
        problems.Add(new(row.At, column, value ?? row.Get(column), reason, Stops: true));

    private void Note(ISourceRow row, string column, Message reason) =>
        problems.Add(new(row.At, column, row.Get(column), reason, Stops: false));

    private bool Sound(ISourceRow row, bool named = true)
    {
        if (named && row.Get("sourcedId").Length is 0 or > 256)
        {
            Stop(row, "sourcedId", $"Enter an ID of 1 to 256 characters.");
            return false;
        }
        if (row.Get("status") is "" || row.Get("status").ToLowerInvariant() is "active" or Deleted)
            return true;
        Stop(row, "status", $"Use active or tobedeleted.");
        return false;
    }

    private bool Refers(ISourceRow row, string column, string id, string file, HashSet<string> known)
    {
        if (id.Length == 0 || !whole.Contains(file) || known.Contains(id))
            return true;
        Stop(row, column, $"No row in {file}.csv has this ID.", id);
        return false;
    }

    private bool Day(ISourceRow row, string field, out DateOnly? day)
    {
        day = null;
        var text = row.Get(field);
        if (text.Length == 0)
            return true;
        if (
            DateOnly.TryParseExact(
                text.Length > 10 ? text[..10] : text,
                "yyyy-MM-dd",
                CultureInfo.InvariantCulture,
                DateTimeStyles.None,
                out var read
            )
        )
        {
            day = read;
            return true;
        }
        Stop(row, field, $"Enter the date as year-month-day: 2026-09-01.");
        return false;
    }

    private (HashSet<string> Roles, HashSet<string> Orgs) RolesOf(string userId)
    {
        if (!roles.TryGetValue(userId, out var known))
            roles[Pooled(userId)] = known = ([], []);
        return known;
    }

    // The same ids come again in hundreds of thousands of rows; each is kept once.
    private string Pooled(string text) => pool.TryGetValue(text, out var kept) ? kept : pool[text] = text;

    private static bool Gone(ISourceRow row) => row.Get("status").Equals(Deleted, StringComparison.OrdinalIgnoreCase);

    private static string Either(ISourceRow row, string first, string second) =>
        row.Get(first) is { Length: > 0 } found ? found : row.Get(second);

    private static string? Text(string text) => text.Trim() is { Length: > 0 } found ? found : null;

    private static IEnumerable<string> Several(string list) =>
        list.Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    private static string? One(string list) => Several(list).FirstOrDefault();
}
