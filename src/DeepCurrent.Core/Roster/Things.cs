using System.Text.Json.Serialization;
using DeepCurrent.Core.Access;

namespace DeepCurrent.Core.Roster;

/// <summary>Something a roster is made of. Two of the same id are the same thing at different times.</summary>
public interface IRosterThing
{
    /// <summary>What every kind of thing is told apart by, whatever its id's type.</summary>
    Guid Key { get; }
}

/// <inheritdoc/>
public interface IRosterThing<TId> : IRosterThing
    where TId : struct, IId<TId>
{
    TId Id { get; }

    Guid IRosterThing.Key => Id.Value;
}

/// <summary>Something that may have come from a roster source.</summary>
public interface ISourcedThing : IRosterThing
{
    string? SourceId { get; }

    string Source { get; }
}

/// <summary>What a reader signs in with: pictures in order for the youngest, a short code, or a password.</summary>
public enum SecretKind
{
    Pictures,
    Code,
    Password,
}

/// <summary>What is done for one reader everywhere, set once.</summary>
/// <param name="ReadAloud">Texts and questions may be read aloud.</param>
/// <param name="HideTimer">No timer is shown; time is still taken.</param>
/// <param name="MoreTime">Time allowed, in percent of the usual; 100 to 300.</param>
/// <param name="TextSize">0 usual, 1 larger, 2 largest.</param>
/// <param name="OneChoice">Choices are shown one at a time.</param>
/// <param name="Retry">One more try than the assignment allows.</param>
public sealed record Supports(
    bool ReadAloud = false,
    bool HideTimer = false,
    int MoreTime = 100,
    int TextSize = 0,
    bool OneChoice = false,
    bool Retry = false
)
{
    public const int LargestText = 2;

    public static readonly Supports None = new();

    /// <summary>True if every value lies in its range.</summary>
    public bool Holds => MoreTime is >= 100 and <= 300 && TextSize is >= 0 and <= LargestText;
}

/// <summary>A teacher, assistant or school lead.</summary>
/// <param name="SourceId">The id a source gave; null for somebody who was added here.</param>
/// <param name="Lead">Sees and changes the whole school.</param>
/// <param name="Left">May not sign in any more.</param>
/// <param name="Post">What they are at the school.</param>
/// <param name="Source">The source that spoke of them last; empty where the id was typed, or came before sources were
/// told apart.</param>
public sealed record RosterAdult(
    AdultId Id,
    string? SourceId,
    string Name,
    string UserName,
    string? Mail,
    bool Lead,
    bool Left,
    Post Post = Post.Teacher,
    string Source = ""
) : ISourcedThing, IRosterThing<AdultId>;

/// <summary>A class of one school year.</summary>
public sealed record RosterClass(
    ClassId Id,
    string? SourceId,
    YearId YearId,
    string Name,
    string Code,
    DateOnly? FirstDay,
    DateOnly? LastDay,
    bool Closed,
    string Source = ""
) : ISourcedThing, IRosterThing<ClassId>
{
    /// <summary>0 (kindergarten) to 12; null for a class of several grades.</summary>
    public int? Grade { get; init; }
}

/// <summary>A reader as the roster knows them.</summary>
public sealed record RosterReader : ISourcedThing, IRosterThing<ReaderId>
{
    public required ReaderId Id { get; init; }

    public required string? SourceId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required string UserName { get; init; }

    /// <summary>0 (kindergarten) to 12.</summary>
    public required int Grade { get; init; }

    public ReaderDetails Details { get; init; } = ReaderDetails.None;

    // Changes that were kept before details were one thing can still be taken back.
    [JsonInclude]
    [JsonPropertyName("homeLanguage")]
    private string? HomeLanguageBefore
    {
        init => Details = Details.With(ReaderDetail.HomeLanguage, value);
    }

    /// <summary>Addresses of guardians, separated by a comma and a space.</summary>
    public required string? GuardianMail { get; init; }

    public required SecretKind SecretKind { get; init; }

    /// <summary>The secret, enciphered.</summary>
    public required string Secret { get; init; }

    public required Supports Supports { get; init; }

    /// <summary>Not at the school now; everything is kept.</summary>
    public required bool Left { get; init; }

    public string Source { get; init; } = "";

    public string FullName => FamilyName.Length == 0 ? GivenName : $"{GivenName} {FamilyName}";
}

/// <summary>An adult's part in a class: teacher, co-teacher or assistant.</summary>
public sealed record Teaching(TeachingId Id, ClassId ClassId, AdultId AdultId, Part Role) : IRosterThing<TeachingId>;

/// <summary>A reader's time in a class.</summary>
/// <param name="To">Last day; null while it goes on.</param>
public sealed record Enrolment(
    EnrolmentId Id,
    string? SourceId,
    ClassId ClassId,
    ReaderId ReaderId,
    DateOnly From,
    DateOnly? To,
    string Source = ""
) : ISourcedThing, IRosterThing<EnrolmentId>;

/// <summary>A level stated on the roster: weak evidence a teacher gives.</summary>
/// <param name="Value">Fathoms, −20 to 100.</param>
public sealed record StatedLevel(StatedLevelId Id, ReaderId ReaderId, double Value, DateTimeOffset At)
    : IRosterThing<StatedLevelId>;

/// <summary>One thing that is added (nothing before), taken away (nothing after), or changed.</summary>
public sealed record Step<T>(T? Before, T? After)
    where T : class, IRosterThing
{
    /// <summary>The thing as it is afterwards, or was.</summary>
    [JsonIgnore]
    public T Thing => (After ?? Before)!;

    public Step<T> Inverse() => new(After, Before);
}

/// <summary>What a change to a roster does, thing by thing. Done and then its inverse done, the roster is what it
/// was.</summary>
public sealed record ChangeSet(
    IReadOnlyList<Step<RosterAdult>> Adults,
    IReadOnlyList<Step<RosterClass>> Classes,
    IReadOnlyList<Step<RosterReader>> Readers,
    IReadOnlyList<Step<Teaching>> Teachings,
    IReadOnlyList<Step<Enrolment>> Enrolments,
    IReadOnlyList<Step<StatedLevel>> Levels
)
{
    public static readonly ChangeSet Nothing = new([], [], [], [], [], []);

    public int Steps =>
        Adults.Count + Classes.Count + Readers.Count + Teachings.Count + Enrolments.Count + Levels.Count;

    /// <summary>Several changes, done one after the other, as one.</summary>
    public static ChangeSet Joined(IReadOnlyList<ChangeSet> parts) =>
        parts.Count == 1
            ? parts[0]
            : new(
                [.. parts.SelectMany(p => p.Adults)],
                [.. parts.SelectMany(p => p.Classes)],
                [.. parts.SelectMany(p => p.Readers)],
                [.. parts.SelectMany(p => p.Teachings)],
                [.. parts.SelectMany(p => p.Enrolments)],
                [.. parts.SelectMany(p => p.Levels)]
            );

    public ChangeSet Inverse() =>
        new(Turned(Adults), Turned(Classes), Turned(Readers), Turned(Teachings), Turned(Enrolments), Turned(Levels));

    /// <summary>Every reader who is touched in any way.</summary>
    public IReadOnlySet<ReaderId> TouchedReaders() =>
        Readers
            .Select(s => s.Thing.Id)
            .Concat(Enrolments.Select(s => s.Thing.ReaderId))
            .Concat(Levels.Select(s => s.Thing.ReaderId))
            .ToHashSet();

    /// <summary>Readers who leave one class and join another in the same change.</summary>
    public IReadOnlySet<ReaderId> MovedReaders()
    {
        var ended = Enrolments
            .Where(s => s is { Before.To: null, After.To: not null })
            .Select(s => s.Before!.ReaderId)
            .ToHashSet();
        return Enrolments
            .Where(s => s is { Before: null, After.To: null } or { Before.To: not null, After.To: null })
            .Select(s => s.After!.ReaderId)
            .Where(ended.Contains)
            .ToHashSet();
    }

    private static IReadOnlyList<Step<T>> Turned<T>(IReadOnlyList<Step<T>> steps)
        where T : class, IRosterThing => [.. steps.Reverse().Select(s => s.Inverse())];
}
