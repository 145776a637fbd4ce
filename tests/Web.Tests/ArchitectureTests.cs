using System.Reflection;
using NetArchTest.Rules;

namespace Web.Tests;

/// <summary>Layers point one way: Web → Data → Core, Formats → Core; nothing points back.</summary>
public sealed class ArchitectureTests
{
    private static readonly Assembly Web = typeof(Program).Assembly, Data = typeof(DeepCurrent.Data.Storage.Database).Assembly, Formats = typeof(DeepCurrent.Formats.Content.ContentReader).Assembly;

    private static void Free(Assembly layer, params string[] of) =>
        (Types.InAssembly(layer).ShouldNot().HaveDependencyOnAny(of).GetResult().FailingTypeNames ?? []).ShouldBeEmpty();

    [Fact]
    public void Data_knows_neither_web_nor_formats() => Free(Data, "DeepCurrent.Web", "DeepCurrent.Formats", "DeepCurrent.Demo", "Microsoft.AspNetCore");

    [Fact]
    public void Formats_know_neither_web_nor_data() => Free(Formats, "DeepCurrent.Web", "DeepCurrent.Data", "DeepCurrent.Demo", "Npgsql", "Dapper", "Microsoft.AspNetCore");

    [Fact]
    public void Endpoints_leave_sql_to_the_stores() => Free(Web, "Dapper");
}
