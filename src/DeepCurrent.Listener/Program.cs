namespace DeepCurrent.Listener;

// A class with a name of its own, so that tests that start both servers can tell them apart.
internal static class Entry
{
    private static void Main(string[] args) => ListenerServer.Build(args).Run();
}
