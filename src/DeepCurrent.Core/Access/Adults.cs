namespace DeepCurrent.Core.Access;

/// <summary>What an adult is to the school.</summary>
public enum AdultKind
{
    Staff,
    Guardian,
}

/// <summary>What a one-time link is for.</summary>
public enum PassPurpose
{
    /// <summary>Choosing a first password.</summary>
    Invitation,

    /// <summary>Choosing another password.</summary>
    Reset,

    /// <summary>Saying that an address is one's own.</summary>
    Confirmation,
}

/// <summary>What happened at the door.</summary>
public enum SignInEvent
{
    SignedIn,
    Failed,
    Locked,

    /// <summary>Somebody is guessing the secrets of a class.</summary>
    Guessing,
    SignedOut,
}

/// <summary>What was looked at, taken out or deleted.</summary>
public enum LookKind
{
    ReaderSeen,
    RosterExported,
    RecordExported,
    GradebookExported,
    CardsPrinted,
    ListPrinted,
    LettersPrinted,
    LettersMailed,
    ReaderDeleted,
}
