using System.Text.Json.Serialization;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.LevelChecks;

/// <param name="Part">WordReading, WordMeaning, Maze or Passages.</param>
public sealed record PartPlanView(
    [property: JsonRequired] CheckPart Part,
    int Minutes,
    double? SkipBelow,
    double? SkipAbove,
    bool SkipMastered,
    bool SkipUndecoding
)
{
    public static PartPlanView Of(PartPlan p) =>
        new(p.Part, p.Minutes, p.SkipBelow, p.SkipAbove, p.SkipMastered, p.SkipUndecoding);

    public PartPlan Read() => new(Part, Minutes, SkipBelow, SkipAbove, SkipMastered, SkipUndecoding);
}

public sealed record PlanView(
    IReadOnlyList<PartPlanView> Parts,
    [property: JsonRequired] CheckStart Start,
    double From,
    double To,
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
            p.From,
            p.To,
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
        List<T> Keys<T>(string kind)
            where T : struct, IId<T> => [.. aims.Where(a => a.Kind == kind).Select(a => T.From(Guid.Parse(a.Key)))];
        return new(
            Keys<ClassId>("class"),
            Keys<GroupId>("group"),
            Keys<ReaderId>("reader"),
            [
                .. aims.Where(a => a.Kind == "grade")
                    .Select(a => int.Parse(a.Key, System.Globalization.CultureInfo.InvariantCulture)),
            ]
        );
    }

    public IReadOnlyList<CheckAim> Read() =>
        [
            .. ClassIds.Distinct().Select(i => new CheckAim("class", i.ToString())),
            .. GroupIds.Distinct().Select(i => new CheckAim("group", i.ToString())),
            .. ReaderIds.Distinct().Select(i => new CheckAim("reader", i.ToString())),
            .. Grades
                .Distinct()
                .Select(g => new CheckAim("grade", g.ToString(System.Globalization.CultureInfo.InvariantCulture))),
        ];
}

/// <param name="Revision">The revision that was changed; 0 for a new check.</param>
/// <param name="Season">autumn, winter or spring for a benchmark window; null for a check in between.</param>
/// <param name="Draft">Kept, and not yet given.</param>
public sealed record CheckRequest(
    int Revision,
    string? StaffTitle,
    string? ReaderTitle,
    string? Directions,
    string? Season,
    PlanView? Plan,
    AimView? For,
    DateOnly? OpensOn,
    DateOnly? ClosesOn,
    bool Draft,
    IReadOnlyList<AdultId>? Colleagues
);

/// <param name="Part">WordReading, WordMeaning, Maze or Passages.</param>
/// <param name="State">Waiting, UnderWay, Done or Skipped.</param>
/// <param name="Flag">Fine, Rushed, Thin or Missing.</param>
/// <param name="Rounds">How often it was given.</param>
/// <param name="Score">Of a maze passage, right less half the wrong ones a minute.</param>
public sealed record PartView(
    CheckPartId Id,
    CheckPart Part,
    PartState State,
    PartFlag Flag,
    string Note,
    int Rounds,
    int Answered,
    int Asked,
    int Correct,
    int Rushed,
    double Seconds,
    double? Score
);

/// <param name="Again">Parts that were rushed, thin or missed.</param>
/// <param name="Before">The level without the check: as it was given, or as it would stand now without what the check
/// moved.</param>
/// <param name="Moved">What the check moved, fm, and nothing else.</param>
/// <param name="Late">Answers given before the check ended and heard of after it.</param>
public sealed record SittingView(
    SittingId Id,
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    int Grade,
    string? Class,
    double Before,
    double? After,
    double? Sd,
    DateTimeOffset ChangedAt,
    IReadOnlyList<PartView> Parts,
    int Again,
    int Late,
    double Moved
)
{
    public static SittingView Of(SittingRow s, bool over)
    {
        var last = s
            .Parts.GroupBy(p => p.Part)
            .Select(g => (Part: g.MaxBy(p => p.Round)!, Rounds: g.Count()))
            .OrderBy(p => p.Part.Position)
            .ToList();
        return new(
            s.Id,
            s.ReaderId,
            s.GivenName,
            s.FamilyName,
            s.Grade,
            s.Class,
            s.AfterMean - s.Moved ?? s.BeforeMean,
            s.AfterMean,
            s.AfterSd,
            s.ChangedAt,
            [
                .. last.Select(p => new PartView(
                    p.Part.Id,
                    p.Part.Part,
                    p.Part.State,
                    PartRules.FlagOf(p.Part.State, p.Part.Flag, over),
                    p.Part.Note,
                    p.Rounds,
                    p.Part.Answered,
                    p.Part.Asked,
                    p.Part.Correct,
                    p.Part.Rushed,
                    p.Part.Seconds,
                    p.Part.Score
                )),
            ],
            last.Count(p => PartRules.Again(p.Part.State, p.Part.Flag, over)),
            s.Late,
            s.Moved
        );
    }
}

public sealed record ColleagueView(AdultId Id, string Name);

/// <param name="Over">Nothing can be answered any more.</param>
/// <param name="MayChange">The asker may change the check itself: it is theirs, or they lead the school.</param>
/// <param name="Begun">Somebody has begun, so that the plan stays as it is.</param>
public sealed record CheckView(
    CheckId Id,
    int Revision,
    string StaffTitle,
    string ReaderTitle,
    string Directions,
    string? Season,
    PlanView Plan,
    AimView For,
    DateOnly? OpensOn,
    DateOnly? ClosesOn,
    bool Draft,
    bool Over,
    bool Gone,
    string By,
    DateTimeOffset MadeAt,
    bool MayChange,
    bool Begun,
    IReadOnlyList<ColleagueView> Colleagues,
    IReadOnlyList<SittingView> Sittings,
    IReadOnlyList<SittingSetAside> SetAside
);

/// <summary>What a reader did and could not be taken.</summary>
public sealed record SittingSetAside(SittingId SittingId, SetAsideView Work);

/// <param name="ChangeId">What it is undone by; null where nothing was done.</param>
public sealed record CheckChanged(ChangeId? ChangeId, string Sentence);

/// <param name="ReaderIds">Only for these; all who need it where it is left out.</param>
public sealed record AgainRequest(IReadOnlyList<ReaderId>? ReaderIds);

public sealed record CheckReadersRequest(IReadOnlyList<ReaderId> ReaderIds);

public sealed record CloseRequest(bool Closed);

public sealed record GoneRequest(bool Gone);

/// <param name="Depth">Typical depth now, fm.</param>
/// <param name="Passage">Minutes one passage with its questions takes there.</param>
public sealed record ExpectedRow(string Grade, double Depth, double WordReading, double WordMeaning, double Passage);

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
    string Season,
    string? Last,
    IReadOnlyList<WindowGrade> Grades
);
