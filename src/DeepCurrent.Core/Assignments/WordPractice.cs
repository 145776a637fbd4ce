using System.Text.Json.Serialization;

namespace DeepCurrent.Core.Assignments;

/// <summary>By what the words of a list are asked. Tasks keep it by its name.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<WordPractice>))]
public enum WordPractice
{
    /// <summary>What it means is read, and the word found.</summary>
    Meaning,

    /// <summary>The word is heard, and found. Where a device has no voice, its meaning is read.</summary>
    Sound,

    /// <summary>What it means is read and can be heard, and so can each word.</summary>
    Both,
}
