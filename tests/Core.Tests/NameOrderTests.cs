using CsCheck;
using DeepCurrent.Core.Roster;

namespace Core.Tests;

/// <summary>Names stand where people look for them.</summary>
public sealed class NameOrderTests
{
    private static readonly Gen<string> Name = Gen.Char["aAäÄbé 10'-zØ漢"].Array[0, 6].Select(c => new string(c));

    [Theory]
    [InlineData("Émile", "Eva")]
    [InlineData("emil", "Émile")]
    [InlineData("de Vries", "Dover")]
    [InlineData("9 Gull", "10 Crab")]
    [InlineData("9 Gull", "009 Heron")]
    [InlineData("Ana", "Ana B")]
    [InlineData("O’Brien", "Obi")]
    public void The_first_stands_before_the_second(string first, string second)
    {
        NameOrder.Comparer.Compare(first, second).ShouldBeLessThan(0);
        NameOrder.Comparer.Compare(second, first).ShouldBeGreaterThan(0);
    }

    [Fact]
    public void A_number_too_long_to_count_with_is_still_a_name() =>
        NameOrder.Comparer.Compare(new('9', 400), new string('9', 399) + "8").ShouldBeGreaterThan(0);

    [Fact]
    public void It_is_an_order() =>
        Gen.Select(Name, Name, Name)
            .Sample(
                (a, b, c) =>
                {
                    var order = NameOrder.Comparer;
                    Math.Sign(order.Compare(a, b)).ShouldBe(-Math.Sign(order.Compare(b, a)));
                    (order.Compare(a, b) == 0).ShouldBe(a == b);
                    if (order.Compare(a, b) <= 0 && order.Compare(b, c) <= 0)
                        order.Compare(a, c).ShouldBeLessThanOrEqualTo(0);
                }
            );
}
