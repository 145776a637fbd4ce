using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.LevelChecks;

public sealed record NewCheck
{
    public required CheckId Id { get; init; }

    public required SchoolId SchoolId { get; init; }

    public required YearId SchoolYearId { get; init; }

    /// <summary>autumn, winter or spring for a benchmark window; null for a check in between.</summary>
    public required Season? Season { get; init; }

    public required Message Name { get; init; }

    public required string ReaderTitle { get; init; }

    public required string Directions { get; init; }

    public required CheckPlan Plan { get; init; }

    public required bool Draft { get; init; }

    public required DateOnly? OpensOn { get; init; }

    public required DateOnly? ClosesOn { get; init; }

    public required AdultId MadeBy { get; init; }

    public required DateTimeOffset At { get; init; }

    /// <summary>The revision that was changed; 0 for a new one.</summary>
    public required int Revision { get; init; }
}

public sealed record LevelCheck
{
    public required CheckId Id { get; init; }

    public required SchoolId SchoolId { get; init; }

    public required YearId SchoolYearId { get; init; }

    public required Season? Season { get; init; }

    public required Message Name { get; init; }

    public required string ReaderTitle { get; init; }

    public required string Directions { get; init; }

    public required CheckPlan Plan { get; init; }

    public required bool Draft { get; init; }

    public required DateOnly? OpensOn { get; init; }

    public required DateOnly? ClosesOn { get; init; }

    public required DateTimeOffset? ClosedAt { get; init; }

    public required bool Gone { get; init; }

    public required AdultId MadeBy { get; init; }

    public required string By { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    public required int Revision { get; init; }

    /// <summary>Nothing can be answered any more.</summary>
    public bool Over(DateOnly today) => ClosedAt is not null || Gone || ClosesOn < today;

    /// <summary>When its time was up; null while nobody has said when.</summary>
    public DateTimeOffset? EndedAt(SchoolClock clock) =>
        ClosesOn is { } last && clock.End(last) is var end && !(ClosedAt < end) ? end : ClosedAt;
}

/// <summary>One line of a list of checks.</summary>
public sealed record CheckRow
{
    public required CheckId Id { get; init; }

    public required Season? Season { get; init; }

    public required Message Name { get; init; }

    public required string ReaderTitle { get; init; }

    public required bool Draft { get; init; }

    public required DateOnly? OpensOn { get; init; }

    public required DateOnly? ClosesOn { get; init; }

    public required DateTimeOffset? ClosedAt { get; init; }

    public required string By { get; init; }

    public required AdultId MadeBy { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    public required int Readers { get; init; }

    /// <summary>Readers with nothing left to do.</summary>
    public required int Finished { get; init; }

    /// <summary>Readers who are in it.</summary>
    public required int Open { get; init; }
}

/// <summary>A version that can be a passage of a fixed form.</summary>
public sealed record FormPassage(VersionId VersionId, string Title, Fathoms Depth, int Words, int Questions);

/// <summary>Readers from whom a check was taken back.</summary>
public sealed record CheckTakenBack(CheckId CheckId, IReadOnlyList<ReaderId> ReaderIds);

/// <summary>A reader a check is given to.</summary>
public sealed record CheckReader(ReaderId ReaderId, ClassId? ClassId, int Grade, Fathoms Mean, double Sd);

public sealed record PartRow
{
    public required CheckPartId Id { get; init; }

    public required SittingId SittingId { get; init; }

    public required CheckPart Part { get; init; }

    public required int Round { get; init; }

    public required int Position { get; init; }

    public required PartState State { get; init; }

    public required string Note { get; init; }

    public required PartFlag Flag { get; init; }

    public required int Answered { get; init; }

    public required int Asked { get; init; }

    public required int Correct { get; init; }

    public required int TooFast { get; init; }

    public required double Seconds { get; init; }

    public required double? Score { get; init; }

    public required DateTimeOffset? StartedAt { get; init; }

    public required DateTimeOffset? FinishedAt { get; init; }

    public required double Moved { get; init; }

    /// <summary>Share of the answers that were right; null before there is one.</summary>
    public double? ShareRight => Answered == 0 ? null : Correct / (double)Answered;
}

public sealed record SittingRow
{
    public required SittingId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required int Grade { get; init; }

    public required ClassId? ClassId { get; init; }

    public required string? Class { get; init; }

    public required Fathoms BeforeMean { get; init; }

    public required double BeforeSd { get; init; }

    public required Fathoms? AfterMean { get; init; }

    public required double? AfterSd { get; init; }

    public required DateTimeOffset ChangedAt { get; init; }

    public required int Late { get; init; }

    public IReadOnlyList<PartRow> Parts { get; init; } = [];

    /// <summary>Fathoms by which the check moved the level.</summary>
    public double Moved => Parts.Sum(p => p.Moved);
}
