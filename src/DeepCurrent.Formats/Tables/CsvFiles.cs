using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;

namespace DeepCurrent.Formats.Tables;

public sealed record RosterLine(
    string GivenName,
    string FamilyName,
    int Grade,
    string Group,
    double Depth,
    double From,
    double To,
    string LevelSet,
    double? FirstTryPercent,
    DateTimeOffset? LastRead,
    int Readings
);

public sealed record HistoryLine(
    string Text,
    string Version,
    double? Depth,
    string State,
    DateTimeOffset AssignedAt,
    DateTimeOffset? HandedInAt,
    double Minutes,
    double? ScorePercent,
    double? DepthBefore,
    double? DepthAfter
);

/// <summary>CSV as spreadsheets read it (RFC 4180).</summary>
public static class CsvFiles
{
    /// <summary>A member of a closed set in words: <c>UnderWay</c> is "under way".</summary>
    public static string Word(Enum member) =>
        string.Concat(member.ToString().Select((c, i) => i > 0 && char.IsUpper(c) ? $" {c}" : $"{c}"))
            .ToLowerInvariant();

    /// <summary>A heading and a line for each row. Values a spreadsheet would run as a formula are quoted with an
    /// apostrophe.</summary>
    public static string Write<T>(IEnumerable<T> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture) { NewLine = "\r\n" };
        using var csv = new CsvWriter(
            text,
            new CsvConfiguration(CultureInfo.InvariantCulture) { InjectionOptions = InjectionOptions.Escape }
        );
        csv.Context.TypeConverterOptionsCache.GetOptions<DateTimeOffset?>().Formats = ["yyyy-MM-ddTHH:mm:sszzz"];
        csv.Context.TypeConverterOptionsCache.GetOptions<DateTimeOffset>().Formats = ["yyyy-MM-ddTHH:mm:sszzz"];
        csv.WriteRecords(rows);
        csv.Flush();
        return text.ToString();
    }

    /// <summary>Rows of plain values under their headings; numbers stay numbers, and text that a spreadsheet would run
    /// is quoted with an apostrophe.</summary>
    public static string Write(IReadOnlyList<string> heading, IEnumerable<IReadOnlyList<object?>> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture) { NewLine = "\r\n" };
        using var csv = new CsvWriter(text, CultureInfo.InvariantCulture);
        foreach (var name in heading)
            csv.WriteField(name);
        csv.NextRecord();
        foreach (var row in rows)
        {
            foreach (var value in row)
                csv.WriteField(
                    value is string s && s.Length > 0 && WouldRun(s[0])
                        ? "'" + s
                        : Convert.ToString(value, CultureInfo.InvariantCulture)
                );
            csv.NextRecord();
        }
        csv.Flush();
        return text.ToString();
    }

    /// <summary>True for a cell that begins with an apostrophe put there against running, which reading takes off
    /// again.</summary>
    internal static bool IsQuoted(string cell) => cell.Length > 1 && cell[0] == '\'' && WouldRun(cell[1]);

    /// <summary>True for a first sign at which spreadsheets take a cell for a formula.</summary>
    public static bool WouldRun(char first) => first is '=' or '+' or '-' or '@' or '\t' or '\r';
}
