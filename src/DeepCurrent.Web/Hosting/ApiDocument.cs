using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using System.Text.RegularExpressions;
using DeepCurrent.Core.Roster;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace DeepCurrent.Web.Hosting;

/// <summary>What the description of the API looks like.</summary>
public static partial class ApiDocument
{
    /// <summary>A file that is sent as it is.</summary>
    private static readonly Dictionary<string, OpenApiMediaType> NoContent = [];

    private const string File = "application/octet-stream";

    /// <summary>Descriptions are sentences: how their comments were broken into lines says nothing. A closed set has no
    /// empty member: whether there may be none is said where it is used. A file is no text.</summary>
    public static void Describe(OpenApiOptions options)
    {
        options.CreateSchemaReferenceId = schema =>
            NamedType(schema.Type)?.Name ?? OpenApiOptions.CreateDefaultSchemaReferenceId(schema);
        options.AddSchemaTransformer(DescribeNamed);
        options.AddOperationTransformer(
            (operation, _, _) =>
            {
                DescribeOperation(operation);
                return Task.CompletedTask;
            }
        );
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                DescribeSchemas(document);
                Relax(document);
                return Task.CompletedTask;
            }
        );
    }

    private static void DescribeOperation(OpenApiOperation operation)
    {
        if (operation.RequestBody?.Content?.TryGetValue(File, out var sent) == true)
            sent.Schema = new OpenApiSchema { Type = JsonSchemaType.String, Format = "binary" };
        foreach (var asked in operation.Parameters?.OfType<OpenApiParameter>() ?? [])
            if (asked is { In: ParameterLocation.Query, Name: { } name })
                asked.Name = JsonNamingPolicy.CamelCase.ConvertName(name);
    }

    private static void DescribeSchemas(OpenApiDocument document)
    {
        foreach (var schema in document.Components?.Schemas?.Values ?? [])
        {
            InOneLine(schema);
            if (schema.Enum is { } members)
                foreach (var none in members.Where(m => m is null).ToList())
                    members.Remove(none);
        }
    }

    /// <summary>An endpoint whose body is one file, as it is.</summary>
    /// <param name="largest">Bytes.</param>
    public static RouteHandlerBuilder TakesFile(this RouteHandlerBuilder endpoint, long largest) =>
        endpoint.WithMetadata(new RequestSizeLimitAttribute(largest)).Accepts<byte[]>(File);

    /// <summary>What may be null in a request may be missing; an answer holds all it can hold.</summary>
    private static void Relax(OpenApiDocument document)
    {
        var operations = document.Paths.Values.SelectMany(p => p.Operations ?? []).Select(o => o.Value).ToList();
        var sent = Reached(
            document,
            operations.SelectMany(o => o.RequestBody?.Content ?? NoContent).Select(c => c.Value.Schema)
        );
        sent.ExceptWith(
            Reached(
                document,
                operations
                    .SelectMany(o => o.Responses ?? [])
                    .SelectMany(r => r.Value.Content ?? NoContent)
                    .Select(c => c.Value.Schema)
            )
        );
        foreach (var name in sent)
            if (document.Components!.Schemas![name] is OpenApiSchema { Required: { } required } schema)
                required.ExceptWith(schema.Properties!.Where(p => MayBeNull(p.Value)).Select(p => p.Key));
    }

    /// <summary>An id or a unit; null for any other type.</summary>
    private static Type? NamedType(Type? type) =>
        (type is null ? null : Nullable.GetUnderlyingType(type) ?? type) is { IsValueType: true } named
        && (typeof(IId).IsAssignableFrom(named) || typeof(IUnit).IsAssignableFrom(named))
            ? named
            : null;

    /// <summary>An id is a uuid and a unit a number, under names of their own, by themselves and in lists and
    /// dictionaries.</summary>
    private static async Task DescribeNamed(
        OpenApiSchema schema,
        OpenApiSchemaTransformerContext context,
        CancellationToken stop
    )
    {
        var type = context.JsonTypeInfo;
        if (NamedType(type.Type) is { } named)
            (schema.Type, schema.Format) = typeof(IId).IsAssignableFrom(named)
                ? (JsonSchemaType.String, "uuid")
                : (JsonSchemaType.Number, "double");
        if (type.Type == typeof(ReaderDetails))
            (schema.Type, schema.Properties) = (
                JsonSchemaType.Object,
                Enum.GetNames<ReaderDetail>()
                    .ToDictionary(d => d, IOpenApiSchema (_) => new OpenApiSchema { Type = JsonSchemaType.String })
            );
        if (NamedType(type.ElementType) is not { } held)
            return;
        var id = await context.GetOrCreateSchemaAsync(held, null, stop);
        if (type.Kind == JsonTypeInfoKind.Dictionary)
            schema.AdditionalProperties = id;
        else
            schema.Items = id;
    }

    private static bool MayBeNull(IOpenApiSchema schema) =>
        schema.Type?.HasFlag(JsonSchemaType.Null) == true
        || (schema.OneOf ?? schema.AnyOf)?.Any(s => s.Type == JsonSchemaType.Null) == true;

    /// <summary>Names of the schemas that some schemas are, or hold.</summary>
    private static HashSet<string> Reached(OpenApiDocument document, IEnumerable<IOpenApiSchema?> from)
    {
        var found = new HashSet<string>();
        var open = new Stack<IOpenApiSchema?>(from);
        while (open.TryPop(out var schema))
        {
            if (schema is OpenApiSchemaReference { Reference.Id: { } name })
            {
                if (found.Add(name))
                    open.Push(document.Components!.Schemas![name]);
                continue;
            }
            foreach (var part in PartsOf(schema).OfType<IOpenApiSchema>())
                open.Push(part);
        }
        return found;
    }

    private static IEnumerable<IOpenApiSchema?> PartsOf(IOpenApiSchema? schema) =>
        schema is null
            ? []
            : (schema.Properties?.Values.AsEnumerable() ?? [])
                .Concat(schema.OneOf ?? [])
                .Concat(schema.AnyOf ?? [])
                .Concat(schema.AllOf ?? [])
                .Append(schema.Items)
                .Append(schema.AdditionalProperties);

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
