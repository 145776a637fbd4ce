using DeepCurrent.Core.Papers;
using DeepCurrent.Data.Tickets;

namespace DeepCurrent.Data.Papers;

/// <param name="EachOwn">Each reader writes and draws on a copy of their own.</param>
/// <param name="Size">Bytes.</param>
public sealed record PaperRow(
    PaperId Id,
    AssignmentId AssignmentId,
    string Name,
    PaperKind Kind,
    bool EachOwn,
    int Size,
    string? By,
    DateTimeOffset AddedAt
);

/// <summary>A paper as a reader has it.</summary>
public sealed record PaperCopy(PaperId Id, string Name, PaperKind Kind, bool EachOwn, IReadOnlyList<Stroke> Strokes);

/// <param name="AssignmentId">Null for one that is there before what it goes with.</param>
public sealed record NewPaper(
    PaperId Id,
    SchoolId SchoolId,
    AssignmentId? AssignmentId,
    string Name,
    PaperKind Kind,
    byte[] Bytes,
    bool EachOwn,
    AdultId AddedBy,
    DateTimeOffset AddedAt
);

/// <summary>A paper's file.</summary>
public sealed record PaperFile(PaperKind Kind, byte[] Bytes);
