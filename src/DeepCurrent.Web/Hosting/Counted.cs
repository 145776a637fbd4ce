namespace DeepCurrent.Web.Hosting;

/// <summary>Numbers of things in sentences.</summary>
public static class Counted
{
    public static string Of(int n, string one, string many) => n == 1 ? $"1 {one}" : $"{n:N0} {many}";

    public static string Readers(int n) => Of(n, "reader", "readers");
}
