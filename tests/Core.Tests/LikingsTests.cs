using CsCheck;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Library;
using DeepCurrent.Core.Ratings;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Roster;
using Shouldly;

namespace Core.Tests;

/// <summary>Suggestions from what readers like alike, and what one reader has otherwise than the rest.</summary>
public sealed class LikingsTests
{
    private static readonly ReaderId Mina = ReaderId.New();
    private static readonly TextId Crabs = TextId.New(),
        Tides = TextId.New(),
        Bread = TextId.New();

    /// <summary>What a reader thinks of a text.</summary>
    private readonly record struct Rated(ReaderId Reader, TextId Text, Liking Liking)
    {
        public bool Liked => Likings.Liked(Liking);
    }

    /// <summary>What the database counts, counted here one by one.</summary>
    private static IReadOnlyList<LikedToo> Suggested(ReaderId reader, IReadOnlyList<Rated> all)
    {
        var mine = all.Where(r => r.Reader == reader).ToDictionary(r => r.Text);
        var likers = all.Where(r => r.Liked && r.Reader != reader).ToLookup(r => r.Text, r => r.Reader);
        return Likings.For(
            from known in mine.Values.Where(r => r.Liked)
            from other in likers
            where !mine.ContainsKey(other.Key)
            select new LikedTogether(
                known.Text,
                other.Key,
                likers[known.Text].Intersect(other).Count(),
                likers[known.Text].Count(),
                other.Count()
            )
        );
    }

    private static Rated Likes(ReaderId reader, TextId text) => new(reader, text, Liking.Good);

    private static IEnumerable<Rated> OthersWhoLike(int n, params TextId[] texts) =>
        Enumerable.Range(0, n).Select(_ => ReaderId.New()).SelectMany(r => texts.Select(t => Likes(r, t)));

    [Fact]
    public void What_others_liked_with_a_text_comes_with_that_text_as_its_reason()
    {
        var all = OthersWhoLike(3, Crabs, Tides).Append(Likes(Mina, Crabs)).ToList();
        Suggested(Mina, all).ShouldHaveSingleItem().ShouldBe(new(Tides, 1, Crabs));
    }

    [Fact]
    public void One_other_reader_alone_suggests_nothing() =>
        Suggested(Mina, [.. OthersWhoLike(1, Crabs, Tides), Likes(Mina, Crabs)]).ShouldBeEmpty();

    [Fact]
    public void A_text_that_everybody_likes_says_less_than_one_that_goes_with_it()
    {
        List<Rated> all = [.. OthersWhoLike(4, Crabs, Tides, Bread), .. OthersWhoLike(12, Bread), Likes(Mina, Crabs)];
        Suggested(Mina, all).Select(l => l.Text).ShouldBe([Tides, Bread]);
        Suggested(Mina, all)[1].Strength.ShouldBe(4 / Math.Sqrt(4 * 16), 1e-12);
    }

    [Fact]
    public void What_the_reader_rated_is_not_suggested_and_what_they_did_not_like_suggests_nothing()
    {
        var others = OthersWhoLike(3, Crabs, Tides).ToList();
        Suggested(Mina, [.. others, Likes(Mina, Crabs), new(Mina, Tides, Liking.NotForMe)]).ShouldBeEmpty();
        Suggested(Mina, [.. others, new(Mina, Crabs, Liking.AllRight)]).ShouldBeEmpty();
    }

    private static readonly TextId[] Texts = [.. Enumerable.Range(0, 8).Select(_ => TextId.New())];
    private static readonly ReaderId[] Readers = [.. Enumerable.Range(0, 12).Select(_ => ReaderId.New()).Prepend(Mina)];

    [Fact]
    public void Strengths_lie_between_0_and_1_fall_and_never_name_what_was_rated() =>
        Gen.Select(
                Gen.Int[0, Readers.Length - 1].Select(i => Readers[i]),
                Gen.Int[0, Texts.Length - 1].Select(i => Texts[i]),
                Gen.Enum<Liking>(),
                (r, t, l) => new Rated(r, t, l)
            )
            .List[0, 80]
            .Sample(some =>
            {
                var all = some.DistinctBy(r => (r.Reader, r.Text)).ToList();
                var said = Suggested(Mina, all);
                var mine = all.Where(r => r.Reader == Mina).ToDictionary(r => r.Text);
                said.ShouldAllBe(l => l.Strength > 0 && l.Strength <= 1 + 1e-12 && !mine.ContainsKey(l.Text));
                said.ShouldAllBe(l => mine[l.Because].Liked);
                said.Select(l => l.Strength).ShouldBe(said.Select(l => l.Strength).OrderDescending());
            });

    [Fact]
    public void Others_likes_come_first_with_their_reason_and_the_rest_stays_in_its_order()
    {
        var cards = Enumerable.Range(0, 4).Select(i => Card(i, 30 + i)).ToList();
        IReadOnlyList<Offer> Offered(IReadOnlyList<LikedToo>? liked) =>
            FreeChoice.Offers(
                cards,
                SchoolId.New(),
                new(30),
                new(),
                new(Open: true, ChoiceDepth.Any),
                new HashSet<TextId>(),
                new Dictionary<string, int>(),
                liked
            );
        var plain = Offered(null).Select(o => o.Card.Id).ToList();
        var last = plain[^1];
        var offers = Offered([new(last, 0.5, Crabs)]);
        offers[0].ShouldSatisfyAllConditions(o => o.Card.Id.ShouldBe(last), o => o.Because.ShouldBe(Crabs));
        offers.Skip(1).Select(o => o.Card.Id).ShouldBe(plain[..^1]);
    }

    private static Card Card(int number, double depth, int words = 200, bool heard = false) =>
        new()
        {
            Id = TextId.New(),
            Number = number,
            SchoolId = null,
            OwnerId = null,
            Mine = false,
            Retired = false,
            Title = $"Text {number}",
            Kind = "story",
            Topic = "Sea",
            Fiction = number % 2 == 0,
            Blurb = "",
            Season = "",
            ChangedAt = default,
            Questions = 6,
            WordsToKnow = 6,
            HeardIn = heard ? [OurSchool] : [],
            Patterns = [],
            Versions = [new(VersionId.New(), "a", words, depth, 3)],
        };

    private static readonly SchoolId OurSchool = SchoolId.New();

    [Theory]
    [InlineData(ChoiceFormat.Any, 3)]
    [InlineData(ChoiceFormat.Short, 2)]
    [InlineData(ChoiceFormat.WithRecording, 1)]
    public void A_format_leaves_out_the_others(ChoiceFormat format, int left) =>
        FreeChoice
            .Offers(
                [Card(0, 30), Card(1, 30, heard: true), Card(2, 30, words: 900)],
                OurSchool,
                new(30),
                new(),
                new(Open: true, Format: format),
                new HashSet<TextId>(),
                new Dictionary<string, int>()
            )
            .Count.ShouldBe(left);

    [Fact]
    public void What_is_said_of_one_reader_goes_before_the_class_and_the_rest_stays()
    {
        var rules = new ChoiceRules(Open: true, ChoiceDepth.Any, Fiction: true, ["Sea"], 3);
        rules.For(new()).ShouldBe(rules);
        var own = rules.For(new(false, ChoiceDepth.OrEasier, ChoiceSort.Both, ChoiceFormat.Short, 5, PoolShown.None));
        own.ShouldBe(new(Open: false, ChoiceDepth.OrEasier, null, rules.Without, 5, ChoiceFormat.Short));
        rules.For(new(Sort: ChoiceSort.Others)).Fiction.ShouldBe(false);
    }

    [Fact]
    public void Supports_of_one_assignment_go_before_those_everywhere()
    {
        var everywhere = new Supports(ReadAloud: true, MoreTime: 150, TextSize: 1);
        new OwnWay().Within(everywhere).ShouldBe(everywhere);
        new OwnWay(ReadAloud: false, OneChoice: true, TextSize: 2)
            .Within(everywhere)
            .ShouldBe(everywhere with { ReadAloud = false, OneChoice = true, TextSize = 2 });
        new OwnWay(TextSize: 3)
            .Faults(new(new(2026, 9, 7), null))
            .Select(f => f.Field)
            .ShouldHaveSingleItem()
            .ShouldBe("textSize");
    }

    [Fact]
    public void The_text_to_read_together_is_easy_and_takes_turns_week_by_week()
    {
        var monday = new DateOnly(2026, 9, 7);
        var offers = FreeChoice.Offers(
            [.. Enumerable.Range(0, 9).Select(i => Card(i, i < 4 ? 18 : 31))],
            OurSchool,
            new(30),
            new(),
            new(Open: true, ChoiceDepth.OrEasier),
            new HashSet<TextId>(),
            new Dictionary<string, int>()
        );
        var weeks = Enumerable.Range(0, 4).Select(w => ReadTogether.For(offers, monday.AddDays(7 * w))!).ToList();
        weeks.ShouldAllBe(o => o.Zone == Zone.Independent);
        weeks.Select(o => o.Card.Id).Distinct().Count().ShouldBe(4);
        ReadTogether.For(offers, monday.AddDays(28)).ShouldBe(weeks[0]);
        ReadTogether.For([], monday).ShouldBeNull();
    }
}
