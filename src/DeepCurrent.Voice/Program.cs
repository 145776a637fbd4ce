namespace DeepCurrent.Voice;

// A class with a name of its own, so that tests that start several servers can tell them apart.
internal static class Entry
{
    private static void Main(string[] args) => VoiceServer.Build(args).Run();
}
