using System.IO.Compression;
using System.Text;
using CsvHelper;
using DeepCurrent.Core.Roster;
using DeepCurrent.Formats.Tables;

namespace DeepCurrent.Formats.OneRoster;

/// <summary>What people have put right in a file: cells by file, line and column, and rows left out.</summary>
public sealed record Mends(
    IReadOnlyDictionary<(string File, int Line, string Column), string> Cells,
    IReadOnlySet<(string File, int Line)> LeftOut
)
{
    public static readonly Mends None = new(
        new Dictionary<(string, int, string), string>(),
        new HashSet<(string, int)>()
    );
}

/// <param name="Orgs">The schools and districts the file names: id, name, type.</param>
public sealed record OneRosterFile(SourceRoster Roster, IReadOnlyList<(string Id, string Name, string Type)> Orgs);

/// <summary>Reads the OneRoster 1.2 CSV binding (and 1.1's, which puts roles in the users' rows): a zip with
/// manifest.csv and one file for each kind of thing.</summary>
/// <remarks>1EdTech, OneRoster 1.2 CSV Binding.</remarks>
public static class OneRosterZip
{
    private const long Largest = 1L << 30;

    // In the order in which they lean on one another.
    private static readonly string[] Files =
    [
        "orgs",
        "academicSessions",
        "courses",
        "classes",
        "roles",
        "users",
        "enrollments",
    ];

    // What a file may hold of people that is not kept here, and why.
    private static readonly (string File, Message Why)[] NotKept =
    [
        ("demographics", $"Birth dates, sex and ethnicity are not imported."),
    ];
    private const string Unnamed = "OneRoster file";
    private static readonly Dictionary<string, string[]> Needed = new()
    {
        ["orgs"] = ["sourcedId", "name", "type"],
        ["academicSessions"] = ["sourcedId", "startDate", "endDate"],
        ["courses"] = ["sourcedId"],
        ["classes"] = ["sourcedId", "title"],
        ["roles"] = ["userSourcedId", "role"],
        ["users"] = ["sourcedId", "givenName", "familyName"],
        ["enrollments"] = ["sourcedId", "classSourcedId", "userSourcedId", "role"],
    };

    /// <summary>The system an archive comes from, and the schools and districts it names.</summary>
    /// <exception cref="Unreadable">No zip, or damaged.</exception>
    public static (string Source, IReadOnlyList<(string Id, string Name, string Type)> Orgs) Head(byte[] bytes) =>
        Untrusted.Guarded(() => HeadOf(bytes));

    private static (string Source, IReadOnlyList<(string Id, string Name, string Type)> Orgs) HeadOf(byte[] bytes)
    {
        using var zip = Open(bytes);
        var (scopes, source) = Manifest(zip);
        var builder = new RosterBuilder(null, new HashSet<string>());
        if (
            Entry(zip, "orgs") is { } entry
            && scopes.GetValueOrDefault("orgs", SourceScope.Whole) != SourceScope.Absent
        )
        {
            using var stream = ZipGuard.Open(entry, Largest);
            Rows(stream, "orgs", builder, Mends.None, _ => { });
        }
        return (source, builder.Orgs);
    }

    private static ZipArchive Open(byte[] bytes) =>
        bytes.AsSpan().StartsWith("PK"u8)
            ? TableFile.OpenZip(bytes)
            : throw new Unreadable($"This is not a zip archive. Choose a OneRoster zip with manifest.csv inside.");

    /// <param name="org">Only what belongs to this org; null for everything in the file.</param>
    /// <param name="read">Told the bytes unpacked so far and in all.</param>
    /// <exception cref="Unreadable">No zip, no roster in it, or more than can be taken in.</exception>
    public static OneRosterFile Read(byte[] bytes, string? org, Mends mends, Action<long, long>? read = null) =>
        Untrusted.Guarded(() => ReadAll(bytes, org, mends, read));

    private static OneRosterFile ReadAll(byte[] bytes, string? org, Mends mends, Action<long, long>? read)
    {
        using var zip = Open(bytes);
        var (scopes, source) = Manifest(zip);
        SourceScope Scope(string file) =>
            Entry(zip, file) is null ? SourceScope.Absent : scopes.GetValueOrDefault(file, SourceScope.Whole);
        var builder = new RosterBuilder(org, Files.Where(f => Scope(f) == SourceScope.Whole).ToHashSet());
        long total = Files.Sum(f => Entry(zip, f)?.Length ?? 0),
            done = 0,
            budget = Largest;
        foreach (var file in Files.Where(f => Scope(f) != SourceScope.Absent))
        {
            using var stream = ZipGuard.Open(Entry(zip, file)!, budget);
            done += Rows(stream, file, builder, mends, n => read?.Invoke(done + n, total));
            budget = Largest - done;
            read?.Invoke(done, total);
        }
        foreach (var (file, why) in NotKept)
        {
            if (
                Entry(zip, file) is not { } entry
                || scopes.GetValueOrDefault(file, SourceScope.Whole) == SourceScope.Absent
            )
                continue;
            using var stream = ZipGuard.Open(entry, budget);
            if (Count(stream) is var rows and > 0)
                builder.Unused(file + ".csv", rows, why);
        }
        if (Entry(zip, "users") is null && Entry(zip, "classes") is null && Entry(zip, "enrollments") is null)
            throw new Unreadable($"This archive has no users.csv, classes.csv or enrollments.csv.");
        return new(builder.Build(source, Scope("users"), Scope("classes"), Scope("enrollments")), builder.Orgs);
    }

    private static int Count(Stream stream)
    {
        using var csv = new CsvParser(new StreamReader(stream), TableFile.Settings(","));
        var rows = -1;
        try
        {
            while (csv.Read())
                rows++;
        }
        catch (CsvHelperException)
        { /* Nothing of it is used; how many rows there are is only said. */
        }
        return Math.Max(0, rows);
    }

    /// <summary>The same archive without the rows of one user: wherever a column says that a row is theirs.</summary>
    /// <returns>Null where none of its rows is.</returns>
    /// <exception cref="Unreadable">No zip, or damaged.</exception>
    public static byte[]? Without(byte[] bytes, string userSourcedId) =>
        Untrusted.Guarded(() => WithoutUser(bytes, userSourcedId));

    private static byte[]? WithoutUser(byte[] bytes, string userSourcedId)
    {
        var removed = 0;
        using var made = new MemoryStream();
        using (var from = TableFile.OpenZip(bytes))
        using (var to = new ZipArchive(made, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var entry in from.Entries)
            {
                using var read = ZipGuard.Open(entry, Largest);
                using var write = to.CreateEntry(entry.FullName).Open();
                if (entry.Name.EndsWith(".csv", StringComparison.OrdinalIgnoreCase))
                    removed += Without(
                        read,
                        write,
                        entry.Name.StartsWith("users", StringComparison.OrdinalIgnoreCase),
                        userSourcedId
                    );
                else
                    read.CopyTo(write);
            }
        return removed == 0 ? null : made.ToArray();
    }

    private static int Without(Stream from, Stream to, bool users, string id)
    {
        using var counted = new Counted(from);
        using var text = Text(counted);
        using var csv = new CsvParser(text, TableFile.Settings(","));
        using var write = new StreamWriter(to, new UTF8Encoding(encoderShouldEmitUTF8Identifier: false));
        var columns = Array.Empty<int>();
        var removed = 0;
        while (csv.Read())
        {
            var cells = csv.Record ?? [];
            if (csv.Row == 1)
                columns =
                [
                    .. cells
                        .Select((h, i) => (Name: h.Trim().TrimStart('\uFEFF'), i))
                        .Where(h =>
                            h.Name.Equals("userSourcedId", StringComparison.OrdinalIgnoreCase)
                            || (users && h.Name.Equals("sourcedId", StringComparison.OrdinalIgnoreCase))
                        )
                        .Select(h => h.i),
                ];
            else if (columns.Any(i => i < cells.Length && cells[i] == id))
            {
                removed++;
                continue;
            }
            write.Write(csv.RawRecord);
        }
        return removed;
    }

    // What each file is, and the system the archive comes from.
    private static (Dictionary<string, SourceScope> Scopes, string Source) Manifest(ZipArchive zip)
    {
        var scopes = new Dictionary<string, SourceScope>();
        string name = "",
            code = "";
        if (Entry(zip, "manifest") is not { } entry)
            return (scopes, Unnamed);
        using var stream = ZipGuard.Open(entry, 1 << 20);
        using var text = new StreamReader(stream);
        using var csv = new CsvParser(text, TableFile.Settings(","));
        while (csv.Read())
        {
            if (csv.Record is not [var property, var value, ..])
                continue;
            if (property == "source.systemName")
                name = Names.Tidy(value);
            else if (property == "source.systemCode")
                code = Names.Tidy(value);
            else if (property.StartsWith("file.", StringComparison.Ordinal))
                scopes[property[5..]] = value.ToLowerInvariant() switch
                {
                    "bulk" => SourceScope.Whole,
                    "delta" => SourceScope.Changes,
                    _ => SourceScope.Absent,
                };
        }
        var source =
            code.Length > 0 ? code
            : name.Length > 0 ? name
            : Unnamed;
        return (scopes, source.Length > 120 ? source[..120] : source);
    }

    // Some exports put everything into one folder; names with more of a path are not looked at.
    private static ZipArchiveEntry? Entry(ZipArchive zip, string file) =>
        zip.Entries.FirstOrDefault(e =>
            e.Name.Equals(file + ".csv", StringComparison.OrdinalIgnoreCase)
            && e.FullName.Count(c => c is '/' or '\\') <= 1
            && !e.FullName.Contains("..", StringComparison.Ordinal)
        );

    private static long Rows(Stream stream, string file, RosterBuilder builder, Mends mends, Action<long> read)
    {
        using var counted = new Counted(stream);
        using var text = Text(counted);
        using var csv = new CsvParser(text, TableFile.Settings(","));
        var name = file + ".csv";
        if (!csv.Read())
            return counted.Bytes;
        var columns = Columns(csv, file, name);
        var take = TakerOf(file, builder);
        var mended = mends.Cells.Keys.Where(k => k.File == name).Select(k => k.Line).ToHashSet();
        var line = 1;
        try
        {
            while (csv.Read())
            {
                line++;
                if (csv.Record is not { } cells || cells.All(c => c.Length == 0))
                    continue;
                if (mends.LeftOut.Contains((name, line)))
                    builder.LeaveOut(file, new CsvRow(new(name, line), columns, cells));
                else
                    take(
                        mended.Contains(line)
                            ? new MendedRow(new(name, line), columns, cells, mends)
                            : new CsvRow(new(name, line), columns, cells)
                    );
                if (line % 4096 == 0)
                    read(counted.Bytes);
            }
        }
        catch (CsvHelperException)
        {
            throw new Unreadable($"{name} cannot be read after line {line}. Look for an open quotation mark.");
        }
        return counted.Bytes;
    }

    /// <summary>Where each column stands; refused where one is missing that is needed.</summary>
    private static Dictionary<string, int> Columns(CsvParser csv, string file, string name)
    {
        var columns = (csv.Record ?? [])
            .Select((heading, i) => (heading, i))
            .GroupBy(x => x.heading.Trim().TrimStart('\uFEFF'), StringComparer.OrdinalIgnoreCase)
            .ToDictionary(g => g.Key, g => g.First().i, StringComparer.OrdinalIgnoreCase);
        if (Needed[file].Where(n => !columns.ContainsKey(n)).ToList() is { Count: > 0 } missing)
            throw new Unreadable($"{name} has no column {missing}.");
        return columns;
    }

    private static Action<ISourceRow> TakerOf(string file, RosterBuilder builder) =>
        file switch
        {
            "orgs" => builder.Org,
            "academicSessions" => builder.Session,
            "courses" => builder.Course,
            "classes" => builder.Class,
            "roles" => builder.Role,
            "users" => builder.User,
            _ => builder.Enrolment,
        };

    private static StreamReader Text(Counted stream)
    {
        var head = new byte[4096];
        var n = stream.ReadAtLeast(head, head.Length, throwOnEndOfStream: false);
        var (encoding, _) = Decoding.Detect(head.AsSpan(0, n));
        return new(new Joined(head.AsMemory(0, n), stream), encoding, detectEncodingFromByteOrderMarks: true, 1 << 16);
    }

    /// <summary>Counts what has been read of a stream.</summary>
    private sealed class Counted(Stream inner) : ReadingStream
    {
        public long Bytes { get; private set; }

        public override int Read(Span<byte> buffer)
        {
            var n = inner.Read(buffer);
            Bytes += n;
            return n;
        }
    }

    /// <summary>What has been looked at already, then the rest.</summary>
    private sealed class Joined(Memory<byte> head, Stream rest) : ReadingStream
    {
        private Memory<byte> left = head;

        public override int Read(Span<byte> buffer)
        {
            if (left.IsEmpty)
                return rest.Read(buffer);
            var n = Math.Min(left.Length, buffer.Length);
            left.Span[..n].CopyTo(buffer);
            left = left[n..];
            return n;
        }
    }
}
