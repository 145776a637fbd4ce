using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;

namespace DeepCurrent.Cli;

/// <summary>compute reader: a prior and evidence in, the reader's depth and its trail out.</summary>
public static class ComputeReader
{
    public static JsonObject Run(TextReader input)
    {
        var document = input.ReadToEnd();
        JsonDocument json;
        try { json = JsonDocument.Parse(document); }
        catch (JsonException) { throw new BadInput("The input is not a JSON document.", ""); }
        using (json) return Run(new Field(json.RootElement, ""));
    }

    private static JsonObject Run(Field input)
    {
        var p = input.Object("prior");
        var prior = new Prior(new(p.Depth("mean")), p.Number("sd", above: 0), p.Time("at"));
        var asOf = input.Time("asOf");
        if (asOf < prior.At) throw new BadInput("This is earlier than the prior.", "asOf");
        var movement = Movement.Constant(input.Number("growthPerWeek", fallback: 0), input.Number("driftPerWeek", atLeast: 0, fallback: 0));
        var pieces = input.List("evidence").Select(f => (Evidence: Piece(f, prior), Said: f.Text("at"))).OrderBy(x => x.Evidence.At).ToList();
        DepthTrail trail;
        try { trail = ReaderEstimator.Run(prior, pieces.Select(x => x.Evidence), movement, asOf); }
        catch (InvalidOperationException e) { throw new BadInput(e.Message, "evidence"); }
        return new()
        {
            ["mean"] = trail.Now.Mean, ["sd"] = trail.Now.Sd, ["low"] = trail.Now.Low, ["high"] = trail.Now.High,
            ["trail"] = new JsonArray([.. trail.Steps.Select((s, i) => new JsonObject { ["at"] = pieces[i].Said, ["mean"] = s.Mean, ["sd"] = s.Sd })]),
        };
    }

    private static Evidence Piece(Field f, Prior prior)
    {
        var at = f.Time("at");
        if (at < prior.At) throw new BadInput("This is earlier than the prior.", f.At("at"));
        return f.Text("kind") switch
        {
            "answer" => new AnswerEvidence(at, new(f.Depth("difficulty")), f.Number("guess", atLeast: 0, below: 1), f.Truth("correct")),
            "level" => new LevelEvidence(at, new(f.Depth("value")), f.Number("sd", above: 0, fallback: ReaderEstimator.JudgementSd)),
            "runningRecord" => new RunningRecordEvidence(at, new(f.Depth("textDepth")), f.Whole("words", 1), f.Whole("errors", 0)),
            var kind => throw new BadInput($"There is no kind of evidence called {kind}.", f.At("kind")),
        };
    }

    /// <summary>A place in the input that can say its own path.</summary>
    private sealed record Field(JsonElement Value, string Path)
    {
        public string At(string name) => Path.Length == 0 ? name : $"{Path}.{name}";

        private JsonElement Get(string name) =>
            Value.ValueKind != JsonValueKind.Object ? throw new BadInput("This should be an object.", Path)
            : Value.TryGetProperty(name, out var found) ? found : throw new BadInput("This is missing.", At(name));

        public Field Object(string name) => new(Get(name) is { ValueKind: JsonValueKind.Object } o ? o : throw new BadInput("This should be an object.", At(name)), At(name));

        public IEnumerable<Field> List(string name) =>
            Get(name) is { ValueKind: JsonValueKind.Array } list ? list.EnumerateArray().Select((e, i) => new Field(e, $"{At(name)}[{i}]")).ToList() : throw new BadInput("This should be a list.", At(name));

        public string Text(string name) => Get(name) is { ValueKind: JsonValueKind.String } s ? s.GetString()! : throw new BadInput("This should be text.", At(name));

        public bool Truth(string name) => Get(name).ValueKind switch { JsonValueKind.True => true, JsonValueKind.False => false, _ => throw new BadInput("This should be true or false.", At(name)) };

        public double Depth(string name) => Number(name, atLeast: -1000, below: 1000.001);

        public int Whole(string name, int atLeast)
        {
            var value = Number(name, atLeast: atLeast, below: 1e9);
            return value == Math.Floor(value) ? (int)value : throw new BadInput("This should be a whole number.", At(name));
        }

        public double Number(string name, double? above = null, double? atLeast = null, double? below = null, double? fallback = null)
        {
            if (fallback is { } given && Value.ValueKind == JsonValueKind.Object && !Value.TryGetProperty(name, out _)) return given;
            var element = Get(name);
            if (element.ValueKind != JsonValueKind.Number || !element.TryGetDouble(out var value) || !double.IsFinite(value)) throw new BadInput("This should be a number.", At(name));
            if (value <= above) throw new BadInput(FormattableString.Invariant($"This should be above {above}."), At(name));
            if (value < atLeast) throw new BadInput(FormattableString.Invariant($"This should be at least {atLeast}."), At(name));
            if (value >= below) throw new BadInput(FormattableString.Invariant($"This should be below {below}."), At(name));
            return value;
        }

        public DateTimeOffset Time(string name) =>
            DateTimeOffset.TryParse(Text(name), CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var time) ? time : throw new BadInput("This should be a date or a time in ISO 8601.", At(name));
    }
}
