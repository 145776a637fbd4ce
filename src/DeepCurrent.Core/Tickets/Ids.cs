using System.Text.Json.Serialization;

namespace DeepCurrent.Core;

/// <summary>The id of what was given in one act.</summary>
[JsonConverter(typeof(IdJson<AssignmentId>))]
public readonly record struct AssignmentId(Guid Value) : IId<AssignmentId>
{
    public static AssignmentId New() => new(Guid.CreateVersion7());

    public static AssignmentId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out AssignmentId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of one reader's copy of an assignment.</summary>
[JsonConverter(typeof(IdJson<TicketId>))]
public readonly record struct TicketId(Guid Value) : IId<TicketId>
{
    public static TicketId New() => new(Guid.CreateVersion7());

    public static TicketId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out TicketId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>An answer's id.</summary>
[JsonConverter(typeof(IdJson<AnswerId>))]
public readonly record struct AnswerId(Guid Value) : IId<AnswerId>
{
    public static AnswerId New() => new(Guid.CreateVersion7());

    public static AnswerId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out AnswerId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}

/// <summary>The id of a while in which a text was open.</summary>
[JsonConverter(typeof(IdJson<SpellId>))]
public readonly record struct SpellId(Guid Value) : IId<SpellId>
{
    public static SpellId New() => new(Guid.CreateVersion7());

    public static SpellId From(Guid value) => new(value);

    public static bool TryParse(string? text, IFormatProvider? _, out SpellId id) => Ids.TryParse(text, out id);

    public override string ToString() => Value.ToString();
}
