/// <summary>The folder of what ships, read by tests: ./test names it, an editor runs them from where they were built.
/// </summary>
internal static class Shipped
{
    public static string Root { get; } =
        Environment.GetEnvironmentVariable("DEEPCURRENT_ROOT")
        ?? Path.GetFullPath(Path.Combine(AppContext.BaseDirectory, "../../../../.."));

    public static string Content { get; } = Path.Combine(Root, "content");
}
