using DeepCurrent.Core.Signals;

namespace DeepCurrent.Data.Signals;

/// <summary>States and ends of signals, as queries write them.</summary>
internal static class SignalStates
{
    public const string New = $"'{nameof(SignalState.New)}'",
        Done = $"'{nameof(SignalState.Done)}'",
        EndedAsDone = $"'{nameof(SignalEnd.Done)}'";
}
