using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Formats.Tables;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Roster;

/// <summary>One row as it is typed. Nothing is required but a name.</summary>
public sealed record ListRowView(
    string? SourceId,
    string? GivenName,
    string? FamilyName,
    string? Grade,
    string? Level,
    string? Class,
    string? GuardianMail,
    ReaderDetails? Details,
    ReaderId? SameAs
);

/// <param name="LevelSystem">The label system bare numbers in the level column are in; empty until the asker has said
/// so.</param>
public sealed record ListRequest(IReadOnlyList<ListRowView> Rows, string LevelSystem);

/// <param name="Kind">CSV with its encoding, or XLSX.</param>
/// <param name="Headings">What names each column; empty where nothing does.</param>
/// <param name="Fields">What each column was taken for.</param>
/// <param name="Samples">Three values of each column.</param>
/// <param name="LevelSystem">What the level column's heading says its numbers are; empty if it says nothing.</param>
public sealed record ReadListView(
    string Kind,
    IReadOnlyList<Message> Notes,
    bool HasHeading,
    IReadOnlyList<string> Headings,
    IReadOnlyList<ListField> Fields,
    IReadOnlyList<IReadOnlyList<string>> Samples,
    string LevelSystem,
    IReadOnlyList<ListRowView> Rows
);

public sealed record CellProblemView(string Column, Message Reason, bool Stops);

public sealed record TwinView(ReaderId ReaderId, string Name, int Grade, string Where);

/// <param name="Fate">Empty, New, Joins, Changed, Unchanged, Question or Stopped.</param>
public sealed record CheckedRowView(
    RowFate Fate,
    IReadOnlyList<CellProblemView> Problems,
    IReadOnlyList<TwinView> Twins
);

public sealed record CheckedListView(
    IReadOnlyList<CheckedRowView> Rows,
    int New,
    int Joins,
    int Changed,
    int Unchanged,
    int Kept,
    int Asked = 0
);

/// <param name="Secret">Pictures with spaces between, a code, or a password.</param>
public sealed record SignInRow(
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    string UserName,
    SecretKind SecretKind,
    string Secret
);

/// <param name="Rows">What became of each row; those that are kept stay in the grid.</param>
public sealed record AppliedListView(ChangeId? ChangeId, CheckedListView Done, IReadOnlyList<SignInRow> Added);

public sealed record DraftView(IReadOnlyList<ListRowView> Rows, DateTimeOffset? SavedAt);
