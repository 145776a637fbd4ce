namespace DeepCurrent.Core.Roster;

/// <summary>What a roster change needs from outside: ids, names that are free, secrets, codes. Given by the caller, so
/// that the rules stay without chance or clock.</summary>
/// <param name="NewId">What a new id is made of.</param>
/// <param name="ReaderName">A free user name for a reader, from given and family name.</param>
/// <param name="AdultName">A free user name for an adult, from the name that is wanted.</param>
/// <param name="Secret">Kind and enciphered secret for a reader of a grade.</param>
/// <param name="ClassCode">A free class code.</param>
public sealed record Makers(
    Func<Guid> NewId,
    Func<string, string, string> ReaderName,
    Func<string, string> AdultName,
    Func<int, (SecretKind Kind, string Secret)> Secret,
    Func<string> ClassCode
)
{
    public T New<T>()
        where T : struct, IId<T> => T.From(NewId());
}

/// <summary>Where a row stands: the file, and its line in it (the heading is line 1).</summary>
public readonly record struct RowPlace(string File, int Line);

/// <summary>Something wrong with a row.</summary>
/// <param name="Column">The column it is in; empty where it is the row as a whole.</param>
/// <param name="Value">What stands there.</param>
/// <param name="Reason">What is wrong, in a sentence.</param>
/// <param name="Stops">The row is kept back; otherwise it goes in and this is only said.</param>
public sealed record RowProblem(RowPlace At, string Column, string Value, Message Reason, bool Stops);
