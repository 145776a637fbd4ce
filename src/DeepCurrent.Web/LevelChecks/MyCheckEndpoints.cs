using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.LevelChecks;

/// <param name="Part">WordReading, WordMeaning, Maze or Passages.</param>
/// <param name="State">Waiting, UnderWay, Done or Skipped.</param>
public sealed record MyPart(string Part, string State);

/// <summary>A question as its reader sees it: which choice is right stays on the server.</summary>
public sealed record MyItem(string Stem, IReadOnlyList<string> Choices);

public sealed record MyPick(int Item, int Pick);

/// <param name="Pages">Of a passage; of a maze passage what stands before each choice, and after the last.</param>
/// <param name="Place">Which stage of the part it is, from 1.</param>
public sealed record MyStage(Guid Id, int Place, string Title, double Depth, IReadOnlyList<IReadOnlyList<string>> Pages, IReadOnlyList<MyItem> Items, IReadOnlyList<MyPick> Answers, double Seconds);

/// <param name="Now">The part that is under way or comes next; null when all is done.</param>
/// <param name="Left">Seconds the part may still take, this stage's own time not counted.</param>
/// <param name="Tomorrow">The next part opens on another day.</param>
public sealed record MyCheckView(Guid Id, string Title, string Directions, IReadOnlyList<MyPart> Parts, string? Now, MyStage? Stage, double Left, bool TimerShown, bool OneChoice, bool Tomorrow)
{
    public static MyCheckView Of(Sitting s) => new(s.Id, s.Check.ReaderTitle, s.Check.Directions, [.. s.Parts.Select(p => new MyPart(p.Part.ToString(), p.State.ToString()))], s.Now?.Part.ToString(),
        s.Stage is { } stage ? new(stage.Id, stage.Position + 1, s.Now!.Part is CheckPart.Passages or CheckPart.Maze ? stage.Title : "", stage.TextDepth ?? 0, stage.Pages, [.. stage.Items.Select(i => new MyItem(i.Stem, i.Choices))], [.. stage.Answers.Select(a => new MyPick(a.Item, a.Pick))], stage.Seconds) : null,
        Math.Max(0, s.Limit - s.Spent), s.Check.Plan.TimerShown && !s.Supports.HideTimer, s.Supports.OneChoice, s.Tomorrow);
}

/// <param name="Id">Made by the page: the same answer sent twice is kept once.</param>
public sealed record MyAnswerRequest(Guid Id, int Item, int Pick, DateTimeOffset At, int Milliseconds);

/// <param name="Seconds">Time the stage has been open so far.</param>
/// <param name="Done">The reader has finished the stage, or its time is up.</param>
public sealed record StageRequest(IReadOnlyList<MyAnswerRequest>? Answers, double Seconds, bool Done);

/// <summary>The reader's own level checks. Everything here is safe to send twice.</summary>
public static class MyCheckEndpoints
{
    private const int MostAnswers = 300;
    private const double LongestStage = 4 * 3600;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/checks", async (Desk desk, SittingStore sittings) => await sittings.Mine(desk.Self(), desk.Who.SchoolId, (await desk.Moment()).Today));
        api.MapGet("/my/checks/{sittingId:guid}", Find);
        api.MapPost("/my/checks/{sittingId:guid}/begin", Begin);
        api.MapPut("/my/checks/{sittingId:guid}/stages/{stageId:guid}", Keep);
    }

    private static async Task<MyCheckView> Find(Guid sittingId, Desk desk, SittingStore sittings)
    {
        var sitting = await sittings.Find(sittingId, desk.Self(), desk.Who.SchoolId, await desk.Moment()) ?? throw Refused.NotFound();
        return MyCheckView.Of(sitting.Check.Over((await desk.Moment()).Today) ? sitting with { Now = null, Stage = null } : sitting);
    }

    private static async Task<MyCheckView> Begin(Guid sittingId, Desk desk, SittingStore sittings, CheckDesk at)
    {
        var readerId = desk.Self();
        return await sittings.Begin(sittingId, readerId, desk.Who.SchoolId, await at.Yardstick(), await desk.Moment()) is { } s ? MyCheckView.Of(s) : throw await Shut(sittingId, desk, sittings);
    }

    private static async Task<MyCheckView> Keep(Guid sittingId, Guid stageId, StageRequest r, Desk desk, SittingStore sittings, CheckDesk at)
    {
        var readerId = desk.Self();
        if (!(r.Seconds is >= 0 and <= LongestStage)) throw Refused.Field("seconds", "This is no time spent on a page.");
        if (r.Answers?.Count > MostAnswers) throw Refused.Field("answers", "These are too many answers.");
        var answers = (r.Answers ?? []).Select(a => new SentAnswer(a.Id, a.Item, a.Pick, a.At, a.Milliseconds)).ToList();
        return await sittings.Keep(sittingId, readerId, desk.Who.SchoolId, stageId, answers, r.Seconds, r.Done, await at.Yardstick(), await desk.Moment()) is { } s ? MyCheckView.Of(s) : throw await Shut(sittingId, desk, sittings);
    }

    /// <summary>Why nothing can be done: it is not theirs, or it has ended.</summary>
    private static async Task<Refused> Shut(Guid sittingId, Desk desk, SittingStore sittings) =>
        await sittings.Find(sittingId, desk.Self(), desk.Who.SchoolId, await desk.Moment()) is null ? Refused.NotFound() : Refused.Conflict("over", "This has ended. What you did before is kept.");
}
