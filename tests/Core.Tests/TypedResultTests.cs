using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Assignments;

namespace Core.Tests;

public sealed class TypedResultTests
{
    [Theory]
    [InlineData(0, 10, null)]
    [InlineData(7.5, 10, null)]
    [InlineData(10, 10, null)]
    [InlineData(10.5, 10, "Enter 0 to 10 points.")]
    [InlineData(-1, 10, "Enter 0 to 10 points.")]
    [InlineData(double.NaN, 10, "Enter 0 to 10 points.")]
    [InlineData(7.3, 10, "Enter whole or half points.")]
    [InlineData(0, 0, "Enter 1 to 1,000 points.")]
    [InlineData(0, 1001, "Enter 1 to 1,000 points.")]
    public void Points_are_halves_of_those_there_were(double points, int of, string? fault) =>
        TypedResult.Fault(points, of)?.ToString().ShouldBe(fault);

    [Fact]
    public void Its_share_is_what_a_gradebook_takes() => new TypedResult(7.5, 10).Share.Value.ShouldBe(0.75);

    [Theory]
    [InlineData(TaskKind.Link, false, true)]
    [InlineData(TaskKind.Text, false, true)]
    [InlineData(TaskKind.Text, true, false)]
    [InlineData(TaskKind.Written, false, false)]
    public void What_is_scored_here_takes_none(TaskKind kind, bool asks, bool takes) =>
        TypedResult.For(kind, asks).ShouldBe(takes);
}
