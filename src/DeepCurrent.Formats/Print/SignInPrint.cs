using SkiaSharp;

namespace DeepCurrent.Formats.Print;

/// <summary>What is printed for one reader to sign in with.</summary>
/// <param name="Surname">Empty unless the school wants it on the card.</param>
/// <param name="Pictures">The picture secret; empty for a code or password.</param>
/// <param name="Secret">The code or password; empty for pictures.</param>
/// <param name="Link">Leads to the reader's name tile; holds no secret.</param>
/// <param name="Mark">The picture of the reader's name tile.</param>
public sealed record PrintedReader(
    string GivenName,
    string Surname,
    string UserName,
    IReadOnlyList<string> Pictures,
    string Secret,
    string Link,
    string Mark
);

/// <param name="Address">Where readers sign in, as it is typed.</param>
public sealed record PrintedClass(string School, string Name, string Code, string Address);

/// <summary>Cards and lists of sign-ins.</summary>
public static class SignInPrint
{
    private const float Margin = 28,
        Gap = 0;

    /// <summary>Eight cards to a page, with lines to cut along.</summary>
    public static void Cards(
        Stream stream,
        PaperSize size,
        IEnumerable<(PrintedClass Class, PrintedReader Reader)> cards
    )
    {
        using var paper = new Paper(stream, size, "Sign-in cards");
        float width = (paper.Width - 2 * Margin - Gap) / 2,
            height = (paper.Height - 2 * Margin) / 4;
        var n = 0;
        foreach (var (room, reader) in cards)
        {
            if (n % 8 == 0)
            {
                paper.NewPage();
                CutLines(paper, width, height);
            }
            Card(paper, Margin + n % 2 * width, Margin + n % 8 / 2 * height, width, height, room, reader);
            n++;
        }
        if (n == 0)
            paper.NewPage();
    }

    /// <summary>A list on as few pages as will do: name, user name, secret.</summary>
    public static void List(
        Stream stream,
        PaperSize size,
        IEnumerable<(PrintedClass Class, PrintedReader Reader)> readers
    )
    {
        using var paper = new Paper(stream, size, "Sign-ins");
        const float row = 21;
        float y = paper.Height;
        PrintedClass? now = null;
        foreach (var (room, reader) in readers)
        {
            if (room != now || y + row > paper.Height - 40)
            {
                paper.NewPage();
                paper.Text(room.Name, 40, 56, 20, bold: true);
                paper.Text($"Class code {room.Code} at {room.Address}", 40, 76, 11, colour: Paper.Soft);
                paper.Text(room.School, paper.Width - 40, 56, 11, colour: Paper.Soft, align: SKTextAlign.Right);
                paper.Rule(40, 88, paper.Width - 40, 88, width: 1);
                y = 108;
                now = room;
            }
            paper.Text($"{reader.GivenName} {reader.Surname}".Trim(), 40, y, 11, bold: true, most: 190);
            paper.Text(reader.UserName, 240, y, 11, most: 130);
            if (reader.Pictures.Count > 0)
                for (var i = 0; i < reader.Pictures.Count; i++)
                {
                    paper.Picture(Drawings.All[reader.Pictures[i]], 380 + i * 58, y - 13, 16);
                    paper.Text(reader.Pictures[i], 398 + i * 58, y, 9);
                }
            else
                paper.Text(reader.Secret, 380, y, 11, bold: true);
            paper.Rule(40, y + 6, paper.Width - 40, y + 6, Paper.Line);
            y += row;
        }
        if (now is null)
            paper.NewPage();
    }

    private static void CutLines(Paper paper, float width, float height)
    {
        for (var r = 0; r <= 4; r++)
            paper.Rule(8, Margin + r * height, paper.Width - 8, Margin + r * height, Paper.Soft, dashed: true);
        for (var c = 0; c <= 2; c++)
            paper.Rule(Margin + c * width, 8, Margin + c * width, paper.Height - 8, Paper.Soft, dashed: true);
    }

    private static void Card(
        Paper paper,
        float x,
        float y,
        float width,
        float height,
        PrintedClass room,
        PrintedReader reader
    )
    {
        const float pad = 14,
            qr = 74;
        var right = x + width - pad;
        paper.Picture(Drawings.All[reader.Mark], x + pad, y + pad, 34);
        paper.Text(
            reader.GivenName,
            x + pad + 42,
            y + pad + 18,
            17,
            bold: true,
            most: width - 2 * pad - 46 - (reader.Surname.Length == 0 ? qr : 0)
        );
        if (reader.Surname.Length > 0)
            paper.Text(reader.Surname, x + pad + 42, y + pad + 33, 11, most: width - 2 * pad - 46 - qr);
        paper.Qr(reader.Link, right - qr + 6, y + pad - 6, qr);
        var line = y + pad + 56;
        paper.Text("Class", x + pad, line, 9, colour: Paper.Soft);
        paper.Text(room.Name, x + pad + 58, line, 11, most: width - pad - 58 - qr - pad);
        paper.Text("Class code", x + pad, line + 16, 9, colour: Paper.Soft);
        paper.Text(room.Code, x + pad + 58, line + 16, 12, bold: true);
        paper.Text("User name", x + pad, line + 32, 9, colour: Paper.Soft);
        paper.Text(reader.UserName, x + pad + 58, line + 32, 11, most: width - 2 * pad - 58);
        if (reader.Pictures.Count > 0)
            for (var i = 0; i < reader.Pictures.Count; i++)
            {
                var at = x + pad + i * 82;
                paper.Text($"{i + 1}", at, line + 72, 10, colour: Paper.Soft);
                paper.Picture(Drawings.All[reader.Pictures[i]], at + 8, line + 44, 40);
                paper.Text(reader.Pictures[i], at + 28, line + 97, 10, align: SKTextAlign.Center);
            }
        else
        {
            paper.Text(reader.Secret.Length <= 4 ? "Code" : "Password", x + pad, line + 62, 9, colour: Paper.Soft);
            paper.Text(reader.Secret, x + pad + 58, line + 63, 16, bold: true, most: width - 2 * pad - 58);
        }
        paper.Text(room.Address, x + pad, y + height - 10, 8, colour: Paper.Soft, most: width - 2 * pad);
    }
}
