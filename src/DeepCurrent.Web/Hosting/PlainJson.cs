using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace DeepCurrent.Web.Hosting;

/// <summary>JSON as the API takes it: enums by name, no empty places in lists.</summary>
public static class PlainJson
{
    public static void Harden(JsonSerializerOptions options)
    {
        options.Converters.Add(new JsonStringEnumConverter(namingPolicy: null, allowIntegerValues: false));
        options.TypeInfoResolverChain.Insert(0, new DefaultJsonTypeInfoResolver { Modifiers = { NoEmptyPlaces } });
    }

    /// <summary>A list of things has a thing in each place: [null] is no list of readers.</summary>
    private static void NoEmptyPlaces(JsonTypeInfo type)
    {
        if (type.Kind is not JsonTypeInfoKind.Enumerable || type.ElementType is not { IsValueType: false })
            return;
        type.OnDeserialized = list =>
        {
            foreach (var item in (System.Collections.IEnumerable)list)
                if (item is null)
                    throw new JsonException("A list has an empty place in it.");
        };
    }
}
