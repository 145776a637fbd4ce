using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;

namespace Core.Tests;

/// <summary>A quiz with its attempts: what is to mark, the score, and what is evidence of what.</summary>
public sealed class AnsweredQuizTests
{
    private static readonly DateTimeOffset At = new(2026, 10, 5, 9, 0, 0, TimeSpan.Zero);

    private static Question Of(QuestionKind kind, int position, bool proof = false, bool onTheWay = false) =>
        new(
            QuestionId.New(),
            position,
            Strand.Infer,
            "Why?",
            [new("because", true, ""), new("so", false, ""), new("and", false, ""), new("but", false, "")],
            new Dictionary<string, string>(),
            kind,
            Evidence: proof,
            After: onTheWay ? new Dictionary<string, int> { ["all"] = 1 } : null
        );

    private static Attempted Try(Question q, bool? right, int attempt = 1, bool tooFast = false) =>
        new(AnswerId.New(), q.Id, attempt, right, tooFast, At);

    [Fact]
    public void The_score_is_the_share_right_at_the_first_attempt_and_question_on_the_ways_do_not_count()
    {
        Question one = Of(QuestionKind.Single, 1),
            two = Of(QuestionKind.Single, 2),
            onTheWay = Of(QuestionKind.Single, 3, onTheWay: true),
            unanswered = Of(QuestionKind.Single, 4);
        var quiz = new AnsweredQuiz(
            [one, two, onTheWay, unanswered],
            [Try(two, true, attempt: 2), Try(one, true), Try(two, false), Try(onTheWay, true)]
        );
        quiz.Score!.Value.Value.ShouldBe(1 / 3.0);
        quiz.ToMark.ShouldBe(0);
        quiz.Pieces(new(30), 0).Select(p => p.Correct).ShouldBe([true, false]);
    }

    [Fact]
    public void There_is_no_score_while_a_person_has_to_mark_or_nothing_was_answered()
    {
        Question single = Of(QuestionKind.Single, 1),
            words = Of(QuestionKind.Short, 2);
        var waiting = new AnsweredQuiz([single, words], [Try(single, true), Try(words, null)]);
        waiting.ToMark.ShouldBe(1);
        waiting.Score.ShouldBeNull();
        waiting.Pieces(new(30), 0).ShouldHaveSingleItem().Correct.ShouldBe(true);
        new AnsweredQuiz([single, words], [Try(single, true), Try(words, false)]).Score!.Value.Value.ShouldBe(0.5);
        new AnsweredQuiz([single, words], []).Score.ShouldBeNull();
        new AnsweredQuiz([], []).Score.ShouldBeNull();
    }

    [Fact]
    public void Where_it_closed_what_was_not_answered_is_not_wrong()
    {
        Question one = Of(QuestionKind.Single, 1),
            two = Of(QuestionKind.Single, 2);
        new AnsweredQuiz([one, two], [Try(one, true)], closed: true).Score!.Value.Value.ShouldBe(1);
        new AnsweredQuiz([one, two], [Try(one, true)]).Score!.Value.Value.ShouldBe(0.5);
        new AnsweredQuiz([one, two], [], closed: true).Score.ShouldBeNull("nothing answered is not 0");
    }

    [Fact]
    public void What_was_too_fast_or_rests_on_a_wrong_answer_is_kept_and_left_out()
    {
        Question first = Of(QuestionKind.Single, 1),
            proof = Of(QuestionKind.Single, 2, proof: true),
            hasty = Of(QuestionKind.Single, 3);
        Attempted[] missed = [Try(first, false), Try(proof, false), Try(hasty, true, tooFast: true)];
        new AnsweredQuiz([first, proof, hasty], missed)
            .Pieces(new(30), 0)
            .Select(p => p.LeftOut)
            .ShouldBe([null, LeftOut.RestsOnWrong, LeftOut.TooFast]);
        new AnsweredQuiz([first, proof], [Try(first, true), Try(proof, false)])
            .Pieces(new(30), 0)
            .ShouldAllBe(p => p.LeftOut == null);
        // Whoever did not answer the first may still have found the proof.
        new AnsweredQuiz([first, proof], [Try(proof, true)]).Pieces(new(30), 0)[0].LeftOut.ShouldBeNull();
    }

    [Fact]
    public void A_question_that_was_taken_out_says_nothing_any_more()
    {
        var there = Of(QuestionKind.Single, 1);
        var gone = Of(QuestionKind.Single, 2);
        var quiz = new AnsweredQuiz([there], [Try(there, true), Try(gone, false)]);
        quiz.Score!.Value.Value.ShouldBe(1);
        quiz.Pieces(new(30), 0).ShouldHaveSingleItem();
    }

    [Fact]
    public void Each_piece_is_as_hard_as_its_question_on_the_version_that_was_read()
    {
        Question single = Of(QuestionKind.Single, 1),
            sentence = Of(QuestionKind.Sentence, 2);
        var quiz = new AnsweredQuiz([single, sentence], [Try(single, true), Try(sentence, true)]);
        quiz.AsksForSentences.ShouldBeTrue();
        var deep = quiz.Pieces(new(50), 12);
        var shallow = quiz.Pieces(new(20), 12);
        deep.Zip(shallow).ShouldAllBe(p => Math.Abs(p.First.Difficulty - p.Second.Difficulty - 30) < 1e-9);
        deep[0].Guess.Value.ShouldBe(0.25);
        deep[1].Guess.Value.ShouldBe(1 / 12.0, 1e-9);
    }
}

public sealed class LeftOutTests
{
    [Fact]
    public void A_teachers_reason_is_told_from_a_rule()
    {
        LeftOut.ReasonOfTeacher(LeftOut.ByTeacher("was ill")).ShouldBe("was ill");
        LeftOut.ReasonOfTeacher(LeftOut.TooFast).ShouldBeNull();
        LeftOut.ReasonOfTeacher(null).ShouldBeNull();
        LeftOut.Said(LeftOut.RestsOnWrong, 1).ToString().ShouldBe("1 answer that rests on a wrong answer");
        LeftOut.Said(LeftOut.TooFast, 2).Count.ShouldBe(2);
    }
}

/// <summary>Where one piece by itself would put a reader.</summary>
public sealed class PlacementTests
{
    private static readonly DateTimeOffset At = new(2026, 10, 5, 9, 0, 0, TimeSpan.Zero);

    [Fact]
    public void A_piece_puts_a_reader_where_it_says_by_itself()
    {
        var at = DateTimeOffset.UnixEpoch;
        Placement.Of([new LevelEvidence(at, new(31))]).ShouldBe(new(31));
        RunningRecordEvidence read = new(at, new(20), 100, 4);
        Placement.Of([read]).ShouldBe(Placement.OfRecord(read));
        AnswerEvidence[] answers = [new(at, new(20), 0, true), new(at, new(30), 0, false)];
        Placement.Of(answers).ShouldBe(Placement.OfAnswers(answers));
        Should.Throw<ArgumentException>(() => Placement.Of([]));
    }

    [Fact]
    public void Four_of_five_right_puts_a_reader_at_the_texts_own_depth() =>
        Placement.OfScore(new(33), 0.8).Value.ShouldBe(33, 1e-9);

    [Fact]
    public void All_or_nothing_is_still_a_place_on_the_scale()
    {
        Placement.OfScore(new(33), 1).Value.ShouldBeInRange(40, 60);
        Placement.OfScore(new(33), 0).Value.ShouldBeInRange(-20, 20);
        Placement.OfScore(new(33), 0.97).ShouldBe(Placement.OfScore(new(33), 1));
    }

    [Fact]
    public void Answers_are_freed_of_guessing()
    {
        AnswerEvidence Of(bool right) => new(At, new(30), 0.25, right);
        // Half of what is not guessed: five of eight.
        Placement
            .OfAnswers([Of(true), Of(true), Of(true), Of(true), Of(true), Of(false), Of(false), Of(false)])
            .Value.ShouldBe(30, 1e-9);
        Should.Throw<ArgumentException>(() => Placement.OfAnswers([]));
    }

    [Fact]
    public void A_record_moves_with_its_accuracy() =>
        Placement.OfRecord(new(At, new(30), 100, 1)).ShouldBeGreaterThan(Placement.OfRecord(new(At, new(30), 100, 12)));

    [Theory]
    [InlineData(EvidenceKind.Answer, false, EvidenceSource.Quiz)]
    [InlineData(EvidenceKind.Level, false, EvidenceSource.Level)]
    [InlineData(EvidenceKind.RunningRecord, false, EvidenceSource.RunningRecord)]
    [InlineData(EvidenceKind.Answer, true, EvidenceSource.LevelCheck)]
    [InlineData(EvidenceKind.Level, true, EvidenceSource.LevelCheck)]
    public void A_piece_comes_from_somewhere(EvidenceKind kind, bool inCheck, EvidenceSource source) =>
        kind.SourceOf(inCheck).ShouldBe(source);

    [Fact]
    public void Strands_are_all_there_and_count_their_own()
    {
        var strands = Mastery.OfStrands([(Strand.Infer, true), (Strand.Infer, false), (Strand.Retrieve, true)]);
        strands.Select(s => s.Strand).ShouldBe(Enum.GetValues<Strand>());
        strands.Single(s => s.Strand is Strand.Infer).Mastery.ShouldBe(Mastery.Estimate(1, 2));
        strands.Single(s => s.Strand is Strand.Connect).Mastery.Asked.ShouldBe(0);
    }
}
