namespace DeepCurrent.Core.Roster;

/// <summary>E-mail addresses, as far as they can be judged without sending.</summary>
public static class Mail
{
    /// <summary>One @ with something before it, and a name with a point after it, without spaces; at most 254 signs.</summary>
    public static bool Holds(string address)
    {
        var at = address.IndexOf('@');
        return at > 0 && address.Length <= 254 && at == address.LastIndexOf('@') && address.IndexOf('.', at) > at + 1 && !address.EndsWith('.')
            && address.All(c => !char.IsWhiteSpace(c) && !char.IsControl(c) && c is not ('<' or '>' or ',' or ';' or '"'));
    }
}
