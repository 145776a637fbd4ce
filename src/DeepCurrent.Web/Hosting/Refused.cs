namespace DeepCurrent.Web.Hosting;

/// <summary>A request that is not carried out, with a sentence a teacher understands.</summary>
public sealed class Refused(
    int status,
    string code,
    string sentence,
    IReadOnlyDictionary<string, string[]>? fields = null
) : Exception(sentence)
{
    public int Status { get; } = status;
    public string Code { get; } = code;

    /// <summary>What is wrong, by field.</summary>
    public IReadOnlyDictionary<string, string[]>? Fields { get; } = fields;

    /// <summary>Not there, or not for the one who asks: the two look the same from outside.</summary>
    public static Refused NotFound() =>
        new(StatusCodes.Status404NotFound, "not-found", "This is not here, or not yours to see.");

    public static Refused Field(string field, string sentence) =>
        new(
            StatusCodes.Status422UnprocessableEntity,
            "invalid",
            sentence,
            new Dictionary<string, string[]> { [field] = [sentence] }
        );

    /// <summary>An ID that a page made belongs to something else.</summary>
    public static Refused Taken() =>
        Conflict("taken", "Something with this ID is there already. Nothing was changed. Reload and try again.");

    public static Refused Conflict(string code, string sentence) => new(StatusCodes.Status409Conflict, code, sentence);
}
