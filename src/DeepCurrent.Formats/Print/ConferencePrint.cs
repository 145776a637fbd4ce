using SkiaSharp;

namespace DeepCurrent.Formats.Print;

/// <summary>A level on a day.</summary>
public sealed record TrailDay(DateOnly Day, double Mean, double Low, double High);

/// <summary>A grade's texts on the trail, from the shallowest to the deepest.</summary>
public sealed record GradeBand(string Name, double From, double To);

/// <summary>Something right so often of so many.</summary>
public sealed record CountOf(Message Name, int Right, int Asked);

/// <summary>A goal: how far it is, as a share of itself, and what there is to say.</summary>
public sealed record PrintedGoal(Message Name, double Done, Message Said);

/// <summary>A text that was read.</summary>
/// <param name="Place">From easy (0) to hard (1) for the reader; the reader's own level is the middle.</param>
public sealed record PrintedReading(string Title, double Place, int Minutes);

/// <summary>A reading aloud, in figures.</summary>
public sealed record PrintedAloud(string Title, DateOnly Day, Message Said, IReadOnlyList<Message> Miscues);

/// <summary>A reader's record for a conference.</summary>
public sealed record PrintedConference
{
    public required Language Language { get; init; }

    public required string School { get; init; }

    public required string Class { get; init; }

    public required string Teacher { get; init; }

    public required DateOnly Day { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required IReadOnlyList<Message> Level { get; init; }

    public required IReadOnlyList<TrailDay> Trail { get; init; }

    public required IReadOnlyList<GradeBand> Bands { get; init; }

    public required IReadOnlyList<CountOf> Well { get; init; }

    public required IReadOnlyList<CountOf> Next { get; init; }

    /// <summary>The first day that is counted.</summary>
    public required DateOnly Since { get; init; }

    public required DateOnly? GoalsUntil { get; init; }

    public required IReadOnlyList<PrintedGoal> Goals { get; init; }

    /// <summary>The latest first.</summary>
    public required IReadOnlyList<PrintedReading> Readings { get; init; }

    public required Message Others { get; init; }

    public required PrintedAloud? Aloud { get; init; }

    /// <summary>What the teacher wrote beforehand; empty where there is only room to write.</summary>
    public required string Words { get; init; }

    public required IReadOnlyList<Message> AtHome { get; init; }
}

/// <summary>Pages for conferences: a level in words, what goes well and what comes next, goals, what was read, room to
/// write. It can be read in grey, and has room for languages that need more of it.</summary>
public static class ConferencePrint
{
    private const float Left = 42,
        Gap = 26,
        Size = 9.5f,
        Leading = 13.5f,
        LineStep = 20;

    public static void Write(Stream stream, PaperSize size, IEnumerable<PrintedConference> readers)
    {
        using var paper = new Paper(stream, size, "Conference pages");
        foreach (var reader in readers)
            new Page(paper, reader).Draw();
    }

    private sealed class Page(Paper paper, PrintedConference r)
    {
        private readonly Catalogue words = Catalogue.Of(r.Language);
        private readonly float right = paper.Width - Left,
            half = (paper.Width - 2 * Left - Gap) / 2;

        private float Second => Left + half + Gap;

        public void Draw()
        {
            paper.NewPage();
            var y = Head();
            y = Level(y);
            y = Rule(
                Math.Max(Counts(r.Well, $"What goes well", Left, y), Counts(r.Next, $"What comes next", Second, y))
            );
            if (r.Goals.Count > 0)
                y = Rule(Goals(y));
            y = Rule(Math.Max(Read(y), Aloud(y)));
            Write(y);
            Foot();
        }

        private string Say(Message m) => words.Say(m);

        private float Rule(float y)
        {
            paper.Rule(Left, y, right, y, Paper.Soft);
            return y + 18;
        }

        private float Head()
        {
            var width = paper.Text($"{r.GivenName} {r.FamilyName}", Left, 56, 19, bold: true, most: 300);
            paper.Text($"{r.Class}, {r.School}", Left + width + 12, 56, 10, most: right - Left - width - 170);
            paper.Text(Say($"{r.Day}"), right, 46, 9.5f, align: SKTextAlign.Right);
            paper.Text(Say($"with {r.Teacher}"), right, 59, 9.5f, align: SKTextAlign.Right, most: 150);
            for (var x = Left; x < right; x += 24)
                paper.Box(x, 66, Math.Min(12, right - x), 4, Paper.Ink);
            paper.Box(Left, 66, right - Left, 4, edge: Paper.Ink);
            return 92;
        }

        private float Title(Message name, float x, float y) =>
            paper.Paragraph(Say(name), x, y, half, 12, 16, bold: true);

        private float Level(float y)
        {
            var under = Title($"Level", Left, y);
            foreach (var (said, i) in r.Level.Select((m, i) => (m, i)))
                under = paper.Paragraph(
                    Say(said),
                    Left,
                    under + (i == 0 ? 2 : 0),
                    half,
                    i == 0 ? 13 : Size,
                    i == 0 ? 17 : Leading,
                    bold: i == 0
                );
            const float height = 104;
            Trail(Second, y - 8, half, height);
            return Rule(Math.Max(under, y + height + 6));
        }

        /// <summary>The trail on bands of grades; its range is a tint between two lines.</summary>
        private void Trail(float x, float y, float width, float height)
        {
            if (r.Trail.Count < 2)
                return;
            const float names = 58;
            double top = r.Trail.Min(d => d.Low) - 1,
                bottom = r.Trail.Max(d => d.High) + 1;
            float At(double depth) =>
                y + (float)((Math.Clamp(depth, top, bottom) - top) / (bottom - top)) * (height - 14);
            int first = r.Trail[0].Day.DayNumber,
                days = Math.Max(1, r.Day.DayNumber - first);
            float Of(DateOnly day) => x + names + (day.DayNumber - first) / (float)days * (width - names);
            foreach (var (band, i) in r.Bands.Where(b => b.To > top && b.From < bottom).Select((b, i) => (b, i)))
            {
                float from = At(band.From),
                    to = At(band.To);
                paper.Box(x + names, from, width - names, to - from, i % 2 == 0 ? Paper.Tint : null);
                if (to - from > 10)
                    paper.Text(band.Name, x, (from + to) / 2 + 3, 8.5f, most: names - 6);
            }
            var trail = r.Trail.Append(r.Trail[^1] with { Day = r.Day }).ToList();
            foreach (var (one, next) in trail.Zip(trail.Skip(1)))
            {
                paper.Rule(Of(one.Day), At(one.Low), Of(next.Day), At(next.Low), Paper.Soft, 0.6f, dashed: true);
                paper.Rule(Of(one.Day), At(one.High), Of(next.Day), At(next.High), Paper.Soft, 0.6f, dashed: true);
                paper.Rule(Of(one.Day), At(one.Mean), Of(next.Day), At(next.Mean), Paper.Ink, 1.6f);
            }
            paper.Box(x + names, y, width - names, height - 14, edge: Paper.Soft);
            paper.Text(Say($"{r.Trail[0].Day}"), x + names, y + height - 2, 8.5f);
            paper.Text(Say($"today"), x + width, y + height - 2, 8.5f, align: SKTextAlign.Right);
        }

        private float Counts(IReadOnlyList<CountOf> counts, Message title, float x, float y)
        {
            y = Title(title, x, y);
            if (counts.Count == 0)
                return paper.Paragraph(Say($"Too few answers yet to say."), x, y, half, Size, Leading) + 6;
            foreach (var c in counts)
            {
                Bar(x + half - 98, y - 7, 50, c.Right / (float)c.Asked);
                paper.Text(Say($"{c.Right} of {c.Asked}"), x + half, y, Size, align: SKTextAlign.Right);
                // Long words of other languages take a second line.
                y = paper.Paragraph(Say(c.Name), x, y, half - 106, Size, 12, bold: true) - 5;
                paper.Rule(x, y, x + half, y, Paper.Line);
                y += 12;
            }
            if (x == Left)
                y = paper.Paragraph(Say($"Counts: right on the first try since {r.Since}."), x, y, half, 8.5f, 12);
            return y + 4;
        }

        private void Bar(float x, float y, float width, double share)
        {
            paper.Box(x, y, width * (float)Math.Clamp(share, 0, 1), 8, Paper.Soft);
            paper.Box(x, y, width, 8, edge: Paper.Ink);
        }

        private float Goals(float y)
        {
            y = Title(r.GoalsUntil is { } until ? $"Goals until {until}" : (Message)$"Goals", Left, y);
            var width = (right - Left - 2 * Gap) / 3;
            var under = y;
            foreach (var (goal, i) in r.Goals.Take(3).Select((g, i) => (g, i)))
            {
                var x = Left + i * (width + Gap);
                paper.Text(Say(goal.Name), x, y, Size, bold: true, most: width);
                Bar(x, y + 6, width - 20, goal.Done);
                var said = paper.Paragraph(Say(goal.Said), x, y + 28, width, Size, Leading);
                paper.Box(x, said - 4, 8, 8, edge: Paper.Ink);
                var kept = paper.Text(Say($"keep"), x + 12, said + 3, 9);
                paper.Box(x + kept + 22, said - 4, 8, 8, edge: Paper.Ink);
                var changed = paper.Text(Say($"change to"), x + kept + 34, said + 3, 9);
                paper.Rule(x + kept + changed + 38, said + 4, x + width, said + 4, Paper.Soft);
                under = Math.Max(under, said + 16);
            }
            return under;
        }

        private float Read(float y)
        {
            y = Title($"What {r.GivenName} read since {r.Since}", Left, y);
            if (r.Readings.Count > 0)
            {
                paper.Text(Say($"easier"), Left + half - 118, y, 8.5f);
                paper.Text(Say($"harder"), Left + half - 42, y, 8.5f, align: SKTextAlign.Right);
                paper.Text(Say($"min"), Left + half, y, 8.5f, align: SKTextAlign.Right);
                y += 13;
            }
            foreach (var text in r.Readings)
            {
                paper.Text(text.Title, Left, y, Size, bold: true, most: half - 126);
                float x = Left + half - 118,
                    width = 76;
                paper.Box(x, y - 6, width, 5, Paper.Tint);
                paper.Rule(x + width / 2, y - 8, x + width / 2, y + 1, Paper.Ink, 0.7f, dashed: true);
                paper.Box(x + (float)Math.Clamp(text.Place, 0.03, 0.97) * width - 2, y - 6, 4, 5, Paper.Ink);
                paper.Text($"{text.Minutes}", Left + half, y, Size, align: SKTextAlign.Right);
                y += 6;
                paper.Rule(Left, y, Left + half, y, Paper.Line);
                y += 11;
            }
            return paper.Paragraph(Say(r.Others), Left, y, half, 8.5f, 12) + 4;
        }

        private float Aloud(float y)
        {
            if (r.Aloud is not { } aloud)
                return y;
            y = Title($"Reading aloud, {aloud.Day}", Second, y);
            y = paper.Paragraph($"{aloud.Title}: {Say(aloud.Said)}", Second, y, half, Size, Leading);
            foreach (var m in aloud.Miscues)
                y = paper.Paragraph($"•  {Say(m)}", Second, y + 1, half, Size, Leading);
            return y + 6;
        }

        /// <summary>Room to write, as much as the page has left.</summary>
        private void Write(float y)
        {
            var end = paper.Height - 52;
            var lines = Title($"From {r.Teacher}", Left, y) + 6;
            if (r.Words.Length > 0)
                lines = Written(lines - 4, end) + LineStep / 2;
            for (; lines < end; lines += LineStep)
                paper.Rule(Left, lines, Left + half, lines, Paper.Soft);
            var at = Title($"At home", Second, y);
            foreach (var (said, i) in r.AtHome.Select((m, i) => (m, i)))
            {
                paper.Text($"{i + 1}", Second, at, Size, bold: true);
                at = paper.Paragraph(Say(said), Second + 16, at, half - 16, Size, Leading) + 3;
            }
            at += 4;
            paper.Text(Say($"What we agree today"), Second, at, Size, bold: true, most: half);
            for (at += LineStep; at < end; at += LineStep)
                paper.Rule(Second, at, right, at, Paper.Soft);
        }

        /// <summary>What the teacher wrote, in letters as small as it takes to hold all of it.</summary>
        private float Written(float y, float end)
        {
            var paragraphs = r.Words.Split('\n', StringSplitOptions.RemoveEmptyEntries);
            var (size, leading) = r.Words.Length > 500 ? (8f, 10.5f) : (Size, Leading);
            foreach (var said in paragraphs)
                if (y < end)
                    y = paper.Paragraph(said, Left, y, half, size, leading) + 3;
            return y;
        }

        private void Foot()
        {
            var y = paper.Height - 34;
            paper.Rule(Left, y - 12, right, y - 12, Paper.Ink);
            paper.Text(
                Say($"The dashed lines are the range: the level lies in it 9 times in 10. Harder texts stand lower."),
                Left,
                y,
                8.5f,
                most: right - Left
            );
        }
    }
}
