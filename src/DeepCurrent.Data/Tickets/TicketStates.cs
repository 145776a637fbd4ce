using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.Tickets;

/// <summary>Ticket states as the database has them, and sets of them as lists for a query: made from the enum and its
/// rules, so that none can be misspelt or forgotten.</summary>
internal static class TicketStates
{
    public const string Planned = $"'{nameof(TicketState.Planned)}'",
        Waiting = $"'{nameof(TicketState.Waiting)}'",
        UnderWay = $"'{nameof(TicketState.UnderWay)}'",
        SentBack = $"'{nameof(TicketState.SentBack)}'",
        Marked = $"'{nameof(TicketState.Marked)}'",
        Released = $"'{nameof(TicketState.Released)}'",
        TakenBack = $"'{nameof(TicketState.TakenBack)}'",
        Closed = $"'{nameof(TicketState.Closed)}'";

    /// <summary>Those a reader sees.</summary>
    public static readonly string Seen = Members.Where<TicketState>(TicketLife.Seen);

    /// <summary>Those that are handed in and count.</summary>
    public static readonly string Done = Members.Where<TicketState>(TicketLife.Done);

    /// <summary>Those in which a reader may read and answer, for <c>= any(@open)</c>.</summary>
    public static readonly string[] Open =
    [
        .. Enum.GetValues<TicketState>().Where(TicketLife.Open).Select(s => s.ToString()),
    ];

    /// <summary>Those in which something is still to be done by its reader, now or from a day on.</summary>
    public static readonly string[] Waits = [.. Open, nameof(TicketState.Planned)];

    /// <summary>Those that wait for a person.</summary>
    public static readonly string AtMarking = Members.Where<TicketState>(TicketLife.AtMarking);

    /// <summary>The states from which a step leads on, for <c>= any(@from)</c>.</summary>
    public static string[] From(TicketStep step) => [.. TicketLife.From(step).Select(s => s.ToString())];
}
