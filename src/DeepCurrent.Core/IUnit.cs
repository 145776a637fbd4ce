using System.Diagnostics.CodeAnalysis;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>A number that says what it counts, so that a depth cannot stand where a share is wanted.</summary>
[SuppressMessage("Design", "CA1000:Do not declare static members on generic types", Justification = "Makes one.")]
public interface IUnit<TSelf> : IUnit, IComparable<TSelf>
    where TSelf : struct, IUnit<TSelf>
{
    /// <exception cref="ArgumentOutOfRangeException">There is no such quantity.</exception>
    static abstract TSelf From(double value);

    int IComparable<TSelf>.CompareTo(TSelf other) => Value.CompareTo(other.Value);
}

/// <inheritdoc cref="IUnit{TSelf}"/>
/// <remarks>By itself it is written with its unit; with a format, as the bare number.</remarks>
public interface IUnit : IFormattable
{
    double Value { get; }

    /// <summary>Every unit there is.</summary>
    static IReadOnlyList<Type> Kinds { get; } =
    [.. typeof(IUnit).Assembly.GetTypes().Where(t => t.IsValueType && typeof(IUnit).IsAssignableFrom(t))];
}

/// <summary>A quantity in JSON: its number.</summary>
public sealed class UnitJson<T> : JsonConverter<T>
    where T : struct, IUnit<T>
{
    public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        try
        {
            return T.From(reader.GetDouble());
        }
        catch (ArgumentOutOfRangeException e)
        {
            throw new JsonException(e.Message, e);
        }
    }

    public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
        writer.WriteNumberValue(value.Value);
}
