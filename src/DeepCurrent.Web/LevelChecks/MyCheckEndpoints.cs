using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.LevelChecks;

/// <param name="Part">WordReading, WordMeaning, Maze or Passages.</param>
/// <param name="State">Waiting, UnderWay, Done or Skipped.</param>
public sealed record MyPart(CheckPart Part, PartState State);

/// <summary>A question as its reader sees it: what is right stays on the server.</summary>
/// <param name="Kind">Single, Multiple, Order, Match or Sentence.</param>
/// <param name="Rights">What stands on the right of a match.</param>
/// <param name="Wanted">How many to choose.</param>
public sealed record MyItem(
    QuestionKind Kind,
    string Stem,
    IReadOnlyList<string> Choices,
    IReadOnlyList<string> Rights,
    int Wanted
);

public sealed record MyPicks(int Item, IReadOnlyList<int> Picks);

/// <param name="Pages">Of a passage; of a maze passage what stands before each choice, and after the last.</param>
/// <param name="Place">Which stage of the part it is, from 1.</param>
/// <param name="Sentences">Paragraph by paragraph, where a sentence of the passage is to be picked.</param>
public sealed record MyStage(
    StageId Id,
    int Place,
    string Title,
    Fathoms Depth,
    IReadOnlyList<IReadOnlyList<string>> Pages,
    IReadOnlyList<IReadOnlyList<string>> Sentences,
    IReadOnlyList<MyItem> Items,
    IReadOnlyList<MyPicks> Answers,
    double Seconds
)
{
    public static MyStage Of(Stage s, CheckPart part) =>
        new(
            s.Id,
            s.Position + 1,
            part is CheckPart.Passages or CheckPart.Maze ? s.Title : "",
            s.TextDepth ?? default,
            s.Pages,
            s.Items.Any(i => i.Kind.PicksSentences()) ? Scoring.ParagraphsOf(s.Pages) : [],
            [.. s.Items.Select(i => new MyItem(i.Kind, i.Stem, i.Choices, i.Rights ?? [], i.Wanted))],
            [.. s.Answers.Select(a => new MyPicks(a.Item, a.Picks))],
            s.Seconds
        );
}

/// <param name="Now">The part that is under way or comes next; null when all is done.</param>
/// <param name="Left">Seconds the part may still take, this stage's own time not counted.</param>
/// <param name="Tomorrow">The next part opens on another day.</param>
/// <param name="Refused">Answers just sent that were given after the check had ended.</param>
public sealed record MyCheckView(
    SittingId Id,
    string Title,
    string Directions,
    IReadOnlyList<MyPart> Parts,
    CheckPart? Now,
    MyStage? Stage,
    double Left,
    bool TimerShown,
    bool OneChoice,
    bool Tomorrow,
    int Refused = 0
)
{
    public static MyCheckView Of(Sitting s) =>
        new(
            s.Id,
            s.Check.ReaderTitle,
            s.Check.Directions,
            [.. s.Parts.Select(p => new MyPart(p.Part, p.State))],
            s.Now?.Part,
            s.Stage is { } stage ? MyStage.Of(stage, s.Now!.Part) : null,
            Math.Max(0, s.Limit - s.Spent),
            s.Check.Plan.TimerShown && !s.Supports.HideTimer,
            s.Supports.OneChoice,
            s.Tomorrow
        );
}

/// <param name="Id">Made by the page: the same answer sent twice is kept once.</param>
/// <param name="Picks">In the places the reader saw.</param>
public sealed record MyAnswerRequest(
    AnswerId Id,
    int Item,
    IReadOnlyList<int>? Picks,
    DateTimeOffset At,
    int Milliseconds
);

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
        api.MapGet("/my/checks", async (Desk desk, SittingStore sittings) =>
            await sittings.Mine(desk.Self(), desk.Who.SchoolId, (await desk.Moment()).Today)
        );
        api.MapGet("/my/checks/{sittingId:guid}", Find);
        api.MapPost("/my/checks/{sittingId:guid}/begin", Begin);
        api.MapPut("/my/checks/{sittingId:guid}/stages/{stageId:guid}", Keep);
    }

    private static async Task<MyCheckView> Find(SittingId sittingId, Desk desk, SittingStore sittings)
    {
        var moment = await desk.Moment();
        return MyCheckView.Of(
            Open(
                await sittings.Find(sittingId, desk.Self(), desk.Who.SchoolId, moment) ?? throw Refused.NotFound(),
                moment
            )
        );
    }

    /// <summary>A check that is over has nothing left to do.</summary>
    private static Sitting Open(Sitting s, Moment at) =>
        s.Check.Over(at.Today) ? s with { Now = null, Stage = null } : s;

    private static async Task<MyCheckView> Begin(SittingId sittingId, Desk desk, SittingStore sittings, CheckDesk at)
    {
        var readerId = desk.Self();
        return
            await sittings.Begin(sittingId, readerId, desk.Who.SchoolId, await at.Yardstick(), await desk.Moment())
                is { } s
            ? MyCheckView.Of(s)
            : throw await Shut(sittingId, desk, sittings);
    }

    private static async Task<MyCheckView> Keep(
        SittingId sittingId,
        StageId stageId,
        StageRequest r,
        Desk desk,
        SittingStore sittings,
        CheckDesk at
    )
    {
        var readerId = desk.Self();
        new Faults()
            .If(!(r.Seconds is >= 0 and <= LongestStage), "seconds", $"The time on a page is not valid.")
            .If(r.Answers?.Count > MostAnswers, "answers", $"Too many answers at once.")
            .Refuse();
        var answers = (r.Answers ?? [])
            .Select(a => new SentAnswer(a.Id, a.Item, a.Picks ?? [], desk.Given(a.At), a.Milliseconds))
            .ToList();
        var moment = await desk.Moment();
        var kept = await sittings.Keep(
            sittingId,
            readerId,
            desk.Who.SchoolId,
            stageId,
            answers,
            r.Seconds,
            r.Done,
            await at.Yardstick(),
            moment
        ) ?? throw await Shut(sittingId, desk, sittings);
        return MyCheckView.Of(Open(kept.Sitting, moment)) with { Refused = kept.Refused };
    }

    /// <summary>Why nothing can be done: it is not theirs, or it has ended.</summary>
    private static async Task<Refused> Shut(SittingId sittingId, Desk desk, SittingStore sittings) =>
        await sittings.Find(sittingId, desk.Self(), desk.Who.SchoolId, await desk.Moment()) is null
            ? Refused.NotFound()
            : Refused.Conflict("over", $"This check has ended. Your answers are saved.");
}
