using System.Text.Json.Serialization;

namespace DeepCurrent.Core.Depth;

/// <summary>A place on the one difficulty scale that readers and texts share: 30 fm is what is typically read at the
/// end of grade 3; 10 fm are one logit.</summary>
/// <param name="Value">Fathoms; any finite number, in practice −20 to 100.</param>
[JsonConverter(typeof(UnitJson<Fathoms>))]
public readonly record struct Fathoms(double Value) : IUnit<Fathoms>
{
    public static Fathoms From(double value) => new(value);

    /// <summary>Fathoms in one logit of odds.</summary>
    public const double PerLogit = 10;

    /// <summary>The ends of the scale on which readers are estimated, in fathoms.</summary>
    public const double Shallowest = -20,
        Deepest = 100;

    /// <summary>Whether it lies on the scale on which readers are estimated; what is no number does not.</summary>
    public bool OnScale => Value is >= Shallowest and <= Deepest;

    public static bool operator <(Fathoms a, Fathoms b) => a.Value < b.Value;

    public static bool operator <=(Fathoms a, Fathoms b) => a.Value <= b.Value;

    public static bool operator >(Fathoms a, Fathoms b) => a.Value > b.Value;

    public static bool operator >=(Fathoms a, Fathoms b) => a.Value >= b.Value;

    public static double operator -(Fathoms a, Fathoms b) => a.Value - b.Value;

    public static Fathoms operator +(Fathoms a, double fathoms) => new(a.Value + fathoms);

    public static Fathoms operator -(Fathoms a, double fathoms) => new(a.Value - fathoms);

    public override string ToString() => FormattableString.Invariant($"{Value:0.0} fm");

    public string ToString(string? format, IFormatProvider? formatProvider) =>
        format is null ? ToString() : Value.ToString(format, formatProvider);
}

/// <summary>A chance or a share, 0 to 1.</summary>
[JsonConverter(typeof(UnitJson<Probability>))]
public readonly record struct Probability : IUnit<Probability>
{
    public static Probability From(double value) => new(value);

    /// <exception cref="ArgumentOutOfRangeException"><paramref name="value"/> is outside 0 to 1 or not a
    /// number.</exception>
    public Probability(double value)
    {
        if (!(value >= 0 && value <= 1))
            throw new ArgumentOutOfRangeException(nameof(value), value, "A probability lies between 0 and 1.");
        Value = value;
    }

    public double Value { get; }

    /// <summary>The share in whole percent, as it is shown and as zones are decided: 69.6 % is shown and treated as 70
    /// %.</summary>
    public int Percent => (int)Math.Round(Value * 100, MidpointRounding.AwayFromZero);

    public override string ToString() => FormattableString.Invariant($"{Percent} %");

    public string ToString(string? format, IFormatProvider? formatProvider) =>
        format is null ? ToString() : Value.ToString(format, formatProvider);
}

/// <summary>A rate of reading.</summary>
/// <param name="Value">Words in a minute; 0 or more.</param>
[JsonConverter(typeof(UnitJson<WordsPerMinute>))]
public readonly record struct WordsPerMinute(double Value) : IUnit<WordsPerMinute>
{
    public static WordsPerMinute From(double value) => new(value);

    public override string ToString() => FormattableString.Invariant($"{Value:0} words a minute");

    public string ToString(string? format, IFormatProvider? formatProvider) =>
        format is null ? ToString() : Value.ToString(format, formatProvider);
}
