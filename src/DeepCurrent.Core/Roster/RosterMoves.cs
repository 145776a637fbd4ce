namespace DeepCurrent.Core.Roster;

/// <summary>The usual changes of a school year: into a class, out of it, to another.</summary>
public static class RosterMoves
{
    /// <summary>Puts readers into a class; whoever is in it already is left alone, and whoever had left is
    /// back.</summary>
    public static ChangeSet Enrol(
        IReadOnlyList<RosterReader> readers,
        IReadOnlyList<Enrolment> enrolments,
        ClassId classId,
        DateOnly today,
        Func<EnrolmentId> newId
    ) =>
        ChangeSet.Nothing with
        {
            Readers = [.. readers.Where(r => r.Left).Select(r => new Step<RosterReader>(r, r with { Left = false }))],
            Enrolments =
            [
                .. readers
                    .Where(r => !enrolments.Any(e => e.ReaderId == r.Id && e.ClassId == classId && e.To is null))
                    .Select(r => Into(r.Id, enrolments, classId, today, newId)),
            ],
        };

    /// <summary>Ends the enrolments that are meant and still go on.</summary>
    public static ChangeSet End(IReadOnlyList<Enrolment> enrolments, Func<Enrolment, bool> meant, DateOnly today) =>
        ChangeSet.Nothing with
        {
            Enrolments =
            [
                .. enrolments
                    .Where(e => e.To is null && meant(e))
                    .Select(e => new Step<Enrolment>(e, e with { To = e.From > today ? e.From : today })),
            ],
        };

    /// <summary>Moves readers from one class to another on the same day; their other classes stay.</summary>
    public static ChangeSet Move(
        IReadOnlyList<RosterReader> readers,
        IReadOnlyList<Enrolment> enrolments,
        ClassId from,
        ClassId to,
        DateOnly today,
        Func<EnrolmentId> newId
    ) =>
        ChangeSet.Nothing with
        {
            Enrolments =
            [
                .. End(enrolments, e => e.ClassId == from, today).Enrolments,
                .. Enrol(readers, enrolments, to, today, newId).Enrolments,
            ],
        };

    // Whoever comes back on the day they left goes on as if they had stayed.
    private static Step<Enrolment> Into(
        ReaderId readerId,
        IReadOnlyList<Enrolment> enrolments,
        ClassId classId,
        DateOnly today,
        Func<EnrolmentId> newId
    ) =>
        enrolments.FirstOrDefault(e => e.ReaderId == readerId && e.ClassId == classId && e.To == today) is { } ended
            ? new(ended, ended with { To = null })
            : new(null, new Enrolment(newId(), null, classId, readerId, today, null));
}
