using System.Text;
using System.Text.Json.Nodes;
using DeepCurrent.Cli;

namespace Core.Tests;

public sealed class ComputeTests
{
    private static (int Exit, JsonObject? Out, JsonObject? Error) Run(
        Func<TextReader, JsonObject> command,
        string input
    )
    {
        using var stream = new MemoryStream(Encoding.UTF8.GetBytes(input));
        StringWriter output = new(),
            error = new();
        var exit = Compute.Run(command, stream, output, error);
        return (
            exit,
            output.ToString() is { Length: > 0 } o ? JsonNode.Parse(o)!.AsObject() : null,
            error.ToString() is { Length: > 0 } e ? JsonNode.Parse(e)!.AsObject() : null
        );
    }

    private const string Example = """
        {"prior":{"mean":30,"sd":8,"at":"2026-09-01"},"growthPerWeek":0,"driftPerWeek":0,"asOf":"2026-10-01",
        "evidence":[{"kind":"answer","at":"2026-09-03","difficulty":24.6,"guess":0.25,"correct":true},
        {"kind":"level","at":"2026-09-10","value":33,"sd":4},
        {"kind":"runningRecord","at":"2026-09-05","textDepth":30,"words":120,"errors":6}]}
        """;

    [Fact]
    public void Text_answers_with_every_field_of_the_contract()
    {
        var (exit, o, _) = Run(ComputeText.Run, "The tide came in. We ran up the steps.");
        exit.ShouldBe(0);
        o.ShouldNotBeNull();
        o.Select(p => p.Key)
            .ShouldBe([
                "words",
                "sentences",
                "syllables",
                "letters",
                "distinctWords",
                "fleschReadingEase",
                "fleschKincaidGrade",
                "automatedReadabilityIndex",
                "colemanLiauIndex",
                "gunningFog",
                "smog",
                "spache",
                "daleChall",
                "gradeEquivalent",
                "depth",
                "depthError",
            ]);
        ((int)o["words"]!).ShouldBe(9);
        ((int)o["sentences"]!).ShouldBe(2);
    }

    [Fact]
    public void Reader_answers_with_the_trail_in_order_of_time()
    {
        var (exit, o, _) = Run(ComputeReader.Run, Example);
        exit.ShouldBe(0);
        o.ShouldNotBeNull();
        o.Select(p => p.Key).ShouldBe(["mean", "sd", "low", "high", "trail"]);
        o["trail"]!.AsArray().Select(t => (string)t!["at"]!).ShouldBe(["2026-09-03", "2026-09-05", "2026-09-10"]);
        ((double)o["low"]!).ShouldBeLessThan((double)o["mean"]!);
    }

    [Theory]
    [InlineData("not json", "")]
    [InlineData("[]", "")]
    [InlineData("""{"prior":{"mean":30,"sd":0,"at":"2026-09-01"}}""", "prior.sd")]
    [InlineData("""{"prior":{"mean":"x","sd":8,"at":"2026-09-01"}}""", "prior.mean")]
    [InlineData("""{"prior":{"mean":30,"sd":8,"at":"yesterday"}}""", "prior.at")]
    [InlineData("""{"prior":{"mean":30,"sd":8,"at":"2026-09-01"},"asOf":"2026-08-01"}""", "asOf")]
    [InlineData(
        """{"prior":{"mean":30,"sd":8,"at":"2026-09-01"},"asOf":"2026-10-01","driftPerWeek":-1,"evidence":[]}""",
        "driftPerWeek"
    )]
    [InlineData("""{"prior":{"mean":30,"sd":8,"at":"2026-09-01"},"asOf":"2026-10-01"}""", "evidence")]
    [InlineData(
        """
            {"prior":{"mean":30,"sd":8,"at":"2026-09-01"},"asOf":"2026-10-01","evidence":[{"kind":"song",
            "at":"2026-09-02"}]}
            """,
        "evidence[0].kind"
    )]
    [InlineData(
        """
            {"prior":{"mean":30,"sd":8,"at":"2026-09-01"},"asOf":"2026-10-01","evidence":[{"kind":"answer",
            "at":"2026-09-02","difficulty":3,"guess":1,"correct":true}]}
            """,
        "evidence[0].guess"
    )]
    [InlineData(
        """
            {"prior":{"mean":30,"sd":8,"at":"2026-09-01"},"asOf":"2026-10-01","evidence":[{"kind":"runningRecord",
            "at":"2026-09-02","textDepth":3,"words":0,"errors":1}]}
            """,
        "evidence[0].words"
    )]
    public void Bad_input_names_the_field(string input, string path)
    {
        var (exit, o, error) = Run(ComputeReader.Run, input);
        exit.ShouldBe(2);
        o.ShouldBeNull();
        ((string)error!["path"]!).ShouldBe(path);
        ((string)error["error"]!).ShouldNotBeEmpty();
    }

    [Fact]
    public void Oral_answers_with_figures_and_marks()
    {
        var (exit, o, _) = Run(
            ComputeOral.Run,
            """
            {"text":"The mast fell.","heard":[{"word":"the","start":0.3,"end":0.5},{"word":"mist","start":0.6,
            "end":0.9},{"word":"mast","told":true,"start":2,"end":2.4},{"word":"fell","start":2.5,"end":3.3}]}
            """
        );
        exit.ShouldBe(0);
        o.ShouldNotBeNull();
        o.Select(p => p.Key)
            .ShouldBe([
                "words",
                "errors",
                "selfCorrections",
                "repetitions",
                "accuracy",
                "wordsCorrectPerMinute",
                "marks",
            ]);
        ((int)o["words"]!, (int)o["errors"]!).ShouldBe((3, 1));
        ((double)o["wordsCorrectPerMinute"]!).ShouldBe(40, 1e-9);
        o["marks"]!
            .AsArray()
            .Select(m => $"{m!["index"]} {m["expected"]} {m["heard"]} {m["kind"]}")
            .ShouldBe(["0 The the correct", "1 mast mist told", "2 fell fell correct"]);
    }

    [Theory]
    [InlineData("""{"heard":[]}""", "text")]
    [InlineData("""{"text":"…","heard":[]}""", "text")]
    [InlineData("""{"text":"We ran."}""", "heard")]
    [InlineData("""{"text":"We ran.","heard":[{"word":"we","start":1,"end":0.5}]}""", "heard[0].end")]
    [InlineData(
        """{"text":"We ran.","heard":[{"word":"we","start":1,"end":2},{"word":"ran","start":0.2,"end":3}]}""",
        "heard[1].start"
    )]
    [InlineData("""{"text":"We ran.","heard":[{"word":7,"start":1,"end":2}]}""", "heard[0].word")]
    [InlineData("""{"text":"We ran.","heard":[{"word":"we","start":-1,"end":2}]}""", "heard[0].start")]
    public void Bad_readings_name_the_field(string input, string path)
    {
        var (exit, _, error) = Run(ComputeOral.Run, input);
        exit.ShouldBe(2);
        ((string)error!["path"]!).ShouldBe(path);
    }

    [Fact]
    public void A_text_without_words_is_bad_input() => Run(ComputeText.Run, "…").Exit.ShouldBe(2);
}
