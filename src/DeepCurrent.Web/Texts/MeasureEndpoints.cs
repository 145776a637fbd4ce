using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Content;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

/// <param name="SentenceLength">What if sentences were this many times as long.</param>
/// <param name="Unfamiliar">What if there were this many times as many unfamiliar words.</param>
/// <param name="Taught">Keys of the letter–sound patterns taught so far; the answer then says which words of an early
/// text break them.</param>
public sealed record MeasureRequest(
    string Text,
    double? SentenceLength,
    double? Unfamiliar,
    IReadOnlyList<string>? Taught = null
);

public sealed record RemarkView(TextDoubt Doubt, bool Stops, Message Sentence);

public sealed record PatternUseView(string Key, string Name, int Times, IReadOnlyList<string> Words);

/// <param name="Measure">Null where the text cannot be measured; the remarks say why.</param>
/// <param name="Why">Places are in <paramref name="Plain"/>, the text without marks and headings.</param>
/// <param name="IfChanged">Depth if it were changed as asked.</param>
public sealed record MeasuredView(
    Fathoms? Depth,
    double? DepthError,
    Message? LevelName,
    string Plain,
    MeasureView? Measure,
    TextWhy? Why,
    IReadOnlyList<RemarkView> Remarks,
    IReadOnlyList<PatternUseView> Patterns,
    IReadOnlyList<PatternBreak> Breaks,
    Fathoms? IfChanged
);

/// <summary>How deep words are that someone is writing.</summary>
public static class MeasureEndpoints
{
    public static void Map(RouteGroupBuilder api) =>
        api.MapPost("/texts/measure", Measure)
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(OwnTextEndpoints.LargestText));

    private static async Task<MeasuredView> Measure(MeasureRequest request, Desk desk)
    {
        desk.Library();
        var text = request.Text ?? "";
        if (text.Length > OwnTextRequests.LongestBody)
            throw Refused.Field("text", $"Use {OwnTextRequests.LongestBody} letters or fewer.");
        var plain = new VersionFile("", 0, text).Prose;
        var remarks = TextSense.Remarks(plain).Select(r => new RemarkView(r.Doubt, r.Stops, r.Sentence)).ToList();
        if (remarks.Exists(r => r.Stops))
            return new(null, null, null, plain, null, null, remarks, [], [], null);
        var school = await desk.School();
        var m = TextMeasurer.Measure(plain);
        var changed = WhatIf(request, plain);
        var patterns =
            m.Depth.Value > LetterSounds.DeepestOfUse
                ? []
                : LetterSounds
                    .Uses(plain)
                    .Select(u => new PatternUseView(u.Pattern.Key, u.Pattern.Name, u.Times, u.Words))
                    .ToList();
        return new(
            m.Depth,
            m.DepthError,
            school.LevelName(m.Depth),
            plain,
            TextMeasuring.View(plain, m),
            TextReasons.Explain(plain),
            remarks,
            patterns,
            patterns.Count == 0 || request.Taught is not { Count: > 0 } taught
                ? []
                : LetterSounds.Breaks(plain, LetterSounds.All.Select(p => p.Key).Intersect(taught).ToHashSet()),
            changed
        );
    }

    /// <summary>The depth with other sentences or other words, where that is asked.</summary>
    private static Fathoms? WhatIf(MeasureRequest request, string plain)
    {
        if (request.SentenceLength is null && request.Unfamiliar is null)
            return null;
        var (sentences, unfamiliar) = (request.SentenceLength ?? 1, request.Unfamiliar ?? 1);
        new Faults()
            .If(!(sentences is >= 0.25 and <= 4), "sentenceLength", $"Enter 0.25 to 4.")
            .If(!(unfamiliar is >= 0 and <= 4), "unfamiliar", $"Enter 0 to 4.")
            .Refuse();
        return TextReasons.WhatIf(TextCounter.Count(plain), sentences, unfamiliar);
    }
}
