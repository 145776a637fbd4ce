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

/// <summary>Where an assignment is to be done.</summary>
public enum WorkPlace
{
    Anywhere,
    AtSchool,
    AtHome,
}
