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

    /// <summary>Goals were set.</summary>
    Goals,

    /// <summary>Groups were formed.</summary>
    Groups,

    /// <summary>A level check was given.</summary>
    CheckGiven,

    /// <summary>Parts of a level check were given again.</summary>
    CheckAgain,

    /// <summary>A level check was taken back from some.</summary>
    CheckTakenBack,

    /// <summary>Evidence was left out or stated, or a level was set or ended.</summary>
    Evidence,
}
