using System.IO.Compression;
using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using ClosedXML.Excel;
using DeepCurrent.Formats.Gradebooks;
using DeepCurrent.Formats.Tables;
using Shouldly;

namespace Formats.Tests;

/// <summary>Gradebooks as other programs read them.</summary>
public sealed partial class GradebookTests
{
    private static GradebookLine Line(string given, double? first = 0.625, string task = "The Ferry Cat") =>
        new(given, "Okafor", "given.o", task, "text", new(2026, 11, 16), null, "released", first, 0.75, 0.75, 2)
        {
            Minutes = 4.25,
            Worth = 20,
        };

    [Fact]
    public void A_csv_has_numbers_as_numbers_and_nothing_a_spreadsheet_would_run()
    {
        var bytes = Gradebook.Csv(new("4 Tern", [Line("Zoë"), Line("=1+1", null)]));
        bytes.AsSpan().StartsWith(Encoding.UTF8.GetPreamble()).ShouldBeTrue();
        var rows = TableFile.Read(bytes).Rows;
        rows[0][8].ShouldBe("First score, %");
        rows[1].Take(2).ShouldBe(["Zoë", "Okafor"]);
        rows[1][8].ShouldBe("62.5");
        rows[2][8].ShouldBe("");
        rows[0].TakeLast(2).ShouldBe(["Worth", "Points, latest"]);
        rows[1].TakeLast(2).ShouldBe(["20", "15"]);
        Encoding.UTF8.GetString(bytes).ShouldContain("'=1+1");
    }

    [Fact]
    public void A_spreadsheet_has_a_sheet_a_class_real_numbers_and_heads_that_stay()
    {
        var name = new string('x', 40);
        using var book = new XLWorkbook(
            new MemoryStream(
                Gradebook.Xlsx([new("4 [Tern]: a/b", [Line("Mina")]), new(name, []), new(name, [Line("Owen")])])
            )
        );
        book.Worksheets.Select(s => s.Name).ShouldBe(["4 -Tern-- a-b", name[..31], $"{name[..29]} 2"]);
        var sheet = book.Worksheets.First();
        sheet.Cell(2, 9).DataType.ShouldBe(XLDataType.Number);
        sheet.Cell(2, 9).GetDouble().ShouldBe(62.5);
        sheet.Cell(2, 12).GetDouble().ShouldBe(2);
        sheet.SheetView.SplitRow.ShouldBe(1);
    }

    [Fact]
    public void A_zip_has_a_file_a_class_and_classes_of_one_name_are_told_apart()
    {
        using var zip = new ZipArchive(
            new MemoryStream(Gradebook.Zip([new("4/Tern", [Line("Mina")]), new("4/Tern", [])]))
        );
        zip.Entries.Select(e => e.FullName).ShouldBe(["4-Tern.csv", "4-Tern 2.csv"]);
    }

    private static readonly DateTimeOffset At = new(2026, 11, 20, 9, 30, 0, TimeSpan.FromHours(1));

    private static ReaderDeed Deed(DeedKind kind, double? share = null, bool? success = null) =>
        new(
            Guid.NewGuid(),
            kind,
            "r1",
            "tasks/t1",
            "The Ferry Cat",
            kind is DeedKind.Answered ? "tasks/t1" : null,
            share,
            success,
            TimeSpan.FromSeconds(61.5),
            At
        );

    [Fact]
    public void Statements_hold_to_the_standard()
    {
        var bytes = Xapi.Write(
            "https://school.example/schools/s1",
            "en",
            [Deed(DeedKind.Read), Deed(DeedKind.HandedIn, share: 2 / 3.0), Deed(DeedKind.Answered, success: false)]
        );
        var all = JsonNode.Parse(bytes)!.AsArray();
        all.Count.ShouldBe(3);
        foreach (var statement in all)
            Holds(statement!);
        ((double)all[1]!["result"]!["score"]!["scaled"]!).ShouldBe(0.6667);
        ((bool)all[2]!["result"]!["success"]!).ShouldBeFalse();
        all[2]!["result"]!["completion"].ShouldBeNull();
        ((string)all[0]!["timestamp"]!).ShouldBe("2026-11-20T08:30:00.000Z");
        Encoding.UTF8.GetString(bytes).ShouldNotContain("null");
    }

    [GeneratedRegex(@"^P(\d+D)?(T(\d+H)?(\d+M)?(\d+(\.\d{1,2})?S)?)?$")]
    private static partial Regex Duration();

    /// <summary>The rules of xAPI 1.0.3, part two, for what is written here: required properties, IRIs, language maps,
    /// the range of a scaled score, ISO 8601 durations, and no property beyond those the standard has.</summary>
    private static void Holds(JsonNode statement)
    {
        string[] allowed = ["id", "actor", "verb", "object", "result", "context", "timestamp"];
        statement.AsObject().Select(p => p.Key).Except(allowed).ShouldBeEmpty();
        Guid.TryParse((string)statement["id"]!, out _).ShouldBeTrue();
        var account = statement["actor"]!["account"]!;
        Iri(account["homePage"]);
        ((string)account["name"]!).ShouldNotBeEmpty();
        ((string)statement["actor"]!["objectType"]!).ShouldBe("Agent");
        Iri(statement["verb"]!["id"]);
        LanguageMap(statement["verb"]!["display"]!);
        ((string)statement["object"]!["objectType"]!).ShouldBe("Activity");
        Iri(statement["object"]!["id"]);
        Iri(statement["object"]!["definition"]!["type"]);
        LanguageMap(statement["object"]!["definition"]!["name"]!);
        if (statement["result"] is { } result)
        {
            if (result["score"]?["scaled"] is { } scaled)
                ((double)scaled).ShouldBeInRange(-1, 1);
            if (result["duration"] is { } duration)
                Duration().IsMatch((string)duration!).ShouldBeTrue((string)duration!);
        }
        if (statement["context"]?["contextActivities"]?["parent"] is JsonArray parents)
            foreach (var parent in parents)
                Iri(parent!["id"]);
        DateTimeOffset.TryParse((string)statement["timestamp"]!, out _).ShouldBeTrue();
    }

    private static void Iri(JsonNode? iri) =>
        Uri.TryCreate((string)iri!, UriKind.Absolute, out _).ShouldBeTrue($"{iri}");

    private static void LanguageMap(JsonNode map) =>
        map.AsObject()
            .ShouldAllBe(p => Regex.IsMatch(p.Key, "^[a-z]{2}(-[A-Za-z]+)*$") && ((string)p.Value!).Length > 0);
}
