using System.Globalization;
using System.Text.Json.Nodes;
using DeepCurrent.Core.Roster;
using DeepCurrent.Formats.Tables;
using SkiaSharp;

namespace DeepCurrent.Formats.Print;

/// <summary>A reader's whole record on paper: the same as in the JSON, in tables people can read.</summary>
public static class RecordPrint
{
    private const float Left = 50,
        Row = 16,
        Size = 9.5f;

    private static readonly (string Key, string Title, (string Field, string Name, float Width)[] Columns)[] Tables =
    [
        (
            "enrolments",
            "Classes",
            [("class", "Class", 150), ("year", "Year", 120), ("from", "From", 90), ("to", "To", 90)]
        ),
        (
            "goals",
            "Goals",
            [
                ("term", "Term", 110),
                ("kind", "Goal", 110),
                ("target", "Target", 80),
                ("setAt", "Set", 90),
                ("reason", "Reason", 110),
            ]
        ),
        ("groups", "Groups", [("group", "Group", 200), ("from", "From", 100), ("to", "To", 100)]),
        (
            "readings",
            "Readings",
            [
                ("text", "Text", 190),
                ("depth", "Depth, fm", 60),
                ("state", "State", 70),
                ("handedInAt", "Handed in", 80),
                ("score", "First try", 60),
            ]
        ),
        (
            "evidence",
            "Evidence",
            [
                ("at", "When", 80),
                ("kind", "Kind", 90),
                ("strand", "Strand", 90),
                ("correct", "Right", 50),
                ("value", "Level, fm", 60),
                ("note", "Note", 130),
            ]
        ),
        ("guardians", "Guardians", [("name", "Name", 180), ("mail", "Email", 200), ("since", "Since", 90)]),
        ("changes", "Changes", [("at", "When", 80), ("by", "Who", 130), ("what", "What", 290)]),
        ("lookedAt", "Viewed", [("at", "When", 80), ("by", "Who", 150), ("what", "What", 200)]),
    ];

    private static readonly (string Key, string Label)[] Fields =
    [
        ("user_name", "User name"),
        ("grade", "Grade"),
        ("guardian_mail", "Guardian email"),
        ("depth_mean", "Depth, fm"),
        ("depth_low", "90% range from"),
        ("depth_high", "to"),
        ("supports", "Supports"),
        ("created_at", "On the roster since"),
    ];

    public static void Write(Stream stream, string school, string name, JsonNode record, DateTimeOffset now)
    {
        using var paper = new Paper(stream, PaperSize.A4, $"Record of {name}");
        float y = 0;
        void Page()
        {
            Head(paper, school, name, now);
            y = 84;
        }
        Page();
        var reader = record["reader"]!.AsObject();
        void Say(string label, JsonNode? value)
        {
            paper.Text(label, Left, y, Size, colour: Paper.Soft);
            paper.Text(Value(value), Left + 130, y, Size, most: paper.Width - 2 * Left - 130);
            y += Row;
        }
        foreach (var (key, label) in Fields)
            Say(label, reader[key]);
        foreach (var detail in Enum.GetValues<ReaderDetail>())
            Say(ListColumns.HeadingOf(detail), reader["details"]?[detail.ToString()]);
        foreach (var (key, title, columns) in Tables)
        {
            if (record[key] is not JsonArray { Count: > 0 } rows)
                continue;
            if (y > paper.Height - 100)
                Page();
            y += 14;
            paper.Text($"{title} ({rows.Count})", Left, y, 12, bold: true);
            y += Row;
            Line(paper, columns.Select(c => (c.Name, c.Width)), y, heading: true);
            y += Row;
            foreach (var row in rows)
            {
                if (y > paper.Height - 50)
                    Page();
                Line(paper, columns.Select(c => (Value(row![c.Field]), c.Width)), y, heading: false);
                y += Row;
            }
        }
    }

    private static void Line(Paper paper, IEnumerable<(string Text, float Width)> cells, float y, bool heading)
    {
        var x = Left;
        foreach (var (text, width) in cells)
        {
            paper.Text(text, x, y, Size, bold: heading, most: width - 6);
            x += width;
        }
        paper.Rule(Left, y + 4, paper.Width - Left, y + 4, heading ? Paper.Ink : Paper.Line);
    }

    private static void Head(Paper paper, string school, string name, DateTimeOffset now)
    {
        paper.NewPage();
        paper.Text(name, Left, 52, 16, bold: true, most: 330);
        paper.Text(
            $"{school}, {now:d MMMM yyyy}, page {paper.Pages}",
            paper.Width - Left,
            52,
            9,
            colour: Paper.Soft,
            align: SKTextAlign.Right
        );
        paper.Rule(Left, 62, paper.Width - Left, 62, width: 1);
    }

    private static string Value(JsonNode? node) =>
        node is null
            ? "–"
            : node.GetValueKind() switch
            {
                System.Text.Json.JsonValueKind.Number => node.GetValue<double>()
                    .ToString("0.##", CultureInfo.InvariantCulture),
                System.Text.Json.JsonValueKind.True => "yes",
                System.Text.Json.JsonValueKind.False => "no",
                System.Text.Json.JsonValueKind.String => node.GetValue<string>() is var s
                && s.Length >= 19
                && s[10] == 'T'
                && char.IsAsciiDigit(s[0])
                    ? s[..10]
                    : s,
                _ => string.Join(
                    ", ",
                    node is JsonObject o
                        ? o.Where(p => p.Value is not null).Select(p => $"{p.Key} {Value(p.Value)}")
                        : []
                ),
            };
}
