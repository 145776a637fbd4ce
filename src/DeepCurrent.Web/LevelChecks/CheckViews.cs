using System.Text.Json.Serialization;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.Classes;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.LevelChecks;

/// <param name="Part">WordReading, WordMeaning, Maze or Passages.</param>
public sealed record PartPlanView(
    [property: JsonRequired] CheckPart Part,
    int Minutes,
    Fathoms? SkipBelow,
    Fathoms? SkipAbove,
    bool SkipMastered,
    bool SkipUndecoding
)
{
    public static PartPlanView Of(PartPlan p) =>
        new(p.Part, p.Minutes, Place(p.SkipBelow), Place(p.SkipAbove), p.SkipMastered, p.SkipUndecoding);

    private static Fathoms? Place(double? depth) => depth is { } at ? new(at) : null;

    public PartPlan Read() => new(Part, Minutes, SkipBelow?.Value, SkipAbove?.Value, SkipMastered, SkipUndecoding);
}

public sealed record PlanView(
    IReadOnlyList<PartPlanView> Parts,
    [property: JsonRequired] CheckStart Start,
    Fathoms From,
    Fathoms To,
    bool TimerShown,
    int MostPassages,
    double SureAt,
    bool APartADay,
    IReadOnlyList<VersionId> Form
)
{
    public static PlanView Of(CheckPlan p) =>
        new(
            [.. p.Parts.Select(PartPlanView.Of)],
            p.Start,
            new(p.From),
            new(p.To),
            p.TimerShown,
            p.MostPassages,
            p.SureAt,
            p.APartADay,
            p.Form
        );
}

/// <summary>Whom a check is for.</summary>
public sealed record AimView(
    IReadOnlyList<ClassId> ClassIds,
    IReadOnlyList<GroupId> GroupIds,
    IReadOnlyList<ReaderId> ReaderIds,
    IReadOnlyList<int> Grades
)
{
    public static AimView Of(IReadOnlyList<CheckAim> aims)
    {
        List<T> Keys<T>(AimKind kind)
            where T : struct, IId<T> => [.. aims.Where(a => a.Kind == kind).Select(a => T.From(Guid.Parse(a.Key)))];
        return new(
            Keys<ClassId>(AimKind.Class),
            Keys<GroupId>(AimKind.Group),
            Keys<ReaderId>(AimKind.Reader),
            [
                .. aims.Where(a => a.Kind is AimKind.Grade)
                    .Select(a => int.Parse(a.Key, System.Globalization.CultureInfo.InvariantCulture)),
            ]
        );
    }

    public IReadOnlyList<CheckAim> Read() =>
        [
            .. ClassIds.Distinct().Select(i => new CheckAim(AimKind.Class, i.ToString())),
            .. GroupIds.Distinct().Select(i => new CheckAim(AimKind.Group, i.ToString())),
            .. ReaderIds.Distinct().Select(i => new CheckAim(AimKind.Reader, i.ToString())),
            .. Grades
                .Distinct()
                .Select(g => new CheckAim(
                    AimKind.Grade,
                    g.ToString(System.Globalization.CultureInfo.InvariantCulture)
                )),
        ];
}

/// <param name="Revision">The revision that was changed; 0 for a new check.</param>
/// <param name="Season">Of a benchmark window; null for a check in between.</param>
/// <param name="Draft">Kept, and not yet given.</param>
public sealed record CheckRequest(
    int Revision,
    string? ReaderTitle,
    string? Directions,
    Season? Season,
    PlanView? Plan,
    AimView? For,
    DateOnly? OpensOn,
    DateOnly? ClosesOn,
    bool Draft,
    IReadOnlyList<AdultId>? Colleagues
);

/// <param name="Part">WordReading, WordMeaning, Maze or Passages.</param>
/// <param name="State">Waiting, UnderWay, Done or Skipped.</param>
/// <param name="Flag">Fine, TooFast, Thin or Missing.</param>
/// <param name="Rounds">How often it was given.</param>
/// <param name="Score">Of a maze passage, right less half the wrong ones a minute.</param>
public sealed record PartView(
    CheckPartId Id,
    CheckPart Part,
    PartState State,
    PartFlag Flag,
    Message Note,
    int Rounds,
    int Answered,
    int Asked,
    int Correct,
    int TooFast,
    double Seconds,
    double? Score
);

public sealed record SittingView
{
    public required SittingId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required int Grade { get; init; }

    public required string? Class { get; init; }

    /// <summary>The level without the check: as it was given, or as it would stand now without what the check
    /// moved.</summary>
    public required Fathoms Before { get; init; }

    public required Fathoms? After { get; init; }

    public required double? Sd { get; init; }

    public required DateTimeOffset ChangedAt { get; init; }

    public required IReadOnlyList<PartView> Parts { get; init; }

    /// <summary>Parts that were too fast, thin or missed.</summary>
    public required int Again { get; init; }

    /// <summary>Answers given before the check ended and heard of after it.</summary>
    public required int Late { get; init; }

    /// <summary>What the check moved, fm, and nothing else.</summary>
    public required double Moved { get; init; }

    public static SittingView Of(SittingRow s, bool over)
    {
        var last = s
            .Parts.GroupBy(p => p.Part)
            .Select(g => (Part: g.MaxBy(p => p.Round)!, Rounds: g.Count()))
            .OrderBy(p => p.Part.Position)
            .ToList();
        return new()
        {
            Id = s.Id,
            ReaderId = s.ReaderId,
            GivenName = s.GivenName,
            FamilyName = s.FamilyName,
            Grade = s.Grade,
            Class = s.Class,
            Before = s.AfterMean - s.Moved ?? s.BeforeMean,
            After = s.AfterMean,
            Sd = s.AfterSd,
            ChangedAt = s.ChangedAt,
            Parts =
            [
                .. last.Select(p => new PartView(
                    p.Part.Id,
                    p.Part.Part,
                    p.Part.State,
                    PartRules.FlagOf(p.Part.State, p.Part.Flag, over),
                    PartRules.Said(p.Part.Note),
                    p.Rounds,
                    p.Part.Answered,
                    p.Part.Asked,
                    p.Part.Correct,
                    p.Part.TooFast,
                    p.Part.Seconds,
                    p.Part.Score
                )),
            ],
            Again = last.Count(p => PartRules.Again(p.Part.State, p.Part.Flag, over)),
            Late = s.Late,
            Moved = s.Moved,
        };
    }
}

public sealed record CheckView
{
    public required CheckId Id { get; init; }

    public required int Revision { get; init; }

    public required Message Name { get; init; }

    public required string ReaderTitle { get; init; }

    public required string Directions { get; init; }

    public required Season? Season { get; init; }

    public required PlanView Plan { get; init; }

    public required AimView For { get; init; }

    public required DateOnly? OpensOn { get; init; }

    public required DateOnly? ClosesOn { get; init; }

    public required bool Draft { get; init; }

    /// <summary>Nothing can be answered any more.</summary>
    public required bool Over { get; init; }

    public required bool Gone { get; init; }

    public required string By { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    /// <summary>The asker may change the check itself: it is theirs, or they lead the school.</summary>
    public required bool MayChange { get; init; }

    /// <summary>Somebody has begun, so that the plan stays as it is.</summary>
    public required bool Begun { get; init; }

    public required IReadOnlyList<ColleagueView> Colleagues { get; init; }

    public required IReadOnlyList<SittingView> Sittings { get; init; }

    public required IReadOnlyList<SittingSetAside> SetAside { get; init; }
}

/// <summary>What a reader did and could not be taken.</summary>
public sealed record SittingSetAside(SittingId SittingId, SetAsideView Work);

/// <param name="ChangeId">What it is undone by; null where nothing was done.</param>
public sealed record CheckChanged(ChangeId? ChangeId, Message Sentence);

/// <param name="ReaderIds">Only for these; all who need it where it is left out.</param>
/// <param name="Part">This part, also where nothing is wrong with how it was done: for those who are named.</param>
public sealed record AgainRequest(IReadOnlyList<ReaderId>? ReaderIds, CheckPart? Part = null);

public sealed record CheckReadersRequest(IReadOnlyList<ReaderId> ReaderIds);

public sealed record CloseRequest(bool Closed);

public sealed record GoneRequest(bool Gone);

/// <param name="Depth">Typical depth now, fm.</param>
/// <param name="Passage">Minutes one passage with its questions takes there.</param>
public sealed record ExpectedRow(string Grade, Fathoms Depth, double WordReading, double WordMeaning, double Passage);

/// <summary>A check while it is being made, as far as its name and its readers depend on it.</summary>
public sealed record CheckPreviewRequest(
    Season? Season,
    DateOnly? OpensOn,
    AimView? For,
    IReadOnlyList<CheckPart>? Parts
);

/// <param name="Name">What colleagues will read it is called.</param>
/// <param name="Readers">How many would take it.</param>
public sealed record CheckPreview(Message Name, int Readers);

public sealed record ColleagueChoice(AdultId Id, string Name);

/// <summary>What a check can be made of and for.</summary>
/// <param name="Usual">Parts with the time they usually take.</param>
/// <param name="Grades">For each grade its typical depth now, to choose a band by.</param>
public sealed record CheckChoices(
    IReadOnlyList<PartPlanView> Usual,
    IReadOnlyList<ExpectedRow> Grades,
    IReadOnlyList<ColleagueChoice> Colleagues,
    IReadOnlyList<FormPassage> Passages
);

public sealed record WindowGrade(
    int Grade,
    int Readers,
    int Given,
    int Finished,
    int Again,
    DepthSpread Now,
    DepthSpread? Before
);

/// <param name="Last">The window before it, as it is called; null if there is none.</param>
public sealed record WindowView(
    YearId YearId,
    string Year,
    Season Season,
    Message? Last,
    IReadOnlyList<WindowGrade> Grades
);
