namespace DeepCurrent.Web.Hosting;

/// <summary>A request that is not carried out, with a sentence a teacher understands.</summary>
public sealed class Refused(
    int status,
    string code,
    Message message,
    IReadOnlyDictionary<string, Message>? fields = null
) : Exception(message.ToString())
{
    /// <summary>The sentence, to be said in the language of whoever asked.</summary>
    public Message Said { get; } = message;

    public int Status { get; } = status;
    public string Code { get; } = code;

    /// <summary>What is wrong, by field.</summary>
    public IReadOnlyDictionary<string, Message>? Fields { get; } = fields;

    /// <summary>Not there, or not for the one who asks: the two look the same from outside.</summary>
    public static Refused NotFound() =>
        new(StatusCodes.Status404NotFound, "not-found", $"Page not found, or you have no access.");

    public static Refused Field(string field, Message message) =>
        new(
            StatusCodes.Status422UnprocessableEntity,
            "invalid",
            message,
            new Dictionary<string, Message> { [field] = message }
        );

    /// <summary>An ID that a page made belongs to something else.</summary>
    public static Refused Taken() =>
        Conflict("taken", $"Something with this ID is there already. Nothing changed. Reload and try again.");

    public static Refused Conflict(string code, Message message) => new(StatusCodes.Status409Conflict, code, message);
}
