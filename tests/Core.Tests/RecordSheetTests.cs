using CsCheck;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Listener;

namespace Core.Tests;

/// <summary>Running records as they are marked by hand, and what follows from them.</summary>
public sealed class RecordSheetTests
{
    private const string Text =
        "The keeper lit the lamp. Far out, a ship turned its bow towards the harbour. Marit waved, and Marit waved.";
    private static readonly IReadOnlyList<PassageWord> Passage = SpokenForms.Of(Text);

    private static SheetMark Mark(int at, MarkKind kind, string heard = "", Sources used = Sources.None) =>
        new(at, kind, heard, used);

    [Fact]
    public void A_sheet_without_marks_was_read_right()
    {
        var f = RecordSheet.Figures([], Passage, null, 30);
        (f.Words, f.Errors, f.Accuracy, f.WordsCorrectPerMinute).ShouldBe((20, 0, 1, 40));
    }

    [Fact]
    public void Each_kind_counts_as_running_records_count()
    {
        SheetMark[] marks =
        [
            Mark(1, MarkKind.Substitution, "keep"),
            Mark(4, MarkKind.Omission),
            Mark(6, MarkKind.Insertion, "there"),
            Mark(8, MarkKind.Told),
            Mark(9, MarkKind.SelfCorrection, "tuned"),
            Mark(10, MarkKind.Repetition),
            Mark(-1, MarkKind.Insertion, "so"),
        ];
        var f = RecordSheet.Figures(marks, Passage, null, 60);
        (f.Errors, f.SelfCorrections, f.Repetitions, f.Accuracy).ShouldBe((5, 1, 1, 0.75));
        f.SelfCorrectionRatio.ShouldBe(6);
        f.WordsCorrectPerMinute.ShouldBe(17, "words put in take none of the text's away");
    }

    [Fact]
    public void A_name_misread_the_same_way_counts_once() =>
        RecordSheet
            .Figures(
                [Mark(15, MarkKind.Substitution, "Mary"), Mark(18, MarkKind.Substitution, "Mary")],
                Passage,
                null,
                0
            )
            .Errors.ShouldBe(1);

    [Fact]
    public void Where_the_reader_stopped_the_record_ends()
    {
        var f = RecordSheet.Figures([Mark(1, MarkKind.Omission), Mark(12, MarkKind.Omission)], Passage, 9, 12);
        (f.Words, f.Errors, f.Accuracy, f.WordsCorrectPerMinute).ShouldBe((10, 1, 0.9, 45));
    }

    [Theory]
    [
        InlineData(20, MarkKind.Omission, "", 1),
        InlineData(-1, MarkKind.Omission, "", 1),
        InlineData(-2, MarkKind.Insertion, "", 1),
        InlineData(3, (MarkKind)9, "", 1),
        InlineData(3, MarkKind.Omission, "", 0),
        InlineData(19, MarkKind.Substitution, "", 2)
    ]
    public void Marks_that_cannot_be_are_refused(int at, MarkKind kind, string heard, int span) =>
        RecordSheet.Fault([new(at, kind, heard, Span: span)], Passage.Count, null).ShouldNotBeNull();

    [Fact]
    public void A_word_has_one_outcome_and_any_number_of_words_between()
    {
        RecordSheet
            .Fault([Mark(3, MarkKind.Omission), Mark(3, MarkKind.Told)], 20, null)!
            .ToString()
            .ShouldBe("A word has two marks.");
        RecordSheet
            .Fault(
                [
                    Mark(3, MarkKind.Omission),
                    Mark(3, MarkKind.Insertion, "a"),
                    Mark(3, MarkKind.Repetition),
                    Mark(3, MarkKind.Insertion, "b"),
                ],
                20,
                null
            )
            .ShouldBeNull();
        RecordSheet.Fault([], 20, 20).ShouldNotBeNull();
        RecordSheet.Fault([Mark(3, MarkKind.Omission, new string('x', 61))], 20, null).ShouldNotBeNull();
    }

    [Fact]
    public void Sources_are_totalled_for_errors_and_for_corrections()
    {
        var t = RecordSheet.Totals([
            Mark(1, MarkKind.Substitution, "a", Sources.Meaning | Sources.Visual),
            Mark(2, MarkKind.Substitution, "b", Sources.Visual),
            Mark(3, MarkKind.SelfCorrection, "c", Sources.Structure),
        ]);
        t.ShouldBe(new(1, 0, 2, 0, 1, 0));
    }

    [Fact]
    public void A_draft_of_a_reading_has_the_figures_of_its_alignment() =>
        Gen.Int[0, 5000]
            .Sample(seed =>
            {
                var heard = new SimulatedVoice(new(Substitutions: .08, SelfCorrections: .05, SkippedLines: 0), seed)
                    .Read(Text)
                    .Heard;
                var read = ReadingAligner.Align(Text, heard);
                var draft = RecordSheet.Draft(read, heard);
                RecordSheet.Fault(draft.Marks, Passage.Count, draft.LastWord).ShouldBeNull();
                if (draft.LastWord is not null)
                    return;
                var f = RecordSheet.Figures(draft.Marks, Passage, null, draft.Seconds, draft.Pauses);
                f.ShouldBe(read.Figures);
            });

    [Fact]
    public void A_draft_knows_when_each_word_was_said_and_where_the_reader_stopped()
    {
        List<HeardWord> heard =
        [
            new("the", 1, 1.2),
            new("keeper", 1.3, 1.8, Confidence: .4),
            new("lit", 2, 2.2),
            new("a", 2.5, 2.6, Confidence: .5),
            new("lamp", 2.7, 3),
        ];
        var draft = RecordSheet.Draft(ReadingAligner.Align(Text, heard), heard);
        (draft.LastWord, draft.Times[2], draft.Times[5]).ShouldBe((4, (2, 2.2), null));
        draft.Marks.Single().ShouldBe(new SheetMark(3, MarkKind.Substitution, "a", Doubt: true));
        draft.Sure.ShouldBe(.78, .001);
    }

    [Fact]
    public void Accuracy_falls_into_zones_as_it_is_shown()
    {
        var cuts = new AccuracyCuts();
        (cuts.Of(.95), cuts.Of(.946), cuts.Of(.9), cuts.Of(.894)).ShouldBe(
            (AccuracyZone.Independent, AccuracyZone.Independent, AccuracyZone.Instructional, AccuracyZone.Frustration)
        );
        cuts.Of(.944).ShouldBe(AccuracyZone.Instructional);
    }

    [Fact]
    public void A_retelling_is_scored_over_what_was_listened_for()
    {
        Retelling.Parts(true).ShouldNotBe(Retelling.Parts(false));
        Retelling.Score(new Dictionary<string, int>()).ShouldBeNull();
        Retelling.Score(new Dictionary<string, int> { ["a"] = 2, ["b"] = 1 }).ShouldBe(.75);
        Should.Throw<ArgumentOutOfRangeException>(() => Retelling.Score(new Dictionary<string, int> { ["a"] = 3 }));
    }

    private static PracticeReading Reading(int day, params SheetMark[] marks) =>
        new(DateTimeOffset.UnixEpoch.AddDays(day), Passage, RecordSheet.Whole(marks, Passage));

    [Fact]
    public void Words_to_practise_are_those_missed_and_not_yet_read_right_twice_running()
    {
        var words = PracticeWords.Of([
            Reading(1, Mark(1, MarkKind.Substitution, "keep"), Mark(10, MarkKind.Told)),
            Reading(2, Mark(10, MarkKind.Substitution, "bough")),
            Reading(3),
        ]);
        words.Select(w => (w.Word, w.Missed, w.Met)).ShouldBe([("its", 2, 3)]);
        words[0].Said.ShouldBe(["bough"]);
        PracticeWords
            .Of([Reading(1, Mark(1, MarkKind.Substitution, "keep")), Reading(2)])
            .Select(w => w.Word)
            .ShouldBe(["keeper"]);
    }

    [Fact]
    public void Names_and_skipped_lines_are_no_words_to_practise() =>
        PracticeWords
            .Of([
                Reading(
                    1,
                    [
                        Mark(15, MarkKind.Substitution, "Mary"),
                        .. Enumerable.Range(5, 5).Select(i => Mark(i, MarkKind.Omission)),
                    ]
                ),
            ])
            .ShouldBeEmpty();
}
