using NetArchTest.Rules;

namespace Core.Tests;

public sealed class ArchitectureTests
{
    [Fact]
    public void The_core_knows_nothing_of_files_networks_databases_or_clocks()
    {
        var result = Types
            .InAssembly(typeof(DeepCurrent.Core.Depth.Fathoms).Assembly)
            .ShouldNot()
            .HaveDependencyOnAny(
                "System.IO.File",
                "System.Net",
                "System.Data",
                "Npgsql",
                "Dapper",
                "Microsoft.AspNetCore",
                "System.TimeProvider",
                "DeepCurrent.Data",
                "DeepCurrent.Formats",
                "DeepCurrent.Web"
            )
            .GetResult();
        (result.FailingTypeNames ?? []).ShouldBeEmpty();
    }
}
