/// <summary>Chance, as the simulations need it.</summary>
internal static class Draw
{
    /// <summary>From the standard normal distribution (Box and Muller 1958).</summary>
    public static double Normal(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
