using System.Globalization;
using System.IO.Compression;
using System.Text;
using CsvHelper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Formats.Tables;

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
        var classes = state
            .Classes.Values.Where(c => !c.Closed)
            .OrderBy(c => c.Name, StringComparer.Ordinal)
            .ThenBy(c => c.Id)
            .ToDictionary(c => c.Id);
        var readers = state
            .Readers.Values.Where(r => !r.Left)
            .OrderBy(r => r.UserName, StringComparer.Ordinal)
            .ToDictionary(r => r.Id);
        var adults = state
            .Adults.Values.Where(a => !a.Left)
            .OrderBy(a => a.UserName, StringComparer.Ordinal)
            .ToDictionary(a => a.Id);
        var keys = Keys(state.Readers.Values.Cast<ISourcedThing>().Concat(state.Adults.Values))
            .Concat(Keys(state.Classes.Values))
            .Concat(Keys(state.Enrolments.Values))
            .ToDictionary();
        var course = $"course-{school.Id}";
        var year = school.Sessions[0];
        Put(
            zip,
            "manifest",
            "propertyName,value",
            new object?[][]
            {
                ["manifest.version", "1.0"],
                ["oneroster.version", "1.2"],
                ["source.systemName", "Deep Current"],
                ["source.systemCode", CodeOf(school.Id)],
            }
                .Concat(Parts.Select(p => new object?[] { $"file.{p}", "bulk" }))
                .Concat(Left.Select(p => new object?[] { $"file.{p}", "absent" }))
        );
        Put(
            zip,
            "orgs",
            "sourcedId,status,dateLastModified,name,type,identifier,parentSourcedId",
            [
                [school.Id, "", "", school.Name, "school", "", ""],
            ]
        );
        Put(
            zip,
            "academicSessions",
            "sourcedId,status,dateLastModified,title,type,startDate,endDate,parentSourcedId,schoolYear",
            school.Sessions.Select(
                (s, i) =>
                    new object?[]
                    {
                        s.Id,
                        "",
                        "",
                        s.Title,
                        i == 0 ? "schoolYear" : "term",
                        Day(s.First),
                        Day(s.Last),
                        i == 0 ? "" : year.Id,
                        year.Last.Year,
                    }
            )
        );
        Put(
            zip,
            "courses",
            "sourcedId,status,dateLastModified,schoolYearSourcedId,title,courseCode,grades,orgSourcedId,"
                + "subjects,subjectCodes",
            [
                [course, "", "", year.Id, "Reading", "", "", school.Id, "Reading", ""],
            ]
        );
        Put(
            zip,
            "classes",
            "sourcedId,status,dateLastModified,title,grades,courseSourcedId,classCode,classType,location,"
                + "schoolSourcedId,termSourcedIds,subjects,subjectCodes,periods",
            classes.Values.Select(c =>
                new object?[]
                {
                    keys[c.Id.Value],
                    "",
                    "",
                    c.Name,
                    "",
                    course,
                    c.Code,
                    "scheduled",
                    "",
                    school.Id,
                    "",
                    "",
                    "",
                    "",
                }
            )
        );
        Put(
            zip,
            "users",
            "sourcedId,status,dateLastModified,enabledUser,username,userIds,givenName,familyName,middleName,"
                + "identifier,email,sms,phone,agentSourcedIds,grades,password,userMasterIdentifier,"
                + "resourceSourcedIds,preferredGivenName,preferredMiddleName,preferredFamilyName,primaryOrgSourcedId,"
                + "pronouns",
            readers
                .Values.Select(r =>
                    User(keys[r.Id.Value], r.UserName, r.GivenName, r.FamilyName, "", Grades.Code(r.Grade), school.Id)
                )
                .Concat(
                    adults.Values.Select(a =>
                    {
                        var (given, family) = Names.Split(a.Name);
                        return User(keys[a.Id.Value], a.UserName, given, family, a.Mail, "", school.Id);
                    })
                )
        );
        Put(
            zip,
            "roles",
            "sourcedId,status,dateLastModified,userSourcedId,roleType,role,beginDate,endDate,orgSourcedId,"
                + "userProfileSourcedId",
            readers
                .Values.Select(r =>
                    new object?[]
                    {
                        $"role-{r.Id}",
                        "",
                        "",
                        keys[r.Id.Value],
                        "primary",
                        "student",
                        "",
                        "",
                        school.Id,
                        "",
                    }
                )
                .Concat(
                    adults.Values.Select(a =>
                        new object?[]
                        {
                            $"role-{a.Id}",
                            "",
                            "",
                            keys[a.Id.Value],
                            "primary",
                            a.Lead ? "principal" : "teacher",
                            "",
                            "",
                            school.Id,
                            "",
                        }
                    )
                )
        );
        Put(
            zip,
            "enrollments",
            "sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role,primary,"
                + "beginDate,endDate",
            state
                .Enrolments.Values.Where(e =>
                    e.To is null && classes.ContainsKey(e.ClassId) && readers.ContainsKey(e.ReaderId)
                )
                .OrderBy(e => e.Id)
                .Select(e =>
                    new object?[]
                    {
                        keys[e.Id.Value],
                        "",
                        "",
                        keys[e.ClassId.Value],
                        school.Id,
                        keys[e.ReaderId.Value],
                        "student",
                        "",
                        Day(e.From),
                        "",
                    }
                )
                .Concat(
                    state
                        .Teachings.Values.Where(t => classes.ContainsKey(t.ClassId) && adults.ContainsKey(t.AdultId))
                        .OrderBy(t => t.Id)
                        .Select(t =>
                            new object?[]
                            {
                                t.Id,
                                "",
                                "",
                                keys[t.ClassId.Value],
                                school.Id,
                                keys[t.AdultId.Value],
                                t.Role is Part.Assistant ? "aide" : "teacher",
                                t.Role is Part.Teacher ? "true" : "false",
                                "",
                                "",
                            }
                        )
                )
        );
    }

    private static object?[] User(
        string id,
        string userName,
        string given,
        string family,
        string? mail,
        string grade,
        SchoolId school
    ) =>
        [
            id,
            "",
            "",
            "true",
            userName,
            "",
            given,
            family,
            "",
            "",
            mail,
            "",
            "",
            "",
            grade,
            "",
            "",
            "",
            "",
            "",
            "",
            school,
            "",
        ];

    // Two sources may have given the same id; then each thing goes by its own.
    private static IEnumerable<KeyValuePair<Guid, string>> Keys(IEnumerable<ISourcedThing> things) =>
        things
            .GroupBy(t => t.SourceId)
            .SelectMany(g =>
                g.Select(t => KeyValuePair.Create(t.Key, g.Key is null || g.Count() > 1 ? t.Key.ToString() : g.Key))
            );

    private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static void Put(ZipArchive zip, string file, string heading, IEnumerable<IReadOnlyList<object?>> rows)
    {
        using var text = new StreamWriter(
            zip.CreateEntry(file + ".csv", CompressionLevel.Fastest).Open(),
            new UTF8Encoding(false),
            1 << 16
        );
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var name in heading.Split(','))
            csv.WriteField(name);
        csv.NextRecord();
        foreach (var row in rows)
        {
            foreach (var value in row)
                csv.WriteField(Convert.ToString(value, CultureInfo.InvariantCulture));
            csv.NextRecord();
        }
    }
}
