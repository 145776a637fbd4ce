using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Library;
using DeepCurrent.Core.Questions;

namespace Core.Tests;

/// <summary>Finding texts: whatever is asked, the rows are those that hold, and the counts beside the filters are what
/// one would find.</summary>
public sealed class LibraryTests
{
    private static readonly SchoolId School = new(new("00000000-0000-0000-0000-0000000000a1")),
        OtherSchool = new(new("00000000-0000-0000-0000-0000000000a2"));
    private static readonly AdultId Me = new(new("00000000-0000-0000-0000-0000000000b1")),
        Colleague = new(new("00000000-0000-0000-0000-0000000000b2"));

    private static readonly Gen<Card> AnyCard = Gen.Select(
            Some.Of("story", "report", "poem"),
            Some.Of("Sea", "Space"),
            Gen.Bool,
            Gen.Double[-5, 70].Array[1, 3],
            Gen.Int[0, 2],
            Gen.Int[0, 4],
            Gen.Guid
        )
        .Select(
            (kind, topic, fiction, depths, questions, whose, id) =>
                new Card
                {
                    Id = TextId.From(id),
                    Number = Math.Abs(id.GetHashCode() % 100_000),
                    SchoolId = whose switch
                    {
                        0 or 1 => (SchoolId?)null,
                        4 => OtherSchool,
                        _ => School,
                    },
                    OwnerId = whose switch
                    {
                        2 => Me,
                        3 => Colleague,
                        _ => (AdultId?)null,
                    },
                    Mine = questions == 1 && whose > 1,
                    Retired = false,
                    Title = $"T{id:N}"[..6],
                    Kind = kind,
                    Topic = topic,
                    Fiction = fiction,
                    Blurb = "",
                    Season = "",
                    ChangedAt = DateTimeOffset.UnixEpoch.AddDays(depths[0]),
                    Questions = questions,
                    WordsToKnow = questions,
                    HeardIn =
                        whose == 2 ? [School, OtherSchool]
                        : whose == 3 ? [OtherSchool]
                        : [],
                    Patterns = depths[0] < 15 ? ["sh", "ck"] : [],
                    Versions =
                    [
                        .. depths
                            .Order()
                            .Select((d, i) => new CardVersion(VersionId.New(), $"{i}", (int)(d * 5) + 60, d, 2)),
                    ],
                }
        );

    private static readonly Gen<Card[]> AnyCards = AnyCard
        .Array[0, 40]
        .Select(cards => cards.DistinctBy(c => c.Number).ToArray());

    private static ShelfAsker Asker(params double[] readers) =>
        new(
            School,
            Me,
            new Dictionary<TextId, int>(),
            new Dictionary<TextId, int>(),
            [.. readers.Select(r => new Fathoms(r))],
            new ZoneCuts()
        );

    private static readonly Gen<ShelfQuery> AnyQuery = Gen.Select(Gen.Bool, Gen.Bool, Gen.Int[0, 2], Gen.Bool, Gen.Bool)
        .Select(
            (story, sea, fiction, deep, quiz) =>
                new ShelfQuery
                {
                    Kinds = story ? new HashSet<string> { "story" } : null,
                    Topics = sea ? new HashSet<string> { "Sea" } : null,
                    Fiction = fiction == 0 ? null : fiction == 1,
                    DepthFrom = deep ? 20 : null,
                    DepthTo = deep ? 40 : null,
                    Quiz = quiz,
                    Sort = ShelfSort.Title,
                }
        );

    [Fact]
    public void Rows_are_those_that_hold_and_no_others() =>
        Gen.Select(AnyCards, AnyQuery)
            .Sample(
                (cards, q) =>
                {
                    var rows = new Shelf(cards).Search(q, Asker(30), most: 200);
                    var expected = cards
                        .Where(c =>
                            c.SeenBy(School, Me)
                            && q.Kinds?.Contains(c.Kind) != false
                            && q.Topics?.Contains(c.Topic) != false
                            && (q.Fiction is null || q.Fiction == c.Fiction)
                            && (
                                q.DepthFrom is null
                                || c.Versions.Any(v => v.Depth >= q.DepthFrom && v.Depth <= q.DepthTo)
                            )
                            && (!q.Quiz || c.Questions > 0)
                        )
                        .Select(c => c.Id);
                    rows.Rows.Select(r => r.Card.Id).ShouldBe(expected, ignoreOrder: true);
                    rows.All.ShouldBe(rows.Rows.Count);
                }
            );

    [Fact]
    public void A_count_beside_a_filter_is_what_choosing_it_finds() =>
        Gen.Select(AnyCards, AnyQuery)
            .Sample(
                (cards, q) =>
                {
                    var shelf = new Shelf(cards);
                    var facets = shelf.Search(q, Asker(30)).Facets.ToDictionary(f => f.Name, f => f.Values);
                    foreach (var (kind, n) in facets["kind"])
                        shelf.Search(q with { Kinds = new HashSet<string> { kind } }, Asker(30)).All.ShouldBe(n);
                    foreach (var (topic, n) in facets["topic"])
                        shelf.Search(q with { Topics = new HashSet<string> { topic } }, Asker(30)).All.ShouldBe(n);
                    foreach (var (fiction, n) in facets["fiction"])
                        shelf.Search(q with { Fiction = fiction == "true" }, Asker(30)).All.ShouldBe(n);
                    foreach (var (whose, n) in facets["whose"])
                        shelf.Search(q with { Whose = Enum.Parse<Whose>(whose) }, Asker(30)).All.ShouldBe(n);
                }
            );

    [Fact]
    public void Pages_join_to_the_whole() =>
        AnyCards.Sample(cards =>
        {
            var shelf = new Shelf(cards);
            var whole = shelf.Search(new(), Asker(20, 40), most: 200).Rows.Select(r => r.Card.Id).ToList();
            Enumerable
                .Range(0, 8)
                .SelectMany(p => shelf.Search(new(), Asker(20, 40), p * 6, 6).Rows)
                .Select(r => r.Card.Id)
                .ShouldBe(whole.Take(48));
        });

    [Fact]
    public void Nobody_sees_what_is_another_schools_or_a_colleagues_own() =>
        AnyCards.Sample(cards =>
            new Shelf(cards)
                .Search(new(), Asker(), most: 200)
                .Rows.ShouldAllBe(r => r.Card.SchoolId != OtherSchool && !(r.Card.Mine && r.Card.OwnerId == Colleague))
        );

    [Fact]
    public void Sound_is_a_schools_own() =>
        AnyCards.Sample(cards =>
        {
            var found = new Shelf(cards).Search(new() { Audio = true }, Asker(), most: 200);
            found
                .Rows.Select(r => r.Card.Id)
                .ShouldBe(
                    cards.Where(c => c.SeenBy(School, Me) && c.HeardIn.Contains(School)).Select(c => c.Id),
                    ignoreOrder: true
                );
            new Shelf(cards)
                .Search(new(), Asker(), most: 200)
                .Facets.Single(f => f.Name == "has")
                .Values.Where(v => v.Value == "audio")
                .Sum(v => v.Count)
                .ShouldBe(found.All);
        });

    [Fact]
    public void A_text_fits_whoever_has_a_version_within_reach()
    {
        var card = new Card
        {
            Id = TextId.New(),
            Number = 1,
            SchoolId = null,
            OwnerId = null,
            Mine = false,
            Retired = false,
            Title = "T",
            Kind = "story",
            Topic = "Sea",
            Fiction = true,
            Blurb = "",
            Season = "",
            ChangedAt = DateTimeOffset.UnixEpoch,
            Questions = 0,
            WordsToKnow = 0,
            HeardIn = [],
            Patterns = [],
            Versions = [new(VersionId.New(), "a", 100, 20, 2), new(VersionId.New(), "b", 100, 45, 2)],
        };
        var seventy = Enumerable.Range(0, 70).Select(i => 45.0).ToArray();
        new Shelf([card]).Search(new(), Asker(20, 45, 90, -10)).Rows.Single().Fits.ShouldBe(2);
        new Shelf([card])
            .Search(new(), Asker(seventy))
            .Rows.Single()
            .Fits.ShouldBe(70, "more readers than one machine word holds");
    }

    [Fact]
    public void Asking_for_no_or_too_many_rows_is_refused()
    {
        Should.Throw<ArgumentOutOfRangeException>(() => new Shelf([]).Search(new(), Asker(), most: 0));
        Should.Throw<ArgumentOutOfRangeException>(() => new Shelf([]).Search(new(), Asker(), from: -1));
    }

    [Fact]
    public void What_is_asked_after_reading_together_is_the_last_question_on_the_way_and_never_one_of_the_quiz()
    {
        Question Asked(string stem, int? after, QuestionKind kind = QuestionKind.Single) =>
            new(
                QuestionId.New(),
                1,
                Strand.Infer,
                stem,
                [new("No", Right: false, ""), new($"{stem} yes", Right: true, "")],
                new Dictionary<string, string>(),
                kind,
                After: after is { } place ? new Dictionary<string, int> { ["a"] = place } : null
            );
        Question[] all =
        [
            Asked("Late?", 5),
            Asked("Early?", 2),
            Asked("Several?", 7, QuestionKind.Multiple),
            Asked("Quiz?", null),
        ];
        AskAtHome.Of(all, "a").ShouldBe(new("Late?", "Late? yes"));
        AskAtHome.Of(all, "b").ShouldBeNull();
        AskAtHome.Of([Asked("Quiz?", null)], "a").ShouldBeNull();
    }
}
