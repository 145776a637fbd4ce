using System.IO.Compression;
using System.Text;
using CsCheck;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;
using DeepCurrent.Formats;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Formats.Print;
using DeepCurrent.Formats.Tables;

namespace Formats.Tests;

public sealed class TableTests
{
    private static readonly Gen<string> Cell = Gen.String[Gen.Char["abcÅé, ;\"'=+-@\n\tЖ王9"], 0, 12]
        .Select(s => s.Trim());

    [Fact]
    public void What_is_written_as_csv_reads_back_the_same() =>
        Gen.Select(Cell, Cell, Cell)
            .Array[1, 12]
            .Sample(
                rows =>
                {
                    var csv = CsvFiles.Write(
                        ["A", "B", "C"],
                        rows.Select(r => (IReadOnlyList<object?>)[r.Item1, r.Item2, r.Item3])
                    );
                    var read = TableFile.Read(Encoding.UTF8.GetBytes(csv)).Rows.Skip(1).ToList();
                    // An apostrophe before what a spreadsheet would run is never part of a value.
                    static string Kept(string cell) =>
                        cell.Length > 1 && cell[0] == '\'' && CsvFiles.WouldRun(cell[1]) ? cell[1..] : cell;
                    for (var i = 0; i < read.Count; i++)
                        read[i].ShouldBe([Kept(rows[i].Item1), Kept(rows[i].Item2), Kept(rows[i].Item3)]);
                },
                iter: 3000
            );

    [Fact]
    public void An_apostrophe_that_is_there_is_not_doubled() =>
        CsvFiles
            .Write(
                ["A"],
                [
                    ["'=1+1"],
                ]
            )
            .Split("\r\n")[1]
            .ShouldBe("'=1+1");

    [Fact]
    public void Numbers_are_read_from_a_spreadsheet_without_styles()
    {
        using var file = new MemoryStream();
        using (var zip = new ZipArchive(file, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var (name, text) in WithoutStyles())
            {
                using var w = new StreamWriter(zip.CreateEntry(name).Open());
                w.Write(text);
            }
        var read = TableFile.Read(file.ToArray());
        read.Rows[1].ShouldBe(["Ana", "4", "31.5"]);
    }

    // The parts of the least spreadsheet there can be.
    private const string Main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main",
        Rels = "http://schemas.openxmlformats.org/officeDocument/2006/relationships",
        Package = "http://schemas.openxmlformats.org/package/2006",
        SheetTypes = "application/vnd.openxmlformats-officedocument.spreadsheetml",
        Types =
            $"""
                <Types xmlns="{Package}/content-types">
                <Default Extension="rels"
                  ContentType="application/vnd.openxmlformats-package.relationships+xml"/>
                <Default Extension="xml" ContentType="application/xml"/>
                <Override PartName="/xl/workbook.xml" ContentType="{SheetTypes}.sheet.main+xml"/>
                <Override PartName="/xl/worksheets/sheet1.xml" ContentType="{SheetTypes}.worksheet+xml"/>
                </Types>
                """,
        Relations =
            $"""
                <Relationships xmlns="{Package}/relationships">
                <Relationship Id="r1" Type="{Rels}/officeDocument" Target="xl/workbook.xml"/>
                </Relationships>
                """,
        Workbook =
            $"""
                <workbook xmlns="{Main}" xmlns:r="{Rels}">
                <sheets><sheet name="R" sheetId="1" r:id="r1"/></sheets>
                </workbook>
                """,
        SheetRelations =
            $"""
                <Relationships xmlns="{Package}/relationships">
                <Relationship Id="r1" Type="{Rels}/worksheet" Target="worksheets/sheet1.xml"/>
                </Relationships>
                """,
        Sheet =
            $"""
                <worksheet xmlns="{Main}"><sheetData>
                <row r="1">
                  <c r="A1" t="inlineStr"><is><t>Given name</t></is></c>
                  <c r="B1" t="inlineStr"><is><t>Grade</t></is></c>
                  <c r="C1" t="inlineStr"><is><t>Level</t></is></c>
                </row>
                <row r="2">
                  <c r="A2" t="inlineStr"><is><t>Ana</t></is></c>
                  <c r="B2"><v>4</v></c>
                  <c r="C2" t="n"><v>31.5</v></c>
                </row>
                </sheetData></worksheet>
                """;

    private static (string Name, string Text)[] WithoutStyles() =>
        [
            ("[Content_Types].xml", Types),
            ("_rels/.rels", Relations),
            ("xl/workbook.xml", Workbook),
            ("xl/_rels/workbook.xml.rels", SheetRelations),
            ("xl/worksheets/sheet1.xml", Sheet),
        ];

    [Fact]
    public void What_is_written_as_xlsx_reads_back_the_same()
    {
        object?[][] rows =
        [
            ["=1+1", "Zoë", 4],
            ["@cmd", "O’Hara", 31.5],
            ["'quoted", "", null],
        ];
        var read = TableFile.Read(TableFile.WriteXlsx("Readers", ["A", "B", "C"], rows)).Rows;
        read[1].ShouldBe(["=1+1", "Zoë", "4"]);
        read[2].ShouldBe(["@cmd", "O’Hara", "31.5"]);
    }

    [Theory]
    [InlineData("=HYPERLINK(\"http://x\")")]
    [InlineData("+1")]
    [InlineData("-1")]
    [InlineData("@SUM(A1)")]
    public void A_cell_that_would_run_is_quoted(string cell) =>
        CsvFiles
            .Write(
                ["A"],
                [
                    [cell],
                ]
            )
            .Split("\r\n")[1]
            .TrimStart('"')[0]
            .ShouldBe('\'');

    [Fact]
    public void A_formula_gives_its_last_value_and_is_said()
    {
        using var book = new ClosedXML.Excel.XLWorkbook();
        var page = book.AddWorksheet("R");
        page.Cell(1, 1).Value = "Name";
        page.Cell(1, 2).Value = "Grade";
        page.Cell(2, 1).Value = "Ana";
        page.Cell(2, 2).FormulaA1 = "2+2";
        using var file = new MemoryStream();
        book.SaveAs(file, new ClosedXML.Excel.SaveOptions { EvaluateFormulasBeforeSaving = true });
        var table = TableFile.Read(file.ToArray());
        table.Rows[1].ShouldBe(["Ana", "4"]);
        table.Notes.Single().ToString().ShouldContain("1 cell is a formula");
    }

    [Fact]
    public void Nonsense_is_refused_in_a_sentence()
    {
        var noise = new byte[200_000];
        new Random(5).NextBytes(noise);
        Should.Throw<Unreadable>(() => TableFile.Read(noise));
        Should.Throw<Unreadable>(() => TableFile.Read("PK\u0003\u0004 but no more"u8.ToArray()));
        Should
            .Throw<Unreadable>(() => TableFile.Read([0xD0, 0xCF, 0x11, 0xE0, 1, 2]))
            .Message.ShouldContain("old format");
        Should
            .Throw<Unreadable>(() =>
                TableFile.Read(Encoding.UTF8.GetBytes(string.Concat(Enumerable.Repeat("a,b\n", 6000))))
            )
            .Message.ShouldContain("5,000 rows");
    }

    [Theory]
    [InlineData(
        "First name,Surname,Year group,Reading level,E-mail",
        new[] { ListField.GivenName, ListField.FamilyName, ListField.Grade, ListField.Level, ListField.GuardianMail }
    )]
    [InlineData("Name,Class", new[] { ListField.Name, ListField.Class })]
    [InlineData(
        "Year Group,Surname,Pupil ID,Known as",
        new[] { ListField.Grade, ListField.FamilyName, ListField.SourceId, ListField.GivenName }
    )]
    [InlineData(
        "Student Number,Last Name,First Name,Homeroom,Grade Level",
        new[] { ListField.SourceId, ListField.FamilyName, ListField.GivenName, ListField.Class, ListField.Grade }
    )]
    [InlineData("Whatever,GIVEN NAME,family_name", new[] { ListField.None, ListField.GivenName, ListField.FamilyName })]
    public void Columns_are_recognised_by_their_headings(string heading, ListField[] fields)
    {
        var found = ListColumns.Recognise([heading.Split(','), [.. fields.Select(_ => "x")]], LevelChart.Default);
        found.Heading.ShouldBe(0);
        found.Fields.ShouldBe(fields);
    }

    [Fact]
    public void A_heading_is_found_under_titles_and_among_columns_that_are_not_kept()
    {
        string[][] table =
        [
            ["Harbour School", "", "", "", ""],
            [],
            ["UPN", "Legal Surname", "Forename(s)", "DOB", "NC Year"],
            ["A8202", "O’Hara", "Zoë", "01/02/2016", "5"],
            ["A8203", "Lee", "Bo", "02/02/2016", "5"],
        ];
        var found = ListColumns.Recognise(table, LevelChart.Default);
        found.Heading.ShouldBe(2);
        found.Fields.ShouldBe([
            ListField.SourceId,
            ListField.FamilyName,
            ListField.GivenName,
            ListField.None,
            ListField.Grade,
        ]);
        found
            .Rows(table)
            .Select(r => (r.SourceId, r.GivenName, r.FamilyName))
            .ShouldBe([("A8202", "Zoë", "O’Hara"), ("A8203", "Bo", "Lee")]);
        found.Samples(table, 1).ShouldBe(["O’Hara", "Lee"]);
        found.LevelSystem(table).ShouldBe(LevelLabels.Unsaid);
        string[][] aged =
        [
            ["Surname", "Reading age"],
            ["Lee", "8.5"],
        ];
        ListColumns.Recognise(aged, LevelChart.Default).LevelSystem(aged).ShouldBe(LevelLabels.InAges);
    }

    [Fact]
    public void A_reader_whose_name_is_a_heading_is_still_a_reader() =>
        ListColumns
            .Recognise(
                [
                    ["Ana", "Surname", "4"],
                    ["Grade", "Lee", "4"],
                ],
                LevelChart.Default
            )
            .Heading.ShouldBe(-1);

    [Fact]
    public void Columns_without_headings_are_recognised_by_what_stands_in_them()
    {
        var found = ListColumns.Recognise(
            [
                ["Ana", "Cruz", "4", "31.5 fm", "a@b.example"],
                ["Bo", "Lee", "Year 5", "grade 3", "c@d.example"],
            ],
            LevelChart.Default
        );
        found.Heading.ShouldBe(-1);
        found.Fields.ShouldBe([
            ListField.GivenName,
            ListField.FamilyName,
            ListField.Grade,
            ListField.Level,
            ListField.GuardianMail,
        ]);
        ListColumns
            .Recognise(
                [
                    ["Ana Cruz"],
                    ["Bo Lee"],
                ],
                LevelChart.Default
            )
            .Rows([
                ["Ana Cruz"],
                ["Bo Lee"],
            ])[1]
            .FamilyName.ShouldBe("Lee");
    }
}

public sealed class OneRosterTests
{
    private static readonly YearId Year = YearId.New();
    private static readonly DateOnly Today = new(2026, 11, 23);
    private static readonly OneRosterSchool School = new(
        SchoolId.New(),
        "School, with \"commas\"",
        [(Year.Value, "Year", Today.AddDays(-80), Today.AddDays(200))]
    );

    private static Makers Makers()
    {
        var n = 0;
        return new(
            Guid.NewGuid,
            (_, _) => $"reader{++n}",
            name => $"adult{++n}{name.Length}",
            _ => (SecretKind.Pictures, "sealed"),
            () => $"CODE{++n}"
        );
    }

    private static readonly Gen<string> Word = Gen.String[Gen.Char["abÅ王'-, \""], 1, 8]
        .Select(s => Names.Tidy(s))
        .Where(s => s.Length > 0 && !s.StartsWith(','));

    private static readonly Gen<RosterState> AnyState =
        from readers in (
            from given in Word
            from family in Word
            from grade in Gen.Int[0, 12]
            from source in Gen.Bool
            from left in Gen.Int[0, 5]
            select (given, family, grade, source, left: left == 0)
        ).Array[0, 8]
        from classes in (
            from name in Word
            from source in Gen.Bool
            from closed in Gen.Int[0, 4]
            select (name, source, closed: closed == 0)
        ).Array[1, 4]
        from adults in (from name in Word from lead in Gen.Bool select (name: name.Replace(",", ""), lead))
            .Where(a => a.name.Trim().Length > 0)
            .Array[0, 3]
        from links in Gen.Select(Gen.Int[0, 20], Gen.Int[0, 20]).Array[0, 14]
        select State(readers, classes, adults, links);

    private static RosterState State(
        (string Given, string Family, int Grade, bool Source, bool Left)[] readers,
        (string Name, bool Source, bool Closed)[] classes,
        (string Name, bool Lead)[] adults,
        (int, int)[] links
    )
    {
        var state = new RosterState();
        var r = readers.Select((x, i) => Reader(i, x.Given, x.Family, x.Grade, x.Source, x.Left)).ToList();
        var c = classes
            .Select(
                (x, i) =>
                    new RosterClass(
                        ClassId.New(),
                        x.Source ? $"c{i}" : null,
                        Year,
                        x.Name,
                        $"CODE{i}",
                        null,
                        null,
                        x.Closed
                    )
            )
            .ToList();
        var a = adults
            .Select(
                (x, i) => new RosterAdult(AdultId.New(), null, Names.Tidy(x.Name), $"adult{i}", null, x.Lead, false)
            )
            .ToList();
        var e = Enrolled(r, c, links);
        var t = a.Select((x, i) => new Teaching(TeachingId.New(), c[i % c.Count].Id, x.Id, Parts.Given[i % 3]))
            .ToList();
        state.Apply(
            new(
                [.. a.Select(x => new Step<RosterAdult>(null, x))],
                [.. c.Select(x => new Step<RosterClass>(null, x))],
                [.. r.Select(x => new Step<RosterReader>(null, x))],
                [.. t.Select(x => new Step<Teaching>(null, x))],
                [.. e.Select(x => new Step<Enrolment>(null, x))],
                []
            )
        );
        return state;
    }

    private static RosterReader Reader(int i, string given, string family, int grade, bool source, bool left) =>
        new()
        {
            Id = ReaderId.New(),
            SourceId = source ? $"r{i}" : null,
            GivenName = given,
            FamilyName = family,
            UserName = $"name{i}",
            Grade = grade,
            GuardianMail = null,
            SecretKind = SecretKind.Code,
            Secret = "s",
            Supports = Supports.None,
            Left = left,
        };

    private static List<Enrolment> Enrolled(List<RosterReader> r, List<RosterClass> c, (int, int)[] links) =>
        r.Count == 0
            ? []
            : links
                .DistinctBy(l => (l.Item1 % r.Count, l.Item2 % c.Count))
                .Select(l => new Enrolment(
                    EnrolmentId.New(),
                    null,
                    c[l.Item2 % c.Count].Id,
                    r[l.Item1 % r.Count].Id,
                    Today.AddDays(-l.Item1),
                    r[l.Item1 % r.Count].Left || c[l.Item2 % c.Count].Closed ? Today : null
                ))
                .ToList();

    [Fact]
    public void What_is_written_reads_back_in_without_a_change() =>
        AnyState.Sample(
            state =>
            {
                using var zip = new MemoryStream();
                OneRosterWriter.Write(zip, School, state);
                var read = OneRosterZip.Read(zip.ToArray(), null, Mends.None);
                read.Roster.Problems.ShouldBeEmpty();
                read.Roster.Source.ShouldBe(OneRosterWriter.CodeOf(School.Id));
                var again = SourceReconciler.Reconcile(
                    state,
                    read.Roster with
                    {
                        Source = null,
                    },
                    new(
                        Year,
                        Today,
                        LevelChart.Default,
                        state.Adults.Values.Where(a => a.Lead).Select(a => a.Id).ToHashSet()
                    ),
                    Makers()
                );
                again.Problems.ShouldBeEmpty();
                again.Change.Steps.ShouldBe(
                    0,
                    string.Join(
                        "\n",
                        again
                            .Change.Readers.Cast<object>()
                            .Concat(again.Change.Adults)
                            .Concat(again.Change.Classes)
                            .Concat(again.Change.Enrolments)
                            .Concat(again.Change.Teachings)
                    )
                );
            },
            iter: 300
        );

    private static byte[] Zip(params (string Name, string Text)[] files) => QtiTests.Zip(files).ToArray();

    [Fact]
    public void A_bomb_is_not_opened()
    {
        using var body = new MemoryStream();
        using (var zip = new ZipArchive(body, ZipArchiveMode.Create, leaveOpen: true))
        {
            using var s = zip.CreateEntry("users.csv", CompressionLevel.Fastest).Open();
            s.Write("sourcedId,givenName,familyName\n"u8);
            var nothing = new byte[1 << 20];
            Array.Fill(nothing, (byte)'a');
            for (var i = 0; i < 1100; i++)
                s.Write(nothing);
        }
        body.Length.ShouldBeLessThan(20 << 20);
        Should.Throw<Unreadable>(() => OneRosterZip.Read(body.ToArray(), null, Mends.None));
    }

    [Fact]
    public void The_older_binding_with_roles_in_the_users_rows_is_read_too()
    {
        var file = OneRosterZip
            .Read(
                Zip(
                    (
                        "folder/users.csv",
                        "sourcedId,status,role,givenName,familyName,grades,orgSourcedIds\n"
                            + "1,active,student,A,B,04,o1\n2,,teacher,C,D,,o1\n3,,parent,E,F,,o1\n"
                            + "4,tobedeleted,student,G,H,04,o2\n"
                    )
                ),
                "o1",
                Mends.None
            )
            .Roster;
        file.Readers.Select(r => r.SourceId).ShouldBe(["1"]);
        file.Adults.Select(a => a.Name).ShouldBe(["C D"]);
        file.Problems.ShouldAllBe(p => !p.Stops);
    }

    [Fact]
    public void A_bad_row_is_named_with_file_line_and_column_and_can_be_mended()
    {
        var zip = Zip(
            ("users.csv", "sourcedId,role,givenName,familyName,grades\n1,student,,,04\n2,student,A,B,04\n"),
            ("enrollments.csv", "sourcedId,classSourcedId,userSourcedId,role,beginDate\ne1,c1,2,student,01/09/2026\n")
        );
        var problems = OneRosterZip.Read(zip, null, Mends.None).Roster.Problems;
        problems
            .Select(p => (p.At.File, p.At.Line, p.Column))
            .ShouldBe([("users.csv", 2, "givenName"), ("enrollments.csv", 2, "beginDate")], ignoreOrder: true);
        var mends = new Mends(
            new Dictionary<(string, int, string), string> { [("users.csv", 2, "givenName")] = "Now" },
            new HashSet<(string, int)> { ("enrollments.csv", 2) }
        );
        var mended = OneRosterZip.Read(zip, null, mends).Roster;
        mended.Problems.ShouldBeEmpty();
        mended.Readers.Count.ShouldBe(2);
        mended.EnrolmentRows.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("utf-8")]
    [InlineData("utf-16")]
    [InlineData("windows-1252")]
    public void Files_in_a_zip_may_be_in_any_encoding(string name)
    {
        var encoding =
            name == "windows-1252" ? CodePagesEncodingProvider.Instance.GetEncoding(1252)! : Encoding.GetEncoding(name);
        using var body = new MemoryStream();
        using (var zip = new ZipArchive(body, ZipArchiveMode.Create, leaveOpen: true))
        using (var s = zip.CreateEntry("users.csv").Open())
            s.Write([
                .. encoding.GetPreamble(),
                .. encoding.GetBytes("sourcedId,role,givenName,familyName,grades\n1,student,Zoë,Müller,04\n"),
            ]);
        OneRosterZip.Read(body.ToArray(), null, Mends.None).Roster.Readers.Single().FamilyName.ShouldBe("Müller");
    }
}

public sealed class OneRosterRowTests
{
    private static byte[] Zip(params (string Name, string Text)[] files) => QtiTests.Zip(files).ToArray();

    private const string Orgs = "sourcedId,name,type\no1,North,school\no2,South,school\n";

    private static SourceRoster Read(string? org, params (string Name, string Text)[] files) =>
        OneRosterZip.Read(Zip(files), org, Mends.None).Roster;

    [Fact]
    public void A_bad_or_skipped_row_still_names_whom_it_names()
    {
        var zip = Zip(
            (
                "users.csv",
                "sourcedId,role,givenName,familyName,grades\n1,student,=1+1,B,04\n2,student,C,D,04\n,student,Eve,F,04\n"
            ),
            ("enrollments.csv", "sourcedId,classSourcedId,userSourcedId,role,beginDate\ne1,c1,2,student,yesterday\n")
        );
        var roster = OneRosterZip
            .Read(
                zip,
                null,
                new Mends(
                    new Dictionary<(string, int, string), string>(),
                    new HashSet<(string, int)> { ("users.csv", 3) }
                )
            )
            .Roster;
        roster.Readers.ShouldBeEmpty();
        roster.Held.HasUser("1", "").ShouldBeTrue("its name is wrong");
        roster.Held.HasUser("2", "").ShouldBeTrue("a person left it out");
        roster.Held.HasUser("?", Names.Key("Eve", "F")).ShouldBeTrue("it has no id");
        roster.Held.HasEnrolment("e1", "", "").ShouldBeTrue();
        roster.Problems.Count(p => p.Stops).ShouldBe(3);
    }

    [Fact]
    public void A_status_that_is_not_the_standards_is_held_back()
    {
        var roster = Read(
            null,
            (
                "users.csv",
                "sourcedId,status,role,givenName,familyName,grades\n1,inactive,student,A,B,04\n"
                    + "2,ACTIVE,student,C,D,04\n3,,student,E,F,04\n4,tobedeleted,student,,,04\n"
            )
        );
        roster.Readers.Select(r => (r.SourceId, r.Gone)).ShouldBe([("2", false), ("3", false), ("4", true)]);
        roster.Problems.Single().Column.ShouldBe("status");
        roster.Held.HasUser("1", "").ShouldBeTrue();
    }

    [Fact]
    public void Rows_of_a_whole_file_refer_only_to_rows_that_are_there()
    {
        var roster = Read(
            null,
            ("orgs.csv", Orgs),
            ("courses.csv", "sourcedId,title\nk1,Reading\n"),
            ("academicSessions.csv", "sourcedId,startDate,endDate\nt1,2026-09-01,2027-07-01\n"),
            (
                "classes.csv",
                "sourcedId,title,courseSourcedId,schoolSourcedId,termSourcedIds\nc1,One,k1,o1,t1\n"
                    + "c2,Two,k9,o1,t1\nc3,Three,k1,o9,t1\nc4,Four,k1,o1,t9\n"
            ),
            ("roles.csv", "userSourcedId,role\n1,student\n9,student\n"),
            ("users.csv", "sourcedId,givenName,familyName,grades,primaryOrgSourcedId\n1,A,B,04,o1\n2,C,D,04,o9\n")
        );
        roster.ClassRows.Select(c => c.SourceId).ShouldBe(["c1"]);
        roster
            .Problems.Where(p => p.Stops)
            .Select(p => (p.At.File, p.At.Line, p.Column))
            .ShouldBe(
                [
                    ("classes.csv", 3, "courseSourcedId"),
                    ("classes.csv", 4, "schoolSourcedId"),
                    ("classes.csv", 5, "termSourcedIds"),
                    ("users.csv", 3, "primaryOrgSourcedId"),
                ],
                ignoreOrder: true
            );
        roster.Problems.Single(p => !p.Stops).At.ShouldBe(new("roles.csv", 3));
    }

    [Fact]
    public void Changes_without_a_role_are_passed_on_and_not_lost()
    {
        var roster = Read(
            null,
            ("manifest.csv", "propertyName,value\nsource.systemName,North SIS\nfile.users,delta\n"),
            ("users.csv", "sourcedId,status,givenName,familyName\n1,tobedeleted,A,B\n2,active,C,D\n")
        );
        roster.Unsaid.Select(u => (u.AsReader.SourceId, u.AsReader.Gone)).ShouldBe([("1", true), ("2", false)]);
        roster.Source.ShouldBe("North SIS");
        roster.Users.ShouldBe(SourceScope.Changes);
    }

    [Fact]
    public void Only_one_schools_people_are_taken_even_where_their_own_rows_name_no_school()
    {
        var roster = Read(
            "o1",
            ("orgs.csv", Orgs),
            ("classes.csv", "sourcedId,title,schoolSourcedId\nc1,One,o1\nc2,Two,o2\n"),
            (
                "users.csv",
                "sourcedId,role,givenName,familyName,grades,orgSourcedIds\n1,student,A,B,04,\n"
                    + "2,student,C,D,04,\n3,student,E,F,04,o2\n"
            ),
            (
                "enrollments.csv",
                "sourcedId,classSourcedId,userSourcedId,role\ne1,c1,1,student\ne2,c2,2,student\ne3,c2,3,student\n"
            )
        );
        roster.Readers.Select(r => r.SourceId).ShouldBe(["1"]);
        roster.EnrolmentRows.Select(e => e.SourceId).ShouldBe(["e1"]);
        OneRosterZip.Head(Zip(("orgs.csv", Orgs))).Orgs.Count.ShouldBe(2);
    }

    [Fact]
    public void Guardians_become_addresses_and_what_is_not_kept_is_said()
    {
        var roster = Read(
            null,
            (
                "users.csv",
                "sourcedId,role,givenName,familyName,grades,email,agentSourcedIds\n1,student,A,B,04,,g1\n"
                    + "g1,guardian,Gail,B,,gail@example.org,\ng2,parent,Pat,B,,pat@example.org,1\n"
                    + "g3,parent,No,Mail,,,1\n5,pilot,X,Y,,,\n"
            ),
            ("demographics.csv", "sourcedId,birthDate\n1,2016-01-01\n2,2016-01-02\n")
        );
        roster.Readers.Single().GuardianMail.ShouldBe("gail@example.org, pat@example.org");
        roster.Problems.ShouldAllBe(p => !p.Stops);
        roster
            .Problems.Select(p => (p.At.File, p.Value))
            .ShouldBe([("users.csv", "pilot"), ("demographics.csv", "2"), ("users.csv", "1")], ignoreOrder: true);
    }
}

public sealed class PrintTests
{
    [Theory]
    [InlineData("Siobhán O’Hara")]
    [InlineData("Дмитро Їжак")]
    [InlineData("王小明")]
    [InlineData("محمد علي")]
    public void A_name_in_any_script_is_printed_with_its_font_embedded(string name)
    {
        using var body = new MemoryStream();
        SignInPrint.Cards(
            body,
            PaperSize.A4,
            [
                (
                    new("School", "4 Tern", "TERN46", "http://x/read"),
                    new(name, "", "reader", ["boat", "gull", "shell"], "", "http://x/read/TERN46?tile=1", "bell")
                ),
            ]
        );
        var text = Encoding.Latin1.GetString(body.ToArray());
        text.ShouldStartWith("%PDF");
        text.Split("/FontFile2").Length.ShouldBeGreaterThan(2);
    }

    [Fact]
    public void A_letter_is_filled_in_for_each_reader()
    {
        var words = LetterWords
            .Usual(Language.English)
            .With(
                new Dictionary<string, string>
                {
                    ["{reader}"] = "Ana",
                    ["{code}"] = "ABCD",
                    ["{class}"] = "4 Tern",
                    ["{school}"] = "S",
                    ["{address}"] = "http://x",
                    ["{until}"] = "1 May",
                    ["{teacher}"] = "T",
                }
            );
        words.Body.ShouldContain("Ana reads with us in 4 Tern");
        words.Body.ShouldNotContain("{");
        words.Title.ShouldBe("Follow Ana’s reading");
    }

    [Fact]
    public void Nobody_makes_an_empty_page_and_not_a_failure()
    {
        using var body = new MemoryStream();
        SignInPrint.List(body, PaperSize.Letter, []);
        body.Length.ShouldBeGreaterThan(100);
    }
}
