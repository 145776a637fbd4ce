using YamlDotNet.Core;
using YamlDotNet.Serialization;
using YamlDotNet.Serialization.NamingConventions;

namespace DeepCurrent.Formats.Content;

/// <summary>Reads a content folder: text.yaml, one Markdown file a version, and quiz.yaml where there is a
/// quiz.</summary>
public static class ContentReader
{
    private static readonly IDeserializer Yaml = new DeserializerBuilder()
        .WithNamingConvention(CamelCaseNamingConvention.Instance)
        .Build();

    /// <summary>A folder on disk.</summary>
    /// <exception cref="ContentFault">A file is missing or does not follow the layout.</exception>
    public static TextFolder Read(string folder) =>
        Read(
            Path.GetFileName(Path.TrimEndingDirectorySeparator(folder)),
            Directory
                .EnumerateFiles(folder)
                .Where(f => Path.GetExtension(f) is ".yaml" or ".md")
                .ToDictionary(f => Path.GetFileName(f), File.ReadAllText)
        );

    /// <summary>A folder's files, by name.</summary>
    /// <exception cref="ContentFault">A file is missing or does not follow the layout.</exception>
    public static TextFolder Read(string slug, IReadOnlyDictionary<string, string> files)
    {
        var head = Parse<Head>(
            files.GetValueOrDefault("text.yaml") ?? throw new ContentFault($"{slug} has no text.yaml."),
            "text.yaml"
        );
        var quiz = files.TryGetValue("quiz.yaml", out var yaml) ? Parse<List<QuizEntry>>(yaml, "quiz.yaml") : [];
        var versions = files
            .Where(f => f.Key.EndsWith(".md", StringComparison.Ordinal))
            .Select(f => Version(f.Key, f.Value))
            .OrderBy(v => v.Target)
            .ThenBy(v => v.Label, StringComparer.Ordinal)
            .ToList();
        if (versions.Count == 0)
            throw new ContentFault($"{slug} has no version (*.md).");
        return new(
            slug,
            head.Title,
            head.Kind,
            head.Topic,
            head.Fiction,
            head.Spelling,
            head.Blurb,
            head.Season,
            versions,
            [.. quiz.Select((q, i) => q.Question(slug, i))],
            [.. head.Words.Select(w => new WordFile(w.Word, w.Part, w.Meaning, w.Example))]
        );
    }

    private static VersionFile Version(string name, string file)
    {
        var text = file.Replace("\r", "");
        var end = text.IndexOf("\n---\n", Math.Min(4, text.Length), StringComparison.Ordinal);
        if (!text.StartsWith("---\n", StringComparison.Ordinal) || end < 0)
            throw new ContentFault($"{name} does not begin with front matter between --- lines.");
        var front = Parse<Front>(text[4..end], name);
        return new(Path.GetFileNameWithoutExtension(name), front.Target, text[(end + 5)..].Trim());
    }

    /// <summary>A file of the content, as YAML.</summary>
    /// <exception cref="ContentFault">It cannot be read.</exception>
    internal static T Parse<T>(string yaml, string name)
    {
        Untrusted.Yaml(yaml);
        try
        {
            return Yaml.Deserialize<T>(yaml) ?? throw new ContentFault($"{name} is empty.");
        }
        catch (YamlException e)
        {
            throw new ContentFault($"{name}, line {e.Start.Line}: {e.InnerException?.Message ?? e.Message}");
        }
    }

    private sealed class Front
    {
        public double Target { get; set; }
    }
}
