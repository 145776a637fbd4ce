using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Library;

namespace Core.Tests;

/// <summary>Texts that are suggested for groups.</summary>
public sealed class GroupTextsTests
{
    private static Card Text(string title, double depth, bool fiction = true, string topic = "Sea") =>
        new()
        {
            Id = TextId.New(),
            Number = 1,
            SchoolId = null,
            OwnerId = null,
            Mine = false,
            Retired = false,
            Title = title,
            Kind = "story",
            Topic = topic,
            Fiction = fiction,
            Blurb = "",
            Season = "",
            ChangedAt = default,
            Questions = 7,
            WordsToKnow = 0,
            HeardIn = [],
            Patterns = [],
            Versions = [new(VersionId.New(), "all", 200, depth, 2)],
        };

    private static List<GroupReader> Readers(double depth, int count, params Card[] had) =>
        [.. Enumerable.Range(0, count).Select(_ => new GroupReader(new(depth), had.Select(c => c.Id).ToHashSet()))];

    private static IReadOnlyList<IReadOnlyList<string>> For(
        IReadOnlyList<IReadOnlyList<GroupReader>> groups,
        IEnumerable<Card> cards,
        int each,
        params Card[] taken
    ) =>
        [
            .. GroupTexts
                .For(groups, cards, taken.Select(c => c.Id).ToHashSet(), new(), each)
                .Select(g => g.Select(t => t.Card.Title).ToList()),
        ];

    [Fact]
    public void Each_group_gets_texts_of_its_own_depth_and_no_text_goes_to_two()
    {
        Card[] cards = [Text("A", 20), Text("B", 21), Text("C", 40), Text("D", 41)];
        var found = For([Readers(20, 5), Readers(40, 5)], cards, 2);
        found[0].ShouldBe(["A", "B"], ignoreOrder: true);
        found[1].ShouldBe(["C", "D"], ignoreOrder: true);
        For([Readers(20, 5), Readers(20, 5)], [cards[0]], 1)[1].ShouldBeEmpty();
    }

    [Fact]
    public void A_group_with_little_to_choose_from_chooses_before_one_with_much()
    {
        Card[] cards = [Text("Shared", 24.5), Text("Easier", 15), Text("Easier still", 14)];
        var found = For([Readers(20, 4), Readers(31, 4)], cards, 1);
        found[1].ShouldBe(["Shared"]);
        found[0].ShouldHaveSingleItem().ShouldStartWith("Easier");
    }

    [Fact]
    public void What_is_planned_or_known_to_many_is_left_out()
    {
        Card[] cards = [Text("A", 20), Text("B", 20)];
        For([Readers(20, 4)], cards, 2, cards[0])[0].ShouldBe(["B"]);
        List<GroupReader> mixed = [.. Readers(20, 2, cards[0]), .. Readers(20, 2)];
        For([mixed], cards, 2)[0].ShouldBe(["B"]);
        List<GroupReader> one = [.. Readers(20, 1, cards[0]), .. Readers(20, 4)];
        var kept = GroupTexts.For([one], cards, new HashSet<TextId>(), new(), 2)[0];
        kept.Single(t => t.Card.Title == "A").Had.ShouldBe(1);
    }

    [Fact]
    public void The_second_text_of_a_group_is_about_something_else_where_it_serves_nearly_as_many()
    {
        Card[] cards =
        [
            Text("A story", 20),
            Text("Another story", 20),
            Text("Facts", 20.1, fiction: false, topic: "Animals"),
        ];
        For([Readers(20, 5)], cards, 2)[0].ShouldBe(["A story", "Facts"]);
    }

    [Fact]
    public void Whatever_is_suggested_serves_half_of_its_group_once_and_not_more_than_asked() =>
        Gen.Select(Gen.Double[5, 60].Array[0, 30], Gen.Double[5, 60].Array[1, 8].Array[1, 5], Gen.Int[1, 4])
            .Sample(x =>
            {
                var (depths, rooms, each) = x;
                var cards = depths.Select((d, i) => Text($"T{i}", d, i % 2 == 0, $"Topic {i % 3}")).ToList();
                var groups = rooms
                    .Select(r => r.Select(d => new GroupReader(new(d), new HashSet<TextId>())).ToList())
                    .ToList();
                var found = GroupTexts.For(groups, cards, new HashSet<TextId>(), new(), each);
                found.Count.ShouldBe(groups.Count);
                var all = found.SelectMany(f => f.Select(t => t.Card.Id)).ToList();
                all.Distinct().Count().ShouldBe(all.Count);
                foreach (var (texts, readers) in found.Zip(groups))
                {
                    texts.Count.ShouldBeLessThanOrEqualTo(each);
                    texts.ShouldAllBe(t => 2 * t.Within >= readers.Count);
                }
            });
}
