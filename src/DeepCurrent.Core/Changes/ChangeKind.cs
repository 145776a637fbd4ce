namespace DeepCurrent.Core.Changes;

/// <summary>What kind of thing was done, which says how it is taken back.</summary>
public enum ChangeKind
{
    /// <summary>Something on the roster, as steps.</summary>
    Roster,

    /// <summary>Two readers were one.</summary>
    Merged,

    /// <summary>A reader went from school to school.</summary>
    Transferred,

    /// <summary>Texts were given.</summary>
    Assigned,

    /// <summary>Texts were given, or drafted, in several classes at once.</summary>
    AssignedInClasses,

    /// <summary>Drafts were given to their readers.</summary>
    DraftsGiven,

    /// <summary>Drafts were made, of texts or of a week.</summary>
    Drafted,

    /// <summary>A draft was thrown away.</summary>
    DraftDiscarded,

    /// <summary>When, or with which directions, something was assigned.</summary>
    AssignmentChanged,

    /// <summary>Tickets were taken back, brought back, sent back or given again.</summary>
    Tickets,

    /// <summary>Readers got another last day for what they still have.</summary>
    OwnDay,

    /// <summary>Readers were reminded.</summary>
    Reminded,

    /// <summary>A reader got another version of a text that was out.</summary>
    VersionChanged,

    /// <summary>Another text took the place of an assigned one.</summary>
    TextSwapped,

    /// <summary>Goals were set.</summary>
    Goals,

    /// <summary>A goal that was just missed was called met.</summary>
    GoalMet,

    /// <summary>Groups were formed.</summary>
    Groups,

    /// <summary>A level check was given.</summary>
    CheckGiven,

    /// <summary>Parts of a level check were given again.</summary>
    CheckAgain,

    /// <summary>A level check was taken back from some.</summary>
    CheckTakenBack,

    /// <summary>A faulty question was taken out, or its key changed.</summary>
    QuestionCorrected,

    /// <summary>Results from elsewhere were typed.</summary>
    ResultsTyped,

    /// <summary>Evidence was left out or stated, or a level was set or ended.</summary>
    Evidence,
}
