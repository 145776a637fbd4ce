using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Messages;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Texts;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;

namespace DeepCurrent.Web.Tickets;

/// <param name="AtHome">What it means in the language of the reader's home; empty where nobody has said it, null where
/// the home speaks no other.</param>
public sealed record MyWord(string Text, string Part, string Meaning, string Example, string? AtHome);

public sealed record MyWork
{
    public required TicketId Id { get; init; }

    public required TaskKind Kind { get; init; }

    public required string Title { get; init; }

    public required TextId TextId { get; init; }

    /// <summary>What the text's picture shows; null where it has none.</summary>
    public required string? Picture { get; init; }

    public required TicketState State { get; init; }

    public required int Attempts { get; init; }

    public required int Page { get; init; }

    public required string Directions { get; init; }

    public required string HomeDirections { get; init; }

    public required string HomeLanguage { get; init; }

    public required Fathoms Depth { get; init; }

    /// <summary>Empty where the quiz is done without the text.</summary>
    public required IReadOnlyList<IReadOnlyList<string>> Pages { get; init; }

    public required IReadOnlyList<MyWord> Words { get; init; }

    /// <summary>Of the quiz.</summary>
    public required IReadOnlyList<MyQuestion> Questions { get; init; }

    /// <summary>Between the paragraphs.</summary>
    public required IReadOnlyList<MyQuestion> OnTheWay { get; init; }

    /// <summary>Where a sentence is to be picked: the text, paragraph by paragraph, as sentences that are numbered in
    /// this order; a heading begins with # and has no number.</summary>
    public required IReadOnlyList<IReadOnlyList<string>> Sentences { get; init; }

    /// <summary>Somebody of the school has read it aloud.</summary>
    public required bool Sound { get; init; }

    /// <summary>To be read aloud and recorded.</summary>
    public required bool Aloud { get; init; }

    public required MyRecording? Recording { get; init; }

    /// <summary>What is done for the reader in this task.</summary>
    public required Supports Supports { get; init; }

    /// <summary>Others' written answers are seen when one has answered.</summary>
    public required bool Talk { get; init; }

    /// <summary>The reader may look for another version.</summary>
    public required bool MayChange { get; init; }
}

/// <summary>A ticket as its reader works on it: the text, its words and questions, without what is right.</summary>
public sealed class WorkSheet(
    TicketStore tickets,
    TextStore texts,
    TextPictureStore pictures,
    ReadingStore readings,
    RecordingStore recordings,
    MeaningStore meanings
)
{
    public async Task<MyWork> Of(OpenTicket ticket, SchoolId schoolId)
    {
        var body = await texts.Body(ticket.VersionId);
        var words = await HomeWords.Of(await texts.Words(ticket.TextId), Languages.Of(ticket.SpokenAtHome), meanings);
        var sheet = await QuestionSheet.Of(ticket, texts, tickets);
        var sentences = sheet.Questions.Any(q => q.Rules.PicksSentences) ? Scoring.ParagraphsOf(body.Pages) : [];
        return new()
        {
            Id = ticket.Id,
            Kind = ticket.Kind,
            Title = body.Title,
            TextId = ticket.TextId,
            Picture =
                ticket.Kind is TaskKind.Quiz
                    ? null
                    : (await pictures.Shown([ticket.TextId])).GetValueOrDefault(ticket.TextId),
            State = ticket.State,
            Attempts = ticket.Results is ResultsShown.WhenReleased ? 1 : ticket.Attempts,
            Page = ticket.Page,
            Directions = ticket.Directions,
            HomeDirections = ticket.HomeDirections,
            HomeLanguage = ticket.HomeLanguage,
            Depth = body.Depth,
            Pages = ticket.Kind is TaskKind.Quiz ? [] : body.Pages,
            Words = ticket.Kind is TaskKind.Quiz ? [] : words,
            Questions = [.. sheet.Questions.Where(q => !q.OnTheWay).Select(sheet.View)],
            OnTheWay = [.. sheet.Questions.Where(q => q.OnTheWay).Select(sheet.View)],
            Sentences = sentences,
            Sound =
                ticket.Kind is not TaskKind.Quiz
                && (await readings.Heard(ticket.TextId, schoolId)).Contains(ticket.VersionId),
            Aloud = ticket.Aloud || ticket.Kind is TaskKind.Recording,
            MayChange = ticket.MayChange && TicketLife.Open(ticket.State) && !sheet.Answered,
            Supports = ticket.Supports,
            Talk = ticket.Talk,
            Recording = await recordings.OfTicket(ticket.Id, ticket.ReaderId),
        };
    }
}
