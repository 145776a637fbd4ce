using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text;
using System.Text.Json.Serialization;

namespace DeepCurrent.Core.Messages;

/// <summary>A sentence for people: its place in the catalogue, and what goes into it. It is put into words where it is
/// read, in the language of whoever reads it.</summary>
/// <remarks>
/// Written as an interpolated string: <c>Message m = $"Use {most} letters or fewer.";</c>. The English sentence with
/// its values numbered is the key. A whole number with the format <c>count</c> chooses between one and many:
/// <c>$"Assigned {title} to {n:count} readers"</c>. No plain string becomes a message, so no value can be taken for a
/// sentence.
/// </remarks>
[InterpolatedStringHandler]
public sealed class Message : IEquatable<Message>
{
    private const string Counted = "count";

    private readonly StringBuilder? written;
    private readonly List<MessageValue> values;
    private string? key;

    /// <summary>Begins a message; the compiler calls this for an interpolated string.</summary>
    public Message(int literalLength, int formattedCount)
    {
        written = new StringBuilder(literalLength + (formattedCount * 5));
        values = new List<MessageValue>(formattedCount);
    }

    /// <summary>A message as it was kept or sent.</summary>
    [JsonConstructor]
    public Message(string key, IReadOnlyList<MessageValue>? values, long? count = null)
    {
        this.key = key;
        this.values = [.. values ?? []];
        Count = count;
    }

    /// <summary>The English sentence with <c>{{0}}</c>, <c>{{1}}</c> and <c>{{count}}</c> where its values go.</summary>
    public string Key => key ??= written!.ToString();

    /// <summary>What goes into it, in order.</summary>
    public IReadOnlyList<MessageValue> Values => values;

    /// <summary>The number by which a language chooses between one and many; null where none does.</summary>
    public long? Count { get; private set; }

    /// <summary>No words at all.</summary>
    public static readonly Message Nothing = $"";

    /// <summary>Somebody's own words, which no catalogue has.</summary>
    public static Message Verbatim(string words) => $"{words}";

    /// <summary>Whether nothing is said.</summary>
    [JsonIgnore]
    public bool IsNothing => Key.Length == 0;

    public void AppendLiteral(string literal) => written!.Append(literal);

    public void AppendFormatted(string? text) => Add(new() { Text = text ?? "" });

    public void AppendFormatted(Message message) => Add(new() { Message = message });

    public void AppendFormatted(IEnumerable<Message> list) =>
        Add(new() { List = [.. list.Select(m => new MessageValue { Message = m })] });

    public void AppendFormatted(IEnumerable<string> list) =>
        Add(new() { List = [.. list.Select(s => new MessageValue { Text = s })] });

    /// <param name="format"><c>count</c> for the number that chooses between one and many.</param>
    /// <exception cref="FormatException">Another format, or a second count.</exception>
    public void AppendFormatted(long number, string? format = null)
    {
        if (format is null)
            Add(new() { Number = number, Digits = 0 });
        else if (format == Counted && Count is null)
        {
            Count = number;
            written!.Append("{{count}}");
        }
        else
            throw new FormatException($"A whole number is written bare or counted once, not as {format}.");
    }

    /// <param name="format">How many decimals: 0, 0.# (none or one) or 0.0 (one).</param>
    /// <exception cref="FormatException">Another format.</exception>
    public void AppendFormatted(double number, string format) =>
        Add(
            format switch
            {
                "0" => new() { Number = number, Digits = 0 },
                "0.0" => new() { Number = number, Digits = 1 },
                "0.#" => new() { Number = Math.Round(number, 1), Digits = Math.Round(number, 1) % 1 == 0 ? 0 : 1 },
                _ => throw new FormatException($"A number in a message is not written as {format}."),
            }
        );

    public void AppendFormatted(DateOnly day) => Add(new() { Day = day });

    public void AppendFormatted(DateTimeOffset time) => Add(new() { Time = time });

    private void Add(MessageValue value)
    {
        written!.Append(CultureInfo.InvariantCulture, $"{{{{{values.Count}}}}}");
        values.Add(value);
    }

    public bool Equals(Message? other) =>
        other is not null && Key == other.Key && Count == other.Count && values.SequenceEqual(other.values);

    public override bool Equals(object? obj) => Equals(obj as Message);

    public override int GetHashCode() => HashCode.Combine(Key, Count);

    /// <summary>The message in English.</summary>
    public override string ToString() => Catalogue.English.Say(this);
}

/// <summary>What goes into a message: one of these.</summary>
public sealed record MessageValue
{
    /// <summary>A name or somebody's own words, shown as they are.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Text { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Number { get; init; }

    /// <summary>Decimals of the number.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public int? Digits { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public DateOnly? Day { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public DateTimeOffset? Time { get; init; }

    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Message? Message { get; init; }

    /// <summary>Several, joined by commas.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public IReadOnlyList<MessageValue>? List { get; init; }

    public bool Equals(MessageValue? other) =>
        other is not null
        && (Text, Number, Digits, Day, Time) == (other.Text, other.Number, other.Digits, other.Day, other.Time)
        && Equals(Message, other.Message)
        && (List ?? []).SequenceEqual(other.List ?? []);

    public override int GetHashCode() => HashCode.Combine(Text, Number, Day, Time, Message);
}
