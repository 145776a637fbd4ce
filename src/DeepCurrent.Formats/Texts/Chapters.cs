namespace DeepCurrent.Formats.Texts;

/// <summary>Parts a long text where its chapters begin.</summary>
internal static class Chapters
{
    /// <summary>One text for each heading of the highest level, where there are two or more; a single one at the top is
    /// the title.</summary>
    public static DraftFile Split(TextDraft text)
    {
        var lines = text.Versions[0].Body.Split('\n');
        var top = lines.Where(l => l.StartsWith('#')).Select(Level).DefaultIfEmpty(0).Min();
        var heads = lines
            .Select((l, i) => (l, i))
            .Where(x => x.l.StartsWith('#') && Level(x.l) == top)
            .Select(x => x.i)
            .ToList();
        if (top != 1 || heads.Count == 0)
            return new([text], []);
        if (heads.Count == 1)
        {
            var before = string.Join('\n', lines[..heads[0]]).Trim();
            return before.Length > 0
                ? new([text], [])
                : new(
                    [
                        text with
                        {
                            Title = Name(lines[heads[0]]),
                            Versions = [new("a", 0, string.Join('\n', lines[(heads[0] + 1)..]).Trim())],
                        },
                    ],
                    []
                );
        }
        var parts = heads
            .Select(
                (h, i) =>
                    Part(text, Name(lines[h]), lines[(h + 1)..(i + 1 < heads.Count ? heads[i + 1] : lines.Length)])
            )
            .Where(p => p.Versions[0].Body.Length > 0)
            .ToList();
        if (string.Join('\n', lines[..heads[0]]).Trim() is { Length: > 0 })
            parts.Insert(0, Part(text, text.Title, lines[..heads[0]]));
        return new(parts, []);
    }

    private static TextDraft Part(TextDraft whole, string title, string[] lines)
    {
        var body = string.Join('\n', lines).Trim();
        return TextDraft.Of(
            title,
            body,
            [.. whole.Pictures.Where(p => body.Contains($"]({p.Name})", StringComparison.Ordinal))]
        );
    }

    private static int Level(string line) => line.TakeWhile(c => c == '#').Count();

    private static string Name(string line) => line.TrimStart('#', ' ').Trim();
}
