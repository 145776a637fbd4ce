using CsCheck;
using DeepCurrent.Core.OralReading;
using Shouldly;

namespace Core.Tests;

/// <summary>Oral readings: each kind of miscue, alone and together, and what they count for.</summary>
public sealed class OralReadingTests
{
    private static IReadOnlyList<HeardWord> Say(string words) =>
        [
            .. words
                .Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select((w, i) => new HeardWord(w.TrimEnd('*'), i * 0.4, i * 0.4 + 0.35, Told: w.EndsWith('*'))),
        ];

    private static OralReading Read(string text, string said) => ReadingAligner.Align(text, Say(said));

    /// <summary>The marks that are not "correct", as one line.</summary>
    private static string Marks(string text, string said) =>
        string.Join(
            "; ",
            Read(text, said)
                .Marks.Where(m => m.Kind != MarkKind.Correct)
                .Select(m => $"{m.Index} {m.Kind} {m.Expected}>{m.Heard}")
        );

    [Theory]
    [InlineData("um the cat uh sat er on the mmm mat it looked at the sea hm", 5)]
    [InlineData("the cat erm sat on the mat Um, it looked at the sea", 2)]
    public void What_is_hummed_while_thinking_is_counted_and_no_error(string said, int hummed)
    {
        var plain = Read(Cat, "the cat sat on the mat it looked at the sea");
        var read = Read(Cat, said);
        read.Figures.ShouldBe(
            plain.Figures with
            {
                Hesitations = hummed,
                WordsCorrectPerMinute = read.Figures.WordsCorrectPerMinute,
            }
        );
        // Its time was spent, so the rate falls.
        read.Figures.WordsCorrectPerMinute.ShouldBeLessThan(plain.Figures.WordsCorrectPerMinute);
        // The marks rest on the words as they were heard, hummed ones counted.
        var heard = said.Split(' ');
        read.Marks.Zip(read.Said)
            .ShouldAllBe(m =>
                m.Second.All(i => SpokenForms.Heard(heard[i]).Single() == SpokenForms.Heard(m.First.Expected).Single())
            );
    }

    [Fact]
    public void A_hum_that_stands_in_the_text_is_read()
    {
        Marks("Mm, said the cat.", "mm said the cat").ShouldBe("");
        Marks("Mm, said the cat.", "said the cat").ShouldBe("0 Omission Mm>");
        Read("Mm, said the cat.", "mm said the cat").Figures.Hesitations.ShouldBe(0);
    }

    private const string Cat = "The cat sat on the mat. It looked at the sea.";

    [Theory]
    [InlineData("the cat sat on the mat it looked at the sea", "")]
    [InlineData("The CAT sat, on the mat! It looked at the sea", "")]
    [InlineData("the cat sat on the map it looked at the sea", "5 Substitution mat>map")]
    [InlineData("the cat sat on mat it looked at the sea", "4 Omission the>")]
    [InlineData("the cat sat down on the mat it looked at the sea", "2 Insertion >down")]
    [InlineData("the the cat sat on the mat it looked at the sea", "0 Repetition The>the")]
    [InlineData("the cat sat on the on the mat it looked at the sea", "4 Repetition on>on; 4 Repetition the>the")]
    [InlineData("the cap cat sat on the mat it looked at the sea", "1 SelfCorrection cat>cap")]
    [InlineData("the c cat sat on the mat it looked at the sea", "1 SelfCorrection cat>c")]
    [InlineData(
        "the cat sat on the mat it lacked at looked at the sea",
        "7 SelfCorrection looked>lacked; 8 Repetition at>at"
    )]
    [InlineData("the cat sat on the mat* it looked at the sea", "5 Told mat>mat")]
    [InlineData("the cat sat on the mop mat* it looked at the sea", "5 Told mat>mop")]
    [InlineData("the cat sat on the map mop it looked at the sea", "5 Substitution mat>map mop")]
    [InlineData("very the cat sat on the mat it looked at the sea", "-1 Insertion >very")]
    [InlineData(
        "the cat sat on the mat",
        "6 Omission It>; 7 Omission looked>; 8 Omission at>; 9 Omission the>; 10 Omission sea>"
    )]
    [InlineData(
        "it looked at the sea",
        "0 Omission The>; 1 Omission cat>; 2 Omission sat>; 3 Omission on>; 4 Omission the>; 5 Omission mat>"
    )]
    [InlineData(
        "the sat the cat sat on the mat it looked at the sea",
        "1 Repetition The>the; 1 SelfCorrection cat>sat"
    )]
    [InlineData(
        "",
        "0 Omission The>; 1 Omission cat>; 2 Omission sat>; 3 Omission on>; 4 Omission the>; 5 Omission mat>; "
            + "6 Omission It>; 7 Omission looked>; 8 Omission at>; 9 Omission the>; 10 Omission sea>"
    )]
    public void Each_kind_of_miscue_is_known(string said, string marks)
    {
        // A word that was skipped and read on the way back stands where it was skipped.
        var found = Marks(Cat, said);
        string.Join("; ", found.Split("; ").Order()).ShouldBe(string.Join("; ", marks.Split("; ").Order()));
    }

    [Theory]
    [InlineData("I'm here now.", "I am here now", 1, "0 Substitution I'm>I am")]
    [InlineData("I am here now.", "I'm here now", 1, "0 Substitution I am>I'm")]
    [InlineData("They won't go.", "they will not go", 1, "1 Substitution won't>will not")]
    [InlineData("We cannot go.", "we can't go", 1, "1 Substitution cannot>can't")]
    public void A_contraction_read_out_counts_once(string text, string said, int errors, string marks)
    {
        Marks(text, said).ShouldBe(marks);
        Read(text, said).Figures.Errors.ShouldBe(errors);
    }

    [Theory]
    [InlineData("There were 12 boats.", "there were twelve boats")]
    [InlineData("There were 205 boats.", "there were two hundred and five boats")]
    [InlineData("There were 205 boats.", "there were two hundred five boats")]
    [InlineData("It sank in 1984 here.", "it sank in nineteen eighty four here")]
    [InlineData("He was 3rd today.", "he was third today")]
    [InlineData("It is 2.5 long.", "it is two point five long")]
    [InlineData("About 1,000 came.", "about a thousand came")]
    [InlineData("Mr. Bell said so.", "mister bell said so")]
    [InlineData("A twenty-one gun.", "a twenty one gun")]
    [InlineData("Bus 42 left.", "bus 42 left")]
    [InlineData("Bus forty two left.", "bus 42 left")]
    public void Numbers_and_short_forms_are_words(string text, string said) =>
        Read(text, said).Figures.Errors.ShouldBe(0, Marks(text, said));

    [Fact]
    public void A_name_misread_the_same_way_counts_once_and_another_way_again()
    {
        const string text = "Then Femke ran. We saw Femke jump. I like Femke.";
        Read(text, "then femmy ran we saw femmy jump i like femmy").Figures.Errors.ShouldBe(1);
        Read(text, "then femmy ran we saw frank jump i like femmy").Figures.Errors.ShouldBe(2);
        Read("The boat ran. We saw the boat jump.", "the bat ran we saw the bat jump")
            .Figures.Errors.ShouldBe(2, "a boat is no name");
    }

    [Fact]
    public void A_skipped_line_is_found_and_its_words_are_left_out()
    {
        var lines = Enumerable
            .Range(0, 12)
            .Select(l => string.Join(' ', Enumerable.Range(0, 9).Select(w => $"{(char)('a' + l)}ord{(char)('a' + w)}")))
            .ToList();
        var read = Read(string.Join(". ", lines), string.Join(' ', lines.Where((_, i) => i != 5)));
        read.Figures.Errors.ShouldBe(9);
        read.Marks.Where(m => m.Kind == MarkKind.Omission).Select(m => m.Index).ShouldBe(Enumerable.Range(45, 9));
    }

    [Fact]
    public void Figures_are_those_of_running_records()
    {
        var f = Read(Cat, "the cap cat sat on on the mop it looked at sea").Figures;
        (f.Words, f.Errors, f.SelfCorrections, f.Repetitions).ShouldBe((11, 2, 1, 1));
        f.Accuracy.ShouldBe(9 / 11.0, 1e-12);
        f.WordsPerError.ShouldBe(5.5);
        f.SelfCorrectionRatio.ShouldBe(3);
        // Twelve words, 0.4 s each, the last 0.35 s long; nine of eleven words right.
        f.WordsCorrectPerMinute.ShouldBe(9 / (11 * 0.4 + 0.35) * 60, 1e-9);
        RunningRecords.Accuracy(10, 15).ShouldBe(0);
        Should.Throw<ArgumentOutOfRangeException>(() => RunningRecords.Accuracy(0, 0));
        Should.Throw<ArgumentException>(() => ReadingAligner.Align("…", []));
    }

    [Fact]
    public void Long_pauses_are_counted()
    {
        HeardWord[] said = [new("the", 0, .3), new("cat", 3.2, 3.5), new("sat", 6.6, 7)];
        ReadingAligner.Align("The cat sat.", said).Figures.Pauses.ShouldBe(1);
    }

    [Fact]
    public void Whatever_is_said_each_text_word_has_one_outcome_and_each_heard_word_is_used_once() =>
        Gen.Select(Gen.Int[0, 5].Array[1, 30], Gen.Int[0, 6].Array[0, 40])
            .Sample(
                (text, said) =>
                {
                    string[] words = ["sea", "seal", "boat", "the", "a", "Ann", "zigzag"];
                    var t = string.Join(' ', text.Select(i => words[i]));
                    var read = ReadingAligner.Align(t, Say(string.Join(' ', said.Select(i => words[i]))));
                    var outcomes = read
                        .Marks.Where(m => m.Kind is not (MarkKind.Insertion or MarkKind.Repetition))
                        .Select(m => m.Index)
                        .ToList();
                    outcomes.Order().ShouldBe(Enumerable.Range(0, text.Length));
                    read.Marks.Where(m => m.Kind is MarkKind.Insertion or MarkKind.Repetition)
                        .ShouldAllBe(m => m.Index >= -1 && m.Index < text.Length);
                    read.Figures.Errors.ShouldBeLessThanOrEqualTo(text.Length + said.Length);
                    read.Figures.Accuracy.ShouldBeInRange(0, 1);
                }
            );

    [Fact]
    public void A_text_read_as_it_stands_has_no_miscue() =>
        Gen.Int[0, 7]
            .Array[1, 60]
            .Sample(text =>
            {
                string[] words = ["the", "sea", "the", "a", "boat", "1,250", "I'm", "well-known"];
                var t = string.Join(' ', text.Select(i => words[i]));
                ReadingAligner.Align(t, Say(t)).Marks.ShouldAllBe(m => m.Kind == MarkKind.Correct);
            });
}
