using System.Text.Json;
using System.Text.Json.Nodes;

namespace DeepCurrent.Formats.Gradebooks;

/// <summary>Something a reader did, for whoever keeps learning records.</summary>
/// <param name="Id">Of the statement: the same whenever it is exported, so that it is kept once.</param>
/// <param name="Reader">Never a name.</param>
/// <param name="Activity">What it was done with, below the school's own address.</param>
/// <param name="Name">Of the activity.</param>
/// <param name="Parent">What the activity belongs to; null for none.</param>
/// <param name="Share">Score, 0 to 1; null for none.</param>
/// <param name="Success">Whether an answer was right; null where that is not said.</param>
/// <param name="Took">How long it took; null where nobody knows.</param>
public sealed record ReaderDeed(
    Guid Id,
    DeedKind Kind,
    string Reader,
    string Activity,
    string Name,
    string? Parent,
    double? Share,
    bool? Success,
    TimeSpan? Took,
    DateTimeOffset At
);

public enum DeedKind
{
    /// <summary>A text was read in full.</summary>
    Read,

    /// <summary>A task was handed in.</summary>
    HandedIn,

    /// <summary>A question was answered.</summary>
    Answered,
}

/// <summary>Readings and answers as xAPI statements.</summary>
/// <remarks>Advanced Distributed Learning, Experience API 1.0.3, part two; verbs and activity types of the ADL
/// vocabulary.</remarks>
public static class Xapi
{
    public const string Version = "1.0.3";

    private const string Verbs = "http://adlnet.gov/expapi/verbs/",
        Activities = "http://adlnet.gov/expapi/activities/";

    private static readonly Dictionary<DeedKind, (string Verb, string Activity)> Words = new()
    {
        [DeedKind.Read] = ("experienced", "media"),
        [DeedKind.HandedIn] = ("completed", "assessment"),
        [DeedKind.Answered] = ("answered", "question"),
    };

    /// <summary>A JSON array of statements, in the order given.</summary>
    /// <param name="home">The school's own address: an IRI without a slash at its end.</param>
    public static byte[] Write(string home, string language, IEnumerable<ReaderDeed> deeds) =>
        JsonSerializer.SerializeToUtf8Bytes(new JsonArray([.. deeds.Select(d => Statement(home, language, d))]));

    private static JsonObject Statement(string home, string language, ReaderDeed d)
    {
        var (verb, activity) = Words[d.Kind];
        var statement = new JsonObject
        {
            ["id"] = d.Id.ToString(),
            ["actor"] = new JsonObject
            {
                ["objectType"] = "Agent",
                ["account"] = new JsonObject { ["homePage"] = home, ["name"] = d.Reader },
            },
            ["verb"] = new JsonObject
            {
                ["id"] = Verbs + verb,
                ["display"] = new JsonObject { ["en"] = verb },
            },
            ["object"] = new JsonObject
            {
                ["objectType"] = "Activity",
                ["id"] = $"{home}/{d.Activity}",
                ["definition"] = new JsonObject
                {
                    ["type"] = Activities + activity,
                    ["name"] = new JsonObject { [language] = d.Name },
                },
            },
        };
        if (Result(d) is { Count: > 0 } result)
            statement["result"] = result;
        if (d.Parent is { } parent)
            statement["context"] = new JsonObject
            {
                ["contextActivities"] = new JsonObject
                {
                    ["parent"] = new JsonArray(
                        new JsonObject { ["objectType"] = "Activity", ["id"] = $"{home}/{parent}" }
                    ),
                },
            };
        statement["timestamp"] = d.At.ToUniversalTime().ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'");
        return statement;
    }

    private static JsonObject Result(ReaderDeed d)
    {
        var result = new JsonObject();
        if (d.Share is { } share)
            result["score"] = new JsonObject { ["scaled"] = Math.Round(share, 4) };
        if (d.Success is { } success)
            result["success"] = success;
        if (d.Kind is not DeedKind.Answered)
            result["completion"] = true;
        if (d.Took is { } took)
            result["duration"] = FormattableString.Invariant($"PT{Math.Max(0, took.TotalSeconds):0.##}S");
        return result;
    }
}
