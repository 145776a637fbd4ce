using System.IO.Compression;
using System.Text;
using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;
using DeepCurrent.Formats;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Formats.Print;
using DeepCurrent.Formats.Tables;

namespace Formats.Tests;

public sealed class TableTests
{
    private static readonly Gen<string> Cell = Gen.String[Gen.Char["abcÅé, ;\"'=+-@\n\tЖ王9"], 0, 12].Select(s => s.Trim());

    [Fact]
    public void What_is_written_as_csv_reads_back_the_same() => Gen.Select(Cell, Cell, Cell).Array[1, 12].Sample(rows =>
    {
        var csv = CsvFiles.Write(["A", "B", "C"], rows.Select(r => (IReadOnlyList<object?>)[r.Item1, r.Item2, r.Item3]));
        var read = TableFile.Read(Encoding.UTF8.GetBytes(csv)).Rows.Skip(1).ToList();
        for (var i = 0; i < read.Count; i++) read[i].ShouldBe([rows[i].Item1, rows[i].Item2, rows[i].Item3]);
    }, iter: 3000);

    [Fact]
    public void What_is_written_as_xlsx_reads_back_the_same()
    {
        object?[][] rows = [["=1+1", "Zoë", 4], ["@cmd", "O’Hara", 31.5], ["'quoted", "", null]];
        var read = TableFile.Read(TableFile.WriteXlsx("Readers", ["A", "B", "C"], rows)).Rows;
        read[1].ShouldBe(["=1+1", "Zoë", "4"]);
        read[2].ShouldBe(["@cmd", "O’Hara", "31.5"]);
    }

    [Theory]
    [InlineData("=HYPERLINK(\"http://x\")")]
    [InlineData("+1")]
    [InlineData("-1")]
    [InlineData("@SUM(A1)")]
    public void A_cell_that_would_run_is_quoted(string cell) => CsvFiles.Write(["A"], [[cell]]).Split("\r\n")[1].TrimStart('"')[0].ShouldBe('\'');

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
        table.Notes.Single().ShouldContain("1 cell is a formula");
    }

    [Fact]
    public void Nonsense_is_refused_in_a_sentence()
    {
        var noise = new byte[200_000];
        new Random(5).NextBytes(noise);
        Should.Throw<Unreadable>(() => TableFile.Read(noise));
        Should.Throw<Unreadable>(() => TableFile.Read("PK\u0003\u0004 but no more"u8.ToArray()));
        Should.Throw<Unreadable>(() => TableFile.Read([0xD0, 0xCF, 0x11, 0xE0, 1, 2])).Message.ShouldContain("old format");
        Should.Throw<Unreadable>(() => TableFile.Read(Encoding.UTF8.GetBytes(string.Concat(Enumerable.Repeat("a,b\n", 6000))))).Message.ShouldContain("5,000 rows");
    }

    [Theory]
    [InlineData("First name,Surname,Year group,Reading level,E-mail", new[] { ListField.GivenName, ListField.FamilyName, ListField.Grade, ListField.Level, ListField.GuardianMail })]
    [InlineData("Name,Class", new[] { ListField.Name, ListField.Class })]
    [InlineData("Whatever,GIVEN NAME,family_name", new[] { ListField.None, ListField.GivenName, ListField.FamilyName })]
    public void Columns_are_recognised_by_their_headings(string heading, ListField[] fields)
    {
        var found = ListColumns.Recognise([heading.Split(','), [.. fields.Select(_ => "x")]], LevelChart.Default);
        found.HasHeading.ShouldBeTrue();
        found.Fields.ShouldBe(fields);
    }

    [Fact]
    public void Columns_without_headings_are_recognised_by_what_stands_in_them()
    {
        var found = ListColumns.Recognise([["Ana", "Cruz", "4", "31.5 fm", "a@b.example"], ["Bo", "Lee", "Year 5", "grade 3", "c@d.example"]], LevelChart.Default);
        found.HasHeading.ShouldBeFalse();
        found.Fields.ShouldBe([ListField.GivenName, ListField.FamilyName, ListField.Grade, ListField.Level, ListField.GuardianMail]);
        ListColumns.Recognise([["Ana Cruz"], ["Bo Lee"]], LevelChart.Default).Rows([["Ana Cruz"], ["Bo Lee"]])[1].FamilyName.ShouldBe("Lee");
    }
}

public sealed class OneRosterTests
{
    private static readonly Guid Year = Guid.NewGuid();
    private static readonly DateOnly Today = new(2026, 11, 23);
    private static readonly OneRosterSchool School = new(Guid.NewGuid(), "School, with \"commas\"", [(Year, "Year", Today.AddDays(-80), Today.AddDays(200))]);

    private static Makers Makers()
    {
        var n = 0;
        return new(Guid.NewGuid, (_, _) => $"reader{++n}", name => $"adult{++n}{name.Length}", _ => (SecretKind.Pictures, "sealed"), () => $"CODE{++n}");
    }

    private static readonly Gen<string> Word = Gen.String[Gen.Char["abÅ王'-, \""], 1, 8].Select(s => Names.Tidy(s)).Where(s => s.Length > 0 && !s.StartsWith(','));

    private static readonly Gen<RosterState> AnyState =
        from readers in (from given in Word from family in Word from grade in Gen.Int[0, 12] from source in Gen.Bool from left in Gen.Int[0, 5] select (given, family, grade, source, left: left == 0)).Array[0, 8]
        from classes in (from name in Word from source in Gen.Bool from closed in Gen.Int[0, 4] select (name, source, closed: closed == 0)).Array[1, 4]
        from adults in (from name in Word from lead in Gen.Bool select (name: name.Replace(",", ""), lead)).Where(a => a.name.Trim().Length > 0).Array[0, 3]
        from links in Gen.Select(Gen.Int[0, 20], Gen.Int[0, 20]).Array[0, 14]
        select State(readers, classes, adults, links);

    private static RosterState State((string Given, string Family, int Grade, bool Source, bool Left)[] readers, (string Name, bool Source, bool Closed)[] classes, (string Name, bool Lead)[] adults, (int, int)[] links)
    {
        var state = new RosterState();
        var r = readers.Select((x, i) => new RosterReader(Guid.NewGuid(), x.Source ? $"r{i}" : null, x.Given, x.Family, $"name{i}", x.Grade, null, null, SecretKind.Code, "s", Supports.None, x.Left)).ToList();
        var c = classes.Select((x, i) => new RosterClass(Guid.NewGuid(), x.Source ? $"c{i}" : null, Year, x.Name, $"CODE{i}", null, null, x.Closed)).ToList();
        var a = adults.Select((x, i) => new RosterAdult(Guid.NewGuid(), null, Names.Tidy(x.Name), $"adult{i}", null, x.Lead, false)).ToList();
        var e = r.Count == 0 ? [] : links.DistinctBy(l => (l.Item1 % r.Count, l.Item2 % c.Count)).Select(l => new Enrolment(Guid.NewGuid(), null, c[l.Item2 % c.Count].Id, r[l.Item1 % r.Count].Id, Today.AddDays(-l.Item1), r[l.Item1 % r.Count].Left || c[l.Item2 % c.Count].Closed ? Today : null)).ToList();
        var t = a.Select((x, i) => new Teaching(Guid.NewGuid(), c[i % c.Count].Id, x.Id, i % 3 == 0 ? "teacher" : i % 3 == 1 ? "co-teacher" : "assistant")).ToList();
        state.Apply(new([.. a.Select(x => new Step<RosterAdult>(null, x))], [.. c.Select(x => new Step<RosterClass>(null, x))], [.. r.Select(x => new Step<RosterReader>(null, x))], [.. t.Select(x => new Step<Teaching>(null, x))], [.. e.Select(x => new Step<Enrolment>(null, x))], []));
        return state;
    }

    [Fact]
    public void What_is_written_reads_back_in_without_a_change() => AnyState.Sample(state =>
    {
        using var zip = new MemoryStream();
        OneRosterWriter.Write(zip, School, state);
        var read = OneRosterZip.Read(zip.ToArray(), null, Mends.None);
        read.Roster.Problems.ShouldBeEmpty();
        var again = SourceReconciler.Reconcile(state, read.Roster, new(Year, Today, LevelChart.Default, state.Adults.Values.Where(a => a.Lead).Select(a => a.Id).ToHashSet()), Makers());
        again.Problems.ShouldBeEmpty();
        again.Change.Steps.ShouldBe(0, string.Join("\n", again.Change.Readers.Cast<object>().Concat(again.Change.Adults).Concat(again.Change.Classes).Concat(again.Change.Enrolments).Concat(again.Change.Teachings)));
    }, iter: 300);

    private static byte[] Zip(params (string Name, string Text)[] files)
    {
        using var body = new MemoryStream();
        using (var zip = new ZipArchive(body, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var (name, text) in files)
            {
                using var w = new StreamWriter(zip.CreateEntry(name, CompressionLevel.SmallestSize).Open());
                w.Write(text);
            }
        return body.ToArray();
    }

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
            for (var i = 0; i < 1100; i++) s.Write(nothing);
        }
        body.Length.ShouldBeLessThan(20 << 20);
        Should.Throw<Unreadable>(() => OneRosterZip.Read(body.ToArray(), null, Mends.None));
    }

    [Fact]
    public void The_older_binding_with_roles_in_the_users_rows_is_read_too()
    {
        var file = OneRosterZip.Read(Zip(("folder/users.csv", "sourcedId,status,role,givenName,familyName,grades,orgSourcedIds\n1,active,student,A,B,04,o1\n2,,teacher,C,D,,o1\n3,,parent,E,F,,o1\n4,tobedeleted,student,G,H,04,o2\n")), "o1", Mends.None).Roster;
        file.Readers.Select(r => r.SourceId).ShouldBe(["1"]);
        file.Adults.Select(a => a.Name).ShouldBe(["C D"]);
        file.Problems.ShouldBeEmpty();
    }

    [Fact]
    public void A_bad_row_is_named_with_file_line_and_column_and_can_be_mended()
    {
        var zip = Zip(("users.csv", "sourcedId,role,givenName,familyName,grades\n1,student,,,04\n2,student,A,B,04\n"), ("enrollments.csv", "sourcedId,classSourcedId,userSourcedId,role,beginDate\ne1,c1,2,student,01/09/2026\n"));
        var problems = OneRosterZip.Read(zip, null, Mends.None).Roster.Problems;
        problems.Select(p => (p.At.File, p.At.Line, p.Column)).ShouldBe([("users.csv", 2, "givenName"), ("enrollments.csv", 2, "beginDate")], ignoreOrder: true);
        var mends = new Mends(new Dictionary<(string, int, string), string> { [("users.csv", 2, "givenName")] = "Now" }, new HashSet<(string, int)> { ("enrollments.csv", 2) });
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
        var encoding = name == "windows-1252" ? CodePagesEncodingProvider.Instance.GetEncoding(1252)! : Encoding.GetEncoding(name);
        using var body = new MemoryStream();
        using (var zip = new ZipArchive(body, ZipArchiveMode.Create, leaveOpen: true))
        using (var s = zip.CreateEntry("users.csv").Open()) s.Write([.. encoding.GetPreamble(), .. encoding.GetBytes("sourcedId,role,givenName,familyName,grades\n1,student,Zoë,Müller,04\n")]);
        OneRosterZip.Read(body.ToArray(), null, Mends.None).Roster.Readers.Single().FamilyName.ShouldBe("Müller");
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
        SignInPrint.Cards(body, PaperSize.A4, [(new("School", "4 Tern", "TERN46", "http://x/read"), new(name, "", "reader", ["boat", "gull", "shell"], "", "http://x/read/TERN46?tile=1", "bell"))]);
        var text = Encoding.Latin1.GetString(body.ToArray());
        text.ShouldStartWith("%PDF");
        text.Split("/FontFile2").Length.ShouldBeGreaterThan(2);
    }

    [Fact]
    public void A_letter_is_filled_in_for_each_reader()
    {
        var words = LetterWords.Usual.With(new Dictionary<string, string> { ["{reader}"] = "Ana", ["{code}"] = "ABCD", ["{class}"] = "4 Tern", ["{school}"] = "S", ["{address}"] = "http://x", ["{until}"] = "1 May", ["{teacher}"] = "T" });
        words.Body.ShouldContain("Ana reads with us in 4 Tern");
        words.Body.ShouldNotContain("{");
        words.Title.ShouldBe("How to follow Ana's reading");
    }

    [Fact]
    public void Nobody_makes_an_empty_page_and_not_a_failure()
    {
        using var body = new MemoryStream();
        SignInPrint.List(body, PaperSize.Letter, []);
        body.Length.ShouldBeGreaterThan(100);
    }
}
