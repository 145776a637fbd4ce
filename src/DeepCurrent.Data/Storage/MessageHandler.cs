using System.Data;
using System.Text.Json;
using System.Text.Json.Serialization;
using Dapper;

namespace DeepCurrent.Data.Storage;

/// <summary>A sentence in the database: its place in the catalogue and its values, so that it is read in any
/// language.</summary>
internal sealed class MessageHandler : SqlMapper.TypeHandler<Message>
{
    public override Message Parse(object value) => Database.FromJson<Message>((string)value);

    public override void SetValue(IDbDataParameter parameter, Message? value) =>
        parameter.Value = value is null ? DBNull.Value : Database.ToJson(value);
}

/// <summary>A sentence in a document that is kept. What was kept as plain words stands for itself.</summary>
internal sealed class MessageJson : JsonConverter<Message>
{
    private sealed record Kept(string Key, IReadOnlyList<MessageValue>? Values, long? Count);

    public override Message Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (reader.TokenType is JsonTokenType.String)
            return reader.GetString() is { Length: > 0 } words ? Message.Verbatim(words) : Message.Nothing;
        var kept = JsonSerializer.Deserialize<Kept>(ref reader, options)!;
        return new(kept.Key, kept.Values, kept.Count);
    }

    public override void Write(Utf8JsonWriter writer, Message value, JsonSerializerOptions options) =>
        JsonSerializer.Serialize(writer, new Kept(value.Key, value.Values, value.Count), options);
}
