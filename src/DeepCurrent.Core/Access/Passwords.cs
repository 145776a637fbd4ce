using System.Collections.Frozen;

namespace DeepCurrent.Core.Access;

/// <summary>What is wrong with a password.</summary>
public enum PasswordFault
{
    None,
    Length,
    Common,
    Repeating,
    Name,
}

/// <summary>What a password of an adult must be: long, and none that somebody would try first.</summary>
public static class Passwords
{
    public const int Shortest = 10,
        Longest = 200;

    /// <summary>Characters that must be left when repetition is taken out.</summary>
    private const int FewestDifferent = 5;

    private static readonly FrozenSet<string> Common = Load();

    /// <summary>What is wrong with a password, if anything.</summary>
    /// <param name="names">What its owner is called: a password made of it is none.</param>
    /// <remarks>The list of common passwords is the one that @zxcvbn-ts/language-common carries (MIT), six characters
    /// and longer.</remarks>
    public static PasswordFault FaultOf(string? password, params IEnumerable<string> names)
    {
        if (password?.Length is not (>= Shortest and <= Longest))
            return PasswordFault.Length;
        var low = password.ToLowerInvariant();
        if (low.Distinct().Count() < FewestDifferent || Runs(low))
            return PasswordFault.Repeating;
        // "password2026!" is the common one with something hung on.
        var core = low.Trim([.. "0123456789 !?.,;:-_#*+$%&/()@"]);
        if (Common.Contains(low) || core.Length < FewestDifferent || Common.Contains(core))
            return PasswordFault.Common;
        var parts = names
            .SelectMany(n => n.ToLowerInvariant().Split([' ', '.', '@', '-'], StringSplitOptions.RemoveEmptyEntries))
            .Where(n => n.Length >= 3);
        return
            parts.Aggregate(core, (left, part) => left.Replace(part, "", StringComparison.Ordinal)).Length
            < FewestDifferent
            ? PasswordFault.Name
            : PasswordFault.None;
    }

    /// <summary>True where nearly every character follows from the one before: abcdefghij, 9876543210.</summary>
    private static bool Runs(string text) =>
        Enumerable.Range(1, text.Length - 1).Count(i => Math.Abs(text[i] - text[i - 1]) <= 1) >= text.Length * 3 / 4;

    private static FrozenSet<string> Load()
    {
        using var lines = new StreamReader(
            typeof(Passwords).Assembly.GetManifestResourceStream("common-passwords.txt")!
        );
        return lines.ReadToEnd().Split('\n', StringSplitOptions.RemoveEmptyEntries).ToFrozenSet();
    }
}
