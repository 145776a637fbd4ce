using System.Globalization;
using System.IO.Compression;
using System.Text;
using DeepCurrent.Formats.Tables;

namespace DeepCurrent.Formats.Gradebooks;

/// <summary>One reader's work at one task.</summary>
/// <param name="First">Share right at the first try of the first round, 0 to 1; null while it has no score.</param>
/// <param name="Best">Of all rounds.</param>
/// <param name="Latest">Of the last round that has a score.</param>
/// <param name="Attempts">Rounds handed in.</param>
public sealed record GradebookLine(
    string GivenName,
    string FamilyName,
    string UserName,
    string Task,
    string Kind,
    DateOnly AssignedOn,
    DateOnly? DueOn,
    string State,
    double? First,
    double? Best,
    double? Latest,
    int Attempts
)
{
    public required double Minutes { get; init; }

    /// <summary>Points of a full score.</summary>
    public required int Worth { get; init; }
}

/// <summary>A class's gradebook.</summary>
public sealed record GradebookClass(string Name, IReadOnlyList<GradebookLine> Lines);

/// <summary>Gradebooks as files that spreadsheets and other gradebooks read: scores in percent, as real
/// numbers.</summary>
public static class Gradebook
{
    private static readonly string[] Heading =
    [
        "Given name",
        "Family name",
        "User name",
        "Task",
        "Kind",
        "Assigned",
        "Due",
        "State",
        "First score, %",
        "Best score, %",
        "Latest score, %",
        "Attempts",
        "Active minutes",
        "Worth",
        "Points, latest",
    ];

    /// <summary>One class as CSV, with the mark by which spreadsheets know UTF-8.</summary>
    public static byte[] Csv(GradebookClass of) =>
        [.. Encoding.UTF8.GetPreamble(), .. Encoding.UTF8.GetBytes(CsvFiles.Write(Heading, Rows(of)))];

    /// <summary>A sheet a class, heads frozen.</summary>
    public static byte[] Xlsx(IReadOnlyList<GradebookClass> classes) =>
        TableFile.WriteXlsx([.. classes.Select(c => new Sheet(c.Name, Heading, Rows(c)))]);

    /// <summary>A CSV a class in one ZIP; classes of one name are told apart by a number.</summary>
    public static byte[] Zip(IReadOnlyList<GradebookClass> classes)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            var names = SheetNames.Apart([.. classes.Select(c => FileName(c.Name))], longest: 100);
            foreach (var (of, name) in classes.Zip(names))
            {
                using var entry = zip.CreateEntry($"{name}.csv", CompressionLevel.Fastest).Open();
                entry.Write(Csv(of));
            }
        }
        return stream.ToArray();
    }

    private static IEnumerable<IReadOnlyList<object?>> Rows(GradebookClass of) =>
        of.Lines.Select(l =>
            (IReadOnlyList<object?>)
                [
                    l.GivenName,
                    l.FamilyName,
                    l.UserName,
                    l.Task,
                    l.Kind,
                    Day(l.AssignedOn),
                    l.DueOn is { } due ? Day(due) : null,
                    l.State,
                    Percent(l.First),
                    Percent(l.Best),
                    Percent(l.Latest),
                    l.Attempts,
                    Math.Round(l.Minutes, 1),
                    l.Worth,
                    l.Latest is { } latest ? Math.Round(latest * l.Worth, 1) : null,
                ]
        );

    private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static double? Percent(double? share) => share is { } s ? Math.Round(100 * s, 1) : null;

    private static string FileName(string name) =>
        string.Concat(
            name.Select(c => Array.IndexOf(Path.GetInvalidFileNameChars(), c) >= 0 || c is '\\' or ':' ? '-' : c)
        );
}
