using DeepCurrent.Core.OralReading;
using DeepCurrent.Listener;

namespace Core.Tests;

/// <summary>How well alignment finds what truly happened, over many made-up readings.</summary>
/// <param name="F1">Of miscue marks: the same kind at the same text word.</param>
/// <param name="ErrorsOff">Difference of all errors found and true, as a share of the true ones.</param>
/// <param name="RateOff">Mean difference of words correct per minute, as a share.</param>
public sealed record OralScore(
    double F1,
    double ErrorsOff,
    double SelfCorrectionsOff,
    double RateOff,
    IReadOnlyList<(string Said, int Times)> Missed
)
{
    public static OralScore Of(string text, IEnumerable<(VoiceTraits Traits, int Seed)> readings)
    {
        var passage = SpokenForms.Of(text);
        int right = 0,
            found = 0,
            truth = 0,
            errors = 0,
            trueErrors = 0,
            corrections = 0,
            trueCorrections = 0,
            all = 0;
        var rate = 0.0;
        var missed = new List<string>();
        foreach (var (traits, seed) in readings)
        {
            var made = new SimulatedVoice(traits, seed).Read(text);
            var read = ReadingAligner.Align(text, made.Heard);
            var seconds = made.Heard.Count == 0 ? 0 : made.Heard[^1].End - made.Heard[0].Start;
            var known = RunningRecords.Figures(made.Truth, passage, seconds);
            List<(int Index, MarkKind Kind)> a = [.. Miscues(read.Marks)],
                b = [.. Miscues(made.Truth)];
            var both = a.GroupBy(x => x).Sum(g => Math.Min(g.Count(), b.Count(x => x == g.Key)));
            missed.AddRange(
                made.Truth.Where(m => m.Kind is not MarkKind.Correct && !a.Contains((m.Index, m.Kind)))
                    .Select(t => Instead(t, read))
            );
            (right, found, truth) = (right + both, found + a.Count, truth + b.Count);
            (errors, trueErrors) = (errors + read.Figures.Errors, trueErrors + known.Errors);
            (corrections, trueCorrections) = (
                corrections + read.Figures.SelfCorrections,
                trueCorrections + known.SelfCorrections
            );
            rate += FarOff(read.Figures.WordsCorrectPerMinute, known.WordsCorrectPerMinute);
            all++;
        }
        return new(
            2.0 * right / Math.Max(1, found + truth),
            Off(errors, trueErrors),
            Off(corrections, trueCorrections),
            rate / Math.Max(1, all),
            [.. missed.CountBy(m => m).OrderByDescending(m => m.Value).Take(20).Select(m => (m.Key, m.Value))]
        );
    }

    private static double FarOff(double found, double truth) => truth > 0 ? Math.Abs(found - truth) / truth : 0;

    private static string Instead(ReadingMark t, OralReading read)
    {
        var near = read.Marks.Where(m => Math.Abs(m.Index - t.Index) < 2 && m.Kind != MarkKind.Correct);
        var instead = string.Join(", ", near.Select(m => $"{m.Kind} {m.Expected}>{m.Heard}"));
        return $"{t.Kind} {t.Expected}>{t.Heard}: {instead}";
    }

    private static double Off(int found, int truth) => truth == 0 ? found : Math.Abs(found - truth) / (double)truth;

    private static IEnumerable<(int, MarkKind)> Miscues(IEnumerable<ReadingMark> marks) =>
        marks.Where(m => m.Kind is not MarkKind.Correct).Select(m => (m.Index, m.Kind));

    public override string ToString()
    {
        var missed = string.Join('\n', Missed.Select(m => $"{m.Times} {m.Said}"));
        FormattableString said = $"F1 {F1:0.0000}, errors off {ErrorsOff:0.000}, rate off {RateOff:0.0000}";
        FormattableString more = $"self-corrections off {SelfCorrectionsOff:0.000}\n{missed}";
        return $"{FormattableString.Invariant(said)}, {FormattableString.Invariant(more)}";
    }
}
