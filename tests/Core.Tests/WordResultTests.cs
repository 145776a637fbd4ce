using DeepCurrent.Core;
using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.WordLists;

namespace Core.Tests;

public sealed class WordResultTests
{
    private static readonly ListedWord[] Words = [Of("tide"), Of("ebb"), Of("quay")];

    private static ListedWord Of(string word) => new(word, "noun", $"what {word} means", "");

    [Fact]
    public void Words_stand_by_how_many_missed_them_and_those_missed_by_a_third_are_worth_practising_again()
    {
        var (ana, ben, cleo) = (ReaderId.New(), ReaderId.New(), ReaderId.New());
        var results = WordResult.Of(
            Words,
            [
                new(ana, [new(0, 1, true), new(1, 3, true), new(2, 2, false)]),
                new(ben, [new(0, 1, true), new(1, 2, true), new(9, 1, true)]),
                new(cleo, [new(0, 2, true), new(1, 1, true)]),
            ]
        );
        results.Select(r => r.Word.Text).ShouldBe(["ebb", "quay", "tide"]);
        results.Select(r => (r.AtOnce, r.Later, r.NotYet)).ShouldBe([(1, 2, 0), (0, 0, 1), (2, 1, 0)]);
        results[0].MissedBy.ShouldBe([ana, ben]);
        results.Select(r => r.Often).ShouldBe([true, false, false]);
    }

    [Fact]
    public void A_list_nobody_has_practised_says_nothing_of_its_words()
    {
        WordResult.Of(Words, []).ShouldAllBe(r => r.AtOnce + r.Later + r.NotYet == 0 && !r.Often);
        WordResult.Of([], []).ShouldBeEmpty();
    }
}
