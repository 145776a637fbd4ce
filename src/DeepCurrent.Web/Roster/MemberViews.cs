using DeepCurrent.Core.Access;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Roster;

/// <summary>A reader on a class's roster.</summary>
public sealed record MemberView
{
    public required ReaderId Id { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required string UserName { get; init; }

    public required int Grade { get; init; }

    public required ReaderDetails Details { get; init; }

    public required string? GuardianMail { get; init; }

    public required SecretKind SecretKind { get; init; }

    public required Supports Supports { get; init; }

    public required bool FromSource { get; init; }

    public required DateTimeOffset? SignedInAt { get; init; }

    public required DateOnly Since { get; init; }

    public required DateOnly? Until { get; init; }

    public required int Guardians { get; init; }

    /// <summary>By which the reader is found among the names.</summary>
    public required string Picture { get; init; }
}

public sealed record ClassRosterView
{
    public required ClassId Id { get; init; }

    public required string Name { get; init; }

    public required string Code { get; init; }

    /// <summary>0 (kindergarten) to 12; null for a class of several grades.</summary>
    public required int? Grade { get; init; }

    public required DateOnly? FirstDay { get; init; }

    public required DateOnly? LastDay { get; init; }

    public required bool Closed { get; init; }

    public required string YearName { get; init; }

    /// <summary>The asker may change this roster.</summary>
    public required bool MayChange { get; init; }

    public required IReadOnlyList<string> Systems { get; init; }

    /// <summary>Every picture a reader can have.</summary>
    public required IReadOnlyList<string> Pictures { get; init; }

    /// <summary>Readers in the class now.</summary>
    public required IReadOnlyList<MemberView> Members { get; init; }

    /// <summary>Readers who were in it.</summary>
    public required IReadOnlyList<MemberView> Former { get; init; }

    public required IReadOnlyList<ClassAdultRow> Adults { get; init; }

    public required IReadOnlyList<JoiningRow> Joinings { get; init; }

    /// <summary>Requests of other classes for readers of this one.</summary>
    public required IReadOnlyList<TakingIn> AskedOfUs { get; init; }

    /// <summary>Requests of this class that wait for an answer.</summary>
    public required IReadOnlyList<TakingIn> WeAsked { get; init; }

    /// <summary>When someone was last found guessing secrets of this class, within a day.</summary>
    public required DateTimeOffset? Guessing { get; init; }

    /// <summary>Assistants may print one reader's card.</summary>
    public required bool AssistantsPrint { get; init; }

    /// <summary>Which reading elsewhere counts for word goals.</summary>
    public required OutsideCounts Outside { get; init; }

    /// <summary>The tide pools its readers see.</summary>
    public required PoolShown Pool { get; init; }
}

public sealed record ReadersRequest(IReadOnlyList<ReaderId> ReaderIds);

public sealed record MoveRequest(IReadOnlyList<ReaderId> ReaderIds, ClassId ToClassId);

/// <summary>What is to be the same for several readers; whatever is null stays as it is.</summary>
/// <param name="Level">A starting level for all, as typed, in <paramref name="LevelSystem"/>.</param>
/// <param name="NewSecrets">Everybody gets a new secret, of the given kind or of their own.</param>
public sealed record BulkRequest(
    IReadOnlyList<ReaderId> ReaderIds,
    int? Grade,
    string? Level,
    string? LevelSystem,
    Supports? Supports,
    SecretKind? SecretKind,
    bool NewSecrets
);

/// <param name="Before">What the asker saw; where it has changed meanwhile, nothing is written.</param>
public sealed record DetailsRequest(
    string GivenName,
    string? FamilyName,
    int Grade,
    ReaderDetails? Details,
    string? GuardianMail,
    Supports Supports,
    SeenDetails? Before
);

public sealed record SeenDetails(
    string GivenName,
    string FamilyName,
    int Grade,
    ReaderDetails? Details,
    string? GuardianMail
);

/// <param name="Secret">The secret to be; null for a new one that is made.</param>
public sealed record SecretRequest(SecretKind? Kind, string? Secret);

/// <param name="ChangeId">To take it back by; null where nothing had to be done.</param>
public sealed record RosterChanged(ChangeId? ChangeId, Message Sentence, int Asked = 0);
