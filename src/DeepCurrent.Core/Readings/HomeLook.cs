namespace DeepCurrent.Core.Readings;

/// <summary>How a reader's home looks.</summary>
public enum HomeLook
{
    /// <summary>Pictures and a voice for every line, three things at most, no figures.</summary>
    Pictures,

    /// <summary>The week, goals, kept words, choices with reasons.</summary>
    Words,
}

/// <summary>Which home a reader has. It goes by age and not by level: who begins late is no small child.</summary>
public static class HomeLooks
{
    private const int LastWithPictures = 2;

    /// <param name="grade">0 for the year before the first; null where a reader is in none.</param>
    /// <param name="own">What a teacher has chosen for this reader, which goes before; null where nobody has.</param>
    public static HomeLook For(int? grade, HomeLook? own) =>
        own ?? (grade <= LastWithPictures ? HomeLook.Pictures : HomeLook.Words);
}
