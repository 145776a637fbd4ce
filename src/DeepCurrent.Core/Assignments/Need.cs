namespace DeepCurrent.Core.Assignments;

/// <summary>How much it is wanted that an assignment is done.</summary>
public enum Need
{
    Required,

    /// <summary>Seen once a reader has handed in everything required.</summary>
    Extra,

    /// <summary>Never due and never late.</summary>
    Recommended,
}

/// <summary>When readers see how it went.</summary>
public enum ResultsShown
{
    /// <summary>As soon as it is scored whole.</summary>
    AtOnce,
    WhenReleased,
}

/// <summary>Where an assignment is to be done.</summary>
public enum WorkPlace
{
    Anywhere,
    AtSchool,
    AtHome,
}
