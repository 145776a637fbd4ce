using System.Diagnostics.CodeAnalysis;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>What something kept is known by. Each kind of thing has a type of its own, so that a reader's id cannot
/// stand
/// where a class's is wanted.</summary>
[SuppressMessage("Design", "CA1000:Do not declare static members on generic types", Justification = "Makes one.")]
public interface IId<TSelf> : IId, IComparable<TSelf>
    where TSelf : struct, IId<TSelf>
{
    /// <summary>A new one; later ones sort after earlier ones.</summary>
    static abstract TSelf New();

    static abstract TSelf From(Guid value);

    int IComparable<TSelf>.CompareTo(TSelf other) => Value.CompareTo(other.Value);
}

/// <inheritdoc cref="IId{TSelf}"/>
public interface IId
{
    Guid Value { get; }

    /// <summary>Every kind of id there is.</summary>
    static IReadOnlyList<Type> Kinds { get; } =
    [.. typeof(IId).Assembly.GetTypes().Where(t => t.IsValueType && typeof(IId).IsAssignableFrom(t))];
}

/// <summary>Reads ids.</summary>
public static class Ids
{
    /// <returns>False where the text is no id; <paramref name="id"/> is then none that anything has.</returns>
    public static bool TryParse<T>(string? text, out T id)
        where T : struct, IId<T>
    {
        var known = Guid.TryParse(text, out var value);
        id = T.From(value);
        return known;
    }
}

/// <summary>An id in JSON: its value, as a value and as the name of a property.</summary>
public sealed class IdJson<T> : JsonConverter<T>
    where T : struct, IId<T>
{
    public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        T.From(reader.GetGuid());

    public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.Value);

    public override T ReadAsPropertyName(
        ref Utf8JsonReader reader,
        Type typeToConvert,
        JsonSerializerOptions options
    ) =>
        Ids.TryParse<T>(reader.GetString(), out var id)
            ? id
            : throw new JsonException($"{reader.GetString()} is no id.");

    public override void WriteAsPropertyName(
        Utf8JsonWriter writer,
        [DisallowNull] T value,
        JsonSerializerOptions options
    ) => writer.WritePropertyName(value.Value.ToString());
}
