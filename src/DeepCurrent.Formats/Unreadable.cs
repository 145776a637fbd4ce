namespace DeepCurrent.Formats;

/// <summary>A file that cannot be read at all, with a sentence that says why.</summary>
/// <param name="inner">What a parser said, where it was not we who found the fault.</param>
public sealed class Unreadable(string sentence, Exception? inner = null) : Exception(sentence, inner);
