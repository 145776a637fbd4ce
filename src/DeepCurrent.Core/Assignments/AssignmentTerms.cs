using DeepCurrent.Core.Messages;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;

namespace DeepCurrent.Core.Assignments;

/// <summary>When an assignment is seen and due, and what is said with it.</summary>
/// <param name="VisibleFrom">The first day readers see it.</param>
/// <param name="DueOn">The last day on which it is not late; null where it never is.</param>
/// <param name="Heading">The teacher's own, under which it stands; empty for none.</param>
/// <param name="Directions">Readers read them.</param>
/// <param name="Note">Colleagues of the class read it.</param>
/// <param name="ClosesOn">The last day on which it can be worked on; null where it goes on after it was due.</param>
/// <param name="MayChange">Readers may change to another version within their reach, until they answer.</param>
/// <param name="ReleasesOn">The day from which marked work is released by itself; null where a person releases it.</param>
/// <param name="Talk">Written answers are open for talk: readers see one another's when they have answered.</param>
public sealed record AssignmentTerms(
    DateOnly VisibleFrom,
    DateOnly? DueOn,
    string Heading = "",
    string Directions = "",
    string Note = "",
    DateOnly? ClosesOn = null,
    Need Need = Need.Required,
    WorkPlace Place = WorkPlace.Anywhere,
    ResultsShown Results = ResultsShown.AtOnce,
    bool MayChange = false,
    bool Talk = false,
    DateOnly? ReleasesOn = null
)
{
    /// <summary>The same directions in the language of homes that speak another.</summary>
    public string HomeDirections { get; init; } = "";

    /// <summary>Its code, such as es; empty where there are none.</summary>
    public string HomeLanguage { get; init; } = "";

    /// <summary>Points in the gradebook, 0 to 1,000; 0 where it does not go into it.</summary>
    public int Worth { get; init; } = AssignmentTerms.UsualWorth;

    /// <summary>Points that an assignment is worth unless its teacher says otherwise.</summary>
    public const int UsualWorth = 100;

    private const int MostWorth = 1000,
        LongestHeading = 60,
        LongestDirections = 500,
        LongestNote = 500;

    /// <summary>The same without blanks at the ends.</summary>
    public AssignmentTerms Tidy() =>
        this with
        {
            Heading = Heading.Trim(),
            Directions = Directions.Trim(),
            Note = Note.Trim(),
            HomeDirections = HomeDirections.Trim(),
            HomeLanguage = HomeDirections.Trim().Length == 0 ? "" : HomeLanguage,
        };

    /// <summary>The same, and what a change made otherwise is so here, too.</summary>
    public AssignmentTerms Changed(AssignmentTerms before, AssignmentTerms after)
    {
        static T Now<T>(T mine, T was, T now) => EqualityComparer<T>.Default.Equals(was, now) ? mine : now;
        return new(
            Now(VisibleFrom, before.VisibleFrom, after.VisibleFrom),
            Now(DueOn, before.DueOn, after.DueOn),
            Now(Heading, before.Heading, after.Heading),
            Now(Directions, before.Directions, after.Directions),
            Now(Note, before.Note, after.Note),
            Now(ClosesOn, before.ClosesOn, after.ClosesOn),
            Now(Need, before.Need, after.Need),
            Now(Place, before.Place, after.Place),
            Now(Results, before.Results, after.Results),
            Now(MayChange, before.MayChange, after.MayChange),
            Now(Talk, before.Talk, after.Talk),
            Now(ReleasesOn, before.ReleasesOn, after.ReleasesOn)
        )
        {
            HomeDirections = Now(HomeDirections, before.HomeDirections, after.HomeDirections),
            HomeLanguage = Now(HomeLanguage, before.HomeLanguage, after.HomeLanguage),
            Worth = Now(Worth, before.Worth, after.Worth),
        };
    }

    /// <summary>What is wrong with them, by field.</summary>
    /// <param name="today">Nothing can be due before it.</param>
    /// <param name="before">As they were; what has not been changed is not asked again. Null for a new one.</param>
    public IEnumerable<(string Field, Message Sentence)> Faults(DateOnly today, AssignmentTerms? before = null)
    {
        if (DueOn < today && DueOn != before?.DueOn)
            yield return ("dueOn", $"This day has passed. Choose today or a later day.");
        else if (DueOn < VisibleFrom)
            yield return ("dueOn", $"It is due before readers see it. Choose a later day.");
        if (Need is Need.Recommended && DueOn is not null)
            yield return ("dueOn", $"What is recommended is never due. Leave the day out.");
        if (ClosesOn < today && ClosesOn != before?.ClosesOn)
            yield return ("closesOn", $"This day has passed. Choose today or a later day.");
        else if (ClosesOn < (DueOn ?? VisibleFrom))
            yield return ("closesOn", $"It closes before it is due. Choose a later day.");
        if (ReleasesOn < VisibleFrom)
            yield return ("releasesOn", $"Results come before readers see the work. Choose a later day.");
        if (Worth is < 0 or > MostWorth)
            yield return ("worth", $"Enter 0 to {MostWorth} points.");
        foreach (var fault in SaidFaults())
            yield return fault;
    }

    private IEnumerable<(string Field, Message Sentence)> SaidFaults()
    {
        if (Heading.Length > LongestHeading)
            yield return ("heading", $"Use {LongestHeading} letters or fewer.");
        if (Directions.Length > LongestDirections)
            yield return ("directions", $"Use {LongestDirections} letters or fewer.");
        if (HomeDirections.Length > LongestDirections)
            yield return ("homeDirections", $"Use {LongestDirections} letters or fewer.");
        else if (HomeDirections.Length > 0 && Languages.WithCode(HomeLanguage) is null)
            yield return ("homeDirections", $"Choose the language.");
        if (Note.Length > LongestNote)
            yield return ("note", $"Use {LongestNote} letters or fewer.");
    }

    /// <summary>The state in which its tickets begin. Extra work is planned until what is required is handed
    /// in.</summary>
    public TicketState Begins(DateOnly today) =>
        VisibleFrom > today || Need is Need.Extra ? TicketState.Planned : TicketState.Waiting;

    /// <summary>Whether nothing can be done with it any more.</summary>
    /// <param name="own">A reader's own last day; it never closes before that.</param>
    public bool Closed(DateOnly today, DateOnly? own = null) => ClosesOn is { } last && last < today && !(own >= today);

    /// <summary>The same some days later. A day that is no school day gives way to the next that is, at most two weeks
    /// on, and it stays as many school days long as it was, where the calendar knows them.</summary>
    /// <param name="days">How many days later; earlier below 0.</param>
    public AssignmentTerms Moved(int days, SchoolCalendar calendar)
    {
        var from = OnSchoolDay(VisibleFrom.AddDays(days), calendar);
        // Results come as many days after it is seen as they did.
        if (ReleasesOn is { } results)
            return (this with { ReleasesOn = null }).Moved(days, calendar) with
            {
                ReleasesOn = results.AddDays(from.DayNumber - VisibleFrom.DayNumber),
            };
        // It stays open as many days after it was due as it did.
        if (ClosesOn is { } closes && DueOn is null)
            return this with { VisibleFrom = from, ClosesOn = closes.AddDays(from.DayNumber - VisibleFrom.DayNumber) };
        if (DueOn is not { } due)
            return this with { VisibleFrom = from };
        var length = calendar.SchoolDays(VisibleFrom, due);
        var to = OnSchoolDay(due.AddDays(days), calendar);
        while (calendar.SchoolDays(from, to) < length && to < due.AddDays(days + Longest))
            to = to.AddDays(1);
        var last = to < from ? from : OnSchoolDay(to, calendar);
        return this with
        {
            VisibleFrom = from,
            DueOn = last,
            ClosesOn = ClosesOn?.AddDays(last.DayNumber - due.DayNumber),
        };
    }

    private const int Longest = 14;

    private static DateOnly OnSchoolDay(DateOnly day, SchoolCalendar calendar) =>
        Enumerable.Range(0, Longest).Select(day.AddDays).FirstOrDefault(calendar.IsSchoolDay, day);
}
