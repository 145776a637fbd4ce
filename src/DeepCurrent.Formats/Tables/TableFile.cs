using System.Globalization;
using System.IO.Compression;
using ClosedXML.Excel;
using CsvHelper;
using CsvHelper.Configuration;

namespace DeepCurrent.Formats.Tables;

/// <summary>A table as it was read: rows of cells, all as text.</summary>
/// <param name="Kind">CSV with its encoding, or XLSX.</param>
/// <param name="Notes">What a person should know, such as formulas whose last value was taken.</param>
public sealed record Table(IReadOnlyList<IReadOnlyList<string>> Rows, string Kind, IReadOnlyList<Message> Notes);

/// <summary>A sheet of a spreadsheet.</summary>
public sealed record Sheet(string Name, IReadOnlyList<string> Heading, IEnumerable<IReadOnlyList<object?>> Rows);

/// <summary>Reads and writes tables as CSV and XLSX.</summary>
public static class TableFile
{
    public const int MostRows = 5_000,
        MostColumns = 60,
        LongestCell = 500;
    private const long LargestSheet = 64 << 20;

    /// <exception cref="Unreadable">Neither CSV nor XLSX, or too large.</exception>
    public static Table Read(byte[] bytes) =>
        bytes.AsSpan().StartsWith("PK"u8) ? Xlsx(bytes)
        : bytes.AsSpan().StartsWith<byte>([0xD0, 0xCF, 0x11, 0xE0])
            ? throw new Unreadable(
                $"This is a spreadsheet in an old format. Save it as XLSX or CSV and choose it again."
            )
        : Csv(bytes);

    /// <summary>A spreadsheet with one sheet of rows. Every cell is text or a number, never a formula.</summary>
    /// <param name="howTo">Lines for a second sheet that says how to fill in the first.</param>
    public static byte[] WriteXlsx(
        string sheet,
        IReadOnlyList<string> heading,
        IEnumerable<IReadOnlyList<object?>> rows,
        IReadOnlyList<string>? howTo = null
    )
    {
        using var book = new XLWorkbook();
        Add(book, new(sheet, heading, rows), sheet);
        if (howTo is not null)
        {
            var notes = book.AddWorksheet("How to fill this in");
            notes.Column(1).Width = 110;
            for (var i = 0; i < howTo.Count; i++)
                notes.Cell(i + 1, 1).SetValue(howTo[i]);
        }
        using var stream = new MemoryStream();
        book.SaveAs(stream);
        return stream.ToArray();
    }

    /// <summary>A spreadsheet with several sheets. Every cell is text or a number, never a formula.</summary>
    public static byte[] WriteXlsx(IReadOnlyList<Sheet> sheets)
    {
        using var book = new XLWorkbook();
        var names = SheetNames.Apart([.. sheets.Select(s => SheetNames.Of(s.Name))]);
        foreach (var (sheet, name) in sheets.Zip(names))
            Add(book, sheet, name);
        using var stream = new MemoryStream();
        book.SaveAs(stream);
        return stream.ToArray();
    }

    private static void Add(XLWorkbook book, Sheet sheet, string name)
    {
        var page = book.AddWorksheet(name.Length > SheetNames.Longest ? name[..SheetNames.Longest] : name);
        for (var c = 0; c < sheet.Heading.Count; c++)
        {
            page.Cell(1, c + 1).SetValue(sheet.Heading[c]).Style.Font.SetBold();
            page.Column(c + 1).Width = Math.Max(12, sheet.Heading[c].Length + 4);
        }
        var r = 2;
        foreach (var row in sheet.Rows)
        {
            for (var c = 0; c < row.Count; c++)
                Fill(page.Cell(r, c + 1), row[c]);
            r++;
        }
        page.SheetView.FreezeRows(1);
    }

    private static void Fill(IXLCell cell, object? value)
    {
        if (value is double number)
            cell.SetValue(number);
        else if (value is int whole)
            cell.SetValue(whole);
        else if (value?.ToString() is { Length: > 0 } text)
        {
            cell.DataType = XLDataType.Text;
            cell.SetValue(text);
            cell.Style.NumberFormat.Format = "@";
        }
    }

    private static Table Csv(byte[] bytes)
    {
        var text = Decoding.Read(bytes, out var encoding);
        var delimiter = Delimiter(text);
        using var parser = new CsvParser(new StringReader(text), Settings(delimiter));
        var rows = new List<IReadOnlyList<string>>();
        try
        {
            while (parser.Read())
            {
                if (rows.Count > MostRows)
                    throw TooMany();
                rows.Add([.. (parser.Record ?? []).Take(MostColumns).Select(Cell)]);
            }
        }
        catch (CsvHelperException)
        {
            throw new Unreadable($"Line {rows.Count + 1} cannot be read as CSV. Look for an open quotation mark.");
        }
        return new(Trimmed(rows), $"CSV, {encoding}", []);
    }

    internal static CsvConfiguration Settings(string delimiter) =>
        new(CultureInfo.InvariantCulture)
        {
            Delimiter = delimiter,
            BadDataFound = null,
            MissingFieldFound = null,
            HeaderValidated = null,
            IgnoreBlankLines = false,
            TrimOptions = TrimOptions.Trim,
            MaxFieldSize = 1 << 20,
            BufferSize = 1 << 16,
        };

    private static Table Xlsx(byte[] bytes)
    {
        using (var zip = OpenZip(bytes))
            ZipGuard.Check(zip, LargestSheet);
        try
        {
            using var book = new XLWorkbook(XlsxStyles.Sure(bytes), XLEventTracking.Disabled);
            var page = book.Worksheets.First();
            var used = page.RangeUsed();
            if (used is null)
                return new([], "XLSX", []);
            if (used.RowCount() > MostRows + 1)
                throw TooMany();
            var formulas = 0;
            var rows = new List<IReadOnlyList<string>>();
            foreach (var row in used.Rows())
            {
                var cells = new List<string>();
                foreach (var cell in row.Cells(1, Math.Min(used.ColumnCount(), MostColumns)))
                {
                    if (cell.HasFormula)
                        formulas++;
                    cells.Add(Cell(cell.HasFormula ? Text(cell.CachedValue) : Text(cell.Value)));
                }
                rows.Add(cells);
            }
            return new(
                Trimmed(rows),
                "XLSX",
                formulas == 0 ? [] : [$"{formulas:count} cells are formulas; their last values were used."]
            );
        }
        catch (Exception e) when (e is not Unreadable and not OutOfMemoryException)
        {
            throw new Unreadable($"This spreadsheet cannot be read. Open it, save it as CSV, and choose that.");
        }
    }

    internal static ZipArchive OpenZip(byte[] bytes)
    {
        try
        {
            var zip = new ZipArchive(new MemoryStream(bytes), ZipArchiveMode.Read);
            // The list of what is in it is read when it is first asked for.
            _ = zip.Entries.Count;
            return zip;
        }
        catch (InvalidDataException)
        {
            throw new Unreadable($"This archive is damaged or incomplete.");
        }
    }

    private static Unreadable TooMany() =>
        new($"A list can have {MostRows} rows at most. Import a larger roster as a OneRoster zip.");

    private static string Text(object? value) =>
        value switch
        {
            null => "",
            double d => d.ToString("0.##########", CultureInfo.InvariantCulture),
            DateTime t => t.ToString(
                t.TimeOfDay == TimeSpan.Zero ? "yyyy-MM-dd" : "yyyy-MM-dd HH:mm",
                CultureInfo.InvariantCulture
            ),
            _ => Convert.ToString(value, CultureInfo.InvariantCulture) ?? "",
        };

    // An apostrophe put before a cell so that no spreadsheet runs it is taken off again.
    private static string Cell(string cell)
    {
        var bare = CsvFiles.IsQuoted(cell) ? cell[1..] : cell;
        return bare.Length > LongestCell ? bare[..LongestCell] : bare;
    }

    private static List<IReadOnlyList<string>> Trimmed(List<IReadOnlyList<string>> rows)
    {
        while (rows.Count > 0 && rows[^1].All(string.IsNullOrWhiteSpace))
            rows.RemoveAt(rows.Count - 1);
        return rows;
    }

    /// <summary>The sign that stands between cells in most of the first lines; what is inside quotation marks does not
    /// count.</summary>
    private static string Delimiter(string text)
    {
        const int looked = 1 << 14;
        const string signs = ",;\t";
        int[] lines = new int[signs.Length],
            seen = new int[signs.Length],
            here = new int[signs.Length];
        var quoted = false;
        foreach (var c in text.Length > looked ? text.AsSpan(0, looked) : text.AsSpan())
        {
            if (c == '"')
                quoted = !quoted;
            else if (quoted)
                continue;
            else if (c == '\n')
                Next();
            else if (signs.IndexOf(c) is var at and >= 0)
                here[at]++;
        }
        Next();
        return signs[Enumerable.Range(0, signs.Length).MaxBy(i => (lines[i], seen[i]))].ToString();

        void Next()
        {
            for (var i = 0; i < here.Length; i++)
            {
                if (here[i] > 0)
                    lines[i]++;
                seen[i] += here[i];
                here[i] = 0;
            }
        }
    }
}
