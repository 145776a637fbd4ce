using System.Text.RegularExpressions;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace DeepCurrent.Web.Hosting;

/// <summary>What the description of the API looks like.</summary>
public static partial class ApiDocument
{
    /// <summary>Descriptions are sentences: how their comments were broken into lines says nothing. A closed set has no
    /// empty member: whether there may be none is said where it is used.</summary>
    public static void Describe(OpenApiOptions options) =>
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                foreach (var schema in document.Components?.Schemas?.Values ?? [])
                {
                    InOneLine(schema);
                    if (schema.Enum is { } members)
                        foreach (var none in members.Where(m => m is null).ToList())
                            members.Remove(none);
                }
                return Task.CompletedTask;
            }
        );

    private static void InOneLine(IOpenApiSchema schema)
    {
        // What only refers to another schema has that one's description.
        if (schema is OpenApiSchema { Description: { } said } own)
            own.Description = LineBreak().Replace(said, " ");
        foreach (var property in (schema as OpenApiSchema)?.Properties?.Values ?? [])
            InOneLine(property);
    }

    [GeneratedRegex(@"\s*\n\s*")]
    private static partial Regex LineBreak();
}
