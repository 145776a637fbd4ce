using System.Net;
using System.Text.Json.Nodes;
using DeepCurrent.Data.Voices;
using DeepCurrent.Voice;
using DeepCurrent.Web.Voices;
using Microsoft.Extensions.DependencyInjection;

namespace Web.Tests;

/// <summary>The voice that ships: sound, the time of each word, and what is kept of it.</summary>
[Collection("application")]
public sealed class VoiceTests(Harness harness)
{
    private const double Nearest = 0.08;

    [Fact]
    public void Every_word_has_its_place_and_its_time()
    {
        const string text = "The mill waits. “We never hurry,” she says.";
        var said = Speech.Say(text, "en-gb", 130);
        said.Words.Select(w => text[w.At..].Split(' ', '.', ',')[0].Trim('“', '”'))
            .ShouldBe(
                ["The", "mill", "waits", "We", "never", "hurry", "she", "says"],
                "each word begins where it stands"
            );
        said.Words.Zip(said.Words.Skip(1)).ShouldAllBe(p => p.First.Start < p.Second.Start);
        var seconds = said.Samples.Length / (double)said.Rate;
        said.Words[^1].Start.ShouldBeInRange(0, seconds);
        seconds.ShouldBeInRange(2, 8);
    }

    /// <summary>Between sentences the voice is silent, so that where a sentence begins can be heard in the sound
    /// itself.</summary>
    [Fact]
    public void A_word_is_marked_when_it_is_heard()
    {
        var said = Speech.Say("Boats. Gulls. Kelp. Doors. Pans. Two. Dogs. Barley.", "en-gb", 110);
        var heard = Onsets(said);
        said.Words.Count.ShouldBe(8);
        foreach (var word in said.Words)
            heard.Min(at => Math.Abs(at - word.Start)).ShouldBeLessThan(Nearest, $"the word at {word.At}");
    }

    /// <summary>Within a sentence no silence shows where a word begins. The same words at another speed do: their sounds
    /// are aligned, and a word must begin in one where it begins in the other.</summary>
    [Theory]
    [InlineData("The mill waits for the tide, and the miller drinks her tea beside the pond.")]
    [InlineData("Two cousins write letters about the sea that one of them has never seen.")]
    [InlineData("If you want to find crabs and pools far down the beach, look up at night.")]
    [InlineData("Everybody saw the goal, but only one person had seen the hand before it.")]
    public void Words_within_a_sentence_are_marked_where_they_sound(string text)
    {
        var (slow, quick) = (Speech.Say(text, "en-gb", 100), Speech.Say(text, "en-gb", 150));
        var aligned = new SoundAligner(slow, quick);
        slow.Words.Count.ShouldBe(quick.Words.Count);
        var away = slow.Words.Zip(quick.Words, (s, q) => Math.Abs(aligned.At(s.Start) - q.Start)).ToList();
        away.Count(x => x > Nearest).ShouldBe(0, string.Join(' ', away.Select(x => $"{x:0.000}")));
    }

    /// <summary>Where sound begins after at least a tenth of a second of silence, in seconds.</summary>
    private static List<double> Onsets(Saying said)
    {
        var step = said.Rate / 200;
        var quiet = 20;
        var onsets = new List<double>();
        for (var i = 0; i + step <= said.Samples.Length; i += step)
        {
            var loud = said.Samples.AsSpan(i, step).ToArray().Max(s => Math.Abs((int)s)) > 400;
            if (loud && quiet >= 20)
                onsets.Add(i / (double)said.Rate);
            quiet = loud ? 0 : quiet + 1;
        }

        return onsets;
    }

    [Fact]
    public async Task A_reader_hears_a_line_and_it_is_said_only_once()
    {
        var ana = await harness.Teacher("ana");
        var leo = await harness.Reader(await harness.Room(ana, 1), 0);
        ((bool)(await leo.Get("/api/session"))["voice"]!).ShouldBeTrue();
        var text = $"The tide turns at {Guid.NewGuid():N}.";
        var first = await leo.Posted("/api/voice", new { text, language = "English" });
        var again = await ana.Posted("/api/voice", new { text, language = "English" });
        ((string)again["key"]!).ShouldBe((string)first["key"]!);
        first["words"]!.AsArray().Count.ShouldBeGreaterThan(4);
        var sound = await leo.Raw($"/api/voice/{(string)first["key"]!}");
        sound.Length.ShouldBeGreaterThan(4000);
        (sound[0] == 0xFF || sound.AsSpan(0, 3).SequenceEqual("ID3"u8)).ShouldBeTrue("it is an MP3");
        var spanish = await leo.Posted("/api/voice", new { text, language = "Spanish" });
        ((string)spanish["key"]!).ShouldNotBe((string)first["key"]!);
    }

    [Fact]
    public async Task Nothing_and_too_much_are_not_said_and_nobody_from_outside_is_heard()
    {
        var ana = await harness.Teacher("ana");
        foreach (var text in new[] { " ", new string('a', 6001) })
            (await ana.Post("/api/voice", new { text, language = "English" })).StatusCode.ShouldBe(
                HttpStatusCode.UnprocessableEntity
            );
        (await ana.Send(HttpMethod.Get, $"/api/voice/{new string('0', 64)}")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        (
            await new Person(harness).Post("/api/voice", new { text = "Hello", language = "English" })
        ).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
        JsonNode what = (await ana.Posted("/api/voice", new { text = "🐟 !!! ﷽", language = "English" }))["words"]!;
        what.AsArray().Count.ShouldBeLessThan(10, "what nobody can say is no fault");
    }

    [Fact]
    public async Task A_voice_that_fails_is_said_to_be_away_and_nothing_of_it_is_kept()
    {
        await using var failing = VoiceServer.Build(["--urls", "http://127.0.0.1:0", "--Voice:Mood", "failing"]);
        await failing.StartAsync();
        var store = harness.Services.GetRequiredService<SpokenStore>();
        using var http = new HttpClient();
        foreach (var address in new[] { failing.Urls.First(), "http://127.0.0.1:9" })
        {
            var settings = new VoiceSettings(address, Seconds: 3);
            var speaker = new Speaker(new HttpVoice(settings, http), settings, store, TimeProvider.System);
            await Should.ThrowAsync<NotSaid>(() => speaker.Say("Low water", "en-GB", CancellationToken.None));
            (await store.Words(speaker.KeyOf("Low water", "en-GB"))).ShouldBeNull();
        }
    }

    [Fact]
    public async Task Every_page_of_every_text_is_said_beforehand_and_it_goes_on_where_it_stopped()
    {
        var store = harness.Services.GetRequiredService<SpokenStore>();
        var counting = new CountingVoice();
        var settings = new VoiceSettings("here");
        var speaker = new Speaker(counting, settings, store, TimeProvider.System);
        var work = new VoicesAhead(speaker, settings, store);
        (await work.Do(CancellationToken.None)).ShouldBeTrue();
        var first = counting.Said.ToList();
        first.Count.ShouldBeGreaterThan(0);
        (await work.Do(CancellationToken.None)).ShouldBeTrue();
        counting.Said.Skip(first.Count).Intersect(first).ShouldBeEmpty("what is there is not said again");
    }

    private sealed class CountingVoice : IVoice
    {
        public List<string> Said { get; } = [];

        public bool Ready => true;

        public Task<(Sound Sound, IReadOnlyList<DeepCurrent.Core.Readings.SpokenWord> Words)> Say(
            string text,
            string language,
            CancellationToken stop
        )
        {
            Said.Add(text);
            return Task.FromResult<(Sound, IReadOnlyList<DeepCurrent.Core.Readings.SpokenWord>)>(
                (new("audio/mpeg", [1]), [new(0, 0)])
            );
        }
    }
}
