namespace DeepCurrent.District;

/// <summary>The invented district: its school, classes and people, the same for the same seed.</summary>
public sealed class Roster
{
    private static readonly string[] Given =
    [
        "Anouk",
        "Ravi",
        "Selma",
        "Oskar",
        "Thandi",
        "Luca",
        "Meilin",
        "Pavel",
        "Ines",
        "Kwame",
        "Solveig",
        "Amir",
        "Bruna",
        "Dario",
        "Eun-ji",
        "Fatou",
        "Gwen",
        "Hiro",
        "Ileana",
        "Jonas",
    ];
    private static readonly string[] Family =
    [
        "Visser",
        "Patel",
        "Aydın",
        "Lindqvist",
        "Dube",
        "Romano",
        "Chen",
        "Horák",
        "Costa",
        "Boateng",
        "Eide",
        "Rahimi",
        "Alves",
        "Neri",
        "Park",
        "Diop",
        "Morgan",
        "Tanaka",
        "Popescu",
        "Weber",
    ];

    /// <param name="size">Readers in each class.</param>
    public Roster(int seed, int size)
    {
        var random = new Random(seed);
        var today = DateOnly.FromDateTime(DateTime.UtcNow);
        var first = new DateOnly(today.Month >= 8 ? today.Year : today.Year - 1, 9, 1);
        Orgs =
        [
            new
            {
                sourcedId = Org,
                status = "active",
                dateLastModified = Modified,
                name = "Port Ellery School",
                type = "school",
                identifier = "PE",
            },
        ];
        Sessions =
        [
            new
            {
                sourcedId = "session-year",
                status = "active",
                dateLastModified = Modified,
                title = "School year",
                type = "schoolYear",
                startDate = $"{first:yyyy-MM-dd}",
                endDate = $"{first.AddDays(290):yyyy-MM-dd}",
            },
        ];
        foreach (var (title, grade) in new[] { ("3 Curlew", 3), ("5 Gannet", 5) })
            Class(title, grade, size, random);
    }

    private void Class(string title, int grade, int size, Random random)
    {
        var room = $"class-{title[0]}";
        Classes.Add(
            new
            {
                sourcedId = room,
                status = "active",
                dateLastModified = Modified,
                title,
                grades = new[] { $"{grade:00}" },
                classCode = title,
                school = new { sourcedId = Org },
                terms = new[] { new { sourcedId = "session-year" } },
            }
        );
        var teacher = $"teacher-{grade}";
        User(teacher, Given[random.Next(Given.Length)], Family[random.Next(Family.Length)], "teacher", null);
        Enrol(room, teacher, "teacher");
        for (var i = 0; i < size; i++)
        {
            var reader = $"reader-{grade}-{i}";
            User(reader, Given[(i * 7 + grade) % Given.Length], Family[random.Next(Family.Length)], "student", grade);
            Enrol(room, reader, "student");
        }
    }

    private const string Org = "org-port-ellery",
        Modified = "2026-09-01T00:00:00Z";

    public List<object> Orgs { get; }
    public List<object> Sessions { get; }
    public List<object> Classes { get; } = [];
    public List<object> Users { get; } = [];
    public List<object> Enrolments { get; } = [];

    private void User(string id, string given, string family, string role, int? grade) =>
        Users.Add(
            new
            {
                sourcedId = id,
                status = "active",
                dateLastModified = Modified,
                enabledUser = "true",
                username = id,
                givenName = given,
                familyName = family,
                email = grade is null ? $"{id}@district.example" : null,
                grades = grade is { } g ? new[] { $"{g:00}" } : [],
                roles = new[]
                {
                    new
                    {
                        roleType = "primary",
                        role,
                        org = new { sourcedId = Org },
                    },
                },
                primaryOrg = new { sourcedId = Org },
            }
        );

    private void Enrol(string room, string user, string role) =>
        Enrolments.Add(
            new
            {
                sourcedId = $"enrolment-{user}",
                status = "active",
                dateLastModified = Modified,
                @class = new { sourcedId = room },
                user = new { sourcedId = user },
                role,
            }
        );
}
