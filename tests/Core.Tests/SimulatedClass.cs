using DeepCurrent.Core;
using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Signals;

namespace Core.Tests;

/// <summary>What a simulated reader truly is like.</summary>
public enum Trouble
{
    None,

    /// <summary>Fails whatever is deeper than their level, gets easier texts, deeper ones, fails again.</summary>
    Stuck,

    /// <summary>Chooses answers at random, fast.</summary>
    Guessing,

    /// <summary>Is given texts far too deep.</summary>
    OutOfDepth,

    /// <summary>Stops reading.</summary>
    Silent,

    /// <summary>Never reads at all.</summary>
    NeverBegun,
}

/// <param name="New">Signals that were new, about readers without trouble or their class.</param>
/// <param name="Weeks">Weeks of readers without trouble in twelve weeks.</param>
/// <param name="Kinds">How often each kind was new.</param>
/// <param name="Found">Whether the reader in trouble was found within three weeks; null without one.</param>
public sealed record SignalRun(int New, int Weeks, IReadOnlyDictionary<SignalKind, int> Kinds, bool? Found);

/// <summary>A class through twelve school weeks, or until a reader in trouble is found or should have been: three texts
/// a week in groups, with texts and questions that are not quite as hard as they are said to be, illness, slips, and good
/// and bad days; looked through for signals every school day.</summary>
public sealed class SimulatedClass
{
    private const int Readers = 24,
        InGroup = 6,
        Weeks = 12,
        Onset = 5,
        WeeksToFind = 3,
        Questions = 8;
    private const double Guess = 0.25,
        MinutesADay = 15;
    private static readonly DateOnly First = new(2026, 9, 7);
    private static readonly Strand[] Strands = Enum.GetValues<Strand>();
    private static readonly double Ease = AnswerModel.Ease(Forecast.AtSameDepth, Guess);

    private static readonly YearCalendar Year = new(
        YearId.New(),
        "",
        First,
        First.AddDays(7 * 42 - 3),
        [new(TermId.New(), YearId.New(), "", First, First.AddDays(7 * 15 - 3))],
        [],
        new("Etc/UTC")
    );

    private sealed class Pupil
    {
        public ReaderId Id { get; } = ReaderId.New();

        public double Truth,
            Level,
            Sd = 5,
            Growth,
            Rate,
            Step = 2;
        public Trouble Trouble;
        public int IllFrom = -1;
        public List<AnsweredReading> Readings { get; } = [];
        public List<GoalAhead> Goals { get; } = [];
        public Dictionary<Strand, double> Strengths { get; } = [];
    }

    private sealed record Given(QuestionId Id, Strand Strand, double Said, double True);

    private readonly Random random;
    private readonly List<Pupil> pupils = [];
    private readonly List<(
        AssignmentId Assignment,
        int Number,
        Given Question,
        Pupil Pupil,
        AnsweredReading Reading,
        bool Right
    )> answers = [];
    private readonly TermSoFar[] terms =
    [
        .. Enumerable.Range(0, 7 * Weeks).Select(d => new TermSoFar(Year, Year.Terms[0], First.AddDays(d))),
    ];

    private SimulatedClass(int seed, Trouble trouble)
    {
        random = new(seed);
        for (var i = 0; i < Readers; i++)
        {
            var truth = 30 + 6 * Normal();
            var p = new Pupil
            {
                Truth = truth,
                Level = truth + 3 * Normal(),
                Growth = 0.22 * (0.4 + 1.2 * random.NextDouble()),
                Rate = GoalRules.SilentRate(new(truth), LevelChart.Default) * Math.Exp(0.2 * Normal()),
                Trouble = i == 0 ? trouble : Trouble.None,
                IllFrom = random.NextDouble() < 0.15 ? 7 * (2 + random.Next(9)) : -1,
            };
            foreach (var s in Strands)
                p.Strengths[s] = 2 * Normal();
            pupils.Add(p);
        }
    }

    /// <summary>Runs one class.</summary>
    public static SignalRun Run(int seed, Trouble trouble) => new SimulatedClass(seed, trouble).Run();

    private SignalRun Run()
    {
        var kept = new List<KeptSignal>();
        var kinds = new Dictionary<SignalKind, int>();
        bool? found = pupils[0].Trouble is Trouble.None ? null : false;
        for (var d = 0; d < 7 * Weeks; d++)
        {
            var today = First.AddDays(d);
            if (found is true || (found is false && d / 7 >= From(pupils[0].Trouble) + WeeksToFind))
                break;
            if (!Year.Calendar.IsSchoolDay(today))
                continue;
            if (d % 7 is 0 or 2 or 4)
                Read(d);
            if (d == 7 * 3)
                SetGoals(d);
            foreach (var s in Look(kept, today, d))
                if (s.Reader == pupils[0].Id && found is not null)
                    found |= Finds(pupils[0].Trouble, s.Kind, d / 7);
                else
                    kinds[s.Kind] = kinds.GetValueOrDefault(s.Kind) + 1;
        }
        return new(kinds.Values.Sum(), (found is null ? Readers : Readers - 1) * Weeks, kinds, found);
    }

    private static int From(Trouble trouble) => trouble is Trouble.NeverBegun ? 0 : Onset;

    /// <summary>Whether a signal that is new in a week says what the trouble is, within its first weeks.</summary>
    private static bool Finds(Trouble trouble, SignalKind kind, int week)
    {
        var from = From(trouble);
        return week >= from && week < from + WeeksToFind && Means(trouble, kind);
    }

    private static bool Means(Trouble trouble, SignalKind kind) =>
        trouble switch
        {
            Trouble.Stuck => kind is SignalKind.BackAndForth or SignalKind.OutOfDepth,
            Trouble.Guessing => kind is SignalKind.TooFast or SignalKind.FlickedThrough or SignalKind.OutOfDepth,
            Trouble.OutOfDepth => kind is SignalKind.OutOfDepth,
            _ => kind is SignalKind.NothingRead,
        };

    /// <summary>Looks through the class, and gives what is new.</summary>
    private List<Signal> Look(List<KeptSignal> kept, DateOnly today, int day)
    {
        var now = new DateTimeOffset(today.ToDateTime(new TimeOnly(16, 0)), TimeSpan.Zero);
        var turns = SignalLife.Look(
            kept,
            [
                .. pupils.SelectMany(p => SignalRules.For(Facts(p, today, day), Year.Calendar, today)),
                .. QuestionRules.For(Asked(today)),
            ],
            today
        );
        var again = turns
            .Changed.Where(c =>
                c.State is SignalState.New && kept.Find(k => k.Id == c.Id)!.State is not SignalState.New
            )
            .Select(c => c.Signal);
        List<Signal> opened = [.. turns.Opened, .. again];
        foreach (var (k, _) in turns.Ended)
            kept[kept.FindIndex(x => x.Id == k.Id)] = k with { Over = true };
        foreach (var c in turns.Changed)
            kept[kept.FindIndex(x => x.Id == c.Id)] = c;
        kept.AddRange(turns.Opened.Select(s => new KeptSignal(SignalId.New(), s, SignalState.New, null, null, now)));
        // The teacher looks at them within a week, and calls half of them done.
        if (day % 7 == 4)
            for (var i = 0; i < kept.Count; i++)
                kept[i] = kept[i] with { State = random.NextDouble() < 0.5 ? SignalState.Done : SignalState.Seen };
        return opened;
    }

    private ReaderFacts Facts(Pupil p, DateOnly today, int day) =>
        new()
        {
            Reader = p.Id,
            Readings = [.. p.Readings.Where(r => r.Day > today.AddDays(-SignalRules.Span))],
            Level = new(p.Level),
            Sd = p.Sd,
            Growth = 0.22,
            // Slower or faster than what is typical: nobody knows.
            Rate = GoalRules.SilentRate(new(p.Level), LevelChart.Default),
            Since = First,
            LastRead = p.Readings.Count == 0 ? null : p.Readings[^1].Day,
            Waiting = 1,
            Goals = [.. p.Goals.Select(g => Ahead(p, g, day))],
        };

    private void SetGoals(int day)
    {
        foreach (var p in pupils)
        foreach (var kind in new[] { GoalKind.Words, GoalKind.Comprehension, GoalKind.Depth })
        {
            var target = terms[day].Suggest(kind, Known(p, day));
            if (target > 0)
                p.Goals.Add(new(GoalId.New(), kind, target, 0, 0, 0, First.AddDays(day), 0, 0));
        }
    }

    private GoalAhead Ahead(Pupil p, GoalAhead g, int day)
    {
        var standing = terms[day].Standing(g.Kind, g.Target, Known(p, day));
        return g with
        {
            Done = standing.Done,
            Chance = standing.Chance,
            DaysSince = Year.Calendar.SchoolDays(g.SetOn.AddDays(1), First.AddDays(day)),
            DaysLeft = terms[day].DaysLeft,
        };
    }

    private GoalFacts Known(Pupil p, int day)
    {
        var done = p.Readings.Select(r => new ReadingDone(r.At, r.Score, r.Words)).ToList();
        var most = MinutesADay * 5 * GoalRules.SilentRate(new(p.Level), LevelChart.Default);
        return new(
            terms[day].Weeks(done, 0.6),
            terms[day].Recent(done, 0.6, First),
            new(1500, 600),
            Questions,
            new(p.Level),
            p.Sd,
            0.22,
            ReaderEstimator.DriftPerWeek
        )
        {
            ClassWeek = new(Math.Min(most, 1500), 600),
        };
    }

    private void Read(int day)
    {
        foreach (var p in pupils)
            p.Truth =
                p.Trouble is not Trouble.Stuck ? p.Truth + p.Growth / 3
                // Their level is known well when they get stuck at it.
                : day == 7 * Onset ? p.Level
                : p.Truth;
        var sorted = pupils.OrderBy(p => p.Level).Chunk(InGroup);
        foreach (var group in sorted)
            Together(group, day);
    }

    /// <summary>A group reads one text; who is in trouble over depth, or stuck, reads one of their own.</summary>
    private void Together(Pupil[] group, int day)
    {
        var depth = group.Average(p => p.Level) + 1.5 * Normal();
        var quiz = Quiz(depth);
        var assignment = AssignmentId.New();
        foreach (var p in group)
        {
            var late = day / 7 >= Onset;
            if (
                p.Trouble is Trouble.NeverBegun
                || (p.Trouble is Trouble.Silent && late)
                || Ill(p, day)
                || random.NextDouble() < 0.05
            )
                continue;
            if (late && p.Trouble is Trouble.OutOfDepth)
                One(p, p.Level + 10, Quiz(p.Level + 10), AssignmentId.New(), day);
            else if (late && p.Trouble is Trouble.Stuck)
                One(p, p.Level + p.Step, Quiz(p.Level + p.Step), AssignmentId.New(), day);
            else
                One(p, depth, quiz, assignment, day);
        }
    }

    private static bool Ill(Pupil p, int day) => p.IllFrom >= 0 && day >= p.IllFrom && day < p.IllFrom + 5;

    private List<Given> Quiz(double depth)
    {
        var off = 2.5 * Normal();
        return
        [
            .. Enumerable
                .Range(0, Questions)
                .Select(i => new Given(
                    QuestionId.New(),
                    Strands[i % Strands.Length],
                    depth - Ease,
                    depth - Ease + off + 4 * Normal()
                )),
        ];
    }

    private static DateTimeOffset At(int day) => new(First.AddDays(day).ToDateTime(new TimeOnly(10, 0)), TimeSpan.Zero);

    private void One(Pupil p, double depth, List<Given> quiz, AssignmentId assignment, int day)
    {
        var late = day / 7 >= Onset;
        var today = 2 * Normal();
        var at = At(day).AddMinutes(random.Next(60));
        var words = 150 + random.Next(450);
        var guesses = late && p.Trouble is Trouble.Guessing;
        var tries = new List<FirstTry>();
        var fast = 0;
        foreach (var q in quiz)
        {
            if (guesses ? random.NextDouble() < 0.7 : random.NextDouble() < 0.01)
            {
                fast++;
                continue;
            }
            var chance =
                guesses ? Guess
                : late && p.Trouble is Trouble.Stuck ? (depth > p.Truth + 0.5 ? 0.35 : 0.95)
                : AnswerModel.Right(p.Truth + today + p.Strengths[q.Strand] - q.True, Guess);
            tries.Add(new(q.Id, q.Strand, new(new(q.Said), Guess), random.NextDouble() < chance));
        }
        var reading = new AnsweredReading
        {
            Ticket = TicketId.New(),
            Title = "T",
            At = at,
            Day = First.AddDays(day),
            TextDepth = new(depth),
            Level = new(p.Level),
            Sd = p.Sd,
            Seconds = words / p.Rate * 60 * Math.Exp(0.25 * Normal()) * (guesses ? 0.3 : 1),
            Words = words,
            Tries = tries,
            TooFast = fast,
            ReleasedAt = at,
            LookedAt = random.NextDouble() < 0.85 ? at.AddHours(2) : null,
        };
        p.Readings.Add(reading);
        answers.AddRange(tries.Select((t, i) => (assignment, i + 1, quiz[i], p, reading, t.Right)));
        p.Step = reading.Score >= 0.75 ? 3 : -3;
        Measure(p, tries);
    }

    /// <summary>The level follows the answers (an extended Kalman filter stands in for the estimator).</summary>
    private static void Measure(Pupil p, List<FirstTry> tries)
    {
        p.Sd = Math.Sqrt(p.Sd * p.Sd + ReaderEstimator.DriftPerWeek / 3);
        foreach (var t in tries)
        {
            var above = p.Level - t.Asked.Difficulty.Value;
            var right = AnswerModel.Right(above, Guess);
            var slope =
                (right - Guess) * (AnswerModel.Unslipped - right) / (AnswerModel.Unslipped - Guess) / Fathoms.PerLogit;
            var spread = right * (1 - right);
            var variance = 1 / (1 / (p.Sd * p.Sd) + slope * slope / spread);
            p.Level += variance * slope / spread * ((t.Right ? 1 : 0) - right);
            p.Sd = Math.Sqrt(variance);
        }
    }

    private IEnumerable<QuestionAnswered> Asked(DateOnly today) =>
        answers
            .Where(a => a.Reading.Day > today.AddDays(-14))
            .GroupBy(a => (a.Assignment, a.Question.Id, a.Number))
            .Select(g => new QuestionAnswered(
                g.Key.Assignment,
                g.Key.Id,
                g.Key.Number,
                "T",
                [
                    .. g.Select(a => new AnswerInQuiz(
                        a.Reading.Day,
                        a.Right,
                        a.Reading.Tries.Count < 2
                            ? 0.5
                            : (a.Reading.Right - (a.Right ? 1 : 0)) / (double)(a.Reading.Tries.Count - 1)
                    )),
                ]
            ));

    private double Normal() =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
