using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Spreadsheet;

namespace DeepCurrent.Formats.Tables;

/// <summary>Spreadsheets that programs write without styles. The reader takes a number's kind from its style, and would
/// leave such numbers empty.</summary>
internal static class XlsxStyles
{
    /// <summary>The same spreadsheet, with plain styles where it has none.</summary>
    public static Stream Sure(byte[] bytes)
    {
        var file = new MemoryStream();
        file.Write(bytes);
        using (var book = SpreadsheetDocument.Open(file, isEditable: true))
            if (book.WorkbookPart is { WorkbookStylesPart: null } part)
            {
                var styles = part.AddNewPart<WorkbookStylesPart>();
                styles.Stylesheet = new(
                    new Fonts(new Font()),
                    new Fills(new Fill(), new Fill()),
                    new Borders(new Border()),
                    new CellStyleFormats(new CellFormat()),
                    new CellFormats(new CellFormat())
                );
                styles.Stylesheet.Save();
            }
        file.Position = 0;
        return file;
    }
}
