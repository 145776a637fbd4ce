using System.Globalization;
using System.IO.Compression;
using System.Xml;
using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Tables;
using static DeepCurrent.Formats.Qti.Qti;

namespace DeepCurrent.Formats.Qti;

/// <summary>Reads QTI 3.0 packages, ours and others'. What is no kind of question we know is said and left
/// out.</summary>
public static class QtiReader
{
    private const long MostBytes = 20 << 20;

    /// <exception cref="Unreadable">It is no archive, too large, or holds no QTI 3 items.</exception>
    public static QtiPackage Read(Stream file)
    {
        ZipArchive zip;
        try
        {
            zip = new(file, ZipArchiveMode.Read);
        }
        catch (InvalidDataException)
        {
            throw new Unreadable($"This is not a QTI package, or its ZIP archive is incomplete.");
        }
        using (zip)
        {
            ZipGuard.Check(zip, MostBytes);
            var documents = new Dictionary<string, XElement>();
            foreach (
                var entry in zip.Entries.Where(e => e.FullName.EndsWith(".xml", StringComparison.OrdinalIgnoreCase))
            )
                if (Xml(entry) is { } root)
                    documents[entry.FullName.Replace('\\', '/')] = root;
            return Texts(documents);
        }
    }

    private static QtiPackage Texts(Dictionary<string, XElement> documents)
    {
        var items = Order(documents).ToList();
        if (items.Count == 0)
            throw new Unreadable($"This archive has no QTI 3 items.");
        var leftOut = new List<Message>();
        var texts = new Dictionary<string, List<(QtiVersion? Version, string Title, Question Question, string Item)>>();
        foreach (var path in items)
        {
            var item = documents[path];
            var title = (string?)item.Attribute("title") ?? Path.GetFileNameWithoutExtension(path);
            var place = item.Descendants(Ns + "qti-assessment-stimulus-ref")
                .Select(r => Resolve(path, (string?)r.Attribute("href") ?? ""))
                .FirstOrDefault(documents.ContainsKey);
            var stimulus = place is null ? null : documents[place];
            var version = stimulus is null ? null : Version(stimulus);
            if (ItemReader.Question(item, version?.Label ?? "all") is not { } question)
            {
                leftOut.Add($"“{title}” is a kind of question not used here.");
                continue;
            }
            var (key, textTitle) = TextOf(stimulus, place);
            if (!texts.TryGetValue(key, out var list))
                texts[key] = list = [];
            list.Add((version, textTitle, question, title));
        }
        return new([.. texts.Values.Select(Merged)], leftOut);
    }

    /// <summary>Which text a stimulus is of, and its title.</summary>
    private static (string Key, string Title) TextOf(XElement? stimulus, string? place)
    {
        var body = stimulus?.Descendants().FirstOrDefault(e => e.Attribute(Text) is not null);
        var textTitle = (string?)body?.Attribute(Text) ?? (string?)stimulus?.Attribute("title") ?? "";
        // Our versions of one text belong together; others' texts are told apart by where they lie.
        var key = body is not null ? $"ours {textTitle}" : $"theirs {place}";
        return (key, textTitle);
    }

    /// <summary>The same questions, asked of several versions, are one question each.</summary>
    private static QtiText Merged(List<(QtiVersion? Version, string Title, Question Question, string Item)> parts)
    {
        var versions = parts
            .Where(p => p.Version is not null)
            .Select(p => p.Version!)
            .DistinctBy(v => v.Label)
            .ToList();
        if (versions.Count < 2)
            return new(
                parts[0].Title,
                versions,
                [.. parts.Select((p, i) => Shared(p.Question, versions.Count) with { Position = i })]
            );
        var by = versions
            .Select(v => parts.Where(p => p.Version?.Label == v.Label).Select(p => p.Question).ToList())
            .ToList();
        var merged = by[0]
            .Select(
                (q, i) =>
                {
                    var same = by.Where(list => i < list.Count).Select(list => list[i]).ToList();
                    var proofs = same.SelectMany(x => x.Proofs).DistinctBy(p => p.Key).ToDictionary();
                    var after = same.Where(x => x.After is not null)
                        .SelectMany(x => x.After!)
                        .DistinctBy(p => p.Key)
                        .ToDictionary();
                    return Shared(
                        q with
                        {
                            Position = i,
                            Proofs = proofs,
                            After = after.Count > 0 ? after : null,
                        },
                        versions.Count
                    );
                }
            );
        return new(parts[0].Title, versions, [.. merged]);
    }

    /// <summary>What is the same for all versions is said once.</summary>
    private static Question Shared(Question q, int versions) =>
        q with
        {
            Proofs = Once(q.Proofs, versions),
            After = q.After is null ? null : Once(q.After, versions),
        };

    private static IReadOnlyDictionary<string, T> Once<T>(IReadOnlyDictionary<string, T> by, int versions) =>
        by.Count > 0 && by.Count == Math.Max(1, versions) && by.Values.Distinct().Count() == 1
            ? new Dictionary<string, T> { ["all"] = by.Values.First() }
            : by;

    private static QtiVersion Version(XElement stimulus)
    {
        var body = stimulus.Element(Ns + "qti-stimulus-body") ?? stimulus;
        var label = (string?)body.Descendants().FirstOrDefault(e => e.Attribute(Label) is not null)?.Attribute(Label)
            ?? "a";
        var sections = body.Descendants(Ns + "section").ToList();
        return new(
            label,
            [
                .. (sections.Count > 0 ? sections : [body])
                    .Select(s => (IReadOnlyList<string>)[.. Flow.Paragraphs(s)])
                    .Where(p => p.Count > 0),
            ]
        );
    }

    /// <summary>Paths of the items in the order of the tests, then of the archive.</summary>
    private static IEnumerable<string> Order(Dictionary<string, XElement> documents)
    {
        var tests = documents
            .Where(d => d.Value.Name == Ns + "qti-assessment-test")
            .OrderBy(d => d.Key, StringComparer.Ordinal);
        var asked = tests.SelectMany(t =>
            t.Value.Descendants(Ns + "qti-assessment-item-ref")
                .Select(r => Resolve(t.Key, (string?)r.Attribute("href") ?? ""))
        );
        var all = documents
            .Where(d => d.Value.Name == Ns + "qti-assessment-item")
            .Select(d => d.Key)
            .Order(StringComparer.Ordinal);
        return asked
            .Where(p => documents.TryGetValue(p, out var d) && d.Name == Ns + "qti-assessment-item")
            .Concat(all)
            .Distinct();
    }

    private static string Resolve(string from, string href)
    {
        var parts = new List<string>(from.Split('/')[..^1]);
        foreach (var part in href.Split('/', '\\'))
            if (part == ".." && parts.Count > 0)
                parts.RemoveAt(parts.Count - 1);
            else if (part is not ("." or ".." or ""))
                parts.Add(part);
        return string.Join('/', parts);
    }

    private static XElement? Xml(ZipArchiveEntry entry)
    {
        try
        {
            using var stream = ZipGuard.Open(entry, MostBytes);
            using var reader = XmlReader.Create(
                stream,
                new()
                {
                    DtdProcessing = DtdProcessing.Prohibit,
                    XmlResolver = null,
                    MaxCharactersInDocument = MostBytes,
                }
            );
            return XElement.Load(reader);
        }
        catch (XmlException)
        {
            return null;
        }
    }
}

/// <summary>The words of a piece of HTML, as Markdown paragraphs.</summary>
internal static class Flow
{
    private static readonly HashSet<string> Blocks =
    [
        "p",
        "h1",
        "h2",
        "h3",
        "h4",
        "h5",
        "h6",
        "li",
        "td",
        "th",
        "pre",
        "blockquote",
        "figcaption",
    ];

    public static IEnumerable<string> Paragraphs(XElement root)
    {
        var found = root.Descendants()
            .Where(e =>
                Blocks.Contains(e.Name.LocalName) && !e.Descendants().Any(d => Blocks.Contains(d.Name.LocalName))
            )
            .ToList();
        if (found.Count == 0 && Words(root) is { Length: > 0 } only)
        {
            yield return only;
            yield break;
        }
        foreach (var block in found)
            if (Words(block) is { Length: > 0 } text)
                yield return block.Name.LocalName is ['h', >= '1' and <= '6'] h
                    ? $"{new string('#', h[1] - '0')} {text}"
                    : text;
    }

    public static string Words(XElement element) =>
        string.Join(
            ' ',
            string.Concat(element.Nodes().Select(Inline)).Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)
        );

    private static string Inline(XNode node) =>
        node switch
        {
            XText t => t.Value,
            XElement { Name.LocalName: "strong" or "b" } e => $"**{string.Concat(e.Nodes().Select(Inline))}**",
            XElement { Name.LocalName: "em" or "i" } e => $"*{string.Concat(e.Nodes().Select(Inline))}*",
            XElement { Name.LocalName: "br" } => " ",
            XElement e => string.Concat(e.Nodes().Select(Inline)),
            _ => "",
        };
}
