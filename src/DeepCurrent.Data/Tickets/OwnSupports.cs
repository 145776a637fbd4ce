using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.Tickets;

/// <summary>What is done for a reader in one task, from what the roster and the task keep of it.</summary>
internal static class OwnSupports
{
    /// <param name="kept">The reader's, as JSON.</param>
    /// <param name="way">How the reader does this task otherwise, as JSON; null as everybody.</param>
    public static Supports Of(string kept, string? way) =>
        (way is null ? new OwnWay() : Database.FromJson<OwnWay>(way)).Within(Database.FromJson<Supports>(kept));
}
