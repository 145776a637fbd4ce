using System.Reflection;
using System.Text.RegularExpressions;
using DeepCurrent.Web.Hosting;
using NetArchTest.Rules;

namespace Web.Tests;

/// <summary>Layers point one way: Web → Data → Core, Formats → Core; nothing points back.</summary>
public sealed partial class ArchitectureTests
{
    private static readonly Assembly Web = typeof(Program).Assembly,
        Data = typeof(DeepCurrent.Data.Storage.Database).Assembly,
        Formats = typeof(DeepCurrent.Formats.Content.ContentReader).Assembly;

    private static void Free(Assembly layer, params string[] of) =>
        (
            Types.InAssembly(layer).ShouldNot().HaveDependencyOnAny(of).GetResult().FailingTypeNames ?? []
        ).ShouldBeEmpty();

    [Fact]
    public void Data_knows_neither_web_nor_formats() =>
        Free(Data, "DeepCurrent.Web", "DeepCurrent.Formats", "DeepCurrent.Demo", "Microsoft.AspNetCore");

    [Fact]
    public void Formats_know_neither_web_nor_data() =>
        Free(
            Formats,
            "DeepCurrent.Web",
            "DeepCurrent.Data",
            "DeepCurrent.Demo",
            "Npgsql",
            "Dapper",
            "Microsoft.AspNetCore"
        );

    [Fact]
    public void Every_subject_is_a_feature_and_the_application_knows_nothing_else_of_it()
    {
        var features = Web.GetTypes().Where(t => t.IsAssignableTo(typeof(IFeature)) && t.IsClass).ToList();
        Application.Subjects.Select(s => s.GetType()).ShouldBe(features, ignoreOrder: true);
        var folders = features.Select(f => f.Namespace).ToHashSet();
        folders.Count.ShouldBe(features.Count, "one a folder");
        Web.GetTypes()
            .Select(t => t.Namespace)
            .Where(n => n?.StartsWith("DeepCurrent.Web.") == true && n != "DeepCurrent.Web.Hosting")
            .Distinct()
            .ShouldBe(folders, ignoreOrder: true, "a folder without a feature is joined to nothing");
    }

    /// <summary>The files of the sources, with their lines.</summary>
    private static IEnumerable<(string Path, int Line, string Text)> Sources(params string[] extensions)
    {
        var root = Shipped.Root;
        return Directory
            .EnumerateFiles(Path.Combine(root, "src"), "*.*", SearchOption.AllDirectories)
            .Where(f => extensions.Contains(Path.GetExtension(f)) && !f.Contains("/obj/") && !f.Contains("/bin/"))
            .SelectMany(f => File.ReadLines(f).Select((line, i) => (f, i + 1, line)));
    }

    /// <summary>The document names a type by its last name: of two with one name it would know one.</summary>
    [Fact]
    public void No_two_types_of_the_api_have_the_same_name()
    {
        var root = Shipped.Root;
        var document = System.Text.Json.Nodes.JsonNode.Parse(File.ReadAllText(Path.Combine(root, "web/openapi.json")))!;
        var named = document["components"]!["schemas"]!.AsObject().Select(s => s.Key).ToHashSet();
        new[] { Web, Data, typeof(DeepCurrent.Core.Tickets.TicketState).Assembly }
            .SelectMany(a => a.GetExportedTypes())
            .Where(t => !t.IsGenericType && !(t.IsAbstract && t.IsSealed) && named.Contains(t.Name))
            .GroupBy(t => t.Name)
            .Where(g => g.Count() > 1)
            .Select(g => string.Join(" and ", g.Select(t => t.FullName)))
            .ShouldBeEmpty();
    }

    [Fact]
    public void No_member_of_a_closed_set_is_a_literal_in_a_query()
    {
        var members = typeof(DeepCurrent.Core.Tickets.TicketState)
            .Assembly.GetTypes()
            .Where(t => t.IsEnum)
            .SelectMany(Enum.GetNames)
            .Select(name => $"'{name}'")
            .ToHashSet();
        Sources(".cs")
            .Where(l => !l.Path.Contains("DeepCurrent.Core"))
            .Where(l => Literal().Matches(l.Text).Any(m => members.Contains(m.Value)))
            .Select(l => $"{Path.GetFileName(l.Path)}:{l.Line}")
            .ShouldBeEmpty("a query names it by nameof, or by a list made from its rule");
    }

    [Fact]
    public void A_depth_and_a_forecast_say_what_they_are() =>
        new[] { Web, Data }
            .SelectMany(a => a.GetTypes())
            .SelectMany(t => t.GetProperties(BindingFlags.Instance | BindingFlags.Public | BindingFlags.DeclaredOnly))
            .Where(p => (Nullable.GetUnderlyingType(p.PropertyType) ?? p.PropertyType) == typeof(double))
            .Where(p => Place().IsMatch(p.Name))
            .Select(p => $"{p.DeclaringType!.Name}.{p.Name}")
            .ShouldBeEmpty("a place on the scale is Fathoms, a share a Probability");

    [GeneratedRegex("(?:Depth|Mean|Forecast|FirstTry|ReachFrom|ReachTo)$")]
    private static partial Regex Place();

    [GeneratedRegex("'[A-Z][A-Za-z]+'")]
    private static partial Regex Literal();

    [Fact]
    public void Only_the_schools_clock_reckons_with_time_zones()
    {
        string[] never =
        [
            "TimeZoneInfo",
            "ToLocalTime",
            "DateTime.Now",
            "DateTimeOffset.Now",
            "DateTime.Today",
            "LocalDateTime",
            "current_date",
            "at time zone",
            "now()::date",
        ];
        var found = Sources(".cs", ".sql")
            .Where(l => Path.GetFileName(l.Path) != "SchoolClock.cs")
            .Select(l => (Where: $"{Path.GetFileName(l.Path)}:{l.Line}", line: l.Text))
            .Where(x => never.Any(n => x.line.Contains(n, StringComparison.OrdinalIgnoreCase)))
            .Select(x => x.Where);
        found.ShouldBeEmpty();
    }

    [Fact]
    public void Endpoints_leave_sql_to_the_stores() => Free(Web, "Dapper");
}
