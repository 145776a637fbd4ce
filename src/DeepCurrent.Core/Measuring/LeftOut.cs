namespace DeepCurrent.Core.Measuring;

/// <summary>Why a piece of evidence does not count: by a rule, or because a teacher said so. It is kept in words.</summary>
public static class LeftOut
{
    /// <summary>The answer came faster than its question can be read.</summary>
    public const string Rushed = "rushed";

    /// <summary>The question asks for the proof of one that was missed: whoever missed it cannot find its proof, and that
    /// says nothing new.</summary>
    public const string RestsOnWrong = "rests on a wrong answer";

    /// <summary>How a teacher's reason begins where it is kept; what follows is theirs.</summary>
    public const string TeacherMark = "teacher: ";

    public static string ByTeacher(string reason) => TeacherMark + reason;

    /// <summary>A teacher's reason; null where it is a rule, or the piece counts.</summary>
    public static string? ReasonOfTeacher(string? kept) =>
        kept?.StartsWith(TeacherMark, StringComparison.Ordinal) == true ? kept[TeacherMark.Length..] : null;

    /// <summary>A rule in words that follow a number of answers: "2 answered faster …".</summary>
    public static string Said(string rule) => rule == Rushed ? "answered faster than the question could be read" : rule;
}
