using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Changes;
using DeepCurrent.Web.LevelChecks;

namespace DeepCurrent.Web.Assignments;

/// <summary>What was given, or drafted, at once.</summary>
internal sealed record Assigned(IReadOnlyList<AssignmentId> AssignmentIds)
{
    /// <summary>Level checks that were given with it; null where a change took in none yet.</summary>
    public IReadOnlyList<CheckGiven>? Checks { get; init; }
}

/// <summary>The same in several classes.</summary>
internal sealed record AssignedIn(IReadOnlyList<AssignmentId> AssignmentIds, IReadOnlyList<ClassId> ClassIds);

/// <summary>Drafts that are no more, as they were.</summary>
internal sealed record Discarded(IReadOnlyList<NewAssignment> Drafts);

internal sealed record TermsChanged(AssignmentId AssignmentId, AssignmentTerms Before, AssignmentTerms After)
{
    /// <summary>Others of the same act; null where a change took in none yet.</summary>
    public IReadOnlyList<TermsChanged>? With { get; init; }
}

internal sealed record TicketsMoved(TicketStep Step, IReadOnlyList<TicketMoved> Tickets);

/// <param name="TaskId">Of the text that came in.</param>
/// <param name="TakenBack">Tickets of the text that went.</param>
internal sealed record Swapped(AssignmentId AssignmentId, TaskId TaskId, IReadOnlyList<TicketMoved> TakenBack);

internal sealed class UndoAssigned() : UndoesAssigning<Assigned>(ChangeKind.Assigned)
{
    protected override async Task<Message> TakeBack(UndoAt at, Assigned did, ClassId classId, DateOnly today)
    {
        var taken = await TicketMover.Move(
            at.C,
            at.T,
            await AssignmentStore.TicketsOf(at.C, at.T, did.AssignmentIds, classId),
            classId,
            new(TicketStep.TakenBack, at.Change.AdultId, at.Now, today)
        );
        var ofChecks = await PlannedChecks.TakeBack(at.C, at.T, did.Checks, at.Now);
        var readers = Math.Max(taken.Select(k => k.ReaderId).Distinct().Count(), ofChecks);
        return readers == 0
            ? throw UndoAt.BuiltOn($"Everyone has handed this in, so nothing was taken back.")
            : (Message)$"Taken back from {Counted.Readers(readers)}. What was handed in is kept.";
    }
}

/// <summary>What was given, or drafted, in several classes goes from all of them.</summary>
internal sealed class UndoAssignedIn() : Undoes<AssignedIn>(ChangeKind.AssignedInClasses, Deed.Assign)
{
    protected override async Task<Message> Undo(UndoAt at, AssignedIn did)
    {
        var readers = 0;
        var today = at.Yardstick.Year.Clock.DayOf(at.Now);
        foreach (var classId in did.ClassIds)
        {
            var taken = await TicketMover.Move(
                at.C,
                at.T,
                await AssignmentStore.TicketsOf(at.C, at.T, did.AssignmentIds, classId),
                classId,
                new(TicketStep.TakenBack, at.Change.AdultId, at.Now, today)
            );
            readers += taken.Select(k => k.ReaderId).Distinct().Count();
            readers += await AssignmentWriter.Discard(at.C, at.T, did.AssignmentIds, classId);
            await AssignmentWriter.Tell(at.C, at.T, classId);
        }
        return readers == 0
            ? throw UndoAt.BuiltOn($"Everyone has handed this in, so nothing was taken back.")
            : (Message)$"Taken back in {did.ClassIds.Count:count} classes. What was handed in is kept.";
    }
}

/// <summary>Drafts that were given are drafts again, unless a reader has begun.</summary>
internal sealed class UndoDraftsGiven() : UndoesAssigning<Assigned>(ChangeKind.DraftsGiven)
{
    protected override async Task<Message> TakeBack(UndoAt at, Assigned did, ClassId classId, DateOnly today)
    {
        if (await AssignmentWriter.DeleteUntouched(at.C, at.T, did.AssignmentIds) > 0)
            throw UndoAt.BuiltOn($"Readers have begun. Take it back from those who have not.");
        foreach (var check in did.Checks ?? [])
            if (!await CheckWriter.SetDraft(at.C, at.T, check.CheckId))
                throw UndoAt.BuiltOn($"Readers have begun. Take it back from those who have not.");
        foreach (var id in did.AssignmentIds)
            _ = await AssignmentWriter.SetDraft(at.C, at.T, id, draft: true, at.Now);
        return $"{did.AssignmentIds.Count + (did.Checks?.Count ?? 0):count} assignments are drafts again.";
    }
}

internal sealed class UndoDrafted() : UndoesAssigning<Assigned>(ChangeKind.Drafted)
{
    protected override async Task<Message> TakeBack(UndoAt at, Assigned did, ClassId classId, DateOnly today)
    {
        var n = await AssignmentWriter.Discard(at.C, at.T, did.AssignmentIds, classId);
        foreach (var check in did.Checks ?? [])
            n += await CheckWriter.DiscardEmpty(at.C, at.T, check.CheckId, at.Now);
        return n == 0
            ? throw UndoAt.BuiltOn($"The drafts have been assigned since.")
            : (Message)$"{n:count} drafts were discarded.";
    }
}

internal sealed class UndoDiscarded() : UndoesAssigning<Discarded>(ChangeKind.DraftDiscarded)
{
    protected override async Task<Message> TakeBack(UndoAt at, Discarded did, ClassId classId, DateOnly today)
    {
        foreach (var draft in did.Drafts)
            await AssignmentWriter.Add(at.C, at.T, draft, today);
        return $"{did.Drafts.Count:count} drafts are back.";
    }
}

internal sealed class UndoTerms() : UndoesAssigning<TermsChanged>(ChangeKind.AssignmentChanged)
{
    protected override async Task<Message> TakeBack(UndoAt at, TermsChanged did, ClassId classId, DateOnly today)
    {
        foreach (var one in (did.With ?? []).Prepend(did))
            if (!await AssignmentWriter.PutBack(at.C, at.T, one.AssignmentId, one.Before, one.After, today, at.Now))
                throw UndoAt.BuiltOn($"It has been changed again since.");
        return $"It is as it was.";
    }
}

/// <param name="Before">Each reader's day before.</param>
internal sealed record DaySet(IReadOnlyList<OwnDay> Before, DateOnly? DueOn);

internal sealed record Reminded(IReadOnlyList<TicketId> TicketIds);

internal sealed class UndoOwnDay() : UndoesAssigning<DaySet>(ChangeKind.OwnDay)
{
    protected override async Task<Message> TakeBack(UndoAt at, DaySet did, ClassId classId, DateOnly today)
    {
        var n = await TicketDays.Back(at.C, at.T, did.Before, did.DueOn);
        return n == 0
            ? throw UndoAt.BuiltOn($"It has been changed again since.")
            : (Message)$"It is as it was for {Counted.Readers(n)}.";
    }
}

internal sealed class UndoReminded() : UndoesAssigning<Reminded>(ChangeKind.Reminded)
{
    protected override async Task<Message> TakeBack(UndoAt at, Reminded did, ClassId classId, DateOnly today)
    {
        var n = await TicketDays.Unremind(at.C, at.T, did.TicketIds);
        return n == 0
            ? throw UndoAt.BuiltOn($"The readers have opened it since.")
            : (Message)$"It is as it was for {Counted.Readers(n)}.";
    }
}

internal sealed record VersionSet(HadVersion Before, HadVersion After);

internal sealed class UndoVersion() : UndoesAssigning<VersionSet>(ChangeKind.VersionChanged)
{
    protected override async Task<Message> TakeBack(UndoAt at, VersionSet did, ClassId classId, DateOnly today) =>
        await TicketVersions.Set(at.C, at.T, did.Before, classId, at.Now, did.After.VersionId) is null
            ? throw UndoAt.BuiltOn($"The reader has gone on since, or the version was changed again.")
            : (Message)$"The reader has the version from before.";
}

internal sealed class UndoTickets() : UndoesAssigning<TicketsMoved>(ChangeKind.Tickets)
{
    protected override async Task<Message> TakeBack(UndoAt at, TicketsMoved did, ClassId classId, DateOnly today)
    {
        var n = await TicketMover.Back(at.C, at.T, did.Tickets, did.Step, classId, at.Now);
        return n == 0
            ? throw UndoAt.BuiltOn($"The readers have gone on since.")
            : (Message)$"It is as it was for {Counted.Readers(n)}.";
    }
}

internal sealed class UndoSwapped() : UndoesAssigning<Swapped>(ChangeKind.TextSwapped)
{
    protected override async Task<Message> TakeBack(UndoAt at, Swapped did, ClassId classId, DateOnly today)
    {
        if (await AssignmentWriter.DeleteUntouched(at.C, at.T, [did.AssignmentId], did.TaskId) > 0)
            throw UndoAt.BuiltOn($"Readers have begun the new text.");
        await AssignmentWriter.DropTask(at.C, at.T, did.TaskId);
        await TicketMover.Back(at.C, at.T, did.TakenBack, TicketStep.TakenBack, classId, at.Now);
        return $"The text they had before is back.";
    }
}
