using System.Globalization;
using System.IO.Compression;
using CsvHelper;
using CsvHelper.Configuration;
using DeepCurrent.Formats.Tables;

namespace DeepCurrent.Formats.OneRoster;

/// <summary>How far one reader is with a task, in the standard's own words.</summary>
public enum ScoreStatus
{
    NotSubmitted,
    Submitted,
    PartiallyGraded,
    FullyGraded,
    Exempt,
}

/// <summary>One task of a class that has a score.</summary>
/// <param name="ClassId">The class's id in the district's roster.</param>
/// <param name="Most">Points it is worth.</param>
public sealed record LineItem(
    string Id,
    string Title,
    DateOnly AssignedOn,
    DateOnly? DueOn,
    string ClassId,
    string SchoolId,
    string SessionId,
    double Most
);

/// <summary>One reader's score for it.</summary>
/// <param name="ReaderId">The reader's id in the district's roster.</param>
/// <param name="Score">Points; null while there is none.</param>
/// <param name="On">The day it was scored, or is looked at.</param>
public sealed record ItemResult(
    string Id,
    string LineItemId,
    string ReaderId,
    ScoreStatus Status,
    double? Score,
    DateOnly On,
    bool Late,
    string ClassId
);

/// <param name="Source">Code of the system it comes from.</param>
public sealed record ResultsFile(string Source, IReadOnlyList<LineItem> Items, IReadOnlyList<ItemResult> Results);

/// <summary>Scores for a district's gradebook: line items and results in the OneRoster 1.2 CSV binding, whole, and read
/// back.</summary>
/// <remarks>1EdTech, OneRoster 1.2 CSV Binding, gradebook service.</remarks>
public static class OneRosterResults
{
    private const long Largest = 200L << 20;
    private const string Category = "reading";

    private static readonly string[] Parts = ["categories", "lineItems", "results"];

    private static readonly IReadOnlyDictionary<ScoreStatus, string> Words = new Dictionary<ScoreStatus, string>
    {
        [ScoreStatus.NotSubmitted] = "not submitted",
        [ScoreStatus.Submitted] = "submitted",
        [ScoreStatus.PartiallyGraded] = "partially graded",
        [ScoreStatus.FullyGraded] = "fully graded",
        [ScoreStatus.Exempt] = "exempt",
    };

    public static byte[] Write(ResultsFile file)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            OneRosterTable.Manifest.Write(zip, OneRosterWriter.ManifestOf(file.Source, Parts));
            OneRosterTable.Categories.Write(
                zip,
                [
                    [("sourcedId", Category), ("title", "Reading"), ("weight", 100)],
                ]
            );
            OneRosterTable.LineItems.Write(zip, file.Items.Select(Row));
            OneRosterTable.Results.Write(zip, file.Results.Select(Row));
        }
        return stream.ToArray();
    }

    private static (string, object?)[] Row(LineItem i) =>
        [
            ("sourcedId", i.Id),
            ("title", i.Title),
            ("assignDate", Day(i.AssignedOn)),
            // The standard wants a day; what is never late is due by the day it was given.
            ("dueDate", Day(i.DueOn ?? i.AssignedOn)),
            ("classSourcedId", i.ClassId),
            ("categorySourcedId", Category),
            ("gradingPeriodSourcedId", i.SessionId),
            ("academicSessionSourcedId", i.SessionId),
            ("schoolSourcedId", i.SchoolId),
            ("resultValueMin", 0),
            ("resultValueMax", i.Most),
        ];

    private static (string, object?)[] Row(ItemResult r) =>
        [
            ("sourcedId", r.Id),
            ("lineItemSourcedId", r.LineItemId),
            ("studentSourcedId", r.ReaderId),
            ("scoreStatus", Words[r.Status]),
            ("score", r.Score),
            ("scoreDate", Day(r.On)),
            ("classSourcedId", r.ClassId),
            ("late", r.Late ? "true" : "false"),
            ("missing", r.Status is ScoreStatus.NotSubmitted && r.Late ? "true" : "false"),
        ];

    private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    /// <summary>Reads what such a file holds.</summary>
    /// <exception cref="Unreadable">No zip, or not the files the binding asks for.</exception>
    public static ResultsFile Read(byte[] bytes) => Untrusted.Guarded(() => ReadAll(bytes));

    private static ResultsFile ReadAll(byte[] bytes)
    {
        using var zip = TableFile.OpenZip(bytes);
        var manifest = Rows(zip, "manifest").ToDictionary(r => r["propertyName"], r => r["value"]);
        return new(
            manifest.GetValueOrDefault("source.systemCode", ""),
            [
                .. Rows(zip, "lineItems")
                    .Select(r => new LineItem(
                        r["sourcedId"],
                        r["title"],
                        DayOf(r["assignDate"]),
                        DayOf(r["dueDate"]),
                        r["classSourcedId"],
                        r["schoolSourcedId"],
                        r["academicSessionSourcedId"],
                        Number(r["resultValueMax"]) ?? 0
                    )),
            ],
            [
                .. Rows(zip, "results")
                    .Select(r => new ItemResult(
                        r["sourcedId"],
                        r["lineItemSourcedId"],
                        r["studentSourcedId"],
                        Words.First(w => w.Value == r["scoreStatus"]).Key,
                        Number(r["score"]),
                        DayOf(r["scoreDate"]),
                        r["late"] == "true",
                        r["classSourcedId"]
                    )),
            ]
        );
    }

    private static List<Dictionary<string, string>> Rows(ZipArchive zip, string file)
    {
        var entry = zip.GetEntry(file + ".csv")
            ?? throw new Unreadable($"The archive has no {file}.csv. Choose another file.");
        using var text = new StreamReader(ZipGuard.Open(entry, Largest));
        using var csv = new CsvReader(text, new CsvConfiguration(CultureInfo.InvariantCulture));
        csv.Read();
        csv.ReadHeader();
        var head = csv.HeaderRecord ?? [];
        var rows = new List<Dictionary<string, string>>();
        while (csv.Read())
            rows.Add(head.ToDictionary(h => h, h => csv.GetField(h) ?? ""));
        return rows;
    }

    private static DateOnly DayOf(string text) => DateOnly.ParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static double? Number(string text) =>
        text.Length == 0 ? null : double.Parse(text, NumberStyles.Float, CultureInfo.InvariantCulture);
}
