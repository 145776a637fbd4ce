using System.Diagnostics;
using System.Globalization;
using Core.Tests;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Texts;
using DeepCurrent.Formats.Content;
using DeepCurrent.Listener;

// Prints one row a figure. Each is the median of several runs after a warm-up, on one thread.
CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
if (args is ["roster-zip", var path, var users, var classes, var enrolments])
{
    RosterZip.Write(path, int.Parse(users), int.Parse(classes), int.Parse(enrolments));
    return;
}

if (args is ["library-texts", var connection, var folder, var texts])
{
    LibraryTexts.Fill(connection, folder, int.Parse(texts));
    return;
}

if (args is ["load", var server, var loaded, var pgbench])
{
    await DeepCurrent.Bench.Load.LoadBench.Run(new(server), loaded, pgbench, Row);
    return;
}

if (args is ["fuzz", var attacked, var held, var shipped])
{
    await DeepCurrent.Bench.Load.FuzzBench.Run(new(attacked), held, shipped, Row);
    return;
}

if (args is ["groups"])
{
    GroupBench.Run(Row);
    return;
}

if (args is ["signals"])
{
    SignalBench.Run(Row);
    return;
}

var content = args.Length > 0 ? args[0] : "content";

var prose = string.Join(
    "\n\n",
    Directory.EnumerateFiles(content, "*.md", SearchOption.AllDirectories).Order().Select(File.ReadAllText)
);
var big = string.Concat(Enumerable.Repeat(prose + "\n\n", 200));
var words = TextCounter.Count(big).Words;
var seconds = Median(7, () => TextMeasurer.Measure(big));
Row("Text measuring", $"{words / seconds / 1e6:0.0} million words a second", "at least 2 million");

var typed = prose[..SpokenForms.Of(prose)[2000].Start];
void WhileTyping()
{
    TextSense.Remarks(typed);
    TextMeasurer.Measure(typed);
    TextReasons.Explain(typed);
    TextReasons.WhatIf(TextCounter.Count(typed), 0.8, 1);
    TextMeasurer.RarestWords(typed);
    TextMeasurer.LongestSentences(typed);
}

Row(
    "What the editor asks for while one types, 2,000 words: depth, why, remarks, rarest words, what if",
    $"{1e3 * Median(15, WhileTyping):0} ms",
    "under 50 ms"
);

var start = new DateTimeOffset(2026, 9, 1, 0, 0, 0, TimeSpan.Zero);
var depth = DepthDistribution.Normal(30, 8);
const int Many = 20_000;
void Answers()
{
    for (var i = 0; i < Many; i++)
        depth.TimesAnswer(24 + i % 12, 0.25, i % 5 != 0);
}

Row("One answer into a distribution", $"{1e6 * Median(7, Answers) / Many:0.0} µs", "under 50 µs");

var random = new Random(3);
var year = Enumerable
    .Range(0, 600)
    .Select(i =>
        (Evidence)
            new AnswerEvidence(
                start.AddHours(i * 8),
                new(20 + 20 * random.NextDouble()),
                0.25,
                random.NextDouble() < 0.8
            )
    )
    .ToList();
var prior = new Prior(new(30), 8, start);
var movement = new Movement(d => LevelChart.Default.GrowthPerWeek(d), 0.4, (from, to) => (to - from).TotalDays / 7);
Row(
    "A year's 600 pieces of evidence",
    $"{1e3 * Median(7, () => ReaderEstimator.Run(prior, year, movement, start.AddDays(220))):0.0} ms",
    "under 20 ms"
);

GroupBench.Run(Row);

foreach (
    var (what, wrong, wanted) in new[]
    {
        ("question difficulties right", 0.0, "88 to 92 %, at most 1.1 times, bias under 0.5 fm"),
        ("difficulties wrong by 5 fm (sd)", 5.0, "at least 85 % hold the truth"),
    }
)
foreach (var f in ReaderYears.Run(5000, wrong, 41))
    Row(
        $"Levels after a simulated school year, grades {f.Band}, {what}",
        $"{f.Covered:P1} of the 90 % intervals hold the truth, error {f.Rmse:0.00} fm, {f.OverBound:0.00} times "
            + $"the Cramér–Rao bound, bias {f.Bias:+0.00;−0.00} fm",
        wanted
    );
ReaderYears.Recomputed(500, 200);
Row(
    "100,000 readers with 200 pieces of evidence each reckoned again, from the pace of 3,000",
    $"{100_000 / ReaderYears.Recomputed(3000, 200) / 60:0.0} minutes on two cores",
    "under 5 minutes"
);

var off = Directory
    .EnumerateDirectories(content)
    .Order()
    .Select(ContentReader.Read)
    .SelectMany(t => t.Versions)
    .Select(v => TextMeasurer.Measure(v.Prose).Depth.Value - v.Target)
    .ToList();
Row(
    $"Measured minus target depth of the {off.Count} versions that ship",
    $"sd {Math.Sqrt(off.Sum(o => Math.Pow(o - off.Average(), 2)) / (off.Count - 1)):0.0} fm, mean "
        + $"{off.Average():+0.0;−0.0}",
    "sd at most 4 fm"
);

var checks = Checks.Run(7, Checks.Even());
Row(
    "Simulated level checks of at most 4 passages of 10 questions: levels sure to 3.5 fm",
    $"{checks.Reached:P0} of readers",
    "90 % of readers"
);
Row(
    "Questions nine readers of ten need for that, passages chosen and a fixed form for the grade",
    $"{checks.Chosen} and {checks.Fixed}, {checks.Chosen / (double)checks.Fixed:P0}",
    "at most 60 %"
);

var passages = ShippedPassages.In(content);
Row(
    "The same with the texts and questions that ship, passages alone and after 15 word meanings",
    $"{Checks.Run(7, passages).Reached:P0} and {Checks.Run(7, passages, 15).Reached:P0} of readers",
    "90 % of readers"
);

var story = SpokenForms.Of(prose);
var (long1, short1) = (prose[..story[1000].Start], prose[..story[400].Start]);
var reading = new SimulatedVoice(new(), 3).Read(long1).Heard;
for (var i = 0; i < 30; i++)
    ReadingAligner.Align(long1, reading);
Row(
    "A reading of 1,000 words aligned",
    $"{1e3 * Median(15, () => ReadingAligner.Align(long1, reading)):0} ms",
    "within 50 ms"
);
var score = OralScore.Of(
    short1,
    Enumerable.Range(0, 500).Select(i => (new VoiceTraits(70 + i % 90, Substitutions: 0.01 + i % 6 * 0.01), i))
);
Row(
    "Miscues of 500 simulated readings of 400 words, found against true",
    $"F1 {score.F1:0.000}; errors off by {score.ErrorsOff:P1}, self-corrections by "
        + $"{score.SelfCorrectionsOff:P1}, words correct a minute by {score.RateOff:P2}",
    "F1 at least 0.97, figures within 2 %"
);

static double Median(int runs, Action work)
{
    work();
    var times = Enumerable
        .Range(0, runs)
        .Select(_ =>
        {
            var clock = Stopwatch.StartNew();
            work();
            return clock.Elapsed.TotalSeconds;
        })
        .Order()
        .ToList();
    return times[runs / 2];
}

foreach (var (truth, share) in SimulatedSittings.ToldApart(SimulatedSittings.Many(2000, seed: 1611)))
    Row($"Sittings told apart, of 500 that were truly: {truth}", $"{100 * share:0.0} %", "95 % of all");

var (seen, heldOut, byRow, answers) = Marks.Kappas(content);
Row(
    $"Proposed marks against those of people, {answers} answers, quadratic weighted kappa",
    $"{heldOut:0.00} on three questions the method has not seen, {seen:0.00} on the others, {byRow:0.00} on rubrics of rows",
    "0.6"
);

static void Row(string what, string figure, string wanted) => Console.WriteLine($"| {what} | {figure} | {wanted} |");
