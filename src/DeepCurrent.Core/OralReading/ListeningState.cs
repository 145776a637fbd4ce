namespace DeepCurrent.Core.OralReading;

/// <summary>How far the listening device is with a recording.</summary>
public enum ListeningState
{
    Waiting,
    Listening,
    Heard,
    Failed,
}
