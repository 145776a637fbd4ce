using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Readers;

namespace DeepCurrent.Web.Assignments;

/// <summary>A class something is given in: to whom, and which texts and tasks under which names.</summary>
internal sealed record GivenIn(
    GivingClass Room,
    IReadOnlyList<RosterRow> Chosen,
    IReadOnlyList<TextToGive> Texts,
    IReadOnlyList<NamedTask> Tasks
)
{
    public IEnumerable<AssignmentId> Ids => Texts.Select(w => w.Id).Concat(Tasks.Select(w => w.Id));
}

internal sealed record NamedTask(AssignmentId Id, TaskKind Kind, TaskContent Content);

internal sealed record Prepared(string Title, NewAssignment Assignment);
