using System.Globalization;
using System.IO.Compression;
using System.Text;
using CsvHelper;

namespace DeepCurrent.Formats.OneRoster;

/// <summary>One file of a OneRoster zip: its columns in their order. A row names only what it fills.</summary>
/// <remarks>1EdTech, OneRoster 1.2 CSV Binding.</remarks>
internal sealed class OneRosterTable(string file, params string[] columns)
{
    private readonly Dictionary<string, int> places = columns.Select((c, i) => (c, i)).ToDictionary(x => x.c, x => x.i);

    public static readonly OneRosterTable Manifest = new("manifest", "propertyName", "value");

    public static readonly OneRosterTable Orgs = Of("orgs", "name,type,identifier,parentSourcedId");

    public static readonly OneRosterTable Sessions = Of(
        "academicSessions",
        "title,type,startDate,endDate,parentSourcedId,schoolYear"
    );

    public static readonly OneRosterTable Courses = Of(
        "courses",
        "schoolYearSourcedId,title,courseCode,grades,orgSourcedId,subjects,subjectCodes"
    );

    public static readonly OneRosterTable Classes = Of(
        "classes",
        "title,grades,courseSourcedId,classCode,classType,location,schoolSourcedId,termSourcedIds,subjects,"
            + "subjectCodes,periods"
    );

    public static readonly OneRosterTable Users = Of(
        "users",
        "enabledUser,username,userIds,givenName,familyName,middleName,identifier,email,sms,phone,agentSourcedIds,"
            + "grades,password,userMasterIdentifier,resourceSourcedIds,preferredGivenName,preferredMiddleName,"
            + "preferredFamilyName,primaryOrgSourcedId,pronouns"
    );

    public static readonly OneRosterTable Roles = Of(
        "roles",
        "userSourcedId,roleType,role,beginDate,endDate,orgSourcedId,userProfileSourcedId"
    );

    public static readonly OneRosterTable Enrolments = Of(
        "enrollments",
        "classSourcedId,schoolSourcedId,userSourcedId,role,primary,beginDate,endDate"
    );

    public static readonly OneRosterTable Categories = Of("categories", "title,weight");

    public static readonly OneRosterTable LineItems = Of(
        "lineItems",
        "title,description,assignDate,dueDate,classSourcedId,categorySourcedId,gradingPeriodSourcedId,resultValueMin,"
            + "resultValueMax,scoreScaleSourcedId,academicSessionSourcedId,schoolSourcedId"
    );

    public static readonly OneRosterTable Results = Of(
        "results",
        "lineItemSourcedId,studentSourcedId,scoreStatus,score,scoreDate,comment,scoreScaleSourcedId,textScore,"
            + "classSourcedId,inProgress,incomplete,late,missing"
    );

    /// <summary>The columns, as the file's first line names them.</summary>
    public IReadOnlyList<string> Columns => columns;

    // All but the manifest begin with the same three.
    private static OneRosterTable Of(string file, string rest) =>
        new(file, ["sourcedId", "status", "dateLastModified", .. rest.Split(',')]);

    /// <exception cref="KeyNotFoundException">A row names a column the file does not have.</exception>
    public void Write(ZipArchive zip, IEnumerable<(string Column, object? Value)[]> rows)
    {
        using var text = new StreamWriter(
            zip.CreateEntry(file + ".csv", CompressionLevel.Fastest).Open(),
            new UTF8Encoding(false),
            1 << 16
        );
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var name in columns)
            csv.WriteField(name);
        csv.NextRecord();
        var line = new string?[columns.Length];
        foreach (var row in rows)
        {
            Array.Fill(line, "");
            foreach (var (column, value) in row)
                line[places[column]] = Convert.ToString(value, CultureInfo.InvariantCulture);
            foreach (var value in line)
                csv.WriteField(value);
            csv.NextRecord();
        }
    }
}
