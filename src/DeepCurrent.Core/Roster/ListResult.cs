using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Roster;

/// <summary>One row of a typed, pasted or uploaded list of readers.</summary>
/// <param name="Line">Its number, from 1.</param>
/// <param name="SameAs">The answer to "the same child?": a reader's id, an empty id for "another child", or null where
/// nobody has answered.</param>
public sealed record ListRow(
    int Line,
    string? SourceId,
    string? GivenName,
    string? FamilyName,
    string? Grade,
    string? Level,
    string? Class,
    string? GuardianMail,
    ReaderDetails Details,
    ReaderId? SameAs = null
);

/// <summary>What becomes of a row.</summary>
public enum RowFate
{
    Empty,
    New,
    Joins,
    Changed,
    Unchanged,
    Question,
    Stopped,
}

/// <summary>Somebody who may be the child a row means.</summary>
/// <param name="Where">The classes they are in now, in words.</param>
public sealed record Twin(ReaderId ReaderId, string Name, int Grade, string Where);

public sealed record RowResult(
    int Line,
    RowFate Fate,
    ReaderId? ReaderId,
    IReadOnlyList<RowProblem> Problems,
    IReadOnlyList<Twin> Twins
);

/// <param name="Change">What the good rows do.</param>
public sealed record ListResult(ChangeSet Change, IReadOnlyList<RowResult> Rows);

/// <summary>What a list means for its class.</summary>
/// <param name="ClassId">The class for rows that name none.</param>
/// <param name="OwnClasses">Classes the asker may change the roster of, by name in lower case.</param>
/// <param name="UsualGrade">Grade for rows without one.</param>
/// <param name="LevelSystem">The label system bare numbers in the level column are in.</param>
public sealed record ListFrame(
    ClassId ClassId,
    IReadOnlyDictionary<string, ClassId> OwnClasses,
    int UsualGrade,
    string LevelSystem,
    LevelChart Chart,
    DateOnly Today,
    DateTimeOffset Now
);

/// <summary>Which readers of a school the rows of a list may mean, so that only they need be looked at.</summary>
public sealed class ListMeaning(IReadOnlyList<ListRow> rows)
{
    private readonly HashSet<string> names =
    [
        .. rows.Select(r => ListReconciler.NameOf(r)).Select(n => Names.Key(n.Given, n.Family)),
    ];
    private readonly HashSet<string> sources =
    [
        .. rows.Where(r => !string.IsNullOrWhiteSpace(r.SourceId)).Select(r => r.SourceId!.Trim()),
    ];
    private readonly HashSet<ReaderId> answers =
    [
        .. rows.Where(r => r.SameAs is not null).Select(r => r.SameAs!.Value),
    ];

    public bool Holds(ReaderId id, string? sourceId, string givenName, string familyName) =>
        answers.Contains(id)
        || (sourceId is not null && sources.Contains(sourceId))
        || names.Contains(Names.Key(givenName, familyName));
}
