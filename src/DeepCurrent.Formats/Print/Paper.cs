using System.Reflection;
using SkiaSharp;
using SkiaSharp.HarfBuzz;

namespace DeepCurrent.Formats.Print;

public enum PaperSize
{
    A4,
    Letter,
}

/// <summary>A PDF that is written page by page, with the fonts it needs inside it. Sizes are in points.</summary>
public sealed class Paper : IDisposable
{
    public static readonly SKColor Ink = new(0x14, 0x30, 0x3D),
        Soft = new(0x4C, 0x66, 0x72),
        Line = new(0xD9, 0xD2, 0xBF),
        Tint = new(0xD6, 0xE9, 0xEC),
        Overlay = new(0x9C, 0x1C, 0x62);

    // In this order: the first that has a letter draws it.
    private static readonly Lazy<IReadOnlyList<Face>> Regular = new(() =>
        [new("atkinson-latin-400"), new("atkinson-latin-ext-400"), new("dejavu-400"), new("droid-fallback")]
    );
    private static readonly Lazy<IReadOnlyList<Face>> Bold = new(() =>
        [new("atkinson-latin-700"), new("atkinson-latin-ext-700"), new("dejavu-700"), new("droid-fallback")]
    );

    private readonly SKDocument document;
    private readonly SKPaint fill = new() { IsAntialias = true },
        stroke = new() { IsAntialias = true, IsStroke = true };
    private SKCanvas? canvas;

    public Paper(Stream stream, PaperSize size, string title)
    {
        (Width, Height) = size == PaperSize.A4 ? (595.28f, 841.89f) : (612f, 792f);
        document = SKDocument.CreatePdf(
            stream,
            new SKDocumentPdfMetadata
            {
                Title = title,
                Creator = "Deep Current",
                RasterDpi = 150,
            }
        );
    }

    public float Width { get; }

    public float Height { get; }

    public int Pages { get; private set; }

    public void NewPage()
    {
        if (canvas is not null)
            document.EndPage();
        canvas = document.BeginPage(Width, Height);
        Pages++;
    }

    /// <summary>One line of text from its baseline; cut with an ellipsis where it is wider than
    /// <paramref name="most"/>.</summary>
    /// <returns>How wide it came out.</returns>
    public float Text(
        string text,
        float x,
        float y,
        float size,
        bool bold = false,
        SKColor? colour = null,
        float most = float.MaxValue,
        SKTextAlign align = SKTextAlign.Left
    )
    {
        var cut = text;
        while (cut.Length > 1 && Measure(cut, size, bold) > most)
            cut = cut[..^(cut.EndsWith('…') ? 2 : 1)].TrimEnd() + "…";
        var width = Measure(cut, size, bold);
        fill.Color = colour ?? Ink;
        var at = align switch
        {
            SKTextAlign.Center => x - width / 2,
            SKTextAlign.Right => x - width,
            _ => x,
        };
        foreach (var (piece, face) in Runs(cut, bold))
            at += face.Draw(canvas!, piece, at, y, size, fill);
        return width;
    }

    /// <summary>Text in lines of at most <paramref name="width"/>; an empty line in the text is an empty line on
    /// paper.</summary>
    /// <returns>The baseline after the last line.</returns>
    public float Paragraph(string text, float x, float y, float width, float size, float leading, bool bold = false)
    {
        foreach (var source in text.Split('\n'))
        {
            var line = "";
            foreach (var word in source.Split(' '))
            {
                var longer = line.Length == 0 ? word : $"{line} {word}";
                if (line.Length > 0 && Measure(longer, size, bold) > width)
                {
                    Text(line, x, y, size, bold);
                    y += leading;
                    line = word;
                }
                else
                    line = longer;
            }
            Text(line, x, y, size, bold, most: width);
            y += leading;
        }
        return y;
    }

    public void Rule(
        float x1,
        float y1,
        float x2,
        float y2,
        SKColor? colour = null,
        float width = 0.5f,
        bool dashed = false
    )
    {
        stroke.Color = colour ?? Ink;
        stroke.StrokeWidth = width;
        stroke.PathEffect = dashed ? SKPathEffect.CreateDash([3, 3], 0) : null;
        canvas!.DrawLine(x1, y1, x2, y2, stroke);
        stroke.PathEffect = null;
    }

    public void Box(float x, float y, float width, float height, SKColor? back = null, SKColor? edge = null)
    {
        if (back is { } b)
        {
            fill.Color = b;
            canvas!.DrawRect(x, y, width, height, fill);
        }
        if (edge is not { } e)
            return;
        stroke.Color = e;
        stroke.StrokeWidth = 0.75f;
        canvas!.DrawRect(x, y, width, height, stroke);
    }

    /// <summary>A drawing given as an SVG path in a 44 by 44 field.</summary>
    public void Picture(string path, float x, float y, float size)
    {
        using var shape = SKPath.ParseSvgPathData(path);
        canvas!.Save();
        canvas.Translate(x, y);
        canvas.Scale(size / 44);
        fill.Color = Tint;
        canvas.DrawPath(shape, fill);
        stroke.Color = Ink;
        stroke.StrokeWidth = 1.8f;
        stroke.StrokeJoin = SKStrokeJoin.Round;
        canvas.DrawPath(shape, stroke);
        canvas.Restore();
    }

    /// <summary>A QR code as one path, with its quiet zone inside the square.</summary>
    public void Qr(string text, float x, float y, float size)
    {
        using var maker = new QRCoder.QRCodeGenerator();
        using var code = maker.CreateQrCode(text, QRCoder.QRCodeGenerator.ECCLevel.M);
        var rows = code.ModuleMatrix;
        var module = size / rows.Count;
        using var builder = new SKPathBuilder();
        for (var r = 0; r < rows.Count; r++)
        for (var c = 0; c < rows.Count; c++)
            if (rows[r][c])
                builder.AddRect(SKRect.Create(x + c * module, y + r * module, module, module));
        using var path = builder.Detach();
        fill.Color = SKColors.Black;
        fill.IsAntialias = false;
        canvas!.DrawPath(path, fill);
        fill.IsAntialias = true;
    }

    public void Dispose()
    {
        if (canvas is not null)
            document.EndPage();
        document.Close();
        document.Dispose();
        fill.Dispose();
        stroke.Dispose();
    }

    /// <summary>How wide a line of text comes out.</summary>
    public static float Measure(string text, float size) => Measure(text, size, bold: false);

    private static float Measure(string text, float size, bool bold) =>
        Runs(text, bold).Sum(r => r.Face.Measure(r.Piece, size));

    private static IEnumerable<(string Piece, Face Face)> Runs(string text, bool bold)
    {
        var faces = (bold ? Bold : Regular).Value;
        var from = 0;
        Face? now = null;
        for (var i = 0; i < text.Length; )
        {
            var rune = System.Text.Rune.TryGetRuneAt(text, i, out var found) ? found : System.Text.Rune.ReplacementChar;
            // A sign that joins others stays with what it joins.
            var face =
                System.Text.Rune.GetUnicodeCategory(rune) is System.Globalization.UnicodeCategory.NonSpacingMark
                && now is not null
                    ? now
                    : faces.FirstOrDefault(f => f.Has(rune.Value)) ?? faces[0];
            if (now is not null && face != now)
            {
                yield return (text[from..i], now);
                from = i;
            }
            now = face;
            i += rune.Utf16SequenceLength;
        }
        if (now is not null)
            yield return (text[from..], now);
    }

    /// <summary>One font file, shaped so that joined scripts join.</summary>
    private sealed class Face
    {
        private readonly SKTypeface typeface;
        private readonly SKShaper shaper;
        private readonly Lock gate = new();
        private readonly System.Collections.Concurrent.ConcurrentDictionary<int, bool> has = [];

        public Face(string file)
        {
            using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"fonts/{file}.ttf")
                ?? throw new InvalidOperationException($"The font {file} is not there.");
            using var data = SKData.Create(stream);
            typeface = SKTypeface.FromData(data);
            shaper = new SKShaper(typeface);
        }

        public bool Has(int rune) => has.GetOrAdd(rune, r =>
            {
                using var font = new SKFont(typeface);
                return font.ContainsGlyph(r);
            });

        public float Measure(string text, float size)
        {
            using var font = new SKFont(typeface, size);
            lock (gate)
                return shaper.Shape(text, font).Width;
        }

        public float Draw(SKCanvas canvas, string text, float x, float y, float size, SKPaint paint)
        {
            using var font = new SKFont(typeface, size) { Subpixel = true };
            lock (gate)
            {
                canvas.DrawShapedText(shaper, text, x, y, SKTextAlign.Left, font, paint);
                return shaper.Shape(text, font).Width;
            }
        }
    }
}
