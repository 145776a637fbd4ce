using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace Web.Tests;

/// <summary>What no compiler asks: that a method is understood at one look.</summary>
public sealed class HouseTests
{
    private const int Most = 15;

    private static int Branches(SyntaxNode method) => 1 + method.DescendantNodes().Count(Branch);

    private static bool Branch(SyntaxNode node) =>
        node
            is IfStatementSyntax
                or ConditionalExpressionSyntax
                or ConditionalAccessExpressionSyntax
                or WhileStatementSyntax
                or DoStatementSyntax
                or ForStatementSyntax
                or CommonForEachStatementSyntax
                or CaseSwitchLabelSyntax
                or CasePatternSwitchLabelSyntax
        || node.Kind() is SyntaxKind.LogicalAndExpression or SyntaxKind.LogicalOrExpression
        || node.Kind() is SyntaxKind.CoalesceExpression or SyntaxKind.CoalesceAssignmentExpression;

    private static IEnumerable<(string Where, int Branches)> Methods(string source, string path = "") =>
        CSharpSyntaxTree
            .ParseText(source, path: path)
            .GetRoot()
            .DescendantNodes()
            .Where(n => n is BaseMethodDeclarationSyntax or BasePropertyDeclarationSyntax)
            .Select(n => (n.GetLocation().GetLineSpan().ToString(), Branches(n)));

    [Theory]
    [InlineData("int F(int a) => a;", 1)]
    [InlineData("int F(int? a) => a ?? (a > 0 && a < 9 || a == 12 ? 1 : 2);", 5)]
    [InlineData("void F(int[] a) { foreach (var x in a) if (x > 1) continue; while (true) { } }", 4)]
    [InlineData("void F(int a) { switch (a) { case 1: case 2: break; case > 4: break; default: break; } }", 4)]
    [InlineData("string F(A a) { string G() => a?.B ?? \"\"; return G(); }", 3)]
    public void Each_way_through_a_method_is_a_branch(string method, int branches) =>
        Methods($"class C {{ {method} }}").Single().Branches.ShouldBe(branches);

    [Fact]
    public void No_method_has_more_branches_than_one_can_follow() =>
        new[] { "src", "tests", "bench" }
            .SelectMany(f =>
                Directory.EnumerateFiles(Path.Combine(Shipped.Root, f), "*.cs", SearchOption.AllDirectories)
            )
            .Where(f => !f.Contains("/obj/") && !f.Contains("/bin/"))
            .SelectMany(f => Methods(File.ReadAllText(f), f))
            .Where(m => m.Branches > Most)
            .Select(m => $"{m.Where}: {m.Branches}")
            .ShouldBeEmpty();
}
