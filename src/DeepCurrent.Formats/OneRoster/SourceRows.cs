using DeepCurrent.Core.Roster;

namespace DeepCurrent.Formats.OneRoster;

/// <summary>One row of a OneRoster file or one object of its API, by the standard's field names.</summary>
public interface ISourceRow
{
    RowPlace At { get; }

    /// <summary>The field's text; empty where there is none.</summary>
    string Get(string field);
}
