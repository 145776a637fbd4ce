using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Copies on paper: lent with two entries, taken back with one.</summary>
[Collection("application")]
public sealed class CopyTests(Harness harness)
{
    private static Task<HttpResponseMessage> Enter(Person who, string typed, string? readerId = null, int days = 14) =>
        who.Post(
            "/api/copies/desk",
            new
            {
                typed,
                readerId,
                days,
            }
        );

    private static async Task<JsonNode> Copy(Person who, string code) =>
        (await who.Get("/api/copies")).AsArray().Single(c => (string)c!["code"]! == code)!;

    private async Task<(Person Ana, Room Room, string UserName, string Code)> Prepared()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var code = $"K-{Guid.NewGuid():N}"[..12];
        await ana.Posted("/api/copies", new { title = "The Ferry Cat", codes = new[] { code, code + "b" } });
        var name = (string)
            (await ana.Get($"/api/classes/{room.Id}/roster"))["members"]!
                .AsArray()
                .Single(r => (string)r!["id"]! == room.Readers[0].Id)!["userName"]!;
        return (ana, room, name, code);
    }

    [Fact]
    public async Task A_user_name_and_a_code_lend_a_copy_and_the_code_takes_it_back()
    {
        var (ana, room, name, code) = await Prepared();
        var who = await ana.Json(await Enter(ana, name.ToUpperInvariant()));
        ((string)who["what"]!, (string)who["readerId"]!).ShouldBe(("Reader", room.Readers[0].Id));
        ((string)(await ana.Json(await Enter(ana, code.ToLowerInvariant(), room.Readers[0].Id, 7)))["what"]!).ShouldBe(
            "Lent"
        );
        var lent = await Copy(ana, code);
        ((string)lent["dueOn"]!).ShouldBe(Harness.Today.AddDays(7).ToString("yyyy-MM-dd"));
        ((bool)lent["late"]!).ShouldBeFalse();
        ((string)(await ana.Json(await Enter(ana, code)))["what"]!).ShouldBe("Returned");
        (await Copy(ana, code))["readerId"].ShouldBeNull();
    }

    [Fact]
    public async Task A_copy_that_is_handed_on_has_one_borrower_and_nonsense_is_said()
    {
        var (ana, room, _, code) = await Prepared();
        await ana.Json(await Enter(ana, code, room.Readers[0].Id));
        await ana.Json(await Enter(ana, code, room.Readers[1].Id));
        ((string)(await Copy(ana, code))["readerId"]!).ShouldBe(room.Readers[1].Id);
        (await ana.Problem(await Enter(ana, "nobody at all"), 422)).ToJsonString().ShouldContain("No copy or reader");
        (await ana.Problem(await Enter(ana, code + "b"), 422)).ToJsonString().ShouldContain("is not lent");
        (await ana.Problem(await Enter(ana, code, room.Readers[0].Id, 0), 422))
            .ToJsonString()
            .ShouldContain("1 to 200 days");
        var again = await ana.Posted(
            "/api/copies",
            new { title = "Other", codes = new[] { code.ToUpperInvariant(), code + "c" } }
        );
        ((int)again["made"]!, (string)again["taken"]![0]!).ShouldBe((1, code.ToUpperInvariant()));
        (
            await ana.Send(HttpMethod.Delete, $"/api/copies/{(string)(await Copy(ana, code + "c"))["id"]!}")
        ).EnsureSuccessStatusCode();
        (await ana.Get("/api/copies")).AsArray().Select(c => (string)c!["code"]!).ShouldNotContain(code + "c");
    }

    [Fact]
    public async Task Who_has_a_copy_is_said_only_to_those_who_may_see_the_reader()
    {
        var (ana, room, name, code) = await Prepared();
        await ana.Json(await Enter(ana, code, room.Readers[0].Id));
        var ben = await harness.Teacher("ben");
        (await Copy(ben, code))["reader"].ShouldBeNull();
        (await Copy(ben, code))["readerId"].ShouldNotBeNull("he sees that it is out");
        (await ben.Problem(await Enter(ben, name), 404)).ShouldNotBeNull();
        (await (await harness.Teacher("cleo")).Get("/api/copies"))
            .AsArray()
            .Select(c => (string)c!["code"]!)
            .ShouldNotContain(code, "another school");
    }
}
