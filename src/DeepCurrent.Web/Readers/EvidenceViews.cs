using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Readers;

/// <summary>One thing a level was built from: a quiz with all its answers, a running record, a stated level.</summary>
public sealed record PieceView
{
    public required IReadOnlyList<EvidenceId> Ids { get; init; }

    public required DateTimeOffset At { get; init; }

    public required EvidenceSource What { get; init; }

    public required Message Note { get; init; }

    public required TicketId? TicketId { get; init; }

    /// <summary>Answers, or 1, that count.</summary>
    public required int Counted { get; init; }

    /// <summary>Why pieces of it do not count, a sentence each.</summary>
    public required IReadOnlyList<Message> LeftOut { get; init; }

    /// <summary>Fathoms it moved the level by; 0 where nothing of it counts.</summary>
    public required double Moved { get; init; }

    /// <summary>The level with it; null where nothing of it counts.</summary>
    public required Fathoms? After { get; init; }

    public required double? SdAfter { get; init; }

    /// <summary>A teacher's reason for leaving it out; null while it counts.</summary>
    public required string? Reason { get; init; }

    /// <summary>Whether somebody may leave it out: there is something that is not left out by rule.</summary>
    public required bool May { get; init; }

    public required RecordId? RecordId { get; init; }
}

public sealed record LabelView(string System, string Label);

/// <param name="Level">Fathoms.</param>
/// <param name="Until">Its last day; null until the next level check.</param>
/// <param name="Estimate">What the evidence says beneath it, in fathoms, with its standard error.</param>
public sealed record SetLevelView(
    Fathoms Level,
    DateOnly? Until,
    string By,
    DateTimeOffset At,
    string Reason,
    Fathoms Estimate,
    double EstimateSd
)
{
    internal static SetLevelView? Of(SetLevel? set, SchoolClock clock) =>
        set is null
            ? null
            : new(
                set.Value,
                set.UntilAt is { } over ? clock.DayOf(over.AddMinutes(-1)) : null,
                set.By,
                set.At,
                set.Reason,
                set.EstimateMean,
                set.EstimateSd
            );
}

/// <param name="Depth">The level that counts: the estimate, or what a teacher has set.</param>
/// <param name="Sd">Standard error of the estimate.</param>
/// <param name="MayJudge">Whether the asker may leave pieces out, add a judgement and set the level.</param>
/// <param name="Surer">What would make the estimate surer.</param>
/// <param name="Labels">The level in every label system of the school.</param>
/// <param name="Set">Null while the estimate counts.</param>
public sealed record AccountView(
    Fathoms Depth,
    double Sd,
    bool MayJudge,
    IReadOnlyList<PieceView> Pieces,
    IReadOnlyList<SurerBy> Surer,
    IReadOnlyList<LabelView> Labels,
    SetLevelView? Set
);

/// <param name="Reason">Why they are left out; null takes them in again.</param>
public sealed record LeaveOutRequest(IReadOnlyList<EvidenceId> Ids, string? Reason);

/// <param name="System">The label system a bare number is in.</param>
/// <param name="Sd">How sure it is: 2, 4 or 6 fm.</param>
public sealed record JudgementRequest(string Level, string? System, double Sd, string? Reason, EvidenceId? Id = null);

/// <param name="Id">Made by the client: the same request again is the same setting.</param>
/// <param name="Until">Its last day; null until the next level check.</param>
public sealed record SetLevelRequest(LevelSetId Id, string Level, string? System, DateOnly? Until, string? Reason);
