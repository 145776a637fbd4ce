using System.Globalization;
using System.Text.Json;

namespace DeepCurrent.Cli;

/// <summary>A place in the input that can say its own path.</summary>
internal sealed record Field(JsonElement Value, string Path)
{
    public string At(string name) => Path.Length == 0 ? name : $"{Path}.{name}";

    /// <summary>Reads a document.</summary>
    public static Field Of(TextReader input)
    {
        try
        {
            return new(JsonDocument.Parse(input.ReadToEnd()).RootElement, "");
        }
        catch (JsonException)
        {
            throw new BadInput("The input is not a JSON document.", "");
        }
    }

    public bool Has(string name) => Value.ValueKind == JsonValueKind.Object && Value.TryGetProperty(name, out _);

    /// <summary>Whether it is there and not null.</summary>
    public bool Known(string name) => Has(name) && Value.GetProperty(name).ValueKind is not JsonValueKind.Null;

    /// <summary>A number within bounds; null where it is null.</summary>
    public double? NumberOrNull(double least, double most) =>
        Value.ValueKind is JsonValueKind.Null ? null
        : Value.ValueKind is JsonValueKind.Number
        && Value.TryGetDouble(out var number)
        && number >= least
        && number <= most
            ? number
        : throw new BadInput(FormattableString.Invariant($"This should be a number from {least} to {most}."), Path);

    /// <summary>Pairs; none where nothing is said.</summary>
    public IEnumerable<(Field One, Field Other)> Two(string name) =>
        Known(name)
            ? List(name)
                .Select(p =>
                    p.Value.ValueKind is JsonValueKind.Array && p.Value.GetArrayLength() == 2
                        ? (new Field(p.Value[0], $"{p.Path}[0]"), new Field(p.Value[1], $"{p.Path}[1]"))
                        : throw new BadInput("This should be a pair.", p.Path)
                )
            : [];

    private JsonElement Get(string name) =>
        Value.ValueKind != JsonValueKind.Object ? throw new BadInput("This should be an object.", Path)
        : Value.TryGetProperty(name, out var found) ? found
        : throw new BadInput("This is missing.", At(name));

    public Field Object(string name) =>
        new(
            Get(name) is { ValueKind: JsonValueKind.Object } o
                ? o
                : throw new BadInput("This should be an object.", At(name)),
            At(name)
        );

    public IEnumerable<Field> List(string name) =>
        Get(name) is { ValueKind: JsonValueKind.Array } list
            ? list.EnumerateArray().Select((e, i) => new Field(e, $"{At(name)}[{i}]")).ToList()
            : throw new BadInput("This should be a list.", At(name));

    /// <summary>Numbers from 0 to 1.</summary>
    public IEnumerable<double> Shares(string name) =>
        List(name)
            .Select(f =>
                f.Value.ValueKind == JsonValueKind.Number
                && f.Value.TryGetDouble(out var share)
                && share is >= 0 and <= 1
                    ? share
                    : throw new BadInput("This should be a number from 0 to 1.", f.Path)
            );

    public string Text(string name) =>
        Get(name) is { ValueKind: JsonValueKind.String } s
            ? s.GetString()!
            : throw new BadInput("This should be text.", At(name));

    public bool Truth(string name) =>
        Get(name).ValueKind switch
        {
            JsonValueKind.True => true,
            JsonValueKind.False => false,
            _ => throw new BadInput("This should be true or false.", At(name)),
        };

    public double Depth(string name) => Number(name, atLeast: -1000, below: 1000.001);

    public int Whole(string name, int atLeast)
    {
        var value = Number(name, atLeast: atLeast, below: 1e9);
        return value == Math.Floor(value) ? (int)value : throw new BadInput("This should be a whole number.", At(name));
    }

    public double Number(
        string name,
        double? above = null,
        double? atLeast = null,
        double? below = null,
        double? fallback = null
    )
    {
        if (fallback is { } given && Value.ValueKind == JsonValueKind.Object && !Value.TryGetProperty(name, out _))
            return given;
        var element = Get(name);
        if (
            element.ValueKind != JsonValueKind.Number
            || !element.TryGetDouble(out var value)
            || !double.IsFinite(value)
        )
            throw new BadInput("This should be a number.", At(name));
        if (value <= above)
            throw new BadInput(FormattableString.Invariant($"This should be above {above}."), At(name));
        if (value < atLeast)
            throw new BadInput(FormattableString.Invariant($"This should be at least {atLeast}."), At(name));
        if (value >= below)
            throw new BadInput(FormattableString.Invariant($"This should be below {below}."), At(name));
        return value;
    }

    public DateTimeOffset Time(string name) =>
        DateTimeOffset.TryParse(Text(name), CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var time)
            ? time
            : throw new BadInput("This should be a date or a time in ISO 8601.", At(name));
}
