using System.Text.Json.Serialization;

namespace DeepCurrent.Core.Assignments;

/// <summary>What a reader does for a task. Plans keep it by its name.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<TaskKind>))]
public enum TaskKind
{
    /// <summary>Reads a text and answers its quiz.</summary>
    Text,

    /// <summary>Answers a text's quiz, or chosen questions of it, without the text.</summary>
    Quiz,

    /// <summary>Reads a text aloud and records it.</summary>
    Recording,

    /// <summary>Writes an answer to a prompt.</summary>
    Written,

    /// <summary>Practises the words of a list.</summary>
    Words,

    /// <summary>Does something elsewhere, to which a link leads.</summary>
    Link,

    /// <summary>Takes a level check. It is given and kept by itself, in sittings and not in tickets; plans hold
    /// it.</summary>
    LevelCheck,
}

/// <summary>What the kinds of tasks have in common, and what they have not.</summary>
public static class TaskKinds
{
    /// <summary>Whether it is about a text of the library, of which a reader gets a version.</summary>
    public static bool OfText(this TaskKind kind) => kind is TaskKind.Text or TaskKind.Quiz or TaskKind.Recording;

    /// <summary>Whether a question of its text is asked.</summary>
    /// <param name="onTheWay">It stands between paragraphs.</param>
    /// <param name="wanted">Questions on the way are asked, too.</param>
    /// <param name="chosen">It is among those that were chosen, or none were.</param>
    public static bool Asks(this TaskKind kind, bool onTheWay, bool wanted, bool chosen) =>
        kind switch
        {
            TaskKind.Text => (!onTheWay || wanted) && chosen,
            TaskKind.Quiz => !onTheWay && chosen,
            _ => false,
        };
}
