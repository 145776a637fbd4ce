using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Answers as a reader's page sends them.</summary>
internal static class Answering
{
    /// <summary>An answer of the right shape to a question of any kind; not always a right one.</summary>
    public static object To(JsonNode question, DateTimeOffset at) =>
        new
        {
            questionId = (string)question["id"]!,
            at,
            milliseconds = 30_000,
            words = (string)question["kind"]! is "Short" or "Long" ? "Because the tide was out." : "",
            picks = (string)question["kind"]! switch
            {
                "Order" or "Match" => Enumerable.Range(0, question["choices"]!.AsArray().Count).ToArray(),
                "Multiple" => [.. Enumerable.Range(0, (int)question["wanted"]!)],
                "Short" or "Long" => [],
                _ => new[] { 0 },
            },
        };

    /// <summary>Answers every question of a ticket's quiz and hands in.</summary>
    public static async Task HandIn(Person reader, string ticket)
    {
        var work = await reader.Get($"/api/my/tickets/{ticket}");
        foreach (var q in work["questions"]!.AsArray())
        {
            var taken = await reader.Put(
                $"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}",
                To(q!, DateTimeOffset.UtcNow)
            );
            taken.IsSuccessStatusCode.ShouldBeTrue($"{q} {await taken.Content.ReadAsStringAsync()}");
        }
        (
            await reader.Post($"/api/my/tickets/{ticket}/hand-in", new { at = DateTimeOffset.UtcNow })
        ).EnsureSuccessStatusCode();
    }

    /// <summary>Opens every page of a ticket's text for so long.</summary>
    public static async Task ReadPages(Person reader, string ticket, double seconds = 50)
    {
        var pages = (await reader.Get($"/api/my/tickets/{ticket}"))["pages"]!.AsArray().Count;
        for (var page = 0; page < pages; page++)
            (
                await reader.Put(
                    $"/api/my/tickets/{ticket}/spells/{Guid.NewGuid()}",
                    new
                    {
                        page,
                        seconds,
                        startedAt = DateTimeOffset.UtcNow,
                    }
                )
            ).EnsureSuccessStatusCode();
    }

    /// <summary>A text of the library whose quiz has a question of a kind.</summary>
    public static async Task<string> TextWith(Person teacher, string kind)
    {
        foreach (var row in (await teacher.Get("/api/library?count=60"))["rows"]!.AsArray())
        {
            var quiz = await teacher.Get($"/api/texts/{(string)row!["id"]!}/quiz");
            if (quiz["questions"]!.AsArray().Any(q => (string)q!["kind"]! == kind && q["after"] is null))
                return (string)row["id"]!;
        }
        throw new InvalidOperationException($"No text has a {kind} question.");
    }

    /// <summary>Answers the first short written question of a ticket.</summary>
    public static async Task Write(Person reader, string ticket, string words)
    {
        var work = await reader.Get($"/api/my/tickets/{ticket}");
        var question = work["questions"]!.AsArray().First(q => (string)q!["kind"]! == "Short")!;
        await reader.Stored(
            $"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}",
            new
            {
                questionId = (string)question["id"]!,
                picks = Array.Empty<int>(),
                words,
                at = DateTimeOffset.UtcNow,
                milliseconds = 9000,
            }
        );
    }
}
