namespace DeepCurrent.Core.Roster;

/// <summary>E-mail addresses, as far as they can be judged without sending.</summary>
public static class Mail
{
    /// <summary>One @ with something before it, and a name with a point after it, without spaces; at most 254
    /// signs.</summary>
    public static bool Holds(string address)
    {
        var at = address.IndexOf('@');
        return at > 0
            && address.Length <= 254
            && at == address.LastIndexOf('@')
            && address.IndexOf('.', at) > at + 1
            && !address.EndsWith('.')
            && address.All(c =>
                !char.IsWhiteSpace(c) && !char.IsControl(c) && c is not ('<' or '>' or ',' or ';' or '"')
            );
    }

    /// <summary>Several addresses as one text, separated by a comma and a space; each once. They may be written with
    /// commas, semicolons or spaces between them.</summary>
    /// <returns>Null if there is none.</returns>
    public static string? Several(string? text)
    {
        var each = (text ?? "")
            .Split([',', ';', ' ', '\t', '\n'], StringSplitOptions.RemoveEmptyEntries)
            .Distinct(StringComparer.OrdinalIgnoreCase)
            .ToList();
        return each.Count == 0 ? null : string.Join(", ", each);
    }

    /// <summary>Whether a text holds addresses and nothing else, four at most.</summary>
    public static bool HoldsSeveral(string text) =>
        Several(text) is { } joined && joined.Split(", ") is { Length: <= 4 } each && each.All(Holds);
}
