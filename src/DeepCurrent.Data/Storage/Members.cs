namespace DeepCurrent.Data.Storage;

/// <summary>Members of closed sets as a query names them.</summary>
internal static class Members
{
    /// <summary>Those a rule holds for, as a list for <c>in (…)</c>.</summary>
    public static string Where<T>(Func<T, bool> rule)
        where T : struct, Enum => string.Join(", ", Enum.GetValues<T>().Where(rule).Select(m => $"'{m}'"));
}
