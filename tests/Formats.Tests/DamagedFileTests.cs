using System.IO.Compression;
using System.Text;
using CsCheck;
using DeepCurrent.Formats;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Formats.Qti;
using DeepCurrent.Formats.Tables;
using DeepCurrent.Formats.Texts;

namespace Formats.Tests;

/// <summary>Files that are cut short, changed at random, or made to hold a reader up: each is read or refused with a
/// sentence.</summary>
public sealed class DamagedFileTests
{
    private static readonly IReadOnlyList<(string Name, byte[] Bytes)> Good = DamagedFiles.Good(Shipped.Content);

    private static object Parse(string name, byte[] bytes) =>
        name == "roster.zip" ? OneRosterZip.Read(bytes, null, Mends.None)
        : name.StartsWith("list", StringComparison.Ordinal) ? TableFile.Read(bytes)
        : TextFiles.Read(name, bytes);

    [Fact]
    public void Whatever_is_done_to_a_file_it_is_read_or_refused_with_a_sentence() =>
        Gen.Select(Gen.Int[0, Good.Count - 1], Gen.Int)
            .Sample(
                (which, seed) =>
                {
                    var (name, bytes) = Good[which];
                    try
                    {
                        Untrusted
                            .Read(() => Parse(name, DamagedFiles.Damaged(bytes, new Random(seed))), default)
                            .GetAwaiter()
                            .GetResult();
                    }
                    catch (Unreadable e)
                    {
                        return e.Message.Length > 10;
                    }
                    return true;
                },
                iter: 600
            );

    [Fact]
    public void A_damaged_roster_is_read_or_refused_with_a_sentence_in_every_way_it_is_looked_at()
    {
        var (_, zip) = Good.First(g => g.Name == "roster.zip");
        Gen.Int.Sample(
            seed =>
            {
                var damaged = DamagedFiles.Damaged(zip, new Random(seed));
                foreach (
                    var look in new Action[]
                    {
                        () => OneRosterZip.Head(damaged),
                        () => OneRosterZip.Read(damaged, null, Mends.None),
                        () => OneRosterZip.Without(damaged, "r1"),
                    }
                )
                    try
                    {
                        look();
                    }
                    catch (Unreadable e)
                    {
                        e.Message.Length.ShouldBeGreaterThan(10);
                    }
            },
            iter: 1500
        );
    }

    [Fact]
    public void The_inside_of_an_archive_may_be_damaged_too() =>
        Gen.Select(Gen.Int[0, Good.Count - 1], Gen.Int)
            .Sample(
                (which, seed) =>
                {
                    var (name, bytes) = Good[which];
                    if (bytes is not [(byte)'P', (byte)'K', ..])
                        return true;
                    var chance = new Random(seed);
                    using var made = new MemoryStream();
                    using (var from = new ZipArchive(new MemoryStream(bytes)))
                    using (var to = new ZipArchive(made, ZipArchiveMode.Create, leaveOpen: true))
                        foreach (var entry in from.Entries)
                        {
                            using var read = new MemoryStream();
                            using (var stream = entry.Open())
                                stream.CopyTo(read);
                            using var write = to.CreateEntry(entry.FullName).Open();
                            write.Write(
                                chance.Next(3) == 0 && read.Length > 0
                                    ? DamagedFiles.Damaged(read.ToArray(), chance)
                                    : read.ToArray()
                            );
                        }
                    try
                    {
                        Untrusted.Read(() => Parse(name, made.ToArray()), default).GetAwaiter().GetResult();
                    }
                    catch (Unreadable e)
                    {
                        return e.Message.Length > 10;
                    }
                    return true;
                },
                iter: 400
            );

    private static string Nested(string open, string close, int times) =>
        $"<html><body>{string.Concat(Enumerable.Repeat(open, times))}"
        + $"x{string.Concat(Enumerable.Repeat(close, times))}</body></html>";

    public static TheoryData<string> Deep =>
        [
            Nested("<div>", "</div>", 40_000),
            Nested("<b>", "", 100_000),
            string.Concat(
                "<html>",
                string.Concat(Enumerable.Range(0, 150).Select(i => $"<b a{i}>")),
                string.Concat(Enumerable.Repeat("<p>x", 60_000))
            ),
            Nested("<table><tr><td>", "", 30_000),
        ];

    [Theory, MemberData(nameof(Deep))]
    public async Task Nested_tags_are_refused_before_they_hold_a_core(string html) =>
        (
            await Should.ThrowAsync<Unreadable>(() =>
                Untrusted.Read(() => TextFiles.Read("deep.html", Encoding.UTF8.GetBytes(html)), default)
            )
        ).Message.ShouldContain("too deeply");

    [Fact]
    public async Task Nested_elements_in_archives_and_nested_lists_in_yaml_are_refused()
    {
        static byte[] Zip(string path, string content)
        {
            using var made = new MemoryStream();
            using (var zip = new ZipArchive(made, ZipArchiveMode.Create, leaveOpen: true))
            {
                using var entry = zip.CreateEntry(path).Open();
                entry.Write(Encoding.UTF8.GetBytes(content));
            }
            return made.ToArray();
        }
        var xml = string.Concat(Enumerable.Repeat("<a>", 50_000)) + string.Concat(Enumerable.Repeat("</a>", 50_000));
        foreach (
            var bytes in new[]
            {
                Zip("word/document.xml", xml),
                Zip("META-INF/container.xml", xml),
                Zip("imsmanifest.xml", xml),
                Zip("text/text.yaml", $"title: {new string('[', 60_000)}"),
            }
        )
            (
                await Should.ThrowAsync<Unreadable>(() => Untrusted.Read(() => TextFiles.Read("x.zip", bytes), default))
            ).Message.ShouldContain("too deeply");
        (
            await Should.ThrowAsync<Unreadable>(() =>
                Untrusted.Read(() => QtiReader.Read(new MemoryStream(Zip("item.xml", xml))), default)
            )
        ).Message.ShouldContain("too deeply");
    }

    [Fact]
    public void An_ordinary_page_with_unclosed_paragraphs_and_items_is_no_deep_one() =>
        TextFiles
            .Read(
                "page.html",
                Encoding.UTF8.GetBytes(
                    $"<html><body><ul>{string.Concat(Enumerable.Repeat("<li>a <b>word</b>", 3000))}"
                        + $"</ul>{string.Concat(Enumerable.Repeat("<p>We ran to the sea.", 3000))}</body></html>"
                )
            )
            .Texts.Count.ShouldBeGreaterThan(0);

    [Fact]
    public async Task Work_stops_when_nobody_waits_for_it()
    {
        using var gone = new CancellationTokenSource();
        int Endless()
        {
            gone.Cancel();
            while (true)
                Untrusted.Tick();
        }
        await Should.ThrowAsync<OperationCanceledException>(() => Untrusted.Read(Endless, gone.Token));
    }

    [Fact]
    public void A_roster_that_is_cut_short_is_refused_with_a_sentence()
    {
        using var made = new MemoryStream();
        using (var zip = new ZipArchive(made, ZipArchiveMode.Create, leaveOpen: true))
        {
            using var users = new StreamWriter(zip.CreateEntry("users.csv").Open());
            users.Write("sourcedId,givenName,familyName\n");
            for (var i = 0; i < 4000; i++)
                users.Write($"u{i},Reader{i},Test{i * 7919 % 4001}\n");
        }
        var bytes = made.ToArray();
        // The directory stands at the end: with it kept, what is cut out of the middle is only found while unpacking.
        byte[] holed =
        [
            .. bytes[..(bytes.Length / 3)],
            .. new byte[bytes.Length / 3],
            .. bytes[(bytes.Length / 3 * 2)..],
        ];
        foreach (var bad in new[] { bytes[..(bytes.Length / 2)], holed })
            Should.Throw<Unreadable>(() => OneRosterZip.Read(bad, null, Mends.None));
    }
}
