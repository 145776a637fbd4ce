using FluentValidation;

namespace DeepCurrent.Web.Hosting;

public static class Validation
{
    /// <summary>Refuses a request whose fields do not hold, saying what is wrong with each.</summary>
    public static void Check<T>(this IValidator<T> validator, T request)
    {
        var result = validator.Validate(request);
        if (result.IsValid)
            return;
        var fields = result
            .Errors.GroupBy(e => char.ToLowerInvariant(e.PropertyName[0]) + e.PropertyName[1..])
            .ToDictionary(g => g.Key, g => g.Select(e => e.ErrorMessage).ToArray());
        throw new Refused(
            StatusCodes.Status422UnprocessableEntity,
            "invalid",
            "Some of this needs mending before it can be saved.",
            fields
        );
    }
}
