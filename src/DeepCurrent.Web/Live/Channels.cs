using System.Collections.Concurrent;

namespace DeepCurrent.Web.Live;

/// <summary>The channels of the database this instance listens to. One that hears nothing shows what is out of date, so
/// it is not ready.</summary>
public sealed class Channels
{
    private readonly ConcurrentDictionary<string, bool> heard = [];

    /// <summary>Whether every channel there is to listen to is listened to.</summary>
    public bool All => heard.Values.All(h => h);

    /// <summary>Says whether a channel is listened to.</summary>
    public void Set(string channel, bool listening) => heard[channel] = listening;
}
