using CsCheck;
using DeepCurrent.Core.Tickets;

namespace Core.Tests;

/// <summary>Feedback is shorter than the text it is about.</summary>
public sealed class FeedbackTests
{
    private static readonly Gen<FeedbackLine> Lines = Gen.Select(
        Gen.Int[0, 3],
        Gen.Int[5, 30],
        Gen.Int[0, 40],
        Gen.Int[0, 40],
        (mark, said, reason, proof) => new FeedbackLine((AttemptMark)mark, said, reason, proof)
    );

    [Fact]
    public void It_never_has_more_words_than_the_text_where_what_is_always_said_has_not() =>
        Gen.Select(Gen.Int[0, 400], Lines.Array[0, 12])
            .Sample(
                (words, lines) =>
                {
                    var shown = Feedback.Within(words, lines);
                    shown.Count.ShouldBe(lines.Length);
                    var always = lines.Where(Feedback.Opened).Sum(l => l.Said);
                    var said = always + lines.Zip(shown).Sum(x => Of(x.First, x.Second));
                    if (always <= words)
                        said.ShouldBeLessThanOrEqualTo(words);
                    else
                        shown.ShouldAllBe(s => !s.Reason && !s.Proof);
                }
            );

    private static int Of(FeedbackLine l, FeedbackShown s) => (s.Reason ? l.Reason : 0) + (s.Proof ? l.Proof : 0);

    [Fact]
    public void What_was_missed_comes_first_and_its_place_in_the_text_before_the_reason()
    {
        FeedbackLine[] lines =
        [
            new(AttemptMark.AfterAnotherTry, 10, 10, 10),
            new(AttemptMark.NotYet, 10, 20, 20),
            new(AttemptMark.RightAtOnce, 10, 5, 5),
        ];
        Feedback.Within(45, lines).ShouldBe([new(false, false), new(false, true), new(false, false)]);
        Feedback.Within(70, lines).ShouldBe([new(false, true), new(true, true), new(false, false)]);
        Feedback.Within(200, lines).ShouldBe([new(true, true), new(true, true), new(false, false)]);
    }
}
