using System.IO.Compression;
using System.Text;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Tables;
using DeepCurrent.Formats.Texts;

namespace Formats.Tests;

/// <summary>A good file of every kind that is taken in, and what can become of it on the way.</summary>
public static class DamagedFiles
{
    private static readonly (string Name, string Rows)[] Roster =
    [
        ("manifest.csv", "propertyName,value\noneroster.version,1.2\n"),
        ("orgs.csv", "sourcedId,name,type\no1,North,school\n"),
        ("classes.csv", "sourcedId,title\nc1,4 Tern\n"),
        ("users.csv", "sourcedId,role,givenName,familyName,grades\nr1,student,Mina,Ode,04\n"),
        ("enrollments.csv", "sourcedId,classSourcedId,userSourcedId,role\ne1,c1,r1,student\n"),
    ];

    /// <param name="content">The folder of the texts that ship.</param>
    public static IReadOnlyList<(string Name, byte[] Bytes)> Good(string content)
    {
        var folder = ContentReader.Read(Path.Combine(content, "the-ferry-cat"));
        var formats = new[] { "md", "html", "docx", "epub", "zip", "qti" };
        return
        [
            .. formats.Select(format =>
                (
                    $"text.{(format == "qti" ? "zip" : format)}",
                    TextWriters
                        .Write(folder, [], null, format, folder.Versions[0].Label, Guid.Empty, DateTimeOffset.UnixEpoch)
                        .Bytes
                )
            ),
            (
                "list.xlsx",
                TableFile.WriteXlsx(
                    "Readers",
                    ["Given name", "Grade"],
                    [
                        ["Mina", 4],
                        ["Ravi", 5],
                    ]
                )
            ),
            ("list.csv", Encoding.UTF8.GetBytes("Given name,Grade\nMina,4\nRavi,5\n")),
            ("roster.zip", RosterZip()),
        ];
    }

    /// <summary>Cut short, changed here and there, or joined to itself.</summary>
    public static byte[] Damaged(byte[] bytes, Random chance)
    {
        var copy = bytes.ToArray();
        if (chance.Next(3) == 0)
            return copy[..chance.Next(copy.Length)];
        for (var i = 1 + chance.Next(12); i > 0; i--)
            copy[chance.Next(copy.Length)] = (byte)chance.Next(256);
        return chance.Next(4) == 0
            ? [.. copy[..chance.Next(copy.Length)], .. bytes[chance.Next(bytes.Length)..]]
            : copy;
    }

    private static byte[] RosterZip()
    {
        using var body = new MemoryStream();
        using (var zip = new ZipArchive(body, ZipArchiveMode.Create, leaveOpen: true))
            foreach (var (name, rows) in Roster)
            {
                using var w = new StreamWriter(zip.CreateEntry(name).Open());
                w.Write(rows);
            }
        return body.ToArray();
    }
}
