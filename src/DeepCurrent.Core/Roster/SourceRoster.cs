namespace DeepCurrent.Core.Roster;

/// <summary>What a roster source says of somebody who teaches or leads.</summary>
public sealed record SourceAdult(RowPlace At, string SourceId, string Name, string? UserName, string? Mail, bool Gone);

public sealed record SourceClass(
    RowPlace At,
    string SourceId,
    string Name,
    DateOnly? FirstDay,
    DateOnly? LastDay,
    string? Grade,
    bool Gone
);

/// <param name="GuardianMail">Addresses of the guardians the source names, as <see cref="Mail.Several"/> writes
/// them.</param>
public sealed record SourceReader(
    RowPlace At,
    string SourceId,
    string GivenName,
    string FamilyName,
    string? Grade,
    bool Gone,
    string? GuardianMail = null
);

/// <summary>Somebody of whom the source does not say what they are, as a file of changes may leave out.</summary>
public sealed record SourceUser(SourceReader AsReader, SourceAdult AsAdult);

/// <param name="Role">As the source writes it: student, teacher, aide, …</param>
public sealed record SourceEnrolment(
    RowPlace At,
    string SourceId,
    string ClassId,
    string UserId,
    string Role,
    DateOnly? From,
    DateOnly? To,
    bool Gone
);

/// <summary>What a source gives: whole, so that what is missing has ended, or only what has changed.</summary>
public enum SourceScope
{
    Absent,
    Whole,
    Changes,
}

/// <summary>What rows that are held back name. Nothing of it is changed, and nothing of it is ended.</summary>
public sealed class HeldRows
{
    private readonly Dictionary<string, RowPlace> users,
        classes;
    private readonly HashSet<string> names,
        titles,
        enrolments;
    private readonly HashSet<(string Class, string User)> places;

    public HeldRows(HeldRows? from = null)
    {
        (users, classes) = (new(from?.users ?? []), new(from?.classes ?? []));
        (names, titles, enrolments, places) = (
            [.. from?.names ?? []],
            [.. from?.titles ?? []],
            [.. from?.enrolments ?? []],
            [.. from?.places ?? []]
        );
    }

    /// <param name="name">As <see cref="Names.Key"/> folds it; it stands for the user where the row has no id.</param>
    public void User(RowPlace at, string id, string name)
    {
        if (id.Length > 0)
            users.TryAdd(id, at);
        else
            names.Add(name);
    }

    public void Class(RowPlace at, string id, string title)
    {
        if (id.Length > 0)
            classes.TryAdd(id, at);
        else
            titles.Add(title);
    }

    public void Enrolment(string id, string classId, string userId)
    {
        if (id.Length > 0)
            enrolments.Add(id);
        places.Add((classId, userId));
    }

    public bool HasUser(string id, string name) => users.ContainsKey(id) || names.Contains(name);

    public bool HasClass(string id, string title) => classes.ContainsKey(id) || titles.Contains(title);

    public bool HasEnrolment(string id, string classId, string userId) =>
        enrolments.Contains(id) || places.Contains((classId, userId));

    public RowPlace? UserAt(string id) => users.TryGetValue(id, out var at) ? at : null;

    public RowPlace? ClassAt(string id) => classes.TryGetValue(id, out var at) ? at : null;
}

/// <summary>A roster as a district's source gives it.</summary>
/// <param name="Source">Who says it; null for a roster this school wrote out itself, which owns nothing and ends
/// nothing.</param>
/// <param name="Problems">What could not be read.</param>
/// <param name="Held">What the rows name that could not be read, or that a person has left out.</param>
public sealed record SourceRoster(
    string? Source,
    SourceScope Users,
    SourceScope Classes,
    SourceScope Enrolments,
    IReadOnlyList<SourceAdult> Adults,
    IReadOnlyList<SourceClass> ClassRows,
    IReadOnlyList<SourceReader> Readers,
    IReadOnlyList<SourceUser> Unsaid,
    IReadOnlyList<SourceEnrolment> EnrolmentRows,
    IReadOnlyList<RowProblem> Problems,
    HeldRows Held
);

/// <param name="YearId">The school year new classes belong to.</param>
/// <param name="Keeps">Adults who are not ended by a source, whatever it says: the one who imports, and every school
/// lead.</param>
public sealed record SourceFrame(YearId YearId, DateOnly Today, Depth.LevelChart Chart, IReadOnlySet<AdultId> Keeps);

/// <summary>How much of one kind of thing a change ends.</summary>
/// <param name="Ended">How many are ended.</param>
/// <param name="Of">How many there are before.</param>
public readonly record struct Ending(int Ended, int Of)
{
    /// <summary>The share that may end without being asked about.</summary>
    public const double Usual = 0.1;

    /// <summary>A file that ends more than a tenth, and more than two, is more often a mistake than a school.</summary>
    public bool Unusual => Ended > 2 && Ended > Usual * Of;
}

/// <param name="Readers">Readers who are in a class before and in none after.</param>
/// <param name="Adults">Adults who could sign in before and cannot after.</param>
/// <param name="Classes">Classes that are open before and closed after.</param>
public sealed record Endings(Ending Readers, Ending Adults, Ending Classes)
{
    public bool Unusual => Readers.Unusual || Adults.Unusual || Classes.Unusual;

    /// <summary>The number to be typed before more than a tenth of anything is ended.</summary>
    public int All => Readers.Ended + Adults.Ended + Classes.Ended;

    /// <summary>What a change would end of a roster.</summary>
    public static Endings Of(RosterState state, ChangeSet change)
    {
        var enrolled = state
            .Enrolments.Values.Where(e => e.To is null)
            .GroupBy(e => e.ReaderId)
            .ToDictionary(g => g.Key, g => g.Count());
        var left = new Dictionary<ReaderId, int>(enrolled);
        foreach (var s in change.Enrolments)
        {
            if (s.Before is { To: null } before)
                left[before.ReaderId]--;
            if (s.After is { To: null } after)
                left[after.ReaderId] = left.GetValueOrDefault(after.ReaderId) + 1;
        }
        return new(
            new(enrolled.Keys.Count(id => left[id] == 0), enrolled.Count),
            new(
                change.Adults.Count(s => s is { Before.Left: false, After: null or { Left: true } }),
                state.Adults.Values.Count(a => !a.Left)
            ),
            new(
                change.Classes.Count(s => s is { Before.Closed: false, After: null or { Closed: true } }),
                state.Classes.Values.Count(c => !c.Closed)
            )
        );
    }
}

/// <param name="Linked">Readers and adults who were here and now carry the source's id.</param>
public sealed record SourceResult(ChangeSet Change, IReadOnlyList<RowProblem> Problems, int Linked, Endings Endings)
{
    public static readonly SourceResult Nothing = new(ChangeSet.Nothing, [], 0, new(default, default, default));
}
