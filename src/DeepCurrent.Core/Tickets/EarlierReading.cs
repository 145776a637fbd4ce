namespace DeepCurrent.Core.Tickets;

/// <summary>How a reader had a text before it is given again.</summary>
public enum EarlierReading
{
    Given,
    UnderWay,
    Read,
    InLevelCheck,
}

public static class EarlierReadings
{
    /// <param name="state">Of the reader's ticket.</param>
    public static EarlierReading Of(TicketState state) =>
        TicketLife.Done(state) ? EarlierReading.Read
        : state is TicketState.UnderWay ? EarlierReading.UnderWay
        : EarlierReading.Given;
}
