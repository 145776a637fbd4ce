using DeepCurrent.Core.Tickets;

namespace DeepCurrent.Data.Tickets;

/// <summary>Ticket states as the database has them, and sets of them as lists for a query: made from the enum and its
/// rules, so that none can be misspelt or forgotten.</summary>
internal static class TicketStates
{
    public const string Waiting = $"'{nameof(TicketState.Waiting)}'",
        UnderWay = $"'{nameof(TicketState.UnderWay)}'",
        Released = $"'{nameof(TicketState.Released)}'",
        Withdrawn = $"'{nameof(TicketState.Withdrawn)}'";

    /// <summary>Those a reader sees.</summary>
    public static readonly string Seen = List(TicketLife.Seen);

    /// <summary>Those that wait for a person.</summary>
    public static readonly string AtMarking = List(TicketLife.AtMarking);

    /// <summary>The states from which a step leads on, for <c>= any(@from)</c>.</summary>
    public static string[] From(TicketStep step) => [.. TicketLife.From(step).Select(s => s.ToString())];

    private static string List(Func<TicketState, bool> which) =>
        string.Join(", ", Enum.GetValues<TicketState>().Where(which).Select(s => $"'{s}'"));
}
