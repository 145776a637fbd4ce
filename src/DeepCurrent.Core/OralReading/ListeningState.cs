namespace DeepCurrent.Core.OralReading;

/// <summary>How far the listening device is with a recording.</summary>
public enum ListeningState
{
    Waiting,
    Listening,
    Heard,
    Failed,
}

/// <summary>What follows from how far the device is.</summary>
public static class ListeningRules
{
    /// <summary>The device is through with the recording, and may be asked again.</summary>
    public static bool Over(this ListeningState state) => state is ListeningState.Heard or ListeningState.Failed;
}
