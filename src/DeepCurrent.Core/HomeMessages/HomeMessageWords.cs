namespace DeepCurrent.Core.HomeMessages;

/// <summary>What a school and a family write to each other.</summary>
public static class HomeMessageWords
{
    /// <summary>No message or answer has more characters.</summary>
    public const int Longest = 2000;

    /// <summary>The words as they are kept: without spaces at their ends.</summary>
    public static string Tidy(string? words) => words?.Trim() ?? "";

    /// <summary>Why words cannot be sent; null where they can.</summary>
    /// <param name="words">Tidied.</param>
    public static Message? Fault(string words) =>
        words.Length == 0 ? (Message)$"Write something first."
        : words.Length > Longest ? (Message)$"Use {Longest} letters or fewer."
        : null;
}
