using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.OralReading;

/// <summary>Sets of listening states as lists for a query, made from the rules.</summary>
internal static class ListeningStates
{
    /// <summary>Those after which a recording may be listened to again.</summary>
    public static readonly string Over = Members.Where<ListeningState>(s => s.Over());
}
