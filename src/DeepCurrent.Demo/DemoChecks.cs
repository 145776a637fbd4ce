using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;

namespace DeepCurrent.Demo;

/// <summary>Benchmark windows of the demo school: an autumn that everybody has behind them, and a winter that one class
/// is in.</summary>
internal sealed class DemoChecks(CheckStore checks, SittingStore sittings, ChangeStore changes, LevelChart chart)
{
    private const int Seed = 41,
        FastestMs = 300,
        MostStages = 60;
    private readonly Random dice = new(Seed);

    /// <summary>A window that is over: everybody finished.</summary>
    public async Task Autumn(DemoClass room, DateTimeOffset at)
    {
        CheckPlan plan = new(
            [new(CheckPart.WordMeaning, 6), new(CheckPart.Passages, 25)],
            CheckStart.OwnLevel,
            0,
            60,
            TimerShown: false,
            MostPassages: 2,
            SureAt: 2.5,
            APartADay: false,
            []
        );
        var (check, given) = await Give(room, "Autumn reading", Season.Autumn, plan, at);
        foreach (var p in room.People)
            await Sit(
                check,
                given[p.Id],
                p,
                room.Year,
                at.AddMinutes(dice.Next(240)),
                partsDone: plan.Parts.Count,
                slow: true
            );
        await sittings.Close(check, new(chart, room.Year), at.AddDays(5));
    }

    /// <summary>A window that has just begun: some have finished, some are in it, a few were too fast, whoever tries the
    /// application has not begun.</summary>
    public async Task Winter(DemoClass room, DateTimeOffset now)
    {
        CheckPlan plan = new(
            [
                new(CheckPart.WordReading, 4),
                new(CheckPart.WordMeaning, 6),
                new(CheckPart.Maze, 3),
                new(CheckPart.Passages, 25, SkipUndecoding: true),
            ],
            CheckStart.OwnLevel,
            0,
            60,
            TimerShown: true,
            MostPassages: 2,
            SureAt: 2.5,
            APartADay: false,
            []
        );
        var at = now.AddHours(-3);
        var (check, given) = await Give(room, "Winter reading", Season.Winter, plan, at);
        foreach (var (p, i) in room.People.Select((p, i) => (p, i)))
            if (p.Name != DemoWorld.KnownReader && i % 4 != 3)
                await Sit(
                    check,
                    given[p.Id],
                    p,
                    room.Year,
                    at.AddMinutes(5 + dice.Next(60)),
                    partsDone: i % 3 == 2 ? 1 + i % 2 : plan.Parts.Count,
                    slow: i % 9 != 4
                );
    }

    private async Task<(LevelCheck Check, Dictionary<ReaderId, SittingId> Sittings)> Give(
        DemoClass room,
        string forReaders,
        Season season,
        CheckPlan plan,
        DateTimeOffset at
    )
    {
        CheckAim[] aims = [new(AimKind.Class, room.Id.ToString())];
        var meant = await checks.Meant(aims, room.Teacher.SchoolId, room.Year.Id);
        var readers = meant.Select(m => m.ReaderId).Order();
        var id = CheckId.From(NamedId.Of(NamedId.Shipped, $"{forReaders}: {string.Join(", ", readers)}"));
        var name = CheckName.Of(
            season,
            room.Year.Clock.DayOf(at),
            meant.Select(m => m.Grade),
            [.. plan.Parts.Select(p => p.Part)]
        );
        var check = new NewCheck
        {
            Id = id,
            SchoolId = room.Teacher.SchoolId,
            SchoolYearId = room.Year.Id,
            Season = season,
            Name = name,
            ReaderTitle = forReaders,
            Directions = "Find a quiet place. There is no hurry.",
            Plan = plan,
            Draft = false,
            OpensOn = null,
            ClosesOn = null,
            MadeBy = room.Teacher.Id,
            At = at,
            Revision = 0,
        };
        await changes.Do(room.By(at), ChangeKind.CheckGiven, async (c, t) =>
        {
            await CheckWriter.Save(c, t, check, aims, []);
            return new(
                new { checkId = id, readerIds = await CheckWriter.Give(c, t, id, plan, meant, at) },
                $"Gave {name} to {meant.Count:count} readers"
            );
        });
        return (
            (await checks.Find(id, room.Teacher.SchoolId))!,
            (await checks.Sittings(id, null)).ToDictionary(s => s.ReaderId, s => s.Id)
        );
    }

    /// <param name="slow">Reads before answering; who does not was too fast.</param>
    private async Task Sit(
        LevelCheck check,
        SittingId sitting,
        SimulatedReader p,
        YearCalendar year,
        DateTimeOffset at,
        int partsDone,
        bool slow
    )
    {
        Yardstick yardstick = new(chart, year);
        Moment When() => year.Clock.At(at);
        var own = new Random(dice.Next());
        for (var stages = 0; stages < MostStages; stages++)
        {
            var s = await sittings.Begin(sitting, p.Id, check.SchoolId, yardstick, When());
            if (s?.Stage is not { } stage || s.Parts.Count(x => x.State is PartState.Done) >= partsDone)
                return;
            var sentences = Scoring.SentencesOf(stage.Pages).Count;
            var answers = stage
                .Items.Select(
                    (item, i) =>
                        new SentAnswer(
                            AnswerId.New(),
                            i,
                            p.AnswersCheck(item, own)
                                ? [.. item.Right.Take(item.Wanted)]
                                : Wrong(item, sentences, new(own.Next())),
                            at.AddSeconds(12 * (i + 1)),
                            slow ? 7000 + own.Next(9000) : FastestMs
                        )
                )
                .ToList();
            // A maze passage is cut short by its time.
            var most = s.Now!.Part is CheckPart.Maze ? Math.Max(3, (int)(p.Rate * 2.2 / 7)) : answers.Count;
            var seconds = s.Now.Part is CheckPart.Maze ? s.Limit : SecondsFor(answers.Count, slow);
            at = at.AddSeconds(seconds + 5);
            await sittings.Keep(
                sitting,
                p.Id,
                check.SchoolId,
                stage.Id,
                [.. answers.Take(most)],
                seconds,
                done: true,
                yardstick,
                When()
            );
        }
    }

    private static int SecondsFor(int answers, bool slow) => slow ? 15 * answers + 40 : 2 * answers;

    /// <summary>An answer that is not right.</summary>
    private static int[] Wrong(CheckItem item, int sentences, Random dice)
    {
        int[] places = [.. Enumerable.Range(0, item.Offered(sentences))];
        do dice.Shuffle(places);
        while (item.IsRight(places[..item.Wanted]));
        return places[..item.Wanted];
    }
}
