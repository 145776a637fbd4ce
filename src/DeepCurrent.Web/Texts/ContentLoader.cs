using System.Security.Cryptography;
using System.Xml.Linq;
using DeepCurrent.Core.Messages;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Content;

namespace DeepCurrent.Web.Texts;

/// <summary>Puts the texts that ship into the library. Those that are there already are left alone, unless what ships
/// has changed since.</summary>
public sealed class ContentLoader(
    TextStore texts,
    TextKeeper keeper,
    TextPictureStore pictures,
    MeaningStore meanings,
    TimeProvider clock,
    ILogger<ContentLoader> log
)
{
    private const string PictureFile = "picture.svg";

    public async Task<int> Load(string folder)
    {
        var known = await texts.Shipped();
        var changed = 0;
        foreach (var path in Directory.EnumerateDirectories(folder).Order())
        {
            var before = known.GetValueOrDefault(Path.GetFileName(path));
            Message note = $"Shipped version ({Fingerprint(path)})";
            if (note.Equals(before?.Note))
                continue;
            var text = Measured(ContentReader.Read(path));
            await keeper.Save(
                before is null ? text : await WithIdsOf(before.Id, text),
                before?.Revision ?? 0,
                null,
                note,
                clock.GetUtcNow()
            );
            changed++;
        }
        foreach (var path in Directory.EnumerateDirectories(folder).Order())
            if (File.Exists(Path.Combine(path, PictureFile)))
                await pictures.PutShipped(
                    Path.GetFileName(path),
                    Drawing(await File.ReadAllBytesAsync(Path.Combine(path, PictureFile)))
                );
        foreach (var language in Enum.GetValues<Language>())
            await Meanings(folder, language);
        log.LogInformation("{Changed} texts added to the library or brought up to date", changed);
        return changed;
    }

    /// <summary>What words mean in a language, where a file says it.</summary>
    private async Task Meanings(string folder, Language language)
    {
        var name = $"meanings.{language.Code()}.yaml";
        var path = Path.Combine(folder, name);
        if (File.Exists(path))
            await meanings.Put(
                language,
                [
                    .. MeaningsFile
                        .Read(await File.ReadAllTextAsync(path), name)
                        .Select(m => new WordMeaning(m.Word, m.Part, m.Meaning)),
                ]
            );
    }

    /// <summary>A drawing says itself what it shows.</summary>
    private static TextPicture Drawing(byte[] svg)
    {
        var root = XDocument.Load(new MemoryStream(svg)).Root!;
        return new("image/svg+xml", svg, root.Element(root.Name.Namespace + "title")!.Value);
    }

    private static string Fingerprint(string folder)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        // A new drawing is no new revision of its text.
        foreach (
            var file in Directory
                .EnumerateFiles(folder)
                .Where(f => !f.EndsWith(PictureFile, StringComparison.Ordinal))
                .Order()
        )
            hash.AppendData(File.ReadAllBytes(file));
        return Convert.ToHexStringLower(hash.GetHashAndReset())[..12];
    }

    /// <summary>The text with the ids it has here, so that work on its versions and questions stays theirs.</summary>
    private async Task<NewText> WithIdsOf(TextId id, NewText text)
    {
        var versions = (await texts.Bodies(id)).ToDictionary(v => v.Label, v => v.Id);
        var questions = (await texts.Questions(id)).GroupBy(q => q.Stem).ToDictionary(g => g.Key, g => g.First().Id);
        return text with
        {
            Id = id,
            Versions = [.. text.Versions.Select(v => v with { Id = versions.GetValueOrDefault(v.Label, v.Id) })],
            Questions = [.. text.Questions.Select(q => q with { Id = questions.GetValueOrDefault(q.Stem, q.Id) })],
        };
    }

    private static VersionId IdOf(TextFolder text, VersionFile version) =>
        VersionId.From(NamedId.Of(NamedId.Shipped, $"{text.Slug} version {version.Label}"));

    /// <summary>A question is known by what it asks: its place changes when another is put before it.</summary>
    /// <param name="place">From 0.</param>
    private static QuestionId IdOf(TextFolder text, int place)
    {
        var stem = text.Questions[place].Stem;
        var alike = text.Questions.Take(place).Count(q => q.Stem == stem);
        return QuestionId.From(NamedId.Of(NamedId.Shipped, $"{text.Slug} question {alike} {stem}"));
    }

    internal static NewText Measured(TextFolder text) =>
        new()
        {
            Id = TextId.From(NamedId.Of(NamedId.Shipped, text.Slug)),
            SchoolId = null,
            Slug = text.Slug,
            Title = text.Title,
            Kind = text.Kind,
            Topic = text.Topic,
            Fiction = text.Fiction,
            Spelling = text.Spelling,
            Blurb = text.Blurb,
            Versions =
            [
                .. text.Versions.Select((v, i) => TextMeasuring.Version(IdOf(text, v), v.Label, i, v, paged: true)),
            ],
            Questions = [.. text.Questions.Select((q, place) => q with { Id = IdOf(text, place) })],
            Words = [.. text.Words.Select(w => new Word(w.Word, w.PartOfSpeech, w.Meaning, w.Example))],
            Season = text.Season,
        };
}
