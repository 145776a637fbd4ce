namespace DeepCurrent.Core.Library;

/// <summary>One version of a text as the library knows it.</summary>
/// <param name="Depth">The depth that counts, in fathoms: stated by a person, else from readers' answers and formulas
/// together.</param>
public sealed record CardVersion(VersionId Id, string Label, int Words, double Depth, double DepthError);

/// <summary>One text as the library knows it: enough to find it, and to say whom it fits.</summary>
public sealed record Card
{
    public required TextId Id { get; init; }

    /// <summary>A small number of its own, by which a search names it.</summary>
    public required int Number { get; init; }

    /// <summary>Null for texts that ship for all schools.</summary>
    public required SchoolId? SchoolId { get; init; }

    /// <summary>Who made it; null for texts that ship.</summary>
    public required AdultId? OwnerId { get; init; }

    /// <summary>Only its owner sees it.</summary>
    public required bool Mine { get; init; }

    public required bool Retired { get; init; }

    public required string Title { get; init; }

    public required string Kind { get; init; }

    public required string Topic { get; init; }

    public required bool Fiction { get; init; }

    public required string Blurb { get; init; }

    public required string Season { get; init; }

    public required DateTimeOffset ChangedAt { get; init; }

    public required int Questions { get; init; }

    public required int WordsToKnow { get; init; }

    /// <summary>Schools that have a reading of one of its versions, as sound.</summary>
    public required IReadOnlyList<SchoolId> HeardIn { get; init; }

    /// <summary>Letter–sound patterns of its shallowest version, where that is for early readers.</summary>
    public required IReadOnlyList<string> Patterns { get; init; }

    public required IReadOnlyList<CardVersion> Versions { get; init; }

    /// <summary>Whether somebody of a school sees it.</summary>
    public bool SeenBy(SchoolId schoolId, AdultId adultId) =>
        SchoolId is null || (SchoolId == schoolId && (!Mine || OwnerId == adultId));
}
