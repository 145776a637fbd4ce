namespace DeepCurrent.Core.Measuring;

/// <summary>Why a piece of evidence does not count: by a rule, or because a teacher said so.</summary>
public static class LeftOut
{
    /// <summary>The answer came faster than its question can be read.</summary>
    public const string TooFast = "too-fast";

    /// <summary>The question asks for the proof of one that was missed: whoever missed it cannot find its proof, and that
    /// says nothing new.</summary>
    public const string RestsOnWrong = "rests-on-wrong";

    /// <summary>The question was faulty and is asked no more.</summary>
    public const string TakenOut = "taken-out";

    /// <summary>The reading was too short to tell anything.</summary>
    public const string TooShort = "too-short";

    /// <summary>The whole part of the level check was done too fast.</summary>
    public const string PartTooFast = "part-too-fast";

    /// <summary>The part of the level check has too few answers.</summary>
    public const string PartThin = "part-thin";

    /// <summary>How a teacher's reason begins where it is kept; what follows is theirs.</summary>
    public const string TeacherMark = "teacher: ";

    public static string ByTeacher(string reason) => TeacherMark + reason;

    /// <summary>A teacher's reason; null where it is a rule, or the piece counts.</summary>
    public static string? ReasonOfTeacher(string? kept) =>
        kept?.StartsWith(TeacherMark, StringComparison.Ordinal) == true ? kept[TeacherMark.Length..] : null;

    /// <summary>A rule in words, with how many answers it leaves out.</summary>
    public static Message Said(string rule, int count) =>
        rule switch
        {
            TooFast => $"{count:count} answers given too fast to have read the question",
            RestsOnWrong => $"{count:count} answers that rest on a wrong answer",
            TakenOut => $"{count:count} answers to a question that was taken out",
            TooShort => $"too short to tell",
            PartTooFast => $"{count:count} answers in a part done too fast",
            PartThin => $"{count:count} answers in a part with too few answers",
            _ => $"{rule}",
        };
}
