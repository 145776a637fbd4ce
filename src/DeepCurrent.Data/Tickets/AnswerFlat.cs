using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;

namespace DeepCurrent.Data.Tickets;

internal sealed record AnswerFlat
{
    public required AnswerId Id { get; init; }

    public required QuestionId QuestionId { get; init; }

    public required int Attempt { get; init; }

    public required string Response { get; init; }

    public required bool? Correct { get; init; }

    public required DateTimeOffset At { get; init; }

    public required int Milliseconds { get; init; }

    public required bool TooFast { get; init; }

    public required GivenMark? Mark { get; init; }

    public required string Comment { get; init; }

    public required DateTimeOffset ReceivedAt { get; init; }

    public required int Round { get; init; }

    public required TicketId TicketId { get; init; }

    public AnswerRow Row() =>
        new(
            Id,
            QuestionId,
            Attempt,
            Database.FromJson<Response>(Response),
            Correct,
            At,
            Milliseconds,
            TooFast,
            Mark,
            Comment,
            ReceivedAt,
            Round
        );
}
