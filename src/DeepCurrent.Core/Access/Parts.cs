namespace DeepCurrent.Core.Access;

/// <summary>Parts in a class, least first: a later one may do all that an earlier one may.</summary>
public static class Parts
{
    /// <summary>The parts an adult can be given in a class, the greatest first.</summary>
    public static readonly IReadOnlyList<Part> Given =
    [
        .. Enum.GetValues<Part>().Where(p => p is not Part.None).OrderByDescending(p => p),
    ];

    /// <summary>A part as a sentence says it: "co-teacher".</summary>
    public static string Word(Part part) => part is Part.CoTeacher ? "co-teacher" : part.ToString().ToLowerInvariant();

    /// <summary>What a part is called.</summary>
    public static Message Name(Part part) =>
        part switch
        {
            Part.Teacher => $"teacher",
            Part.CoTeacher => $"co-teacher",
            Part.Assistant => $"assistant",
            _ => throw new ArgumentOutOfRangeException(nameof(part), part, "Nobody is given this part."),
        };

    /// <summary>Whether somebody with this part teaches the class.</summary>
    public static bool Teaches(Part part) => part >= Part.CoTeacher;
}
