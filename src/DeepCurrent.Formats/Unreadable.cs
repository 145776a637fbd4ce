namespace DeepCurrent.Formats;

/// <summary>A file that cannot be read at all, with a sentence that says why.</summary>
/// <param name="inner">What a parser said, where it was not we who found the fault.</param>
public sealed class Unreadable(Message message, Exception? inner = null) : Exception(message.ToString(), inner)
{
    /// <summary>The sentence, to be said in the language of whoever asked.</summary>
    public Message Said { get; } = message;
}
