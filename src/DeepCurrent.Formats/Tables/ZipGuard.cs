using System.IO.Compression;

namespace DeepCurrent.Formats.Tables;

/// <summary>Keeps archives from growing beyond what they may: what the directory says of a size is not believed.</summary>
public static class ZipGuard
{
    private const int MostEntries = 2_000;

    /// <summary>Unpacks everything once without keeping it.</summary>
    /// <exception cref="Unreadable">Too many entries, or more than <paramref name="most"/> bytes in all.</exception>
    public static void Check(ZipArchive zip, long most)
    {
        if (zip.Entries.Count > MostEntries) throw new Unreadable($"This archive has more than {MostEntries:N0} files in it.");
        var budget = most;
        var buffer = new byte[1 << 16];
        foreach (var entry in zip.Entries)
        {
            using var stream = Open(entry, budget);
            int n;
            while ((n = stream.Read(buffer)) > 0) budget -= n;
        }
    }

    /// <summary>An entry that stops with an <see cref="Unreadable"/> when it gives more than it may.</summary>
    public static Stream Open(ZipArchiveEntry entry, long most) => new Limited(entry.Open(), most);

    private sealed class Limited(Stream inner, long left) : ReadingStream
    {
        public override int Read(Span<byte> buffer)
        {
            int n;
            try { n = inner.Read(buffer); }
            catch (InvalidDataException) { throw new Unreadable("This archive is damaged or cut short."); }
            return (left -= n) < 0 ? throw new Unreadable("This archive unpacks to far more than it should and was not opened.") : n;
        }

        protected override void Dispose(bool disposing)
        {
            if (disposing) inner.Dispose();
            base.Dispose(disposing);
        }
    }
}
