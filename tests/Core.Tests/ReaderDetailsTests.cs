using System.Text.Json;
using CsCheck;
using DeepCurrent.Core.Roster;
using Shouldly;

namespace DeepCurrent.Core.Tests;

public class ReaderDetailsTests
{
    private static readonly JsonSerializerOptions Web = new(JsonSerializerDefaults.Web);

    private static readonly Gen<ReaderDetails> Some = Gen.Select(
            Gen.Enum<ReaderDetail>(),
            Gen.String[Gen.Char.AlphaNumeric, 0, 60]
        )
        .Array[0, 3]
        .Select(texts => texts.Aggregate(ReaderDetails.None, (all, d) => all.With(d.Item1, d.Item2)));

    [Fact]
    public void What_goes_through_JSON_is_equal() =>
        Some.Sample(details =>
        {
            var back = JsonSerializer.Deserialize<ReaderDetails>(JsonSerializer.Serialize(details, Web), Web);
            (back == details).ShouldBeTrue();
            back!.GetHashCode().ShouldBe(details.GetHashCode());
        });

    [Fact]
    public void A_list_that_says_nothing_leaves_what_is_known() =>
        Gen.Select(Some, Some)
            .Sample(
                (said, before) =>
                {
                    var now = said.Over(before);
                    foreach (var detail in Enum.GetValues<ReaderDetail>())
                        now[detail].ShouldBe(said[detail] ?? before[detail]);
                }
            );

    [Fact]
    public void An_empty_text_is_none_and_space_around_it_goes()
    {
        var welsh = ReaderDetails.None.With(ReaderDetail.HomeLanguage, "  Welsh ");
        welsh[ReaderDetail.HomeLanguage].ShouldBe("Welsh");
        (welsh.With(ReaderDetail.HomeLanguage, " ") == ReaderDetails.None).ShouldBeTrue();
    }

    [Fact]
    public void A_text_that_is_too_long_is_said_of_its_detail()
    {
        var most = new string('a', ReaderDetails.Longest);
        ReaderDetails.None.With(ReaderDetail.HomeLanguage, most).Faults().ShouldBeEmpty();
        ReaderDetails
            .None.With(ReaderDetail.HomeLanguage, most + "a")
            .Faults()
            .ShouldHaveSingleItem()
            .Detail.ShouldBe(ReaderDetail.HomeLanguage);
    }

    [Fact]
    public void What_is_no_detail_is_left_out() =>
        JsonSerializer
            .Deserialize<ReaderDetails>("""{ "ShoeSize": "7", "HomeLanguage": "Urdu", "Other": null }""", Web)!
            .Known.ShouldHaveSingleItem()
            .Value.ShouldBe("Urdu");

    [Fact]
    public void A_change_kept_before_details_were_one_thing_can_be_read()
    {
        var reader = JsonSerializer.Deserialize<RosterReader>(
            """
            {
              "id": "0197f0c2-0000-7000-8000-000000000001", "sourceId": null, "givenName": "Ana", "familyName": "Cruz",
              "userName": "ana.c", "grade": 4, "homeLanguage": "Galician", "guardianMail": null, "secretKind": 1,
              "secret": "x", "supports": { "moreTime": 100 }, "left": false
            }
            """,
            Web
        )!;
        reader.Details[ReaderDetail.HomeLanguage].ShouldBe("Galician");
        JsonSerializer.Serialize(reader, Web).ShouldNotContain("\"homeLanguage\"", Case.Sensitive);
    }
}
