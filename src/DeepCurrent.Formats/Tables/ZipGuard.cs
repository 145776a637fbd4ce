using System.IO.Compression;
using System.IO.Hashing;

namespace DeepCurrent.Formats.Tables;

/// <summary>Keeps archives from growing beyond what they may: what the directory says of a size is not
/// believed.</summary>
public static class ZipGuard
{
    private const int MostEntries = 2_000;

    /// <summary>Unpacks everything once without keeping it.</summary>
    /// <exception cref="Unreadable">Too many entries, or more than <paramref name="most"/> bytes in all.</exception>
    public static void Check(ZipArchive zip, long most)
    {
        if (zip.Entries.Count > MostEntries)
            throw new Unreadable($"This archive has more than {MostEntries} files.");
        var budget = most;
        var buffer = new byte[1 << 16];
        foreach (var entry in zip.Entries)
        {
            using (var stream = Open(entry, budget))
            {
                int n;
                while ((n = stream.Read(buffer)) > 0)
                    budget -= n;
            }
            if (!IsXml(entry.Name))
                continue;
            using var again = Open(entry, most);
            Untrusted.Depth(again);
        }
    }

    private static bool IsXml(string name) =>
        Path.GetExtension(name).ToLowerInvariant() is ".xml" or ".rels" or ".opf" or ".ncx" or ".xhtml";

    /// <summary>An entry that stops with an <see cref="Unreadable"/> when it gives more than it may.</summary>
    /// <exception cref="Unreadable">The archive is damaged.</exception>
    public static Stream Open(ZipArchiveEntry entry, long most)
    {
        try
        {
            return new Limited(entry.Open(), most, entry.Crc32);
        }
        catch (Exception e) when (e is InvalidDataException or IOException or NotSupportedException)
        {
            throw Damaged();
        }
    }

    private static Unreadable Damaged() => new($"This archive is damaged or incomplete.");

    /// <summary>Counts what comes, and compares its sum at the end: an archive that is damaged in the middle may unpack
    /// to something shorter without a word.</summary>
    private sealed class Limited(Stream inner, long left, uint sum) : ReadingStream
    {
        private long rest = left;
        private readonly Crc32 seen = new();

        public override int Read(Span<byte> buffer)
        {
            Untrusted.Tick();
            int n;
            try
            {
                n = inner.Read(buffer);
            }
            catch (Exception e) when (e is InvalidDataException or IOException)
            {
                throw Damaged();
            }
            if (n == 0 && buffer.Length > 0 && seen.GetCurrentHashAsUInt32() != sum)
                throw Damaged();
            seen.Append(buffer[..n]);
            return (rest -= n) < 0
                ? throw new Unreadable($"This archive is far larger inside than it should be. It was not opened.")
                : n;
        }

        protected override void Dispose(bool disposing)
        {
            if (disposing)
                inner.Dispose();
            base.Dispose(disposing);
        }
    }
}
