using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using DeepCurrent.Core.Messages;
using Shouldly;

namespace Web.Tests;

/// <summary>The catalogue has every sentence the server says, and none that it does not; what readers and guardians can
/// meet is there in each language. <c>DEEPCURRENT_KEEP_SENTENCES=1</c> writes down what is new.</summary>
public sealed class CatalogueTests
{
    private const string Server = "server";

    private static readonly JsonSerializerOptions Written = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        NewLine = "\n",
    };

    /// <summary>Where readers and guardians are answered.</summary>
    private static readonly string[] Theirs =
    [
        "DeepCurrent.Core.Messages.",
        "DeepCurrent.Core.Depth.LevelLabels",
        "DeepCurrent.Core.Questions.Scoring",
        "DeepCurrent.Formats.Print.LetterWords",
        "DeepCurrent.Formats.Print.LetterPrint",
        "DeepCurrent.Web.Guardians.",
        "DeepCurrent.Web.SignIn.",
        "DeepCurrent.Web.Hosting.",
        "DeepCurrent.Web.Choosing.",
        "DeepCurrent.Web.Tickets.My",
        "DeepCurrent.Web.LevelChecks.MyCheck",
        "DeepCurrent.Web.Roster.JoinEndpoints",
        "DeepCurrent.Web.OralReading.MyRecordings",
    ];

    private static readonly IReadOnlyList<SaidMessages.Said> All = SaidMessages.In(
        typeof(Message).Assembly,
        typeof(DeepCurrent.Formats.Unreadable).Assembly,
        typeof(DeepCurrent.Data.Storage.Database).Assembly,
        typeof(DeepCurrent.Demo.DemoWorld).Assembly,
        typeof(DeepCurrent.Web.Hosting.Application).Assembly
    );

    private static string FileOf(string code)
    {
        var at = AppContext.BaseDirectory;
        while (!Directory.Exists(Path.Combine(at, "languages")))
            at = Path.GetDirectoryName(at)!;
        return Path.Combine(at, "languages", $"{code}.json");
    }

    private static JsonObject Sentences(string code) =>
        JsonNode.Parse(File.ReadAllText(FileOf(code)))![Server]!.AsObject();

    private static IEnumerable<string> Entries(string key) =>
        key.Contains("{{count}}") ? [$"{key}_one", $"{key}_other"] : [key];

    [Fact]
    public void Every_sentence_of_the_server_is_in_the_catalogue_and_no_other()
    {
        var said = All.SelectMany(s => Entries(s.Key)).Distinct().ToList();
        if (Environment.GetEnvironmentVariable("DEEPCURRENT_KEEP_SENTENCES") == "1")
            Keep(said);
        var known = Sentences("en").Select(s => s.Key).ToList();
        said.Except(known).ShouldBeEmpty();
        known.Except(said).Except(Formats).ShouldBeEmpty();
    }

    /// <summary>How a language writes numbers and the months: said by no sentence.</summary>
    private static readonly string[] Formats =
    [
        "12,345.6",
        "1,234",
        "24 November 2026",
        "24 November, 14:05",
        .. System.Globalization.CultureInfo.InvariantCulture.DateTimeFormat.MonthNames.Where(m => m.Length > 0),
    ];

    [Fact]
    public void What_readers_and_guardians_meet_is_there_in_every_language()
    {
        var theirs = All.Where(s => Theirs.Any(t => s.Type.StartsWith(t, StringComparison.Ordinal)))
            .SelectMany(s => Entries(s.Key))
            .Concat(Formats)
            .Distinct()
            .ToList();
        theirs.Count.ShouldBeGreaterThan(80);
        foreach (var language in Enum.GetValues<Language>().Except([Language.English]))
            theirs.Except(Sentences(language.Code()).Select(s => s.Key)).ShouldBeEmpty($"{language}");
    }

    [Fact]
    public void A_translation_has_the_values_of_its_sentence()
    {
        foreach (var language in Enum.GetValues<Language>())
        foreach (var (key, text) in Sentences(language.Code()))
        {
            var holes = Holes(key).Order().ToList();
            var mine = Holes(text!.GetValue<string>()).Order().ToList();
            // One may be said without its number.
            if (key.EndsWith("_one", StringComparison.Ordinal))
                mine.Except(holes).ShouldBeEmpty(key);
            else
                mine.ShouldBe(holes, key);
        }
    }

    private static IEnumerable<string> Holes(string text) =>
        System.Text.RegularExpressions.Regex.Matches(text, @"\{\{?\w+\}\}?").Select(m => m.Value);

    private static void Keep(List<string> said)
    {
        var file = JsonNode.Parse(File.ReadAllText(FileOf("en")))!.AsObject();
        var before = file[Server]?.AsObject() ?? [];
        var now = new JsonObject();
        foreach (var key in said.Concat(Formats).Distinct().Order(StringComparer.Ordinal))
            now[key] = before[key]?.DeepClone() ?? key.Replace("_one", "").Replace("_other", "");
        file[Server] = now;
        File.WriteAllText(FileOf("en"), file.ToJsonString(Written) + "\n");
    }
}
