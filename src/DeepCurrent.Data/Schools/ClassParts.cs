using System.Text.Json;
using System.Text.Json.Serialization;
using DeepCurrent.Core.Access;

namespace DeepCurrent.Data.Schools;

/// <summary>Parts in a class as the database has them.</summary>
internal static class ClassParts
{
    public const string Teacher = $"'{nameof(Part.Teacher)}'",
        None = $"'{nameof(Part.None)}'";

    /// <summary>Orders by rank, the greatest part first, then by what follows.</summary>
    /// <param name="column">The column, as the query names it.</param>
    public static string ByRank(string column) => $"array_position(array[{Ranked}], {column})";

    private static readonly string Ranked = string.Join(", ", Parts.Given.Select(p => $"'{p}'"));
}

/// <summary>A part by its name; also by the names it had when changes that can still be undone were kept.</summary>
internal sealed class PartJson : JsonConverter<Part>
{
    public override Part Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
        Enum.Parse<Part>(reader.GetString()!.Replace("-", ""), ignoreCase: true);

    public override void Write(Utf8JsonWriter writer, Part value, JsonSerializerOptions options) =>
        writer.WriteStringValue(value.ToString());
}
