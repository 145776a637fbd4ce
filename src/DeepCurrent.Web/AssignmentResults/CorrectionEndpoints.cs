using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Changes;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;
using Npgsql;

namespace DeepCurrent.Web.AssignmentResults;

/// <param name="Id">Made by the page: asked for twice, it is made once.</param>
/// <param name="Right">The picks that are right, from 0: choices, all things in their order, or for each thing on the
/// left its other half. Null to take the question out.</param>
/// <param name="Proofs">The sentence that is right, by version label, where sentences are picked.</param>
/// <param name="AlsoIn">Other classes in which the same is done.</param>
public sealed record CorrectionRequest(
    CorrectionId Id,
    IReadOnlyList<int>? Right,
    IReadOnlyDictionary<string, string>? Proofs = null,
    IReadOnlyList<ClassId>? AlsoIn = null
);

/// <summary>One reader's score and level, before and after.</summary>
/// <param name="Score">Share right at once; null while something waits.</param>
public sealed record RescoredView(
    ReaderId ReaderId,
    Probability? ScoreBefore,
    Probability? Score,
    Fathoms DepthBefore,
    Fathoms Depth
);

/// <summary>Another class whose readers answered the question.</summary>
/// <param name="Readers">Who answered it.</param>
/// <param name="Changes">For how many of them a score or level would be another.</param>
public sealed record CorrectionElsewhere(ClassId ClassId, string Name, int Readers, int Changes);

/// <param name="Readers">Scored again, whether anything changes for them or not.</param>
/// <param name="Changes">Those for whom something changes, most first.</param>
/// <param name="Elsewhere">Classes of the asker's in which the same can be done.</param>
public sealed record CorrectionPreview(
    int Readers,
    IReadOnlyList<RescoredView> Changes,
    IReadOnlyList<CorrectionElsewhere> Elsewhere
);

/// <param name="ChangeIds">One for each class, this one's first.</param>
public sealed record CorrectedView(IReadOnlyList<ChangeId> ChangeIds, Message Summary);

/// <summary>Correcting a faulty question after it was answered: for one class or several, shown before it is done, and
/// undone.</summary>
public static class CorrectionEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/assignments/{assignmentId:guid}/questions/{questionId:guid}/correction/preview", Preview);
        api.MapPost("/assignments/{assignmentId:guid}/questions/{questionId:guid}/correction", Correct);
    }

    private static async Task<CorrectionPreview> Preview(
        AssignmentId assignmentId,
        QuestionId questionId,
        CorrectionRequest request,
        Desk desk,
        AssignmentStore assignments,
        TextStore texts,
        CorrectionStore corrections,
        RosterDesk roster
    )
    {
        var (row, correction) = await Asked(assignmentId, questionId, request, desk, assignments, texts);
        var yardstick = await roster.Yardstick();
        Task<IReadOnlyList<Rescored>?> In(ClassId classId) =>
            corrections.Preview(classId, row.TextId!.Value, correction, (yardstick.Year, yardstick.Chart, desk.Now));
        var all = await In(row.ClassId) ?? throw Stands();
        var elsewhere = new List<CorrectionElsewhere>();
        foreach (var other in await Elsewhere(row, questionId, desk, corrections))
            elsewhere.Add(new(other.ClassId, other.Name, other.Readers, Changed(await In(other.ClassId) ?? [])));
        return new(
            all.Select(r => r.ReaderId).Distinct().Count(),
            [
                .. all.Where(r => r.Changed)
                    .OrderByDescending(r => Math.Abs((r.Score?.Value ?? 0) - (r.ScoreBefore?.Value ?? 0)))
                    .Select(r => new RescoredView(r.ReaderId, r.ScoreBefore, r.Score, r.DepthBefore, r.Depth)),
            ],
            elsewhere
        );
    }

    private static async Task<CorrectedView> Correct(
        AssignmentId assignmentId,
        QuestionId questionId,
        CorrectionRequest request,
        Desk desk,
        AssignmentStore assignments,
        TextStore texts,
        CorrectionStore corrections,
        RosterDesk roster,
        ChangeStore changes
    )
    {
        var (row, correction) = await Asked(assignmentId, questionId, request, desk, assignments, texts);
        var also = (request.AlsoIn ?? []).Distinct().Where(c => c != row.ClassId).ToList();
        foreach (var classId in also)
            await desk.Class(classId, Deed.Mark);
        if (await Before(changes, [row.ClassId, .. also], request.Id) is { } before)
            return before;
        var yardstick = await roster.Yardstick();
        async Task<Listed> In(NpgsqlConnection c, NpgsqlTransaction t, ClassId classId, CorrectionId id)
        {
            var all = await corrections.Make(
                c,
                t,
                id,
                classId,
                row.TextId!.Value,
                correction,
                desk.Who.Adult,
                (yardstick.Year, yardstick.Chart, desk.Now)
            ) ?? throw Stands();
            return new(new Corrected(id, request.Id), Words(correction.TakenOut, row.Title, Changed(all)));
        }
        var others = new List<ChangeId>();
        var made = await changes.DoIn(row.ClassId, desk, ChangeKind.QuestionCorrected, async (c, t) =>
        {
            var here = await In(c, t, row.ClassId, request.Id);
            foreach (var classId in also)
            {
                var there = await In(c, t, classId, CorrectionId.New());
                var by = new ChangeBy(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now);
                others.Add(await ChangeStore.Add(c, t, by, ChangeKind.QuestionCorrected, there.Summary, there.Detail));
                await AssignmentWriter.Tell(c, t, classId);
            }
            return here;
        });
        return Said([made!, .. others.Select(id => new Made(id, made!.Summary))]);
    }

    private static Message Words(bool takenOut, string title, int changed)
    {
        var readers = Counted.Readers(changed);
        return takenOut
            ? (Message)$"Took a question of “{title}” out. Scores of {readers} changed."
            : $"Changed the key of a question of “{title}”. Scores of {readers} changed.";
    }

    /// <summary>What was made before for the same request; null where nothing was.</summary>
    private static async Task<CorrectedView?> Before(
        ChangeStore changes,
        IReadOnlyList<ClassId> classes,
        CorrectionId asked
    )
    {
        var made = new List<Made>();
        foreach (var classId in classes)
            if (await changes.Made(classId, ChangeKind.QuestionCorrected, new { Asked = asked }) is { } before)
                made.Add(before);
        return made.Count == 0 ? null : Said(made);
    }

    private static CorrectedView Said(IReadOnlyList<Made> made) =>
        new(
            [.. made.Select(m => m.Id)],
            made.Count == 1 ? made[0].Summary : $"Corrected the question in {made.Count:count} classes."
        );

    private static int Changed(IEnumerable<Rescored> all) =>
        all.Where(r => r.Changed).Select(r => r.ReaderId).Distinct().Count();

    /// <summary>Other classes that answered it, in which the asker may mark.</summary>
    private static async Task<IReadOnlyList<AnsweredIn>> Elsewhere(
        AssignmentRow row,
        QuestionId questionId,
        Desk desk,
        CorrectionStore corrections
    )
    {
        var may = new List<AnsweredIn>();
        foreach (var other in await corrections.Elsewhere(row.ClassId, questionId))
            if (await desk.MayIn(other.ClassId, Deed.Mark))
                may.Add(other);
        return may;
    }

    private static Refused Stands() =>
        Refused.Conflict("corrected", $"This question has been corrected already. Undo that first.");

    private static async Task<(AssignmentRow Row, QuestionCorrection Correction)> Asked(
        AssignmentId assignmentId,
        QuestionId questionId,
        CorrectionRequest request,
        Desk desk,
        AssignmentStore assignments,
        TextStore texts
    )
    {
        var (row, _) = await desk.Assignment(assignments, assignmentId, Deed.Mark);
        if (row.TextId is not { } text)
            throw Refused.NotFound();
        var question = (await texts.Questions(text)).FirstOrDefault(q => q.Id == questionId)
            ?? throw Refused.NotFound();
        var correction = new QuestionCorrection(
            questionId,
            question.Rules.PicksSentences && request.Proofs is not null ? [] : request.Right,
            question.Rules.PicksSentences ? request.Proofs : null
        );
        var versions = new Dictionary<string, IReadOnlyList<string>>();
        if (correction.Proofs is not null)
            foreach (var v in await texts.Versions(text, desk.Who.SchoolId))
                versions[v.Label] = await texts.Sentences(v.Id);
        new Faults().Of("right", correction.Fault(question, versions)).Refuse();
        return (row, correction);
    }
}

/// <summary>What a correction's listing keeps.</summary>
/// <param name="Asked">The request it came from; several classes have one.</param>
internal sealed record Corrected(CorrectionId Id, CorrectionId? Asked = null);

internal sealed class UndoCorrection(CorrectionStore corrections)
    : Undoes<Corrected>(ChangeKind.QuestionCorrected, Deed.Mark)
{
    protected override async Task<Message> Undo(UndoAt at, Corrected did) =>
        await corrections.TakeBack(at.C, at.T, did.Id, (at.Yardstick.Year, at.Yardstick.Chart, at.Now))
            ? (Message)$"The question counts as it did before."
            : throw UndoAt.BuiltOn($"This correction does not stand any more.");
}
