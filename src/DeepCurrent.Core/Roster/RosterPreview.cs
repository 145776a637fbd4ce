using System.Text.Json.Serialization;

namespace DeepCurrent.Core.Roster;

/// <summary>What a roster is made of, as it is counted.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<RosterKind>))]
public enum RosterKind
{
    Readers,
    Teachers,
    Classes,
    Enrolments,
    Teaching,
}

/// <summary>What a step does to a thing.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<StepKind>))]
public enum StepKind
{
    Added,
    Changed,

    /// <summary>Out of one class and into another.</summary>
    Moved,
    Ended,
    Back,
}

/// <summary>What a change would do to one kind of thing.</summary>
public sealed record KindCounts(RosterKind Kind, int Added, int Changed, int Ended, int Back)
{
    public int All => Added + Changed + Ended + Back;
}

/// <summary>One line of what a change would do.</summary>
public sealed record PreviewLine(RosterKind Kind, StepKind What, Message Name, Message Detail);

/// <summary>Names of readers and classes a change is about that are not themselves in it.</summary>
public sealed record RosterNames(
    IReadOnlyDictionary<ReaderId, string> Readers,
    IReadOnlyDictionary<ClassId, string> Classes
);

/// <summary>What a change to a roster would do, before it is done.</summary>
/// <param name="Print">Stands for what would be done; the same change worked out anew has the same one.</param>
/// <param name="Moved">Readers who go from one class to another.</param>
/// <param name="Lines">Each step, changes and ends first.</param>
public sealed record RosterPreview(
    string Print,
    IReadOnlyList<KindCounts> Counts,
    int Moved,
    IReadOnlyList<PreviewLine> Lines
)
{
    /// <param name="most">At most so many lines; at least 0.</param>
    public static RosterPreview Of(ChangeSet change, RosterNames names, int most)
    {
        var moved = change.MovedReaders();
        KindCounts[] counts =
        [
            Count(RosterKind.Readers, change.Readers, r => r.Left),
            Count(RosterKind.Teachers, change.Adults, a => a.Left),
            Count(RosterKind.Classes, change.Classes, c => c.Closed),
            Count(RosterKind.Enrolments, change.Enrolments, e => e.To is not null),
            Count(RosterKind.Teaching, change.Teachings, _ => false),
        ];
        return new(
            PrintOf(counts, moved.Count, change),
            counts,
            moved.Count,
            [.. AllLines(change, names, moved).OrderBy(l => l.What is StepKind.Added ? 1 : 0).Take(most)]
        );
    }

    /// <summary>What a step does.</summary>
    /// <param name="ended">Whether a thing has ended: a reader who left, a class that is closed.</param>
    public static StepKind What<T>(Step<T> step, Func<T, bool> ended)
        where T : class, IRosterThing =>
        step.Before is null ? StepKind.Added
        : step.After is null || (ended(step.After) && !ended(step.Before)) ? StepKind.Ended
        : ended(step.Before) && !ended(step.After) ? StepKind.Back
        : StepKind.Changed;

    private static IEnumerable<PreviewLine> AllLines(
        ChangeSet change,
        RosterNames names,
        IReadOnlySet<ReaderId> moved
    ) =>
        change
            .Readers.Select(s => Line(RosterKind.Readers, s, r => $"{r.FullName}", r => r.Left, Differences))
            .Concat(
                change.Adults.Select(s =>
                    Line(RosterKind.Teachers, s, a => $"{a.Name}", a => a.Left, (_, _) => Message.Nothing)
                )
            )
            .Concat(change.Classes.Select(s => Line(RosterKind.Classes, s, c => $"{c.Name}", c => c.Closed, Renamed)))
            .Concat(change.Enrolments.Select(s => Line(s, names, moved.Contains(s.Thing.ReaderId))));

    private static PreviewLine Line(Step<Enrolment> step, RosterNames names, bool moves)
    {
        var line = Line(
            RosterKind.Enrolments,
            step,
            e =>
                $"{names.Readers.GetValueOrDefault(e.ReaderId, "–")} in {names.Classes.GetValueOrDefault(e.ClassId, "–")}",
            e => e.To is not null,
            (_, _) => Message.Nothing
        );
        return moves
            ? line with
            {
                What = StepKind.Moved,
                Detail = line.What is StepKind.Ended ? (Message)$"leaves" : $"joins",
            }
            : line;
    }

    private static PreviewLine Line<T>(
        RosterKind kind,
        Step<T> step,
        Func<T, Message> name,
        Func<T, bool> ended,
        Func<T, T, Message> differences
    )
        where T : class, IRosterThing
    {
        var what = What(step, ended);
        var detail = what is StepKind.Changed ? differences(step.Before!, step.After!) : Message.Nothing;
        return new(kind, what, name(step.Thing), detail);
    }

    private static KindCounts Count<T>(RosterKind kind, IReadOnlyList<Step<T>> steps, Func<T, bool> ended)
        where T : class, IRosterThing
    {
        var counts = steps.CountBy(s => What(s, ended)).ToDictionary();
        int Of(StepKind what) => counts.GetValueOrDefault(what);
        return new(kind, Of(StepKind.Added), Of(StepKind.Changed), Of(StepKind.Ended), Of(StepKind.Back));
    }

    private static Message Renamed(RosterClass before, RosterClass after) =>
        before.Name == after.Name ? (Message)$"dates" : $"was {before.Name}";

    private static Message Differences(RosterReader before, RosterReader after)
    {
        List<Message> all = [];
        if (before.FullName != after.FullName)
            all.Add($"was {before.FullName}");
        if (before.Grade != after.Grade)
            all.Add($"grade {before.Grade} to {after.Grade}");
        if (before.SourceId != after.SourceId)
            all.Add($"linked to the source");
        if (before.GuardianMail != after.GuardianMail)
            all.Add($"guardian address added");
        return $"{all}";
    }

    // New ids and secrets differ each time; what is compared is how much of what is done, and to whom. FNV-1a, which is
    // the same in every process.
    private static string PrintOf(KindCounts[] counts, int moved, ChangeSet change)
    {
        var fold = change
            .Readers.Select(s => s.Thing.FullName)
            .Concat(change.Classes.Select(s => s.Thing.Name))
            .Aggregate(14695981039346656037UL, (sum, text) => text.Aggregate(sum, (x, c) => (x ^ c) * 1099511628211UL));
        return $"{string.Join(' ', counts.Select(c => $"{c.Added}.{c.Changed}.{c.Ended}.{c.Back}"))} {moved} {fold:x}";
    }
}
