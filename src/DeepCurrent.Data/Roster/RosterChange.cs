using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Measuring;

namespace DeepCurrent.Data.Roster;

/// <summary>Who changes a roster, and how it is listed.</summary>
/// <param name="ClassId">The class whose history lists it; null for a change to the school.</param>
public sealed record RosterChange(
    SchoolId SchoolId,
    ClassId? ClassId,
    AdultId AdultId,
    Message Summary,
    DateTimeOffset At
);

/// <summary>What new readers' depth is made from.</summary>
public sealed record Yardstick(LevelChart Chart, YearCalendar Year);

/// <summary>A roster change that cannot be made or taken back, since something it leans on has changed.</summary>
/// <param name="Sentence">What, and who did it.</param>
public sealed class BuiltOn(Message message) : Exception(message.ToString())
{
    /// <summary>The sentence, to be said in the language of whoever asked.</summary>
    public Message Said { get; } = message;
}
