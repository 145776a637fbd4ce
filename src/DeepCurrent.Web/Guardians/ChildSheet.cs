using DeepCurrent.Core.Conferences;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Data.HomeMessages;
using DeepCurrent.Data.Readings;
using DeepCurrent.Web.Goals;
using DeepCurrent.Web.Readings;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Guardians;

/// <summary>What a guardian sees of a child: plain words, no fathoms, no chances, nothing that is not released.</summary>
/// <param name="Level">The level in words, such as "Mina reads texts typical of the middle of grade 4."</param>
/// <param name="Messages">From the child's teachers, the latest first, with what this guardian answered.</param>
/// <param name="Likes">Texts that say how hard a level is.</param>
/// <param name="Well">Kinds of question that go well, best first.</param>
/// <param name="Next">Those that come next, weakest first.</param>
/// <param name="AtHome">What helps with the first of them; null where nothing is known yet.</param>
/// <param name="Pool">Texts the child has understood this school year; null where no pool is shown.</param>
/// <param name="Together">Null where the library has none that is easy enough.</param>
public sealed record ChildView(
    ReaderId Id,
    string GivenName,
    Message Level,
    Message Trend,
    ChildWeek Week,
    LikeTexts Likes
)
{
    /// <summary>The Monday of the earliest week that can be looked at.</summary>
    public required DateOnly EarliestWeek { get; init; }

    public required IReadOnlyList<HomeMessage> Messages { get; init; }

    public required IReadOnlyList<ChildReading> Readings { get; init; }

    public required IReadOnlyList<ChildStrand> Well { get; init; }

    public required IReadOnlyList<ChildStrand> Next { get; init; }

    public required Message? AtHome { get; init; }

    public required IReadOnlyList<ChildGoal> Goals { get; init; }

    public required IReadOnlyList<string>? Pool { get; init; }

    public required TogetherView? Together { get; init; }
}

/// <summary>A week of a child's reading.</summary>
/// <param name="Days">Words of full readings on each day from Monday to Sunday.</param>
/// <param name="Minutes">Of its full readings.</param>
/// <param name="Before">Words of the week before.</param>
public sealed record ChildWeek(DateOnly Monday, IReadOnlyList<ChildDay> Days, double Minutes, int Before);

/// <summary>A week with what was finished in it.</summary>
public sealed record FinishedWeek(ChildWeek Week, IReadOnlyList<ChildReading> Finished);

/// <param name="Words">Of full readings.</param>
public sealed record ChildDay(DateOnly Day, int Words);

/// <param name="Name">In everyday words.</param>
/// <param name="Right">On the first try.</param>
public sealed record ChildStrand(Message Name, int Right, int Asked);

/// <param name="Until">The term's last day.</param>
/// <param name="AWeek">Words a school week that are still to be read; null where it is reached, or is of another
/// kind.</param>
public sealed record ChildGoal(GoalKind Kind, double Target, double Done, DateOnly Until, int? AWeek);

/// <summary>A text that stands for a level.</summary>
/// <param name="At">From easy, 0, to hard, 1; 0.5 is the child's level now.</param>
public sealed record LikeText(string Title, double At);

/// <summary>Texts of about the child's level six weeks ago, now, and where it is to be by the end of the term; null where
/// there is none.</summary>
public sealed record LikeTexts(LikeText? SixWeeksAgo, LikeText? Now, LikeText? Goal);

/// <summary>Puts together what a guardian sees of a child.</summary>
public sealed class ChildSheet(
    Desk desk,
    GuardianStore guardians,
    OwnReadingStore ownReadings,
    HomeStore home,
    GoalBook goals,
    HomeSheet homes,
    AtHome atHome,
    HomeMessageStore messages
)
{
    /// <summary>Days whose answers say what goes well: twelve weeks.</summary>
    private const int DaysBack = 84;

    /// <summary>Weeks that can be looked at: a year and this one.</summary>
    private const int WeeksBack = 52;

    public async Task<ChildView> Of(Child child)
    {
        var school = await desk.School();
        var clock = await desk.Clock();
        var today = await desk.Today();
        var monday = SchoolWeek.Monday(today);
        var parted = PlainWords.Parted(await guardians.Strands(child.Id, clock.Begin(today.AddDays(-DaysBack))));
        var set = await Goals(child.Id, school);
        return new(
            child.Id,
            child.GivenName,
            PlainWords.Level(school, child.GivenName, child.Depth),
            PlainWords.Trend(child.GivenName, child.SixWeeks),
            await Read(child.Id, monday),
            await Likes(child, set.FirstOrDefault(g => g.Kind is GoalKind.Depth)?.Target)
        )
        {
            EarliestWeek = Earliest(monday),
            Messages = await messages.Of(child.Id, desk.Who.Adult),
            Readings = await guardians.Readings(child.Id),
            Well = [.. parted.Well.Select(Said)],
            Next = [.. parted.Next.Select(Said)],
            AtHome = parted.Next.Count == 0 ? null : PlainWords.AtHome(parted.Next[0].Strand),
            Goals = [.. set.Where(g => g.Kind is not GoalKind.Depth)],
            Pool = (await homes.Pool(child.Id))?.Mine,
            Together = await atHome.ThisWeek(child.Id),
        };
    }

    /// <summary>A week that is over, or the running one; null where there is no such week.</summary>
    /// <param name="monday">Its first day.</param>
    public async Task<FinishedWeek?> Week(Child child, DateOnly monday)
    {
        var now = SchoolWeek.Monday(await desk.Today());
        if (monday != SchoolWeek.Monday(monday) || monday > now || monday < Earliest(now))
            return null;
        var clock = await desk.Clock();
        var finished = await guardians.Finished(child.Id, clock.Begin(monday), clock.Begin(monday.AddDays(7)));
        return new(await Read(child.Id, monday), finished);
    }

    private static DateOnly Earliest(DateOnly monday) => monday.AddDays(-7 * WeeksBack);

    private async Task<ChildWeek> Read(ReaderId child, DateOnly monday)
    {
        var clock = await desk.Clock();
        var read = (await ownReadings.Full(child, clock.Begin(monday.AddDays(-7)))).ToLookup(r => clock.DayOf(r.At));
        var week = Enumerable.Range(0, 7).Select(monday.AddDays).ToList();
        int Words(DateOnly day) => read[day].Sum(r => r.Words);
        return new(
            monday,
            [.. week.Select(day => new ChildDay(day, Words(day)))],
            week.SelectMany(day => read[day]).Sum(r => r.Seconds) / 60,
            week.Select(day => Words(day.AddDays(-7))).Sum()
        );
    }

    private static ChildStrand Said(MasteryOf s) => new(PlainWords.Strand(s.Strand), s.Right, s.Asked);

    private async Task<IReadOnlyList<ChildGoal>> Goals(ReaderId child, School school)
    {
        if (await goals.Now(child, school) is not { } now)
            return [];
        var term = now.Term.For(child);
        return
        [
            .. (await goals.Rows(child, now.Term.Term.Id))
                .OrderBy(g => g.Kind)
                .Select(g => GoalStandingView.Of(g, term, now.Facts))
                .Select(g => new ChildGoal(
                    g.Kind,
                    g.Target,
                    g.Done,
                    now.Term.Term.LastDay,
                    g.Kind is GoalKind.Words ? PlainWords.AWeek(g.Target, g.Done, term.DaysLeft) : null
                )),
        ];
    }

    private async Task<LikeTexts> Likes(Child child, double? goal)
    {
        LikeText? Shown(TextLike? like, Fathoms level) =>
            like is null ? null : new(like.Title, PlainWords.OnLine(level, child.Depth));
        var now = await home.Like(child.Id, child.Depth);
        var then = now is null || child.SixWeeks is null ? (Fathoms?)null : child.Depth - child.SixWeeks.Value;
        return new(
            then is { } level ? Shown(await home.Like(child.Id, level, now!.Title), level) : null,
            Shown(now, child.Depth),
            goal is { } target && await atHome.TitleAt(new(target)) is { } title
                ? new(title, PlainWords.OnLine(new(target), child.Depth))
                : null
        );
    }
}
