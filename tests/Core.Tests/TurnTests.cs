using CsCheck;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Streams;

namespace Core.Tests;

/// <summary>Tasks one after another, tasks done otherwise by some, and what a class stream shows.</summary>
public sealed class TurnTests
{
    private static readonly DateOnly Day = new(2026, 11, 23);
    private static readonly AssignmentTerms Terms = new(Day, Day.AddDays(4));

    private static AssignmentId Id() => new(Guid.CreateVersion7());

    [Fact]
    public void Each_has_its_turn_after_the_first()
    {
        AssignmentId[] ids = [Id(), Id(), Id()];
        var turns = Turn.Each(ids);
        ids.Select(id => turns[id]).ShouldBe([new(ids[0], 0), new(ids[0], 1), new(ids[0], 2)]);
        Turn.Each([]).ShouldBeEmpty();
    }

    [Fact]
    public void Copies_stand_in_the_order_of_what_they_were_copied_from() =>
        Gen.Int[0, 9]
            .Array[1, 12]
            .Sample(nths =>
            {
                AssignmentId first = Id();
                var copies = nths.Distinct().Select(n => (Turn: (Turn?)new Turn(first, n), Copy: Id())).ToList();
                var free = (Turn: (Turn?)null, Copy: Id());
                var turns = Turn.OfCopies(copies.Append(free));
                turns.ShouldNotContainKey(free.Copy);
                var inOrder = copies.OrderBy(c => c.Turn!.Nth).Select(c => turns[c.Copy]).ToList();
                inOrder.Select(t => t.Nth).ShouldBe(Enumerable.Range(0, copies.Count));
                inOrder.ShouldAllBe(t => t.Of == copies.MinBy(c => c.Turn!.Nth).Copy);
            });

    [Fact]
    public void A_way_of_ones_own_says_what_is_wrong_with_it()
    {
        string[] Faults(OwnWay way, AssignmentTerms? terms = null) =>
            [.. way.Faults(terms ?? Terms).Select(f => f.Field)];
        Faults(new()).ShouldBeEmpty();
        Faults(new(3, false, true, Day.AddDays(9), 2)).ShouldBeEmpty();
        Faults(new(0, AtOnce: 11)).ShouldBe(["attempts", "atOnce"]);
        Faults(new(DueOn: Day.AddDays(-1))).ShouldBe(["ownDue"]);
        Faults(new(DueOn: Day), Terms with { DueOn = null }).ShouldBe(["ownDue"]);
        new OwnWay(DueOn: Day).Moved(7).DueOn.ShouldBe(Day.AddDays(7));
        new OwnWay(2).Moved(7).ShouldBe(new OwnWay(2));
    }

    private static readonly StreamPost Post = new(Id(), "Reading", "The Mill That Waits", Day, ["ama", "bo"]);

    [Fact]
    public void A_post_is_sent_again_when_something_of_it_is_another()
    {
        var sent = Post.Fingerprint();
        StreamPost[] others =
        [
            Post with
            {
                Title = "Fork",
            },
            Post with
            {
                DueOn = null,
            },
            Post with
            {
                Heading = "",
            },
            Post with
            {
                Readers = ["ama"],
            },
            // What stands in one line is not mistaken for two.
            Post with
            {
                Readers = ["ama\nbo"],
            },
        ];
        StreamRules.Next(true, true, sent, sent).ShouldBe(StreamStep.Nothing);
        others.ShouldAllBe(p => StreamRules.Next(true, true, p.Fingerprint(), sent) == StreamStep.Send);
    }

    [Fact]
    public void What_is_not_wanted_is_taken_back_and_then_forgotten()
    {
        StreamRules.Next(false, false, "a", "a").ShouldBe(StreamStep.TakeBack);
        StreamRules.Next(false, false, null, null).ShouldBe(StreamStep.Forget);
        StreamRules.Next(false, true, "a", null).ShouldBe(StreamStep.Nothing, "its day has not come");
        StreamRules.Next(true, true, null, "a").ShouldBe(StreamStep.TakeBack, "nobody has it any more");
    }

    [Fact]
    public void A_stream_that_does_not_answer_is_left_alone_longer_each_time()
    {
        var pauses = Enumerable.Range(1, 60).Select(StreamRules.Pause).ToList();
        pauses[0].ShouldBe(TimeSpan.FromSeconds(30));
        pauses.Zip(pauses.Skip(1)).ShouldAllBe(p => p.Second >= p.First);
        pauses[^1].ShouldBe(TimeSpan.FromHours(6));
    }
}
