using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Library;
using DeepCurrent.Core.WordLists;
using Shouldly;

namespace Core.Tests;

/// <summary>What readers may choose for themselves, and how word wordLists are practised.</summary>
public sealed class FreeChoiceTests
{
    private static readonly SchoolId School = SchoolId.New();
    private static readonly ZoneCuts Cuts = new();
    private static readonly HashSet<TextId> Nothing = [];
    private static readonly Dictionary<string, int> NoInterest = [];

    private static Card Text(string topic, bool fiction, params double[] depths) =>
        new()
        {
            Id = TextId.New(),
            Number = 1,
            SchoolId = null,
            OwnerId = null,
            Mine = false,
            Retired = false,
            Title = $"{topic} {depths.FirstOrDefault()}",
            Kind = "story",
            Topic = topic,
            Fiction = fiction,
            Blurb = "",
            Season = "",
            ChangedAt = default,
            Questions = 6,
            WordsToKnow = 6,
            HeardIn = [],
            Patterns = [],
            Versions =
            [
                .. depths.Select((d, i) => new CardVersion(VersionId.New(), ((char)('a' + i)).ToString(), 200, d, 3)),
            ],
        };

    private static IReadOnlyList<Offer> Offered(
        ChoiceRules rules,
        IEnumerable<Card> cards,
        IReadOnlySet<TextId>? had = null,
        IReadOnlyDictionary<string, int>? interests = null
    ) => FreeChoice.Offers(cards, School, new(30), Cuts, rules, had ?? Nothing, interests ?? NoInterest);

    private static readonly ChoiceRules Open = new(Open: true);

    [Fact]
    public void Nothing_is_offered_where_choosing_is_off() => Offered(new(), [Text("Sea", true, 30)]).ShouldBeEmpty();

    [Fact]
    public void Only_texts_with_a_quiz_that_the_school_shares_and_the_reader_has_not_had()
    {
        var good = Text("Sea", true, 30);
        var had = Text("Sea", true, 30);
        Offered(
                Open,
                [
                    good,
                    had,
                    good with
                    {
                        Id = TextId.New(),
                        Mine = true,
                        SchoolId = School,
                    },
                    good with
                    {
                        Id = TextId.New(),
                        SchoolId = SchoolId.New(),
                    },
                    good with
                    {
                        Id = TextId.New(),
                        Retired = true,
                    },
                    good with
                    {
                        Id = TextId.New(),
                        Questions = 0,
                    },
                    good with
                    {
                        Id = TextId.New(),
                        Versions = [],
                    },
                ],
                new HashSet<TextId> { had.Id }
            )
            .Select(o => o.Card.Id)
            .ShouldBe([good.Id]);
    }

    [Theory]
    [InlineData(ChoiceDepth.WithinReach, 1)]
    [InlineData(ChoiceDepth.OrEasier, 2)]
    [InlineData(ChoiceDepth.Any, 3)]
    public void Depth_is_limited_as_the_class_wants_it(ChoiceDepth depth, int offered) =>
        Offered(Open with { Depth = depth }, [Text("A", true, 5), Text("B", true, 30), Text("C", true, 60)])
            .Count.ShouldBe(offered);

    [Fact]
    public void A_text_is_offered_in_the_version_that_fits() =>
        Offered(Open, [Text("Sea", true, 10, 31, 55)]).Single().Version.Label.ShouldBe("b");

    [Fact]
    public void Kinds_and_topics_can_be_left_out()
    {
        Card[] all = [Text("Sea", true, 30), Text("Sea", false, 30), Text("War", true, 30)];
        Offered(Open with { Fiction = false }, all).Single().Card.ShouldBe(all[1]);
        Offered(Open with { Without = ["War"] }, all).ShouldNotContain(o => o.Card.Topic == "War");
    }

    [Fact]
    public void The_most_liked_topic_comes_first_and_topics_take_turns()
    {
        var topics = Offered(
                Open,
                [Text("Sea", true, 30), Text("Sea", true, 31), Text("Ants", true, 30), Text("Bread", true, 29)],
                interests: new Dictionary<string, int> { ["Sea"] = 3 }
            )
            .Select(o => o.Card.Topic);
        topics.ShouldBe(["Sea", "Ants", "Bread", "Sea"]);
    }

    [Fact]
    public void Whatever_is_offered_keeps_the_rules() =>
        Gen.Select(Gen.Double[-10, 80].Array[1, 3], Gen.Int[0, 3], Gen.Bool)
            .Array[0, 30]
            .Select(Gen.Double[0, 60])
            .Sample(
                (texts, reader) =>
                {
                    var cards = texts.Select(t => Text($"T{t.Item2}", t.Item3, t.Item1)).ToList();
                    var offers = FreeChoice.Offers(
                        cards,
                        School,
                        new(reader),
                        Cuts,
                        Open with
                        {
                            Without = ["T1"],
                        },
                        Nothing,
                        NoInterest
                    );
                    offers.Select(o => o.Card.Id).Distinct().Count().ShouldBe(offers.Count);
                    offers.ShouldAllBe(o => o.Zone == Zone.Instructional && o.Card.Topic != "T1");
                    // As many as there are texts whose best version is within reach.
                    offers.Count.ShouldBe(
                        cards.Count(c =>
                            c.Topic != "T1"
                            && Forecast.ZoneOf(
                                c.Versions.Select(v => Forecast.Comprehension(new(reader), new(v.Depth)))
                                    .MinBy(f => Math.Abs(f.Value - .8)),
                                Cuts
                            ) == Zone.Instructional
                        )
                    );
                }
            );

    [Fact]
    public void A_word_list_is_practised_in_even_rounds_of_at_most_ten() =>
        Gen.Int[0, 200]
            .Sample(n =>
            {
                var rounds = WordListRules.Rounds([.. Enumerable.Range(0, n)]);
                rounds.SelectMany(r => r).ShouldBe(Enumerable.Range(0, n));
                rounds.ShouldAllBe(r => r.Count > 0 && r.Count <= WordListRules.AtOnce);
                if (rounds.Count > 0)
                    (rounds.Max(r => r.Count) - rounds.Min(r => r.Count)).ShouldBeLessThanOrEqualTo(1);
                rounds.Count.ShouldBe((int)Math.Ceiling(n / 10.0));
            });

    [Theory]
    [InlineData("", "x", "Enter a word")]
    [InlineData("tide", "", "Enter the meaning of “tide”")]
    [InlineData("Boat", "x", "twice")]
    public void Faults_of_a_word_list_are_said(string word, string meaning, string fault)
    {
        var said = WordListRules.Fault([new("boat", "noun", "it floats", ""), new(word, "noun", meaning, "")]);
        said!.Value.At.ShouldBe(1);
        said.Value.Sentence.ToString().ShouldContain(fault);
    }

    [Fact]
    public void A_word_may_come_twice_as_two_parts_of_speech() =>
        WordListRules
            .Fault([new("bow", "noun", "front of a boat", ""), new("bow", "verb", "to bend", "")])
            .ShouldBeNull();
}
