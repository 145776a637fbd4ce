namespace DeepCurrent.Core.Signals;

/// <summary>What the data say a teacher should look at, the gravest first.</summary>
public enum SignalKind
{
    /// <summary>Three texts in a row far below the forecast, or beyond reach and not understood.</summary>
    OutOfDepth,

    /// <summary>Nothing read for school days on end, or ever.</summary>
    NothingRead,

    /// <summary>The last text was open far too short to be read.</summary>
    FlickedThrough,

    /// <summary>Answers faster than the questions can be read.</summary>
    TooFast,

    /// <summary>A strand is missed again after its feedback was read.</summary>
    SameStrandMissed,

    /// <summary>Deeper, back, deeper, back, and no progress.</summary>
    BackAndForth,

    /// <summary>A goal of the term is out of sight.</summary>
    UnlikelyGoal,

    /// <summary>Results with misses that the reader has not looked at.</summary>
    FeedbackUnread,

    /// <summary>A level check and the level from reading say different things.</summary>
    CheckDisagrees,

    /// <summary>Most of a class missed one question.</summary>
    QuestionMissed,

    /// <summary>Above the forecast, text after text.</summary>
    ReadyToMoveDeeper,

    /// <summary>The level rests on too little.</summary>
    ThinEvidence,
}
