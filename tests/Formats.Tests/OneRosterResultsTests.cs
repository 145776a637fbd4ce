using System.IO.Compression;
using DeepCurrent.Formats;
using DeepCurrent.Formats.OneRoster;
using Shouldly;

namespace Formats.Tests;

/// <summary>Scores for a district's gradebook, as the standard has them.</summary>
public sealed class OneRosterResultsTests
{
    private static readonly ResultsFile File = new(
        "deepcurrent-s1",
        [
            new("t1-c1", "The Ferry Cat, “part 1”", new(2026, 11, 2), new(2026, 11, 6), "c1", "s1", "y1", 100),
            new("t2-c1", "Tides", new(2026, 11, 9), new(2026, 11, 9), "c1", "s1", "y1", 20),
        ],
        [
            new("k1", "t1-c1", "r1", ScoreStatus.FullyGraded, 62.5, new(2026, 11, 5), false, "c1"),
            new("k2", "t1-c1", "r2", ScoreStatus.NotSubmitted, null, new(2026, 11, 20), true, "c1"),
            new("k3", "t2-c1", "r1", ScoreStatus.Submitted, null, new(2026, 11, 9), false, "c1"),
        ]
    );

    [Fact]
    public void What_is_written_reads_back_the_same()
    {
        var read = OneRosterResults.Read(OneRosterResults.Write(File));
        read.Source.ShouldBe(File.Source);
        read.Items.ShouldBe(File.Items);
        read.Results.ShouldBe(File.Results);
    }

    [Fact]
    public void Files_have_the_columns_of_the_binding_and_the_manifest_names_every_file()
    {
        using var zip = new ZipArchive(new MemoryStream(OneRosterResults.Write(File)));
        string[] Lines(string file)
        {
            using var text = new StreamReader(zip.GetEntry($"{file}.csv")!.Open());
            return text.ReadToEnd().Split("\r\n", StringSplitOptions.RemoveEmptyEntries);
        }
        Lines("lineItems")[0]
            .ShouldBe(
                "sourcedId,status,dateLastModified,title,description,assignDate,dueDate,classSourcedId,categorySourcedId,"
                    + "gradingPeriodSourcedId,resultValueMin,resultValueMax,scoreScaleSourcedId,academicSessionSourcedId,"
                    + "schoolSourcedId"
            );
        Lines("results")[0]
            .ShouldBe(
                "sourcedId,status,dateLastModified,lineItemSourcedId,studentSourcedId,scoreStatus,score,scoreDate,comment,"
                    + "scoreScaleSourcedId,textScore,classSourcedId,inProgress,incomplete,late,missing"
            );
        Lines("results")
            .ShouldContain(l => l.StartsWith("k2,,,t1-c1,r2,not submitted,,2026-11-20", StringComparison.Ordinal));
        Lines("results").Single(l => l.StartsWith("k2", StringComparison.Ordinal)).ShouldEndWith("true,true");
        var manifest = Lines("manifest");
        foreach (var file in new[] { "categories", "lineItems", "results" })
            manifest.ShouldContain($"file.{file},bulk");
        foreach (var file in new[] { "users", "classes", "enrollments", "demographics" })
            manifest.ShouldContain($"file.{file},absent");
        manifest.Length.ShouldBe(manifest.Distinct().Count());
    }

    [Fact]
    public void What_is_no_such_archive_says_so()
    {
        Should.Throw<Unreadable>(() => OneRosterResults.Read([1, 2, 3]));
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
            zip.CreateEntry("orgs.csv");
        Should.Throw<Unreadable>(() => OneRosterResults.Read(stream.ToArray())).Message.ShouldContain("manifest");
    }
}
