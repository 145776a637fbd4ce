using System.Text.RegularExpressions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Formats.Content;
using DocumentFormat.OpenXml;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Wordprocessing;
using SkiaSharp;
using A = DocumentFormat.OpenXml.Drawing;
using Pic = DocumentFormat.OpenXml.Drawing.Pictures;
using Place = DocumentFormat.OpenXml.Drawing.Wordprocessing;

namespace DeepCurrent.Formats.Texts;

/// <summary>Writes one version of a text as a DOCX document, with its headings and its pictures.</summary>
internal static class DocxWriter
{
    // Office counts lengths in 914,400ths of an inch.
    private const long Widest = 6 * 914_400L,
        Point = 914_400L / 96;

    public static byte[] Write(TextFolder text, VersionFile v, IReadOnlyList<DraftPicture> pictures)
    {
        using var bytes = new MemoryStream();
        using (var document = WordprocessingDocument.Create(bytes, WordprocessingDocumentType.Document))
        {
            document.PackageProperties.Title = text.Title;
            var main = document.AddMainDocumentPart();
            main.AddNewPart<StyleDefinitionsPart>().Styles = new Styles(
                Named("Title", "Title", 40),
                Named("Heading1", "heading 1", 30)
            );
            main.Document = new Document(
                new Body([
                    (OpenXmlElement)Paragraph(text.Title, "Title"),
                    .. v
                        .Pages.SelectMany(p => p)
                        .Select(p =>
                            Paragraphs.PictureOf(p) is { } shown ? Picture(main, shown, pictures)
                            : Paragraphs.IsHeading(p) ? Paragraph(p.TrimStart('#', ' '), "Heading1")
                            : Paragraphs.IsTable(p) ? (OpenXmlElement)Table(Paragraphs.Rows(p))
                            : Paragraph(p, null)
                        ),
                ])
            );
        }
        return bytes.ToArray();
    }

    private static Style Named(string id, string name, int halfPoints) =>
        new(new StyleName { Val = name }, new StyleRunProperties(new Bold(), new FontSize { Val = $"{halfPoints}" }))
        {
            Type = StyleValues.Paragraph,
            StyleId = id,
        };

    private static Paragraph Paragraph(string text, string? style)
    {
        var paragraph = style is null
            ? new Paragraph()
            : new Paragraph(new ParagraphProperties(new ParagraphStyleId { Val = style }));
        var at = 0;
        void Add(string said, OpenXmlElement? mark)
        {
            foreach (var (line, i) in said.Split('\n').Select((l, i) => (l, i)))
            {
                if (i > 0)
                    paragraph.Append(new Run(new Break()));
                if (line.Length > 0)
                    paragraph.Append(
                        new Run([
                            .. mark is null
                                ? Array.Empty<OpenXmlElement>()
                                : [new RunProperties((OpenXmlElement)mark.CloneNode(true))],
                            new Text(line) { Space = SpaceProcessingModeValues.Preserve },
                        ])
                    );
            }
        }
        foreach (Match m in Paragraphs.Emphasis().Matches(text))
        {
            Add(text[at..m.Index], null);
            Add(
                m.Groups[1].Success ? m.Groups[1].Value : m.Groups[2].Value,
                m.Groups[1].Success ? new Bold() : new Italic()
            );
            at = m.Index + m.Length;
        }
        Add(text[at..], null);
        return paragraph;
    }

    private static Table Table(IReadOnlyList<IReadOnlyList<string>> rows)
    {
        var lines = new TableBorders(
            new TopBorder { Val = BorderValues.Single },
            new BottomBorder { Val = BorderValues.Single },
            new InsideHorizontalBorder { Val = BorderValues.Single }
        );
        var columns = Enumerable.Range(0, rows.Max(r => r.Count)).Select(_ => new GridColumn());
        return new([
            new TableProperties(lines),
            new TableGrid(columns),
            .. rows.Select(r => new TableRow(r.Select(c => new TableCell(Paragraph(c, null))))),
        ]);
    }

    /// <summary>A picture in a line of its own, with its words as alternative text; the words alone where it is not
    /// there.</summary>
    private static Paragraph Picture(
        MainDocumentPart main,
        (string Alt, string Name) shown,
        IReadOnlyList<DraftPicture> pictures
    )
    {
        if (
            pictures.FirstOrDefault(p => p.Name == shown.Name) is not { } picture
            || SKBitmap.DecodeBounds(picture.Bytes) is not { Width: > 0, Height: > 0 } size
        )
            return Paragraph($"[{shown.Alt}]", null);
        var part = main.AddImagePart(
            TextWriters.TypeOf(picture.Name) == "image/png" ? ImagePartType.Png : ImagePartType.Jpeg
        );
        part.FeedData(new MemoryStream(picture.Bytes));
        var number = (uint)main.ImageParts.Count();
        var wide = Math.Min(Widest, size.Width * Point);
        var high = wide * size.Height / size.Width;
        var drawn = Drawn(picture.Name, main.GetIdOfPart(part), number, wide, high);
        return new Paragraph(
            new Run(
                new Drawing(
                    new Place.Inline(
                        new Place.Extent { Cx = wide, Cy = high },
                        new Place.DocProperties
                        {
                            Id = number,
                            Name = picture.Name,
                            Description = shown.Alt,
                        },
                        new A.Graphic(
                            new A.GraphicData(drawn)
                            {
                                Uri = "http://schemas.openxmlformats.org/drawingml/2006/picture",
                            }
                        )
                    )
                )
            )
        );
    }

    private static Pic.Picture Drawn(string name, string part, uint number, long wide, long high) =>
        new(
            new Pic.NonVisualPictureProperties(
                new Pic.NonVisualDrawingProperties { Id = number, Name = name },
                new Pic.NonVisualPictureDrawingProperties()
            ),
            new Pic.BlipFill(new A.Blip { Embed = part }, new A.Stretch(new A.FillRectangle())),
            new Pic.ShapeProperties(
                new A.Transform2D(new A.Offset { X = 0, Y = 0 }, new A.Extents { Cx = wide, Cy = high }),
                new A.PresetGeometry(new A.AdjustValueList()) { Preset = A.ShapeTypeValues.Rectangle }
            )
        );
}
