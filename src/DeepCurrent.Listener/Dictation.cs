namespace DeepCurrent.Listener;

/// <summary>What a teacher might have said of a reader: the same sound says the same.</summary>
internal static class Dictation
{
    private const double SecondsASentence = 6;
    private const int Most = 3;

    private static readonly string[] Sentences =
    [
        "Read on after the full stop without being told.",
        "Went back to the second paragraph to check.",
        "Used the picture and not the words.",
        "Asked what the word meant, then used it.",
        "Needed time, and got there alone.",
        "Told the story from the middle.",
    ];

    public static string Of(byte[] sound, double seconds)
    {
        var first = (int)(sound.Aggregate(2166136261u, (h, b) => (h ^ b) * 16777619u) % (uint)Sentences.Length);
        var many = Math.Clamp((int)Math.Ceiling(seconds / SecondsASentence), 1, Most);
        return string.Join(' ', Enumerable.Range(0, many).Select(i => Sentences[(first + i) % Sentences.Length]));
    }
}
