using System.Text.RegularExpressions;
using System.Xml;

namespace DeepCurrent.Formats;

/// <summary>Reads files from outside: with a limit on time and depth, a few at a time, and so that whatever a parser
/// makes of a damaged file is a sentence. Work stops when nobody waits for it any more.</summary>
public static partial class Untrusted
{
    /// <summary>How deep elements, lists or folders may lie in one another.</summary>
    public const int Deepest = 200;

    /// <summary>How long one file may take.</summary>
    public static readonly TimeSpan Longest = TimeSpan.FromSeconds(8);

    private const int Stack = 16 << 20,
        MostOpenAtOnce = 2,
        MostOpenMarks = 1_000_000;

    private static readonly SemaphoreSlim Turns = new(MostOpenAtOnce);

    [ThreadStatic]
    private static Limit? limit;

    private sealed record Limit(long Until, CancellationToken Stop);

    /// <summary>Runs a parser.</summary>
    /// <param name="stop">Says that nobody waits any more.</param>
    /// <exception cref="Unreadable">The file is damaged, nested too deeply, or takes too long.</exception>
    public static async Task<T> Read<T>(Func<T> parse, CancellationToken stop)
    {
        await Turns.WaitAsync(stop);
        try
        {
            var done = new TaskCompletionSource<T>(TaskCreationOptions.RunContinuationsAsynchronously);
            // A thread of its own, with room for what lies deep.
            new Thread(() => Run(parse, done, stop), Stack) { IsBackground = true }.Start();
            return await done.Task;
        }
        finally
        {
            Turns.Release();
        }
    }

    private static void Run<T>(Func<T> parse, TaskCompletionSource<T> done, CancellationToken stop)
    {
        limit = new(Environment.TickCount64 + (long)Longest.TotalMilliseconds, stop);
        try
        {
            done.SetResult(Guarded(parse));
        }
        catch (Exception e)
        {
            done.SetException(e);
        }
    }

    /// <summary>Reads a file that may be anything: whatever a parser throws is that the file cannot be read.</summary>
    /// <exception cref="Unreadable">The file is damaged, or too large.</exception>
    public static T Guarded<T>(Func<T> parse)
    {
        try
        {
            return parse();
        }
        catch (Exception e) when (e is Unreadable or OperationCanceledException)
        {
            throw;
        }
        catch (OutOfMemoryException)
        {
            throw new Unreadable($"This file is too large inside to be read.");
        }
        catch (Exception e)
        {
            throw new Unreadable($"This file is damaged, or not what its name says.", e);
        }
    }

    /// <summary>To be called wherever a parser goes on: throws when time is up or nobody waits.</summary>
    public static void Tick()
    {
        if (limit is not { } l)
            return;
        l.Stop.ThrowIfCancellationRequested();
        if (Environment.TickCount64 > l.Until)
            throw new Unreadable($"This file takes too long to read. Split it and import the parts.");
    }

    /// <summary>Looks through XML for elements that lie too deep. What is no XML is left for its reader to
    /// say.</summary>
    public static void Depth(Stream xml)
    {
        using var reader = XmlReader.Create(xml, new() { DtdProcessing = DtdProcessing.Ignore, XmlResolver = null });
        try
        {
            while (reader.Read())
                if (reader.Depth > Deepest)
                    throw TooDeep();
        }
        catch (XmlException) { }
    }

    /// <summary>Looks through HTML for elements that lie too deep, and for marks that are opened and never closed: each
    /// is opened again in every paragraph that follows.</summary>
    public static void Html(string html)
    {
        int depth = 0,
            marks = 0;
        long work = 0;
        foreach (var tag in Tag().EnumerateMatches(html))
        {
            Tick();
            var text = html.AsSpan(tag.Index, tag.Length);
            var closing = text[1] == '/';
            var name = text[(closing ? 2 : 1)..];
            if (Contains(Marks, name))
                marks = Math.Max(0, marks + (closing ? -1 : 1));
            // Paragraphs, rows and items close one another; what stands alone never opens.
            else if (!Contains(Closing, name))
                depth = Math.Max(0, depth + (closing ? -1 : 1));
            if (depth + marks > Deepest || (work += marks) > MostOpenMarks)
                throw TooDeep();
        }
    }

    /// <summary>Looks through YAML for lists that lie too deep.</summary>
    public static void Yaml(string yaml)
    {
        var open = 0;
        foreach (var line in yaml.AsSpan().EnumerateLines())
        {
            Tick();
            if (line.Length - line.TrimStart(" -?").Length > Deepest)
                throw TooDeep();
            foreach (var sign in line)
                if (
                    (
                        open +=
                            sign is '[' or '{' ? 1
                            : sign is ']' or '}' && open > 0 ? -1
                            : 0
                    ) > Deepest
                )
                    throw TooDeep();
        }
    }

    private static readonly string[] Marks =
    [
        "b",
        "i",
        "u",
        "a",
        "em",
        "strong",
        "font",
        "small",
        "big",
        "s",
        "strike",
        "code",
        "tt",
        "nobr",
    ];

    private static readonly string[] Closing =
    [
        "p",
        "li",
        "dt",
        "dd",
        "tr",
        "td",
        "th",
        "thead",
        "tbody",
        "option",
        "br",
        "img",
        "hr",
        "input",
        "meta",
        "link",
        "wbr",
        "col",
        "source",
        "area",
        "base",
        "embed",
        "track",
        "html",
        "head",
        "body",
    ];

    private static bool Contains(string[] names, ReadOnlySpan<char> name)
    {
        foreach (var n in names)
            if (name.Equals(n, StringComparison.OrdinalIgnoreCase))
                return true;
        return false;
    }

    private static Unreadable TooDeep() => new($"This file is nested too deeply. It was not opened.");

    [GeneratedRegex("</?[a-zA-Z][a-zA-Z0-9]*")]
    private static partial Regex Tag();
}
