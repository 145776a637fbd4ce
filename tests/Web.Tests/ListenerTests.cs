using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using System.Text.Json.Nodes;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Listener;
using Microsoft.AspNetCore.Builder;

namespace Web.Tests;

/// <summary>The simulated listening device, over HTTP, in all its moods.</summary>
public sealed class ListenerTests : IAsyncLifetime
{
    private const string Text = "The keeper lit the lamp. Far out a ship turned its bow towards the harbour.";
    private readonly string known = Directory.CreateTempSubdirectory("deep-current-listener").FullName;
    private WebApplication? device;
    private HttpClient? http;

    public async Task InitializeAsync()
    {
        File.WriteAllText(
            Path.Combine(known, "mateo-lamp.json"),
            """[{"word":"the","start":0.1,"end":0.3},{"word":"lamp","start":0.4,"end":0.9}]"""
        );
        device = ListenerServer.Build(["--urls", "http://127.0.0.1:0", "--Listener:Known", known]);
        await device.StartAsync();
        http = new() { BaseAddress = new(device.Urls.First()) };
    }

    public async Task DisposeAsync()
    {
        http?.Dispose();
        if (device is not null)
            await device.DisposeAsync();
        Directory.Delete(known, recursive: true);
    }

    private Task<HttpResponseMessage> Listen(string text, string recording, object? traits = null) =>
        http!.PostAsJsonAsync(
            "/listen",
            new
            {
                text,
                recording,
                traits,
            }
        );

    private async Task<List<HeardWord>> Heard(string recording, object? traits = null) =>
        JsonNode
            .Parse(await (await Listen(Text, recording, traits)).Content.ReadAsStringAsync())!["words"]
            .Deserialize<List<HeardWord>>(JsonSerializerOptions.Web)!;

    [Fact]
    public async Task A_note_that_is_said_becomes_words_the_same_each_time_and_nothing_becomes_none()
    {
        async Task<string?> Dictated(byte[] sound, double seconds) =>
            (string?)
                JsonNode.Parse(
                    await (await http!.PostAsJsonAsync("/dictate", new { sound, seconds })).Content.ReadAsStringAsync()
                )!["words"];
        var said = await Dictated([1, 2, 3], 4);
        said.ShouldNotBeNullOrEmpty();
        (await Dictated([1, 2, 3], 4)).ShouldBe(said);
        (await Dictated([1, 2, 3], 12))!.Length.ShouldBeGreaterThan(said.Length);
        (await http!.PostAsJsonAsync("/dictate", new { sound = Array.Empty<byte>() })).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_recording_is_heard_the_same_way_each_time_in_order_of_time_and_can_be_aligned()
    {
        var first = await Heard("one");
        (await Heard("one")).ShouldBe(first);
        (await Heard("two")).ShouldNotBe(first);
        first.Zip(first.Skip(1)).ShouldAllBe(p => p.Second.Start >= p.First.End && p.First.End > p.First.Start);
        ReadingAligner.Align(Text, first).Figures.Accuracy.ShouldBeGreaterThan(.5);
    }

    [Fact]
    public async Task A_reader_s_traits_are_heard()
    {
        var slow = await Heard(
            "three",
            new
            {
                wordsPerMinute = 40,
                substitutions = 0,
                omissions = 0,
                insertions = 0,
                selfCorrections = 0,
                repetitions = 0,
                hesitations = 0,
                skippedLines = 0,
            }
        );
        var read = ReadingAligner.Align(Text, slow);
        (read.Figures.Errors, read.Figures.WordsCorrectPerMinute < 70).ShouldBe((0, true));
    }

    [Fact]
    public async Task A_known_recording_is_answered_with_what_was_prepared() =>
        (await Heard("mateo-lamp")).Select(w => w.Word).ShouldBe(["the", "lamp"]);

    [Theory]
    [InlineData("../mateo-lamp"), InlineData("/etc/passwd")]
    public async Task A_path_is_no_name_of_a_recording(string recording) =>
        (await Heard(recording)).Count.ShouldBeGreaterThan(5);

    [Fact]
    public async Task It_can_fail_talk_nonsense_and_refuse()
    {
        ((int)(await Listen(Text, "failing-1")).StatusCode).ShouldBe(500);
        var nonsense = await (await Listen(Text, "nonsense-1")).Content.ReadAsStringAsync();
        Should.Throw<JsonException>(() => JsonNode.Parse(nonsense));
        ((int)(await Listen(" ", "one")).StatusCode).ShouldBe(422);
        ((int)(await Listen(new string('a', 100_001), "one")).StatusCode).ShouldBe(422);
    }
}
