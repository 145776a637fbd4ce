using System.Text.RegularExpressions;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;

namespace DeepCurrent.Web.SignIn;

/// <summary>A device that a teacher has handed over to a class.</summary>
public sealed record HandedOver(string TeacherName, string ClassName, string Code);

/// <param name="Id">Whose session it is; null for nobody's.</param>
/// <param name="Assistant">Helps in classes, and makes none.</param>
/// <param name="FirstRun">There is no school yet.</param>
/// <param name="Supports">What is done for the reader who is signed in; null for others.</param>
/// <param name="Token">To be sent as X-XSRF-TOKEN with everything that changes something.</param>
public sealed record SessionView(
    Guid? Id,
    Role Role,
    string Name,
    bool Lead,
    bool Assistant,
    bool FirstRun,
    string Token,
    IReadOnlyList<ClassHead> Classes,
    HandedOver? HandedOver,
    Supports? Supports,
    Language? Language,
    HomeLook? Home
)
{
    public required bool Voice { get; init; }
}

public sealed record AdultSignIn(string UserName, string Password);

/// <param name="Secret">The pictures in order with spaces between, the code, or the password.</param>
public sealed record ReaderSignIn(string Code, ReaderId ReaderId, string Secret);

public sealed record CodeView(string ClassName, IReadOnlyList<Tile> Tiles, IReadOnlyList<string> Pictures);

public sealed record HandOverRequest(ClassId ClassId);

public sealed record ReturnRequest(string Password);

public sealed record FirstRunRequest(
    string SchoolName,
    string TimeZone,
    string Name,
    string UserName,
    string Password,
    DateOnly YearFirstDay,
    DateOnly YearLastDay
);

/// <summary>What an adult's password must be; said before they type.</summary>
public static partial class PasswordRules
{
    public static readonly Message Sentence = $"Use 10 to 200 characters. A few words work well.";
    public static readonly Message UserNameSentence = $"Use 2 to 60 letters, digits, points or dashes.";

    public static bool IsUserName(string? name) => name is not null && UserName().IsMatch(name);

    [GeneratedRegex(@"^[A-Za-z0-9._@-]{2,60}$")]
    private static partial Regex UserName();

    public static bool Holds(string? password) => FaultOf(password) is null;

    /// <summary>What is wrong with a password, in a sentence; null if nothing is.</summary>
    public static Message? FaultOf(string? password, params IEnumerable<string> names) =>
        Passwords.FaultOf(password, names) switch
        {
            PasswordFault.None => null,
            PasswordFault.Common => $"Many people use this password. Choose a few words of your own.",
            PasswordFault.Repeating => $"This repeats or counts up. Choose a few words of your own.",
            PasswordFault.Name => $"This is little more than a name. Choose a few words of your own.",
            _ => Sentence,
        };
}
