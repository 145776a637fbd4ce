namespace DeepCurrent.Core.Roster;

/// <summary>What a roster source says of somebody who teaches or leads.</summary>
public sealed record SourceAdult(RowPlace At, string SourceId, string Name, string? UserName, string? Mail, bool Gone);

public sealed record SourceClass(RowPlace At, string SourceId, string Name, DateOnly? FirstDay, DateOnly? LastDay, string? Grade, bool Gone);

public sealed record SourceReader(RowPlace At, string SourceId, string GivenName, string FamilyName, string? Grade, bool Gone);

/// <param name="Role">As the source writes it: student, teacher, aide, …</param>
public sealed record SourceEnrolment(RowPlace At, string SourceId, string ClassId, string UserId, string Role, DateOnly? From, DateOnly? To, bool Gone);

/// <summary>What a source gives: whole, so that what is missing has ended, or only what has changed.</summary>
public enum SourceScope { Absent, Whole, Changes }

/// <summary>A roster as a district's source gives it.</summary>
/// <param name="Problems">What could not be read.</param>
public sealed record SourceRoster(string Name, SourceScope Users, SourceScope Classes, SourceScope Enrolments,
    IReadOnlyList<SourceAdult> Adults, IReadOnlyList<SourceClass> ClassRows, IReadOnlyList<SourceReader> Readers, IReadOnlyList<SourceEnrolment> EnrolmentRows, IReadOnlyList<RowProblem> Problems);

/// <param name="YearId">The school year new classes belong to.</param>
/// <param name="Keeps">Adults who are not ended by a source, whatever it says: the one who imports, and every school lead.</param>
public sealed record SourceFrame(Guid YearId, DateOnly Today, Depth.LevelChart Chart, IReadOnlySet<Guid> Keeps);

/// <param name="Linked">Readers and adults who were here and now carry the source's id.</param>
public sealed record SourceResult(ChangeSet Change, IReadOnlyList<RowProblem> Problems, int Linked);
