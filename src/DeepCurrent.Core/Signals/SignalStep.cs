namespace DeepCurrent.Core.Signals;

/// <summary>What to do about a signal, in one press.</summary>
public enum SignalStep
{
    /// <summary>Find texts for the reader, easier or deeper ones.</summary>
    FindTexts,

    /// <summary>Give the same text again.</summary>
    GiveAgain,

    /// <summary>Put the reader into the tray, to be taught with others.</summary>
    AddToTray,

    StartRecord,
    ChangeGoal,

    /// <summary>Go through what was missed, with the reader.</summary>
    GoThrough,

    /// <summary>Give the check's passages again, so that it can be seen which of the two is right.</summary>
    GivePassages,

    /// <summary>Open the question in the results.</summary>
    OpenQuestion,
}

/// <summary>Which step each kind of signal suggests.</summary>
public static class SignalSteps
{
    public static SignalStep Of(SignalKind kind) =>
        kind switch
        {
            SignalKind.OutOfDepth or SignalKind.NothingRead or SignalKind.ReadyToMoveDeeper => SignalStep.FindTexts,
            SignalKind.FlickedThrough or SignalKind.TooFast => SignalStep.GiveAgain,
            SignalKind.SameStrandMissed => SignalStep.AddToTray,
            SignalKind.BackAndForth or SignalKind.ThinEvidence => SignalStep.StartRecord,
            SignalKind.UnlikelyGoal => SignalStep.ChangeGoal,
            SignalKind.FeedbackUnread => SignalStep.GoThrough,
            SignalKind.CheckDisagrees => SignalStep.GivePassages,
            SignalKind.QuestionMissed => SignalStep.OpenQuestion,
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "There is no such kind of signal."),
        };
}
