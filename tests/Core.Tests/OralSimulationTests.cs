using System.Diagnostics;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Listener;
using Shouldly;

namespace Core.Tests;

/// <summary>Readings that were made up, with what truly happened known.</summary>
public sealed class OralSimulationTests
{
    private const string Text = """
        Port Ellery has a museum with only one room. It shows things that were left on the ferry.
        Old Mr Tan looks after it. Each thing has a label that says where it was found and when.
        "Why do you keep them?" asked Zola. She came every Saturday, because it was warm
          and it cost nothing. "Nobody wants one glove."
        That day there was another visitor,
        a tall man in a work coat. He walked along the shelf slowly. At the red glove he stopped.
        He put his hand in his pocket and pulled out a red glove.
        When he had gone, there was an empty place on the shelf. Mr Tan took a pen
          and wrote a new label for it. Zola looked at the shelf again.
        There were eleven such places. She had always thought that they were just gaps.
        """;

    [Theory]
    [InlineData(1), InlineData(2), InlineData(3)]
    public void The_same_seed_is_the_same_reading(int seed) =>
        new SimulatedVoice(new(), seed).Read(Text).Heard.ShouldBe(new SimulatedVoice(new(), seed).Read(Text).Heard);

    [Fact]
    public void Without_faults_every_word_is_right_at_the_reader_s_pace()
    {
        var made = new SimulatedVoice(new(120, 0, 0, 0, 0, 0, 0, 0, 0), 5).Read(Text);
        var read = ReadingAligner.Align(Text, made.Heard);
        read.Figures.Errors.ShouldBe(0);
        read.Figures.WordsCorrectPerMinute.ShouldBeInRange(70, 180);
    }

    [Fact]
    public void What_happened_is_found_again()
    {
        var score = OralScore.Of(
            Text,
            Enumerable.Range(0, 200).Select(i => (new VoiceTraits(80 + i % 80, Substitutions: 0.02 + i % 5 * 0.01), i))
        );
        score.F1.ShouldBeGreaterThanOrEqualTo(0.97);
        score.ErrorsOff.ShouldBeLessThanOrEqualTo(0.02);
        score.SelfCorrectionsOff.ShouldBeLessThanOrEqualTo(0.02);
        score.RateOff.ShouldBeLessThanOrEqualTo(0.02);
    }
}
