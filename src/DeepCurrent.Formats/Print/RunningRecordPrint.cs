using System.Globalization;
using DeepCurrent.Core.OralReading;
using SkiaSharp;

namespace DeepCurrent.Formats.Print;

/// <summary>A running record as it is printed.</summary>
public sealed record PrintedRecord
{
    public required string School { get; init; }

    public required string Reader { get; init; }

    public required string Title { get; init; }

    public required double Depth { get; init; }

    public required DateTimeOffset ReadAt { get; init; }

    public required string By { get; init; }

    public required string Body { get; init; }

    public required IReadOnlyList<PassageWord> Passage { get; init; }

    public required IReadOnlyList<SheetMark> Marks { get; init; }

    /// <summary>Where the reader stopped early.</summary>
    public required int? LastWord { get; init; }

    public required double Seconds { get; init; }

    public required OralFigures Figures { get; init; }

    public required Message Zone { get; init; }

    /// <summary>Where the rate stands, in a sentence; empty where there is no norm.</summary>
    public required Message? Norm { get; init; }

    public required SourceTotals Totals { get; init; }

    /// <summary>Parts with 0 to 2 points.</summary>
    public required IReadOnlyList<(string Part, int Points)> Retelling { get; init; }

    public required IReadOnlyList<(string Stem, bool Right)> Questions { get; init; }

    public required string Note { get; init; }
}

/// <summary>Running records on paper, in the notation teachers learn: a tick over each word that was right, what was
/// said over what stands there, R for read again, T for told, SC for put right; errors and corrections by
/// line.</summary>
/// <remarks>Clay, M. M. (2000), Running Records for Classroom Teachers.</remarks>
public static class RunningRecordPrint
{
    private const float Left = 45,
        Size = 12,
        Small = 8.5f,
        Leading = 38;

    public static void Write(Stream stream, PaperSize size, PrintedRecord r)
    {
        using var paper = new Paper(stream, size, $"Running record of {r.Reader}");
        float right = paper.Width - Left,
            e = right - 118,
            sc = right - 92,
            usedE = right - 60,
            usedSc = right - 22;
        var y = Head(paper, r);
        void Columns()
        {
            foreach (var (x, name) in new[] { (e, "E"), (sc, "SC"), (usedE, "E used"), (usedSc, "SC used") })
                paper.Text(name, x, y, Small, bold: true, align: SKTextAlign.Center);
            y += 8;
            paper.Rule(Left, y, right, y);
            y += Leading - 6;
        }
        Columns();
        foreach (var line in Lines(paper, r, e - 22 - Left))
        {
            if (y > paper.Height - 60)
            {
                paper.NewPage();
                y = 50;
                Columns();
            }
            Line(paper, r, line, y);
            var counts = CountsOf(r, line);
            foreach (var (x, text) in new[] { e, sc, usedE, usedSc }.Zip(counts))
                paper.Text(text, x, y, 10, align: SKTextAlign.Center, most: 40);
            paper.Rule(Left, y + 9, right, y + 9, Paper.Line);
            y += Leading;
        }
        Foot(paper, r, y - Leading + 34);
    }

    /// <summary>What stands in the margin of a line: errors, self-corrections, and the cues used in each.</summary>
    private static string[] CountsOf(PrintedRecord r, IReadOnlyList<Placed> line)
    {
        var on = r.Marks.Where(m => line.Any(w => w.Index == m.Index) || (m.Index < 0 && line[0].Index == 0)).ToList();
        var corrected = on.Where(m => m.Kind is MarkKind.SelfCorrection).ToList();
        var errors = on.Where(m =>
                m.Kind is MarkKind.Substitution or MarkKind.Omission or MarkKind.Insertion or MarkKind.Told
            )
            .ToList();
        return [Number(errors.Count), Number(corrected.Count), Used(errors), Used(corrected)];
    }

    private static float Head(Paper paper, PrintedRecord r)
    {
        paper.NewPage();
        paper.Text(r.Reader, Left, 50, 16, bold: true, most: 300);
        paper.Text(
            Say(
                r.By.Length > 0
                    ? (Message)$"{r.School}, {DateOnly.FromDateTime(r.ReadAt.Date)}, taken by {r.By}"
                    : $"{r.School}, {DateOnly.FromDateTime(r.ReadAt.Date)}"
            ),
            paper.Width - Left,
            50,
            9,
            colour: Paper.Soft,
            align: SKTextAlign.Right,
            most: 230
        );
        paper.Text(Say($"“{r.Title}”, {r.Depth:0.0} fm"), Left, 70, 11);
        var f = r.Figures;
        List<string> said =
        [
            Say($"{f.Words:count} words"),
            Say($"{f.Errors:count} errors"),
            Say($"accuracy {f.Accuracy * 100:0}% ({r.Zone})"),
            Say(f.WordsPerError is { } one ? $"error rate 1 : {one:0}" : (Message)$"no errors"),
            Say(
                f.SelfCorrectionRatio is { } ratio
                    ? $"self-correction 1 : {ratio:0.#}"
                    : (Message)$"no self-corrections"
            ),
        ];
        if (f.WordsCorrectPerMinute > 0)
            said.Add(Say($"{f.WordsCorrectPerMinute:0} words correct per minute in {Clock(r.Seconds)}"));
        var y = paper.Paragraph(string.Join("; ", said) + ".", Left, 88, paper.Width - 2 * Left, 10, 14);
        if (r.Norm is { } norm)
        {
            paper.Text(Say(norm) + ".", Left, y, 10, colour: Paper.Soft);
            y += 14;
        }
        return y + 12;
    }

    private sealed record Placed(int Index, float X, string Text);

    /// <summary>The words that were read, in lines that leave room for what is written over them.</summary>
    private static IEnumerable<IReadOnlyList<Placed>> Lines(Paper paper, PrintedRecord r, float width)
    {
        var over = r.Marks.ToLookup(m => m.Index);
        var line = new List<Placed>();
        float x = 0;
        var last = r.LastWord ?? r.Passage.Count - 1;
        for (var i = 0; i <= last; i++)
        {
            var end = i + 1 < r.Passage.Count ? r.Passage[i + 1].Start : r.Body.Length;
            var source = r.Body[r.Passage[i].Start..end];
            var text = source.TrimEnd('\n', ' ', '“', '‘', '"', '(');
            var wide = Math.Max(Paper.Measure(text, Size), over[i].Sum(m => Paper.Measure(Sign(m), Small) + 3)) + 9;
            if (
                line.Count > 0
                && (x + wide > width || (i > 0 && r.Body[r.Passage[i - 1].Start..r.Passage[i].Start].Contains('\n')))
            )
            {
                yield return line;
                line = [];
                x = 0;
            }
            line.Add(new(i, Left + x, text));
            x += wide;
        }
        if (line.Count > 0)
            yield return line;
    }

    private static void Line(Paper paper, PrintedRecord r, IReadOnlyList<Placed> line, float y)
    {
        var over = r.Marks.ToLookup(m => m.Index);
        foreach (var w in line)
        {
            paper.Text(w.Text, w.X, y, Size);
            var mark = over[w.Index].FirstOrDefault(m => m.Kind is not (MarkKind.Insertion or MarkKind.Repetition));
            var at = w.X;
            if (mark is null)
                Tick(paper, at + 2, y - 14);
            else
            {
                at += paper.Text(Sign(mark), at, y - 14, Small, bold: true, colour: Paper.Overlay);
                paper.Rule(w.X, y - 11, w.X + Math.Max(10, at - w.X), y - 11, Paper.Overlay);
            }
            at = Math.Max(at + 3, mark is null ? w.X + 12 : 0);
            foreach (var m in over[w.Index].Where(m => m.Kind is MarkKind.Insertion or MarkKind.Repetition))
                at += paper.Text(Sign(m), at, y - 14, Small, bold: true, colour: Paper.Overlay) + 3;
        }
    }

    private static void Tick(Paper paper, float x, float y)
    {
        paper.Rule(x, y - 3, x + 2, y, Paper.Soft, 0.8f);
        paper.Rule(x + 2, y, x + 6, y - 6, Paper.Soft, 0.8f);
    }

    /// <summary>What is written over a word.</summary>
    internal static string Sign(SheetMark m) =>
        m.Kind switch
        {
            MarkKind.Substitution => m.Heard.Length > 0 ? m.Heard : "×",
            MarkKind.Omission => "—",
            MarkKind.Insertion => $"^{(m.Heard.Length > 0 ? m.Heard : "+")}",
            MarkKind.Repetition => "R",
            MarkKind.SelfCorrection => $"{m.Heard}|SC",
            MarkKind.Told => m.Heard.Length > 0 ? $"{m.Heard}|T" : "T",
            _ => "",
        };

    private static string Used(IReadOnlyList<SheetMark> marks)
    {
        string Letters(Sources s) =>
            string.Concat(
                new[] { (Sources.Meaning, "M"), (Sources.Structure, "S"), (Sources.Visual, "V") }
                    .Where(x => s.HasFlag(x.Item1))
                    .Select(x => x.Item2)
            );
        return string.Join(' ', marks.Select(m => Letters(m.Used)).Where(l => l.Length > 0));
    }

    private static void Foot(Paper paper, PrintedRecord r, float y)
    {
        void Row(string label, string text)
        {
            if (text.Length == 0)
                return;
            if (y > paper.Height - 60)
            {
                paper.NewPage();
                y = 60;
            }
            paper.Text(label, Left, y, 10, bold: true);
            y = paper.Paragraph(text, Left + 105, y, paper.Width - 2 * Left - 105, 10, 14) + 4;
        }
        var t = r.Totals;
        if (r.LastWord is not null)
            Row("Stopped", Say($"after {r.Figures.Words} of {r.Passage.Count:count} words"));
        Row(
            "Sources used",
            t == new SourceTotals(0, 0, 0, 0, 0, 0)
                ? ""
                : Say($"at errors: meaning {t.ErrorsMeaning}, structure {t.ErrorsStructure}, visual {t.ErrorsVisual}")
                    + "; "
                    + Say(
                        $"at corrections: meaning {t.CorrectedMeaning}, structure {t.CorrectedStructure}, "
                            + $"visual {t.CorrectedVisual}"
                    )
        );
        Row("Retelling", string.Join(", ", r.Retelling.Select(p => $"{p.Part} {p.Points}/{Retelling.MostPoints}")));
        foreach (var (stem, right) in r.Questions)
            Row(right ? "Answered" : "Not yet", stem);
        Row("Note", r.Note);
    }

    private static string Number(int n) => n == 0 ? "" : n.ToString(CultureInfo.InvariantCulture);

    private static string Clock(double seconds) =>
        FormattableString.Invariant($"{(int)seconds / 60}:{(int)seconds % 60:00}");

    private static string Say(Message message) => message.ToString();
}
