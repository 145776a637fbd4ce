using System.Text.Json.Serialization;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;

namespace DeepCurrent.Data.Assignments;

/// <summary>Assignments that were given together.</summary>
/// <param name="AssignmentId">The first of them.</param>
public sealed record GivenBefore(AssignmentId AssignmentId, ChangeId ChangeId, Message Summary, int Tickets, int Texts);

public sealed record AssignmentRow
{
    public required AssignmentId Id { get; init; }

    public required ClassId ClassId { get; init; }

    /// <summary>What is to be done: where the text was swapped, the task that came last.</summary>
    public required TaskId TaskId { get; init; }

    public required TaskKind Kind { get; init; }

    /// <summary>Null where the task is about no text.</summary>
    public required TextId? TextId { get; init; }

    public required string Title { get; init; }

    public required DateTimeOffset AssignedAt { get; init; }

    public required string? By { get; init; }

    /// <summary>No reader has it yet.</summary>
    public required bool Draft { get; init; }

    public required DateOnly VisibleFrom { get; init; }

    public required DateOnly? DueOn { get; init; }

    /// <summary>The last day on which it can be worked on; null where it goes on.</summary>
    public required DateOnly? ClosesOn { get; init; }

    public required Need Need { get; init; }

    public required WorkPlace Place { get; init; }

    public required ResultsShown Results { get; init; }

    /// <summary>The day from which marked work is released by itself; null where a person releases it.</summary>
    public required DateOnly? ReleasesOn { get; init; }

    /// <summary>Points in the gradebook; 0 where it does not go into it.</summary>
    public required int Worth { get; init; }

    /// <summary>Readers may change their version within reach.</summary>
    public required bool MayChange { get; init; }

    public required string HomeDirections { get; init; }

    public required string HomeLanguage { get; init; }

    /// <summary>Readers see one another's written answers when they have answered.</summary>
    public required bool Talk { get; init; }

    /// <summary>The first of those it is done after, and which of them it is, from 0; null where it is free.</summary>
    public required AssignmentId? TurnOf { get; init; }

    public required int? Turn { get; init; }

    /// <summary>The first of what was given in the same act; its own where it was given alone.</summary>
    public required AssignmentId Act { get; init; }

    [JsonIgnore]
    public Turn? InTurn => TurnOf is { } first && Turn is { } nth ? new(first, nth) : null;

    public required string Heading { get; init; }

    public required string Directions { get; init; }

    /// <summary>For colleagues.</summary>
    public required string Note { get; init; }

    public required int Revision { get; init; }

    public required int Attempts { get; init; }

    public required bool OnTheWay { get; init; }

    public required bool Aloud { get; init; }

    public required int Tickets { get; init; }

    public required int Planned { get; init; }

    /// <summary>Nothing was answered by the last day.</summary>
    public required int Closed { get; init; }

    public required int Waiting { get; init; }

    public required int SentBack { get; init; }

    public required int UnderWay { get; init; }

    public required int Done { get; init; }

    public required int ToMark { get; init; }

    /// <summary>When the text was last changed, if that was after it was given.</summary>
    public required DateTimeOffset? CorrectedAt { get; init; }

    public required Probability? MeanScore { get; init; }

    /// <summary>Readers took it themselves; nobody gave it.</summary>
    public required bool Chosen { get; init; }
}

public sealed record TicketRow
{
    public required TicketId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required TaskKind Kind { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    /// <summary>Null, as its depth and the forecast, where the task is about no text.</summary>
    public required string? Version { get; init; }

    public required Fathoms? VersionDepth { get; init; }

    public required TicketState State { get; init; }

    public required Probability? Forecast { get; init; }

    public required int Page { get; init; }

    public required int Pages { get; init; }

    public required Probability? Score { get; init; }

    public required double Seconds { get; init; }

    public required DateTimeOffset? OpenedAt { get; init; }

    public required DateTimeOffset? HandedInAt { get; init; }

    public required Fathoms? BeforeMean { get; init; }

    public required double? BeforeSd { get; init; }

    public required Fathoms? AfterMean { get; init; }

    public required double? AfterSd { get; init; }
}

/// <summary>A ticket with the class and the task it is of.</summary>
/// <param name="TextId">Null where the task is about no text.</param>
/// <param name="Content">What it is about then.</param>
public sealed record PlacedTicket(
    TicketRow Ticket,
    ClassId ClassId,
    TaskKind Kind,
    TextId? TextId,
    TaskContent? Content,
    string Title,
    DateOnly? DueOn
);

/// <summary>A text's use in a class, for the chart.</summary>
/// <param name="Depth">Mean depth of the versions given.</param>
public sealed record TextInUse(TextId TextId, string Title, Fathoms Depth, int Readers);

/// <summary>First attempts of one reader at questions of one strand.</summary>
public sealed record StrandCount(ReaderId ReaderId, Strand Strand, int Right, int Asked);

/// <summary>A ticket in its reader's history.</summary>
public sealed record HistoryRow(TicketRow Ticket, string Title, DateTimeOffset AssignedAt, DateOnly? DueOn);

public sealed record ClassReading(
    ReaderId ReaderId,
    string Title,
    DateTimeOffset At,
    Probability Score,
    Probability Forecast,
    int Words,
    double Seconds,
    Fathoms Depth
);
