using System.Text.Json.Serialization;

namespace DeepCurrent.Core.Papers;

/// <summary>What kind of file a paper is.</summary>
public enum PaperKind
{
    Pdf,
    Png,
    Jpeg,
}

/// <summary>With what something was drawn.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<Pen>))]
public enum Pen
{
    /// <summary>A fine line, to write with.</summary>
    Fine,

    /// <summary>A broad one that lets what is beneath show, to mark with.</summary>
    Broad,
}

/// <summary>One line on a paper.</summary>
/// <param name="Id">Made by the page.</param>
/// <param name="Page">From 0.</param>
/// <param name="Points">Across and down in turn, each 0 to 1 of the page.</param>
/// <param name="Gone">It was rubbed out, and stays so.</param>
public sealed record Stroke(Guid Id, int Page, Pen Pen, IReadOnlyList<double> Points, bool Gone = false);

/// <summary>Papers that go with an assignment, and what readers draw on them.</summary>
public static class Paper
{
    public const int LargestFile = 10_000_000,
        MostOfAssignment = 5,
        MostBeforehand = 20,
        LongestName = 120,
        MostStrokes = 2000,
        MostPoints = 2000;

    /// <summary>How long a paper is kept that was added beforehand and given with nothing.</summary>
    public static readonly TimeSpan KeptBeforehand = TimeSpan.FromDays(1);

    private const int MostPages = 200;

    /// <summary>What a file is by how it begins; null where it is none of the kinds.</summary>
    public static PaperKind? KindOf(ReadOnlySpan<byte> file) =>
        file.StartsWith("%PDF-"u8) ? PaperKind.Pdf
        : file.StartsWith((ReadOnlySpan<byte>)[0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A]) ? PaperKind.Png
        : file.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xD8, 0xFF]) ? PaperKind.Jpeg
        : null;

    /// <summary>The type a browser is told.</summary>
    public static string TypeOf(PaperKind kind) =>
        kind switch
        {
            PaperKind.Pdf => "application/pdf",
            PaperKind.Png => "image/png",
            _ => "image/jpeg",
        };

    /// <summary>Whether strokes can be on a paper: not too many, each on a page and within it.</summary>
    public static bool Fits(IReadOnlyList<Stroke> strokes) =>
        strokes.Count <= MostStrokes
        && strokes.All(s =>
            s is not null
            && s.Page is >= 0 and < MostPages
            && s.Points is { Count: >= 2 and <= 2 * MostPoints }
            && s.Points.Count % 2 == 0
            && s.Points.All(p => p is >= 0 and <= 1)
        );

    /// <summary>What two devices drew, together: each stroke once, rubbed out where either rubbed it out.</summary>
    public static IReadOnlyList<Stroke> Joined(IReadOnlyList<Stroke> here, IReadOnlyList<Stroke> there) =>
        [
            .. here.Concat(there)
                .GroupBy(s => s.Id)
                .Select(g => g.First() with { Gone = g.Any(s => s.Gone) })
                .Take(MostStrokes),
        ];
}
