using DeepCurrent.Core.KeptWords;
using DeepCurrent.Core.Messages;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.KeptWords;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.KeptWords;

/// <summary>A kept word as its reader has it.</summary>
/// <param name="AtHome">What it means in the language of the home; empty where nobody has said it, null where English is
/// spoken there.</param>
/// <param name="Steps">How often in a row it was known after a pause.</param>
/// <param name="Known">After every pause there is.</param>
/// <param name="Due">It is to be practised today.</param>
public sealed record MyKeptWord(
    string Text,
    string Meaning,
    string Example,
    string? Title,
    string? AtHome,
    int Steps,
    bool Known,
    bool Due,
    DateOnly DueOn
);

/// <param name="Steps">The most there are.</param>
/// <param name="AtOnce">Words in one practice, at most.</param>
public sealed record MyKeptWords(IReadOnlyList<MyKeptWord> Words, int Steps, int AtOnce);

/// <param name="TicketId">The text it is kept from; not needed for one that is let go.</param>
public sealed record KeepWordRequest(TicketId? TicketId, string? Text, bool Kept, DateTimeOffset At);

public sealed record TriesRequest(string? Text, IReadOnlyList<WordTry>? Tries);

/// <summary>Words that a reader keeps from texts, and practises a few at a time.</summary>
public static class KeptWordEndpoints
{
    private const int MostTries = 50;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/words", Mine);
        api.MapPut("/my/words/kept", Keep);
        api.MapPut("/my/words/tries", Try);
    }

    private static async Task<MyKeptWords> Mine(
        Desk desk,
        KeptWordStore words,
        RosterStore rosters,
        MeaningStore meanings
    )
    {
        var mine = await words.Of(desk.Self());
        var roster = await rosters.Reader(desk.Self(), desk.Who.SchoolId);
        var atHome = (
            await HomeWords.Of(
                [.. mine.Select(w => new Word(w.Text, w.Part, w.Meaning, w.Example))],
                Languages.Of(roster?.Details[ReaderDetail.HomeLanguage]),
                meanings
            )
        ).ToDictionary(w => w.Text, w => w.AtHome);
        var clock = await desk.Clock();
        var today = await desk.Today();
        MyKeptWord View(KeptWord w)
        {
            var at = Recall.After(clock.DayOf(w.KeptAt), w.Tries, clock.DayOf);
            return new(
                w.Text,
                w.Meaning,
                w.Example,
                w.Title,
                atHome[w.Text],
                at.Step,
                at.Known,
                at.Due(today),
                at.DueOn
            );
        }

        return new(
            [.. mine.Select(View).OrderBy(w => w.DueOn).ThenBy(w => w.Steps)],
            Recall.Pauses.Count,
            Recall.AtOnce
        );
    }

    private static async Task Keep(KeepWordRequest request, Desk desk, TicketStore tickets, KeptWordStore words)
    {
        var reader = desk.Self();
        var text = request.Text ?? "";
        if (!request.Kept)
            await words.LetGo(reader, text, desk.Given(request.At));
        else if (
            request.TicketId is not { } ticketId
            || await tickets.Find(ticketId, reader) is null
            || !await words.Keep(reader, ticketId, text, desk.Given(request.At))
        )
            throw Refused.NotFound();
    }

    private static async Task Try(TriesRequest request, Desk desk, KeptWordStore words)
    {
        var reader = desk.Self();
        if (request.Tries is not { Count: > 0 and <= MostTries } tries)
            throw Refused.Field("tries", $"Send 1 to {MostTries} tries at once.");
        if (!await words.Try(reader, request.Text ?? "", [.. tries.Select(t => t with { At = desk.Given(t.At) })]))
            throw Refused.NotFound();
    }
}
