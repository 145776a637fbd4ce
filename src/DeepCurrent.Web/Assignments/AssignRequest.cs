using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Tickets;

namespace DeepCurrent.Web.Assignments;

public sealed record FitRequest(IReadOnlyList<ReaderId> ReaderIds, IReadOnlyList<TextId> TextIds);

/// <param name="Forecast">Whole percent, as it is shown.</param>
/// <param name="Zone">Independent, Instructional or Frustration.</param>
/// <param name="Before">How the reader had this text already; null if they did not.</param>
public sealed record FitView(
    TextId TextId,
    ReaderId ReaderId,
    VersionId VersionId,
    string Version,
    Fathoms VersionDepth,
    int Forecast,
    Zone Zone,
    EarlierReading? Before,
    IReadOnlyList<VersionFit> Versions
);

/// <summary>What is forecast of one version for one reader.</summary>
public sealed record VersionFit(VersionId VersionId, int Forecast, Zone Zone);

/// <summary>Texts, for readers, from a day to a day.</summary>
/// <param name="SkipGiven">Leave out readers who already have or had this text.</param>
/// <param name="Aloud">To be read aloud and recorded.</param>
/// <param name="OnTheWay">Whether readers see the questions between the paragraphs; yes if it is not said.</param>
/// <param name="Versions">Versions fixed by the teacher, by reader; the others get the one that fits.</param>
/// <param name="Texts">Several texts at once; <paramref name="TextId"/> is for one.</param>
/// <param name="VisibleFrom">Today if it is not said.</param>
public sealed record AssignRequest(
    IReadOnlyList<ReaderId> ReaderIds,
    TextId? TextId,
    DateOnly? DueOn,
    int Attempts,
    string? Directions,
    bool SkipGiven,
    IReadOnlyDictionary<ReaderId, VersionId>? Versions,
    bool? OnTheWay,
    bool? Aloud,
    IReadOnlyList<TextToGive>? Texts = null,
    DateOnly? VisibleFrom = null,
    string? Heading = null
)
{
    public string? Note { get; init; }

    /// <summary>Kept, and given later.</summary>
    public bool? Draft { get; init; }

    public DateOnly? ClosesOn { get; init; }

    public Need? Need { get; init; }

    public WorkPlace? Place { get; init; }

    public IReadOnlyList<AlsoIn>? AlsoIn { get; init; }

    /// <summary>What readers do with the texts; they read and answer if it is not said.</summary>
    public TaskKind? Kind { get; init; }

    /// <summary>Of the one text, those that are asked; all if it is not said.</summary>
    public IReadOnlyList<QuestionId>? Questions { get; init; }

    /// <summary>Without a text.</summary>
    public IReadOnlyList<TaskToGive>? Tasks { get; init; }

    public ResultsShown? Results { get; init; }

    /// <summary>Readers may change their version within reach.</summary>
    public bool? MayChange { get; init; }

    /// <summary>Each opens when the one before is handed in.</summary>
    public bool? InOrder { get; init; }

    /// <summary>For some otherwise than for the rest; each reader once.</summary>
    public IReadOnlyList<WayFor>? Ways { get; init; }

    /// <summary>Also in the class streams of those classes that have one.</summary>
    public bool? Share { get; init; }

    /// <summary>Readers see one another's written answers when they have answered.</summary>
    public bool? Talk { get; init; }

    /// <summary>The same directions in the language of homes that speak another.</summary>
    public string? HomeDirections { get; init; }

    /// <summary>Its code.</summary>
    public string? HomeLanguage { get; init; }

    public DateOnly? ReleasesOn { get; init; }

    public int? Worth { get; init; }

    /// <summary>Papers that were added beforehand.</summary>
    public IReadOnlyList<PaperFor>? Papers { get; init; }
}

/// <param name="TextId">With which text it goes; null for everything that is given.</param>
public sealed record PaperFor(PaperId Id, TextId? TextId = null);

/// <summary>Readers who do it otherwise than the rest.</summary>
public sealed record WayFor(IReadOnlyList<ReaderId> ReaderIds, OwnWay Way);

/// <summary>Another class in which everybody gets the same.</summary>
/// <param name="Texts">With names of their own, made by the page.</param>
/// <param name="TaskIds">Of the tasks without a text there, in their order.</param>
public sealed record AlsoIn(
    ClassId ClassId,
    IReadOnlyList<TextToGive> Texts,
    IReadOnlyList<AssignmentId>? TaskIds = null
);

/// <summary>One text of an assignment.</summary>
/// <param name="Id">Of the assignment, made by the page: the same request again is the same assignment.</param>
/// <param name="Versions">Versions fixed by the teacher, by reader.</param>
public sealed record TextToGive(AssignmentId Id, TextId TextId, IReadOnlyDictionary<ReaderId, VersionId>? Versions);

public sealed record AssignedView(
    AssignmentId AssignmentId,
    ChangeId ChangeId,
    Message Summary,
    int Tickets,
    int Texts
);
