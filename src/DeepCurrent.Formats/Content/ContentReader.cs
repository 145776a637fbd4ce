using DeepCurrent.Core.Questions;
using YamlDotNet.Core;
using YamlDotNet.Serialization;
using YamlDotNet.Serialization.NamingConventions;

namespace DeepCurrent.Formats.Content;

/// <summary>Reads a content folder.</summary>
public static class ContentReader
{
    private static readonly IDeserializer Yaml = new DeserializerBuilder().WithNamingConvention(CamelCaseNamingConvention.Instance).Build();

    /// <exception cref="ContentFault">A file is missing or does not follow the layout.</exception>
    public static TextFolder Read(string folder)
    {
        var slug = Path.GetFileName(Path.TrimEndingDirectorySeparator(folder));
        var head = Load<Head>(folder, "text.yaml");
        var quiz = Load<List<Question>>(folder, "quiz.yaml");
        var versions = Directory.EnumerateFiles(folder, "*.md").Select(Version).OrderBy(v => v.Target).ToList();
        if (versions.Count == 0) throw new ContentFault($"{slug} has no version (*.md).");
        return new(slug, head.Title, head.Kind, head.Topic, head.Fiction, head.Spelling, head.Blurb, versions,
            [.. quiz.Select((q, i) => Of(slug, q, i + 1))], [.. head.Words.Select(w => new WordFile(w.Word, w.Part, w.Meaning, w.Example))]);
    }

    private static QuestionFile Of(string slug, Question q, int number)
    {
        var strand = q.Strand switch
        {
            "retrieve" => Strand.Retrieve, "infer" => Strand.Infer, "word meaning" => Strand.WordMeaning, "summarise" => Strand.Summarise,
            "structure" => Strand.Structure, "author's craft" => Strand.AuthorsCraft, "connect" => Strand.Connect,
            var other => throw new ContentFault($"{slug}, question {number}: there is no strand called {other}."),
        };
        var choices = q.Choices.Select(c => c.Right is null
            ? new ChoiceFile(c.Wrong ?? throw new ContentFault($"{slug}, question {number}: a choice is neither right nor wrong."), false, c.Because)
            : new ChoiceFile(c.Right, true, c.Because)).ToList();
        return new(strand, q.Ask, choices, q.Proof);
    }

    private static VersionFile Version(string path)
    {
        var text = File.ReadAllText(path).Replace("\r", "");
        var end = text.IndexOf("\n---\n", 4, StringComparison.Ordinal);
        if (!text.StartsWith("---\n", StringComparison.Ordinal) || end < 0) throw new ContentFault($"{Path.GetFileName(path)} does not begin with front matter between --- lines.");
        var front = Parse<Front>(text[4..end], path);
        return new(Path.GetFileNameWithoutExtension(path), front.Target, text[(end + 5)..].Trim());
    }

    private static T Load<T>(string folder, string file)
    {
        var path = Path.Combine(folder, file);
        return File.Exists(path) ? Parse<T>(File.ReadAllText(path), path) : throw new ContentFault($"{Path.GetFileName(folder)} has no {file}.");
    }

    private static T Parse<T>(string yaml, string path)
    {
        try { return Yaml.Deserialize<T>(yaml) ?? throw new ContentFault($"{Path.GetFileName(path)} is empty."); }
        catch (YamlException e) { throw new ContentFault($"{Path.GetFileName(path)}, line {e.Start.Line}: {e.InnerException?.Message ?? e.Message}"); }
    }

    private sealed class Head
    {
        public string Title { get; set; } = ""; public string Kind { get; set; } = ""; public string Topic { get; set; } = "";
        public bool Fiction { get; set; }
        public string Spelling { get; set; } = "British"; public string Blurb { get; set; } = "";
        public List<WordEntry> Words { get; set; } = [];
    }

    private sealed class WordEntry { [YamlMember(Alias = "word")] public string Word { get; set; } = ""; public string Part { get; set; } = ""; public string Meaning { get; set; } = ""; public string Example { get; set; } = ""; }

    private sealed class Front { public double Target { get; set; } }

    private sealed class Question
    {
        public string Strand { get; set; } = ""; public string Ask { get; set; } = "";
        public List<Choice> Choices { get; set; } = [];
        public Dictionary<string, string> Proof { get; set; } = [];
    }

    private sealed class Choice { public string? Right { get; set; } public string? Wrong { get; set; } public string Because { get; set; } = ""; }
}
