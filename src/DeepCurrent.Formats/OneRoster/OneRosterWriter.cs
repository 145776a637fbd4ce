using System.Globalization;
using System.IO.Compression;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Formats.OneRoster;

/// <param name="Sessions">The school year (first) and its terms: id, title, first and last day.</param>
public sealed record OneRosterSchool(
    SchoolId Id,
    string Name,
    IReadOnlyList<(Guid Id, string Title, DateOnly First, DateOnly Last)> Sessions
);

/// <summary>Writes a school's roster as a OneRoster 1.2 zip, whole, so that it reads back in without a
/// change.</summary>
/// <remarks>1EdTech, OneRoster 1.2 CSV Binding. What came from a source keeps the source's id; everything else goes by
/// its own.</remarks>
public static class OneRosterWriter
{
    private static readonly string[] Parts =
    [
        "academicSessions",
        "classes",
        "courses",
        "enrollments",
        "orgs",
        "roles",
        "users",
    ];
    private static readonly string[] Left =
    [
        "categories",
        "classResources",
        "courseResources",
        "demographics",
        "lineItemLearningObjectiveIds",
        "lineItems",
        "lineItemScoreScales",
        "resources",
        "resultLearningObjectiveIds",
        "results",
        "resultScoreScales",
        "scoreScales",
        "userProfiles",
        "userResources",
    ];

    /// <summary>What a school's own files say they come from.</summary>
    public static string CodeOf(SchoolId schoolId) => $"deepcurrent-{schoolId}";

    /// <param name="state">The roster; closed classes, ended enrolments and people who left are not written.</param>
    public static void Write(Stream stream, OneRosterSchool school, RosterState state)
    {
        using var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true);
        var writing = new Writing(school, state);
        OneRosterTable.Manifest.Write(zip, ManifestOf(CodeOf(school.Id), Parts));
        OneRosterTable.Orgs.Write(
            zip,
            [
                [("sourcedId", school.Id), ("name", school.Name), ("type", "school")],
            ]
        );
        OneRosterTable.Sessions.Write(zip, writing.Sessions());
        OneRosterTable.Courses.Write(zip, [writing.Course()]);
        OneRosterTable.Classes.Write(zip, writing.Classes());
        OneRosterTable.Users.Write(zip, writing.Users());
        OneRosterTable.Roles.Write(zip, writing.Roles());
        OneRosterTable.Enrolments.Write(zip, writing.Enrolments());
    }

    /// <summary>The rows of a manifest: what the archive comes from, and which files it has.</summary>
    internal static IEnumerable<(string, object?)[]> ManifestOf(string source, IReadOnlyCollection<string> parts) =>
        new (string, object?)[][]
        {
            [("propertyName", "manifest.version"), ("value", "1.0")],
            [("propertyName", "oneroster.version"), ("value", "1.2")],
            [("propertyName", "source.systemName"), ("value", "Deep Current")],
            [("propertyName", "source.systemCode"), ("value", source)],
        }
            .Concat(parts.Select(p => Named(p, "bulk")))
            .Concat(Parts.Concat(Left).Except(parts).Order(StringComparer.Ordinal).Select(p => Named(p, "absent")));

    private static (string, object?)[] Named(string part, string how) =>
        [("propertyName", $"file.{part}"), ("value", how)];

    /// <summary>The rows of one school's files.</summary>
    private sealed class Writing
    {
        private readonly OneRosterSchool school;
        private readonly RosterState state;
        private readonly Dictionary<ClassId, RosterClass> classes;
        private readonly Dictionary<ReaderId, RosterReader> readers;
        private readonly Dictionary<AdultId, RosterAdult> adults;
        private readonly Dictionary<Guid, string> keys;

        public Writing(OneRosterSchool school, RosterState state)
        {
            (this.school, this.state) = (school, state);
            classes = state
                .Classes.Values.Where(c => !c.Closed)
                .OrderByName(c => c.Name)
                .ThenBy(c => c.Id)
                .ToDictionary(c => c.Id);
            readers = state
                .Readers.Values.Where(r => !r.Left)
                .OrderBy(r => r.UserName, StringComparer.Ordinal)
                .ToDictionary(r => r.Id);
            adults = state
                .Adults.Values.Where(a => !a.Left)
                .OrderBy(a => a.UserName, StringComparer.Ordinal)
                .ToDictionary(a => a.Id);
            keys = Keys(state.Readers.Values.Cast<ISourcedThing>().Concat(state.Adults.Values))
                .Concat(Keys(state.Classes.Values))
                .Concat(Keys(state.Enrolments.Values))
                .ToDictionary();
        }

        private string CourseId => $"course-{school.Id}";

        public IEnumerable<(string, object?)[]> Sessions()
        {
            var year = school.Sessions[0];
            return school.Sessions.Select(
                (s, i) =>
                    new (string, object?)[]
                    {
                        ("sourcedId", s.Id),
                        ("title", s.Title),
                        ("type", i == 0 ? "schoolYear" : "term"),
                        ("startDate", Day(s.First)),
                        ("endDate", Day(s.Last)),
                        ("parentSourcedId", i == 0 ? "" : year.Id),
                        ("schoolYear", year.Last.Year),
                    }
            );
        }

        public (string, object?)[] Course() =>
            [
                ("sourcedId", CourseId),
                ("schoolYearSourcedId", school.Sessions[0].Id),
                ("title", "Reading"),
                ("orgSourcedId", school.Id),
                ("subjects", "Reading"),
            ];

        public IEnumerable<(string, object?)[]> Classes() =>
            classes.Values.Select(c =>
                new (string, object?)[]
                {
                    ("sourcedId", keys[c.Id.Value]),
                    ("title", c.Name),
                    ("courseSourcedId", CourseId),
                    ("classCode", c.Code),
                    ("classType", "scheduled"),
                    ("schoolSourcedId", school.Id),
                }
            );

        public IEnumerable<(string, object?)[]> Users() =>
            readers
                .Values.Select(r =>
                    User(keys[r.Id.Value], r.UserName, (r.GivenName, r.FamilyName), ("grades", Grades.Code(r.Grade)))
                )
                .Concat(
                    adults.Values.Select(a =>
                        User(keys[a.Id.Value], a.UserName, Names.Split(a.Name), ("email", a.Mail))
                    )
                );

        private (string, object?)[] User(
            string id,
            string userName,
            (string Given, string Family) name,
            (string, object?) own
        ) =>
            [
                ("sourcedId", id),
                ("enabledUser", "true"),
                ("username", userName),
                ("givenName", name.Given),
                ("familyName", name.Family),
                ("primaryOrgSourcedId", school.Id),
                own,
            ];

        public IEnumerable<(string, object?)[]> Roles() =>
            readers
                .Values.Select(r => Role(r.Id.Value, "student"))
                .Concat(adults.Values.Select(a => Role(a.Id.Value, a.Lead ? "principal" : "teacher")));

        private (string, object?)[] Role(Guid id, string role) =>
            [
                ("sourcedId", $"role-{id}"),
                ("userSourcedId", keys[id]),
                ("roleType", "primary"),
                ("role", role),
                ("orgSourcedId", school.Id),
            ];

        public IEnumerable<(string, object?)[]> Enrolments() =>
            state
                .Enrolments.Values.Where(e =>
                    e.To is null && classes.ContainsKey(e.ClassId) && readers.ContainsKey(e.ReaderId)
                )
                .OrderBy(e => e.Id)
                .Select(e =>
                    Enrolment(
                        keys[e.Id.Value],
                        e.ClassId,
                        e.ReaderId.Value,
                        ("role", "student"),
                        ("beginDate", Day(e.From))
                    )
                )
                .Concat(
                    state
                        .Teachings.Values.Where(t => classes.ContainsKey(t.ClassId) && adults.ContainsKey(t.AdultId))
                        .OrderBy(t => t.Id)
                        .Select(t =>
                            Enrolment(
                                t.Id,
                                t.ClassId,
                                t.AdultId.Value,
                                ("role", t.Role is Part.Assistant ? "aide" : "teacher"),
                                ("primary", t.Role is Part.Teacher ? "true" : "false")
                            )
                        )
                );

        private (string, object?)[] Enrolment(
            object id,
            ClassId classId,
            Guid userId,
            params (string, object?)[] own
        ) =>
            [
                ("sourcedId", id),
                ("classSourcedId", keys[classId.Value]),
                ("schoolSourcedId", school.Id),
                ("userSourcedId", keys[userId]),
                .. own,
            ];

        // Two sources may have given the same id; then each thing goes by its own.
        private static IEnumerable<KeyValuePair<Guid, string>> Keys(IEnumerable<ISourcedThing> things) =>
            things
                .GroupBy(t => t.SourceId)
                .SelectMany(g =>
                    g.Select(t => KeyValuePair.Create(t.Key, g.Key is null || g.Count() > 1 ? t.Key.ToString() : g.Key))
                );

        private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
    }
}
