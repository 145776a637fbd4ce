using DeepCurrent.Core.Absences;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.KeptWords;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Absences;
using DeepCurrent.Data.Choosing;
using DeepCurrent.Data.KeptWords;
using DeepCurrent.Data.Notes;
using DeepCurrent.Data.Readings;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Goals;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Readings;

/// <summary>A level as its reader sees it: by a text that is like it.</summary>
/// <param name="Place">On the scale beside it, 0 at its top and 1 at its foot.</param>
public sealed record LevelLike(string Title, double Place);

/// <param name="Then">At the beginning of the term; null where nothing is known of it.</param>
public sealed record MyLevel(LevelLike? Then, LevelLike Now);

/// <param name="Done">So far, in the kind's own unit.</param>
/// <param name="PerWeek">What is still needed in each week to come; null where it is reached, or the term is over.</param>
public sealed record MyGoal(GoalKind Kind, double Target, double Done, double? PerWeek);

/// <param name="LastDay">Of the term.</param>
/// <param name="Words">Of full readings, week by week, summed up.</param>
public sealed record MyTerm(
    DateOnly FirstDay,
    DateOnly LastDay,
    IReadOnlyList<double> Words,
    IReadOnlyList<MyGoal> Goals,
    MyLevel? Level
);

/// <param name="Due">To practise now: no more than one practice takes.</param>
/// <param name="First">Some of them.</param>
public sealed record MyWordsShort(int All, int Due, IReadOnlyList<string> First);

/// <summary>What has come into the tide pools this school year.</summary>
/// <param name="Mine">Texts that were understood, oldest first; null where the class shows no pool of one's own.</param>
/// <param name="Ours">How many in the class's pool; null where it shows none.</param>
public sealed record MyPool(IReadOnlyList<string>? Mine, int? Ours);

/// <summary>Words of full readings on one day.</summary>
public sealed record WordsOfDay(DateOnly Day, int Words);

/// <param name="Days">Of this week and the one before, with words of full readings; days without any are left
/// out.</param>
/// <param name="Monday">Of this week.</param>
public sealed record MyHome(
    DateOnly Today,
    DateOnly Monday,
    IReadOnlyList<WordsOfDay> Days,
    MyTerm? Term,
    MyWordsShort Words,
    IReadOnlyList<Note> Answered,
    MyPool? Pool
);

/// <summary>A reader's home, beside their tickets: the week, goals, kept words, what the teacher answered.</summary>
public sealed class HomeSheet(
    AbsenceStore absences,
    HomeStore home,
    OwnReadingStore readings,
    NoteStore notes,
    KeptWordStore words,
    GoalBook goals,
    SchoolStore schools,
    ChoosingStore choosing,
    Desk desk
)
{
    private const double ShownBeyond = 4;

    public async Task<MyHome> Of(ReaderId reader)
    {
        var school = await desk.School();
        var today = await desk.Today();
        var monday = SchoolWeek.Monday(today);
        var year = await schools.CurrentYear(school.Id, today);
        var term = year?.TermOn(today);
        var facts = await home.Facts(reader, term?.FirstDay ?? today);
        var clock = await desk.Clock();
        var kept = (await words.Of(reader))
            .Select(w => (w.Text, At: Recall.After(clock.DayOf(w.KeptAt), w.Tries, clock.DayOf)))
            .ToList();
        return new(
            today,
            monday,
            await Days(reader, clock, monday.AddDays(-7)),
            // The youngest see no figures, so none are sent.
            HomeLooks.For(facts.Grade, (await choosing.Own(reader)).Home) is HomeLook.Words
            && year is not null
            && term is not null
                ? await Term(reader, school, year, term, today, facts)
                : null,
            new(
                kept.Count,
                Math.Min(Recall.AtOnce, kept.Count(k => k.At.Due(today))),
                [.. kept.OrderBy(k => k.At.Step).Select(k => k.Text).Take(3)]
            ),
            await notes.Unseen(reader),
            await Pool(reader)
        );
    }

    /// <summary>What a reader's pools hold; null where none is shown.</summary>
    public async Task<MyPool?> Pool(ReaderId reader)
    {
        var school = await desk.School();
        var today = await desk.Today();
        var year = await schools.CurrentYear(school.Id, today);
        return await Pool(reader, school, (await desk.Clock()).Begin(year?.FirstDay ?? today), today);
    }

    private async Task<MyPool?> Pool(ReaderId reader, School school, DateTimeOffset since, DateOnly today)
    {
        var shown = await home.Pools(reader, today);
        var (own, shared) = (shown.Any(p => p.HasOwn()), shown.Any(p => p.HasShared()));
        if (!own && !shared)
            return null;
        return new(
            own ? await home.Understood(reader, school.UnderstoodFrom, since) : null,
            shared ? await Together(reader, school.UnderstoodFrom, since, today) : null
        );
    }

    private async Task<int> Together(ReaderId reader, double understoodFrom, DateTimeOffset since, DateOnly today)
    {
        var (texts, readers) = await home.UnderstoodTogether(reader, understoodFrom, since, today);
        return Pools.Together(texts, readers);
    }

    private async Task<IReadOnlyList<WordsOfDay>> Days(ReaderId reader, SchoolClock clock, DateOnly from) =>
        [
            .. (await readings.Full(reader, clock.Begin(from)))
                .GroupBy(r => clock.DayOf(r.At))
                .Select(g => new WordsOfDay(g.Key, g.Sum(r => r.Words))),
        ];

    private async Task<MyTerm> Term(
        ReaderId reader,
        School school,
        YearCalendar year,
        Term term,
        DateOnly today,
        HomeFacts facts
    )
    {
        var away = Absence.DaysOf((await absences.Of(reader)).Select(b => b.Absence));
        var soFar = new TermSoFar(year.Without(away), term, today);
        // A reader's page foretells nothing, and asks for nothing of the class.
        var weeks = await goals.Weeks(reader, school, year, soFar);
        var rows = await goals.Rows(reader, term.Id);
        var sum = 0.0;
        return new(
            term.FirstDay,
            term.LastDay,
            [.. weeks.Select(w => sum += w.Words)],
            // The level has its own place here, in texts the reader knows.
            [
                .. rows.Where(g => g.Kind is not GoalKind.Depth)
                    .OrderBy(g => g.Kind)
                    .Select(g => Goal(g.Kind, g.Target, soFar, weeks)),
            ],
            await Level(reader, facts)
        );
    }

    private static MyGoal Goal(GoalKind kind, double target, TermSoFar soFar, IReadOnlyList<WeekOfReading> weeks)
    {
        var done = TermSoFar.SoFar(kind, weeks) ?? 0;
        var left = soFar.DaysLeft / 5.0;
        var perWeek = kind is GoalKind.Words && done < target && left > 0 ? (target - done) / left : (double?)null;
        return new(kind, target, done, perWeek);
    }

    /// <summary>Where the reader stood and stands, in texts they know.</summary>
    private async Task<MyLevel?> Level(ReaderId reader, HomeFacts facts)
    {
        if (await home.Like(reader, facts.Depth) is not { } now)
            return null;
        var before = facts.Then is { } then ? await home.Like(reader, then, now.Title) : null;
        var depths = new[] { facts.Depth.Value, facts.Then?.Value ?? facts.Depth.Value };
        var (top, foot) = (depths.Min() - ShownBeyond, depths.Max() + ShownBeyond);
        double Place(Fathoms depth) => (depth.Value - top) / (foot - top);
        return new(
            before is null ? null : new(before.Title, Place(facts.Then!.Value)),
            new(now.Title, Place(facts.Depth))
        );
    }
}
