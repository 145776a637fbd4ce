namespace DeepCurrent.Formats.Content;

/// <summary>What a word means in another language.</summary>
public sealed class MeaningEntry
{
    public string Word { get; set; } = "";

    public string Part { get; set; } = "";

    public string Meaning { get; set; } = "";
}

/// <summary>Reads meanings.xx.yaml: what words to know mean in one language.</summary>
public static class MeaningsFile
{
    /// <exception cref="ContentFault">The file does not follow the layout.</exception>
    public static IReadOnlyList<MeaningEntry> Read(string yaml, string name)
    {
        var entries = ContentReader.Parse<List<MeaningEntry>>(yaml, name);
        return entries.TrueForAll(e => e.Word.Length > 0 && e.Part.Length > 0 && e.Meaning.Length > 0)
            ? entries
            : throw new ContentFault($"{name} has a word without its part of speech or its meaning.");
    }
}
