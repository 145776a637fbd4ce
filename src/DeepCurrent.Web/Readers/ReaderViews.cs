using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Goals;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Readers;

/// <param name="Level">Starting level in fm.</param>
/// <param name="Id">Made by the client: the same request again is the same reader.</param>
public sealed record NewReaderRequest(
    string GivenName,
    string? FamilyName,
    int Grade,
    Fathoms Level,
    string? GuardianMail,
    ReaderId? Id = null
);

/// <param name="Secret">Pictures with spaces between, a code, or a password.</param>
public sealed record AddedReader(
    ReaderId Id,
    string UserName,
    SecretKind SecretKind,
    string Secret,
    ChangeId? ChangeId
);

public sealed record SignInView(string GivenName, string UserName, SecretKind SecretKind, string Secret);

public sealed record StrandView(
    Strand Strand,
    int Right,
    int Asked,
    Probability Mean,
    Probability Low,
    Probability High
);

/// <param name="LeftOut">Nothing of it counts.</param>
/// <param name="Moved">What it did to the depth, fm; null where that is not known.</param>
public sealed record MarkView(
    DateTimeOffset At,
    EvidenceSource What,
    Fathoms Place,
    Message Note,
    TicketId? TicketId,
    double? Moved,
    bool LeftOut
);

public sealed record ReadingView
{
    public required TicketId TicketId { get; init; }

    public required TaskKind Kind { get; init; }

    public required string Title { get; init; }

    /// <summary>Null, as its depth and the forecast, where the task was about no text.</summary>
    public required string? Version { get; init; }

    public required Fathoms? VersionDepth { get; init; }

    public required TicketState State { get; init; }

    public required Probability? Forecast { get; init; }

    public required Probability? Score { get; init; }

    public required double Seconds { get; init; }

    public required DateTimeOffset AssignedAt { get; init; }

    public required DateOnly? DueOn { get; init; }

    public required DateTimeOffset? OpenedAt { get; init; }

    public required DateTimeOffset? HandedInAt { get; init; }

    public required Fathoms? BeforeMean { get; init; }

    public required Fathoms? AfterMean { get; init; }
}

public sealed record ReaderView
{
    public required ReaderId Id { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required string UserName { get; init; }

    public required int Grade { get; init; }

    public required string? Group { get; init; }

    public required Fathoms Depth { get; init; }

    public required double Sd { get; init; }

    public required Fathoms Low { get; init; }

    public required Fathoms High { get; init; }

    public required Fathoms ReachFrom { get; init; }

    public required Fathoms ReachTo { get; init; }

    /// <summary>What the level is called at the school.</summary>
    public required Message LevelName { get; init; }

    public required WordsPerMinute SilentRate { get; init; }

    public required IReadOnlyList<DepthDay> Trail { get; init; }

    public required IReadOnlyList<MarkView> Marks { get; init; }

    public required IReadOnlyList<StrandView> Strands { get; init; }

    public required IReadOnlyList<ReadingView> Readings { get; init; }

    public required IReadOnlyList<GoalStandingView> Goals { get; init; }

    /// <summary>The level a teacher has set, which counts instead of the estimate; null while the estimate
    /// counts.</summary>
    public required SetLevelView? Set { get; init; }
}
