using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;

namespace DeepCurrent.Core.Schools;

/// <summary>A school and what it has chosen for itself.</summary>
public sealed record School
{
    public required SchoolId Id { get; init; }

    public required string Name { get; init; }

    public required string TimeZone { get; init; }

    /// <summary>First-attempt score from which a text counts as understood, 0 to 1.</summary>
    public required double UnderstoodFrom { get; init; }

    /// <summary>Forecast comprehension below which a text is too deep.</summary>
    public required double ZoneLow { get; init; }

    /// <summary>Forecast comprehension from which a text is easy.</summary>
    public required double ZoneHigh { get; init; }

    /// <summary>Minutes of reading it expects on a school day.</summary>
    public required int MinutesADay { get; init; }

    /// <summary>Comprehension it aims at by grade; grades without an aim are not there.</summary>
    public IReadOnlyList<GradeAim> Aims { get; init; } = [];

    /// <summary>Last grade that signs in with pictures.</summary>
    public int PicturesTo { get; init; } = 4;

    /// <summary>Last grade that signs in with a short code; passwords from there on.</summary>
    public int CodesTo { get; init; } = 7;

    public bool SurnamesOnCards { get; init; }

    public bool GuardiansAllowed { get; init; } = true;

    /// <summary>The school's own level chart; null for the usual one.</summary>
    public LevelChart? OwnChart { get; init; }

    /// <summary>The label system levels are named in: one of the chart's.</summary>
    public string LevelSystem { get; init; } = LevelLabels.InGrades;

    /// <summary>The label system in use: grades, where the chosen one was a column the chart no longer has.</summary>
    public string NamedIn => LevelLabels.Systems(Chart).Contains(LevelSystem) ? LevelSystem : LevelLabels.InGrades;

    /// <summary>The words of its letters to guardians by language, as they are kept; null for the usual ones.</summary>
    public string? Letters { get; init; }

    public int Version { get; init; } = 1;

    /// <summary>What a depth is called at this school.</summary>
    public Message LevelName(Fathoms depth) => LevelLabels.Name(depth, NamedIn, Chart);

    /// <summary>The chart that turns depth into this school's labels.</summary>
    public LevelChart Chart => OwnChart ?? LevelChart.Default;
}
