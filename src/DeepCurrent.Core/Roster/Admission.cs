namespace DeepCurrent.Core.Roster;

/// <summary>Takes somebody in as a reader of the school: the one place where a reader begins, whichever way they
/// came.</summary>
public static class Admission
{
    /// <param name="grade">0 (kindergarten) to 12.</param>
    /// <param name="id">An id that was made elsewhere; null for a new one.</param>
    /// <returns>The reader, with a user name that is free and a secret that fits the grade; nothing else is known of
    /// them yet.</returns>
    public static RosterReader Of(Makers makers, string given, string family, int grade, ReaderId? id = null)
    {
        var (kind, secret) = makers.Secret(grade);
        return new()
        {
            Id = id ?? makers.New<ReaderId>(),
            SourceId = null,
            GivenName = given,
            FamilyName = family,
            UserName = makers.ReaderName(given, family),
            Grade = grade,
            GuardianMail = null,
            SecretKind = kind,
            Secret = secret,
            Supports = Supports.None,
            Left = false,
        };
    }
}
