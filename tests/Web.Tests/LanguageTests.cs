using System.Text.Json.Nodes;
using DeepCurrent.Core.Messages;
using Shouldly;
using UglyToad.PdfPig;

namespace Web.Tests;

/// <summary>What a family meets is in the language of its home; levels are called as the school calls them.</summary>
[Collection("application")]
public sealed class LanguageTests(Harness harness)
{
    private async Task<(Person Lead, Room Room)> Spanish()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 2);
        var member = (await lead.Get($"/api/classes/{room.Id}/roster"))["members"]!
            .AsArray()
            .Single(m => (string)m!["id"]! == room.Readers[0].Id)!;
        (
            await lead.Put(
                $"/api/classes/{room.Id}/readers/{room.Readers[0].Id}",
                new
                {
                    givenName = (string)member["givenName"]!,
                    familyName = (string)member["familyName"]!,
                    grade = (int)member["grade"]!,
                    details = new Dictionary<string, string> { ["HomeLanguage"] = "español" },
                    supports = new { },
                }
            )
        ).EnsureSuccessStatusCode();
        return (lead, room);
    }

    private static async Task<string> Letter(Person lead, Room room, int reader)
    {
        var path = $"/api/classes/{room.Id}/print/Letters.pdf?readers={room.Readers[reader].Id}";
        using var pdf = PdfDocument.Open(await (await lead.Send(HttpMethod.Get, path)).Content.ReadAsByteArrayAsync());
        return string.Join(' ', pdf.GetPage(1).GetWords().Select(w => w.Text));
    }

    [Fact]
    public async Task A_letter_is_in_the_language_of_the_home_in_the_schools_words_or_those_that_ship()
    {
        var (lead, room) = await Spanish();
        (await Letter(lead, room, 0)).ShouldContain("Querida familia");
        (await Letter(lead, room, 1)).ShouldContain("Dear family");

        var school = (await lead.Get("/api/school")).AsObject();
        var letters = school["letters"]!.AsArray();
        letters.Count.ShouldBe(Enum.GetValues<Language>().Length);
        letters[1]!["body"] = "Hola, {reader}. Su código es {code}.";
        (await lead.Put("/api/school", school)).EnsureSuccessStatusCode();
        (await Letter(lead, room, 0)).ShouldContain("Su código es");
        (await Letter(lead, room, 1)).ShouldContain("Dear family");

        var next = (await lead.Get("/api/school")).AsObject();
        next["letters"]![1]!["body"] = "Sin nada.";
        (await lead.Problem(await lead.Put("/api/school", next), 422))["fields"]!["letters[1].body"]!
            .Said()
            .ShouldContain("{code}");
    }

    [Fact]
    public async Task A_school_has_one_letter_in_each_language_and_no_other()
    {
        var (lead, _, _) = await harness.OwnSchool();
        async Task<string> Fault(Action<JsonArray> change, string field)
        {
            var school = (await lead.Get("/api/school")).AsObject();
            change(school["letters"]!.AsArray());
            return (await lead.Problem(await lead.Put("/api/school", school), 422))["fields"]![field]!.Said();
        }
        (await Fault(all => all.Clear(), "letters")).ShouldContain("each language");
        (await Fault(all => all.RemoveAt(0), "letters")).ShouldContain("each language");
        (await Fault(all => all[1] = all[0]!.DeepClone(), "letters")).ShouldContain("each language");
        (await Fault(all => all[0]!["title"] = null, "letters[0].title")).ShouldContain("title");
        // A fault stands at the letter that was sent, in whatever order they came.
        var found = await Fault(
            all =>
            {
                var english = all[0]!;
                all.RemoveAt(0);
                all.Add(english);
                english["body"] = "";
            },
            "letters[1].body"
        );
        found.ShouldContain("letter");
    }

    [Fact]
    public async Task A_guardian_is_written_to_and_answered_in_the_language_of_the_home()
    {
        var (lead, room) = await Spanish();
        var mail = $"{Guid.NewGuid():N}@example.org";
        var guardian = await harness.Guardian(lead, room.Id, room.Readers[0].Id, mail);
        (await harness.Ask<string>("select subject from mail where to_address = $1", mail)).ShouldBe(
            "Confirme su correo"
        );
        ((string)(await guardian.Get("/api/session"))["language"]!).ShouldBe("Spanish");
        var level = (await guardian.Get("/api/guardian/children"))[0]!["level"]!;
        level.Said().ShouldContain("grade");
        ((string)level["key"]!).ShouldStartWith("{{0}} reads texts typical of");
        (await lead.Get("/api/session"))["language"].ShouldBeNull();
    }

    [Fact]
    public async Task Levels_are_called_by_the_label_the_school_has_chosen()
    {
        var (lead, room) = await Spanish();
        JsonNode LevelOf(JsonNode reader) => reader["levelName"]!;
        LevelOf(await lead.Get($"/api/readers/{room.Readers[0].Id}")).Said().ShouldStartWith("grade ");
        var school = (await lead.Get("/api/school")).AsObject();
        school["levelSystem"] = "school year";
        (await lead.Put("/api/school", school)).EnsureSuccessStatusCode();
        LevelOf(await lead.Get($"/api/readers/{room.Readers[0].Id}")).Said().ShouldStartWith("Year ");
        var next = (await lead.Get("/api/school")).AsObject();
        next["levelSystem"] = "stars";
        (await lead.Problem(await lead.Put("/api/school", next), 422))["fields"]!["levelSystem"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_refusal_carries_its_sentence_and_its_values()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var problem = await lead.Problem(await lead.Send(HttpMethod.Get, $"/api/readers/{Guid.NewGuid()}"), 404);
        ((string)problem["said"]!["key"]!).ShouldBe((string)problem["title"]!);
    }
}
