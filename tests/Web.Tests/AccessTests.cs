using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;

namespace Web.Tests;

/// <summary>Every endpoint, with everybody who should not have it.</summary>
[Collection("application")]
public sealed class AccessTests(Harness harness)
{
    private sealed record Door(HttpMethod Method, string Path, bool Anonymous);

    private IEnumerable<Door> Doors(IReadOnlyDictionary<string, string> ids) => harness.Services.GetServices<EndpointDataSource>().SelectMany(s => s.Endpoints).OfType<RouteEndpoint>()
        .Where(e => e.RoutePattern.RawText!.StartsWith("/api", StringComparison.Ordinal) && !e.RoutePattern.RawText.StartsWith("/api/live", StringComparison.Ordinal) && !e.RoutePattern.RawText.Contains("**"))
        .SelectMany(e => (e.Metadata.GetMetadata<IHttpMethodMetadata>()?.HttpMethods ?? ["GET"]).Select(m => new Door(new(m),
            string.Join('/', e.RoutePattern.PathSegments.Select(s => string.Concat(s.Parts.Select(p => p is Microsoft.AspNetCore.Routing.Patterns.RoutePatternParameterPart parameter ? ids[parameter.Name] : ((dynamic)p).Content))).Prepend("")),
            e.Metadata.GetMetadata<IAllowAnonymous>() is not null)));

    private async Task<Dictionary<string, string>> Ids()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var text = (string)(await ana.Get("/api/texts")).AsArray()[0]!["id"]!;
        var made = await ana.Json(await ana.Post($"/api/classes/{room.Id}/assignments", new { readerIds = room.Readers.Select(r => r.Id), textId = text, attempts = 2, skipGiven = false, dueOn = (DateOnly?)null, directions = "", versions = new { } }));
        var assignment = (string)made["assignmentId"]!;
        var tickets = (await ana.Get($"/api/assignments/{assignment}"))["tickets"]!.AsArray();
        return new()
        {
            ["classId"] = room.Id, ["readerId"] = room.Readers[0].Id, ["textId"] = text, ["assignmentId"] = assignment, ["changeId"] = (string)made["changeId"]!, ["code"] = room.Code,
            ["ticketId"] = (string)tickets.Single(k => (string)k!["readerId"]! == room.Readers[0].Id)!["id"]!, ["answerId"] = Guid.NewGuid().ToString(), ["spellId"] = Guid.NewGuid().ToString(),
        };
    }

    // A body that would be good for whatever the endpoint wants, so that only the person is wrong.
    private static object Body(IReadOnlyDictionary<string, string> ids) => new
    {
        name = "X", givenName = "X", familyName = "Y", grade = 3, level = 30, readerIds = new[] { ids["readerId"] }, textIds = new[] { ids["textId"] }, textId = ids["textId"], attempts = 2, skipGiven = false, directions = "", versions = new { },
        groups = new[] { new { name = "G", readerIds = new[] { ids["readerId"] } } }, targets = new[] { new { readerId = ids["readerId"], comprehension = 80, words = 1000 } }, reason = "",
        page = 0, seconds = 1, startedAt = DateTimeOffset.UtcNow, questionId = Guid.NewGuid(), choice = 0, at = DateTimeOffset.UtcNow, milliseconds = 1000,
    };

    private async Task<List<string>> Opened(Person person, IReadOnlyDictionary<string, string> ids, Func<Door, bool> tried, params int[] shut)
    {
        var open = new List<string>();
        foreach (var door in Doors(ids).Where(tried))
        {
            var body = door.Path.EndsWith("/groups/proposal", StringComparison.Ordinal) ? new { groups = 1, smallest = 1, largest = 9 } : Body(ids);
            var response = await person.Send(door.Method, door.Path, door.Method == HttpMethod.Get || door.Method == HttpMethod.Delete ? null : body);
            if (!shut.Contains((int)response.StatusCode)) open.Add($"{door.Method} {door.Path}: {(int)response.StatusCode}");
        }
        return open;
    }

    private static bool OfAClass(Door d) => !d.Anonymous && !d.Path.EndsWith("/api/classes", StringComparison.Ordinal) && !d.Path.StartsWith("/api/texts", StringComparison.Ordinal) && !d.Path.EndsWith("/level-chart", StringComparison.Ordinal);

    [Fact]
    public async Task There_are_doors_to_try() => Doors(await Ids()).Count(d => !d.Anonymous).ShouldBeGreaterThan(25);

    [Fact]
    public async Task Nobody_gets_in_anywhere() => (await Opened(new Person(harness), await Ids(), d => !d.Anonymous, 401)).ShouldBeEmpty();

    [Fact]
    public async Task A_reader_gets_only_their_own_work()
    {
        var ana = await harness.Teacher("ana");
        var stranger = await harness.Reader(await harness.Room(ana, 1), 0);
        (await Opened(stranger, await Ids(), d => !d.Anonymous && d.Path != "/api/my/tickets", 404)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_teacher_of_another_school_finds_nothing() => (await Opened(await harness.Teacher("cleo"), await Ids(), OfAClass, 404)).ShouldBeEmpty();

    [Fact]
    public async Task A_teacher_of_the_same_school_finds_nothing_of_a_class_that_is_not_theirs() => (await Opened(await harness.Teacher("ben"), await Ids(), OfAClass, 404)).ShouldBeEmpty();

    [Fact]
    public async Task A_change_without_its_token_is_refused()
    {
        var ana = await harness.Teacher("ana");
        ((string)(await ana.Problem(await ana.Send(HttpMethod.Post, "/api/classes", new { name = "X" }, token: false), 400))["code"]!).ShouldBe("stale-page");
    }

    [Fact]
    public async Task What_does_not_exist_is_not_found()
    {
        var ana = await harness.Teacher("ana");
        foreach (var path in new[] { $"/api/classes/{Guid.NewGuid()}", $"/api/readers/{Guid.NewGuid()}", $"/api/tickets/{Guid.NewGuid()}", $"/api/texts/{Guid.NewGuid()}", "/api/nothing" })
            ((string)(await ana.Problem(await ana.Send(HttpMethod.Get, path), 404))["code"]!).ShouldBe("not-found");
    }
}
