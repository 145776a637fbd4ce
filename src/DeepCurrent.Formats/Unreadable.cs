namespace DeepCurrent.Formats;

/// <summary>A file that cannot be read at all, with a sentence that says why.</summary>
public sealed class Unreadable(string sentence) : Exception(sentence);
