using System.IO.Compression;

/// <summary>Makes a OneRoster zip of any size, the same for the same numbers.</summary>
internal static class RosterZip
{
    private static readonly string[] Given =
    [
        "Ada",
        "Bo",
        "Cem",
        "Dina",
        "Eli",
        "Femi",
        "Gia",
        "Hugo",
        "Ines",
        "Jun",
        "Kofi",
        "Lena",
        "Mina",
        "Nils",
        "Oya",
        "Pia",
        "Quin",
        "Rafi",
        "Sofía",
        "Tariq",
        "Uma",
        "Vera",
        "Wren",
        "Xenia",
        "Yusuf",
        "Zoë",
    ];
    private static readonly string[] Family =
    [
        "Aziz",
        "Berg",
        "Cruz",
        "Dahl",
        "Endo",
        "Ferrer",
        "Gill",
        "Haugland",
        "Ilić",
        "Jansen",
        "Kamau",
        "Lind",
        "Mori",
        "Nair",
        "O’Hara",
        "Petrova",
        "Quispe",
        "Reyes",
        "Suzuki",
        "Tesfaye",
        "Ueda",
        "Vo",
        "Wood",
        "Xu",
        "Yıldız",
        "Zając",
    ];

    private const string UserColumns =
        "sourcedId,status,dateLastModified,enabledUser,username,userIds,givenName,familyName,middleName,"
        + "identifier,email,sms,phone,agentSourcedIds,grades,password,userMasterIdentifier,"
        + "resourceSourcedIds,preferredGivenName,preferredMiddleName,preferredFamilyName,primaryOrgSourcedId,"
        + "pronouns";

    private static readonly string[] Whole =
    [
        "oneroster.version,1.2",
        "file.orgs,bulk",
        "file.classes,bulk",
        "file.users,bulk",
        "file.roles,bulk",
        "file.enrollments,bulk",
    ];

    private const string ClassColumns =
        "sourcedId,status,dateLastModified,title,grades,courseSourcedId,classCode,classType,location,"
        + "schoolSourcedId,termSourcedIds,subjects,subjectCodes,periods";

    public static void Write(string path, int users, int classes, int enrolments)
    {
        using var zip = new ZipArchive(File.Create(path), ZipArchiveMode.Create);
        var teachers = Math.Max(1, users / 20);
        Put(zip, "manifest", "propertyName,value", Whole);
        Put(
            zip,
            "orgs",
            "sourcedId,status,dateLastModified,name,type,identifier,parentSourcedId",
            [$"{Id(0, 0)},,,Large School,school,,"]
        );
        Put(zip, "classes", ClassColumns, Enumerable.Range(0, classes).Select(Class));
        Put(zip, "users", UserColumns, Enumerable.Range(0, users).Select(u => User(u, teachers)));
        Put(
            zip,
            "roles",
            "sourcedId,status,dateLastModified,userSourcedId,roleType,role,beginDate,endDate,orgSourcedId,"
                + "userProfileSourcedId",
            Enumerable.Range(0, users).Select(u => Role(u, teachers))
        );
        Put(
            zip,
            "enrollments",
            "sourcedId,status,dateLastModified,classSourcedId,schoolSourcedId,userSourcedId,role,primary,"
                + "beginDate,endDate",
            Enumerable.Range(0, enrolments).Select(e => Enrolment(e, classes, users, teachers))
        );
    }

    private static string Class(int c) => $"{Id(1, c)},,,Class {c},{c % 12 + 1:00},,,scheduled,,{Id(0, 0)},,,,";

    private static string Role(int u, int teachers) =>
        $"{Id(3, u)},,,{Id(2, u)},primary,{(u < teachers ? "teacher" : "student")},,,{Id(0, 0)},";

    private static string User(int u, int teachers) =>
        $"{Id(2, u)},,,true,user{u},,{Given[u % 26]},{Family[u / 26 % 26]}"
        + $"{(u / 676 is > 0 and var n ? $"-{Family[n % 26]}" : "")},,,"
        + $"{(u < teachers ? $"user{u}@district.example" : "")},,,,"
        + $"{(u < teachers ? "" : $"{u % 12 + 1:00}")},,,,,,,{Id(0, 0)},";

    private static string Enrolment(int e, int classes, int users, int teachers) =>
        e < classes
            ? $"{Id(4, e)},,,{Id(1, e)},{Id(0, 0)},{Id(2, e % teachers)},teacher,true,,"
            : $"{Id(4, e)},,,{Id(1, (e * 7 + e / (users - teachers) * 13) % classes)},{Id(0, 0)},"
                + $"{Id(2, teachers + (e - classes) % (users - teachers))},student,,,";

    private static string Id(int kind, int n) => $"{kind:x8}-0000-4000-8000-{n * 2654435761L % 0xffffffffffffL:x12}";

    private static void Put(ZipArchive zip, string file, string heading, IEnumerable<string> rows)
    {
        using var text = new StreamWriter(zip.CreateEntry(file + ".csv", CompressionLevel.Fastest).Open());
        text.WriteLine(heading);
        foreach (var row in rows)
            text.WriteLine(row);
    }
}
