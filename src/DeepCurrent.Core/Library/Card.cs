namespace DeepCurrent.Core.Library;

/// <summary>One version of a text as the library knows it.</summary>
/// <param name="Depth">The depth that counts, in fathoms: stated by a person, else from readers' answers and formulas
/// together.</param>
public sealed record CardVersion(VersionId Id, string Label, int Words, double Depth, double DepthError);

/// <summary>One text as the library knows it: enough to find it, and to say whom it fits.</summary>
/// <param name="Number">A small number of its own, by which a search names it.</param>
/// <param name="SchoolId">Null for texts that ship for all schools.</param>
/// <param name="OwnerId">Who made it; null for texts that ship.</param>
/// <param name="Mine">Only its owner sees it.</param>
/// <param name="HeardIn">Schools that have a reading of one of its versions, as sound.</param>
/// <param name="Patterns">Letter–sound patterns of its shallowest version, where that is for early readers.</param>
public sealed record Card(
    TextId Id,
    int Number,
    SchoolId? SchoolId,
    AdultId? OwnerId,
    bool Mine,
    bool Retired,
    string Title,
    string Kind,
    string Topic,
    bool Fiction,
    string Blurb,
    string Season,
    DateTimeOffset ChangedAt,
    int Questions,
    int Deck,
    IReadOnlyList<SchoolId> HeardIn,
    IReadOnlyList<string> Patterns,
    IReadOnlyList<CardVersion> Versions
)
{
    /// <summary>Whether somebody of a school sees it.</summary>
    public bool SeenBy(SchoolId schoolId, AdultId adultId) =>
        SchoolId is null || (SchoolId == schoolId && (!Mine || OwnerId == adultId));
}
